package illuminar.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.awt.image.BufferedImage;
import java.net.http.WebSocket;
import java.util.Locale;
import java.util.concurrent.CompletionException;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** What the bench asks for over its socket, and what it is answered. Source: our own protocol. */
class PreviewTest {
  private static final Opened OPENED = Opened.view();
  private static final JsonNode RECIPE = OPENED.state().path("recipe");
  private final Visitor visitor = OPENED.visitor();
  private final String view = OPENED.id();
  private Line line;
  private WebSocket socket;

  @BeforeEach
  void open() {
    line = new Line();
    socket = line.join(OPENED.server().url(), visitor, view);
  }

  @AfterEach
  void leave() {
    socket.abort();
  }

  /** A request of a kind with all that its record has; {@code more} replaces some of it. */
  private static ObjectNode request(String kind, String more) {
    String usual =
        switch (kind) {
          case "picture" ->
              "\"frame\":\"\",\"raster\":%s,\"probes\":[],\"quality\":0.9,\"draft\":false,\"moving\":\"\",\"aside\":false,\"uncut\":false";
          case "mask" -> "\"slot\":\"stage\",\"region\":\"\",\"raster\":%s,\"uncut\":false";
          case "pick" ->
              "\"slot\":\"3\",\"look\":{\"from\":\"GROUND\",\"frame\":\"\"},\"x\":60,\"y\":300,\"radius\":6";
          default -> "\"probes\":[]";
        };
    ObjectNode all =
        (ObjectNode)
            Visitor.JSON.readTree(
                "{\"kind\":\""
                    + kind
                    + "\",\"seq\":7,"
                    + usual.formatted(raster(0.5, 300, 200))
                    + "}");
    if (!kind.equals("read")) {
      all.set("recipe", RECIPE);
    }
    all.setAll((ObjectNode) Visitor.JSON.readTree("{" + more + "}"));
    return all;
  }

  private Line.Answer ask(JsonNode request) throws InterruptedException {
    socket.sendText(request.toString(), true).join();
    return line.next();
  }

  private Line.Answer ask(String kind, String more) throws InterruptedException {
    return ask(request(kind, more));
  }

  private static String raster(double scale, int w, int h) {
    return String.format(
        Locale.ROOT, "{\"scale\":%s,\"x\":0,\"y\":0,\"width\":%d,\"height\":%d}", scale, w, h);
  }

  private static String firstRegion() {
    return RECIPE.at("/regions/0/id").asString();
  }

  @Test
  void aPictureComesWithItsHistogram() throws Exception {
    Line.Answer a = ask("picture", "");
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
    Line.Answer a = ask("mask", "\"region\":\"" + firstRegion() + "\"");
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
    String frame = RECIPE.at("/ground/frames/0").asString();
    Line.Answer alone = ask("picture", "\"frame\":\"" + frame + "\"");
    Line.Answer whole = ask("picture", "");
    assertThat(alone.head().path("kind").asString()).isEqualTo("picture");
    assertThat(alone.body()).isNotEqualTo(whole.body());
  }

  /** The camera's picture beside ours is looked at, not measured. */
  @Test
  void readingsStayWithThePictureThatIsWorkedOn() throws Exception {
    String frame = RECIPE.at("/ground/frames/0").asString();
    String probe = "\"probes\":[{\"id\":\"p\",\"x\":60,\"y\":300,\"radius\":3,\"surface\":\"\"}]";
    ask("picture", "");
    JsonNode before = ask("read", probe).head().path("probes");
    ask("picture", "\"aside\":true,\"frame\":\"" + frame + "\"");
    assertThat(ask("read", probe).head().path("probes")).isEqualTo(before);
    ask("picture", "\"frame\":\"" + frame + "\"");
    assertThat(ask("read", probe).head().path("probes")).isNotEqualTo(before);
  }

  @Test
  void aColourIsPickedFromTheGround() throws Exception {
    Line.Answer a = ask("pick", "");
    assertThat(a.head().path("kind").asString()).isEqualTo("pick");
    assertThat(a.head().at("/reading/lab/l").asDouble()).isBetween(1.0, 100.0);
  }

  /** Readings are of the picture that is shown; beside it there is nothing to read. */
  @Test
  void probesAreReadFromWhatIsShown() throws Exception {
    ask("picture", "\"raster\":" + raster(0.5, 100, 100));
    Line.Answer a =
        ask(
            "read",
            "\"probes\":[{\"id\":\"in\",\"x\":50,\"y\":50,\"radius\":8,\"surface\":\"\"},"
                + "{\"id\":\"out\",\"x\":590,\"y\":390,\"radius\":8,\"surface\":\"\"}]");
    assertThat(a.head().at("/probes/0/reading/lab/l").asDouble()).isPositive();
    assertThat(a.head().at("/probes/1/reading").isMissingNode()).isTrue();
  }

