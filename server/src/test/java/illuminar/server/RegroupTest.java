package illuminar.server;

import static illuminar.server.RegroupBodies.ELLIPSE;
import static illuminar.server.RegroupBodies.arranged;
import static illuminar.server.RegroupBodies.body;
import static illuminar.server.RegroupBodies.drawn;
import static illuminar.server.RegroupBodies.part;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import illuminar.files.Capture;
import illuminar.files.MakeAndModel;
import illuminar.files.Optics;
import illuminar.server.shoot.FrameRow;
import illuminar.server.shoot.FrameRows;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Predicate;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Frames arranged anew after intake: common practice, no source. */
class RegroupTest {
  private static TestServer server;
  private static Visitor visitor;
  private static String shoot;
  private static String view;

  @BeforeAll
  static void begin() {
    server = new TestServer("regroup_test");
    visitor = new Visitor(server.url()).signedIn();
    shoot = visitor.demoShoot();
    view = visitor.firstView(shoot);
  }

  @AfterAll
  static void end() {
    server.close();
  }

  private static JsonNode sheet(String view) {
    return visitor.json("/api/views/" + view);
  }

  private static List<JsonNode> frames(String view) {
    List<JsonNode> all = new ArrayList<>();
    sheet(view).path("frames").forEach(all::add);
    return all;
  }

  private static JsonNode one(List<JsonNode> frames, Predicate<JsonNode> wanted) {
    return frames.stream().filter(wanted).findFirst().orElseThrow();
  }

  private static int status(String body) {
    return visitor.send("PUT", "/api/shoots/" + shoot + "/frames", body).statusCode();
  }

  /** Arranges and waits for the line-up; what was answered. */
  private static JsonNode arrange(String body) {
    var answer = visitor.send("PUT", "/api/shoots/" + shoot + "/frames", body);
    assertThat(answer.statusCode()).as(answer.body()).isEqualTo(202);
    JsonNode done = Visitor.JSON.readTree(answer.body());
    lined(done.path("job"));
    return done;
  }

  private static void lined(JsonNode job) {
    JsonNode end = visitor.done(shoot, job.path("id").asString());
    assertThat(end.path("state").asString()).as(end.toString()).isEqualTo("DONE");
  }

  private static String anchorOf(List<JsonNode> frames) {
    return one(frames, f -> f.path("anchor").asBoolean()).path("id").asString();
  }

  private static void edit(String view, String region) {
    JsonNode state = visitor.json("/api/views/" + view + "/recipe");
    ObjectNode recipe = (ObjectNode) state.path("recipe");
    ((ArrayNode) recipe.path("regions")).add(Visitor.JSON.readTree(region));
    int status =
        visitor
            .send(
                "PUT",
                "/api/views/" + view + "/recipe",
                recipe.toString(),
                "If-Match",
                "\"" + state.path("edition").asLong() + "\"")
            .statusCode();
    assertThat(status).isEqualTo(200);
  }

  private static JsonNode region(String view, String id) {
    for (JsonNode r : visitor.json("/api/views/" + view + "/recipe").at("/recipe/regions")) {
      if (r.path("id").asString().equals(id)) {
        return r;
      }
    }
    throw new AssertionError("no region " + id);
  }

  /** Whatever was drawn stays on the thing that it was drawn on. */
  @Test
  void anotherAnchorTakesPlacesAlong() {
    edit(view, drawn("lamp", ELLIPSE));
    List<JsonNode> frames = frames(view);
    String before = anchorOf(frames);
    JsonNode next =
        one(frames, f -> !f.path("id").asString().equals(before) && f.path("sure").asBoolean());
    String anchor = next.path("id").asString();
    server.sql(
        "update frame set placed_dx = 8, placed_dy = -4, placed_a = 1, placed_b = 0 where id = '"
            + anchor
            + "'");
    JsonNode done = arrange(body(List.of(), arranged(view, anchor, frames)));
    assertThat(done.path("lost")).isEmpty();
    assertThat(anchorOf(frames(view))).isEqualTo(anchor);
    double width = sheet(view).path("width").asDouble();
    JsonNode centre = region(view, "lamp").at("/parts/0/shape/centre");
    assertThat(centre.path("x").asDouble()).isCloseTo(0.4 + 8 / width, within(1e-9));
    assertThat(centre.path("y").asDouble()).isCloseTo(0.3 - 4 / width, within(1e-9));
    assertThat(sheet(view).path("state").asString()).isEqualTo("BLENDED");
    JsonNode recipe = visitor.json("/api/views/" + view + "/recipe");
    assertThat(recipe.path("said").asString()).isEqualTo("another anchor");
    assertThat(recipe.path("canUndo").asBoolean()).as("it was made on other places").isFalse();
  }

