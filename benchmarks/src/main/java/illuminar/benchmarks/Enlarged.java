package illuminar.benchmarks;

import illuminar.core.frame.Codes;
import illuminar.files.Legend;
import illuminar.files.PictureWriter;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;

/** Frames of 8 bits enlarged, since times depend on their size alone. */
public final class Enlarged {
  private Enlarged() {}

  /**
   * The same frame as wide as asked, between pixels bilinearly, or itself where it is no narrower.
   */
  public static Codes of(Codes c, int width) {
    if (width <= c.width()) {
      return c;
    }
    int height = width * c.height() / c.width();
    byte[] out = new byte[width * height * 3];
    double k = (double) c.width() / width;
    for (int y = 0; y < height; y++) {
      double v = Math.max(0, Math.min(c.height() - 1.001, (y + 0.5) * k - 0.5));
      int y0 = (int) v;
      for (int x = 0; x < width; x++) {
        double u = Math.max(0, Math.min(c.width() - 1.001, (x + 0.5) * k - 0.5));
        int x0 = (int) u;
        for (int ch = 0; ch < 3; ch++) {
          int a = (y0 * c.width() + x0) * 3 + ch;
          double top = at(c, a) + (at(c, a + 3) - at(c, a)) * (u - x0);
          int b = a + c.width() * 3;
          double low = at(c, b) + (at(c, b + 3) - at(c, b)) * (u - x0);
          out[(y * width + x) * 3 + ch] = (byte) (int) (top + (low - top) * (v - y0) + 0.5);
        }
      }
    }
    return Codes.of8(width, height, out);
  }

  private static int at(Codes c, int i) {
    return c.eight()[i] & 255;
  }

  /** Writes a frame as a camera does; the file is there whole or not at all. */
  public static void write(Codes c, Legend legend, Path to) throws IOException {
    Path part = to.resolveSibling(to.getFileName() + ".part");
    try (OutputStream out = Files.newOutputStream(part)) {
      PictureWriter.jpeg(PictureWriter.image8(c.width(), c.height(), c.eight()), 0.93, legend, out);
    }
    Files.move(part, to, StandardCopyOption.REPLACE_EXISTING);
  }
}
