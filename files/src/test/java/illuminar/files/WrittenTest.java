package illuminar.files;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.drew.imaging.ImageMetadataReader;
import com.drew.metadata.Metadata;
import com.drew.metadata.exif.ExifIFD0Directory;
import com.drew.metadata.exif.ExifSubIFDDirectory;
import com.drew.metadata.jpeg.JpegDirectory;
import com.drew.metadata.png.PngDirectory;
import com.drew.metadata.xmp.XmpDirectory;
import illuminar.core.colour.Space;
import illuminar.core.exposure.Exposure;
import illuminar.core.frame.Codes;
import illuminar.core.picture.Picture;
import illuminar.core.render.OutputSpace;
import java.awt.color.ColorSpace;
import java.awt.color.ICC_ColorSpace;
import java.awt.color.ICC_Profile;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/**
 * What other programs read from written files. Sources: CIPA DC-008 (EXIF 2.32), IPTC Photo
 * Metadata Standard 2023.1; read back by metadata-extractor and by Java's colour management.
 */
class WrittenTest {
  @TempDir private Path dir;

  private static final Legend LEGEND =
      new Legend(
          Optional.of(new Exposure(1 / 60.0, 8, 200)),
          Optional.empty(),
          Optional.empty(),
          Optics.of("Fennick 17-35", 17.5, 0),
          new MakeAndModel("Fennick", "F1"),
          false,
          1,
          new Credits(
              "A. Heath",
              "© Heathlight",
              "Room with \"two\" <windows> & a desk",
              "Fennick Weather House",
              List.of("interior", "evening")),
          4);

  private static Metadata read(byte[] file) throws Exception {
    return ImageMetadataReader.readMetadata(new ByteArrayInputStream(file));
  }

  private static byte[] jpeg(Written how) throws Exception {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    byte[] codes = new byte[64 * 48 * how.space().channels()];
    PictureWriter.jpeg(PictureWriter.image8(64, 48, codes), how, LEGEND, out);
    return out.toByteArray();
  }

  private byte[] tiff() throws Exception {
    Path file = dir.resolve("a.tif");
    Written how = new Written(OutputSpace.DISPLAY_P3, 1, false, 300);
    PictureWriter.tiff(PictureWriter.image16(64, 48, new short[64 * 48 * 3]), how, LEGEND, file);
    return Files.readAllBytes(file);
  }

  @ParameterizedTest
  @CsvSource({"jpg", "tif"})
  void cameraLensAndCreditsAreReadByOthers(String ending) throws Exception {
    byte[] file =
        ending.equals("tif") ? tiff() : jpeg(new Written(OutputSpace.SRGB, 0.9, false, 300));
    Metadata m = read(file);
    ExifIFD0Directory root = m.getFirstDirectoryOfType(ExifIFD0Directory.class);
    assertThat(root.getString(ExifIFD0Directory.TAG_MAKE)).isEqualTo("Fennick");
    assertThat(root.getString(ExifIFD0Directory.TAG_MODEL)).isEqualTo("F1");
    assertThat(root.getString(ExifIFD0Directory.TAG_ARTIST)).isEqualTo("A. Heath");
    assertThat(root.getInt(ExifIFD0Directory.TAG_X_RESOLUTION)).isEqualTo(300);
    assertThat(root.getInt(ExifIFD0Directory.TAG_RESOLUTION_UNIT)).isEqualTo(2);
    ExifSubIFDDirectory exif = m.getFirstDirectoryOfType(ExifSubIFDDirectory.class);
    assertThat(exif.getString(ExifSubIFDDirectory.TAG_LENS_MODEL)).isEqualTo("Fennick 17-35");
    assertThat(exif.getDouble(ExifSubIFDDirectory.TAG_FOCAL_LENGTH)).isEqualTo(17.5);
    Map<String, String> xmp = m.getFirstDirectoryOfType(XmpDirectory.class).getXmpProperties();
    assertThat(xmp)
        .containsEntry("dc:creator[1]", "A. Heath")
        .containsEntry("dc:rights[1]", "© Heathlight")
        .containsEntry("dc:description[1]", "Room with \"two\" <windows> & a desk")
        .containsEntry("dc:subject[1]", "interior")
        .containsEntry("dc:subject[2]", "evening")
        .containsEntry("Iptc4xmpCore:Location", "Fennick Weather House");
  }

  /** Tag 0x9000, type 7, four bytes. Source: CIPA DC-008, 4.6.5. */
  @Test
  void theVersionOfExifIsOfUndefinedType() throws Exception {
    String file = new String(jpeg(Written.of(0.9)), StandardCharsets.ISO_8859_1);
    assertThat(file).contains("\0\u0090\7\0\4\0\0\0" + "0232");
  }

  /** Sampling factors of luminance. Source: ITU-T T.81, B.2.2. */
  @Test
  void colourIsKeptAtEveryPixelOnRequest() throws Exception {
    for (boolean full : new boolean[] {false, true}) {
      JpegDirectory frame =
          read(jpeg(new Written(OutputSpace.SRGB, 0.9, full, 0)))
              .getFirstDirectoryOfType(JpegDirectory.class);
      assertThat(frame.getNumberOfComponents()).isEqualTo(3);
      assertThat(frame.getComponent(0).getHorizontalSamplingFactor()).isEqualTo(full ? 1 : 2);
      assertThat(frame.getComponent(0).getVerticalSamplingFactor()).isEqualTo(full ? 1 : 2);
    }
  }

