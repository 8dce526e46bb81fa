package illuminar.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import illuminar.files.PictureReader;
import java.net.http.HttpResponse;
import java.net.http.WebSocket;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** A picture that is turned, set upright and cut: kept, seen and delivered. */
class GeometryTest {
  private static final Opened OPENED = Opened.view();
  private final Visitor visitor = OPENED.visitor();
  private final String view = OPENED.id();

  private static ObjectNode lying(double turn, String crop) {
    return (ObjectNode)
        Visitor.JSON.readTree(
            String.format(
                Locale.ROOT,
                "{\"turn\":%s,\"pitch\":0,\"yaw\":0,\"strength\":1,\"focal\":24,\"bulge\":0,"
                    + "\"outer\":0,\"red\":0,\"blue\":0,\"crop\":%s,\"why\":\"\"}",
                turn,
                crop));
  }

  private static final String ALL = "{\"ratio\":0,\"left\":0,\"top\":0,\"width\":0,\"height\":0}";

  private HttpResponse<String> put(JsonNode geometry) {
    JsonNode state = OPENED.state();
    ObjectNode recipe = (ObjectNode) state.path("recipe").deepCopy();
    recipe.set("geometry", geometry);
    return visitor.send(
        "PUT",
        "/api/views/" + view + "/recipe",
        recipe.toString(),
        "If-Match",
        "\"" + state.path("edition").asLong() + "\"");
  }

  @AfterEach
  void asItLay() {
    put(lying(0, ALL));
  }

  private JsonNode laid(JsonNode geometry, boolean uncut) {
    return Visitor.JSON.readTree(
        visitor.post("/api/views/" + view + "/lay?uncut=" + uncut, geometry.toString()).body());
  }

  @Test
  void aTurnedPictureIsDeliveredAtTheSizeThatIsKept() throws Exception {
    ObjectNode turned = lying(4, "{\"ratio\":1.5,\"left\":0,\"top\":0,\"width\":0,\"height\":0}");
    assertThat(put(turned).statusCode()).isEqualTo(200);
    assertThat(OPENED.state().path("said").asString()).contains("straighten");
    JsonNode lies = laid(turned, false);
    assertThat(lies.path("width").asInt()).isBetween(480, 590);
    JsonNode job = visitor.deliver(OPENED.shoot(), java.util.List.of(view), "JPEG");
    visitor.done(OPENED.shoot(), job.path("id").asString());
    for (JsonNode f : visitor.json("/api/shoots/" + OPENED.shoot() + "/delivered")) {
      if (f.path("job").equals(job.path("id"))) {
        Path file = Files.createTempFile("delivered", ".jpg");
        Files.write(file, visitor.bytes("/api/delivered/" + f.path("id").asString()));
        assertThat(PictureReader.pixels(file, "f").width()).isEqualTo(lies.path("width").asInt());
        assertThat(PictureReader.pixels(file, "f").height()).isEqualTo(lies.path("height").asInt());
      }
    }
  }

  /** A probe reads the same place of the room, however the picture lies. */
  @Test
  void probesStayWhereTheyAreInTheRoom() throws Exception {
    String probes = "\"probes\":[{\"id\":\"p\",\"x\":200,\"y\":60,\"radius\":6,\"surface\":\"\"}]";
    double[] light = new double[2];
    for (int k = 0; k < 2; k++) {
      ObjectNode lies = lying(k == 0 ? 0 : 5, ALL);
      JsonNode size = laid(lies, false);
      ObjectNode recipe = (ObjectNode) OPENED.state().path("recipe").deepCopy();
      recipe.set("geometry", lies);
      Line line = new Line();
      WebSocket socket = line.join(OPENED.server().url(), visitor, view);
      String ask =
          String.format(
              Locale.ROOT,
              "{\"kind\":\"picture\",\"seq\":1,\"frame\":\"\",\"quality\":0.9,\"draft\":false,"
                  + "\"moving\":\"\",\"aside\":false,\"uncut\":false,%s,\"raster\":{\"scale\":0.5,"
                  + "\"x\":0,\"y\":0,\"width\":%d,\"height\":%d},\"recipe\":%s}",
              probes,
              size.path("width").asInt() / 2,
              size.path("height").asInt() / 2,
              recipe);
      socket.sendText(ask, true).join();
      light[k] = line.next().head().at("/probes/0/reading/lab/l").asDouble();
      socket.abort();
    }
    assertThat(light[1]).isCloseTo(light[0], within(1.0));
  }

  @Test
  void allThatThereIsIsShownToBeCut() {
    ObjectNode turned = lying(6, ALL);
    JsonNode kept = laid(turned, false);
    JsonNode all = laid(turned, true);
    assertThat(all.path("width").asInt()).isGreaterThan(600);
    assertThat(kept.path("width").asInt()).isLessThan(600);
  }

  @Test
  void aLineThatLeansStraightensThePicture() {
    String leaning =
        "{\"geometry\":"
            + lying(0, ALL)
            + ",\"lines\":[{\"from\":{\"x\":0.2,\"y\":0.3},\"to\":{\"x\":0.8,\"y\":0.32}}]}";
    HttpResponse<String> said = visitor.post("/api/views/" + view + "/straightened", leaning);
    assertThat(said.statusCode()).as(said.body()).isEqualTo(200);
    assertThat(Visitor.JSON.readTree(said.body()).path("turn").asDouble())
        .isCloseTo(-Math.toDegrees(Math.atan2(0.02, 0.6)), within(0.01));
  }

  @Test
  void nonsenseIsRefusedInWords() {
    assertThat(put(lying(90, ALL)).statusCode()).isEqualTo(422);
    assertThat(put(lying(90, ALL)).body()).contains("Straighten goes from");
    String thin = "{\"ratio\":0,\"left\":0,\"top\":0,\"width\":0.001,\"height\":0.5}";
    assertThat(put(lying(0, thin)).body()).contains("fiftieth");
    HttpResponse<String> none =
        visitor.post(
            "/api/views/" + view + "/straightened",
            "{\"geometry\":" + lying(0, ALL) + ",\"lines\":[]}");
    assertThat(none.statusCode()).isBetween(400, 422);
    assertThat(none.body()).contains("1 to 200 lines");
  }
}
