package illuminar.server.desk;

import com.drew.imaging.ImageMetadataReader;
import com.drew.imaging.ImageProcessingException;
import com.drew.metadata.Metadata;
import com.drew.metadata.icc.IccDirectory;
import com.drew.metadata.xmp.XmpDirectory;
import illuminar.core.colour.Lab;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.ArrayList;
import java.util.Iterator;
import java.util.List;
import java.util.Map;
import javax.imageio.ImageIO;
import javax.imageio.ImageReadParam;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;

/**
 * What the simulated listing desk asks of a picture. Real desks differ; these limits are of the
 * kind that they set (common practice, no source). The names of the metadata are those of the IPTC
 * Photo Metadata Standard.
 */
final class DeskRules {
  static final int LEAST_EDGE = 1024;
  static final int MOST_EDGE = 8192;
  static final long MOST_BYTES = 15_000_000;

  /** Mean L* of a picture that is neither too dark nor washed out on a white page. */
  static final double DARKEST = 35;

  static final double BRIGHTEST = 85;

  /** Width by height of the long and the short edge. */
  private static final double[] RATIOS = {3 / 2.0, 4 / 3.0, 16 / 9.0, 1};

  private static final double RATIO_OFF = 0.01;
  private static final int LEAST_ALT = 5;
  private static final int MOST_ALT = 250;
  private static final int SAMPLES = 200;

  private static final String SOURCES = "http://cv.iptc.org/newscodes/digitalsourcetype/";

  private DeskRules() {}

  /** What a picture lacks, each as a sentence; nothing for one that is accepted. */
  static List<String> objections(byte[] file) {
    List<String> all = new ArrayList<>();
    if (file.length > MOST_BYTES) {
      all.add("The file has more than %d MB.".formatted(MOST_BYTES / 1_000_000));
    }
    try (ImageInputStream in = ImageIO.createImageInputStream(new ByteArrayInputStream(file))) {
      Iterator<ImageReader> readers = ImageIO.getImageReadersByFormatName("jpeg");
      ImageReader reader = readers.next();
      reader.setInput(in);
      int width = reader.getWidth(0);
      int height = reader.getHeight(0);
      size(width, height, all);
      if (Math.max(width, height) <= MOST_EDGE) {
        brightness(reader, Math.max(1, Math.max(width, height) / SAMPLES), all);
      }
      reader.dispose();
      metadata(ImageMetadataReader.readMetadata(new ByteArrayInputStream(file)), all);
    } catch (IOException | ImageProcessingException | RuntimeException e) {
      all.add("Only JPEG files can be read here.");
    }
    return all;
  }

  private static void size(int width, int height, List<String> all) {
    int longEdge = Math.max(width, height);
    if (longEdge < LEAST_EDGE || longEdge > MOST_EDGE) {
      all.add(
          "The long edge has %d px; it needs %d to %d.".formatted(longEdge, LEAST_EDGE, MOST_EDGE));
    }
    double ratio = longEdge / (double) Math.min(width, height);
    boolean known = false;
    for (double r : RATIOS) {
      known |= Math.abs(ratio / r - 1) <= RATIO_OFF;
    }
    if (!known) {
      all.add("The ratio is %.2f : 1; it needs 3:2, 4:3, 16:9 or 1:1.".formatted(ratio));
    }
  }

  private static void brightness(ImageReader reader, int step, List<String> all)
      throws IOException {
    ImageReadParam sparse = reader.getDefaultReadParam();
    sparse.setSourceSubsampling(step, step, 0, 0);
    BufferedImage image = reader.read(0, sparse);
    double sum = 0;
    for (int y = 0; y < image.getHeight(); y++) {
      for (int x = 0; x < image.getWidth(); x++) {
        int code = image.getRGB(x, y);
        sum += Lab.ofSrgb(channel(code >> 16), channel(code >> 8), channel(code)).l();
      }
    }
    double mean = sum / image.getWidth() / image.getHeight();
    if (mean < DARKEST || mean > BRIGHTEST) {
      all.add(
          "The mean lightness is L* %.0f; it needs %.0f to %.0f."
              .formatted(mean, DARKEST, BRIGHTEST));
    }
  }

  private static double channel(int code) {
    return (code & 255) / 255.0;
  }

  private static void metadata(Metadata metadata, List<String> all) {
    IccDirectory icc = metadata.getFirstDirectoryOfType(IccDirectory.class);
    String profile = icc == null ? "" : icc.getDescription(IccDirectory.TAG_TAG_desc);
    if (profile == null || !profile.contains("sRGB")) {
      all.add("The colour profile is not sRGB.");
    }
    XmpDirectory xmp = metadata.getFirstDirectoryOfType(XmpDirectory.class);
    Map<String, String> told = xmp == null ? Map.of() : xmp.getXmpProperties();
    String source = ending(told, "DigitalSourceType");
    if (!source.startsWith(SOURCES)) {
      all.add("It does not say its source type (IPTC Digital Source Type).");
    }
    String alt = ending(told, "AltTextAccessibility[1]");
    if (alt.length() < LEAST_ALT || alt.length() > MOST_ALT) {
      all.add(
          "It needs an alt text of %d to %d letters; write a caption."
              .formatted(LEAST_ALT, MOST_ALT));
    }
  }

  private static String ending(Map<String, String> told, String name) {
    return told.entrySet().stream()
        .filter(e -> e.getKey().endsWith(name))
        .map(Map.Entry::getValue)
        .findFirst()
        .orElse("");
  }
}
