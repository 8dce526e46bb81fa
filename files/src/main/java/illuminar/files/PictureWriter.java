package illuminar.files;

import java.awt.color.ColorSpace;
import java.awt.color.ICC_Profile;
import java.awt.image.BufferedImage;
import java.awt.image.ComponentColorModel;
import java.awt.image.DataBuffer;
import java.awt.image.DataBufferByte;
import java.awt.image.DataBufferUShort;
import java.awt.image.Raster;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Path;

/** Writes JPEG, PNG and TIFF with an embedded profile, capture metadata and rights. */
public final class PictureWriter {
  private PictureWriter() {}

  /**
   * An 8-bit image over interleaved codes, one or three to a pixel, in the order that the JPEG
   * encoder takes without going over each pixel; the array is shared.
   */
  public static BufferedImage image8(int width, int height, byte[] codes) {
    return image(width, height, new DataBufferByte(codes, codes.length));
  }

  /** A 16-bit image over interleaved codes, one or three to a pixel; the array is shared. */
  public static BufferedImage image16(int width, int height, short[] codes) {
    return image(width, height, new DataBufferUShort(codes, codes.length));
  }

  private static BufferedImage image(int width, int height, DataBuffer codes) {
    int channels = codes.getSize() / (width * height);
    int[] offsets = channels == 1 ? new int[] {0} : new int[] {0, 1, 2};
    ColorSpace space =
        ColorSpace.getInstance(channels == 1 ? ColorSpace.CS_GRAY : ColorSpace.CS_sRGB);
    ComponentColorModel model =
        new ComponentColorModel(
            space, false, false, ComponentColorModel.OPAQUE, codes.getDataType());
    return new BufferedImage(
        model,
        Raster.createInterleavedRaster(
            codes, width, height, width * channels, channels, offsets, null),
        false,
        null);
  }

  /** JPEG without any metadata, for the screen. {@code quality} from 0 to 1. */
  public static byte[] quickJpeg(BufferedImage image, double quality) throws IOException {
    return JpegWriter.coded(image, Written.of(quality));
  }

  /** Writes a JPEG of sRGB codes with profile, EXIF and XMP. */
  public static void jpeg(BufferedImage image, double quality, Legend legend, OutputStream out)
      throws IOException {
    jpeg(image, Written.of(quality), legend, out);
  }

  /** Writes a JPEG with profile, EXIF and XMP. */
  public static void jpeg(BufferedImage image, Written how, Legend legend, OutputStream out)
      throws IOException {
    JpegWriter.write(image, how, legend, out);
  }

  /** Writes a PNG of 8 or 16 bits and of sRGB codes with profile and XMP. */
  public static void png(BufferedImage image, Legend legend, OutputStream out) throws IOException {
    png(image, Written.SRGB, legend, out);
  }

  /** Writes a PNG of 8 or 16 bits with profile and XMP. */
  public static void png(BufferedImage image, Written how, Legend legend, OutputStream out)
      throws IOException {
    PngWriter.write(image, how, legend, out);
  }

  /** Writes a TIFF of 8 or 16 bits and of sRGB codes. */
  public static void tiff(BufferedImage image, Legend legend, Path file) throws IOException {
    tiff(image, Written.SRGB, legend, file);
  }

  /** Writes a TIFF of 8 or 16 bits. */
  public static void tiff(BufferedImage image, Written how, Legend legend, Path file)
      throws IOException {
    TiffWriter.write(image, how.ppi(), legend, how.profile(), file, false);
  }

  /** Writes a deflated TIFF whose codes are proportional to light. */
  public static void linearTiff(BufferedImage image, Legend legend, Path file) throws IOException {
    byte[] profile = ICC_Profile.getInstance(ColorSpace.CS_LINEAR_RGB).getData();
    TiffWriter.write(image, 0, legend, profile, file, true);
  }

  static void tiff(BufferedImage image, Legend legend, byte[] profile, Path file)
      throws IOException {
    TiffWriter.write(image, 0, legend, profile, file, false);
  }
}
