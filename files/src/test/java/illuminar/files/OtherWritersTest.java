package illuminar.files;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;
import static org.assertj.core.api.Assertions.within;

import illuminar.core.frame.Codes;
import java.awt.image.BufferedImage;
import java.awt.image.IndexColorModel;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Iterator;
import java.util.Random;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageTypeSpecifier;
import javax.imageio.ImageWriteParam;
import javax.imageio.ImageWriter;
import javax.imageio.stream.ImageOutputStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Pictures that other programs wrote, here the JDK's own writers (javax.imageio). */
class OtherWritersTest {
  private static final int W = 60;
  private static final int H = 44;

  @TempDir private Path dir;

  private static BufferedImage colours() {
    BufferedImage image = new BufferedImage(W, H, BufferedImage.TYPE_INT_RGB);
    for (int y = 0; y < H; y++) {
      for (int x = 0; x < W; x++) {
        image.setRGB(x, y, (x * 4) << 16 | (y * 5) << 8 | 90);
      }
    }
    return image;
  }

  private static void same(Codes codes) {
    assertThat(codes.width()).isEqualTo(W);
    assertThat(codes.height()).isEqualTo(H);
    for (int y = 0; y < H; y++) {
      for (int x = 0; x < W; x++) {
        int i = 3 * (y * W + x);
        assertThat(codes.eight()[i] & 255).isEqualTo(x * 4);
        assertThat(codes.eight()[i + 1] & 255).isEqualTo(y * 5);
        assertThat(codes.eight()[i + 2] & 255).isEqualTo(90);
      }
    }
  }

  /** Source of the names: TIFF 6.0, section 8, and its technical note on Deflate. */
  @ParameterizedTest
  @ValueSource(strings = {"LZW", "Deflate", "PackBits", "ZLib"})
  void compressedTiffComesBackExactly(String compression) throws Exception {
    Path file = dir.resolve("c.tif");
    ImageWriter writer = ImageIO.getImageWritersByFormatName("tiff").next();
    ImageWriteParam param = writer.getDefaultWriteParam();
    param.setCompressionMode(ImageWriteParam.MODE_EXPLICIT);
    param.setCompressionType(compression);
    write(writer, param, colours(), file);
    same(PictureReader.pixels(file, "c.tif"));
  }

  /** Source: TIFF 6.0, section 15. */
  @ParameterizedTest
  @ValueSource(strings = {"LZW", "Deflate"})
  void tiledTiffComesBackExactly(String compression) throws Exception {
    Path file = dir.resolve("t.tif");
    ImageWriter writer = JdkWriters.of("tiff");
    ImageWriteParam param = writer.getDefaultWriteParam();
    param.setCompressionMode(ImageWriteParam.MODE_EXPLICIT);
    param.setCompressionType(compression);
    param.setTilingMode(ImageWriteParam.MODE_EXPLICIT);
    param.setTiling(16, 16, 0, 0);
    write(writer, param, colours(), file);
    same(PictureReader.pixels(file, "t.tif"));
  }

  /**
   * A TIFF with offsets of eight bytes, for files over 4 GB. Source: the BigTIFF design of 2007, as
   * libtiff writes it: 43, size of offsets, 0, offset of the first directory.
   */
  @Test
  void bigTiffComesBackExactly() throws Exception {
    int pixels = 256;
    // tag, type, how many, value: three 16-bit values lie in one field of eight bytes
    long[][] entries = {
      {256, 3, 1, W},
      {257, 3, 1, H},
      {258, 3, 3, 8 | 8 << 16 | 8L << 32},
      {259, 3, 1, 1},
      {262, 3, 1, 2},
      {273, 16, 1, pixels},
      {277, 3, 1, 3},
      {278, 3, 1, H},
      {279, 16, 1, 3 * W * H},
    };
    ByteBuffer out = ByteBuffer.allocate(pixels + 3 * W * H).order(ByteOrder.LITTLE_ENDIAN);
    out.put(new byte[] {'I', 'I', 43, 0, 8, 0, 0, 0}).putLong(16);
    out.putLong(entries.length);
    for (long[] e : entries) {
      out.putShort((short) e[0]).putShort((short) e[1]).putLong(e[2]).putLong(e[3]);
    }
    out.putLong(0);
    BufferedImage image = colours();
    out.position(pixels);
    for (int i = 0; i < W * H; i++) {
      int rgb = image.getRGB(i % W, i / W);
      out.put((byte) (rgb >> 16)).put((byte) (rgb >> 8)).put((byte) rgb);
    }
    Path file = dir.resolve("big.tif");
    Files.write(file, out.array());
    same(PictureReader.pixels(file, "big.tif"));
  }

  @Test
  void aProgressiveJpegIsRead() throws Exception {
    Path file = dir.resolve("p.jpg");
    ImageWriter writer = ImageIO.getImageWritersByFormatName("jpeg").next();
    ImageWriteParam param = writer.getDefaultWriteParam();
    param.setProgressiveMode(ImageWriteParam.MODE_DEFAULT);
    param.setCompressionMode(ImageWriteParam.MODE_EXPLICIT);
    param.setCompressionQuality(0.98f);
    write(writer, param, colours(), file);
    Codes codes = PictureReader.pixels(file, "p.jpg");
    int middle = 3 * (H / 2 * W + W / 2);
    assertThat(codes.eight()[middle] & 255).isCloseTo(W / 2 * 4, within(8));
    assertThat(codes.eight()[middle + 2] & 255).isCloseTo(90, within(8));
  }

