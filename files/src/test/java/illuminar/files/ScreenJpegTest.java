package illuminar.files;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import illuminar.core.picture.Picture;
import illuminar.core.render.Display;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.List;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Pictures for the screen, read back by the Java class library's decoder. */
class ScreenJpegTest {

  /** A soft room: nothing in it that a JPEG has to break. */
  private static Picture room(int w, int h) {
    Picture p = Picture.of(w, h);
    for (int i = 0; i < w * h; i++) {
      double x = (i % w) / (double) w;
      double y = (i / w) / (double) h;
      p.r()[i] = (float) (0.2 + 0.3 * x);
      p.g()[i] = (float) (0.25 + 0.2 * y);
      p.b()[i] = (float) (0.3 + 0.1 * Math.sin(3 * x + 2 * y));
    }
    return p;
  }

  private static BufferedImage decoded(byte[] jpeg) throws IOException {
    return ImageIO.read(new ByteArrayInputStream(jpeg));
  }

  private static double error(Picture p, BufferedImage image, int fromRow) {
    byte[] codes = Display.to8(p, fromRow, fromRow + image.getHeight());
    double sum = 0;
    for (int i = 0; i < image.getWidth() * image.getHeight(); i++) {
      int rgb = image.getRGB(i % image.getWidth(), i / image.getWidth());
      for (int c = 0; c < 3; c++) {
        sum += Math.abs((rgb >> 16 - 8 * c & 255) - (codes[3 * i + c] & 255));
      }
    }
    return sum / (3.0 * image.getWidth() * image.getHeight());
  }

  @ParameterizedTest
  @ValueSource(ints = {1, 15, 16, 17, 100, 403})
  void stripsMakeTheWholePicture(int height) throws IOException {
    Picture p = room(1211, height);
    List<ScreenJpeg.Strip> strips = ScreenJpeg.strips(p, 0.93);
    assertThat(strips).as("a small picture is not worth cutting").hasSize(height < 400 ? 1 : 2);
    int row = 0;
    for (ScreenJpeg.Strip s : strips) {
      BufferedImage image = decoded(s.jpeg());
      assertThat(image.getWidth()).isEqualTo(1211);
      assertThat(image.getHeight()).isEqualTo(s.rows());
      assertThat(row % 16).as("strips begin on whole blocks").isZero();
      assertThat(error(p, image, row)).isLessThan(2.5);
      row += s.rows();
    }
    assertThat(row).isEqualTo(height);
  }

  /** Cutting changes nothing: on whole blocks both ways give the same codes. */
  @Test
  void aStripHoldsWhatTheWholeHolds() throws IOException {
    Picture p = room(1600, 256);
    BufferedImage whole = decoded(ScreenJpeg.of(p, 0.9));
    int row = 0;
    for (ScreenJpeg.Strip s : ScreenJpeg.strips(p, 0.9)) {
      BufferedImage part = decoded(s.jpeg());
      double sum = 0;
      for (int y = 1; y < s.rows() - 1; y++) {
        for (int x = 0; x < 1600; x++) {
          sum += Math.abs((part.getRGB(x, y) & 255) - (whole.getRGB(x, row + y) & 255));
        }
      }
      assertThat(sum / (1600 * s.rows())).isCloseTo(0, within(0.1));
      row += s.rows();
    }
  }

  @Test
  void betterQualityIsNearerAndLarger() throws IOException {
    Picture p = room(320, 200);
    for (int i = 0; i < 320 * 200; i++) {
      p.g()[i] += (float) (0.05 * Math.sin(i % 320 * 0.9) * Math.sin(i / 320 * 0.7));
    }
    byte[] low = ScreenJpeg.of(p, 0.5);
    byte[] high = ScreenJpeg.of(p, 0.95);
    assertThat(high.length).isGreaterThan(low.length);
    assertThat(error(p, decoded(high), 0)).isLessThan(error(p, decoded(low), 0));
  }
}
