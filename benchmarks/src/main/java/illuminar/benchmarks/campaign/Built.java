package illuminar.benchmarks.campaign;

import java.io.ByteArrayOutputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.zip.CRC32;
import java.util.zip.Deflater;
import java.util.zip.DeflaterOutputStream;

/**
 * Files that were built to cost their reader memory or time, or to lead it astray. Source of how
 * they are made up: ITU-T T.81 (JPEG), W3C PNG Third Edition, TIFF 6.0, Exif 2.32.
 */
final class Built {
  private static final int MILLION = 1_000_000;
  private static final int HUGE = 0x7fff_fff0;

  private final Map<String, byte[]> files = new LinkedHashMap<>();

  private Built() {}

  /** All of them by their names. */
  static Map<String, byte[]> all(byte[] jpeg, byte[] png, byte[] tiff) {
    Built built = new Built();
    built.others();
    built.jpegs(jpeg);
    built.pngs(png);
    built.tiffs(tiff);
    return built.files;
  }

  private void others() {
    files.put("empty.jpg", new byte[0]);
    files.put("one-byte.png", new byte[] {1});
    files.put("zeros.tif", new byte[MILLION]);
    files.put("page.jpg", ascii("<html><body>not found</body></html>"));
    files.put(
        "drawing.jpg",
        ascii(
            "<?xml version='1.0'?><!DOCTYPE svg [<!ENTITY a SYSTEM 'file:///etc/hostname'>]>"
                + "<svg xmlns='http://www.w3.org/2000/svg'><text>&a;</text></svg>"));
    files.put("archive.png", ascii("PK\u0003\u0004" + "x".repeat(2000)));
    files.put("program.jpg", ascii("\u007fELF" + "\u0001".repeat(5000)));
    files.put("still.jpg", ascii("\0\0\0\u0018ftypheic\0\0\0\0mif1heic" + "\0".repeat(4000)));
    files.put("animation.png", ascii("GIF89a\u00ff\u00ff\u00ff\u00ff" + "\0".repeat(4000)));
    files.put("bitmap.jpg", ascii("BM" + "\u00ff".repeat(400)));
    files.put("raw.dng", ascii("II*\0" + "\u00ff".repeat(4000)));
  }

  private void jpegs(byte[] good) {
    byte[] start = {(byte) 0xff, (byte) 0xd8};
    byte[] rest = Arrays.copyOfRange(good, 2, good.length);
    files.put("only-begun.jpg", start);
    files.put("never-ends.jpg", Arrays.copyOf(good, good.length - 2));
    for (int edge : new int[] {0, 1, 65_500, 65_535}) {
      files.put("edge-" + edge + ".jpg", sized(good, edge));
    }
    for (int kind : new int[] {0xc1, 0xc3, 0xc9, 0xcb, 0xcf}) {
      files.put("coded-" + Integer.toHexString(kind) + ".jpg", frameKind(good, kind));
    }
    files.put("comments.jpg", join(start, repeated(segment(0xfe, new byte[0]), MILLION), rest));
    files.put(
        "long-comments.jpg", join(start, repeated(segment(0xfe, new byte[60_000]), 800), rest));
    files.put("scans.jpg", join(good, repeated(scanOf(good), 400)));
    files.put("segment-too-long.jpg", join(start, new byte[] {-1, (byte) 0xe1, -1, -1}, rest));
    files.put("exif-loop.jpg", join(start, exif(directory(0x8769, 8)), rest));
    files.put("exif-itself.jpg", join(start, exif(nextIs(8)), rest));
    files.put("exif-far.jpg", join(start, exif(directory(0x8769, HUGE)), rest));
    files.put("exif-many.jpg", join(start, exif(entry(0x010e, 2, HUGE, 8)), rest));
    files.put("exif-thumb.jpg", join(start, exif(entry(0x0201, 4, 1, HUGE)), rest));
    files.put("exif-zero.jpg", join(start, exif(entry(0x829a, 5, 1, 8)), rest));
    files.put("xmp-laughs.jpg", join(start, segment(0xe1, laughs()), rest));
    files.put("profile.jpg", join(start, profile(new byte[50_000], 1, 255), rest));
    files.put("profile-zero.jpg", join(start, profile(new byte[0], 0, 0), rest));
    files.put("many-frames.jpg", repeated(good, 20));
  }

