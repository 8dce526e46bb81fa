package illuminar.benchmarks.campaign;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/**
 * What no other test does of the campaign, in a short form: what is lost, stuck or answered wrong.
 * How long things take is the long one's, docs/reliability.md. The goals are our own.
 */
class CampaignTest {
  @TempDir private Path dir;

  /** Kills, outages and odd bodies have tests of their own in the server. */
  @Test
  void damagedFilesStopNoOthers() throws Exception {
    Ledger ledger = new Ledger();
    new BadFiles().run(Effort.SHORT, ledger);
    assertThat(ledger.rows().stream().filter(Ledger.Row::counts))
        .isNotEmpty()
        .allMatch(Ledger.Row::met);
  }

  @Test
  void aTrialWritesItsOwnRowsAndLeavesTheOthers() throws Exception {
    Path page = dir.resolve("page.md");
    Ledger both = new Ledger();
    both.most(new Kills(), "lost", 1, "", 0);
    both.most(new Stops(), "longest", 4.25, "s", 5);
    both.keep(page);
    Ledger one = new Ledger();
    one.most(new Kills(), "lost", 0, "", 0);
    one.keep(page);
    assertThat(Files.readAllLines(page).stream().filter(l -> l.startsWith("| kills |")))
        .singleElement()
        .satisfies(l -> assertThat(l).contains("| 0  | ≤ 0 | yes |"));
    assertThat(Files.readString(page)).contains("| stops | longest | 4.25 s | ≤ 5 | yes |");
  }
}
