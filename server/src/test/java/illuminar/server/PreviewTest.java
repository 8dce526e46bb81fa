package illuminar.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.awt.image.BufferedImage;
import java.net.http.WebSocket;
import java.util.Locale;
import java.util.concurrent.CompletionException;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** What the bench asks for over its socket, and what it is answered. Source: our own protocol. */
class PreviewTest {
  private static TestServer server;
  private static Visitor visitor;
  private static String view;
  private static JsonNode recipe;

  private WebSocket socket;
  private Line line;

  @BeforeAll
  static void begin() {
    server = new TestServer("preview_test");
    visitor = new Visitor(server.url()).signedIn();
    view = visitor.firstView(visitor.demoShoot());
    recipe = visitor.json("/api/views/" + view + "/recipe").path("recipe");
  }

  @AfterAll
  static void end() {
    server.close();
  }

  @BeforeEach
  void open() {
    line = new Line();
    socket = line.join(server.url(), visitor, view);
  }

  @AfterEach
  void leave() {
    socket.abort();
  }

  private Line.Answer ask(String kind, JsonNode of, String more) throws InterruptedException {
    socket.sendText(
        String.format(Locale.ROOT, "{\"kind\":\"%s\",\"seq\":7,\"recipe\":%s%s}", kind, of, more),
        true);
    return line.next();
  }

  private static String raster(double scale, int w, int h) {
    return String.format(
        Locale.ROOT,
        ",\"raster\":{\"scale\":%s,\"x\":0,\"y\":0,\"width\":%d,\"height\":%d}",
        scale,
        w,
        h);
  }

  private static String firstRegion() {
    return recipe.at("/regions/0/id").asString();
  }

  @Test
  void aPictureComesWithItsHistogram() throws Exception {
    Line.Answer a = ask("picture", recipe, raster(0.5, 300, 200) + ",\"quality\":0.9");
    assertThat(a.head().path("kind").asString()).isEqualTo("picture");
    assertThat(a.head().path("seq").asInt()).isEqualTo(7);
    double light = sum(a.head().at("/histogram/light"));
    assertThat(light).isPositive();
    for (String channel : new String[] {"red", "green", "blue"}) {
      assertThat(sum(a.head().at("/histogram/" + channel))).isEqualTo(light);
    }
    int bytes = 0;
    for (JsonNode s : a.head().path("strips")) {
      bytes += s.path("bytes").asInt();
    }
    assertThat(a.body()).hasSize(bytes);
  }

  private static double sum(JsonNode list) {
    double sum = 0;
    for (JsonNode v : list) {
      sum += v.asDouble();
    }
    return sum;
  }

  @Test
  void aRegionIsAGreyPictureThatItsShareIsTheMeanOf() throws Exception {
    Line.Answer a =
        ask("mask", recipe, raster(0.5, 300, 200) + ",\"region\":\"" + firstRegion() + "\"");
    assertThat(a.head().path("kind").asString()).isEqualTo("mask");
    BufferedImage image = a.image();
    assertThat(image.getWidth()).isEqualTo(300);
    double sum = 0;
    for (int i = 0; i < 300 * 200; i++) {
      sum += image.getRaster().getSample(i % 300, i / 300, 0) / 255.0;
    }
    double share = a.head().path("share").asDouble();
    assertThat(sum / (300 * 200)).isCloseTo(share, within(0.003));
    assertThat(share).isBetween(0.01, 0.6);
    assertThat(a.head().path("bytes").asInt()).isBetween(50, 4000);
  }

  @Test
  void aFrameCanBeSeenAlone() throws Exception {
    String frame = recipe.at("/ground/frames/0").asString();
    Line.Answer alone =
        ask("picture", recipe, raster(0.5, 300, 200) + ",\"frame\":\"" + frame + "\"");
    Line.Answer whole = ask("picture", recipe, raster(0.5, 300, 200));
    assertThat(alone.head().path("kind").asString()).isEqualTo("picture");
    assertThat(alone.body()).isNotEqualTo(whole.body());
  }

  @Test
  void aColourIsPickedFromTheGround() throws Exception {
    Line.Answer a =
        ask(
            "pick",
            recipe,
            ",\"slot\":\"3\",\"look\":{\"from\":\"GROUND\",\"frame\":\"\"},\"x\":60,\"y\":300,"
                + "\"radius\":6");
    assertThat(a.head().path("kind").asString()).isEqualTo("picked");
    assertThat(a.head().at("/reading/lab/l").asDouble()).isBetween(1.0, 100.0);
  }

  /** Readings are of the picture that is shown; beside it there is nothing to read. */
  @Test
  void probesAreReadFromWhatIsShown() throws Exception {
    ask("picture", recipe, raster(0.5, 100, 100));
    Line.Answer a =
        ask(
            "read",
            recipe,
            ",\"probes\":[{\"id\":\"in\",\"x\":50,\"y\":50,\"radius\":8},"
                + "{\"id\":\"out\",\"x\":590,\"y\":390,\"radius\":8}]");
    assertThat(a.head().at("/probes/0/reading/lab/l").asDouble()).isPositive();
    assertThat(a.head().at("/probes/1/reading").isMissingNode()).isTrue();
  }

  @Test
  void senselessRequestsAreAnsweredAndTheNextIsServed() throws Exception {
    assertThat(ask("picture", recipe, raster(1, 30_000, 20_000)).head().path("said").asString())
        .contains("too large");
    assertThat(ask("dance", recipe, "").head().path("said").asString()).contains("unknown");
    assertThat(
            ask("mask", recipe, raster(0.5, 30, 20) + ",\"region\":\"none\"")
                .head()
                .path("kind")
                .asString())
        .isEqualTo("problem");
    ObjectNode odd = ((ObjectNode) recipe.deepCopy()).put("ground", "clay");
    assertThat(ask("picture", odd, raster(0.5, 30, 20)).head().path("kind").asString())
        .isEqualTo("problem");
    socket.sendText("not even json", true);
    assertThat(ask("picture", recipe, raster(0.5, 30, 20)).head().path("kind").asString())
        .isEqualTo("picture");
  }

  @Test
  void aViewThatIsNotOnesOwnIsNotShown() throws Exception {
    Line other = new Line();
    other.join(server.url(), visitor, "00000000-0000-0000-0000-000000000000");
    assertThat(other.closed()).isEqualTo(1007);
  }

  @Test
  void withoutSignInThereIsNoSocket() {
    Visitor stranger = new Visitor(server.url());
    org.assertj.core.api.Assertions.assertThatThrownBy(
            () -> new Line().join(server.url(), stranger, view))
        .isInstanceOf(CompletionException.class);
  }
}
