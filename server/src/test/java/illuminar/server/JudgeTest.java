package illuminar.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** What is asked about a picture beside drawing it, over HTTP. */
class JudgeTest {
  private static final Opened OPENED = Opened.view();
  private static final Visitor visitor = OPENED.visitor();
  private static final TestServer server = OPENED.server();
  private static final String view = OPENED.id();

  private static JsonNode state() {
    return visitor.json("/api/views/" + view + "/recipe");
  }

  private static ObjectNode recipe() {
    return (ObjectNode) state().path("recipe").deepCopy();
  }

  private static JsonNode ask(String what, JsonNode body) {
    HttpResponse<String> answer = visitor.post(what, body.toString());
    assertThat(answer.statusCode()).as(what + ": " + answer.body()).isEqualTo(200);
    return Visitor.JSON.readTree(answer.body());
  }

  private static BufferedImage picture(byte[] png) throws IOException {
    return ImageIO.read(new ByteArrayInputStream(png));
  }

  private static String flash() {
    for (JsonNode f : visitor.json("/api/views/" + view).path("frames")) {
      if (f.path("role").asString().equals("FLASH")) {
        return f.path("id").asString();
      }
    }
    throw new AssertionError("the demo's small view has no flash frame");
  }

  /**
   * CRAFT's worked match: reference L* 73.5, a* 5.7, b* 8.5 from L* 70.5, a* 7, b* 9.5; lighter,
   * and hardly anything left. Source: the trade's worked numbers.
   */
  @Test
  void tooManyPlacesAreNotSolvedAtOnce() {
    String lab = "{\"l\":50,\"a\":1,\"b\":1}";
    String body = "{\"colours\":[" + (lab + ",").repeat(200) + lab + "]}";
    assertThat(visitor.post("/api/solve/neutral", body).body())
        .contains("At most 200 places are solved at once.");
  }

  @Test
  void theWorkedMatchIsSolved() {
    JsonNode solved =
        ask(
            "/api/solve/reference",
            Visitor.JSON.readTree(
                """
                {"colours": [{"l": 70.5, "a": 7, "b": 9.5}], "present": null,
                 "reference": {"l": 73.5, "a": 5.7, "b": 8.5}}
                """));
    assertThat(solved.path("light").asDouble()).isPositive();
    assertThat(solved.path("left").asDouble()).isLessThan(0.3);
    assertThat(solved.path("each")).hasSize(1);
  }

  @Test
  void aNeutralPickOnAColouredThingWarns() {
    JsonNode solved =
        ask(
            "/api/solve/neutral",
            Visitor.JSON.readTree("{\"colours\": [{\"l\": 40, \"a\": 55, \"b\": 40}]}"));
    assertThat(solved.path("said").asString()).isNotEmpty();
    JsonNode wall =
        ask(
            "/api/solve/neutral",
            Visitor.JSON.readTree("{\"colours\": [{\"l\": 80, \"a\": 1, \"b\": 9}]}"));
    assertThat(wall.path("said").asString()).isEmpty();
    assertThat(wall.path("warmer").asDouble()).as("a yellow wall is cooled").isNegative();
    assertThat(wall.path("left").asDouble()).isLessThan(0.5);
  }

  @Test
  void aMatchWithoutAReferenceSaysWhatIsMissing() {
    HttpResponse<String> answer =
        visitor.post("/api/solve/reference", "{\"colours\": [{\"l\": 40, \"a\": 5, \"b\": 4}]}");
    assertThat(answer.statusCode()).isEqualTo(422);
    assertThat(answer.body()).contains("choose the place that is the reference");
  }

  @Test
  void watchFindsAHaloThatIsPutThere() {
    ObjectNode recipe = recipe();
    // the view much darker, and its mask softened into the wall
    for (JsonNode r : recipe.path("regions")) {
      ((ObjectNode) r).put("feather", 30);
    }
    for (JsonNode p : recipe.path("passes")) {
      if (p.at("/move/kind").asString().equals("show-view")) {
        ((ObjectNode) p.path("move")).put("lighter", -1.5);
      }
    }
    List<String> kinds = new ArrayList<>();
    for (JsonNode f : ask("/api/views/" + view + "/watch", recipe)) {
      kinds.add(f.path("kind").asString());
      assertThat(f.at("/at/x").asDouble()).isBetween(0.0, 1.0);
      assertThat(f.path("mends").asString()).isNotEmpty();
    }
    assertThat(kinds).contains("HALO");
  }

