package illuminar.files;

import illuminar.core.frame.Codes;
import java.io.BufferedInputStream;
import java.io.DataInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.ByteBuffer;

/** Binary PPM, as programs write it. Source: netpbm's description of the format. */
final class Ppm {
  private static final int BYTES = 255;
  private static final int SHORTS = 65535;

  private Ppm() {}

  /**
   * Reads a picture of 8 or 16 bits.
   *
   * @param linear whether codes of 16 bits are proportional to light
   */
  static Codes read(InputStream from, FileKind kind, String name, boolean linear)
      throws IOException, BadPicture {
    DataInputStream in = new DataInputStream(new BufferedInputStream(from, 1 << 14));
    if (!word(in).equals("P6")) {
      throw new IOException("no picture came");
    }
    Header header = new Header(kind.id(), number(in), number(in)).checked(name);
    int n = 3 * header.width() * header.height();
    return switch (number(in)) {
      case BYTES -> {
        byte[] codes = new byte[n];
        Chunks.read(in, codes);
        yield Codes.of8(header.width(), header.height(), codes);
      }
      case SHORTS -> {
        short[] codes = new short[n];
        byte[] row = new byte[6 * header.width()];
        for (int y = 0; y < header.height(); y++) {
          in.readFully(row);
          ByteBuffer.wrap(row).asShortBuffer().get(codes, y * row.length / 2, row.length / 2);
        }
        yield Codes.of16(header.width(), header.height(), codes, linear);
      }
      default -> throw new IOException("neither 8 nor 16 bits");
    };
  }

  private static int number(DataInputStream in) throws IOException {
    try {
      return Integer.parseInt(word(in));
    } catch (NumberFormatException e) {
      throw new IOException("not a number", e);
    }
  }

  private static String word(DataInputStream in) throws IOException {
    StringBuilder out = new StringBuilder();
    for (int c = in.read(); c >= 0 && !Character.isWhitespace(c); c = in.read()) {
      out.append((char) c);
    }
    return out.toString();
  }
}
