package illuminar.core.frame;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import illuminar.core.analysis.Analysis;
import illuminar.core.colour.Space;
import illuminar.core.colour.Srgb;
import illuminar.core.ground.Ground;
import illuminar.core.ground.Grounds;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Raster;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * Colours that sRGB cannot show go through frames and grounds as they are. Expected numbers follow
 * from the primaries (ITU-R BT.2020, BT.709) and the curve (IEC 61966-2-1).
 */
class WideFramesTest {
  private static final int W = 320;
  private static final int H = 208;

  /** Linear BT.2020 of leaves in the sun, a lamp's orange, a blue wall; each beyond sRGB. */
  private static final double[][] COLOURS = {
    {0.08, 0.42, 0.05}, {0.55, 0.16, 0.01}, {0.02, 0.05, 0.4}, {0.3, 0.3, 0.3}
  };

  private static double[] srgb(int colour, double exposure) {
    double[] c = COLOURS[colour];
    return Space.WORK_TO_SRGB.apply(c[0] * exposure, c[1] * exposure, c[2] * exposure);
  }

  /** Four even fields side by side, as a camera with sRGB's curve would write them. */
  private static Codes codes(double exposure) {
    short[] rgb = new short[3 * W * H];
    for (int i = 0; i < W * H; i++) {
      double[] light = srgb(i % W * 4 / W, exposure);
      for (int c = 0; c < 3; c++) {
        rgb[3 * i + c] = Codes.wide(Srgb.encodeWide((float) light[c]));
      }
    }
    return Codes.ofWide(W, H, rgb, false);
  }

  private static Frame frame(String id, double stops) {
    Pyramid pixels = Pyramid.of(codes(Math.pow(2, stops)));
    return new Frame(id, Role.AMBIENT, stops, Similarity.NONE, pixels);
  }

  private static Analysis analysis() {
    List<Frame> all = List.of(frame("dark", -1), frame("middle", 0), frame("bright", 1));
    return new Analysis(new Frames(all, "middle", Response.srgb()));
  }

  private static void assertColours(Picture work, double tolerance) {
    for (int k = 0; k < COLOURS.length; k++) {
      int at = work.height() / 2 * work.width() + (2 * k + 1) * work.width() / 8;
      for (int c = 0; c < 3; c++) {
        assertThat((double) work.channel(c)[at])
            .as("field %d, channel %d", k, c)
            .isCloseTo(COLOURS[k][c], within(tolerance));
      }
    }
  }

  private static Picture drawn(Ground ground, Analysis analysis, Raster raster) {
    return Grounds.draw(ground, analysis, raster, id -> analysis.draw(id, raster));
  }

  @ParameterizedTest
  @ValueSource(doubles = {1, 0.5, 0.2})
  void aFrameShowsThemAtEverySize(double scale) {
    Raster raster = Raster.whole(W, H, scale);
    assertColours(drawn(new Ground.OneFrame("middle"), analysis(), raster), 2e-4);
  }

  @Test
  void aMergeOfLightKeepsThem() {
    Ground merge =
        new Ground.RadianceMerge(
            List.of("dark", "middle", "bright"), 0, 0, 0, 0, false, List.of(), 0, "middle");
    assertColours(drawn(merge, analysis(), Raster.whole(W, H, 1)), 0.004);
  }

  /** Equal frames come back from an even blend as they are, these colours too. */
  @ParameterizedTest
  @ValueSource(doubles = {0, 0.5})
  void anEvenBlendOfEqualFramesIsTheFrame(double calm) {
    List<Frame> all = List.of(frame("a", 0), frame("b", 0));
    Analysis analysis = new Analysis(new Frames(all, "a", Response.srgb()));
    Ground blend = new Ground.EvenBlend(List.of("a", "b"), 1, 1, 1, false, List.of(), calm, "a");
    assertColours(drawn(blend, analysis, Raster.whole(W, H, 1)), 1e-3);
  }

  /** Halved, they keep their mean light; what sRGB can show is the same as in plain codes. */
  @Test
  void halvedLevelsAreTheMeanLight() {
    Random chance = new Random(3);
    short[] plain = new short[3 * W * H];
    short[] wide = new short[3 * W * H];
    for (int i = 0; i < plain.length; i++) {
      // codes that both ways of writing hold exactly
      int v = chance.nextInt(Codes.WIDE_UNIT + 1);
      plain[i] = (short) (3 * v);
      wide[i] = (short) (Codes.WIDE_UNIT + v);
    }
    Pyramid of16 = Pyramid.of(Codes.of16(W, H, plain, false));
    Pyramid ofWide = Pyramid.of(Codes.ofWide(W, H, wide, false));
    assertThat(ofWide.wide()).isTrue();
    for (int power = 0; power <= of16.halvings(); power++) {
      float[] want = of16.halved(power).g();
      float[] got = ofWide.halved(power).g();
      for (int i = 0; i < want.length; i++) {
        assertThat(got[i]).isCloseTo(want[i], within(1e-4f));
      }
    }
  }

  @Test
  void codesComeBack() {
    for (int code = 0; code < 65536; code += 7) {
      assertThat(Codes.wide(Codes.ofWide(code)) & 65535).isEqualTo(code);
    }
    assertThat(Codes.wide(-3)).isZero();
    assertThat(Codes.wide(7) & 65535).isEqualTo(65535);
    for (float v : new float[] {-0.7f, -0.01f, 0.02f, 0.8f, 1.4f}) {
      assertThat(Srgb.decodeWide(Srgb.encodeWide(v))).isCloseTo(v, within(1e-4f));
    }
    double[] steps = Arrays.stream(new double[] {0.1, 0.6, 1}).map(Srgb::encode).toArray();
    assertThat((double) Srgb.encodeWide(-0.6f)).isCloseTo(-steps[1], within(1e-4));
  }
}
