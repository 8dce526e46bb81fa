package illuminar.benchmarks;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/** Figures with their goals: printed, and kept as a readable table. */
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

  /** A readable table of all rows. */
  String page() {
    StringBuilder text =
        new StringBuilder("| measure | figure | goal | met |\n|---|---|---|---|\n");
    for (Row r : rows) {
      text.append(
          String.format(
              Locale.ROOT,
              "| %s | %.3f %s | %s %s | %s |%n",
              r.measure,
              r.value,
              r.unit,
              r.most ? "≤" : "≥",
              trim(r.goal),
              r.met() ? "yes" : "**no**"));
    }
    return text.toString();
  }

  private static String trim(double v) {
    return v == Math.rint(v) ? String.valueOf((long) v) : String.valueOf(v);
  }
}