  @Test
  void greyPicturesHaveThreeEqualChannels() throws Exception {
    BufferedImage grey = new BufferedImage(W, H, BufferedImage.TYPE_BYTE_GRAY);
    BufferedImage deep = new BufferedImage(W, H, BufferedImage.TYPE_USHORT_GRAY);
    for (int y = 0; y < H; y++) {
      for (int x = 0; x < W; x++) {
        grey.getRaster().setSample(x, y, 0, 4 * x);
        deep.getRaster().setSample(x, y, 0, 1000 * x);
      }
    }
    Path eight = png(grey, "g8.png");
    Path sixteen = png(deep, "g16.png");
    Codes g16 = PictureReader.pixels(sixteen, "g16.png");
    assertThat(g16.sixteen()[3 * 20] & 65535).isEqualTo(20_000);
    assertThat(g16.sixteen()[3 * 20 + 2]).isEqualTo(g16.sixteen()[3 * 20]);
    Codes g8 = PictureReader.pixels(eight, "g8.png");
    assertThat(g8.eight()[3 * 20]).isEqualTo(g8.eight()[3 * 20 + 1]);
    assertThat(g8.eight()[3 * 20 + 2]).isEqualTo(g8.eight()[3 * 20 + 1]);
  }

  @Test
  void aPaletteIsLookedUp() throws Exception {
    byte[] r = {0, (byte) 250};
    byte[] g = {10, (byte) 130};
    byte[] b = {20, 40};
    BufferedImage image =
        new BufferedImage(W, H, BufferedImage.TYPE_BYTE_BINARY, new IndexColorModel(1, 2, r, g, b));
    image.getRaster().setSample(5, 7, 0, 1);
    Codes codes = PictureReader.pixels(png(image, "i.png"), "i.png");
    int at = 3 * (7 * W + 5);
    assertThat(codes.eight()[at] & 255).isEqualTo(250);
    assertThat(codes.eight()[at + 1] & 255).isEqualTo(130);
    assertThat(codes.eight()[at + 3] & 255).isZero();
    assertThat(codes.eight()[at + 5] & 255).isEqualTo(20);
  }

  @Test
  void transparencyIsLeftAside() throws Exception {
    BufferedImage image = new BufferedImage(W, H, BufferedImage.TYPE_INT_ARGB);
    for (int y = 0; y < H; y++) {
      for (int x = 0; x < W; x++) {
        image.setRGB(x, y, 255 << 24 | (x * 4) << 16 | (y * 5) << 8 | 90);
      }
    }
    same(PictureReader.pixels(png(image, "a.png"), "a.png"));
  }

  /** Whatever is broken in a file, it is refused by name, and never with another exception. */
  @ParameterizedTest
  @ValueSource(strings = {"png", "jpg", "tif"})
  void damagedFilesAreReadOrRefused(String ending) throws Exception {
    Path whole = dir.resolve("whole." + ending);
    switch (ending) {
      case "png" -> png(colours(), "whole.png");
      case "jpg" -> ImageIO.write(colours(), "jpeg", whole.toFile());
      default -> ImageIO.write(colours(), "tiff", whole.toFile());
    }
    byte[] bytes = Files.readAllBytes(whole);
    Random random = new Random(ending.hashCode());
    for (int k = 0; k < 150; k++) {
      byte[] broken = bytes.clone();
      for (int n = 0; n < 1 + k % 4; n++) {
        broken[random.nextInt(broken.length)] = (byte) random.nextInt(256);
      }
      int length = k % 5 == 0 ? random.nextInt(bytes.length) : bytes.length;
      Path file = dir.resolve("broken." + ending);
      Files.write(file, java.util.Arrays.copyOf(broken, length));
      assertThatCode(() -> readOrRefused(file)).as("damage %d", k).doesNotThrowAnyException();
    }
  }

  private static void readOrRefused(Path file) {
    String name = file.getFileName().toString();
    try {
      Codes codes = PictureReader.pixels(file, name);
      assertThat(codes.width()).isPositive();
    } catch (BadPicture e) {
      assertThat(e).hasMessageStartingWith(name + ": ");
    }
  }

  private Path png(BufferedImage image, String name) throws IOException {
    Path file = dir.resolve(name);
    Iterator<ImageWriter> writers =
        ImageIO.getImageWriters(ImageTypeSpecifier.createFromRenderedImage(image), "png");
    write(writers.next(), null, image, file);
    return file;
  }

  private static void write(
      ImageWriter writer, ImageWriteParam param, BufferedImage image, Path file)
      throws IOException {
    Files.deleteIfExists(file);
    try (ImageOutputStream out = ImageIO.createImageOutputStream(file.toFile())) {
      writer.setOutput(out);
      writer.write(null, new IIOImage(image, null, null), param);
    } finally {
      writer.dispose();
    }
  }
}
