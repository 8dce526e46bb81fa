package illuminar.server;

import static org.assertj.core.api.Assertions.assertThat;

import illuminar.server.shoot.ShootService;
import illuminar.server.shoot.View;
import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** Recipes of a view over HTTP: revisions, undo, two tabs, refusals, the board. */
class RecipesTest {
  private static final Opened OPENED = Opened.view();
  private final TestServer server = OPENED.server();
  private final Visitor visitor = OPENED.visitor();
  private final String view = OPENED.id();

  private HttpResponse<String> put(JsonNode state, double exposure) {
    String tone =
        "{\"id\":\"t\",\"on\":true,\"move\":{\"kind\":\"tone\",\"exposure\":"
            + exposure
            + ",\"contrast\":0,\"highlights\":0,\"shadows\":0},\"where\":{\"region\":\"\",\"outside\":false},"
            + "\"gate\":{\"from\":-100,\"full\":-100,\"fullTo\":100,\"to\":100},\"strength\":1,\"why\":\"\"}";
    ObjectNode recipe = (ObjectNode) state.path("recipe").deepCopy();
    List<JsonNode> passes = new ArrayList<>();
    recipe.path("passes").forEach(passes::add);
    passes.removeIf(p -> p.path("id").asString().equals("t"));
    passes.add(JsonMapper.shared().readTree(tone));
    recipe.putArray("passes").addAll(passes);
    String body = recipe.toString();
    return visitor.send(
        "PUT",
        "/api/views/" + view + "/recipe",
        body,
        "If-Match",
        "\"" + state.path("edition").asLong() + "\"");
  }

  /** Exposure of the pass that {@link #put} adds. */
  private double exposure() {
    for (JsonNode pass : state().at("/recipe/passes")) {
      if (pass.path("id").asString().equals("t")) {
        return pass.at("/move/exposure").asDouble();
      }
    }
    throw new AssertionError("the pass is gone");
  }

  private JsonNode state() {
    return OPENED.state();
  }

  @Test
  void aFrameOfAnotherViewIsRefused() {
    JsonNode before = state();
    String own = before.at("/recipe/ground/frames/0").asString();
    String body =
        before.path("recipe").toString().replace(own, "00000000-0000-0000-0000-000000000000");
    HttpResponse<String> said =
        visitor.send(
            "PUT",
            "/api/views/" + view + "/recipe",
            body,
            "If-Match",
            "\"" + before.path("edition").asLong() + "\"");
    assertThat(said.statusCode()).isEqualTo(422);
    assertThat(said.body()).contains("names a frame that the view does not have");
    assertThat(state()).isEqualTo(before);
  }

  @Test
  void everyEditIsARevisionAndUndoMovesAlongThem() {
    JsonNode first = state();
    // wherever the view stands, both are changes
    put(first, -0.25);
    assertThat(put(state(), 0.5).statusCode()).isEqualTo(200);
    assertThat(put(state(), 1.0).statusCode()).isEqualTo(200);
    JsonNode now = state();
    assertThat(now.path("revision").asInt()).isGreaterThanOrEqualTo(3);
    assertThat(now.path("said").asString()).isEqualTo("tone: exposure +1.00 st");
    String match = "\"" + now.path("edition").asLong() + "\"";
    visitor.send("POST", "/api/views/" + view + "/undo", "{}", "If-Match", match);
    JsonNode back = state();
    assertThat(exposure()).isEqualTo(0.5);
    assertThat(back.path("canRedo").asBoolean()).isTrue();
    visitor.send(
        "POST",
        "/api/views/" + view + "/redo",
        "{}",
        "If-Match",
        "\"" + back.path("edition").asLong() + "\"");
    assertThat(exposure()).isEqualTo(1.0);
  }

  private JsonNode history() {
    return visitor.json("/api/views/" + view + "/history");
  }

  /** Steps that were undone and left stay in the list, and can be gone back to as any other. */
  @Test
  void anyStepOfTheHistoryCanBeGoneBackTo() {
    put(state(), 1.21);
    int left = state().path("revision").asInt();
    assertThat(exposure()).isEqualTo(1.21);
    visitor.send(
        "POST",
        "/api/views/" + view + "/undo",
        "{}",
        "If-Match",
        "\"" + state().path("edition").asLong() + "\"");
    put(state(), -1.37);
    JsonNode steps = history();
    assertThat(steps.get(0).path("here").asBoolean()).isTrue();
    assertThat(steps.get(0).path("left").asBoolean()).isFalse();
    assertThat(steps.get(1).path("number").asInt()).isEqualTo(left);
    assertThat(steps.get(1).path("left").asBoolean()).isTrue();
    assertThat(steps.get(steps.size() - 1).path("said").asString()).isEqualTo("first version");
    String to = "/api/views/" + view + "/history/";
    String match = "\"" + state().path("edition").asLong() + "\"";
    assertThat(visitor.send("POST", to + left, "{}", "If-Match", match).statusCode())
        .isEqualTo(200);
    assertThat(exposure()).isEqualTo(1.21);
    assertThat(visitor.send("POST", to + left, "{}", "If-Match", match).statusCode())
        .as("an edition that is past")
        .isEqualTo(412);
    String now = "\"" + state().path("edition").asLong() + "\"";
    assertThat(visitor.send("POST", to + 999, "{}", "If-Match", now).statusCode()).isEqualTo(404);
  }

  @Test
  void twoTabsCannotOverwriteEachOther() {
    put(state(), 0.1);
    JsonNode seen = state();
    assertThat(put(seen, 0.3).statusCode()).isEqualTo(200);
    HttpResponse<String> late = put(seen, 0.7);
    assertThat(late.statusCode()).isEqualTo(412);
    assertThat(late.body()).contains("Another tab changed this view").contains("exposure +0.30 st");
    assertThat(exposure()).isEqualTo(0.3);
  }

