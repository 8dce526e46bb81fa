package illuminar.server;

import static illuminar.server.RegroupBodies.ELLIPSE;
import static illuminar.server.RegroupBodies.drawn;
import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** What was decided for one view in another view of its shoot: common practice, no source. */
class CarryTest {
  private static final AtTwoViews AT = AtTwoViews.of("carry_test");
  private static final Visitor visitor = AT.visitor();
  private static final String shoot = AT.views().shoot();
  private static final String from = AT.views().first();
  private static final String to = AT.views().second();

  @BeforeEach
  void nothingToLookAt() {
    visitor.send("PUT", "/api/views/" + to + "/looked", "");
  }

  @AfterAll
  static void end() {
    AT.close();
  }

  private static JsonNode state(String view) {
    return AT.edits(view).state();
  }

  /** Adds a tone pass in a drawn region of its own. */
  private static void edit(String view, String id, double exposure) {
    ObjectNode recipe = AT.edits(view).recipe();
    String region = "in-" + id;
    recipe.withArray("regions").add(Visitor.JSON.readTree(drawn(region, ELLIPSE)));
    recipe.withArray("passes").add(Edits.tone(id, region, exposure));
    AT.edits(view).put(recipe);
  }

  private static String wanted(String... passes) {
    return "{\"passes\":[\""
        + String.join("\",\"", passes)
        + "\"],\"ground\":false,\"geometry\":false}";
  }

  private static HttpResponse<String> carry(String path, String wanted, String... views) {
    return visitor.post(
        "/api/views/" + from + "/carry" + path,
        "{\"wanted\":" + wanted + ",\"views\":[\"" + String.join("\",\"", views) + "\"]}");
  }

  private static JsonNode carried() {
    return visitor.json("/api/shoots/" + shoot + "/steps");
  }

  private static JsonNode look() {
    return visitor.json("/api/views/" + to).path("look");
  }

  private static String undone() {
    return visitor
        .post("/api/shoots/" + shoot + "/steps/" + carried().at("/0/id").asString() + "/undo", "")
        .body();
  }

  @Test
  void aPassIsSeenCarriedOverAndTakenBack() throws Exception {
    edit(from, "own", 0.5);
    JsonNode before = state(to);
    JsonNode outcome = Visitor.JSON.readTree(carry("/outcomes", wanted("own"), to).body()).get(0);
    assertThat(outcome.path("changes").asBoolean()).isTrue();
    assertThat(outcome.path("lost")).isEmpty();
    assertThat(outcome.path("look").toString()).isEqualTo("[\"Lamp\"]");
    assertThat(state(to)).as("nothing is done yet").isEqualTo(before);
    byte[] picture =
        visitor.postForBytes("/api/views/" + from + "/carry/" + to, wanted("own")).body();
    assertThat(picture).startsWith(0xff, 0xd8);

    assertThat(carry("", wanted("own"), to, from).statusCode()).isEqualTo(200);
    JsonNode after = state(to);
    assertThat(after.path("said").asString()).isEqualTo("carried over from Room");
    assertThat(after.path("recipe").path("passes").toString()).contains("\"own\"");
    assertThat(look().toString()).isEqualTo("[\"Lamp\"]");
    assertThat(carried().at("/0/views").asInt()).isEqualTo(1);
    // its small picture follows
    for (JsonNode job : visitor.json("/api/shoots/" + shoot + "/jobs")) {
      if (job.path("kind").asString().equals("COVERS")) {
        assertThat(visitor.done(shoot, job.path("id").asString()).path("problems")).isEmpty();
      }
    }

    assertThat(undone()).isEqualTo("{\"stayed\":[]}");
    assertThat(state(to).path("recipe")).isEqualTo(before.path("recipe"));
    assertThat(state(to).path("canRedo").asBoolean()).isTrue();
    assertThat(look()).isEmpty();
    assertThat(carried()).isEmpty();
  }

  @Test
  void whatWasChangedSinceStaysAndIsNamed() {
    edit(from, "more", 0.7);
    carry("", wanted("more"), to);
    String id = carried().at("/0/id").asString();
    edit(to, "after", 0.2);
    assertThat(carried()).as("nothing can be taken back").isEmpty();
    assertThat(visitor.post("/api/shoots/" + shoot + "/steps/" + id + "/undo", "").body())
        .isEqualTo("{\"stayed\":[\"Other room\"]}");
    assertThat(state(to).path("recipe").path("passes").toString()).contains("\"more\"");
    assertThat(visitor.send("PUT", "/api/views/" + to + "/looked", "").statusCode()).isEqualTo(204);
    assertThat(look()).isEmpty();
  }

  /** A second time it is the same, and no step. */
  @Test
  void onceMoreChangesNothing() {
    edit(from, "twice", 0.3);
    carry("", wanted("twice"), to);
    long edition = state(to).path("edition").asLong();
    JsonNode again = Visitor.JSON.readTree(carry("", wanted("twice"), to).body());
    assertThat(again.at("/0/changes").asBoolean()).isFalse();
    assertThat(state(to).path("edition").asLong()).isEqualTo(edition);
  }

  /** What came before stays to be looked at when what came after goes. */
  @Test
  void whatIsToBeLookedAtAddsUp() {
    edit(from, "one", 0.1);
    edit(from, "two", 0.2);
    carry("", wanted("one"), to);
    carry("", wanted("two"), to);
    assertThat(look()).hasSize(2);
    undone();
    assertThat(look()).hasSize(1);
  }

  @Test
  void whatMakesNoSenseIsRefusedInWords() {
    assertThat(carry("", "{\"passes\":[],\"ground\":false,\"geometry\":false}", to).body())
        .contains("Choose what is to be carried over.");
    assertThat(carry("", wanted("own"), "00000000-0000-0000-0000-000000000001").statusCode())
        .isEqualTo(404);
    assertThat(
            visitor
                .post(
                    "/api/shoots/" + shoot + "/steps/00000000-0000-0000-0000-000000000001/undo", "")
                .statusCode())
        .isEqualTo(404);
  }
}