  /** A view split keeps its recipe, names what it lost; joined again, nothing is lost. */
  @Test
  void aViewIsSplitAndJoinedAgain() {
    List<JsonNode> frames = frames(view);
    JsonNode window = one(frames, f -> f.path("role").asString().equals("WINDOW"));
    JsonNode ambient =
        one(
            frames,
            f -> f.path("role").asString().equals("AMBIENT") && !f.path("anchor").asBoolean());
    String burnt =
        part(
            "{\"kind\":\"burnt-light\",\"frame\":\""
                + window.path("id").asString()
                + "\",\"reach\":0.4,\"bloom\":0}");
    edit(view, drawn("shade", ELLIPSE, burnt));
    List<JsonNode> left = new ArrayList<>(frames);
    left.removeAll(List.of(window, ambient));
    String anchor = anchorOf(frames);
    JsonNode done =
        arrange(
            body(
                List.of(),
                arranged(view, anchor, left),
                arranged(null, ambient.path("id").asString(), List.of(window, ambient))));
    assertThat(done.path("lost").toString()).contains("Room: burnt light in Lamp is switched off");
    JsonNode parts = region(view, "shade").path("parts");
    assertThat(parts.get(0).path("off").asBoolean()).isFalse();
    assertThat(parts.get(1).path("off").asBoolean()).isTrue();
    JsonNode views = visitor.json("/api/shoots/" + shoot).path("views");
    assertThat(views).hasSize(2);
    String second = views.get(1).path("id").asString();
    assertThat(frames(second)).hasSize(2);
    assertThat(views.get(1).path("state").asString()).isEqualTo("LINED_UP");
    assertThat(visitor.get("/api/views/" + second + "/cover").statusCode()).isEqualTo(200);

    JsonNode own = visitor.json("/api/views/" + second + "/recipe");
    arrange(
        body(
            List.of(),
            arranged(
                view,
                anchor,
                java.util.stream.Stream.concat(left.stream(), frames(second).stream()).toList()),
            arranged(second, null, List.of())));
    assertThat(frames(view)).hasSize(frames.size());
    assertThat(visitor.json("/api/shoots/" + shoot).path("views")).hasSize(1);
    assertThat(region(view, "shade").path("parts")).hasSize(2);
    visitor.post("/api/bin/views/" + second + "/restore", "");
    assertThat(visitor.json("/api/views/" + second + "/recipe")).isEqualTo(own);
    assertThat(frames(second)).as("a view brought back has its frames").hasSize(2);
    String order = "/api/shoots/" + shoot + "/order";
    String both = "{\"views\":[\"%s\",\"%s\"]}";
    assertThat(visitor.send("PUT", order, both.formatted(second, view)).statusCode())
        .isEqualTo(204);
    assertThat(visitor.json("/api/shoots/" + shoot).at("/views/0/id").asString()).isEqualTo(second);
    assertThat(visitor.send("PUT", order, both.formatted(view, view)).statusCode())
        .as("not all of its views")
        .isEqualTo(409);
    visitor.send("DELETE", "/api/views/" + second, null);
  }

