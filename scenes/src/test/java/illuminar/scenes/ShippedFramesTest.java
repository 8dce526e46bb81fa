package illuminar.scenes;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import illuminar.core.frame.Codes;
import illuminar.files.Capture;
import illuminar.files.PictureReader;
import illuminar.scenes.camera.Camera;
import illuminar.scenes.camera.Shot;
import illuminar.scenes.render.Radiance;
import illuminar.scenes.render.RadianceFile;
import illuminar.scenes.render.Truth;
import illuminar.scenes.views.View;
import illuminar.scenes.views.Views;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** The frames that ship are photographs of the truth that ships beside them. */
class ShippedFramesTest {
  private static final Path LINEAR = Path.of("../demo/linear");

  private static Radiance truth(View view) throws Exception {
    return RadianceFile.unpack(Path.of("../demo/truth"), view.name());
  }

  static List<View> views() {
    return Views.all();
  }

  /** A linear frame is the sum of its lights times the exposure; noise averages out over blocks. */
  @ParameterizedTest
  @MethodSource("views")
  void linearFramesAreTheSumOfTheirLights(View view) throws Exception {
    // the frames are half as long as the truth
    Radiance truth = truth(view).smaller(2);
    Camera camera = view.camera();
    for (Shot shot : view.shots()) {
      if (shot.moved()) {
        continue; // of these, what moved is not in the shipped truth
      }
      Codes codes =
          PictureReader.pixels(
              LINEAR.resolve(view.name()).resolve(shot.file() + ".TIF"), shot.file());
      assertThat(codes.linear()).isTrue();
      assertThat(codes.width()).isEqualTo(truth.width());
      // with the veil that the lens lays over the picture
      float[] sum = camera.quiet(truth, shot.strengths(), shot.exposure());
      double[] apart = new double[(truth.width() / 8) * (truth.height() / 8)];
      int n = 0;
      for (int by = 0; by + 8 <= truth.height(); by += 8) {
        for (int bx = 0; bx + 8 <= truth.width(); bx += 8) {
          double seen = 0;
          double expected = 0;
          for (int j = 0; j < 64; j++) {
            int i = (by + j / 8) * truth.width() + bx + j % 8;
            seen += (codes.sixteen()[3 * i + 1] & 65535) / 65535.0 / 64;
            expected += sum[3 * i + 1] / 64;
          }
          apart[n++] = Math.abs(seen - expected);
        }
      }
      Arrays.sort(apart, 0, n);
      assertThat(apart[n / 2]).as(shot.file() + ", median block").isLessThan(0.002);
    }
  }

  /** What the camera wrote is what it was set to. Source: EXIF 2.32, exposure tags. */
  @ParameterizedTest
  @MethodSource("views")
  void tagsSayHowTheFramesWereTaken(View view) throws Exception {
    for (Shot shot : view.shots()) {
      Capture capture =
          PictureReader.capture(
              LINEAR.resolve(view.name()).resolve(shot.file() + ".TIF"), shot.file());
      assertThat(capture.exposure().orElseThrow().stops())
          .isCloseTo(shot.exposure().stops(), within(0.02));
      assertThat(capture.taken().orElseThrow().withNano(0)).isEqualTo(shot.taken().withNano(0));
    }
  }

  /** The view outside is daylight's alone, and reflectance is a share. */
  @ParameterizedTest
  @MethodSource("views")
  void truthIsWhatItSays(View view) throws Exception {
    Radiance truth = truth(view);
    Truth known = truth.truth();
    for (int i = 0; i < known.outside().length; i++) {
      assertThat(known.outside()[i]).isBetween(0f, 1.0001f);
      for (int c = 0; c < 3; c++) {
        assertThat(known.albedo()[c][i]).isBetween(0f, 1f);
        assertThat(known.view()[c][i])
            .isLessThanOrEqualTo(truth.lights()[0][c][i] * 1.0001f + 1e-4f);
      }
    }
  }

  /**
   * Single lights add up to all lights together within half a code of the 16-bit frames. Light is
   * additive.
   */
  @ParameterizedTest
  @MethodSource("views")
  void singleLightsAddUpToAllTogether(View view) throws Exception {
    Radiance truth = truth(view);
    Shot shot = view.shots().get(view.shots().size() / 2);
    double code = 65535 * view.camera().gain() * Math.pow(2, shot.exposure().stops());
    float[] every = new float[truth.names().size()];
    Arrays.fill(every, 1);
    float[][] together = truth.sum(every);
    float[][] added = new float[3][together[0].length];
    for (int l = 0; l < every.length; l++) {
      float[] one = new float[every.length];
      one[l] = 1;
      float[][] alone = truth.sum(one);
      for (int c = 0; c < 3; c++) {
        for (int i = 0; i < added[c].length; i++) {
          added[c][i] += alone[c][i];
        }
      }
    }
    for (int c = 0; c < 3; c++) {
      for (int i = 0; i < added[c].length; i++) {
        if (together[c][i] * code < 65535) {
          assertThat(Math.abs(added[c][i] - together[c][i]) * code).isLessThan(0.5);
        }
      }
    }
  }

  /**
   * The named parts lie in the picture, are shares, and leave room for one another; sheer cloth
   * counts wholly, and so does what is seen through it as far as it lets light through.
   */
  @ParameterizedTest
  @MethodSource("views")
  void partsAreSharesOfPixels(View view) throws Exception {
    Truth known = truth(view).truth();
    for (String part : known.parts()) {
      double sum = 0;
      for (float v : known.part(part)) {
        assertThat(v).isBetween(0f, 1.001f);
        sum += v;
      }
      assertThat(sum).as(view.name() + ", " + part).isPositive();
    }
    for (int i = 0; i < known.outside().length; i++) {
      double all = known.outside()[i];
      for (String part : known.parts()) {
        all += part.equals("curtain") ? 0 : known.part(part)[i];
      }
      assertThat(all).isLessThan(1.01);
    }
  }
}
