package illuminar.core.pass.kinds;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import illuminar.core.analysis.Analysis;
import illuminar.core.ground.Ground;
import illuminar.core.pass.Gate;
import illuminar.core.pass.Pass;
import illuminar.core.pass.Where;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Point;
import illuminar.core.picture.Raster;
import illuminar.core.recipe.Recipe;
import illuminar.core.region.Part;
import illuminar.core.region.Region;
import illuminar.core.region.part.Brush;
import illuminar.core.render.PreviewSession;
import illuminar.core.render.RenderCache;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;

/**
 * Weak strokes of light and dark: the trade works with 10 to 15 % a stroke and lets them build up;
 * common practice, no source.
 */
class DodgeBurnTest {
  private static final Analysis VIEW = Painted.view((x, y, c) -> 150 - 30 * c);
  private static final Raster WHOLE = Raster.whole(Painted.W, Painted.H, 1);

  private static Part dodge(double flow, double... places) {
    return painted("d", Part.Combine.ADD, flow, places);
  }

  private static Part burn(double flow, double... places) {
    return painted("b", Part.Combine.TAKE_AWAY, flow, places);
  }

  private static Part painted(String id, Part.Combine how, double flow, double... places) {
    return new Part(
        id,
        how,
        new Brush(
            Arrays.stream(places)
                .mapToObj(x -> new Point(x, 0.25))
                .map(at -> new Brush.Stroke(0.05, 0, flow, false, List.of(at, at)))
                .toList()));
  }

  private static Picture seen(Gate gate, Part... parts) {
    Region region = new Region("r", "Wall", List.of(parts), 0, false);
    Pass pass = new Pass("p", true, new DodgeBurn(1, 1), new Where("r", false), gate, 1, "");
    return new PreviewSession(VIEW, new RenderCache(20_000_000))
        .picture(new Recipe(new Ground.OneFrame("a"), List.of(region), List.of(pass)), WHOLE);
  }

  private static int at(double x) {
    return Painted.W * (int) (0.25 * Painted.W) + (int) (x * Painted.W);
  }

  private static float times(Picture p, double x) {
    return p.g()[at(x)] / p.g()[at(0.9)];
  }

  @Test
  void aStrokeOfTenPercentLightensByThat() {
    assertThat(times(seen(Gate.ALL, dodge(0.1, 0.3)), 0.3)).isCloseTo(1.1f, within(2e-3f));
    Picture twice = seen(Gate.ALL, dodge(0.1, 0.3, 0.3));
    assertThat(times(twice, 0.3)).isCloseTo(1.19f, within(2e-3f));
  }

  @Test
  void theOtherBrushOfTheSamePassDarkens() {
    Picture p = seen(Gate.ALL, dodge(0.1, 0.3), burn(0.1, 0.6));
    assertThat(times(p, 0.3)).isCloseTo(1.1f, within(2e-3f));
    assertThat(times(p, 0.6)).isCloseTo(1 / 1.1f, within(2e-3f));
  }

  @Test
  void theFirstStrokeMayDarken() {
    assertThat(times(seen(Gate.ALL, burn(0.1, 0.6)), 0.6)).isCloseTo(1 / 1.1f, within(2e-3f));
  }

  /** Whoever has lightened too much strokes it dark again. */
  @Test
  void oneUndoesTheOther() {
    Picture p = seen(Gate.ALL, dodge(0.1, 0.3), burn(0.1, 0.3));
    assertThat(times(p, 0.3)).isCloseTo(1, within(2e-3f));
  }

  @Test
  void hueAndSaturationStay() {
    Picture p = seen(Gate.ALL, dodge(0.15, 0.3));
    float own = p.r()[at(0.9)] / p.b()[at(0.9)];
    assertThat(p.r()[at(0.3)] / p.b()[at(0.3)]).isCloseTo(own, within(1e-3f * own));
  }

  @Test
  void otherTonesStayAsTheyAre() {
    Gate darks = new Gate(-20, -20, -6, -5);
    assertThat(times(seen(darks, dodge(0.15, 0.3)), 0.3)).isEqualTo(1);
    assertThat(times(seen(darks, dodge(0.1, 0.7), burn(0.15, 0.3)), 0.3)).isEqualTo(1);
  }
}
