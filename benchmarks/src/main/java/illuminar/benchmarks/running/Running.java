package illuminar.benchmarks.running;

import illuminar.benchmarks.Speeds;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.Map;

/**
 * The command {@code ./illuminar benchmark running [NAME...]}: times in the running application,
 * over HTTP and the bench's socket, as a browser asks; all of them, or those named.
 */
public final class Running {
  private static final Map<String, Measure> MEASURES = new LinkedHashMap<>();

  static {
    MEASURES.put("view", new ColdView());
    MEASURES.put("table", new ContactTable());
    MEASURES.put("set", new WholeSet());
    MEASURES.put("sending", new Sending());
    MEASURES.put("largest", new LargestView());
    MEASURES.put("people", new EightPeople());
    MEASURES.put("raw", new RawReading());
  }

  private Running() {}

  public static void main(String[] args) throws Exception {
    Speeds speeds = new Speeds();
    for (String name : args.length == 0 ? MEASURES.keySet().toArray(String[]::new) : args) {
      MEASURES.get(name).measure(speeds);
    }
    if (args.length == 0) {
      speeds.keep(
          "running",
          Path.of("docs/benchmarks-running.md"),
          "Speed of the running application",
          "The reference is the exposure fusion of the library used in tests, or LibRaw's command, in the same run.");
    }
  }
}
