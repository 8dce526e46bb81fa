package illuminar.files;

import java.io.ByteArrayOutputStream;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * Lossless JPEG of a mosaic as DNG holds it: two components that take turns along a row, each
 * predicted by the one before it (predictor 1). Source: ITU-T T.81 (1992), process 14 and annexes
 * C, H and K.2; Digital Negative Specification 1.4, chapter 3.
 */
final class LosslessJpeg {
  private static final int BITS = 14;

  /** Differences are told apart by how many bits they need. */
  private static final int CATEGORIES = 17;

  private static final int LONGEST = 16;

  private final Mosaic mosaic;
  private final ByteArrayOutputStream out;
  private int held;
  private int count;

  private LosslessJpeg(Mosaic mosaic) {
    this.mosaic = mosaic;
    out = new ByteArrayOutputStream(mosaic.counts().length * 3 / 2);
  }

  static byte[] of(Mosaic mosaic) {
    return new LosslessJpeg(mosaic).whole();
  }

  /**
   * Bits of a code for each category.
   *
   * @param lengths of the codes; 0 for a category that never comes
   * @param ordered the categories, shortest code first
   */
  private record Huffman(int[] lengths, int[] codes, List<Integer> ordered) {

    /** Codes by how often categories come; none is longer than 16 bits, none is all ones. */
    static Huffman of(long[] often) {
      int n = CATEGORIES + 1;
      long sum = 0;
      for (long o : often) {
        sum += o;
      }
      long[] weight = new long[2 * n];
      int[] parent = new int[2 * n];
      List<Integer> open = new ArrayList<>();
      for (int i = 0; i < n; i++) {
        // the last stands for the code of ones alone, which may not be used; rare ones are lifted
        // so that no code becomes too long
        boolean used = i == CATEGORIES || often[i] > 0;
        weight[i] = i == CATEGORIES ? 0 : Math.max(often[i], sum >> 12);
        if (used) {
          open.add(i);
        }
      }
      int next = n;
      while (open.size() > 1) {
        open.sort(Comparator.comparingLong((Integer k) -> weight[k]).reversed());
        int a = open.remove(open.size() - 1);
        int b = open.remove(open.size() - 1);
        weight[next] = weight[a] + weight[b];
        parent[a] = next;
        parent[b] = next;
        open.add(next++);
      }
      int[] lengths = new int[CATEGORIES];
      List<Integer> ordered = new ArrayList<>();
      for (int i = 0; i < CATEGORIES; i++) {
        for (int k = i; often[i] > 0 && parent[k] != 0; k = parent[k]) {
          lengths[i]++;
        }
        if (lengths[i] > 0) {
          ordered.add(i);
        }
      }
      ordered.sort(Comparator.comparingInt((Integer i) -> lengths[i]).thenComparingInt(i -> i));
      int[] codes = new int[CATEGORIES];
      int code = 0;
      int length = 0;
      for (int i : ordered) {
        code <<= lengths[i] - length;
        length = lengths[i];
        codes[i] = code++;
      }
      return new Huffman(lengths, codes, ordered);
    }
  }

  private byte[] whole() {
    long[] often = new long[CATEGORIES];
    each((difference, category) -> often[category]++);
    Huffman huffman = Huffman.of(often);
    marker(0xd8);
    table(huffman);
    frame();
    scan();
    each(
        (difference, category) -> {
          put(huffman.codes[category], huffman.lengths[category]);
          if (category > 0) {
            put(difference < 0 ? difference - 1 : difference, category);
          }
        });
    put(0x7f, 7);
    marker(0xd9);
    return out.toByteArray();
  }

  private interface Difference {
    void at(int difference, int category);
  }

  /** Every count's difference from its prediction, in order. */
  private void each(Difference use) {
    int w = mosaic.width();
    short[] counts = mosaic.counts();
    for (int y = 0; y < mosaic.height(); y++) {
      for (int x = 0; x < w; x++) {
        int at = y * w + x;
        int guess = x > 1 ? counts[at - 2] : y > 0 ? counts[at - w] : 1 << (BITS - 1);
        int difference = counts[at] - guess;
        use.at(difference, 32 - Integer.numberOfLeadingZeros(Math.abs(difference)));
      }
    }
  }

  private void marker(int code) {
    if (count > 0) {
      count = 0;
      held = 0;
    }
    out.write(0xff);
    out.write(code);
  }

  private void table(Huffman huffman) {
    marker(0xc4);
    two(2 + 1 + LONGEST + huffman.ordered.size());
    out.write(0);
    for (int length = 1; length <= LONGEST; length++) {
      int of = length;
      out.write((int) huffman.ordered.stream().filter(i -> huffman.lengths[i] == of).count());
    }
    huffman.ordered.forEach(out::write);
  }

  private void frame() {
    marker(0xc3);
    two(2 + 6 + 2 * 3);
    out.write(BITS);
    two(mosaic.height());
    two(mosaic.width() / 2);
    out.write(2);
    for (int component = 0; component < 2; component++) {
      out.write(component);
      out.write(0x11);
      out.write(0);
    }
  }

  private void scan() {
    marker(0xda);
    two(2 + 1 + 2 * 2 + 3);
    out.write(2);
    for (int component = 0; component < 2; component++) {
      out.write(component);
      out.write(0);
    }
    out.write(1);
    out.write(0);
    out.write(0);
  }

  private void two(int v) {
    out.write(v >> 8);
    out.write(v);
  }

  /** Writes the lowest bits of a value; what is not a whole byte is held. */
  private void put(int value, int bits) {
    held = held << bits | value & (1 << bits) - 1;
    count += bits;
    while (count >= 8) {
      int whole = held >> (count - 8) & 255;
      out.write(whole);
      if (whole == 255) {
        out.write(0);
      }
      count -= 8;
    }
  }
}