  private void pngs(byte[] good) {
    files.put("wide.png", header(good, HUGE, 1, 8, 2));
    files.put("high.png", header(good, 1, HUGE, 8, 2));
    files.put("both.png", header(good, HUGE, HUGE, 16, 6));
    files.put("none.png", header(good, 0, 0, 8, 2));
    files.put("negative.png", header(good, -5, -5, 8, 2));
    files.put("depth.png", header(good, 400, 300, 3, 2));
    files.put("kind.png", header(good, 400, 300, 8, 7));
    files.put("no-palette.png", header(good, 400, 300, 8, 3));
    byte[] zeros = deflated(300L * MILLION);
    files.put(
        "large.png",
        join(
            header(Arrays.copyOf(good, 33), 30_000, 30_000, 1, 0),
            chunk("IDAT", deflated(3751L * 30_000)),
            chunk("IEND", new byte[0])));
    files.put("text.png", with(good, chunk("zTXt", join(ascii("a\0\0"), zeros))));
    files.put("words.png", with(good, chunk("iTXt", join(ascii("a\0\u0001\0\0\0"), zeros))));
    files.put("profile.png", with(good, chunk("iCCP", join(ascii("a\0\0"), zeros))));
    files.put("exif.png", with(good, chunk("eXIf", nextIs(8))));
    files.put("chunks.png", with(good, repeated(chunk("teXt", new byte[0]), MILLION)));
    files.put("chunk-long.png", with(good, new byte[] {127, -1, -1, -1, 'I', 'D', 'A', 'T'}));
    files.put("no-data.png", join(Arrays.copyOf(good, 33), chunk("IEND", new byte[0])));
    files.put("more-data.png", with(good, chunk("IDAT", zeros)));
  }

  private void tiffs(byte[] good) {
    files.put("itself.tif", nextIs(8));
    files.put("sub-itself.tif", directory(0x014a, 8));
    files.put("far.tif", ByteBuffer.wrap(good.clone()).order(order(good)).putInt(4, HUGE).array());
    files.put("big.tif", ascii("II+\0\b\0\0\0" + "\u00ff".repeat(200)));
    // width, height, bits, compression, samples, rows a strip, where strips lie, how long they are
    int[] tags = {0x100, 0x101, 0x102, 0x103, 0x115, 0x116, 0x111, 0x117};
    int[][] values = {
      {HUGE, HUGE, 8, 1, 3, 1, 8, HUGE},
      {60_000, 60_000, 16, 5, 4, 60_000, 8, 100},
      {30_000, 30_000, 8, 8, 3, 30_000, 8, 100},
      {30_000, 30_000, 8, 32_773, 3, 1, 8, 100},
      {4000, 3000, 64, 1, 60_000, 3000, 8, 100},
      {4000, 3000, 8, 7, 3, 3000, 8, 100},
      {400, 300, 0, 0, 0, 0, 0, 0},
      {400, 300, 8, 1, 3, 300, HUGE, 360_000},
    };
    for (int k = 0; k < values.length; k++) {
      files.put("made-up-" + k + ".tif", directory(tags, values[k]));
    }
  }

  private static byte[] ascii(String text) {
    return text.getBytes(StandardCharsets.ISO_8859_1);
  }

  private static byte[] join(byte[]... parts) {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    for (byte[] p : parts) {
      out.writeBytes(p);
    }
    return out.toByteArray();
  }

  private static byte[] repeated(byte[] part, int times) {
    byte[] all = new byte[part.length * times];
    for (int k = 0; k < times; k++) {
      System.arraycopy(part, 0, all, k * part.length, part.length);
    }
    return all;
  }

  private static byte[] segment(int marker, byte[] content) {
    int length = content.length + 2;
    byte[] head = {(byte) 0xff, (byte) marker, (byte) (length >> 8), (byte) length};
    return join(head, content);
  }

  /** Where a marker stands in a JPEG. */
  private static int find(byte[] jpeg, int... markers) {
    for (int at = 2; at + 4 < jpeg.length; ) {
      int marker = jpeg[at + 1] & 0xff;
      if (Arrays.stream(markers).anyMatch(m -> m == marker)) {
        return at;
      }
      at += 2 + ((jpeg[at + 2] & 0xff) << 8) + (jpeg[at + 3] & 0xff);
    }
    throw new IllegalArgumentException("no such marker");
  }

