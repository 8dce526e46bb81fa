package illuminar.files;

import java.awt.color.ColorSpace;
import java.awt.color.ICC_Profile;
import java.awt.image.BufferedImage;
import java.awt.image.ComponentColorModel;
import java.awt.image.DataBuffer;
import java.awt.image.DataBufferByte;
import java.awt.image.DataBufferUShort;
import java.awt.image.Raster;
import java.awt.image.WritableRaster;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.zip.DeflaterOutputStream;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageTypeSpecifier;
import javax.imageio.ImageWriteParam;
import javax.imageio.ImageWriter;
import javax.imageio.metadata.IIOMetadata;
import javax.imageio.metadata.IIOMetadataNode;
import javax.imageio.plugins.tiff.BaselineTIFFTagSet;
import javax.imageio.plugins.tiff.ExifParentTIFFTagSet;
import javax.imageio.plugins.tiff.ExifTIFFTagSet;
import javax.imageio.plugins.tiff.TIFFDirectory;
import javax.imageio.plugins.tiff.TIFFField;
import javax.imageio.plugins.tiff.TIFFTag;
import javax.imageio.stream.ImageOutputStream;

/** Writes JPEG, PNG and TIFF with an embedded profile, capture metadata and rights. */
public final class PictureWriter {
  private static final int XMP = 700;

  private PictureWriter() {}

  private static byte[] srgbProfile() {
    return ICC_Profile.getInstance(ColorSpace.CS_sRGB).getData();
  }

  /**
   * An 8-bit image over interleaved red, green, blue bytes, the order that the JPEG encoder takes
   * without going over each pixel; the array is shared.
   */
  public static BufferedImage image8(int width, int height, byte[] rgb) {
    WritableRaster raster =
        Raster.createInterleavedRaster(
            new DataBufferByte(rgb, rgb.length),
            width,
            height,
            width * 3,
            3,
            new int[] {0, 1, 2},
            null);
    BufferedImage model = new BufferedImage(1, 1, BufferedImage.TYPE_3BYTE_BGR);
    return new BufferedImage(model.getColorModel(), raster, false, null);
  }

  /** A 16-bit image over interleaved red, green, blue codes; the array is shared. */
  public static BufferedImage image16(int width, int height, short[] rgb) {
    WritableRaster raster =
        Raster.createInterleavedRaster(
            new DataBufferUShort(rgb, rgb.length),
            width,
            height,
            width * 3,
            3,
            new int[] {0, 1, 2},
            null);
    ComponentColorModel model =
        new ComponentColorModel(
            ColorSpace.getInstance(ColorSpace.CS_sRGB),
            false,
            false,
            ComponentColorModel.OPAQUE,
            DataBuffer.TYPE_USHORT);
    return new BufferedImage(model, raster, false, null);
  }

  /** JPEG without any metadata, for the screen. {@code quality} from 0 to 1. */
  public static byte[] quickJpeg(BufferedImage image, double quality) throws IOException {
    ByteArrayOutputStream out = new ByteArrayOutputStream(1 << 17);
    jpeg(image, quality, out);
    return out.toByteArray();
  }

  private static void jpeg(BufferedImage image, double quality, OutputStream out)
      throws IOException {
    ImageWriter writer = JdkWriters.of("jpeg");
    ImageWriteParam param = writer.getDefaultWriteParam();
    param.setCompressionMode(ImageWriteParam.MODE_EXPLICIT);
    param.setCompressionQuality((float) quality);
    try (ImageOutputStream stream = new javax.imageio.stream.MemoryCacheImageOutputStream(out)) {
      writer.setOutput(stream);
      writer.write(null, new IIOImage(image, null, null), param);
    } finally {
      writer.dispose();
    }
  }

