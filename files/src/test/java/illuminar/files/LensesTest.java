package illuminar.files;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import javax.imageio.ImageIO;
import org.apache.commons.imaging.common.RationalNumber;
import org.apache.commons.imaging.formats.jpeg.exif.ExifRewriter;
import org.apache.commons.imaging.formats.tiff.constants.ExifTagConstants;
import org.apache.commons.imaging.formats.tiff.write.TiffOutputDirectory;
import org.apache.commons.imaging.formats.tiff.write.TiffOutputSet;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/**
 * How wide a lens saw, from what cameras write beside their pixels (CIPA DC-008, EXIF 2.32),
 * written by Apache Commons Imaging.
 */
class LensesTest {
  @TempDir private Path dir;

  private interface Tags {
    void put(TiffOutputDirectory exif) throws IOException;
  }

  private Optics read(int width, int height, Tags tags) throws Exception {
    ByteArrayOutputStream plain = new ByteArrayOutputStream();
    ImageIO.write(new BufferedImage(60, 40, BufferedImage.TYPE_INT_RGB), "jpeg", plain);
    TiffOutputSet set = new TiffOutputSet();
    TiffOutputDirectory exif = set.getOrCreateExifDirectory();
    exif.add(ExifTagConstants.EXIF_TAG_EXIF_IMAGE_WIDTH, (short) width);
    exif.add(ExifTagConstants.EXIF_TAG_EXIF_IMAGE_LENGTH, (short) height);
    tags.put(exif);
    Path file = dir.resolve("a.jpg");
    try (OutputStream out = Files.newOutputStream(file)) {
      new ExifRewriter().updateExifMetadataLossless(plain.toByteArray(), out, set);
    }
    return PictureReader.capture(file, "a.jpg").optics();
  }

  /** A sensor of 23.5 mm with 6000 pixels: 16 mm see what 24.5 mm see on 36 mm. */
  @Test
  void theSensorTellsHowWideALensSaw() throws Exception {
    Optics o =
        read(
            6000,
            4000,
            exif -> {
              exif.add(ExifTagConstants.EXIF_TAG_FOCAL_LENGTH, RationalNumber.valueOf(16));
              exif.add(
                  ExifTagConstants.EXIF_TAG_FOCAL_PLANE_XRESOLUTION_EXIF_IFD,
                  new RationalNumber(6_000_000, 2350));
              exif.add(ExifTagConstants.EXIF_TAG_FOCAL_PLANE_RESOLUTION_UNIT_EXIF_IFD, (short) 3);
            });
    assertThat(o.focal().orElseThrow()).isEqualTo(16);
    assertThat(o.wide().orElseThrow()).isCloseTo(16 * 36 / 23.5, within(0.01));
  }

  /** On a sensor of 4 to 3 the diagonal is longer than on film of the same width by 4 %. */
  @Test
  void elseWhatTheCameraCallsItsEquivalentTells() throws Exception {
    Tags tags = exif -> exif.add(ExifTagConstants.EXIF_TAG_FOCAL_LENGTH_IN_35MM_FORMAT, (short) 24);
    assertThat(read(6000, 4000, tags).wide().orElseThrow()).isCloseTo(24, within(0.01));
    assertThat(read(4000, 3000, tags).wide().orElseThrow())
        .isCloseTo(24 * 36 * 1.25 / Math.hypot(36, 24), within(0.01));
  }

  /** 0 says unknown by the standard; a focal length alone says nothing of the sensor. */
  @Test
  void whatIsUnknownStaysUnknown() throws Exception {
    Optics o =
        read(
            6000,
            4000,
            exif -> {
              exif.add(ExifTagConstants.EXIF_TAG_FOCAL_LENGTH, RationalNumber.valueOf(16));
              exif.add(ExifTagConstants.EXIF_TAG_FOCAL_LENGTH_IN_35MM_FORMAT, (short) 0);
            });
    assertThat(o.wide()).isEmpty();
  }
}
