package illuminar.files;

import illuminar.core.colour.Matrix3;
import illuminar.core.exposure.Exposure;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.time.format.DateTimeFormatter;
import org.apache.commons.imaging.formats.tiff.AbstractTiffElement;
import org.apache.commons.imaging.formats.tiff.AbstractTiffImageData;
import org.apache.commons.imaging.formats.tiff.fieldtypes.AbstractFieldType;
import org.apache.commons.imaging.formats.tiff.taginfos.TagInfo;
import org.apache.commons.imaging.formats.tiff.write.TiffImageWriterLossy;
import org.apache.commons.imaging.formats.tiff.write.TiffOutputDirectory;
import org.apache.commons.imaging.formats.tiff.write.TiffOutputField;
import org.apache.commons.imaging.formats.tiff.write.TiffOutputSet;

/**
 * Writes raw files of a sensor in the open form DNG. Sources: Digital Negative Specification 1.4;
 * TIFF/EP (ISO 12234-2) for the colour filter array; EXIF 2.32.
 */
public final class DngWriter {
  private static final MakeAndModel SIMULATED = new MakeAndModel("Illuminar", "Simulated camera");

  private static final DateTimeFormatter TIME = DateTimeFormatter.ofPattern("uuuu:MM:dd HH:mm:ss");
  private static final int MOST_ISO = 65535;

  /** Calibration illuminant D65 (EXIF, light source 21). */
  private static final int D65 = 21;

  /** How the counts are stored. */
  public enum Packing {
    /** Two bytes a count. */
    PLAIN,
    /** Lossless JPEG. */
    LOSSLESS,
    /** The same on a curve of 256 steps, each finer than the noise of a sensitive sensor. */
    CURVED
  }

  private final TiffOutputDirectory root;
  private final TiffOutputDirectory exif;

  private DngWriter(TiffOutputSet set) throws IOException {
    root = set.getOrCreateRootDirectory();
    exif = set.getOrCreateExifDirectory();
  }

  /**
   * Writes a mosaic with what the camera says about it.
   *
   * @param legend its exposure, time, camera, flash and orientation are written
   */
  public static void write(Mosaic mosaic, Legend legend, Packing packing, OutputStream out)
      throws IOException {
    TiffOutputSet set = new TiffOutputSet(ByteOrder.LITTLE_ENDIAN);
    DngWriter writer = new DngWriter(set);
    writer.picture(mosaic, packing);
    writer.sensor();
    writer.capture(legend);
    byte[] data =
        switch (packing) {
          case PLAIN -> plain(mosaic);
          case LOSSLESS -> LosslessJpeg.of(mosaic);
          case CURVED -> LosslessJpeg.of(Steps.of(mosaic));
        };
    writer.root.setTiffImageData(
        new AbstractTiffImageData.Strips(
            new AbstractTiffElement.DataElement[] {
              new AbstractTiffImageData.Data(0, data.length, data)
            },
            mosaic.height()));
    new TiffImageWriterLossy(ByteOrder.LITTLE_ENDIAN).write(out, set);
  }

  private static byte[] plain(Mosaic mosaic) {
    byte[] out = new byte[2 * mosaic.counts().length];
    into(out).asShortBuffer().put(mosaic.counts());
    return out;
  }

  private void picture(Mosaic mosaic, Packing packing) {
    longs(root, 254, 0);
    longs(root, 256, mosaic.width());
    longs(root, 257, mosaic.height());
    shorts(root, 258, 16);
    shorts(root, 259, packing == Packing.PLAIN ? 1 : 7);
    // a colour filter array
    shorts(root, 262, 32803);
    shorts(root, 277, 1);
    shorts(root, 284, 1);
    shorts(root, 33421, 2, 2);
    bytes(root, 33422, 0, 1, 1, 2);
    if (packing == Packing.CURVED) {
      shorts(root, 50712, Steps.COUNTS);
    }
  }

  /**
   * A curve for counts: shot noise grows by the root of the light, and so do its steps
   * (LinearizationTable, DNG Specification 1.4).
   */
  private static final class Steps {
    static final int[] COUNTS = new int[256];

