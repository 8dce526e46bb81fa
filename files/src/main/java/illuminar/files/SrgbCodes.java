package illuminar.files;

import illuminar.core.colour.Srgb;
import illuminar.core.frame.Codes;
import java.awt.color.CMMException;
import java.awt.color.ColorSpace;
import java.awt.color.ICC_ColorSpace;
import java.awt.color.ICC_Profile;
import java.awt.color.ICC_ProfileRGB;
import java.awt.color.ProfileDataException;
import java.awt.image.BufferedImage;
import java.awt.image.ColorConvertOp;
import java.awt.image.DataBuffer;
import java.awt.image.DataBufferByte;
import java.awt.image.DataBufferUShort;
import java.awt.image.IndexColorModel;
import java.awt.image.Raster;
import java.awt.image.WritableRaster;

/**
 * The codes of a decoded picture in sRGB: by its profile, where it has another; what lies beyond
 * sRGB is brought to its edge. 16-bit pictures whose profile is proportional to light stay so.
 * Source: ICC.1, by Java's own colour management.
 */
final class SrgbCodes {
  /** How much a profile's numbers may differ from sRGB's that is meant to be it. */
  private static final double ALIKE = 0.003;

  private SrgbCodes() {}

  /**
   * @throws BadPicture if its colours or its depth cannot be read
   */
  static Codes of(BufferedImage image, String name) throws BadPicture {
    Raster raster = image.getRaster();
    int type = raster.getTransferType();
    boolean palette = image.getColorModel() instanceof IndexColorModel;
    int space = image.getColorModel().getColorSpace().getType();
    if (space != ColorSpace.TYPE_RGB && space != ColorSpace.TYPE_GRAY) {
      throw new BadPicture(name, "its colours are neither RGB nor grey; convert it to RGB");
    }
    if (type == DataBuffer.TYPE_USHORT) {
      return sixteen(image);
    }
    if (type != DataBuffer.TYPE_BYTE && image.getType() == BufferedImage.TYPE_CUSTOM) {
      throw new BadPicture(name, "only 8 and 16 bits per channel can be read");
    }
    boolean grey = space == ColorSpace.TYPE_GRAY && !palette;
    byte[] codes = grey ? grey(raster) : eight(image, palette);
    return Codes.of8(image.getWidth(), image.getHeight(), codes);
  }

  /** Codes of grey are display codes; Java would take them for light. */
  private static byte[] grey(Raster raster) {
    int w = raster.getWidth();
    byte[] out = new byte[3 * w * raster.getHeight()];
    int[] row = new int[w];
    for (int y = 0; y < raster.getHeight(); y++) {
      raster.getSamples(0, y, w, 1, 0, row);
      for (int i = 0; i < 3 * w; i++) {
        out[3 * y * w + i] = (byte) row[i / 3];
      }
    }
    return out;
  }

  private static byte[] eight(BufferedImage image, boolean palette) {
    int w = image.getWidth();
    int h = image.getHeight();
    BufferedImage source = image;
    if (!palette && !plain(image.getColorModel().getColorSpace())) {
      source = new BufferedImage(w, h, BufferedImage.TYPE_3BYTE_BGR);
      new ColorConvertOp(null).filter(image, source);
    }
    byte[] out = new byte[w * h * 3];
    if (source.getType() == BufferedImage.TYPE_3BYTE_BGR) {
      byte[] bgr = ((DataBufferByte) source.getRaster().getDataBuffer()).getData();
      for (int i = 0; i < out.length; i += 3) {
        out[i] = bgr[i + 2];
        out[i + 1] = bgr[i + 1];
        out[i + 2] = bgr[i];
      }
      return out;
    }
    int[] row = new int[w];
    for (int y = 0; y < h; y++) {
      source.getRGB(0, y, w, 1, row, 0, w);
      for (int x = 0; x < w; x++) {
        int i = (y * w + x) * 3;
        out[i] = (byte) (row[x] >> 16);
        out[i + 1] = (byte) (row[x] >> 8);
        out[i + 2] = (byte) row[x];
      }
    }
    return out;
  }