  private static byte[] sized(byte[] jpeg, int edge) {
    byte[] out = jpeg.clone();
    ByteBuffer.wrap(out, find(jpeg, 0xc0, 0xc2) + 5, 4)
        .putShort((short) edge)
        .putShort((short) edge);
    return out;
  }

  private static byte[] frameKind(byte[] jpeg, int kind) {
    byte[] out = jpeg.clone();
    out[find(jpeg, 0xc0, 0xc2) + 1] = (byte) kind;
    return out;
  }

  /** Its scan once more. */
  private static byte[] scanOf(byte[] jpeg) {
    return Arrays.copyOfRange(jpeg, find(jpeg, 0xda), Math.min(jpeg.length, 60_000));
  }

  private static byte[] exif(byte[] tiff) {
    return segment(0xe1, join(ascii("Exif\0\0"), tiff));
  }

  private static byte[] profile(byte[] part, int number, int of) {
    return segment(0xe2, join(ascii("ICC_PROFILE\0"), new byte[] {(byte) number, (byte) of}, part));
  }

  /** Words that are made of words that are made of words. */
  private static byte[] laughs() {
    StringBuilder xml = new StringBuilder("http://ns.adobe.com/xap/1.0/\0<!DOCTYPE x [");
    xml.append("<!ENTITY a0 \"ha\">");
    for (int k = 1; k < 12; k++) {
      xml.append("<!ENTITY a").append(k).append(" \"");
      xml.append(("&a" + (k - 1) + ";").repeat(10)).append("\">");
    }
    return ascii(xml + "]><x:xmpmeta xmlns:x='adobe:ns:meta/'>&a11;</x:xmpmeta>");
  }

  private static ByteOrder order(byte[] tiff) {
    return tiff[0] == 'I' ? ByteOrder.LITTLE_ENDIAN : ByteOrder.BIG_ENDIAN;
  }

  /** A TIFF of one directory whose next is at a place. */
  private static byte[] nextIs(int at) {
    return tiff(at, new int[] {0x0100, 4, 1, 400});
  }

  private static byte[] entry(int tag, int type, int count, int value) {
    return tiff(0, new int[] {tag, type, count, value});
  }

  /** A TIFF whose one entry leads to another directory. */
  private static byte[] directory(int tag, int at) {
    return entry(tag, 4, 1, at);
  }

  private static byte[] directory(int[] tags, int[] values) {
    int[][] entries = new int[tags.length][];
    for (int k = 0; k < tags.length; k++) {
      entries[k] = new int[] {tags[k], 4, 1, values[k]};
    }
    return tiff(0, entries);
  }

  /**
   * @param entries tag, type, count, value
   */
  private static byte[] tiff(int next, int[]... entries) {
    ByteBuffer out = ByteBuffer.allocate(64 + 12 * entries.length).order(ByteOrder.LITTLE_ENDIAN);
    out.put(ascii("II*\0")).putInt(8).putShort((short) entries.length);
    for (int[] e : entries) {
      out.putShort((short) e[0]).putShort((short) e[1]).putInt(e[2]).putInt(e[3]);
    }
    return out.putInt(next).array();
  }

  private static byte[] chunk(String kind, byte[] content) {
    CRC32 check = new CRC32();
    byte[] name = ascii(kind);
    check.update(name);
    check.update(content);
    return ByteBuffer.allocate(content.length + 12)
        .putInt(content.length)
        .put(name)
        .put(content)
        .putInt((int) check.getValue())
        .array();
  }

  private static byte[] header(byte[] png, int width, int height, int depth, int kind) {
    ByteBuffer content = ByteBuffer.allocate(13).putInt(width).putInt(height);
    content.put((byte) depth).put((byte) kind);
    byte[] signature = Arrays.copyOf(png, 8);
    return join(signature, chunk("IHDR", content.array()), Arrays.copyOfRange(png, 33, png.length));
  }

  /** With more behind its header. */
  private static byte[] with(byte[] png, byte[] more) {
    return join(Arrays.copyOf(png, 33), more, Arrays.copyOfRange(png, 33, png.length));
  }

  /** So many zeros, deflated. */
  private static byte[] deflated(long zeros) {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    byte[] block = new byte[MILLION];
    try (DataOutputStream to =
        new DataOutputStream(
            new DeflaterOutputStream(out, new Deflater(Deflater.BEST_COMPRESSION)))) {
      for (long left = zeros; left > 0; left -= block.length) {
        to.write(block, 0, (int) Math.min(left, block.length));
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return out.toByteArray();
  }
}
