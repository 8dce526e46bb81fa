package illuminar.benchmarks.cases;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import illuminar.core.colour.Lab;
import illuminar.scenes.CaseKit;
import illuminar.scenes.invented.InventedView;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** An invented room, written as a case and judged: figures that must come out by construction. */
class RoomsProofTest {
  @TempDir Path folder;

  private static Map<String, Double> figure(
      List<CaseJudge.Figure> all, String where, String measure) {
    return all.stream()
        .filter(f -> f.where().equals(where) && f.measure().equals(measure))
        .findFirst()
        .orElseThrow()
        .of();
  }

  @Test
  void anInventedRoomIsACase() throws Exception {
    InventedView view = InventedView.of(2, 270, rows -> {});
    CaseKit.write(view, folder);
    assertThat(Files.exists(folder.resolve("even.hdr"))).isTrue();
    CaseFolder room = new CaseFolder(folder);
    assertThat(room.analysis().fullWidth()).isEqualTo(270);
    assertThat(room.mask("panes")).isPresent();
    assertThat(room.mask("walls")).as("its walls are painted").isEmpty();
    Pictures pictures = new Pictures(room.analysis());
    assertThat(pictures.all()).containsOnlyKeys("first", "ground", "fusion", "anchor");
    assertThat(pictures.seconds()).isPositive();
    List<CaseJudge.Figure> figures = CaseJudge.of(room, pictures);
    // one exposure shows all by the camera's own curve
    assertThat(figure(figures, "panes", "uneven, stops").get("anchor")).isLessThan(0.1);
    assertThat(figure(figures, "whole", "from the truth picture, CIEDE2000"))
        .allSatisfy((picture, value) -> assertThat(value).isBetween(1.0, 40.0));
    assertThat(CaseProof.table(figures)).contains("| panes | CIEDE2000 |");
  }

  /** Lightness is matched, colour is not. Source: the definition of CIEDE2000. */
  @Test
  void matchedLightnessCostsNothing() {
    List<Lab> should = List.of(new Lab(40, 10, 0), new Lab(60, -5, 20));
    List<Lab> lighter = List.of(new Lab(48, 10, 0), new Lab(68, -5, 20));
    assertThat(ViewJudge.matched(should, lighter)).isCloseTo(0, within(1e-9));
    List<Lab> grey = List.of(new Lab(40, 0, 0), new Lab(60, 0, 0));
    assertThat(ViewJudge.matched(should, grey)).isGreaterThan(5);
  }
}
