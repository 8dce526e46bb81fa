package illuminar.files;

import java.io.EOFException;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;

/**
 * Large arrays over pipes, in pieces of the size of a pipe: asked for more, Java takes memory for
 * all of it at every piece that comes.
 */
final class Chunks {
  private static final int SIZE = 1 << 16;

  private Chunks() {}

  static void read(InputStream in, byte[] into) throws IOException {
    int at = 0;
    while (at < into.length) {
      int n = in.read(into, at, Math.min(SIZE, into.length - at));
      if (n < 0) {
        throw new EOFException("cut short");
      }
      at += n;
    }
  }

  static void write(byte[] all, OutputStream out) throws IOException {
    for (int at = 0; at < all.length; at += SIZE) {
      out.write(all, at, Math.min(SIZE, all.length - at));
    }
  }
}
