package illuminar.files;

import java.io.IOException;
import java.util.Iterator;
import javax.imageio.ImageIO;
import javax.imageio.ImageWriter;

/** The writers of the JDK itself, whatever other ones are installed. */
final class JdkWriters {
  private JdkWriters() {}

  /**
   * A writer of a format as ImageIO names it; to be disposed of.
   *
   * @throws IOException if this Java has none
   */
  static ImageWriter of(String format) throws IOException {
    for (Iterator<ImageWriter> it = ImageIO.getImageWritersByFormatName(format); it.hasNext(); ) {
      ImageWriter next = it.next();
      if (next.getClass().getName().startsWith("com.sun")) {
        return next;
      }
    }
    throw new IOException("this Java has no writer of " + format);
  }
}
