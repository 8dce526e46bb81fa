package illuminar.files;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.util.zip.DeflaterOutputStream;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageTypeSpecifier;
import javax.imageio.ImageWriteParam;
import javax.imageio.ImageWriter;
import javax.imageio.metadata.IIOMetadata;
import javax.imageio.metadata.IIOMetadataNode;
import javax.imageio.stream.ImageOutputStream;
import javax.imageio.stream.MemoryCacheImageOutputStream;

/** PNG of 8 or 16 bits with profile and XMP. Source: ISO/IEC 15948. */
final class PngWriter {
  private static final String TREE = "javax_imageio_png_1.0";
  private static final double METRE = 39.3701;

  private PngWriter() {}

  static void write(BufferedImage image, Written how, Legend legend, OutputStream out)
      throws IOException {
    ImageWriter writer = ImageIO.getImageWritersByFormatName("png").next();
    ImageWriteParam param = writer.getDefaultWriteParam();
    IIOMetadata meta = writer.getDefaultImageMetadata(new ImageTypeSpecifier(image), param);
    IIOMetadataNode root = (IIOMetadataNode) meta.getAsTree(TREE);
    root.appendChild(profile(how));
    if (how.ppi() > 0) {
      IIOMetadataNode size = new IIOMetadataNode("pHYs");
      String each = Long.toString(Math.round(how.ppi() * METRE));
      size.setAttribute("pixelsPerUnitXAxis", each);
      size.setAttribute("pixelsPerUnitYAxis", each);
      size.setAttribute("unitSpecifier", "meter");
      root.appendChild(size);
    }
    String xmp = XmpPacket.of(legend);
    if (!xmp.isEmpty()) {
      root.appendChild(text(xmp));
    }
    meta.setFromTree(TREE, root);
    try (ImageOutputStream stream = new MemoryCacheImageOutputStream(out)) {
      writer.setOutput(stream);
      writer.write(null, new IIOImage(image, null, meta), param);
    } finally {
      writer.dispose();
    }
  }

  private static IIOMetadataNode profile(Written how) throws IOException {
    ByteArrayOutputStream packed = new ByteArrayOutputStream();
    try (DeflaterOutputStream deflate = new DeflaterOutputStream(packed)) {
      deflate.write(how.profile());
    }
    IIOMetadataNode icc = new IIOMetadataNode("iCCP");
    icc.setAttribute("profileName", how.space().title());
    icc.setAttribute("compressionMethod", "deflate");
    icc.setUserObject(packed.toByteArray());
    return icc;
  }

  private static IIOMetadataNode text(String xmp) {
    IIOMetadataNode entry = new IIOMetadataNode("iTXtEntry");
    entry.setAttribute("keyword", "XML:com.adobe.xmp");
    entry.setAttribute("compressionFlag", "FALSE");
    entry.setAttribute("compressionMethod", "0");
    entry.setAttribute("languageTag", "");
    entry.setAttribute("translatedKeyword", "");
    entry.setAttribute("text", xmp);
    IIOMetadataNode text = new IIOMetadataNode("iTXt");
    text.appendChild(entry);
    return text;
  }
}
