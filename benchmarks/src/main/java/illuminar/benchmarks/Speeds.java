package illuminar.benchmarks;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/** Times and sizes beside a reference of the same run, with their goals; printed and kept. */
public final class Speeds {
  /**
   * One figure.
   *
   * @param reference the same work by a library, or 0
   * @param ratio whether the goal is for the ratio of both
   * @param most whether the goal is an upper bound
   */
  private record Row(
      String work,
      double ours,
      double reference,
      String unit,
      double goal,
      boolean ratio,
      boolean most) {
    double ratioNow() {
      return reference > 0 ? ours / reference : 0;
    }

    boolean met() {
      double is = ratio ? ratioNow() : ours;
      return most ? is <= goal : is >= goal;
    }

    String json() {
      return String.format(
          Locale.ROOT,
          "  {\"work\": \"%s\", \"ours\": %.2f, \"reference\": %.2f, \"ratio\": %.3f, \"unit\": \"%s\", \"goal\": %.2f, \"met\": %b}",
          work,
          ours,
          reference,
          ratioNow(),
          unit,
          goal,
          met());
    }

    String line() {
      return String.format(
          Locale.ROOT,
          "| %s | %.0f %s | %s | %s | %s %s | %s |%n",
          work,
          ours,
          unit,
          reference > 0 ? String.format(Locale.ROOT, "%.0f %s", reference, unit) : "–",
          reference > 0 ? String.format(Locale.ROOT, "%.2f", ratioNow()) : "–",
          most ? "≤" : "≥",
          goal,
          met() ? "yes" : "**no**");
    }
  }

  private final List<Row> rows = new ArrayList<>();

  /** A figure that shall not be greater than a goal. */
  public void most(String work, double ours, String unit, double goal) {
    add(new Row(work, ours, 0, unit, goal, false, true));
  }

  /** A figure that shall not be less than a goal. */
  public void least(String work, double ours, String unit, double goal) {
    add(new Row(work, ours, 0, unit, goal, false, false));
  }

  /** A time in milliseconds that shall not be more than so many times a reference's. */
  public void times(String work, double ours, double reference, double goal) {
    add(new Row(work, ours, reference, "ms", goal, true, true));
  }

  private void add(Row row) {
    rows.add(row);
    System.out.print(row.line());
  }

  /** Writes {@code target/NAME.json} and a page of {@code docs}. */
  public void keep(String name, Path page, String title, String note) throws IOException {
    StringBuilder text = new StringBuilder("# " + title + "\n\n");
    text.append("Written by `./illuminar benchmark` on ")
        .append(LocalDate.now(ZoneOffset.UTC))
        .append(", 2 shared cores. ")
        .append(note)
        .append(
            "\n\n| work | ours | reference | ratio | goal | met |\n|---|---|---|---|---|---|\n");
    rows.forEach(r -> text.append(r.line()));
    Files.createDirectories(Path.of("target"));
    Files.writeString(
        Path.of("target", name + ".json"),
        "[\n" + String.join(",\n", rows.stream().map(Row::json).toList()) + "\n]\n");
    Files.writeString(page, text);
  }
}
