package illuminar.files;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import illuminar.core.frame.Codes;
import java.awt.image.BufferedImage;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** JPEGs by libjpeg-turbo's command beside Java's ImageIO, which reads them another way. */
class TurboJpegTest {
  private static final Path FRAME = Path.of("../demo/card/FWH_0114.JPG");

  @TempDir private Path dir;

  @ParameterizedTest
  @ValueSource(strings = {"FWH_0112.JPG", "FWH_0114.JPG", "FWH_0116.JPG", "FWH_0143.JPG"})
  void codesAreThoseOfImageIo(String frame) throws Exception {
    Path file = Path.of("../demo/card").resolve(frame);
    BufferedImage image = ImageIO.read(file.toFile());
    Codes codes = new TurboJpeg(file, frame).pixels();
    assertThat(codes.width()).isEqualTo(image.getWidth());
    int[] want = image.getRGB(0, 0, codes.width(), codes.height(), null, 0, codes.width());
    int most = 0;
    for (int i = 0; i < want.length; i++) {
      for (int c = 0; c < 3; c++) {
        int is = codes.eight()[3 * i + c] & 255;
        most = Math.max(most, Math.abs((want[i] >> (16 - 8 * c) & 255) - is));
      }
    }
    assertThat(most).isZero();
  }

  @Test
  void aGlanceIsThePictureSmall() throws Exception {
    Codes whole = new TurboJpeg(FRAME, "frame").pixels();
    Codes small = PictureReader.glance(FRAME, "frame");
    assertThat(small.width()).isBetween(700, 1400);
    assertThat((double) small.height() / small.width())
        .isCloseTo((double) whole.height() / whole.width(), within(0.01));
    assertThat(small.middle()).isCloseTo(whole.middle(), within(0.01));
  }

  @Test
  void greyBecomesThreeAlike() throws Exception {
    BufferedImage grey = new BufferedImage(64, 48, BufferedImage.TYPE_BYTE_GRAY);
    grey.getRaster().setSamples(0, 0, 64, 48, 0, filled(64 * 48, 119));
    Path file = dir.resolve("grey.jpg");
    ImageIO.write(grey, "jpeg", file.toFile());
    assertThat(PictureReader.pixels(file, "grey.jpg").eight()).containsOnly(119);
  }

  private static int[] filled(int n, int with) {
    int[] out = new int[n];
    Arrays.fill(out, with);
    return out;
  }

  @Test
  void aFileThatIsCutShortIsNamed() throws Exception {
    byte[] all = Files.readAllBytes(FRAME);
    Path cut = dir.resolve("cut.jpg");
    Files.write(cut, Arrays.copyOf(all, all.length / 2));
    assertThatThrownBy(() -> PictureReader.pixels(cut, "cut.jpg"))
        .isInstanceOf(BadPicture.class)
        .hasMessage("cut.jpg: the file is damaged or cut short");
  }
}
