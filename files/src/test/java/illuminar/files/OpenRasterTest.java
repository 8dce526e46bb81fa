package illuminar.files;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.image.BufferedImage;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;
import javax.imageio.ImageIO;
import javax.xml.parsers.DocumentBuilderFactory;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.w3c.dom.Element;
import org.w3c.dom.NodeList;

/**
 * The file layout and the baseline of stack.xml that OpenRaster 0.0.6 asks for (freedesktop.org,
 * from memory), read by Java's own ZIP, XML and PNG readers.
 */
class OpenRasterTest {
  @TempDir private Path dir;

  private static BufferedImage grey(int w, int h, int code) {
    byte[] rgb = new byte[w * h * 3];
    java.util.Arrays.fill(rgb, (byte) code);
    return PictureWriter.image8(w, h, rgb);
  }

  @Test
  void otherProgramsFindWhatTheSpecificationAsksFor() throws Exception {
    Path file = dir.resolve("a.ora");
    try (OpenRaster ora = new OpenRaster(file, 640, 400, 300)) {
      ora.layer("Ground", grey(640, 400, 60), true);
      ora.layer("Tone & colour", grey(640, 400, 120), true);
      ora.layer("Region \"panes\"", PictureWriter.image8(640, 400, new byte[640 * 400]), false);
      ora.finish(grey(640, 400, 120));
    }
    try (ZipFile zip = new ZipFile(file.toFile())) {
      ZipEntry first = Collections.list(zip.entries()).get(0);
      assertThat(first.getName()).isEqualTo("mimetype");
      assertThat(first.getMethod()).isEqualTo(ZipEntry.STORED);
      assertThat(new String(zip.getInputStream(first).readAllBytes(), StandardCharsets.US_ASCII))
          .isEqualTo("image/openraster");
      Element image =
          DocumentBuilderFactory.newInstance()
              .newDocumentBuilder()
              .parse(zip.getInputStream(zip.getEntry("stack.xml")))
              .getDocumentElement();
      assertThat(image.getTagName()).isEqualTo("image");
      assertThat(image.getAttribute("w")).isEqualTo("640");
      assertThat(image.getAttribute("h")).isEqualTo("400");
      assertThat(image.getAttribute("xres")).isEqualTo("300");
      List<String> names = new ArrayList<>();
      NodeList layers = image.getElementsByTagName("layer");
      for (int k = 0; k < layers.getLength(); k++) {
        Element layer = (Element) layers.item(k);
        names.add(layer.getAttribute("name") + " " + layer.getAttribute("visibility"));
        BufferedImage png = png(zip, layer.getAttribute("src"));
        assertThat(png.getWidth()).isEqualTo(640);
        assertThat(layer.getAttribute("composite-op")).isEqualTo("svg:src-over");
      }
      assertThat(names)
          .as("the top one first")
          .containsExactly("Region \"panes\" hidden", "Tone & colour visible", "Ground visible");
      assertThat(png(zip, "mergedimage.png").getRGB(5, 5) & 255).isEqualTo(120);
      BufferedImage small = png(zip, "Thumbnails/thumbnail.png");
      assertThat(Math.max(small.getWidth(), small.getHeight())).isEqualTo(256);
    }
  }

  private static BufferedImage png(ZipFile zip, String name) throws Exception {
    return ImageIO.read(zip.getInputStream(zip.getEntry(name)));
  }
}
