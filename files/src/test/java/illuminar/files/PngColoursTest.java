package illuminar.files;

import static illuminar.files.PngChunks.chunk;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import illuminar.core.colour.Space;
import illuminar.core.colour.Srgb;
import illuminar.core.frame.Codes;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.zip.DeflaterOutputStream;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * What the chunks of a PNG say of its colours. Sources: W3C PNG Specification, Third Edition, 4.3,
 * 11.3.2; ITU-T H.273 tables 2 and 3; W3C CSS Color 4 for sRGB's red in Display P3.
 */
class PngColoursTest {
  private static final int SIDE = 24;

  /** BT.709's white and primaries, as cHRM writes them. */
  private static final int[] BT_709 = {31270, 32900, 64000, 33000, 30000, 60000, 15000, 6000};

  @TempDir private Path dir;

  private static byte[] gamma(int v) throws IOException {
    return chunk("gAMA", ints(v));
  }

  private static byte[] ints(int... values) {
    ByteBuffer out = ByteBuffer.allocate(4 * values.length);
    for (int v : values) {
      out.putInt(v);
    }
    return out.array();
  }

  private static byte[] cicp(int... p) throws IOException {
    return chunk("cICP", new byte[] {(byte) p[0], (byte) p[1], (byte) p[2], (byte) p[3]});
  }

  private static byte[] profile(byte[] icc) throws IOException {
    ByteArrayOutputStream content = new ByteArrayOutputStream();
    content.write("own".getBytes(StandardCharsets.US_ASCII));
    content.write(new byte[2]);
    try (DeflaterOutputStream deflated = new DeflaterOutputStream(content)) {
      deflated.write(icc);
    }
    return chunk("iCCP", content.toByteArray());
  }

  /** An even picture of 8 bits with chunks behind its header. */
  private Path png(int r, int g, int b, byte[]... chunks) throws IOException {
    BufferedImage image = new BufferedImage(SIDE, SIDE, BufferedImage.TYPE_3BYTE_BGR);
    for (int i = 0; i < SIDE * SIDE; i++) {
      image.setRGB(i % SIDE, i / SIDE, r << 16 | g << 8 | b);
    }
    ByteArrayOutputStream plain = new ByteArrayOutputStream();
    ImageIO.write(image, "png", plain);
    return Files.write(dir.resolve("p.png"), PngChunks.with(plain.toByteArray(), chunks));
  }

  /** The picture's code as read, 0 to 1. */
  private static double[] read(Path file) throws BadPicture {
    Codes codes = PictureReader.pixels(file, "p.png");
    double[] out = new double[3];
    for (int c = 0; c < 3; c++) {
      out[c] = codes.at(3 * 100 + c);
    }
    return out;
  }

  private static void same(double[] is, double... codes) {
    for (int c = 0; c < 3; c++) {
      assertThat(is[c]).as("channel %d", c).isCloseTo(codes[c] / 255, within(0.0022));
    }
  }

  @Test
  void codesProportionalToLightAreShownAsLight() throws Exception {
    double[] is = read(png(55, 110, 220, gamma(100_000)));
    for (int c = 0; c < 3; c++) {
      double light = new int[] {55, 110, 220}[c] / 255.0;
      assertThat(is[c]).isCloseTo(Srgb.encode(light), within(1e-4));
    }
  }

  @Test
  void theUsualGammaIsLeftAlone() throws Exception {
    same(read(png(55, 110, 220, gamma(45_455), chunk("cHRM", ints(BT_709)))), 55, 110, 220);
  }

  /** The first of cICP, iCCP, sRGB, gAMA that is there counts. */
  @Test
  void whatIsSaidFirstCounts() throws Exception {
    byte[] srgb = chunk("sRGB", new byte[1]);
    same(read(png(55, 110, 220, gamma(100_000), srgb)), 55, 110, 220);
    same(read(png(55, 110, 220, gamma(100_000), srgb, cicp(1, 13, 0, 1))), 55, 110, 220);
    double[] wide = read(png(55, 110, 220, profile(ProfilesTest.wide(1)), cicp(1, 13, 0, 1)));
    same(wide, 55, 110, 220);
  }

