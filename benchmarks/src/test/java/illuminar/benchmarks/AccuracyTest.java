package illuminar.benchmarks;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The page keeps what was not measured anew; our own rules, no source. */
class AccuracyTest {
  @TempDir private Path folder;
  private Path page;
  private Path baseline;
  private Accuracy accuracy;

  @BeforeEach
  void aPage() throws Exception {
    page = folder.resolve("page.md");
    baseline = folder.resolve("baseline.txt");
    accuracy = new Accuracy(page, baseline);
    Files.writeString(page, "# Accuracy\n\nSome words.\n\n## Room\n\nold\n\n## Yard\n\nkept\n");
  }

  private static Table measured(double value) {
    Table table = new Table();
    table.most("Room", "error", value, "px", 2);
    return table;
  }

  @Test
  void onePartIsReplacedTheOthersStay() throws Exception {
    accuracy.keep("Room", measured(1));
    assertThat(Files.readString(page))
        .startsWith("# Accuracy\n\nSome words.\n\n## Room\n\nMeasured on ")
        .contains("| error | 1.000 px | ≤ 2 | yes |")
        .endsWith("\n\n## Yard\n\nkept\n")
        .doesNotContain("old");
    accuracy.put("Chance", "new");
    assertThat(Files.readString(page)).endsWith("kept\n\n## Chance\n\nnew\n");
  }

  @Test
  void aGoalThatWasMetOnceIsMissed() throws Exception {
    Files.writeString(baseline, "Yard: halo\n");
    assertThat(accuracy.keep("Room", measured(1))).isEmpty();
    assertThat(Files.readAllLines(baseline)).containsExactly("Yard: halo", "Room: error");
    assertThat(accuracy.keep("Room", measured(3))).isEqualTo(List.of("Room: error"));
    assertThat(Files.readAllLines(baseline)).contains("Room: error");
  }
}
