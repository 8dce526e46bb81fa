package illuminar.files;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import illuminar.core.colour.Matrix3;
import illuminar.core.colour.Primaries;
import illuminar.core.colour.Space;
import illuminar.core.colour.Srgb;
import illuminar.core.colour.Transfer;
import illuminar.core.frame.Codes;
import java.awt.color.ICC_ProfileRGB;
import java.awt.image.BufferedImage;
import java.awt.image.WritableRaster;
import java.io.ByteArrayOutputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageWriter;
import javax.imageio.stream.ImageOutputStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * Pictures in other colours than sRGB. The profiles are built here, by ICC.1:2001-04; the colours
 * expected are those of the published primaries (ITU-R BT.2020, BT.709, Bradford).
 */
class ProfilesTest {
  @TempDir private Path dir;

  private static final int SIDE = 32;

  /** A matrix profile of BT.2020's primaries with one gamma. */
  static byte[] wide(double gamma) throws IOException {
    Matrix3 m = Space.WORK_TO_XYZ_D50;
    List<byte[]> data = new ArrayList<>();
    List<String> tags =
        List.of("desc", "cprt", "wtpt", "rXYZ", "gXYZ", "bXYZ", "rTRC", "gTRC", "bTRC");
    data.add(description());
    data.add(bytes("text", "none\0".getBytes(StandardCharsets.US_ASCII)));
    data.add(xyz(Space.D50_X, 1, Space.D50_Z));
    data.add(xyz(m.a(), m.d(), m.g()));
    data.add(xyz(m.b(), m.e(), m.h()));
    data.add(xyz(m.c(), m.f(), m.i()));
    for (int c = 0; c < 3; c++) {
      ByteArrayOutputStream curve = new ByteArrayOutputStream();
      DataOutputStream out = new DataOutputStream(curve);
      out.writeInt(1);
      out.writeShort((int) Math.round(gamma * 256));
      out.writeShort(0);
      data.add(bytes("curv", curve.toByteArray()));
    }
    int at = 128 + 4 + 12 * tags.size();
    ByteArrayOutputStream table = new ByteArrayOutputStream();
    DataOutputStream out = new DataOutputStream(table);
    out.writeInt(tags.size());
    int size = at;
    for (int i = 0; i < tags.size(); i++) {
      out.writeBytes(tags.get(i));
      out.writeInt(size);
      out.writeInt(data.get(i).length);
      size += data.get(i).length;
    }
    ByteArrayOutputStream whole = new ByteArrayOutputStream();
    DataOutputStream head = new DataOutputStream(whole);
    head.writeInt(size);
    head.writeInt(0);
    head.writeInt(0x02400000);
    head.writeBytes("mntrRGB XYZ ");
    head.write(new byte[12]);
    head.writeBytes("acsp");
    head.write(new byte[28]);
    head.writeInt((int) Math.round(Space.D50_X * 65536));
    head.writeInt(65536);
    head.writeInt((int) Math.round(Space.D50_Z * 65536));
    head.write(new byte[48]);
    head.write(table.toByteArray());
    for (byte[] d : data) {
      head.write(d);
    }
    return whole.toByteArray();
  }

  private static byte[] bytes(String type, byte[] value) throws IOException {
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    DataOutputStream out = new DataOutputStream(bytes);
    out.writeBytes(type);
    out.writeInt(0);
    out.write(value);
    while (bytes.size() % 4 != 0) {
      out.write(0);
    }
    return bytes.toByteArray();
  }

  private static byte[] xyz(double x, double y, double z) throws IOException {
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    DataOutputStream out = new DataOutputStream(bytes);
    for (double v : new double[] {x, y, z}) {
      out.writeInt((int) Math.round(v * 65536));
    }
    return bytes("XYZ ", bytes.toByteArray());
  }

  private static byte[] description() throws IOException {
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    DataOutputStream out = new DataOutputStream(bytes);
    out.writeInt(5);
    out.writeBytes("wide\0");
    out.write(new byte[4 + 4 + 2 + 1 + 67]);
    return bytes("desc", bytes.toByteArray());
  }

