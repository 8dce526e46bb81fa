package illuminar.files;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import com.drew.imaging.ImageMetadataReader;
import com.drew.metadata.Metadata;
import com.drew.metadata.exif.ExifIFD0Directory;
import com.drew.metadata.exif.ExifSubIFDDirectory;
import com.drew.metadata.icc.IccDirectory;
import com.drew.metadata.xmp.XmpDirectory;
import illuminar.core.exposure.Exposure;
import illuminar.core.frame.Codes;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.Arrays;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class PictureFilesTest {
  @TempDir private Path dir;

  private static final Legend LEGEND =
      new Legend(
          Optional.of(new Exposure(1 / 64.0, 8, 100)),
          Optional.of(LocalDateTime.of(2026, 6, 11, 12, 4, 10, 350_000_000)),
          Optional.of(ZoneOffset.ofHoursMinutes(5, 30)),
          Optics.of("Fennick 17-35", 17.5, 0),
          new MakeAndModel("Fennick", "F1"),
          true,
          1,
          Credits.of("© 2026 Heathlight Studio"),
          3);

  private static byte[] rgb(int w, int h) {
    byte[] out = new byte[w * h * 3];
    for (int i = 0; i < w * h; i++) {
      out[3 * i] = (byte) (i % w * 2);
      out[3 * i + 1] = (byte) (i / w * 3);
      out[3 * i + 2] = (byte) 120;
    }
    return out;
  }

  private static short[] rgb16(int w, int h) {
    short[] out = new short[w * h * 3];
    for (int i = 0; i < out.length; i++) {
      out[i] = (short) (i * 37);
    }
    return out;
  }

  private Path jpeg(Legend legend) throws IOException {
    Path file = dir.resolve("a.jpg");
    try (OutputStream out = Files.newOutputStream(file)) {
      PictureWriter.jpeg(PictureWriter.image8(96, 64, rgb(96, 64)), 0.95, legend, out);
    }
    return file;
  }

  /** Read back by an independent reader. Source: EXIF 2.32, IPTC NewsCodes digitalsourcetype. */
  @Test
  void jpegCarriesWhatItShould() throws Exception {
    Metadata m = ImageMetadataReader.readMetadata(jpeg(LEGEND).toFile());
    ExifSubIFDDirectory exif = m.getFirstDirectoryOfType(ExifSubIFDDirectory.class);
    assertThat(exif.getRational(ExifSubIFDDirectory.TAG_EXPOSURE_TIME).doubleValue())
        .isCloseTo(1 / 64.0, within(1e-4));
    assertThat(exif.getInt(ExifSubIFDDirectory.TAG_FLASH) & 1).isEqualTo(1);
    assertThat(exif.getString(ExifSubIFDDirectory.TAG_DATETIME_ORIGINAL))
        .isEqualTo("2026:06:11 12:04:10");
    assertThat(
            m.getFirstDirectoryOfType(ExifIFD0Directory.class)
                .getString(ExifIFD0Directory.TAG_COPYRIGHT))
        .isEqualTo("(c) 2026 Heathlight Studio");
    assertThat(m.getFirstDirectoryOfType(IccDirectory.class)).isNotNull();
    assertThat(m.getFirstDirectoryOfType(XmpDirectory.class).getXmpProperties().values())
        .contains("http://cv.iptc.org/newscodes/digitalsourcetype/compositeCapture");
  }

  @Test
  void captureComesBackAsWritten() throws Exception {
    Capture c = PictureReader.capture(jpeg(LEGEND), "a.jpg");
    assertThat(c.exposure().orElseThrow().stops()).isCloseTo(-12, within(0.001));
    assertThat(c.taken()).contains(LocalDateTime.of(2026, 6, 11, 12, 4, 10, 350_000_000));
    assertThat(c.flash()).isTrue();
    assertThat(c.camera()).isEqualTo(new MakeAndModel("Fennick", "F1"));
    assertThat(c.offset()).contains(ZoneOffset.ofHoursMinutes(5, 30));
    assertThat(c.optics()).isEqualTo(Optics.of("Fennick 17-35", 17.5, 0));
  }

  @Test
  void sixteenBitTiffComesBackExactly() throws Exception {
    Path file = dir.resolve("a.tif");
    short[] codes = rgb16(50, 40);
    PictureWriter.tiff(PictureWriter.image16(50, 40, codes), LEGEND, file);
    Codes back = PictureReader.pixels(file, "a.tif");
    assertThat(back.sixteen()).isEqualTo(codes);
    assertThat(back.linear()).isFalse();
    Metadata m = ImageMetadataReader.readMetadata(file.toFile());
    assertThat(m.getFirstDirectoryOfType(IccDirectory.class)).isNotNull();
    assertThat(PictureReader.capture(file, "a.tif").exposure().orElseThrow().stops())
        .isCloseTo(-12, within(0.01));
  }

  @Test
  void aLinearTiffIsTakenAsLinear() throws Exception {
    Path file = dir.resolve("l.tif");
    PictureWriter.linearTiff(PictureWriter.image16(50, 40, rgb16(50, 40)), LEGEND, file);
    assertThat(PictureReader.pixels(file, "l.tif").linear()).isTrue();
  }

  @Test
  void sixteenBitPngComesBackExactlyWithItsSourceType() throws Exception {
    Path file = dir.resolve("a.png");
    short[] codes = rgb16(50, 40);
    try (OutputStream out = Files.newOutputStream(file)) {
      PictureWriter.png(PictureWriter.image16(50, 40, codes), LEGEND, out);
    }
    assertThat(PictureReader.pixels(file, "a.png").sixteen()).isEqualTo(codes);
    String bytes = Files.readString(file, StandardCharsets.ISO_8859_1);
    assertThat(bytes).contains("iCCP").contains("compositeCapture");
  }

  /** Where the corner that was red ends up. Source: EXIF 2.32, tag 274. */
  @ParameterizedTest
  @CsvSource({"1,0,0", "2,95,0", "3,95,63", "4,0,63", "5,0,0", "6,63,0", "7,63,95", "8,0,95"})
  void picturesStandUpright(int orientation, int x, int y) throws Exception {
    byte[] pixels = new byte[96 * 64 * 3];
    for (int v = 0; v < 8; v++) {
      for (int u = 0; u < 8; u++) {
        pixels[(v * 96 + u) * 3] = (byte) 255;
      }
    }
    Path file = dir.resolve("o.jpg");
    Legend turned =
        new Legend(
            Optional.empty(), Optional.empty(), MakeAndModel.UNKNOWN, false, orientation, "", 0);
    try (OutputStream out = Files.newOutputStream(file)) {
      PictureWriter.jpeg(PictureWriter.image8(96, 64, pixels), 0.95, turned, out);
    }
    Codes c = PictureReader.pixels(file, "o.jpg");
    assertThat(c.width()).isEqualTo(orientation >= 5 ? 64 : 96);
    assertThat(c.eight()[(y * c.width() + x) * 3] & 255).isGreaterThan(200);
  }

  private void refused(Path file, String reason) {
    String name = file.getFileName().toString();
    assertThatThrownBy(() -> PictureReader.pixels(file, name))
        .isInstanceOf(BadPicture.class)
        .hasMessageStartingWith(name + ": ")
        .hasMessageContaining(reason);
  }

  @Test
  void badFilesAreRefusedByNameAndReason() throws Exception {
    byte[] whole = Files.readAllBytes(jpeg(LEGEND));
    Path cut = Files.write(dir.resolve("cut.jpg"), Arrays.copyOf(whole, whole.length / 2));
    Path empty = Files.write(dir.resolve("empty.jpg"), new byte[0]);
    Path text = Files.writeString(dir.resolve("notes.jpg"), "white balance 5600, two flashes");
    refused(cut, "cut short");
    refused(empty, "empty");
    refused(text, "not a JPEG, PNG, TIFF or raw picture");
  }

  /** Comments, T.81 B.2.4.5: hundreds are a long note, a million costs every reader seconds. */
  @Test
  void aMillionCommentsAreRefusedAndHundredsAreNot() throws Exception {
    byte[] whole = Files.readAllBytes(jpeg(LEGEND));
    refused(commented(whole, 1_000_000), "more notes than a picture has");
    Path some = commented(whole, 500);
    assertThat(PictureReader.pixels(some, "long.jpg").eight())
        .isEqualTo(PictureReader.pixels(jpeg(LEGEND), "whole.jpg").eight());
  }

  private Path commented(byte[] jpeg, int times) throws IOException {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    out.write(jpeg, 0, 2);
    for (int k = 0; k < times; k++) {
      out.write(new byte[] {-1, (byte) 0xfe, 0, 2});
    }
    out.write(jpeg, 2, jpeg.length - 2);
    return Files.write(dir.resolve("commented-" + times + ".jpg"), out.toByteArray());
  }

  @Test
  void aWrongNameDoesNotMatter() throws Exception {
    Path file = dir.resolve("really.jpg");
    try (OutputStream out = Files.newOutputStream(file)) {
      PictureWriter.png(PictureWriter.image8(40, 30, rgb(40, 30)), Legend.NONE, out);
    }
    assertThat(PictureReader.header(file, "really.jpg").format()).isEqualTo("png");
    assertThat(PictureReader.pixels(file, "really.jpg").width()).isEqualTo(40);
  }

  /** A header that claims 60000×60000 is refused before anything is decoded. */
  @Test
  void aGiantHeaderIsRefused() throws Exception {
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    bytes.write(new byte[] {(byte) 0x89, 'P', 'N', 'G', 13, 10, 26, 10});
    byte[] head =
        ByteBuffer.allocate(13)
            .putInt(60_000)
            .putInt(60_000)
            .put(new byte[] {8, 2, 0, 0, 0})
            .array();
    bytes.write(PngChunks.chunk("IHDR", head));
    refused(Files.write(dir.resolve("giant.png"), bytes.toByteArray()), "60000×60000");
  }

  @Test
  void tinyPicturesAreRefused() throws Exception {
    Path file = dir.resolve("tiny.png");
    try (OutputStream out = Files.newOutputStream(file)) {
      PictureWriter.png(PictureWriter.image8(8, 8, rgb(8, 8)), Legend.NONE, out);
    }
    refused(file, "only 8×8");
  }

  @Test
  void missingTagsAreNoError() throws Exception {
    Path file = dir.resolve("bare.png");
    javax.imageio.ImageIO.write(
        new BufferedImage(40, 30, BufferedImage.TYPE_INT_RGB), "png", file.toFile());
    Capture c = PictureReader.capture(file, "bare.png");
    assertThat(c.exposure()).isEmpty();
    assertThat(c.taken()).isEmpty();
    assertThat(c.orientation()).isEqualTo(1);
  }
}