  @Test
  void aFrameGoesToTheBinAndComesBack() {
    List<JsonNode> frames = frames(view);
    String gone = one(frames, f -> !f.path("anchor").asBoolean()).path("id").asString();
    List<JsonNode> left =
        frames.stream().filter(f -> !f.path("id").asString().equals(gone)).toList();
    arrange(body(List.of(gone), arranged(view, anchorOf(frames), left)));
    assertThat(frames(view)).hasSize(frames.size() - 1);
    assertThat(visitor.get("/api/frames/" + gone + "/thumb").statusCode()).isEqualTo(404);
    JsonNode bin = visitor.json("/api/bin");
    assertThat(bin.findValuesAsString("id")).contains(gone);
    lined(Visitor.JSON.readTree(visitor.post("/api/bin/frames/" + gone + "/restore", "").body()));
    assertThat(frames(view)).hasSize(frames.size());
    arrange(body(List.of(gone), arranged(view, anchorOf(frames), left)));
    assertThat(visitor.send("DELETE", "/api/bin/frames/" + gone, null).statusCode()).isEqualTo(204);
    assertThat(visitor.json("/api/bin").findValuesAsString("id")).doesNotContain(gone);
    // its picture still waits on the card, and can come into the view again
    String name = one(frames, f -> f.path("id").asString().equals(gone)).path("name").asString();
    lined(into(view, name));
    assertThat(frames(view)).hasSize(frames.size());
  }

  private static JsonNode into(String view, String name) {
    return Visitor.JSON.readTree(
        visitor
            .post(
                "/api/shoots/" + shoot + "/intake",
                "{\"views\":[{\"into\":\""
                    + view
                    + "\",\"name\":\"\",\"anchor\":\"\",\"frames\":[{\"id\":\"card/"
                    + name
                    + "\",\"role\":\"AMBIENT\"}]}]}")
            .body());
  }

  /** What is there already is named, and not taken in twice. */
  @Test
  void theSamePictureDoesNotComeTwice() {
    String name = frames(view).get(0).path("name").asString();
    JsonNode job = visitor.done(shoot, into(view, name).path("id").asString());
    assertThat(job.path("problems").toString()).contains(name).contains("already in this view");
    assertThat(sheet(view).path("state").asString()).isNotEqualTo("NEW");
  }

  @Test
  void whatDoesNotFitIsRefusedAndNothingChanges() {
    List<JsonNode> frames = frames(view);
    String anchor = anchorOf(frames);
    List<JsonNode> fewer = frames.subList(1, frames.size());
    assertThat(status(body(List.of(), arranged(view, anchor, fewer))))
        .as("one is lost")
        .isEqualTo(409);
    assertThat(
            status(body(List.of(), arranged(view, java.util.UUID.randomUUID().toString(), frames))))
        .as("the anchor is elsewhere")
        .isEqualTo(422);
    assertThat(
            status(
                body(List.of(), arranged(java.util.UUID.randomUUID().toString(), anchor, frames))))
        .isEqualTo(404);
    assertThat(status(body(List.of(), arranged(view, anchor, frames))))
        .as("nothing new")
        .isEqualTo(202);
    assertThat(sheet(view).path("state").asString()).isNotEqualTo("NEW");
    assertThat(new Visitor(server.url()).get("/api/shoots/" + shoot + "/frames").statusCode())
        .isEqualTo(401);
    String again = visitor.post("/api/views/" + view + "/line-up", "").body();
    assertThat(status(body(List.of(), arranged(view, anchor, frames))))
        .as("at work")
        .isEqualTo(409);
    lined(Visitor.JSON.readTree(again));
    assertThat(frames(view))
        .extracting(f -> f.path("id").asString())
        .isEqualTo(frames.stream().map(f -> f.path("id").asString()).toList());
  }

  /** What was read wrongly once is read again from the original; the recipe stays. */
  @Test
  void whatTheCameraWroteIsReadAgain() {
    List<JsonNode> before = frames(view);
    int revision = visitor.json("/api/views/" + view + "/recipe").path("revision").asInt();
    FrameRows rows = server.bean(FrameRows.class);
    FrameRow row =
        rows.findById(UUID.fromString(before.get(1).path("id").asString())).orElseThrow();
    row.read(
        new Capture(
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            false,
            1,
            MakeAndModel.UNKNOWN,
            Optics.UNKNOWN));
    rows.saveAndFlush(row);
    assertThat(frames(view).get(1).path("stopsKnown").asBoolean()).isFalse();
    var answer = visitor.post("/api/views/" + view + "/read-again", "");
    assertThat(answer.statusCode()).as(answer.body()).isEqualTo(202);
    lined(Visitor.JSON.readTree(answer.body()));
    assertThat(frames(view)).isEqualTo(before);
    assertThat(visitor.json("/api/views/" + view + "/recipe").path("revision").asInt())
        .isEqualTo(revision);
  }
}
