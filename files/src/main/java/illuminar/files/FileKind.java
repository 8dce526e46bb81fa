package illuminar.files;

import com.drew.metadata.Directory;
import com.drew.metadata.Metadata;
import com.drew.metadata.exif.ExifDirectoryBase;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;
import java.util.Optional;

/** What a file is by its content, whatever its name says. */
enum FileKind {
  JPEG,
  PNG,
  TIFF,
  /** Whatever a camera counted; LibRaw says whether it knows it. */
  RAW;

  private static final int DNG_VERSION = 50706;

  /** Photometric interpretation of a colour filter array (TIFF/EP). */
  static final int FILTER_ARRAY = 32803;

  /** In lower case, as a header says it and as ImageIO's readers are named. */
  String id() {
    return name().toLowerCase(Locale.ROOT);
  }

  /**
   * Looks at the first bytes, and into a TIFF, which may hold a sensor's counts.
   *
   * @throws BadPicture if the file is empty or cannot be read
   */
  static FileKind of(Path file, String name) throws BadPicture {
    byte[] head = new byte[8];
    try (var in = Files.newInputStream(file)) {
      if (in.readNBytes(head, 0, head.length) == 0) {
        throw new BadPicture(name, "the file is empty");
      }
    } catch (IOException e) {
      throw new BadPicture(name, "the file cannot be read (" + e.getMessage() + ")", e);
    }
    if (begins(head, 0xff, 0xd8, 0xff)) {
      return JPEG;
    }
    if (begins(head, 0x89, 'P', 'N', 'G')) {
      return PNG;
    }
    if (begins(head, 'I', 'I', 42, 0)
        || begins(head, 'M', 'M', 0, 42)
        || begins(head, 'I', 'I', 43, 0)
        || begins(head, 'M', 'M', 0, 43)) {
      return counts(CaptureReader.metadata(file, name)) ? RAW : TIFF;
    }
    return RAW;
  }

  private static boolean begins(byte[] head, int... with) {
    for (int i = 0; i < with.length; i++) {
      if ((head[i] & 255) != with[i]) {
        return false;
      }
    }
    return true;
  }

  private static boolean counts(Optional<Metadata> metadata) {
    if (metadata.isEmpty()) {
      return false;
    }
    for (Directory d : metadata.get().getDirectoriesOfType(ExifDirectoryBase.class)) {
      Integer colours = d.getInteger(ExifDirectoryBase.TAG_PHOTOMETRIC_INTERPRETATION);
      if (d.containsTag(DNG_VERSION) || colours != null && colours == FILTER_ARRAY) {
        return true;
      }
    }
    return false;
  }
}
