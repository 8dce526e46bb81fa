package illuminar.benchmarks.campaign;

import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

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
          new Full(),
          new TwoNodes(),
          new Bodies(),
          new BadFiles(),
          new Editors("editors 4", 4),
          new Editors("editors 10", 10));

  private static final Logger LOG = LoggerFactory.getLogger(Campaign.class);

  private Campaign() {}

  public static void main(String[] args) throws IOException {
    List<String> named = List.of(args);
    int broken = 0;
    for (Trial trial : TRIALS) {
      if (named.isEmpty() || named.contains(trial.id())) {
        Ledger ledger = new Ledger();
        try {
          trial.run(Effort.WHOLE, ledger);
          ledger.keep(Path.of("docs/reliability.md"));
        } catch (Exception | AssertionError e) {
          // what this trial left running must not keep the next from its turn
          LOG.error("the trial {} broke off", trial.id(), e);
          broken++;
        }
      }
    }
    System.exit(broken);
  }
}
