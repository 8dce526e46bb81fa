package illuminar.files;

import java.io.BufferedInputStream;
import java.io.DataInputStream;
import java.io.EOFException;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;

/**
 * What lies before the picture in a JPEG file. Source: ITU-T T.81, B.1.1: segments, each a marker
 * and its length.
 */
final class JpegSegments {
  private static final int MARK = 0xff;
  private static final int SCAN = 0xda;

  /** Cameras and programs write some dozens; profiles and long notes are cut into hundreds. */
  private static final int MOST = 4000;

  private JpegSegments() {}

  /**
   * Goes through them once, so that no reader has to go through millions; what else is wrong with
   * them is told by who reads them.
   *
   * @throws BadPicture if there are more than any picture has
   */
  static void check(Path file, String name) throws IOException, BadPicture {
    try (DataInputStream in =
        new DataInputStream(new BufferedInputStream(Files.newInputStream(file)))) {
      in.skipNBytes(2);
      for (int k = 0; k < MOST; k++) {
        if (in.readUnsignedByte() != MARK) {
          return;
        }
        int kind = in.readUnsignedByte();
        while (kind == MARK) {
          kind = in.readUnsignedByte();
        }
        int length = in.readUnsignedShort();
        if (kind == SCAN || length < 2) {
          return;
        }
        in.skipNBytes(length - 2);
      }
    } catch (EOFException e) {
      return;
    }
    throw new BadPicture(name, "it holds more notes than a picture has");
  }
}