  /** Pixels to a metre. Source: ISO/IEC 15948, 11.3.5.3. */
  @Test
  void aPngSaysItsPrintSize() throws Exception {
    Path file = dir.resolve("a.png");
    Written how = new Written(OutputSpace.GREY, 1, false, 300);
    try (OutputStream out = Files.newOutputStream(file)) {
      PictureWriter.png(PictureWriter.image16(64, 48, new short[64 * 48]), how, LEGEND, out);
    }
    Metadata m = read(Files.readAllBytes(file));
    assertThat(
            m.getDirectoriesOfType(PngDirectory.class).stream()
                .filter(d -> d.containsTag(PngDirectory.TAG_PIXELS_PER_UNIT_X))
                .map(d -> d.getInteger(PngDirectory.TAG_PIXELS_PER_UNIT_X)))
        .containsExactly(11811);
    assertThat(PictureReader.pixels(file, "a.png").width()).isEqualTo(64);
  }

  /** One light in codes of each space means the same, as Java's colour management reads them. */
  @ParameterizedTest
  @EnumSource(OutputSpace.class)
  void everySpaceMeansTheSameLight(OutputSpace space) {
    double[][] lights = {{0.5, 0.5, 0.5}, {0.6, 0.3, 0.1}, {0.02, 0.1, 0.4}, {0.9, 0.85, 0.8}};
    ICC_ColorSpace read =
        new ICC_ColorSpace(ICC_Profile.getInstance(new Written(space, 1, false, 0).profile()));
    ColorSpace srgb = ColorSpace.getInstance(ColorSpace.CS_sRGB);
    for (double[] light : lights) {
      Picture p = Picture.of(1, 1);
      double[] work = Space.SRGB_TO_WORK.apply(light[0], light[1], light[2]);
      for (int c = 0; c < 3; c++) {
        p.channel(c)[0] = (float) work[c];
      }
      short[] codes = space.codes16(p);
      float[] values = new float[codes.length];
      for (int c = 0; c < codes.length; c++) {
        values[c] = (codes[c] & 65535) / 65535f;
      }
      float[] xyz = read.toCIEXYZ(values);
      float[] wanted = srgb.toCIEXYZ(srgbCodes(p));
      if (space == OutputSpace.GREY) {
        // ITU-R BT.709
        double luminance = 0.2126 * light[0] + 0.7152 * light[1] + 0.0722 * light[2];
        assertThat((double) xyz[1]).isCloseTo(luminance, within(0.003));
      } else {
        assertThat(xyz).containsExactly(wanted, within(0.003f));
      }
    }
  }

  private static float[] srgbCodes(Picture p) {
    short[] codes = OutputSpace.SRGB.codes16(p);
    float[] out = new float[3];
    for (int c = 0; c < 3; c++) {
      out[c] = (codes[c] & 65535) / 65535f;
    }
    return out;
  }

  /**
   * Colours and legend of a linear DNG. Sources: Digital Negative Specification 1.4; read by LibRaw
   * and by metadata-extractor.
   */
  @ParameterizedTest
  @EnumSource(OutputSpace.class)
  void aLinearDngIsReadAsLight(OutputSpace space) throws Exception {
    double[][] colours = {{0.9, 0.4, 0.1}, {0.02, 0.3, 0.6}, {0.5, 0.5, 0.5}};
    int width = 96;
    Picture p = Picture.of(width, 64);
    for (int i = 0; i < p.r().length; i++) {
      double[] rgb = colours[i % width / 32];
      double[] work = Space.SRGB_TO_WORK.apply(rgb[0], rgb[1], rgb[2]);
      for (int c = 0; c < 3; c++) {
        p.channel(c)[i] = (float) work[c];
      }
    }
    Path file = dir.resolve("view.dng");
    LinearDng.write(PictureWriter.image16(width, 64, space.codes16(p)), space, LEGEND, file);
    Codes back = PictureReader.pixels(file, "view.dng");
    assertThat(back.width()).isEqualTo(width);
    assertThat(back.linear()).isTrue();
    for (int k = 0; k < 3; k++) {
      double grey = 0.2126 * colours[k][0] + 0.7152 * colours[k][1] + 0.0722 * colours[k][2];
      for (int c = 0; c < 3; c++) {
        double wanted = space == OutputSpace.GREY ? grey : colours[k][c];
        assertThat(back.at(3 * (32 * width + 32 * k + 16) + c)).isCloseTo(wanted, within(0.004));
      }
    }
    Metadata meta = ImageMetadataReader.readMetadata(file.toFile());
    ExifIFD0Directory root = meta.getFirstDirectoryOfType(ExifIFD0Directory.class);
    assertThat(root.getString(ExifIFD0Directory.TAG_MODEL)).isEqualTo("F1");
    ExifSubIFDDirectory exif = meta.getFirstDirectoryOfType(ExifSubIFDDirectory.class);
    assertThat(exif.getString(ExifSubIFDDirectory.TAG_LENS_MODEL)).isEqualTo("Fennick 17-35");
    assertThat(meta.getFirstDirectoryOfType(XmpDirectory.class).getXmpProperties().toString())
        .contains("compositeCapture");
  }
}
