package illuminar.benchmarks.campaign;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/** What a campaign found beside its goals: printed, and kept as a page. */
final class Ledger {
  private static final String HEAD =
      """
      # Reliability

      Written by `./illuminar campaign`, which does all of this to a real start on loopback; a trial that is run by itself
      (`./illuminar campaign editors`) writes its own rows anew and leaves the others. 2 shared cores.

      | trial | measure | figure | goal | met | on |
      |---|---|---|---|---|---|
      """;

  /**
   * One figure.
   *
   * @param most whether the goal is an upper bound
   */
  record Row(String trial, String measure, double figure, String unit, double goal, boolean most) {
    boolean met() {
      return most ? figure <= goal : figure >= goal;
    }

    /** Whether it is a number of things, and no time or share. */
    boolean counts() {
      return unit.isEmpty();
    }

    String line() {
      return String.format(
          Locale.ROOT,
          "| %s | %s | %s %s | %s %s | %s | %s |",
          trial,
          measure,
          number(figure),
          unit,
          most ? "≤" : "≥",
          number(goal),
          met() ? "yes" : "**no**",
          LocalDate.now(ZoneOffset.UTC));
    }

    private static String number(double v) {
      return v == Math.rint(v)
          ? String.format(Locale.ROOT, "%.0f", v)
          : String.format(Locale.ROOT, "%.2f", v);
    }
  }

  private final List<Row> rows = new ArrayList<>();

  /** A figure that shall not be greater than a goal. */
  void most(Trial trial, String measure, double figure, String unit, double goal) {
    add(new Row(trial.id(), measure, figure, unit, goal, true));
  }

  /** A figure that shall not be less than a goal. */
  void least(Trial trial, String measure, double figure, String unit, double goal) {
    add(new Row(trial.id(), measure, figure, unit, goal, false));
  }

  private void add(Row row) {
    rows.add(row);
    System.out.println(row.line());
  }

  List<Row> rows() {
    return rows;
  }

  /** Writes the rows into a page; those of other trials stay as they are there. */
  void keep(Path page) throws IOException {
    List<String> lines = new ArrayList<>(HEAD.lines().toList());
    List<String> ours = rows.stream().map(r -> "| " + r.trial() + " |").distinct().toList();
    if (Files.exists(page)) {
      Files.readAllLines(page).stream()
          .filter(line -> line.startsWith("| ") && !line.startsWith("| trial |"))
          .filter(line -> ours.stream().noneMatch(line::startsWith))
          .forEach(lines::add);
    }
    rows.forEach(r -> lines.add(r.line()));
    Files.write(page, lines);
  }
}
