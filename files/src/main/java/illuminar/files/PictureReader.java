package illuminar.files;

import com.drew.imaging.ImageMetadataReader;
import com.drew.metadata.Directory;
import com.drew.metadata.Metadata;
import com.drew.metadata.exif.ExifDirectoryBase;
import com.drew.metadata.exif.ExifIFD0Directory;
import com.drew.metadata.exif.ExifSubIFDDirectory;
import illuminar.core.exposure.Exposure;
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
import java.time.LocalDateTime;
import java.time.format.DateTimeFormatter;
import java.time.format.DateTimeParseException;
import java.util.Iterator;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import javax.imageio.ImageIO;
import javax.imageio.ImageReadParam;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;

/** Reads JPEG, PNG (8 and 16 bit) and TIFF (8 and 16 bit). Nothing is ever written to the file. */
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
    String format = format(file, name);
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

  /** The format that the content has, whatever the name says. */
  private static String format(Path file, String name) throws BadPicture {
    byte[] head = new byte[8];
    int n;
    try (var in = Files.newInputStream(file)) {
      n = in.readNBytes(head, 0, 8);
    } catch (IOException e) {
      throw new BadPicture(name, "the file cannot be read (" + e.getMessage() + ")", e);
    }
    if (n >= 3 && (head[0] & 255) == 0xff && (head[1] & 255) == 0xd8 && (head[2] & 255) == 0xff) {
      return "jpeg";
    }
    if (n >= 8 && (head[0] & 255) == 0x89 && head[1] == 'P' && head[2] == 'N' && head[3] == 'G') {
      return "png";
    }
    if (n >= 4
        && (head[0] == 'I' && head[1] == 'I' && head[2] == 42
            || head[0] == 'M' && head[1] == 'M' && head[3] == 42)) {
      return "tiff";
    }
    throw new BadPicture(
        name, n == 0 ? "the file is empty" : "this is not a JPEG, PNG or TIFF picture");
  }

  /** Reads the pixels, upright by the EXIF orientation. */
  public static Codes pixels(Path file, String name) throws BadPicture {
    Header header = header(file, name);
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
    Metadata metadata;
    try {
      metadata = ImageMetadataReader.readMetadata(file.toFile());
    } catch (IOException e) {
      throw new BadPicture(name, "the file cannot be read (" + e.getMessage() + ")", e);
    } catch (com.drew.imaging.ImageProcessingException e) {
      return new Capture(Optional.empty(), Optional.empty(), false, 1, "");
    }
    Directory sub = metadata.getFirstDirectoryOfType(ExifSubIFDDirectory.class);
    Directory base = metadata.getFirstDirectoryOfType(ExifIFD0Directory.class);
    OptionalDouble time = number(sub, base, ExifDirectoryBase.TAG_EXPOSURE_TIME);
    OptionalDouble aperture = number(sub, base, ExifDirectoryBase.TAG_FNUMBER);
    OptionalDouble iso = number(sub, base, ExifDirectoryBase.TAG_ISO_EQUIVALENT);
    Optional<Exposure> exposure = Optional.empty();
    if (positive(time) && positive(aperture) && positive(iso)) {
      exposure =
          Optional.of(new Exposure(time.getAsDouble(), aperture.getAsDouble(), iso.getAsDouble()));
    }
    OptionalDouble flash = number(sub, base, ExifDirectoryBase.TAG_FLASH);
    OptionalDouble turn = number(base, sub, ExifDirectoryBase.TAG_ORIENTATION);
    int orientation =
        turn.isPresent() && turn.getAsDouble() >= 1 && turn.getAsDouble() <= 8
            ? (int) turn.getAsDouble()
            : 1;
    String make = text(base, ExifDirectoryBase.TAG_MAKE);
    String model = text(base, ExifDirectoryBase.TAG_MODEL);
    return new Capture(
        exposure,
        taken(sub),
        flash.isPresent() && ((int) flash.getAsDouble() & 1) == 1,
        orientation,
        (make + " " + model).trim());
  }

  private static boolean positive(OptionalDouble v) {
    return v.isPresent() && v.getAsDouble() > 0 && Double.isFinite(v.getAsDouble());
  }

  private static OptionalDouble number(Directory first, Directory second, int tag) {
    for (Directory d : new Directory[] {first, second}) {
      Double v = d == null ? null : d.getDoubleObject(tag);
      if (v != null) {
        return OptionalDouble.of(v);
      }
    }
    return OptionalDouble.empty();
  }

  private static String text(Directory d, int tag) {
    String s = d == null ? null : d.getString(tag);
    return s == null ? "" : s.trim();
  }

  private static Optional<LocalDateTime> taken(Directory sub) {
    String at = text(sub, ExifDirectoryBase.TAG_DATETIME_ORIGINAL);
    String fraction = text(sub, ExifDirectoryBase.TAG_SUBSECOND_TIME_ORIGINAL);
    try {
      LocalDateTime time =
          LocalDateTime.parse(at, DateTimeFormatter.ofPattern("uuuu:MM:dd HH:mm:ss"));
      if (fraction.matches("[0-9]{1,9}")) {
        return Optional.of(time.plusNanos((long) (Double.parseDouble("0." + fraction) * 1e9)));
      }
      return Optional.of(time);
    } catch (DateTimeParseException e) {
      return Optional.empty();
    }
  }
}