  private static BufferedImage even(int r, int g, int b) {
    short[] codes = new short[3 * SIDE * SIDE];
    for (int i = 0; i < codes.length; i += 3) {
      codes[i] = (short) r;
      codes[i + 1] = (short) g;
      codes[i + 2] = (short) b;
    }
    return PictureWriter.image16(SIDE, SIDE, codes);
  }

  /** What a code of the wide space is in linear sRGB. */
  private static double[] srgb(int r, int g, int b, double gamma) {
    double[] light = new double[3];
    int[] codes = {r, g, b};
    for (int c = 0; c < 3; c++) {
      light[c] = Math.pow(codes[c] / 65535.0, gamma);
    }
    return Space.WORK_TO_SRGB.apply(light[0], light[1], light[2]);
  }

  @ParameterizedTest
  @CsvSource({
    "32768, 32768, 32768, 2.2",
    "60000, 60000, 60000, 2.2",
    "40000, 36000, 30000, 2.2",
    "30000, 33000, 36000, 2.2",
    "30000, 30000, 30000, 1.0",
    "40000, 36000, 30000, 1.0"
  })
  void aWidePictureIsConvertedByItsProfile(int r, int g, int b, double gamma) throws Exception {
    Path file = dir.resolve("wide.tif");
    PictureWriter.tiff(even(r, g, b), Legend.NONE, wide(gamma), file);
    Codes codes = PictureReader.pixels(file, "wide.tif");
    assertThat(codes.linear()).isEqualTo(gamma == 1);
    double[] want = srgb(r, g, b, gamma);
    for (int c = 0; c < 3; c++) {
      double is = codes.at(3 * 40 + c);
      double expected = gamma == 1 ? want[c] : Srgb.encode(want[c]);
      assertThat(is).as("channel %d", c).isCloseTo(expected, within(0.003));
    }
  }

  /** What sRGB cannot show has channels below 0 and above 1, and is the same light. */
  @ParameterizedTest
  @CsvSource({
    "0, 60000, 0, 2.2",
    "60000, 0, 0, 2.2",
    "6000, 9000, 50000, 2.2",
    "0, 40000, 0, 1.0",
    "60000, 8000, 4000, 1.0"
  })
  void whatLiesBeyondIsKept(int r, int g, int b, double gamma) throws Exception {
    Path file = dir.resolve("green.tif");
    PictureWriter.tiff(even(r, g, b), Legend.NONE, wide(gamma), file);
    Codes codes = PictureReader.pixels(file, "green.tif");
    assertThat(codes.wide()).isTrue();
    double[] want = srgb(r, g, b, gamma);
    for (int c = 0; c < 3; c++) {
      double is = codes.at(3 * 40 + c);
      double light = gamma == 1 ? is : Srgb.decodeWide((float) is);
      assertThat(light).as("channel %d", c).isCloseTo(want[c], within(0.004));
    }
  }

  /** In 8 bits too, by a part of the picture's codes' steps. */
  @Test
  void eightBitsOfAWideProfileAreKept() throws Exception {
    BufferedImage image = new BufferedImage(SIDE, SIDE, BufferedImage.TYPE_3BYTE_BGR);
    for (int i = 0; i < SIDE * SIDE; i++) {
      image.setRGB(i % SIDE, i / SIDE, 10 << 16 | 200 << 8 | 60);
    }
    Path file = dir.resolve("eight.tif");
    PictureWriter.tiff(image, Legend.NONE, wide(2.2), file);
    Codes codes = PictureReader.pixels(file, "eight.tif");
    assertThat(codes.wide()).isTrue();
    double[] want = srgb(10 * 257, 200 * 257, 60 * 257, 2.2);
    for (int c = 0; c < 3; c++) {
      double light = Srgb.decodeWide((float) codes.at(3 * 40 + c));
      assertThat(light).as("channel %d", c).isCloseTo(want[c], within(0.002));
    }
  }

