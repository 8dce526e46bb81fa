package illuminar.benchmarks;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/** Figures with their goals: printed, kept as JSON, kept as a readable page. */
final class Table {
  /**
   * One figure.
   *
   * @param most whether the goal is an upper bound
   */
  record Row(String view, String measure, double value, String unit, double goal, boolean most) {
    boolean met() {
      return most ? value <= goal : value >= goal;
    }
  }

  private final List<Row> rows = new ArrayList<>();

  void most(String view, String measure, double value, String unit, double goal) {
    add(new Row(view, measure, value, unit, goal, true));
  }

  void least(String view, String measure, double value, String unit, double goal) {
    add(new Row(view, measure, value, unit, goal, false));
  }

  private void add(Row row) {
    rows.add(row);
    System.out.printf(
        Locale.ROOT,
        "%-16s %-52s %9.4f %-10s goal %s %.4g  %s%n",
        row.view,
        row.measure,
        row.value,
        row.unit,
        row.most ? "≤" : "≥",
        row.goal,
        row.met() ? "met" : "NOT MET");
  }

  List<Row> rows() {
    return rows;
  }

  /** Writes {@code target/NAME.json} and a page in docs. */
  void keep(String name, Path page, String title, String note) throws IOException {
    StringBuilder json = new StringBuilder("[\n");
    StringBuilder text =
        new StringBuilder(
            "# "
                + title
                + "\n\n"
                + note
                + "\n\n| view | measure | figure | goal | met |\n|---|---|---|---|---|\n");
    for (int i = 0; i < rows.size(); i++) {
      Row r = rows.get(i);
      json.append(
          String.format(
              Locale.ROOT,
              "  {\"view\": \"%s\", \"measure\": \"%s\", \"value\": %.5f, \"unit\": \"%s\", \"goal\": %.5f, \"met\": %b}%s%n",
              r.view,
              r.measure,
              r.value,
              r.unit,
              r.goal,
              r.met(),
              i + 1 < rows.size() ? "," : ""));
      text.append(
          String.format(
              Locale.ROOT,
              "| %s | %s | %.3f %s | %s %s | %s |%n",
              r.view,
              r.measure,
              r.value,
              r.unit,
              r.most ? "≤" : "≥",
              trim(r.goal),
              r.met() ? "yes" : "**no**"));
    }
    Files.createDirectories(Path.of("target"));
    Files.writeString(Path.of("target", name + ".json"), json.append("]\n"));
    Files.createDirectories(page.getParent());
    Files.writeString(page, text);
  }

  private static String trim(double v) {
    return v == Math.rint(v) ? String.valueOf((long) v) : String.valueOf(v);
  }
}
