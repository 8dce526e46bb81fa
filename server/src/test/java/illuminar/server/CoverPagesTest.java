package illuminar.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.net.http.HttpResponse;
import javax.imageio.ImageIO;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Covers kept, drawn and fetched. Page sizes: ISO 216 and ISO 32000-1; otherwise common practice.
 */
class CoverPagesTest {
  private static final Opened OPENED = Opened.view();
  private static final Visitor VISITOR = OPENED.visitor();
  private static final String COVERS = "/api/shoots/" + OPENED.shoot() + "/cover-pages";

  private static ObjectNode page(String format, String text) {
    ObjectNode page = Visitor.JSON.createObjectNode();
    page.put("format", format).put("view", OPENED.id()).put("text", text).put("font", "sans");
    page.put("zoom", 1).put("across", 0.5).put("down", 0.5).put("size", 0.2).put("relief", 0);
    page.put("fillView", "").put("colour", "#ff0000");
    page.putObject("at").put("x", 0.4).put("y", 0.4);
    return page;
  }

  private static ObjectNode shaded(ObjectNode page) {
    ObjectNode shadow = page.putObject("shadow");
    shadow.putObject("foot").put("x", 0.2).put("y", 0.5);
    shadow.putObject("tip").put("x", 0.3).put("y", 0.55);
    shadow.putObject("top").put("x", 0.2).put("y", 0.4);
    shadow.put("ground", true).put("length", 1).put("softness", 0.2).put("depth", 1);
    return page;
  }

  private static BufferedImage drawn(ObjectNode page) throws Exception {
    HttpResponse<byte[]> answer =
        VISITOR.postForBytes("/api/cover-pages/drawn?edge=400", page.toString());
    assertThat(answer.statusCode()).isEqualTo(200);
    return ImageIO.read(new ByteArrayInputStream(answer.body()));
  }

  private static int reds(BufferedImage image) {
    int n = 0;
    for (int y = 0; y < image.getHeight(); y++) {
      for (int x = 0; x < image.getWidth(); x++) {
        int c = image.getRGB(x, y);
        n += (c >> 16 & 255) > 230 && (c >> 8 & 255) < 40 && (c & 255) < 40 ? 1 : 0;
      }
    }
    return n;
  }

  @Test
  void lettersAreDrawnInTheirColour() throws Exception {
    BufferedImage image = drawn(page("LISTING", "HI"));
    assertThat(image.getWidth()).isEqualTo(400);
    assertThat(image.getHeight()).isEqualTo(267);
    // two capitals, each some 56 px high of strokes some 14 px wide
    assertThat(reds(image)).isBetween(1200, 5000);
    assertThat(reds(drawn(page("LISTING", "")))).isZero();
  }

  @Test
  void lettersAreFilledByAPicture() throws Exception {
    ObjectNode page = page("SQUARE", "HI");
    page.put("fillView", OPENED.id());
    assertThat(reds(drawn(page))).isZero();
  }

  @Test
  void aShadowMakesThePageDarker() throws Exception {
    double without = mean(drawn(page("LISTING", "HI")));
    assertThat(mean(drawn(shaded(page("LISTING", "HI"))))).isLessThan(without - 0.1);
  }

  private static double mean(BufferedImage image) {
    double sum = 0;
    for (int y = 0; y < image.getHeight(); y++) {
      for (int x = 0; x < image.getWidth(); x++) {
        sum += image.getRGB(x, y) >> 8 & 255;
      }
    }
    return sum / image.getWidth() / image.getHeight();
  }

  @Test
  void aCoverIsKeptAndFetchedInEachFormat() throws Exception {
    HttpResponse<String> made =
        VISITOR.post(COVERS, shaded(page("A4", "Weather\nHouse")).toString());
    assertThat(made.statusCode()).as(made.body()).isEqualTo(201);
    String id = Visitor.JSON.readTree(made.body()).path("id").asString();
    JsonNode kept = VISITOR.json(COVERS).get(0);
    assertThat(kept.at("/page/shadow/tip/x").asDouble()).isEqualTo(0.3);
    String file = "/api/cover-pages/" + id + "/file?format=";
    BufferedImage png = ImageIO.read(new ByteArrayInputStream(VISITOR.bytes(file + "PNG")));
    // A4: 210 to 297
    assertThat(png.getHeight() / (double) png.getWidth()).isBetween(297 / 210.0 - 0.01, 1.425);
    BufferedImage jpeg = ImageIO.read(new ByteArrayInputStream(VISITOR.bytes(file + "JPEG")));
    assertThat(jpeg.getWidth()).isEqualTo(png.getWidth());
    try (PDDocument pdf = Loader.loadPDF(VISITOR.bytes(file + "PDF"))) {
      // 300 pixels to an inch of 72 points
      assertThat(pdf.getPage(0).getMediaBox().getWidth()).isEqualTo(png.getWidth() * 0.24f);
      assertThat(pdf.getPage(0).getResources().getXObjectNames()).hasSize(1);
    }
    ObjectNode other = page("SQUARE", "Other");
    assertThat(VISITOR.send("PUT", "/api/cover-pages/" + id, other.toString()).statusCode())
        .isEqualTo(204);
    assertThat(VISITOR.json(COVERS).get(0).at("/page/text").asString()).isEqualTo("Other");
    assertThat(VISITOR.send("DELETE", "/api/cover-pages/" + id, "").statusCode()).isEqualTo(204);
    assertThat(VISITOR.json(COVERS)).isEmpty();
    assertThat(VISITOR.get(file + "PNG").statusCode()).isEqualTo(404);
  }

  @Test
  void whatCannotBeLetteredIsSaid() {
    String drawn = "/api/cover-pages/drawn?edge=400";
    HttpResponse<String> answer = VISITOR.post(drawn, page("LISTING", "天気").toString());
    assertThat(answer.statusCode()).isEqualTo(422);
    assertThat(answer.body()).contains("no 天 気");
    ObjectNode strange = page("LISTING", "HI");
    strange.put("font", "magic");
    assertThat(VISITOR.post(drawn, strange.toString()).body()).contains("no typeface magic");
    assertThat(VISITOR.post(drawn, page("LISTING", "x".repeat(130)).toString()).body())
        .contains("at most 120 letters");
    ObjectNode colour = page("LISTING", "HI");
    colour.put("colour", "red");
    assertThat(VISITOR.post(drawn, colour.toString()).body()).contains("#rrggbb");
  }
}
