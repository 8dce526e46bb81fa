package illuminar.files;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import javax.imageio.IIOImage;
import javax.imageio.ImageTypeSpecifier;
import javax.imageio.ImageWriteParam;
import javax.imageio.ImageWriter;
import javax.imageio.metadata.IIOMetadata;
import javax.imageio.stream.ImageOutputStream;
import javax.imageio.stream.MemoryCacheImageOutputStream;
import org.w3c.dom.Node;
import org.w3c.dom.NodeList;

/** JPEG with profile, EXIF and XMP. Sources: ITU-T T.81, T.871 (JFIF); ICC.1 annex B.4. */
final class JpegWriter {
  private static final String TREE = "javax_imageio_jpeg_image_1.0";
  private static final int MOST = 65535;

  private JpegWriter() {}

  static void write(BufferedImage image, Written how, Legend legend, OutputStream out)
      throws IOException {
    byte[] bytes = coded(image, how);
    out.write(bytes, 0, 2);
    segment(out, 0xe1, "Exif\0\0", ExifBlock.of(legend, how.ppi()));
    String xmp = XmpPacket.of(legend);
    if (!xmp.isEmpty()) {
      byte[] packet = xmp.getBytes(StandardCharsets.UTF_8);
      segment(out, 0xe1, "http://ns.adobe.com/xap/1.0/\0", packet);
    }
    segment(out, 0xe2, "ICC_PROFILE\0\1\1", how.profile());
    out.write(bytes, 2, bytes.length - 2);
  }

  /** The picture alone, as JFIF. */
  static byte[] coded(BufferedImage image, Written how) throws IOException {
    ImageWriter writer = JdkWriters.of("jpeg");
    ImageWriteParam param = writer.getDefaultWriteParam();
    param.setCompressionMode(ImageWriteParam.MODE_EXPLICIT);
    param.setCompressionQuality((float) how.quality());
    IIOMetadata meta = null;
    if (how.fullChroma()) {
      meta = writer.getDefaultImageMetadata(new ImageTypeSpecifier(image), param);
      Node root = meta.getAsTree(TREE);
      sampledAlike(root);
      meta.setFromTree(TREE, root);
    }
    ByteArrayOutputStream out = new ByteArrayOutputStream(1 << 17);
    try (ImageOutputStream stream = new MemoryCacheImageOutputStream(out)) {
      writer.setOutput(stream);
      writer.write(null, new IIOImage(image, null, meta), param);
    } finally {
      writer.dispose();
    }
    return out.toByteArray();
  }

  /** Every component at every pixel. */
  private static void sampledAlike(Node node) {
    if (node instanceof org.w3c.dom.Element e && e.getNodeName().equals("componentSpec")) {
      e.setAttribute("HsamplingFactor", "1");
      e.setAttribute("VsamplingFactor", "1");
    }
    NodeList below = node.getChildNodes();
    for (int i = 0; i < below.getLength(); i++) {
      sampledAlike(below.item(i));
    }
  }

  private static void segment(OutputStream out, int marker, String name, byte[] data)
      throws IOException {
    byte[] head = name.getBytes(StandardCharsets.ISO_8859_1);
    int length = 2 + head.length + data.length;
    if (length > MOST) {
      throw new IOException("metadata too long for a JPEG segment");
    }
    out.write(new byte[] {(byte) 0xff, (byte) marker, (byte) (length >> 8), (byte) length});
    out.write(head);
    out.write(data);
  }
}
