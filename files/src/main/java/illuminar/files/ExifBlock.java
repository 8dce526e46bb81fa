package illuminar.files;

import illuminar.core.exposure.Exposure;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import org.apache.commons.imaging.common.RationalNumber;
import org.apache.commons.imaging.formats.tiff.constants.ExifTagConstants;
import org.apache.commons.imaging.formats.tiff.constants.TiffDirectoryType;
import org.apache.commons.imaging.formats.tiff.constants.TiffTagConstants;
import org.apache.commons.imaging.formats.tiff.fieldtypes.AbstractFieldType;
import org.apache.commons.imaging.formats.tiff.taginfos.TagInfoAscii;
import org.apache.commons.imaging.formats.tiff.write.TiffImageWriterLossy;
import org.apache.commons.imaging.formats.tiff.write.TiffOutputDirectory;
import org.apache.commons.imaging.formats.tiff.write.TiffOutputField;
import org.apache.commons.imaging.formats.tiff.write.TiffOutputSet;

/** The EXIF block of a JPEG. Source: CIPA DC-008 (EXIF 2.32). */
final class ExifBlock {
  /** Of days and times in all EXIF fields. */
  static final DateTimeFormatter TIME = DateTimeFormatter.ofPattern("uuuu:MM:dd HH:mm:ss");

  /** Of the share of a second beside it. */
  static final DateTimeFormatter HUNDREDTHS = DateTimeFormatter.ofPattern("SS");

  private static final TagInfoAscii OFFSET =
      new TagInfoAscii("OffsetTimeOriginal", 0x9011, -1, TiffDirectoryType.EXIF_DIRECTORY_EXIF_IFD);

  /** Of type UNDEFINED, as the standard has it; the library would write bytes. */
  private static final TiffOutputField VERSION =
      new TiffOutputField(
          ExifTagConstants.EXIF_TAG_EXIF_VERSION,
          AbstractFieldType.UNDEFINED,
          4,
          "0232".getBytes(StandardCharsets.US_ASCII));

  private static final short INCHES = 2;

  private ExifBlock() {}

  private static void text(TiffOutputDirectory to, TagInfoAscii tag, String s) throws IOException {
    if (!s.isEmpty()) {
      to.add(tag, ascii(s));
    }
  }

  /**
   * The block.
   *
   * @param ppi pixels to an inch, 0 for nothing
   */
  static byte[] of(Legend legend, int ppi) throws IOException {
    TiffOutputSet set = new TiffOutputSet(ByteOrder.LITTLE_ENDIAN);
    TiffOutputDirectory root = set.getOrCreateRootDirectory();
    TiffOutputDirectory exif = set.getOrCreateExifDirectory();
    root.add(TiffTagConstants.TIFF_TAG_ORIENTATION, (short) legend.orientation());
    text(root, TiffTagConstants.TIFF_TAG_MAKE, legend.camera().make());
    text(root, TiffTagConstants.TIFF_TAG_MODEL, legend.camera().model());
    text(root, TiffTagConstants.TIFF_TAG_ARTIST, legend.credits().creator());
    text(root, TiffTagConstants.TIFF_TAG_COPYRIGHT, legend.credits().copyright());
    text(root, TiffTagConstants.TIFF_TAG_IMAGE_DESCRIPTION, legend.credits().caption());
    if (ppi > 0) {
      root.add(TiffTagConstants.TIFF_TAG_XRESOLUTION, new RationalNumber(ppi, 1));
      root.add(TiffTagConstants.TIFF_TAG_YRESOLUTION, new RationalNumber(ppi, 1));
      root.add(TiffTagConstants.TIFF_TAG_RESOLUTION_UNIT, INCHES);
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
    if (legend.offset().isPresent()) {
      exif.add(OFFSET, hours(legend.offset().get()));
    }
    text(exif, ExifTagConstants.EXIF_TAG_LENS_MODEL, legend.optics().lens());
    if (legend.optics().focal().isPresent()) {
      double focal = legend.optics().focal().getAsDouble();
      exif.add(ExifTagConstants.EXIF_TAG_FOCAL_LENGTH, rational(focal));
    }
    exif.add(VERSION);
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    new TiffImageWriterLossy(ByteOrder.LITTLE_ENDIAN).write(out, set);
    return out.toByteArray();
  }

  private static String hours(ZoneOffset offset) {
    return offset.equals(ZoneOffset.UTC) ? "+00:00" : offset.getId();
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