  @Test
  void theCastMapIsAPictureForEachSource() throws Exception {
    byte[] surfaces = visitor.bytes("/api/views/" + view + "/casts?source=SURFACES");
    byte[] flash = visitor.bytes("/api/views/" + view + "/casts?source=FLASH&reference=" + flash());
    assertThat(picture(surfaces).getWidth()).isEqualTo(picture(flash).getWidth());
    assertThat(surfaces).isNotEqualTo(flash);
    HttpResponse<String> nothing = visitor.get("/api/views/" + view + "/casts?source=MOON");
    assertThat(nothing.statusCode()).isBetween(400, 422);
  }

  /** Each stage answers with a complete recipe and a line on what was found. */
  @Test
  void everyStageProposesOrSaysWhyNot() {
    JsonNode stages = visitor.json("/api/views/" + view + "/proposals");
    assertThat(stages.size()).isGreaterThan(4);
    for (JsonNode stage : stages) {
      String name = stage.asString().replace(" ", "%20");
      JsonNode made = ask("/api/views/" + view + "/proposals/" + name, recipe());
      assertThat(made.path("said").asString()).as(name).isNotEmpty();
      assertThat(made.path("recipe").path("ground").path("kind").asString()).isNotEmpty();
    }
    assertThat(visitor.post("/api/views/" + view + "/proposals/Moon", recipe().toString()))
        .matches(a -> a.statusCode() >= 400 && a.statusCode() < 500);
  }

  /** What is measured is the core's (WatchTest); a pass that is not there is refused. */
  @Test
  void aPassSaysWhatItLeavesOfTheDarksThatItLifts() throws Exception {
    ObjectNode recipe = recipe();
    ((ArrayNode) recipe.path("passes"))
        .add(
            Visitor.JSON.readTree(
                """
                {"id": "lift", "on": true, "strength": 1, "why": "", "group": "",
                 "where": {"region": "", "outside": false},
                 "gate": {"from": -100, "full": -100, "fullTo": 100, "to": 100},
                 "move": {"kind": "tone", "exposure": 0, "contrast": 0, "highlights": 0,
                          "shadows": 100, "midtones": 0, "follow": 0}}
                """));
    JsonNode darks = ask("/api/views/" + view + "/darks/lift", recipe);
    double slope = darks.path("slope").asDouble();
    assertThat(slope).isBetween(0.2, 1.5);
    assertThat(darks.path("mud").asBoolean()).isEqualTo(slope < 0.6);
    HttpResponse<String> unknown =
        visitor.post("/api/views/" + view + "/darks/other", recipe.toString());
    assertThat(unknown.statusCode()).isBetween(400, 422);
  }

  /** What is looked for is the core's; here a heal of the whole picture, which has no source. */
  @Test
  void aPassThatDoesNothingSaysWhy() throws Exception {
    ObjectNode recipe = recipe();
    ((ArrayNode) recipe.path("passes"))
        .add(
            Visitor.JSON.readTree(
                """
                {"id": "heal", "on": true, "strength": 1, "why": "", "group": "",
                 "where": {"region": "", "outside": false},
                 "gate": {"from": -100, "full": -100, "fullTo": 100, "to": 100},
                 "move": {"kind": "heal", "across": 0, "down": 0}}
                """));
    assertThat(ask("/api/views/" + view + "/idle/heal", recipe).path("said").asString())
        .contains("more than a quarter of the picture");
    HttpResponse<String> unknown =
        visitor.post("/api/views/" + view + "/idle/other", recipe.toString());
    assertThat(unknown.statusCode()).isBetween(400, 422);
  }

