package illuminar.files;

import static illuminar.files.TiffFields.bytes;
import static illuminar.files.TiffFields.floats;
import static illuminar.files.TiffFields.longs;
import static illuminar.files.TiffFields.text;

import illuminar.core.colour.Matrix3;
import illuminar.core.colour.Transfer;
import illuminar.core.render.OutputSpace;
import java.awt.image.BufferedImage;
import java.awt.image.DataBufferUShort;
import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;

/**
 * Writes a finished picture as a linear DNG, with which raw converters go on: three counts to a
 * pixel that are proportional to light, with the colours of a space, and a profile that leaves
 * contrast and black as they are. Source: Digital Negative Specification 1.4 (LinearRaw;
 * ProfileToneCurve; DefaultBlackRender).
 */
public final class LinearDng {
  private static final int LINEAR_RAW = 34892;
  private static final int FULL = 65535;

  private LinearDng() {}

  /**
   * Writes a picture.
   *
   * @param image of 16 bits, codes of {@code space}
   */
  public static void write(BufferedImage image, OutputSpace space, Legend legend, Path to)
      throws IOException {
    DngFile file =
        new DngFile(image.getWidth(), image.getHeight(), 3, LINEAR_RAW, DngFile.UNPACKED);
    Matrix3 ofXyz = space.primaries().toXyz().inverse();
    file.meaning(0, FULL, ofXyz, 1, 1, 1);
    // a name of its own, so that no profile of the camera is put on it again
    file.capture(legend, legend.camera(), "Illuminar, linear " + space.title());
    file.optics(legend.optics());
    text(file.root(), 315, legend.credits().creator());
    text(file.root(), 33432, legend.credits().copyright());
    byte[] xmp = XmpPacket.of(legend).getBytes(StandardCharsets.UTF_8);
    if (xmp.length > 0) {
      bytes(file.root(), 700, xmp);
    }
    text(file.root(), 50936, "As delivered");
    floats(file.root(), 50940, 0, 0, 1, 1);
    longs(file.root(), 51110, 1);
    try (OutputStream out = new BufferedOutputStream(Files.newOutputStream(to))) {
      file.write(TiffFields.of(light(image, space.transfer())), out);
    }
  }

  private static short[] light(BufferedImage image, Transfer transfer) {
    short[] of = new short[FULL + 1];
    for (int code = 0; code <= FULL; code++) {
      of[code] = (short) Math.round(FULL * transfer.decode(code / (double) FULL));
    }
    short[] codes = ((DataBufferUShort) image.getRaster().getDataBuffer()).getData();
    int channels = image.getRaster().getNumBands();
    short[] out = new short[3 * image.getWidth() * image.getHeight()];
    for (int i = 0; i < out.length; i++) {
      // grey is the same three times
      out[i] = of[codes[channels == 3 ? i : i / 3] & FULL];
    }
    return out;
  }
}
