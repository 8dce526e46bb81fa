package illuminar.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** A house style kept before a card is taken in, and learned from what came of it. */
class HouseStyleTest {
  private static final String STYLE = "/api/house-style";
  private static TestServer server;
  private static Visitor visitor;
  private static TwoViews views;

  /** A vignette everywhere, and no cast cleared. */
  private static final String KEPT =
      """
      {"shifts": [], "without": ["clear-casts"], "added": [
        {"id": "house-vignette", "on": true, "strength": 0.5, "why": "", "group": "",
         "gate": {"from": -100, "full": -100, "fullTo": 100, "to": 100},
         "where": {"region": "", "outside": false},
         "move": {"kind": "vignette", "amount": 0.3, "softness": 0.8, "roundness": 0,
                  "across": 0.5, "down": 0.5}}]}
      """;

  @BeforeAll
  static void begin() {
    server = new TestServer("house_style_test");
    visitor = new Visitor(server.url()).signedIn();
    HttpResponse<String> kept = visitor.send("PUT", STYLE, KEPT);
    assertThat(kept.statusCode()).as(kept.body()).isEqualTo(204);
    views = TwoViews.takenIn(visitor);
  }

  @AfterAll
  static void end() {
    server.close();
  }

  private static JsonNode state(String view) {
    return new Edits(visitor, view).state();
  }

  private static boolean has(JsonNode recipe, String kind) {
    for (JsonNode pass : recipe.path("passes")) {
      if (pass.at("/move/kind").asString().equals(kind)) {
        return true;
      }
    }
    return false;
  }

  /** The style is a step of its own: undo leads to the first version as it was measured. */
  @Test
  void firstVersionsAreMadeInTheStyle() {
    JsonNode state = state(views.second());
    assertThat(state.path("said").asString()).isEqualTo("house style");
    assertThat(has(state.path("recipe"), "vignette")).isTrue();
    assertThat(has(state.path("recipe"), "clear-casts")).isFalse();
    assertThat(visitor.json("/api/views/" + views.second()).path("state").asString())
        .isEqualTo("LINED_UP");
    Edits edits = new Edits(visitor, views.second());
    edits.step("undo");
    assertThat(has(state(views.second()).path("recipe"), "vignette")).isFalse();
    edits.step("redo");
    assertThat(state(views.second()).path("recipe")).isEqualTo(state.path("recipe"));
  }

  /** What is learned is the whole difference from what was measured, the old style included. */
  @Test
  void whatWasDoneIsLearnedAndOfferedInOtherViews() {
    Edits edits = new Edits(visitor, views.first());
    ObjectNode recipe = edits.recipe();
    for (JsonNode pass : recipe.path("passes")) {
      if (pass.at("/move/kind").asString().equals("vignette")) {
        ((ObjectNode) pass.path("move")).put("amount", 0.45);
      }
    }
    edits.put(recipe);
    JsonNode before = visitor.json(STYLE);
    String wish = "{\"views\": [\"" + views.first() + "\"]}";
    JsonNode learned = Visitor.JSON.readTree(visitor.post(STYLE + "/learned", wish).body());
    assertThat(learned.at("/added/0/move/kind").asString()).isEqualTo("vignette");
    assertThat(learned.at("/added/0/move/amount").asDouble()).isEqualTo(0.45);
    assertThat(learned.at("/added/0/strength").asDouble()).isEqualTo(0.5);
    assertThat(visitor.json(STYLE)).as("nothing is kept").isEqualTo(before);
    JsonNode last = visitor.json("/api/views/" + views.second() + "/last-moves");
    JsonNode vignette = null;
    for (JsonNode l : last) {
      vignette = l.path("kind").asString().equals("vignette") ? l : vignette;
    }
    assertThat(vignette.path("view").asString()).isEqualTo(TwoViews.FIRST);
    assertThat(vignette.at("/pass/move/amount").asDouble()).isEqualTo(0.45);
  }

  @Test
  void aStyleGoesOutAndInAsAFile() {
    HttpResponse<String> file = visitor.get(STYLE + "/file");
    assertThat(file.headers().firstValue("Content-Disposition").orElse(""))
        .contains("house-style.json");
    assertThat(visitor.send("PUT", STYLE, file.body()).statusCode()).isEqualTo(204);
    assertThat(visitor.json(STYLE)).isEqualTo(Visitor.JSON.readTree(file.body()));
    String unknown = "{\"shifts\": [], \"without\": [\"magic\"], \"added\": []}";
    HttpResponse<String> refused = visitor.send("PUT", STYLE, unknown);
    assertThat(refused.statusCode()).isEqualTo(422);
    assertThat(refused.body()).contains("knows no pass magic");
    assertThat(visitor.send("PUT", STYLE, "[]").statusCode()).isEqualTo(422);
    assertThat(visitor.json(STYLE)).isEqualTo(Visitor.JSON.readTree(file.body()));
  }

  @Test
  void aStyleCanRest() {
    JsonNode before = visitor.json(STYLE);
    assertThat(visitor.send("PUT", STYLE + "/use", "{\"active\": false}").statusCode())
        .isEqualTo(204);
    assertThat(visitor.json(STYLE + "/use").path("active").asBoolean()).isFalse();
    assertThat(visitor.json(STYLE)).isEqualTo(before);
    visitor.send("PUT", STYLE + "/use", "{\"active\": true}");
    String nothing = "{\"views\": []}";
    assertThat(visitor.post(STYLE + "/learned", nothing).statusCode()).isEqualTo(409);
  }
}
