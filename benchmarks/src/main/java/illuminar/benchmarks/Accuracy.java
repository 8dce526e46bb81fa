package illuminar.benchmarks;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * The page of figures beside the rendered truth, in parts that are measured by themselves: one that
 * is measured anew replaces what it said before, the others stay with the day on which they were.
 */
public final class Accuracy {
  private static final Path PAGE = Path.of("docs/accuracy.md");
  private static final Path BASELINE = Path.of("benchmarks/proof-baseline.txt");
  private static final String PART = "## ";

  private final Path page;
  private final Path baseline;

  public Accuracy() {
    this(PAGE, BASELINE);
  }

  /**
   * @param baseline a line for every goal that was met once
   */
  Accuracy(Path page, Path baseline) {
    this.page = page;
    this.baseline = baseline;
  }

  /** Replaces one part, or adds it as the last. */
  public void put(String title, String text) throws IOException {
    String all = Files.readString(page);
    int first = all.indexOf("\n" + PART);
    Map<String, String> parts = new LinkedHashMap<>();
    String head = first < 0 ? all : all.substring(0, first + 1);
    if (first >= 0) {
      for (String part : all.substring(first + 1 + PART.length()).split("\n" + PART, -1)) {
        int line = part.indexOf('\n');
        parts.put(part.substring(0, line), part.substring(line).strip());
      }
    }
    parts.put(title, text.strip());
    StringBuilder out = new StringBuilder(head.stripTrailing()).append('\n');
    parts.forEach((t, body) -> out.append("\n" + PART + t + "\n\n" + body + "\n"));
    Files.writeString(page, out);
  }

  /**
   * Keeps what was measured of a view.
   *
   * @return goals that were met once and are no longer
   */
  List<String> keep(String title, Table table) throws IOException {
    put(title, "Measured on " + LocalDate.now(ZoneOffset.UTC) + ".\n\n" + table.page());
    List<String> before = Files.exists(baseline) ? Files.readAllLines(baseline) : List.of();
    List<String> met =
        table.rows().stream().filter(Table.Row::met).map(r -> title + ": " + r.measure()).toList();
    List<String> gone =
        before.stream().filter(b -> b.startsWith(title + ": ") && !met.contains(b)).toList();
    List<String> now = new ArrayList<>(before);
    met.stream().filter(m -> !before.contains(m)).forEach(now::add);
    Files.write(baseline, now);
    return gone;
  }
}
