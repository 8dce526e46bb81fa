package illuminar.files;

import illuminar.core.exposure.Exposure;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.ByteOrder;
import java.time.format.DateTimeFormatter;
import org.apache.commons.imaging.common.RationalNumber;
import org.apache.commons.imaging.formats.tiff.constants.ExifTagConstants;
import org.apache.commons.imaging.formats.tiff.constants.TiffTagConstants;
import org.apache.commons.imaging.formats.tiff.write.TiffImageWriterLossy;
import org.apache.commons.imaging.formats.tiff.write.TiffOutputDirectory;
import org.apache.commons.imaging.formats.tiff.write.TiffOutputSet;

/** The EXIF block of a JPEG. Source: CIPA DC-008 (EXIF 2.32). */
final class ExifBlock {
  private static final DateTimeFormatter TIME = DateTimeFormatter.ofPattern("uuuu:MM:dd HH:mm:ss");
  private static final DateTimeFormatter HUNDREDTHS = DateTimeFormatter.ofPattern("SS");

  private ExifBlock() {}

  static byte[] of(Legend legend) throws IOException {
    TiffOutputSet set = new TiffOutputSet(ByteOrder.LITTLE_ENDIAN);
    TiffOutputDirectory root = set.getOrCreateRootDirectory();
    TiffOutputDirectory exif = set.getOrCreateExifDirectory();
    root.add(TiffTagConstants.TIFF_TAG_ORIENTATION, (short) legend.orientation());
    if (!legend.camera().isEmpty()) {
      root.add(TiffTagConstants.TIFF_TAG_MODEL, ascii(legend.camera()));
    }
    if (!legend.copyright().isEmpty()) {
      root.add(TiffTagConstants.TIFF_TAG_COPYRIGHT, ascii(legend.copyright()));
    }
    if (legend.captures() > 0) {
      root.add(TiffTagConstants.TIFF_TAG_SOFTWARE, "Illuminar");
    }
    if (legend.exposure().isPresent()) {
      Exposure e = legend.exposure().get();
      exif.add(ExifTagConstants.EXIF_TAG_EXPOSURE_TIME, rational(e.seconds()));
      exif.add(ExifTagConstants.EXIF_TAG_FNUMBER, rational(e.aperture()));
      exif.add(ExifTagConstants.EXIF_TAG_ISO, (short) Math.round(e.iso()));
      exif.add(ExifTagConstants.EXIF_TAG_FLASH, (short) (legend.flash() ? 1 : 0));
    }
    if (legend.taken().isPresent()) {
      exif.add(ExifTagConstants.EXIF_TAG_DATE_TIME_ORIGINAL, legend.taken().get().format(TIME));
      exif.add(
          ExifTagConstants.EXIF_TAG_SUB_SEC_TIME_ORIGINAL, legend.taken().get().format(HUNDREDTHS));
    }
    exif.add(
        ExifTagConstants.EXIF_TAG_EXIF_VERSION,
        "0232".getBytes(java.nio.charset.StandardCharsets.US_ASCII));
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    new TiffImageWriterLossy(ByteOrder.LITTLE_ENDIAN).write(out, set);
    return out.toByteArray();
  }

  static String ascii(String s) {
    return s.replace("©", "(c)").replaceAll("[^\\x20-\\x7e]", "?");
  }

  static RationalNumber rational(double v) {
    if (v > 0 && v < 0.3) {
      return new RationalNumber(10, (int) Math.round(10 / v));
    }
    return new RationalNumber((int) Math.round(v * 1000), 1000);
  }
}