  /** Writes a JPEG with profile, EXIF and XMP. */
  public static void jpeg(BufferedImage image, double quality, Legend legend, OutputStream out)
      throws IOException {
    ByteArrayOutputStream body =
        new ByteArrayOutputStream(image.getWidth() * image.getHeight() / 2 + 4096);
    jpeg(image, quality, body);
    byte[] bytes = body.toByteArray();
    out.write(bytes, 0, 2);
    segment(out, 0xe1, "Exif\0\0", ExifBlock.of(legend));
    if (!legend.xmp().isEmpty()) {
      segment(
          out,
          0xe1,
          "http://ns.adobe.com/xap/1.0/\0",
          legend.xmp().getBytes(StandardCharsets.UTF_8));
    }
    segment(out, 0xe2, "ICC_PROFILE\0\1\1", srgbProfile());
    out.write(bytes, 2, bytes.length - 2);
  }

  private static void segment(OutputStream out, int marker, String name, byte[] data)
      throws IOException {
    byte[] head = name.getBytes(StandardCharsets.ISO_8859_1);
    int length = 2 + head.length + data.length;
    if (length > 65535) {
      throw new IOException("metadata too long for a JPEG segment");
    }
    out.write(new byte[] {(byte) 0xff, (byte) marker, (byte) (length >> 8), (byte) length});
    out.write(head);
    out.write(data);
  }

  /** Writes a PNG of 8 or 16 bits with profile and XMP. */
  public static void png(BufferedImage image, Legend legend, OutputStream out) throws IOException {
    ImageWriter writer = ImageIO.getImageWritersByFormatName("png").next();
    ImageWriteParam param = writer.getDefaultWriteParam();
    IIOMetadata meta = writer.getDefaultImageMetadata(new ImageTypeSpecifier(image), param);
    IIOMetadataNode root = (IIOMetadataNode) meta.getAsTree("javax_imageio_png_1.0");
    IIOMetadataNode icc = new IIOMetadataNode("iCCP");
    icc.setAttribute("profileName", "sRGB");
    icc.setAttribute("compressionMethod", "deflate");
    ByteArrayOutputStream packed = new ByteArrayOutputStream();
    try (DeflaterOutputStream deflate = new DeflaterOutputStream(packed)) {
      deflate.write(srgbProfile());
    }
    icc.setUserObject(packed.toByteArray());
    root.appendChild(icc);
    if (!legend.xmp().isEmpty()) {
      IIOMetadataNode text = new IIOMetadataNode("iTXt");
      IIOMetadataNode entry = new IIOMetadataNode("iTXtEntry");
      entry.setAttribute("keyword", "XML:com.adobe.xmp");
      entry.setAttribute("compressionFlag", "FALSE");
      entry.setAttribute("compressionMethod", "0");
      entry.setAttribute("languageTag", "");
      entry.setAttribute("translatedKeyword", "");
      entry.setAttribute("text", legend.xmp());
      text.appendChild(entry);
      root.appendChild(text);
    }
    meta.setFromTree("javax_imageio_png_1.0", root);
    try (ImageOutputStream stream = new javax.imageio.stream.MemoryCacheImageOutputStream(out)) {
      writer.setOutput(stream);
      writer.write(null, new IIOImage(image, null, meta), param);
    } finally {
      writer.dispose();
    }
  }

  /** Writes a TIFF of 8 or 16 bits with display codes. */
  public static void tiff(BufferedImage image, Legend legend, Path file) throws IOException {
    tiff(image, legend, srgbProfile(), file);
  }

  /** Writes a deflated TIFF whose codes are proportional to light. */
  public static void linearTiff(BufferedImage image, Legend legend, Path file) throws IOException {
    byte[] profile = ICC_Profile.getInstance(ColorSpace.CS_LINEAR_RGB).getData();
    tiff(image, legend, profile, file, true);
  }

  static void tiff(BufferedImage image, Legend legend, byte[] profile, Path file)
      throws IOException {
    tiff(image, legend, profile, file, false);
  }

