package illuminar.journeys;

import com.microsoft.playwright.APIResponse;
import com.microsoft.playwright.Page;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageWriteParam;
import javax.imageio.ImageWriter;
import javax.imageio.stream.FileImageOutputStream;

/** The pictures of the field guide, made from the demo: the left half without its page's move. */
final class GuidePictures {
  private static final int EDGE = 960;
  private static final float QUALITY = 0.82f;

  /**
   * The picture of a page.
   *
   * @param without what the left half lacks, in the words of the server; empty for nothing
   */
  private record Picture(String page, String view, String without) {}

  private static final List<Picture> PICTURES =
      List.of(
          new Picture("frames", "Instrument room", "all"),
          new Picture("ground", "Long table room", "Tone"),
          new Picture("windows", "Instrument room", "Windows"),
          new Picture("lights", "Long table room", "Lights"),
          new Picture("tone", "Stair hall", "Tone"),
          new Picture("colour", "Long table room", "Colour"),
          new Picture("air", "Dormer room", "Air"),
          new Picture("mend", "Yard wall at noon", "Mend"),
          new Picture("finish", "Stair hall", "Finish"),
          new Picture("set", "Instrument room", ""));

  /** Pages that show the bench itself, and the picture of it in docs. */
  private static final Map<String, String> SCREENS =
      Map.of("regions", "bench-regions.png", "balance", "balance-board.png");

  private static final Path DOCS = Path.of("docs/screenshots");

  private final Page page;
  private final Path folder;
  private final String url;

  /**
   * @param url of the application that the page is signed in to
   */
  GuidePictures(Page page, Path folder, String url) {
    this.page = page;
    this.folder = folder;
    this.url = url;
  }

  void take() {
    try {
      for (Picture picture : PICTURES) {
        take(picture);
      }
      for (Map.Entry<String, String> screen : SCREENS.entrySet()) {
        BufferedImage shot = ImageIO.read(DOCS.resolve(screen.getValue()).toFile());
        write(smaller(shot), folder.resolve(screen.getKey() + ".jpg"));
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static BufferedImage smaller(BufferedImage shot) {
    int high = EDGE * shot.getHeight() / shot.getWidth();
    BufferedImage out = new BufferedImage(EDGE, high, BufferedImage.TYPE_INT_RGB);
    Graphics2D g = out.createGraphics();
    g.setRenderingHint(
        RenderingHints.KEY_INTERPOLATION, RenderingHints.VALUE_INTERPOLATION_BICUBIC);
    g.drawImage(shot, 0, 0, EDGE, high, null);
    g.dispose();
    return out;
  }

  private void take(Picture picture) throws IOException {
    String view =
        (String)
            page.evaluate(
                "async name => (await (await fetch('/api/shoots')).json()).flatMap(s => s.views)"
                    + ".find(v => v.name === name).id",
                picture.view);
    BufferedImage out = seen(view, "");
    if (!picture.without.isEmpty()) {
      BufferedImage before = seen(view, picture.without);
      int half = out.getWidth() / 2;
      Graphics2D g = out.createGraphics();
      g.drawImage(before.getSubimage(0, 0, half, out.getHeight()), 0, 0, null);
      g.setColor(Color.WHITE);
      g.fillRect(half - 1, 0, 3, out.getHeight());
      g.dispose();
    }
    write(out, folder.resolve(picture.page + ".jpg"));
  }

  private BufferedImage seen(String view, String without) throws IOException {
    String asked = URLEncoder.encode(without, StandardCharsets.UTF_8);
    APIResponse answer =
        page.request()
            .get(
                url + "/api/views/" + view + "/compare/picture?edge=" + EDGE + "&without=" + asked);
    return ImageIO.read(new ByteArrayInputStream(answer.body()));
  }

  private static void write(BufferedImage image, Path to) throws IOException {
    ImageWriter writer = ImageIO.getImageWritersByFormatName("jpeg").next();
    ImageWriteParam param = writer.getDefaultWriteParam();
    param.setCompressionMode(ImageWriteParam.MODE_EXPLICIT);
    param.setCompressionQuality(QUALITY);
    Files.deleteIfExists(to);
    try (FileImageOutputStream out = new FileImageOutputStream(to.toFile())) {
      writer.setOutput(out);
      writer.write(null, new IIOImage(image, null, null), param);
    } finally {
      writer.dispose();
    }
  }
}
