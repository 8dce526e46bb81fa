package illuminar.server.kept;

import illuminar.core.frame.Pyramid;
import illuminar.core.frame.Pyramid.Level;
import java.io.DataInputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.ByteBuffer;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.zip.CRC32C;

/**
 * A frame's coarser levels as bytes: how far each code is off the plane through its neighbours, in
 * as many bits as the largest of sixteen needs. Half as long again to read deflated, and hardly
 * shorter.
 *
 * @param width of the frame at full size
 * @param linear whether the frame's codes are proportional to light
 */
record Levels(int width, int height, boolean linear, List<Level> levels) {
  /** Long edge of the finest level that is kept, at most. */
  private static final int LONG_EDGE = 2100;

  /** Bytes of a level before its codes. */
  private static final int HEAD = 12;

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
    out.writeBoolean(levels.get(0).wide());
    out.writeInt(levels.size());
    for (byte[] packed : levels.parallelStream().map(Levels::packed).toList()) {
      out.writeInt(packed.length);
      out.writeInt(sum(packed));
      out.write(packed);
    }
    out.flush();
  }

  static Levels read(InputStream from) throws IOException {
    DataInputStream in = new DataInputStream(from);
    int width = in.readInt();
    int height = in.readInt();
    boolean linear = in.readBoolean();
    boolean wide = in.readBoolean();
    List<byte[]> packed = new ArrayList<>();
    for (int n = in.readInt(); n > 0; n--) {
      int length = in.readInt();
      int sum = in.readInt();
      byte[] level = in.readNBytes(length);
      if (level.length != length || sum(level) != sum) {
        throw new IOException("a level is damaged");
      }
      packed.add(level);
    }
    List<Level> levels = new ArrayList<>();
    for (byte[] p : packed) {
      levels.add(unpacked(p, wide));
    }
    return new Levels(width, height, linear, levels);
  }

  private static int sum(byte[] of) {
    CRC32C sum = new CRC32C();
    sum.update(of);
    return (int) sum.getValue();
  }

  /** Codes that share one width in bits. */
  private static final int GROUP = 16;

  private static byte[] packed(Level level) {
    char[] codes = level.codes();
    int w = level.width();
    byte[] out = new byte[HEAD + codes.length / GROUP + 1 + 2 * codes.length + GROUP];
    ByteBuffer.wrap(out).putInt(level.power()).putInt(w).putInt(level.height());
    int at = HEAD;
    int[] group = new int[GROUP];
    for (int first = 0; first < codes.length; first += GROUP) {
      int n = Math.min(GROUP, codes.length - first);
      int all = 0;
      for (int k = 0; k < n; k++) {
        int off = (short) (codes[first + k] - foreseen(codes, first + k, w, level.height()));
        // small ones of either sign are small numbers
        group[k] = (off << 1 ^ off >> 31) & 0xffff;
        all |= group[k];
      }
      int bits = Integer.SIZE - Integer.numberOfLeadingZeros(all);
      out[at++] = (byte) bits;
      long held = 0;
      int holds = 0;
      for (int k = 0; k < n; k++) {
        held |= (long) group[k] << holds;
        for (holds += bits; holds >= Byte.SIZE; holds -= Byte.SIZE) {
          out[at++] = (byte) held;
          held >>>= Byte.SIZE;
        }
      }
      if (holds > 0) {
        out[at++] = (byte) held;
      }
    }
    return Arrays.copyOf(out, at);
  }

  /** What stands left and above say of a code, if it goes on evenly. */
  private static int foreseen(char[] codes, int i, int w, int h) {
    boolean top = i / w % h == 0;
    boolean left = i % w == 0;
    if (top || left) {
      return top && left ? 0 : codes[left ? i - w : i - 1];
    }
    return codes[i - 1] + codes[i - w] - codes[i - w - 1];
  }

  private static Level unpacked(byte[] in, boolean wide) {
    ByteBuffer head = ByteBuffer.wrap(in);
    int power = head.getInt();
    int w = head.getInt();
    int h = head.getInt();
    char[] codes = new char[Math.multiplyExact(3, Math.multiplyExact(w, h))];
    spread(in, codes);
    for (int first = 0; first < codes.length; first += w) {
      boolean top = first / w % h == 0;
      codes[first] += top ? 0 : codes[first - w];
      for (int i = first + 1; i < first + w; i++) {
        codes[i] += (char) (codes[i - 1] + (top ? 0 : codes[i - w] - codes[i - w - 1]));
      }
    }
    return new Level(power, w, h, codes, wide);
  }

  /** Reads how far each code is off what was foreseen. */
  private static void spread(byte[] in, char[] codes) {
    int at = HEAD;
    for (int first = 0; first < codes.length; first += GROUP) {
      int bits = in[at++];
      int mask = (1 << bits) - 1;
      int end = Math.min(codes.length, first + GROUP);
      long held = 0;
      int holds = 0;
      for (int i = first; i < end; i++) {
        for (; holds < bits; holds += Byte.SIZE) {
          held |= (long) (in[at++] & 255) << holds;
        }
        int number = (int) held & mask;
        held >>>= bits;
        holds -= bits;
        codes[i] = (char) (number >>> 1 ^ -(number & 1));
      }
    }
  }
}
