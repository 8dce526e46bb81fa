package illuminar.files;

import illuminar.core.colour.Matrix3;
import illuminar.core.colour.Primaries;
import illuminar.core.colour.Space;
import illuminar.core.colour.Transfer;
import java.awt.color.ICC_Profile;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.Map;

/**
 * Profiles of RGB spaces that are told by their primaries and one curve, and of grey by its curve:
 * a header, a table of tags, and the tags. Source: ICC.1:2001-04 (three-component matrix-based and
 * monochrome display profiles, 6.3.1.2 and 6.3.1.1, and the types of 6.5).
 */
final class MatrixProfile {
  private static final int HEADER = 128;
  private static final int ENTRY = 12;

  /** Points of the curve, straight between them; within a thousandth of an 8-bit step. */
  private static final int POINTS = 4096;

  private MatrixProfile() {}

  /** A profile of three colours. */
  static ICC_Profile of(Primaries primaries, Transfer transfer, String name) {
    double[] white = Space.xyz(primaries.whiteX(), primaries.whiteY());
    Matrix3 m = Space.toD50(white).after(primaries.toXyz());
    byte[] curve = curve(transfer);
    Map<String, byte[]> tags = tags(name);
    tags.put("rXYZ", xyz(m.a(), m.d(), m.g()));
    tags.put("gXYZ", xyz(m.b(), m.e(), m.h()));
    tags.put("bXYZ", xyz(m.c(), m.f(), m.i()));
    tags.put("rTRC", curve);
    tags.put("gTRC", curve);
    tags.put("bTRC", curve);
    return ICC_Profile.getInstance(bytes("RGB ", tags));
  }

  /** A profile of grey. */
  static ICC_Profile grey(Transfer transfer, String name) {
    Map<String, byte[]> tags = tags(name);
    tags.put("kTRC", curve(transfer));
    return ICC_Profile.getInstance(bytes("GRAY", tags));
  }

  /** What every profile says. */
  private static Map<String, byte[]> tags(String name) {
    Map<String, byte[]> tags = new LinkedHashMap<>();
    tags.put("desc", description(name));
    tags.put("cprt", tag("text", new byte[1]));
    tags.put("wtpt", xyz(Space.D50_X, 1, Space.D50_Z));
    return tags;
  }

  private static byte[] bytes(String colours, Map<String, byte[]> tags) {
    int at = HEADER + 4 + ENTRY * tags.size();
    int size = at + tags.values().stream().mapToInt(b -> b.length).sum();
    ByteBuffer out = ByteBuffer.allocate(size);
    out.putInt(size).putInt(0).putInt(0x02400000);
    out.put(ascii("mntr" + colours + "XYZ ")).position(36);
    out.put(ascii("acsp")).position(68);
    out.putInt(fixed(Space.D50_X)).putInt(fixed(1)).putInt(fixed(Space.D50_Z)).position(HEADER);
    out.putInt(tags.size());
    for (Map.Entry<String, byte[]> tag : tags.entrySet()) {
      out.put(ascii(tag.getKey())).putInt(at).putInt(tag.getValue().length);
      at += tag.getValue().length;
    }
    tags.values().forEach(out::put);
    return out.array();
  }

  private static byte[] ascii(String s) {
    return s.getBytes(StandardCharsets.US_ASCII);
  }

  private static int fixed(double v) {
    return (int) Math.round(v * 65536);
  }

  /** A tag: its type, four empty bytes, its content; whole words. */
  private static byte[] tag(String type, byte[] content) {
    ByteBuffer out = ByteBuffer.allocate((8 + content.length + 3) / 4 * 4);
    out.put(ascii(type)).putInt(0).put(content);
    return out.array();
  }

  private static byte[] xyz(double x, double y, double z) {
    ByteBuffer out = ByteBuffer.allocate(12);
    out.putInt(fixed(x)).putInt(fixed(y)).putInt(fixed(z));
    return tag("XYZ ", out.array());
  }

  private static byte[] curve(Transfer transfer) {
    if (transfer == Transfer.LINEAR) {
      return tag("curv", new byte[4]);
    }
    ByteBuffer out = ByteBuffer.allocate(4 + 2 * POINTS);
    out.putInt(POINTS);
    for (int i = 0; i < POINTS; i++) {
      out.putShort((short) Math.round(65535 * transfer.decode(i / (POINTS - 1.0))));
    }
    return tag("curv", out.array());
  }

  /** The name once in ASCII; none in other scripts. */
  private static byte[] description(String name) {
    byte[] ascii = ascii(name);
    ByteBuffer out = ByteBuffer.allocate(4 + ascii.length + 1 + 4 + 4 + 2 + 1 + 67);
    out.putInt(ascii.length + 1).put(ascii);
    return tag("desc", out.array());
  }
}