  /** Red of sRGB is color(display-p3 0.9175 0.2003 0.1386). */
  @Test
  void displayP3IsReadByItsNumbers() throws Exception {
    double[] red = read(png(234, 51, 35, cicp(12, 13, 0, 1)));
    assertThat(red[0]).isCloseTo(1, within(0.01));
    assertThat(red[1]).isLessThan(0.05);
    assertThat(red[2]).isLessThan(0.05);
    same(read(png(128, 128, 128, cicp(12, 13, 0, 1))), 128, 128, 128);
  }

  /**
   * Green of Display P3 is color(srgb -0.5116 1.0183 -0.3107). Source: W3C CSS Color 4, its code.
   */
  @Test
  void whatSrgbCannotShowIsKept() throws Exception {
    double[] green = read(png(0, 255, 0, cicp(12, 13, 0, 1)));
    assertThat(green[0]).isCloseTo(-0.5116, within(0.001));
    assertThat(green[1]).isCloseTo(1.0183, within(0.001));
    assertThat(green[2]).isCloseTo(-0.3107, within(0.001));
  }

  @Test
  void widePrimariesAreReadByTheirNumbersOrTheirProfile() throws Exception {
    double[] want = Space.WORK_TO_SRGB.apply(140 / 255.0, 130 / 255.0, 100 / 255.0);
    double[] byNumbers = read(png(140, 130, 100, cicp(9, 8, 0, 1)));
    double[] byChunks =
        read(
            png(
                140,
                130,
                100,
                gamma(100_000),
                chunk("cHRM", ints(31270, 32900, 70800, 29200, 17000, 79700, 13100, 4600))));
    double[] byProfile = read(png(140, 130, 100, profile(ProfilesTest.wide(1))));
    for (int c = 0; c < 3; c++) {
      assertThat(byNumbers[c]).isCloseTo(Srgb.encode(want[c]), within(0.001));
      assertThat(byChunks[c]).isCloseTo(Srgb.encode(want[c]), within(0.001));
      // by Java's own colour management
      assertThat(byProfile[c]).isCloseTo(Srgb.encode(want[c]), within(0.006));
    }
  }

  /** Broken profiles count as none; browsers do the same (common practice, no source). */
  @Test
  void aProfileThatIsNoneCountsAsNone() throws Exception {
    same(read(png(55, 110, 220, profile(new byte[300]))), 55, 110, 220);
  }

  @ParameterizedTest
  @ValueSource(ints = {16, 18})
  void tonesOfHdrScreensAreRefused(int transfer) throws Exception {
    Path file = png(55, 110, 220, cicp(9, transfer, 0, 1));
    assertThatThrownBy(() -> PictureReader.pixels(file, "p.png"))
        .isInstanceOf(BadPicture.class)
        .hasMessage("p.png: its tones are those of an HDR screen (PQ or HLG); convert it to sRGB");
  }

  @Test
  void senselessNumbersAreRefused() throws Exception {
    for (byte[] bad :
        new byte[][] {
          gamma(0), chunk("gAMA", new byte[3]), cicp(9, 13, 1, 1), cicp(77, 13, 0, 1)
        }) {
      Path file = png(55, 110, 220, bad);
      assertThatThrownBy(() -> PictureReader.pixels(file, "p.png"))
          .isInstanceOf(BadPicture.class)
          .hasMessageStartingWith("p.png: ");
    }
    Path file = png(55, 110, 220, gamma(50_000), chunk("cHRM", new byte[32]));
    assertThatThrownBy(() -> PictureReader.pixels(file, "p.png"))
        .hasMessage("p.png: its cHRM chunk names no colours");
  }
}