  /** Of many requests sent at once only the newest must be answered last; most are never begun. */
  /** A shelf of small masks is drawn anew while a hand moves on. */
  @Test
  void aPictureThatFollowsAHandGoesBeforeMasksThatWait() throws Exception {
    int masks = 40;
    for (int i = 0; i < masks; i++) {
      String slot = "\"slot\":\"thumb " + i + "\",\"region\":\"" + firstRegion() + "\"";
      socket.sendText(request("mask", slot).toString(), true).join();
    }
    socket.sendText(request("picture", "\"draft\":true").toString(), true).join();
    int before = 0;
    while (!line.next().head().path("kind").asString().equals("picture")) {
      before++;
    }
    for (int i = before; i < masks; i++) {
      assertThat(line.next().head().path("kind").asString()).isEqualTo("mask");
    }
    assertThat(before).isLessThan(masks);
  }

  @Test
  void theLatestPreviewWins() throws Exception {
    String size =
        "\"raster\":"
            + raster(1, 600, 400)
            + ",\"probes\":[{\"id\":\"p\",\"x\":300,\"y\":40,\"radius\":6,\"surface\":\"\"}]";
    for (int seq = 1; seq <= 40; seq++) {
      socket.sendText(request("picture", size + ",\"seq\":" + seq).toString(), true).get();
    }
    JsonNode head = line.next().head();
    int count = 1;
    while (head.path("seq").asInt() < 40) {
      head = line.next().head();
      count++;
    }
    assertThat(count).isLessThan(40);
    assertThat(head.at("/probes/0/reading/lab/l").asDouble()).isBetween(20.0, 100.0);
    int rows = 0;
    for (JsonNode strip : head.path("strips")) {
      rows += strip.path("rows").asInt();
    }
    assertThat(rows).isEqualTo(400);
  }

  private static String said(Line.Answer a) {
    assertThat(a.head().path("kind").asString()).isEqualTo("problem");
    return a.head().path("said").asString();
  }

  @Test
  void senselessRequestsAreAnsweredAndTheNextIsServed() throws Exception {
    assertThat(said(ask("picture", "\"raster\":" + raster(1, 30_000, 20_000))))
        .contains("too large");
    assertThat(said(ask("picture", "\"kind\":\"dance\""))).isNotBlank();
    assertThat(said(ask("picture", "\"raster\":" + raster(0, 30, 20)))).contains("No such raster");
    ObjectNode odd = request("picture", "");
    ((ObjectNode) odd.set("recipe", RECIPE.deepCopy()).get("recipe")).put("ground", "clay");
    // what is wrong with a request is no news for a photographer
    assertThat(said(ask(odd))).doesNotContain("illuminar").doesNotContain("Exception");
    socket.sendText("not even json", true).join();
    assertThat(ask("picture", "").head().path("kind").asString()).isEqualTo("picture");
  }

  /** A request that fails says which it was, so that nothing else waits for it. */
  @Test
  void aProblemSaysWhichRequestItAnswers() throws Exception {
    Line.Answer mask = ask("mask", "\"region\":\"none\",\"slot\":\"thumb none\"");
    assertThat(said(mask)).contains("no region none");
    assertThat(mask.head().path("request").asString()).isEqualTo("mask");
    assertThat(mask.head().path("slot").asString()).isEqualTo("thumb none");
    assertThat(mask.head().path("seq").asInt()).isEqualTo(7);
    Line.Answer pick =
        ask("pick", "\"look\":{\"from\":\"FRAME\",\"frame\":\"gone\"},\"slot\":\"9\"");
    assertThat(pick.head().path("request").asString()).isEqualTo("pick");
    assertThat(pick.head().path("slot").asString()).isEqualTo("9");
  }

  /** A mask says whose it is, whatever is looked at by the time it comes. */
  @Test
  void aMaskSaysItsRegion() throws Exception {
    Line.Answer a = ask("mask", "\"region\":\"" + firstRegion() + "\"");
    assertThat(a.head().path("region").asString()).isEqualTo(firstRegion());
  }

  @Test
  void aViewThatIsNotOnesOwnIsNotShown() throws Exception {
    Line other = new Line();
    other.join(OPENED.server().url(), visitor, "00000000-0000-0000-0000-000000000000");
    assertThat(other.closed()).isEqualTo(1007);
  }

  @Test
  void withoutSignInThereIsNoSocket() {
    Visitor stranger = new Visitor(OPENED.server().url());
    org.assertj.core.api.Assertions.assertThatThrownBy(
            () -> new Line().join(OPENED.server().url(), stranger, view))
        .isInstanceOf(CompletionException.class);
  }
}
