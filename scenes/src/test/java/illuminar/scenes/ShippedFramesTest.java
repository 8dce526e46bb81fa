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
import illuminar.scenes.rooms.Brackets;
import java.nio.file.Path;
import java.util.Arrays;
import org.junit.jupiter.api.Test;

/** The frames that ship are photographs of the truth that ships beside them. */
class ShippedFramesTest {
  private static final Path LINEAR = Path.of("../demo/linear");

  private static Radiance truth() throws Exception {
    return RadianceFile.read(Path.of("../demo/truth/instrument-room.radiance"));
  }

  /** A linear frame is the sum of its lights times the exposure; noise averages out over blocks. */
  @Test
  void linearFramesAreTheSumOfTheirLights() throws Exception {
    Radiance truth = truth();
    Camera camera = Brackets.instrumentCamera();
    for (Shot shot : Brackets.instrumentRoom()) {
      Codes codes = PictureReader.pixels(LINEAR.resolve(shot.file() + ".TIF"), shot.file());
      assertThat(codes.linear()).isTrue();
      assertThat(codes.width()).isEqualTo(truth.width());
      float[][] sum = truth.sum(shot.strengths());
      double k = camera.gain() * Math.pow(2, shot.exposure().stops());
      double[] apart = new double[(truth.width() / 8) * (truth.height() / 8)];
      int n = 0;
      for (int by = 0; by + 8 <= truth.height(); by += 8) {
        for (int bx = 0; bx + 8 <= truth.width(); bx += 8) {
          double seen = 0;
          double expected = 0;
          for (int j = 0; j < 64; j++) {
            int i = (by + j / 8) * truth.width() + bx + j % 8;
            seen += (codes.sixteen()[3 * i + 1] & 65535) / 65535.0 / 64;
            expected += Math.min(1, sum[1][i] * k * camera.white()[1]) / 64;
          }
          apart[n++] = Math.abs(seen - expected);
        }
      }
      Arrays.sort(apart, 0, n);
      assertThat(apart[n / 2]).as(shot.file() + ", median block").isLessThan(0.002);
    }
  }

  /** What the camera wrote is what it was set to. Source: EXIF 2.32, exposure tags. */
  @Test
  void tagsSayHowTheFramesWereTaken() throws Exception {
    for (Shot shot : Brackets.instrumentRoom()) {
      Capture capture = PictureReader.capture(LINEAR.resolve(shot.file() + ".TIF"), shot.file());
      assertThat(capture.exposure().orElseThrow().stops())
          .isCloseTo(shot.exposure().stops(), within(0.02));
      assertThat(capture.taken().orElseThrow().withNano(0)).isEqualTo(shot.taken().withNano(0));
    }
  }

  /** The view outside is daylight's alone, and reflectance is a share. */
  @Test
  void truthIsWhatItSays() throws Exception {
    Radiance truth = truth();
    assertThat(truth.names()).containsExactly("daylight", "lamp", "flash-left", "flash-right");
    for (int i = 0; i < truth.outside().length; i++) {
      assertThat(truth.outside()[i]).isBetween(0f, 1.0001f);
      for (int c = 0; c < 3; c++) {
        assertThat(truth.albedo()[c][i]).isBetween(0f, 1f);
        assertThat(truth.view()[c][i])
            .isLessThanOrEqualTo(truth.lights()[0][c][i] * 1.0001f + 1e-4f);
      }
    }
  }
}