  /**
   * A proxy sends an edit again whose answer it did not get (RFC 9110, 9.2.2: PUT is idempotent).
   */
  @Test
  void anEditThatIsSentAgainIsNoConflict() {
    JsonNode seen = state();
    assertThat(put(seen, 0.45).statusCode()).isEqualTo(200);
    JsonNode once = state();
    assertThat(put(seen, 0.45).statusCode()).isEqualTo(200);
    assertThat(state()).isEqualTo(once);
  }

  @Test
  void badRecipesAreRefusedAndNothingIsLost() {
    JsonNode before = state();
    assertThat(put(before, 99).body()).contains("Exposure goes from −5 to 5 st");
    String edition = "\"" + before.path("edition").asLong() + "\"";
    assertThat(
            visitor
                .send(
                    "PUT", "/api/views/" + view + "/recipe", "{\"ground\":1}", "If-Match", edition)
                .statusCode())
        .isEqualTo(422);
    assertThat(
            visitor
                .send("PUT", "/api/views/" + view + "/recipe", before.path("recipe").toString())
                .statusCode())
        .isEqualTo(428);
    assertThat(state()).isEqualTo(before);
  }

  /** A pass that asks for what the frames cannot give leaves the contact table its picture. */
  @Test
  void aPassThatCannotBeDoneLeavesTheCover() {
    String cover = "/api/views/" + view + "/cover";
    assertThat(visitor.get(cover).statusCode()).isEqualTo(200);
    JsonNode before = state();
    ObjectNode recipe = (ObjectNode) before.path("recipe").deepCopy();
    JsonNode pass =
        JsonMapper.shared()
            .readTree(
                """
                {"id": "c", "on": true, "strength": 1, "why": "", "where": {"region": "", "outside": false},
                 "gate": {"from": -100, "full": -100, "fullTo": 100, "to": 100},
                 "move": {"kind": "clear-casts", "source": "LIGHTS", "reference": "", "amount": 1, "warmth": 0}}
                """);
    List<JsonNode> passes = new ArrayList<>();
    recipe.path("passes").forEach(passes::add);
    passes.add(pass);
    recipe.putArray("passes").addAll(passes);
    String match = "\"" + before.path("edition").asLong() + "\"";
    HttpResponse<String> put =
        visitor.send("PUT", "/api/views/" + view + "/recipe", recipe.toString(), "If-Match", match);
    assertThat(put.statusCode()).isEqualTo(200);
    assertThat(visitor.get(cover).statusCode()).isEqualTo(200);
    String now = "\"" + state().path("edition").asLong() + "\"";
    visitor.send("POST", "/api/views/" + view + "/undo", "{}", "If-Match", now);
    assertThat(state().path("recipe")).isEqualTo(before.path("recipe"));
  }

  /** Probes are no part of the recipe: pinning them is no step. */
  @Test
  void theBalanceBoardIsKeptBesideTheRecipe() {
    String path = "/api/views/" + view + "/board";
    JsonNode recipe = state();
    String board =
        """
        {"probes": [{"id": "a", "x": 10, "y": 12.5, "radius": 6, "surface": "North wall"},
                    {"id": "b", "x": 20, "y": 30, "radius": 6}], "reference": "b"}
        """;
    assertThat(visitor.send("PUT", path, board).statusCode()).isEqualTo(204);
    JsonNode kept = visitor.json(path);
    assertThat(kept.at("/probes/0/surface").asString()).isEqualTo("North wall");
    assertThat(kept.at("/probes/0/y").asDouble()).isEqualTo(12.5);
    assertThat(kept.at("/probes/1/surface").asString()).isEmpty();
    assertThat(kept.path("reference").asString()).isEqualTo("b");
    assertThat(state()).isEqualTo(recipe);
    String beside = board.replace("12.5", "99999");
    HttpResponse<String> refused = visitor.send("PUT", path, beside);
    assertThat(refused.statusCode()).isEqualTo(422);
    assertThat(refused.body()).contains("beside the picture");
    String probe = "{\"id\": \"x\", \"x\": 1, \"y\": 1, \"radius\": 1}";
    String many = "{\"probes\": [" + (probe + ",").repeat(24) + probe + "]}";
    assertThat(visitor.send("PUT", path, many).body()).contains("at most 24 probes");
    assertThat(visitor.json(path)).isEqualTo(kept);
  }

  /** A delivery or a new name changes the view and not its recipe, so that no tab is disturbed. */
  @Test
  void whatChangesTheViewAloneIsNoChangeOfItsRecipe() {
    JsonNode before = state();
    byte[] cover = visitor.bytes("/api/views/" + view + "/cover");
    server.bean(ShootService.class).come(UUID.fromString(view), View.State.DELIVERED);
    assertThat(state()).isEqualTo(before);
    assertThat(visitor.bytes("/api/views/" + view + "/cover")).isEqualTo(cover);
    assertThat(put(before, before.path("edition").asLong() % 2 == 0 ? 0.7 : 0.8).statusCode())
        .isEqualTo(200);
  }

  /** The frames of the picture are told by the core's one rule. */
  @Test
  void theFramesOfThePictureAreSaid() {
    JsonNode state = state();
    List<String> frames = new ArrayList<>();
    state.path("frames").forEach(f -> frames.add(f.asString()));
    state.at("/recipe/ground/frames").forEach(f -> assertThat(frames).contains(f.asString()));
    assertThat(frames).doesNotHaveDuplicates();
  }
}
