package illuminar.files;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageTypeSpecifier;
import javax.imageio.ImageWriteParam;
import javax.imageio.ImageWriter;
import javax.imageio.metadata.IIOMetadata;
import javax.imageio.plugins.tiff.BaselineTIFFTagSet;
import javax.imageio.plugins.tiff.ExifParentTIFFTagSet;
import javax.imageio.plugins.tiff.ExifTIFFTagSet;
import javax.imageio.plugins.tiff.TIFFDirectory;
import javax.imageio.plugins.tiff.TIFFField;
import javax.imageio.plugins.tiff.TIFFTag;
import javax.imageio.plugins.tiff.TIFFTagSet;
import javax.imageio.stream.ImageOutputStream;

/** TIFF of 8 or 16 bits with profile, EXIF and XMP. Sources: TIFF 6.0; CIPA DC-008 (EXIF 2.32). */
final class TiffWriter {
  private static final int XMP = 700;

  /** EXIF 2.3; Java's own set of tags ends with 2.2. */
  private static final TIFFTag LENS = new TIFFTag("LensModel", 0xa434, 1 << TIFFTag.TIFF_ASCII);

  private TiffWriter() {}

  /**
   * Writes a TIFF.
   *
   * @param profile says what its codes mean
   * @param deflated whether it is compressed, without loss
   */
  static void write(
      BufferedImage image, int ppi, Legend legend, byte[] profile, Path file, boolean deflated)
      throws IOException {
    ImageWriter writer = JdkWriters.of("tiff");
    ImageWriteParam param = writer.getDefaultWriteParam();
    if (deflated) {
      param.setCompressionMode(ImageWriteParam.MODE_EXPLICIT);
      param.setCompressionType("Deflate");
    }
    IIOMetadata meta = writer.getDefaultImageMetadata(new ImageTypeSpecifier(image), param);
    TIFFDirectory dir = TIFFDirectory.createFromMetadata(meta);
    root(dir, ppi, legend, profile);
    exif(dir, legend);
    try (ImageOutputStream stream = ImageIO.createImageOutputStream(file.toFile())) {
      writer.setOutput(stream);
      writer.write(null, new IIOImage(image, null, dir.getAsMetadata()), param);
    } finally {
      writer.dispose();
    }
  }

  private static void root(TIFFDirectory dir, int ppi, Legend legend, byte[] profile)
      throws IOException {
    BaselineTIFFTagSet base = BaselineTIFFTagSet.getInstance();
    TIFFTag icc = base.getTag(BaselineTIFFTagSet.TAG_ICC_PROFILE);
    dir.addTIFFField(new TIFFField(icc, TIFFTag.TIFF_UNDEFINED, profile.length, profile));
    dir.addTIFFField(shorts(base.getTag(BaselineTIFFTagSet.TAG_ORIENTATION), legend.orientation()));
    text(dir, base.getTag(BaselineTIFFTagSet.TAG_COPYRIGHT), legend.credits().copyright());
    text(dir, base.getTag(BaselineTIFFTagSet.TAG_ARTIST), legend.credits().creator());
    text(dir, base.getTag(BaselineTIFFTagSet.TAG_MAKE), legend.camera().make());
    text(dir, base.getTag(BaselineTIFFTagSet.TAG_MODEL), legend.camera().model());
    if (ppi > 0) {
      dir.addTIFFField(rational(base.getTag(BaselineTIFFTagSet.TAG_X_RESOLUTION), ppi));
      dir.addTIFFField(rational(base.getTag(BaselineTIFFTagSet.TAG_Y_RESOLUTION), ppi));
      dir.addTIFFField(shorts(base.getTag(BaselineTIFFTagSet.TAG_RESOLUTION_UNIT), 2));
    }
    byte[] xmp = XmpPacket.of(legend).getBytes(StandardCharsets.UTF_8);
    if (xmp.length > 0) {
      TIFFTag tag = new TIFFTag("XMP", XMP, 1 << TIFFTag.TIFF_BYTE);
      dir.addTIFFField(new TIFFField(tag, TIFFTag.TIFF_BYTE, xmp.length, xmp));
    }
  }

  private static void exif(TIFFDirectory dir, Legend legend) {
    List<TIFFField> fields = new ArrayList<>();
    ExifTIFFTagSet tags = ExifTIFFTagSet.getInstance();
    legend
        .exposure()
        .ifPresent(
            e -> {
              fields.add(rational(tags.getTag(ExifTIFFTagSet.TAG_EXPOSURE_TIME), e.seconds()));
              fields.add(rational(tags.getTag(ExifTIFFTagSet.TAG_F_NUMBER), e.aperture()));
              TIFFTag iso = tags.getTag(ExifTIFFTagSet.TAG_ISO_SPEED_RATINGS);
              fields.add(shorts(iso, (int) Math.round(e.iso())));
              fields.add(shorts(tags.getTag(ExifTIFFTagSet.TAG_FLASH), legend.flash() ? 1 : 0));
            });
    legend
        .taken()
        .ifPresent(
            t ->
                fields.add(
                    ascii(
                        tags.getTag(ExifTIFFTagSet.TAG_DATE_TIME_ORIGINAL),
                        t.format(ExifBlock.TIME))));
    legend
        .optics()
        .focal()
        .ifPresent(f -> fields.add(rational(tags.getTag(ExifTIFFTagSet.TAG_FOCAL_LENGTH), f)));
    if (!legend.optics().lens().isEmpty()) {
      fields.add(ascii(LENS, ExifBlock.ascii(legend.optics().lens())));
    }
    if (fields.isEmpty()) {
      return;
    }
    TIFFTag pointer =
        ExifParentTIFFTagSet.getInstance().getTag(ExifParentTIFFTagSet.TAG_EXIF_IFD_POINTER);
    TIFFDirectory exif = new TIFFDirectory(new TIFFTagSet[] {tags}, pointer);
    fields.forEach(exif::addTIFFField);
    dir.addTagSet(ExifParentTIFFTagSet.getInstance());
    dir.addTIFFField(new TIFFField(pointer, TIFFTag.TIFF_LONG, 1L, exif));
  }

  private static void text(TIFFDirectory dir, TIFFTag tag, String s) {
    if (!s.isEmpty()) {
      dir.addTIFFField(ascii(tag, ExifBlock.ascii(s)));
    }
  }

  private static TIFFField ascii(TIFFTag tag, String s) {
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
