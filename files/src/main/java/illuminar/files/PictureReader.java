package illuminar.files;

import illuminar.core.frame.Codes;
import java.awt.color.ColorSpace;
import java.awt.color.ICC_ColorSpace;
import java.awt.color.ICC_Profile;
import java.awt.image.BufferedImage;
import java.awt.image.ColorConvertOp;
import java.awt.image.DataBuffer;
import java.awt.image.Raster;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Iterator;
import java.util.Locale;
import javax.imageio.ImageIO;
import javax.imageio.ImageReadParam;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;

/**
 * Reads JPEG, PNG and TIFF of 8 and 16 bits, and raw files of cameras. Nothing is ever written to
 * the file.
 */
public final class PictureReader {
  private PictureReader() {}

  /** Reads only the header and checks it against the limits. */
  public static Header header(Path file, String name) throws BadPicture {
    try {
      long size = Files.size(file);
      if (size == 0) {
        throw new BadPicture(name, "the file is empty");
      }
      if (size > Header.MOST_BYTES) {
        throw new BadPicture(
            name, "the file is larger than " + Header.MOST_BYTES / 1_000_000 + " MB");
      }
      if (FileKind.of(file, name) == FileKind.RAW) {
        return new LibRaw(file, name).header().checked(name);
      }
      return withReader(
          file,
          name,
          (reader, format) ->
              new Header(format, reader.getWidth(0), reader.getHeight(0)).checked(name));
    } catch (IOException e) {
      throw new BadPicture(name, "the file cannot be read (" + e.getMessage() + ")", e);
    }
  }

  private interface Use<T> {
    T with(ImageReader reader, String format) throws IOException, BadPicture;
  }

  private static <T> T withReader(Path file, String name, Use<T> use) throws BadPicture {
    String format = FileKind.of(file, name).id();
    Iterator<ImageReader> readers = ImageIO.getImageReadersByFormatName(format);
    ImageReader reader = null;
    while (readers.hasNext()) {
      ImageReader next = readers.next();
      boolean jdk = next.getClass().getName().startsWith("com.sun");
      if (reader == null || jdk == format.equals("jpeg")) {
        reader = next;
      }
    }
    if (reader == null) {
      throw new BadPicture(name, "no reader for " + format);
    }
    try (ImageInputStream in = ImageIO.createImageInputStream(file.toFile())) {
      reader.setInput(in, true, false);
      return use.with(reader, format);
    } catch (IOException | RuntimeException e) {
      throw new BadPicture(name, "the file is damaged or cut short (" + e.getMessage() + ")", e);
    } finally {
      reader.dispose();
    }
  }

  /** Reads the pixels, upright by the EXIF orientation. */
  public static Codes pixels(Path file, String name) throws BadPicture {
    Header header = header(file, name);
    if (raw(header)) {
      return new LibRaw(file, name).pixels();
    }
    int orientation = capture(file, name).orientation();
    BufferedImage image =
        withReader(
            file,
            name,
            (reader, format) -> {
              boolean[] cut = new boolean[1];
              reader.addIIOReadWarningListener(
                  (source, warning) ->
                      cut[0] |=
                          warning
                              .toLowerCase(Locale.ROOT)
                              .matches(".*(premature|truncated|corrupt).*"));
              ImageReadParam param = reader.getDefaultReadParam();
              BufferedImage read = reader.read(0, param);
              if (cut[0]) {
                throw new BadPicture(name, "the file is damaged or cut short");
              }
              return read;
            });
    if (image.getWidth() != header.width() || image.getHeight() != header.height()) {
      throw new BadPicture(name, "the pixels do not fit the header");
    }
    return Upright.turn(codes(image, name), orientation);
  }

  private static boolean raw(Header header) {
    return header.format().equals(FileKind.RAW.id());
  }

  /**
   * Pixels for a small picture, upright: of a raw file at half its size, which is several times as
   * fast, of others all.
   */
  public static Codes glance(Path file, String name) throws BadPicture {
    return raw(header(file, name)) ? new LibRaw(file, name).half() : pixels(file, name);
  }

  /** Size of the picture when it is upright. */
  public static Header upright(Path file, String name) throws BadPicture {
    Header header = header(file, name);
    return capture(file, name).orientation() >= 5 ? header.turned() : header;
  }

  private static Codes codes(BufferedImage image, String name) throws BadPicture {
    Raster raster = image.getRaster();
    int w = image.getWidth();
    int h = image.getHeight();
    boolean sixteen = raster.getTransferType() == DataBuffer.TYPE_USHORT;
    if (!sixteen
        && raster.getTransferType() != DataBuffer.TYPE_BYTE
        && image.getType() == BufferedImage.TYPE_CUSTOM) {
      throw new BadPicture(name, "only 8 and 16 bits per channel can be read");
    }
    boolean linear = sixteen && linear(image.getColorModel().getColorSpace());
    int bands = raster.getNumBands();
    if (sixteen) {
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
      return Codes.of16(w, h, out, linear);
    }
    return Codes.of8(w, h, bytes(image));
  }

  private static byte[] bytes(BufferedImage image) {
    int w = image.getWidth();
    int h = image.getHeight();
    ColorSpace space = image.getColorModel().getColorSpace();
    BufferedImage source = image;
    boolean plain =
        space.isCS_sRGB()
            || space.getType() != ColorSpace.TYPE_RGB
            || image.getColorModel() instanceof java.awt.image.IndexColorModel;
    if (!plain) {
      BufferedImage srgb = new BufferedImage(w, h, BufferedImage.TYPE_3BYTE_BGR);
      new ColorConvertOp(null).filter(image, srgb);
      source = srgb;
    }
    byte[] out = new byte[w * h * 3];
    if (source.getType() == BufferedImage.TYPE_3BYTE_BGR) {
      byte[] bgr = ((java.awt.image.DataBufferByte) source.getRaster().getDataBuffer()).getData();
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

  /** 16-bit files are linear where their profile says so. */
  private static boolean linear(ColorSpace space) {
    if (!(space instanceof ICC_ColorSpace icc) || space.isCS_sRGB()) {
      return false;
    }
    ICC_Profile profile = icc.getProfile();
    if (profile instanceof java.awt.color.ICC_ProfileRGB rgb) {
      try {
        return Math.abs(rgb.getGamma(java.awt.color.ICC_ProfileRGB.GREENCOMPONENT) - 1) < 0.01;
      } catch (RuntimeException e) {
        return false;
      }
    }
    return false;
  }

  /** Reads what the camera wrote; absent or senseless values are left out. */
  public static Capture capture(Path file, String name) throws BadPicture {
    return CaptureReader.read(file, name);
  }
}