    static {
      for (int i = 0; i < COUNTS.length; i++) {
        double share = i / (COUNTS.length - 1.0);
        COUNTS[i] = (int) Math.round(Mosaic.WHITE * share * share);
      }
    }

    /** The nearest step for each count. */
    static Mosaic of(Mosaic counts) {
      short[] out = new short[counts.counts().length];
      for (int i = 0; i < out.length; i++) {
        double share = Math.sqrt(counts.counts()[i] / (double) Mosaic.WHITE);
        out[i] = (short) Math.round(share * (COUNTS.length - 1));
      }
      return new Mosaic(counts.width(), counts.height(), out);
    }
  }

  private void sensor() {
    bytes(root, 50706, 1, 4, 0, 0);
    bytes(root, 50707, 1, 1, 0, 0);
    bytes(root, 50710, 0, 1, 2);
    shorts(root, 50711, 1);
    shorts(root, 50714, Mosaic.BLACK);
    shorts(root, 50717, Mosaic.WHITE);
    Matrix3 m = Mosaic.ofXyz();
    rationals(
        root,
        50721,
        AbstractFieldType.SRATIONAL,
        m.a(),
        m.b(),
        m.c(),
        m.d(),
        m.e(),
        m.f(),
        m.g(),
        m.h(),
        m.i());
    rationals(root, 50728, AbstractFieldType.RATIONAL, Mosaic.NEUTRAL);
    shorts(root, 50778, D65);
  }

  private void capture(Legend legend) {
    MakeAndModel camera = legend.camera().name().isEmpty() ? SIMULATED : legend.camera();
    text(root, 271, camera.make());
    text(root, 272, camera.model());
    text(root, 50708, camera.name());
    shorts(root, 274, legend.orientation());
    if (legend.exposure().isPresent()) {
      Exposure e = legend.exposure().get();
      rationals(exif, 33434, AbstractFieldType.RATIONAL, e.seconds());
      rationals(exif, 33437, AbstractFieldType.RATIONAL, e.aperture());
      shorts(exif, 34855, (int) Math.min(MOST_ISO, Math.round(e.iso())));
      shorts(exif, 37385, legend.flash() ? 1 : 0);
    }
    if (legend.taken().isPresent()) {
      text(exif, 36867, legend.taken().get().format(TIME));
      text(exif, 37521, legend.taken().get().format(DateTimeFormatter.ofPattern("SS")));
    }
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

  private static void bytes(TiffOutputDirectory to, int tag, int... values) {
    byte[] out = new byte[values.length];
    for (int i = 0; i < out.length; i++) {
      out[i] = (byte) values[i];
    }
    add(to, tag, AbstractFieldType.BYTE, values.length, out);
  }

  private static void shorts(TiffOutputDirectory to, int tag, int... values) {
    byte[] out = new byte[2 * values.length];
    ByteBuffer b = into(out);
    for (int v : values) {
      b.putShort((short) v);
    }
    add(to, tag, AbstractFieldType.SHORT, values.length, out);
  }

  private static void longs(TiffOutputDirectory to, int tag, int value) {
    byte[] out = new byte[4];
    into(out).putInt(value);
    add(to, tag, AbstractFieldType.LONG, 1, out);
  }

  private static void rationals(
      TiffOutputDirectory to, int tag, AbstractFieldType type, double... values) {
    byte[] out = new byte[8 * values.length];
    ByteBuffer b = into(out);
    for (double v : values) {
      // a fraction of a second by its reciprocal, as cameras write it
      boolean less = v > 0 && v < 0.1;
      b.putInt(less ? 10 : (int) Math.round(v * 100_000));
      b.putInt(less ? (int) Math.round(10 / v) : 100_000);
    }
    add(to, tag, type, values.length, out);
  }

  private static void text(TiffOutputDirectory to, int tag, String value) {
    byte[] ascii = (ExifBlock.ascii(value) + "\0").getBytes(StandardCharsets.US_ASCII);
    add(to, tag, AbstractFieldType.ASCII, ascii.length, ascii);
  }
}
