package illuminar.files;

import illuminar.core.colour.Matrix3;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import org.apache.commons.imaging.formats.tiff.fieldtypes.AbstractFieldType;
import org.apache.commons.imaging.formats.tiff.taginfos.TagInfo;
import org.apache.commons.imaging.formats.tiff.write.TiffOutputDirectory;
import org.apache.commons.imaging.formats.tiff.write.TiffOutputField;

/** Fields of TIFF directories by the numbers of their tags, little endian. Source: TIFF 6.0. */
final class TiffFields {
  private TiffFields() {}

  /** Two bytes a count. */
  static byte[] of(short[] counts) {
    byte[] out = new byte[2 * counts.length];
    into(out).asShortBuffer().put(counts);
    return out;
  }

  private static void add(
      TiffOutputDirectory to, int tag, AbstractFieldType type, int count, byte[] value) {
    TagInfo info = new TagInfo("Tag " + tag, tag, type);
    to.add(new TiffOutputField(tag, info, type, count, value));
  }

  /** The bytes that a value is written into. */
  private static ByteBuffer into(byte[] value) {
    return ByteBuffer.wrap(value).order(ByteOrder.LITTLE_ENDIAN);
  }

  static void bytes(TiffOutputDirectory to, int tag, byte[] values) {
    add(to, tag, AbstractFieldType.BYTE, values.length, values);
  }

  static void bytes(TiffOutputDirectory to, int tag, int... values) {
    byte[] out = new byte[values.length];
    for (int i = 0; i < out.length; i++) {
      out[i] = (byte) values[i];
    }
    add(to, tag, AbstractFieldType.BYTE, values.length, out);
  }

  static void shorts(TiffOutputDirectory to, int tag, int... values) {
    byte[] out = new byte[2 * values.length];
    ByteBuffer b = into(out);
    for (int v : values) {
      b.putShort((short) v);
    }
    add(to, tag, AbstractFieldType.SHORT, values.length, out);
  }

  static void longs(TiffOutputDirectory to, int tag, int value) {
    byte[] out = new byte[4];
    into(out).putInt(value);
    add(to, tag, AbstractFieldType.LONG, 1, out);
  }

  static void rationals(TiffOutputDirectory to, int tag, double... values) {
    byte[] out = new byte[8 * values.length];
    ByteBuffer b = into(out);
    for (double v : values) {
      // a fraction of a second by its reciprocal, as cameras write it
      boolean less = v > 0 && v < 0.1;
      b.putInt(less ? 10 : (int) Math.round(v * 100_000));
      b.putInt(less ? (int) Math.round(10 / v) : 100_000);
    }
    add(to, tag, AbstractFieldType.RATIONAL, values.length, out);
  }

  /** Three rows of three signed fractions. */
  static void matrix(TiffOutputDirectory to, int tag, Matrix3 m) {
    float[] values = m.floats();
    byte[] out = new byte[8 * values.length];
    ByteBuffer b = into(out);
    for (float v : values) {
      b.putInt(Math.round(v * 1_000_000));
      b.putInt(1_000_000);
    }
    add(to, tag, AbstractFieldType.SRATIONAL, values.length, out);
  }

  /** Floating-point numbers of 32 bits. */
  static void floats(TiffOutputDirectory to, int tag, float... values) {
    byte[] out = new byte[4 * values.length];
    ByteBuffer b = into(out);
    for (float v : values) {
      b.putFloat(v);
    }
    add(to, tag, AbstractFieldType.FLOAT, values.length, out);
  }

  /** Nothing where there is no text. */
  static void text(TiffOutputDirectory to, int tag, String value) {
    if (value.isEmpty()) {
      return;
    }
    byte[] ascii = (ExifBlock.ascii(value) + "\0").getBytes(StandardCharsets.US_ASCII);
    add(to, tag, AbstractFieldType.ASCII, ascii.length, ascii);
  }
}
