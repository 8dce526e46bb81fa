package illuminar.files;

import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.io.BufferedOutputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.StringWriter;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.zip.CRC32;
import java.util.zip.Deflater;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import javax.xml.stream.XMLOutputFactory;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamWriter;

/**
 * Writes OpenRaster: layers as PNG in a ZIP, in which other programs go on by hand. Layers are
 * handed over one after the other, from the bottom to the top, so that only one is in memory.
 * Source: OpenRaster 0.0.6 (freedesktop.org, from memory): file layout, baseline {@code stack.xml}.
 */
public final class OpenRaster implements AutoCloseable {
  private static final String TYPE = "image/openraster";

  /** Long edge of the thumbnail, at most. */
  private static final int THUMBNAIL = 256;

  private final ZipOutputStream zip;
  private final int width;
  private final int height;
  private final int ppi;
  private final Deque<Layer> layers = new ArrayDeque<>();

  private record Layer(String name, String source, boolean visible) {}

  /**
   * Begins a file.
   *
   * @param ppi pixels to an inch, 0 for nothing
   */
  public OpenRaster(Path file, int width, int height, int ppi) throws IOException {
    this.width = width;
    this.height = height;
    this.ppi = ppi;
    zip = new ZipOutputStream(new BufferedOutputStream(Files.newOutputStream(file)));
    byte[] type = TYPE.getBytes(StandardCharsets.US_ASCII);
    // first of all and not packed, so that programs know the file by it
    ZipEntry entry = new ZipEntry("mimetype");
    entry.setMethod(ZipEntry.STORED);
    entry.setSize(type.length);
    CRC32 sum = new CRC32();
    sum.update(type);
    entry.setCrc(sum.getValue());
    zip.putNextEntry(entry);
    zip.write(type);
    zip.closeEntry();
    // PNGs are packed already
    zip.setLevel(Deflater.BEST_SPEED);
  }

  /** Puts a layer of the whole size on top of those before. */
  public void layer(String name, BufferedImage image, boolean visible) throws IOException {
    String source = "data/layer%03d.png".formatted(layers.size());
    layers.push(new Layer(name, source, visible));
    png(source, image);
  }

  /** Ends the file with the picture as all visible layers show it. */
  public void finish(BufferedImage merged) throws IOException {
    png("mergedimage.png", merged);
    png("Thumbnails/thumbnail.png", small(merged));
    zip.putNextEntry(new ZipEntry("stack.xml"));
    zip.write(stack().getBytes(StandardCharsets.UTF_8));
    zip.closeEntry();
  }

  private void png(String name, BufferedImage image) throws IOException {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    PictureWriter.png(image, Legend.NONE, out);
    zip.putNextEntry(new ZipEntry(name));
    out.writeTo(zip);
    zip.closeEntry();
  }

  private static BufferedImage small(BufferedImage image) {
    double scale = Math.min(1, THUMBNAIL / (double) Math.max(image.getWidth(), image.getHeight()));
    int w = Math.max(1, (int) Math.round(scale * image.getWidth()));
    int h = Math.max(1, (int) Math.round(scale * image.getHeight()));
    BufferedImage out = new BufferedImage(w, h, BufferedImage.TYPE_3BYTE_BGR);
    Graphics2D g = out.createGraphics();
    g.setRenderingHint(
        RenderingHints.KEY_INTERPOLATION, RenderingHints.VALUE_INTERPOLATION_BICUBIC);
    g.drawImage(image, 0, 0, w, h, null);
    g.dispose();
    return out;
  }

  private String stack() throws IOException {
    StringWriter text = new StringWriter();
    try {
      XMLStreamWriter xml = XMLOutputFactory.newFactory().createXMLStreamWriter(text);
      xml.writeStartDocument("UTF-8", "1.0");
      xml.writeStartElement("image");
      xml.writeAttribute("version", "0.0.6");
      xml.writeAttribute("w", Integer.toString(width));
      xml.writeAttribute("h", Integer.toString(height));
      if (ppi > 0) {
        xml.writeAttribute("xres", Integer.toString(ppi));
        xml.writeAttribute("yres", Integer.toString(ppi));
      }
      xml.writeStartElement("stack");
      // the top one first
      for (Layer layer : layers) {
        xml.writeEmptyElement("layer");
        xml.writeAttribute("name", layer.name);
        xml.writeAttribute("src", layer.source);
        xml.writeAttribute("x", "0");
        xml.writeAttribute("y", "0");
        xml.writeAttribute("opacity", "1.0");
        xml.writeAttribute("visibility", layer.visible ? "visible" : "hidden");
        xml.writeAttribute("composite-op", "svg:src-over");
      }
      xml.writeEndElement();
      xml.writeEndElement();
      xml.writeEndDocument();
      xml.close();
    } catch (XMLStreamException e) {
      throw new IOException(e);
    }
    return text.toString();
  }

  @Override
  public void close() throws IOException {
    zip.close();
  }
}
