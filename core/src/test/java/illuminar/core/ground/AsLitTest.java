package illuminar.core.ground;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import illuminar.core.GardenRoom;
import illuminar.core.TestRoom;
import illuminar.core.analysis.Analysis;
import illuminar.core.analysis.light.MergedLight;
import illuminar.core.colour.Space;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Raster;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Merged light as it was lit, beside what is known of the invented room. */
class AsLitTest {
  private static final TestRoom ROOM = new TestRoom(360, 240);
  private static final Analysis ANALYSIS = ROOM.analysis();
  private static final Raster WHOLE = Raster.whole(360, 240, 1);
  private static final List<String> ALL = List.of("a0", "a1", "a2", "a3");

  private static Picture lit() {
    Ground lit = new Ground.RadianceMerge(ALL, 0, 0, 1, 0, false, List.of(), 0, "a1");
    return Grounds.of(lit, ANALYSIS).draw(WHOLE, id -> ANALYSIS.draw(id, WHOLE));
  }

  /** The mean of all light's own colours, whatever the camera made of them (Robertson 2003). */
  @Test
  void asLitColoursAreThoseOfTheLightAndStayBelowWhite() {
    Picture p = lit();
    double off = 0;
    int n = 0;
    for (int y = 4; y < 236; y += 3) {
      for (int x = 4; x < 356; x += 3) {
        int i = y * 360 + x;
        double[] srgb = Space.WORK_TO_SRGB.apply(p.r()[i], p.g()[i], p.b()[i]);
        assertThat(Math.max(srgb[0], Math.max(srgb[1], srgb[2]))).isLessThan(1.1);
        if (Math.abs(ROOM.pane(x, y) - 0.5) > 0.49) {
          off +=
              Math.abs(ratio(srgb[0], srgb[1]) - ratio(ROOM.light(x, y, 0), ROOM.light(x, y, 1)));
          off +=
              Math.abs(ratio(srgb[2], srgb[1]) - ratio(ROOM.light(x, y, 2), ROOM.light(x, y, 1)));
          n += 2;
        }
      }
    }
    assertThat(off / n).as("stops between channels").isLessThan(0.06);
  }

  /**
   * More light that is no lamp's is never shown darker, be it blue or grey: else what an edge mixes
   * of a vivid sky and a dull frame would be lighter than both, and that is a line (arithmetic of
   * mixtures; no source).
   */
  @Test
  void asLitMoreColdLightIsNeverShownDarker() {
    Picture p = lit();
    Picture light = MergedLight.of(ANALYSIS, ALL).draw(WHOLE, id -> ANALYSIS.draw(id, WHOLE));
    List<double[]> pairs = new ArrayList<>();
    for (int i = 0; i < WHOLE.pixels(); i++) {
      double there = Space.srgbLuminance(light.r()[i], light.g()[i], light.b()[i]);
      if (light.r()[i] <= there) {
        pairs.add(new double[] {there, p.luminanceAt(i)});
      }
    }
    assertThat(pairs).hasSizeGreaterThan(WHOLE.pixels() / 20);
    pairs.sort(Comparator.comparingDouble(v -> v[0]));
    for (int i = 1; i < pairs.size(); i++) {
      assertThat(pairs.get(i)[1]).isGreaterThan(pairs.get(i - 1)[1] - 1e-4);
    }
  }

  /**
   * A white bar before lamplight, and whatever a pixel mixes of both: no mixture is lighter than
   * the lamplight by more than a hundredth (arithmetic of mixtures; no source).
   */
  @Test
  void heldLamplightIsNotDarkerThanWhatItsEdgeMixes() {
    double[] lamp = {8, 4.3, 1.3};
    double[] bar = {0.5, 0.5, 0.7};
    Analysis lit =
        GardenRoom.analysis(
            (x, y, c) -> {
              double share = y < 400 ? 0.04 : x < 200 ? 1 : x < 1000 ? (x - 200) / 800.0 : 0;
              return y < 400 ? share : share * lamp[c] + (1 - share) * bar[c];
            },
            2,
            2);
    List<String> frames = List.of("f-2", "f-1", "f0", "f1", "f2");
    Ground held = new Ground.RadianceMerge(frames, 0, 0, 0, 1, false, List.of(), 0, "f0");
    Raster whole = Raster.whole(GardenRoom.WIDTH, GardenRoom.HEIGHT, 1);
    Picture p = Grounds.of(held, lit).draw(whole, id -> lit.draw(id, whole));
    double most = 0;
    for (int x = 220; x < 980; x++) {
      most = Math.max(most, p.luminanceAt(600 * GardenRoom.WIDTH + x));
    }
    assertThat(most).isLessThan(1.01 * p.luminanceAt(600 * GardenRoom.WIDTH + 100));
  }

  private static double ratio(double a, double b) {
    return Math.log(a / b) / Math.log(2);
  }

  /** Half of the light lies below L* 58 (Y = 0.26, CIE 15), at any exposure of the anchor. */
  @Test
  void asLitTheMiddleOfTheLightIsAMiddleTone() {
    Picture p = lit();
    float[] tones = new float[WHOLE.pixels()];
    for (int i = 0; i < tones.length; i++) {
      tones[i] = p.luminanceAt(i);
    }
    Arrays.sort(tones);
    assertThat((double) tones[tones.length / 2]).isCloseTo(0.268, within(0.03));
  }
}
