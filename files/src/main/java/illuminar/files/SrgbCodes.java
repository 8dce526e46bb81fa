package illuminar.files;

import illuminar.core.colour.Primaries;
import illuminar.core.colour.Srgb;
import illuminar.core.colour.Transfer;
import illuminar.core.frame.Codes;
import illuminar.core.picture.Bands;
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
import java.awt.image.PixelInterleavedSampleModel;
import java.awt.image.Raster;
import java.awt.image.WritableRaster;
import java.util.Arrays;

/**
 * The codes of a decoded picture with sRGB's primaries: by its profile, where it has another; wide
 * codes where that reaches beyond sRGB. 16-bit pictures whose profile is proportional to light stay
 * so. Source: ICC.1, by Java's own colour management, over ROMM RGB (ISO 22028-2), which holds
 * nearly all colours that surfaces have.
 */
final class SrgbCodes {
  /** How much a profile's numbers may differ from sRGB's that is meant to be it. */
  private static final double ALIKE = 0.003;

  /** Rows that one thread converts at a time. */
  private static final int BAND = 256;

  private SrgbCodes() {}

  /**
   * @param image of 16 bits it may be written anew
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
    if (!grey && !palette && wide(image.getColorModel().getColorSpace())) {
      return wide(samples(raster, 257), image, false);
    }
    byte[] codes = grey ? grey(raster) : eight(image, palette);
    return Codes.of8(image.getWidth(), image.getHeight(), codes);
  }

  /**
   * Red, green, blue as they lie in a raster, or grey three times.
   *
   * @param times what each is multiplied by, to fill 16 bits
   */
  private static short[] samples(Raster raster, int times) {
    int w = raster.getWidth();
    int bands = raster.getNumBands();
    short[] out = new short[3 * w * raster.getHeight()];
    int[] row = new int[w * bands];
    for (int y = 0; y < raster.getHeight(); y++) {
      raster.getPixels(0, y, w, 1, row);
      for (int x = 0; x < w; x++) {
        for (int c = 0; c < 3; c++) {
          out[(y * w + x) * 3 + c] = (short) (times * row[x * bands + (bands >= 3 ? c : 0)]);
        }
      }
    }
    return out;
  }

  private static final class Wide {
    static final ICC_Profile DISPLAY = MatrixProfile.of(Primaries.ROMM, Transfer.SRGB, "wide");
    static final ICC_Profile LINEAR =
        MatrixProfile.of(Primaries.ROMM, Transfer.LINEAR, "wide linear");
    static final OtherPrimaries PRIMARIES = new OtherPrimaries(Primaries.ROMM);
  }

  /** Whether the colours of a profile reach beyond sRGB: its primaries and what they mix to. */
  private static boolean wide(ColorSpace space) {
    if (plain(space)) {
      return false;
    }
    short[] ends = new short[3 * 6];
    for (int k = 0; k < 6; k++) {
      for (int c = 0; c < 3; c++) {
        ends[3 * k + c] = (short) ((k + 1 >> c & 1) * 65535);
      }
    }
    convert(ends, 6, 1, space, Wide.LINEAR);
    for (int k = 0; k < 18; k += 3) {
      float r = OtherPrimaries.Light.LINEAR.of(ends[k] & 65535);
      float g = OtherPrimaries.Light.LINEAR.of(ends[k + 1] & 65535);
      float b = OtherPrimaries.Light.LINEAR.of(ends[k + 2] & 65535);
      if (OtherPrimaries.beyond(Wide.PRIMARIES.light(r, g, b))) {
        return true;
      }
    }
    return false;
  }

  /** Wide codes of those of an image's profile, which are written anew. */
  private static Codes wide(short[] codes, BufferedImage image, boolean linear) {
    int w = image.getWidth();
    int h = image.getHeight();
    ColorSpace space = image.getColorModel().getColorSpace();
    convert(codes, w, h, space, linear ? Wide.LINEAR : Wide.DISPLAY);
    return Wide.PRIMARIES.codes(
        w, h, codes, linear ? OtherPrimaries.Light.LINEAR : OtherPrimaries.Light.DISPLAY, linear);
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
    short[] out = asTheyLie(raster) ? own(raster) : samples(raster, 1);
    ColorSpace space = image.getColorModel().getColorSpace();
    boolean linear = linear(space);
    if (raster.getNumBands() >= 3 && !plain(space) && !meant(space, ColorSpace.CS_LINEAR_RGB)) {
      if (wide(space)) {
        return wide(out, image, linear);
      }
      int to = linear ? ColorSpace.CS_LINEAR_RGB : ColorSpace.CS_sRGB;
      convert(out, w, h, space, ICC_Profile.getInstance(to));
    }
    return Codes.of16(w, h, out, linear);
  }

  /** Whether a raster holds nothing but red, green, blue after one another. */
  private static boolean asTheyLie(Raster raster) {
    return raster.getSampleModel() instanceof PixelInterleavedSampleModel model
        && raster.getDataBuffer() instanceof DataBufferUShort data
        && Arrays.equals(model.getBandOffsets(), new int[] {0, 1, 2})
        && model.getPixelStride() == 3
        && model.getScanlineStride() == 3 * raster.getWidth()
        && data.getData().length == 3 * raster.getWidth() * raster.getHeight();
  }

  /** A raster's samples themselves; of the largest pictures there is no room for others. */
  private static short[] own(Raster raster) {
    return ((DataBufferUShort) raster.getDataBuffer()).getData();
  }

  /** {@code codes} is modified. */
  private static void convert(short[] codes, int w, int h, ColorSpace from, ICC_Profile to) {
    ICC_Profile[] way = {((ICC_ColorSpace) from).getProfile(), to};
    Bands.of(
        h,
        BAND,
        (first, end) -> {
          ColorConvertOp op = new ColorConvertOp(way, null);
          short[] row = new short[3 * w];
          short[] converted = new short[3 * w];
          WritableRaster in = interleaved(row, w);
          WritableRaster out = interleaved(converted, w);
          for (int y = first; y < end; y++) {
            System.arraycopy(codes, 3 * y * w, row, 0, 3 * w);
            op.filter(in, out);
            System.arraycopy(converted, 0, codes, 3 * y * w, 3 * w);
          }
        });
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
      if (curve.length == 0) {
        return code; // no points stand for a straight line
      }
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
          && Math.abs(light(rgb, 0.5) - 0.5) < 0.003;
    } catch (ProfileDataException | CMMException e) {
      return false;
    }
  }
}