  /** A profile of sRGB's primaries with another curve needs no wide codes. */
  @Test
  void aNarrowProfileNeedsNoWideCodes() throws Exception {
    Path file = dir.resolve("linear.tif");
    byte[] profile = MatrixProfile.of(Primaries.SRGB, Transfer.LINEAR, "narrow").getData();
    PictureWriter.tiff(even(30000, 20000, 1000), Legend.NONE, profile, file);
    assertThat(PictureReader.pixels(file, "linear.tif").wide()).isFalse();
  }

  /** Our own profiles say what ICC.1 has of them, read by Java's colour management. */
  @Test
  void ownProfilesSayTheirPrimaries() {
    ICC_ProfileRGB profile =
        (ICC_ProfileRGB) MatrixProfile.of(Primaries.ROMM, Transfer.LINEAR, "wide");
    // ISO 22028-2, table 2: ROMM RGB's linear light to XYZ of D50
    double[][] romm = {
      {0.7977, 0.1352, 0.0313}, {0.2880, 0.7119, 0.0001}, {0.0000, 0.0000, 0.8249}
    };
    for (int i = 0; i < 9; i++) {
      assertThat((double) profile.getMatrix()[i / 3][i % 3])
          .isCloseTo(romm[i / 3][i % 3], within(0.001));
    }
    ICC_ProfileRGB display =
        (ICC_ProfileRGB) MatrixProfile.of(Primaries.ROMM, Transfer.SRGB, "wide");
    short[] curve = display.getTRC(ICC_ProfileRGB.GREENCOMPONENT);
    double middle = (curve[curve.length / 2] & 65535) / 65535.0;
    assertThat(middle).isCloseTo(Srgb.decode(0.5), within(0.0003));
  }

  /** Our own profile is left alone, bit by bit. */
  @Test
  void sRgbIsNotConverted() throws Exception {
    BufferedImage image = even(12345, 40000, 777);
    Path file = dir.resolve("srgb.tif");
    PictureWriter.tiff(image, Legend.NONE, file);
    Codes codes = PictureReader.pixels(file, "srgb.tif");
    assertThat(codes.sixteen()[0]).isEqualTo((short) 12345);
    assertThat(codes.sixteen()[2]).isEqualTo((short) 777);
  }

  /** Grey is as bright as its code says: display codes, as in colour. */
  @Test
  void greyKeepsItsCodes() throws Exception {
    BufferedImage grey = new BufferedImage(SIDE, SIDE, BufferedImage.TYPE_BYTE_GRAY);
    WritableRaster raster = grey.getRaster();
    for (int i = 0; i < SIDE * SIDE; i++) {
      raster.setSample(i % SIDE, i / SIDE, 0, 80);
    }
    for (String ending : List.of("png", "jpeg")) {
      Path file = dir.resolve("grey." + ending);
      ImageIO.write(grey, ending, file.toFile());
      Codes codes = PictureReader.pixels(file, "grey");
      assertThat(codes.eight()[3 * 99] & 255).as(ending).isCloseTo(80, within(1));
      assertThat(codes.eight()[3 * 99 + 2]).isEqualTo(codes.eight()[3 * 99]);
    }
  }

  /** Four bands without a profile are CMYK to whoever reads JPEG. */
  @Test
  void fourInksAreRefusedByName() throws Exception {
    WritableRaster inks =
        java.awt.image.Raster.createInterleavedRaster(
            java.awt.image.DataBuffer.TYPE_BYTE, SIDE, SIDE, 4, null);
    Path file = dir.resolve("inks.jpg");
    ImageWriter writer = JdkWriters.of("jpeg");
    try (ImageOutputStream out = ImageIO.createImageOutputStream(file.toFile())) {
      writer.setOutput(out);
      writer.write(null, new IIOImage(inks, null, null), null);
    } finally {
      writer.dispose();
    }
    assertThatThrownBy(() -> PictureReader.pixels(file, "inks.jpg"))
        .isInstanceOf(BadPicture.class)
        .hasMessage("inks.jpg: its colours are neither RGB nor grey; convert it to RGB");
  }
}