  private static void tiff(
      BufferedImage image, Legend legend, byte[] profile, Path file, boolean deflated)
      throws IOException {
    ImageWriter writer = JdkWriters.of("tiff");
    ImageWriteParam param = writer.getDefaultWriteParam();
    if (deflated) {
      param.setCompressionMode(ImageWriteParam.MODE_EXPLICIT);
      param.setCompressionType("Deflate");
    }
    IIOMetadata meta = writer.getDefaultImageMetadata(new ImageTypeSpecifier(image), param);
    TIFFDirectory dir = TIFFDirectory.createFromMetadata(meta);
    BaselineTIFFTagSet base = BaselineTIFFTagSet.getInstance();
    dir.addTIFFField(
        new TIFFField(
            base.getTag(BaselineTIFFTagSet.TAG_ICC_PROFILE),
            TIFFTag.TIFF_UNDEFINED,
            profile.length,
            profile));
    dir.addTIFFField(shorts(base.getTag(BaselineTIFFTagSet.TAG_ORIENTATION), legend.orientation()));
    if (!legend.copyright().isEmpty()) {
      dir.addTIFFField(
          text(base.getTag(BaselineTIFFTagSet.TAG_COPYRIGHT), ExifBlock.ascii(legend.copyright())));
    }
    if (!legend.camera().isEmpty()) {
      dir.addTIFFField(
          text(base.getTag(BaselineTIFFTagSet.TAG_MODEL), ExifBlock.ascii(legend.camera())));
    }
    if (!legend.xmp().isEmpty()) {
      byte[] xmp = legend.xmp().getBytes(StandardCharsets.UTF_8);
      dir.addTIFFField(
          new TIFFField(
              new TIFFTag("XMP", XMP, 1 << TIFFTag.TIFF_BYTE), TIFFTag.TIFF_BYTE, xmp.length, xmp));
    }
    exif(dir, legend);
    try (ImageOutputStream stream = ImageIO.createImageOutputStream(file.toFile())) {
      writer.setOutput(stream);
      writer.write(null, new IIOImage(image, null, dir.getAsMetadata()), param);
    } finally {
      writer.dispose();
    }
  }

  private static void exif(TIFFDirectory dir, Legend legend) {
    if (legend.exposure().isEmpty()) {
      return;
    }
    ExifTIFFTagSet tags = ExifTIFFTagSet.getInstance();
    List<TIFFField> fields = new ArrayList<>();
    fields.add(
        rational(tags.getTag(ExifTIFFTagSet.TAG_EXPOSURE_TIME), legend.exposure().get().seconds()));
    fields.add(
        rational(tags.getTag(ExifTIFFTagSet.TAG_F_NUMBER), legend.exposure().get().aperture()));
    fields.add(
        shorts(
            tags.getTag(ExifTIFFTagSet.TAG_ISO_SPEED_RATINGS),
            (int) Math.round(legend.exposure().get().iso())));
    fields.add(shorts(tags.getTag(ExifTIFFTagSet.TAG_FLASH), legend.flash() ? 1 : 0));
    legend
        .taken()
        .ifPresent(
            t ->
                fields.add(
                    text(
                        tags.getTag(ExifTIFFTagSet.TAG_DATE_TIME_ORIGINAL),
                        t.format(DateTimeFormatter.ofPattern("uuuu:MM:dd HH:mm:ss")))));
    TIFFTag pointer =
        ExifParentTIFFTagSet.getInstance().getTag(ExifParentTIFFTagSet.TAG_EXIF_IFD_POINTER);
    TIFFDirectory exif =
        new TIFFDirectory(new javax.imageio.plugins.tiff.TIFFTagSet[] {tags}, pointer);
    fields.forEach(exif::addTIFFField);
    dir.addTagSet(ExifParentTIFFTagSet.getInstance());
    dir.addTIFFField(new TIFFField(pointer, TIFFTag.TIFF_LONG, 1L, exif));
  }

  private static TIFFField text(TIFFTag tag, String s) {
    return new TIFFField(tag, TIFFTag.TIFF_ASCII, 1, new String[] {s});
  }

  private static TIFFField shorts(TIFFTag tag, int v) {
    return new TIFFField(tag, TIFFTag.TIFF_SHORT, 1, new char[] {(char) v});
  }

  private static TIFFField rational(TIFFTag tag, double v) {
    var r = ExifBlock.rational(v);
    return new TIFFField(tag, TIFFTag.TIFF_RATIONAL, 1, new long[][] {{r.numerator, r.divisor}});
  }
}
