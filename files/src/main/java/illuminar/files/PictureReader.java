package illuminar.files;

import illuminar.core.frame.Codes;
import java.awt.color.CMMException;
import java.awt.color.ProfileDataException;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Iterator;
import java.util.Locale;
import javax.imageio.ImageIO;
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
      FileKind kind = FileKind.of(file, name);
      if (kind == FileKind.RAW) {
        return new LibRaw(file, name).header().checked(name);
      }
      if (kind == FileKind.JPEG) {
        JpegSegments.check(file, name);
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
      // what Java's reader says of a JPEG in CMYK
      throw String.valueOf(e.getMessage()).contains("Unsupported Image Type")
          ? new BadPicture(name, "its colours are neither RGB nor grey; convert it to RGB", e)
          : new BadPicture(name, "the file is damaged or cut short (" + e.getMessage() + ")", e);
    } finally {
      reader.dispose();
    }
  }

  /** Reads the pixels, upright by the EXIF orientation. */
  public static Codes pixels(Path file, String name) throws BadPicture {
    return whole(file, name).codes();
  }

  /** All pixels. */
  static Upright whole(Path file, String name) throws BadPicture {
    Header header = header(file, name);
    if (header.raw()) {
      return new Upright(new LibRaw(file, name).pixels(), 1);
    }
    int orientation = capture(file, name).orientation();
    boolean turbo = header.format().equals(FileKind.JPEG.id()) && plain(file, name);
    Codes codes = turbo ? new TurboJpeg(file, name).pixels() : decoded(file, name, header);
    if (codes.width() != header.width() || codes.height() != header.height()) {
      throw new BadPicture(name, "the pixels do not fit the header");
    }
    return new Upright(codes, orientation);
  }

  /** The pixels as they lie, by ImageIO and the picture's own profile. */
  private static Codes decoded(Path file, String name, Header header) throws BadPicture {
    BufferedImage image =
        withReader(
            file,
            name,
            (reader, format) -> {
              boolean[] cut = new boolean[1];
              reader.addIIOReadWarningListener((source, warning) -> cut[0] |= tellsOfLoss(warning));
              BufferedImage read = reader.read(0);
              if (cut[0]) {
                throw new BadPicture(name, "the file is damaged or cut short");
              }
              return read;
            });
    boolean png = header.format().equals(FileKind.PNG.id());
    try {
      return png ? PngColours.of(file, name).of(image) : SrgbCodes.of(image, name);
    } catch (CMMException | ProfileDataException e) {
      throw new BadPicture(name, "its colour profile is damaged", e);
    }
  }

  /** Whether a reader's warning tells of lost pixels. */
  static boolean tellsOfLoss(String warning) {
    return warning.toLowerCase(Locale.ROOT).matches("(?s).*(premature|truncated|corrupt).*");
  }

  /** Whether a JPEG's codes are sRGB's, or are taken for it for want of a profile. */
  private static boolean plain(Path file, String name) throws BadPicture {
    return withReader(
        file,
        name,
        (reader, format) -> {
          boolean plain = true;
          for (var types = reader.getImageTypes(0); types.hasNext(); ) {
            plain &= SrgbCodes.plain(types.next().getColorModel().getColorSpace());
          }
          return plain;
        });
  }

  /** Pixels for a small picture, upright. */
  public static Codes glance(Path file, String name) throws BadPicture {
    return small(file, name).codes();
  }

  /**
   * Pixels for a small picture: of raw files and JPEGs at a part of their size, which is several
   * times as fast, of others all.
   */
  static Upright small(Path file, String name) throws BadPicture {
    FileKind kind = FileKind.of(file, name);
    if (kind == FileKind.RAW) {
      return new Upright(new LibRaw(file, name).half(), 1);
    }
    return kind == FileKind.JPEG && plain(file, name)
        ? new Upright(
            new TurboJpeg(file, name).glance(header(file, name)), capture(file, name).orientation())
        : whole(file, name);
  }

  /** Reads what the camera wrote; absent or senseless values are left out. */
  public static Capture capture(Path file, String name) throws BadPicture {
    return CaptureReader.read(file, name);
  }
}
