package illuminar.files;

import com.drew.imaging.ImageMetadataReader;
import com.drew.metadata.Directory;
import com.drew.metadata.Metadata;
import com.drew.metadata.exif.ExifDirectoryBase;
import com.drew.metadata.exif.ExifIFD0Directory;
import com.drew.metadata.exif.ExifSubIFDDirectory;
import illuminar.core.exposure.Exposure;
import java.io.IOException;
import java.nio.file.Path;
import java.time.DateTimeException;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.time.format.DateTimeParseException;
import java.util.Optional;
import java.util.OptionalDouble;

/** Reads what the camera wrote beside the pixels. Source: CIPA DC-008 (EXIF 2.32). */
final class CaptureReader {
  /** Of a frame of film, millimetres. */
  private static final double LONG_EDGE = 36;

  private static final double DIAGONAL = Math.hypot(LONG_EDGE, 24);

  /** What resolutions on the sensor are given for. */
  private static final int INCHES = 2;

  private static final int CENTIMETRES = 3;

  private static final Capture NOTHING =
      new Capture(
          Optional.empty(),
          Optional.empty(),
          Optional.empty(),
          false,
          1,
          MakeAndModel.UNKNOWN,
          Optics.UNKNOWN);

  private CaptureReader() {}

  /** Absent or senseless values are left out. */
  static Capture read(Path file, String name) throws BadPicture {
    Optional<Metadata> metadata = metadata(file, name);
    if (metadata.isEmpty()) {
      return NOTHING;
    }
    Directory sub = metadata.get().getFirstDirectoryOfType(ExifSubIFDDirectory.class);
    Directory base = metadata.get().getFirstDirectoryOfType(ExifIFD0Directory.class);
    OptionalDouble time = number(sub, base, ExifDirectoryBase.TAG_EXPOSURE_TIME);
    OptionalDouble aperture = number(sub, base, ExifDirectoryBase.TAG_FNUMBER);
    OptionalDouble iso = number(sub, base, ExifDirectoryBase.TAG_ISO_EQUIVALENT);
    Optional<Exposure> exposure = Optional.empty();
    if (positive(time) && positive(aperture) && positive(iso)) {
      exposure =
          Optional.of(new Exposure(time.getAsDouble(), aperture.getAsDouble(), iso.getAsDouble()));
    }
    OptionalDouble flash = number(sub, base, ExifDirectoryBase.TAG_FLASH);
    OptionalDouble turn = number(base, sub, ExifDirectoryBase.TAG_ORIENTATION);
    int orientation =
        turn.isPresent() && turn.getAsDouble() >= 1 && turn.getAsDouble() <= 8
            ? (int) turn.getAsDouble()
            : 1;
    String make = text(base, ExifDirectoryBase.TAG_MAKE);
    String model = text(base, ExifDirectoryBase.TAG_MODEL);
    return new Capture(
        exposure,
        taken(sub),
        offset(sub),
        flash.isPresent() && ((int) flash.getAsDouble() & 1) == 1,
        orientation,
        new MakeAndModel(make, model),
        optics(sub, base));
  }

  /** A lens that tells nothing to the camera has a focal length of 0. */
  private static Optics optics(Directory sub, Directory base) {
    double focal = number(sub, base, ExifDirectoryBase.TAG_FOCAL_LENGTH).orElse(0);
    return Optics.of(text(sub, ExifDirectoryBase.TAG_LENS_MODEL), focal, wide(sub, base, focal));
  }

  /**
   * The focal length on a frame whose long edge is 36 mm, by the size of the sensor, else by what
   * the camera calls its equivalent, which is one of the diagonal (CIPA DCG-001, from memory); 0
   * where neither is known.
   */
  private static double wide(Directory sub, Directory base, double focal) {
    double w = number(sub, base, ExifDirectoryBase.TAG_EXIF_IMAGE_WIDTH).orElse(0);
    double h = number(sub, base, ExifDirectoryBase.TAG_EXIF_IMAGE_HEIGHT).orElse(0);
    double longEdge = Math.max(w, h);
    double each = number(sub, base, ExifDirectoryBase.TAG_FOCAL_PLANE_X_RESOLUTION).orElse(0);
    int unit =
        (int) number(sub, base, ExifDirectoryBase.TAG_FOCAL_PLANE_RESOLUTION_UNIT).orElse(INCHES);
    if (focal > 0 && each > 0 && longEdge > 0) {
      return focal * LONG_EDGE / (longEdge / each * (unit == CENTIMETRES ? 10 : 25.4));
    }
    double equivalent =
        number(sub, base, ExifDirectoryBase.TAG_35MM_FILM_EQUIV_FOCAL_LENGTH).orElse(0);
    return longEdge > 0
        ? equivalent * LONG_EDGE * Math.hypot(w, h) / longEdge / DIAGONAL
        : equivalent;
  }

  private static Optional<ZoneOffset> offset(Directory sub) {
    try {
      return Optional.of(ZoneOffset.of(text(sub, ExifDirectoryBase.TAG_TIME_ZONE_ORIGINAL)));
    } catch (DateTimeException e) {
      return Optional.empty();
    }
  }

  /** All that is there; nothing where it cannot be made out. */
  static Optional<Metadata> metadata(Path file, String name) throws BadPicture {
    try {
      return Optional.of(ImageMetadataReader.readMetadata(file.toFile()));
    } catch (IOException e) {
      throw new BadPicture(name, "the file cannot be read (" + e.getMessage() + ")", e);
    } catch (com.drew.imaging.ImageProcessingException e) {
      return Optional.empty();
    }
  }

  private static boolean positive(OptionalDouble v) {
    return v.isPresent() && v.getAsDouble() > 0 && Double.isFinite(v.getAsDouble());
  }

  private static OptionalDouble number(Directory first, Directory second, int tag) {
    for (Directory d : new Directory[] {first, second}) {
      Double v = d == null ? null : d.getDoubleObject(tag);
      if (v != null) {
        return OptionalDouble.of(v);
      }
    }
    return OptionalDouble.empty();
  }

  private static String text(Directory d, int tag) {
    String s = d == null ? null : d.getString(tag);
    return s == null ? "" : s.trim();
  }

  private static Optional<LocalDateTime> taken(Directory sub) {
    String at = text(sub, ExifDirectoryBase.TAG_DATETIME_ORIGINAL);
    String fraction = text(sub, ExifDirectoryBase.TAG_SUBSECOND_TIME_ORIGINAL);
    try {
      LocalDateTime time = LocalDateTime.parse(at, ExifBlock.TIME);
      if (fraction.matches("[0-9]{1,9}")) {
        return Optional.of(time.plusNanos((long) (Double.parseDouble("0." + fraction) * 1e9)));
      }
      return Optional.of(time);
    } catch (DateTimeParseException e) {
      return Optional.empty();
    }
  }
}
