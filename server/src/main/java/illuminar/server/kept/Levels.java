package illuminar.server.kept;

import illuminar.core.frame.Pyramid;
import illuminar.core.frame.Pyramid.Level;
import java.io.ByteArrayOutputStream;
import java.io.DataInputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.util.ArrayList;
import java.util.List;
import java.util.zip.DataFormatException;
import java.util.zip.Deflater;
import java.util.zip.DeflaterOutputStream;
import java.util.zip.Inflater;

/**
 * A frame's coarser levels as bytes: of each code its difference from the one before it, high bytes
 * apart from low ones, deflated.
 *
 * @param width of the frame at full size
 * @param linear whether the frame's codes are proportional to light
 */
record Levels(int width, int height, boolean linear, List<Level> levels) {
  /** Long edge of the finest level that is kept, at most. */
  private static final int LONG_EDGE = 2100;

  /** How often the finest level of a frame is halved that is kept. */
  static int power(int width, int height) {
    int power = 1;
    while (Math.max(width, height) >> power > LONG_EDGE) {
      power++;
    }
    return power;
  }

  static Levels of(Pyramid frame) {
    int power = Math.min(power(frame.width(), frame.height()), frame.halvings());
    return new Levels(frame.width(), frame.height(), frame.linear(), frame.levelsFrom(power));
  }

  void write(OutputStream to) throws IOException {
    DataOutputStream out = new DataOutputStream(to);
    out.writeInt(width);
    out.writeInt(height);
    out.writeBoolean(linear);
    out.writeInt(levels.size());
    for (byte[] packed : levels.parallelStream().map(Levels::packed).toList()) {
      out.writeInt(packed.length);
      out.write(packed);
    }
    out.flush();
  }

  static Levels read(InputStream from) throws IOException {
    DataInputStream in = new DataInputStream(from);
    int width = in.readInt();
    int height = in.readInt();
    boolean linear = in.readBoolean();
    List<byte[]> packed = new ArrayList<>();
    for (int n = in.readInt(); n > 0; n--) {
      packed.add(in.readNBytes(in.readInt()));
    }
    List<Level> levels = new ArrayList<>();
    for (byte[] p : packed) {
      levels.add(unpacked(p));
    }
    return new Levels(width, height, linear, levels);
  }

  private static byte[] packed(Level level) {
    char[] codes = level.codes();
    int n = codes.length;
    byte[] apart = new byte[2 * n];
    char before = 0;
    for (int i = 0; i < n; i++) {
      char difference = (char) (codes[i] - before);
      before = codes[i];
      // small differences of either sign have a small high byte
      difference = (char) (difference << 1 ^ (short) difference >> 15);
      apart[i] = (byte) (difference >> 8);
      apart[n + i] = (byte) difference;
    }
    ByteArrayOutputStream bytes = new ByteArrayOutputStream(n);
    Deflater deflater = new Deflater(Deflater.BEST_SPEED);
    try (DataOutputStream head = new DataOutputStream(bytes)) {
      head.writeInt(level.power());
      head.writeInt(level.width());
      head.writeInt(level.height());
      try (DeflaterOutputStream out = new DeflaterOutputStream(head, deflater, 1 << 16)) {
        out.write(apart);
      }
    } catch (IOException e) {
      throw new IllegalStateException(e);
    } finally {
      deflater.end();
    }
    return bytes.toByteArray();
  }

  private static Level unpacked(byte[] packed) throws IOException {
    DataInputStream head = new DataInputStream(new java.io.ByteArrayInputStream(packed));
    int power = head.readInt();
    int width = head.readInt();
    int height = head.readInt();
    int n = Math.multiplyExact(3, Math.multiplyExact(width, height));
    byte[] apart = new byte[2 * n];
    Inflater inflater = new Inflater();
    try {
      inflater.setInput(packed, 12, packed.length - 12);
      if (inflater.inflate(apart) != apart.length) {
        throw new IOException("a level is cut short");
      }
    } catch (DataFormatException e) {
      throw new IOException(e);
    } finally {
      inflater.end();
    }
    char[] codes = new char[n];
    char code = 0;
    for (int i = 0; i < n; i++) {
      int difference = (apart[i] & 255) << 8 | apart[n + i] & 255;
      code += (char) (difference >> 1 ^ -(difference & 1));
      codes[i] = code;
    }
    return new Level(power, width, height, codes);
  }
}
