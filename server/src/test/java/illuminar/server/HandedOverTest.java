package illuminar.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;
import java.util.zip.ZipInputStream;
import javax.imageio.ImageIO;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** What goes out of the house beside single pictures: links for clients, reports, layers. */
class HandedOverTest {
  private static final Opened OPENED = Opened.view();
  private final TestServer server = OPENED.server();
  private final Visitor visitor = OPENED.visitor();
  private final String shoot = OPENED.shoot();
  private final String view = OPENED.id();
  private final Deliveries deliveries = new Deliveries(visitor, shoot);

  /** Whatever other tests left of the shared view, what goes out is its first version. */
  @BeforeEach
  void firstVersion() {
    String match = "\"" + OPENED.state().path("edition").asLong() + "\"";
    HttpResponse<String> answer =
        visitor.send("POST", "/api/views/" + view + "/history/1", "", "If-Match", match);
    assertThat(answer.statusCode()).as(answer.body()).isEqualTo(200);
  }

  /** A client fetches without signing in, until the link ends; every download is counted. */
  @Test
  void aClientFetchesByALink() throws Exception {
    JsonNode job = deliveries.made(Visitor.order(List.of(view), 0, "JPEG", "TIFF_8"));
    String links = "/api/shoots/" + shoot + "/links";
    String wish = "{\"job\":\"" + job.path("id").asString() + "\",\"days\":7}";
    JsonNode made = Visitor.JSON.readTree(visitor.post(links, wish).body());
    String path = made.path("link").asString().replace("/client/", "/api/client/");
    Visitor client = new Visitor(server.url());
    JsonNode parcel = client.json(path);
    assertThat(parcel.path("files")).hasSize(2);
    String first = path + "/files/" + parcel.at("/files/0/id").asString();
    assertThat(client.get(first + "?show=true").statusCode()).isEqualTo(200);
    assertThat(client.get(first).headers().firstValue("Content-Disposition").orElse(""))
        .contains("attachment", ".tif");
    try (ZipInputStream zip =
        new ZipInputStream(new ByteArrayInputStream(client.bytes(path + "/files.zip")))) {
      ZipEntry entry = zip.getNextEntry();
      assertThat(entry.getName()).isEqualTo(parcel.at("/files/0/name").asString());
      assertThat(zip.readAllBytes()).isEqualTo(client.bytes(first));
      assertThat(zip.getNextEntry()).isNotNull();
    }
    assertThat(visitor.json(links).get(0).path("downloads").asInt()).isEqualTo(3);
    assertThat(client.get("/api/client/" + "a".repeat(43)).body()).contains("leads nowhere");
    assertThat(client.get(links).statusCode()).isEqualTo(401);
    server.sql("update client_link set until = now() - interval '1 day'");
    assertThat(client.get(first).statusCode()).isEqualTo(410);
    assertThat(client.get(first).body()).contains("This link ended on");
    String own = links + "/" + visitor.json(links).get(0).path("id").asString();
    assertThat(visitor.send("DELETE", own, "").statusCode()).isEqualTo(204);
    assertThat(visitor.json(links)).isEmpty();
  }

  /** The desk answers for each file by itself; the answers stay with the delivery. */
  @Test
  void theListingDeskAnswersForEachPicture() throws Exception {
    JsonNode job = deliveries.made(Visitor.order(List.of(view), 0, "JPEG", "PNG_8"));
    String id = job.path("id").asString();
    HttpResponse<String> sent =
        visitor.post("/api/shoots/" + shoot + "/deliveries/" + id + "/desk", "");
    assertThat(sent.statusCode()).as(sent.body()).isEqualTo(202);
    visitor.done(shoot, Visitor.JSON.readTree(sent.body()).path("id").asString());
    JsonNode sheet = visitor.json("/api/shoots/" + shoot + "/desk");
    assertThat(sheet.path("simulated").asBoolean()).isTrue();
    List<String> objections = new ArrayList<>();
    for (JsonNode answer : sheet.path("answers")) {
      if (answer.path("job").asString().equals(id)) {
        assertThat(answer.path("view").asString()).isEqualTo(view);
        objections.add(answer.path("name").asString() + answer.path("objections"));
      }
    }
    assertThat(objections).hasSize(2);
    assertThat(objections).anySatisfy(o -> assertThat(o).contains(".png", "Only JPEG"));
    assertThat(objections).anySatisfy(o -> assertThat(o).contains(".jpg", "alt text"));
    String nobody = "/api/shoots/" + shoot + "/deliveries/" + UUID.randomUUID() + "/desk";
    assertThat(visitor.post(nobody, "").statusCode()).isEqualTo(404);
  }

  /** What was done, in words, read back by the PDF library's own reader and as a page. */
  @Test
  void aReportSaysWhatWasDone() throws Exception {
    JsonNode job = deliveries.made(Visitor.order(List.of(view), 320, "JPEG"));
    String path = "/api/shoots/" + shoot + "/deliveries/" + job.path("id").asString();
    String html = visitor.get(path + "/report.html").body();
    assertThat(html).contains("<h3>Steps</h3>", "Frames used", "FWH_0", "-320px.jpg");
    try (PDDocument pdf = Loader.loadPDF(visitor.bytes(path + "/report.pdf"))) {
      String text = new PDFTextStripper().getText(pdf);
      assertThat(text).contains("Steps", "Frames used", "Window panes", "-320px.jpg");
      List<String> steps = new ArrayList<>();
      for (JsonNode pass : visitor.json("/api/views/" + view + "/recipe").at("/recipe/passes")) {
        steps.add(pass.path("id").asString());
      }
      assertThat(text.split("\\n", -1).length).isGreaterThan(steps.size());
      assertThat(pdf.getPage(0).getResources().getXObjectNames()).hasSize(2);
    }
    String other = path.replace(job.path("id").asString(), UUID.randomUUID().toString());
    assertThat(visitor.get(other + "/report.pdf").statusCode()).isEqualTo(404);
  }

  /** Ground, stages and regions as layers; all of them together look like the picture. */
  @Test
  void layersGoOnInOtherPrograms() throws Exception {
    Map<String, JsonNode> files =
        deliveries.files(deliveries.made(Visitor.order(List.of(view), 320, "ORA", "PNG_8")));
    try (ZipFile ora = new ZipFile(deliveries.fetched(files.get("ORA")).toFile())) {
      String stack =
          new String(
              ora.getInputStream(ora.getEntry("stack.xml")).readAllBytes(), StandardCharsets.UTF_8);
      assertThat(stack)
          .contains(
              "name=\"Ground\"", "name=\"Windows\"", "name=\"Region Window panes\"", "hidden");
      BufferedImage merged = ImageIO.read(ora.getInputStream(ora.getEntry("mergedimage.png")));
      BufferedImage png = ImageIO.read(deliveries.fetched(files.get("PNG_8")).toFile());
      assertThat(merged.getWidth()).isEqualTo(png.getWidth());
      for (int i = 0; i < 200; i++) {
        int x = i * 7 % png.getWidth();
        int y = i * 11 % png.getHeight();
        assertThat(merged.getRGB(x, y)).isEqualTo(png.getRGB(x, y));
      }
    }
  }
}
