package illuminar.benchmarks.campaign;

import java.nio.file.Path;
import java.util.List;

/**
 * The command {@code ./illuminar campaign [TRIAL...]}: faults, bad files and crowds against a real
 * start of the application; all trials, or those named.
 */
public final class Campaign {
  static final List<Trial> TRIALS =
      List.of(
          new Kills(),
          new Stops(),
          new Away(),
          new TwoNodes(),
          new Bodies(),
          new BadFiles(),
          new Editors("editors 4", 4),
          new Editors("editors 10", 10));

  private Campaign() {}

  public static void main(String[] args) throws Exception {
    Ledger ledger = new Ledger();
    List<String> named = List.of(args);
    for (Trial trial : TRIALS) {
      if (named.isEmpty() || named.contains(trial.id())) {
        trial.run(Effort.WHOLE, ledger);
        ledger.keep(Path.of("docs/reliability.md"));
      }
    }
  }
}