  /** White is all, transparent where the pass is off. */
  @Test
  void transmissionIsShownWhereTheHazePassWorks() throws Exception {
    ObjectNode recipe = recipe();
    String region = recipe.at("/regions/0/id").asString();
    ((ArrayNode) recipe.path("passes"))
        .add(
            Visitor.JSON.readTree(
                """
                {"id": "haze", "on": true, "strength": 1, "why": "", "group": "",
                 "where": {"region": "%s", "outside": false},
                 "gate": {"from": -100, "full": -100, "fullTo": 100, "to": 100},
                 "move": {"kind": "clear-haze", "amount": 0.5, "guard": 1, "saturation": 1,
                          "contrast": 0}}
                """
                    .formatted(region)));
    HttpResponse<byte[]> answer =
        visitor.postForBytes("/api/views/" + view + "/transmission/haze", recipe.toString());
    assertThat(answer.statusCode()).isEqualTo(200);
    BufferedImage map = picture(answer.body());
    int shown = 0;
    int clear = 0;
    for (int i = 0; i < map.getWidth() * map.getHeight(); i++) {
      int argb = map.getRGB(i % map.getWidth(), i / map.getWidth());
      shown += argb >>> 24 == 255 ? 1 : 0;
      clear += argb >>> 24 == 0 ? 1 : 0;
    }
    assertThat(shown).isPositive();
    assertThat(clear).isGreaterThan(shown);
    assertThat(shown + clear).isEqualTo(map.getWidth() * map.getHeight());
  }

  /** Every number of the catalogue says its unit, its range and a careful value within it. */
  @Test
  void theCatalogueIsComplete() {
    JsonNode kinds = visitor.json("/api/catalogue");
    assertThat(kinds.size()).isGreaterThan(15);
    for (JsonNode kind : kinds) {
      String sentence = kind.path("sentence").asString();
      assertThat(sentence).contains("{region}").doesNotEndWith(".");
      assertThat(kind.path("help").asString()).isNotBlank();
      for (JsonNode c : kind.path("controls")) {
        double from = c.path("from").asDouble();
        double to = c.path("to").asDouble();
        assertThat(from).as(c.path("label").asString()).isLessThan(to);
        assertThat(c.path("defaultValue").asDouble()).isBetween(from, to);
        assertThat(c.path("step").asDouble()).isPositive().isLessThan(to - from);
      }
    }
  }

  /** A gesture that comes back to where it began is nothing to undo. */
  @Test
  void theSameRecipeIsNoStep() {
    JsonNode before = state();
    HttpResponse<String> answer =
        visitor.send(
            "PUT",
            "/api/views/" + view + "/recipe",
            before.path("recipe").toString(),
            "If-Match",
            "\"" + before.path("edition").asLong() + "\"");
    assertThat(answer.statusCode()).isEqualTo(200);
    JsonNode after = Visitor.JSON.readTree(answer.body());
    assertThat(after.path("revision").asInt()).isEqualTo(before.path("revision").asInt());
    assertThat(after.path("edition").asLong()).isEqualTo(before.path("edition").asLong());
  }

  @Test
  void whatIsNotThereIsNotFoundAndNamesNoOneElsesThings() {
    UUID none = UUID.randomUUID();
    for (String path : List.of("/recipe", "/lights", "/proposals", "/board", "/cover")) {
      assertThat(visitor.get("/api/views/" + none + path).statusCode()).as(path).isEqualTo(404);
    }
    assertThat(visitor.get("/api/frames/" + none + "/thumb").statusCode()).isEqualTo(404);
    assertThat(visitor.get("/api/shoots/" + none).statusCode()).isEqualTo(404);
    assertThat(visitor.get("/api/delivered/" + none).statusCode()).isEqualTo(404);
  }

  /** The small pictures of frames are what a browser can show, and small. */
  @Test
  void framesHaveThumbs() throws Exception {
    for (JsonNode f : visitor.json("/api/views/" + view).path("frames")) {
      byte[] thumb = visitor.bytes("/api/frames/" + f.path("id").asString() + "/thumb");
      BufferedImage image = picture(thumb);
      assertThat(Math.max(image.getWidth(), image.getHeight())).isBetween(60, 600);
      assertThat(thumb.length).isLessThan(60_000);
      assertThat(image.getWidth() / (double) image.getHeight()).isCloseTo(1.5, within(0.05));
    }
  }

  @Test
  void whoSignsOutIsAStranger() {
    Visitor other = new Visitor(server.url()).signedIn();
    assertThat(other.get("/api/shoots").statusCode()).isEqualTo(200);
    other.send("DELETE", "/api/session", null);
    assertThat(other.get("/api/shoots").statusCode()).isEqualTo(401);
    // the other session of the same person goes on
    assertThat(visitor.get("/api/shoots").statusCode()).isEqualTo(200);
  }
}