  private static Codes sixteen(BufferedImage image) {
    Raster raster = image.getRaster();
    int w = image.getWidth();
    int h = image.getHeight();
    int bands = raster.getNumBands();
    short[] out = new short[w * h * 3];
    int[] row = new int[w * bands];
    for (int y = 0; y < h; y++) {
      raster.getPixels(0, y, w, 1, row);
      for (int x = 0; x < w; x++) {
        for (int c = 0; c < 3; c++) {
          out[(y * w + x) * 3 + c] = (short) row[x * bands + (bands >= 3 ? c : 0)];
        }
      }
    }
    ColorSpace space = image.getColorModel().getColorSpace();
    boolean linear = linear(space);
    if (bands >= 3 && !plain(space) && !meant(space, ColorSpace.CS_LINEAR_RGB)) {
      convert(out, w, h, space, linear ? ColorSpace.CS_LINEAR_RGB : ColorSpace.CS_sRGB);
    }
    return Codes.of16(w, h, out, linear);
  }

  /** {@code codes} is modified. */
  private static void convert(short[] codes, int w, int h, ColorSpace from, int to) {
    ICC_Profile[] way = {((ICC_ColorSpace) from).getProfile(), ICC_Profile.getInstance(to)};
    ColorConvertOp op = new ColorConvertOp(way, null);
    short[] rows = new short[3 * w];
    WritableRaster in = interleaved(new short[3 * w], w);
    WritableRaster out = interleaved(rows, w);
    for (int y = 0; y < h; y++) {
      in.setDataElements(
          0, 0, w, 1, java.util.Arrays.copyOfRange(codes, 3 * y * w, 3 * (y + 1) * w));
      op.filter(in, out);
      System.arraycopy(rows, 0, codes, 3 * y * w, 3 * w);
    }
  }

  private static WritableRaster interleaved(short[] row, int w) {
    return Raster.createInterleavedRaster(
        new DataBufferUShort(row, row.length), w, 1, 3 * w, 3, new int[] {0, 1, 2}, null);
  }

  /** Whether codes in a space are sRGB's, or are taken for it for want of a profile. */
  static boolean plain(ColorSpace space) {
    return space.isCS_sRGB()
        || !(space instanceof ICC_ColorSpace)
        || space.getType() != ColorSpace.TYPE_RGB
        || meant(space, ColorSpace.CS_sRGB);
  }

  /** Whether a profile is one of Java's, however exactly it was written. */
  private static boolean meant(ColorSpace space, int which) {
    if (!(((ICC_ColorSpace) space).getProfile() instanceof ICC_ProfileRGB rgb)) {
      return false;
    }
    try {
      float[][] want = ((ICC_ProfileRGB) ICC_Profile.getInstance(which)).getMatrix();
      float[][] is = rgb.getMatrix();
      for (int i = 0; i < 9; i++) {
        if (Math.abs(want[i / 3][i % 3] - is[i / 3][i % 3]) > ALIKE) {
          return false;
        }
      }
      double middle = which == ColorSpace.CS_sRGB ? Srgb.decode(0.5) : 0.5;
      return Math.abs(light(rgb, 0.5) - middle) < ALIKE && Math.abs(light(rgb, 0) - 0) < ALIKE;
    } catch (ProfileDataException | CMMException e) {
      return false;
    }
  }

  /** Light of a code of green. */
  private static double light(ICC_ProfileRGB rgb, double code) {
    try {
      return Math.pow(code, rgb.getGamma(ICC_ProfileRGB.GREENCOMPONENT));
    } catch (ProfileDataException e) {
      short[] curve = rgb.getTRC(ICC_ProfileRGB.GREENCOMPONENT);
      return (curve[(int) Math.round(code * (curve.length - 1))] & 65535) / 65535.0;
    }
  }

  /** 16-bit files are proportional to light where their profile says so. */
  private static boolean linear(ColorSpace space) {
    if (space.isCS_sRGB() || !(space instanceof ICC_ColorSpace icc)) {
      return false;
    }
    try {
      return icc.getProfile() instanceof ICC_ProfileRGB rgb
          && Math.abs(rgb.getGamma(ICC_ProfileRGB.GREENCOMPONENT) - 1) < 0.01;
    } catch (ProfileDataException | CMMException e) {
      return false;
    }
  }
}
