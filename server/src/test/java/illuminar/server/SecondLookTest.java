package illuminar.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Views that rest, are ready or not, and notes on them. Common practice, no source. */
class SecondLookTest {
  private static final Opened OPENED = Opened.view();
  private static final Visitor VISITOR = OPENED.visitor();
  private static final String VIEW = "/api/views/" + OPENED.id();

  @AfterEach
  void workGoesOn() {
    judge("WORK", null);
    note("");
  }

  private static int judge(String judged, Instant until) {
    ObjectNode body = Visitor.JSON.createObjectNode().put("judged", judged);
    body.putArray("views").add(OPENED.id());
    if (until != null) {
      body.put("until", until.toString());
    }
    return VISITOR.send("POST", "/api/views/judged", body.toString()).statusCode();
  }

  private static int note(String words) {
    ObjectNode body = Visitor.JSON.createObjectNode().put("note", words);
    return VISITOR.send("PUT", VIEW + "/note", body.toString()).statusCode();
  }

  private static String state() {
    return VISITOR.json(VIEW).path("state").asString();
  }

  private static JsonNode resting() {
    return VISITOR.json("/api/second-look");
  }

  private static final Edits EDITS = new Edits(VISITOR, OPENED.id());

  /** Adds a pass to the recipe; undone again by the test. */
  private static void work(String pass) {
    ObjectNode recipe = EDITS.recipe();
    recipe.withArray("passes").add(Edits.tone(pass, "", 0.1));
    EDITS.put(recipe);
  }

  @Test
  void aViewRestsAndComesBack() {
    assertThat(judge("REST", Instant.now().plus(Duration.ofHours(2)))).isEqualTo(204);
    assertThat(state()).isEqualTo("RESTING");
    assertThat(resting().get(0).path("due").asBoolean()).isFalse();
    work("rests");
    assertThat(state()).as("it goes on resting while others work").isEqualTo("RESTING");
    EDITS.step("undo");
    OPENED.server().sql("update view set rests_until = now() - interval '1 second'");
    assertThat(resting().get(0).path("due").asBoolean()).isTrue();
    assertThat(judge("WORK", null)).isEqualTo(204);
    assertThat(resting()).isEmpty();
  }

  /** What was found ready was found so of another picture. */
  @Test
  void aChangeMakesAReadyViewUnready() {
    assertThat(judge("READY", null)).isEqualTo(204);
    assertThat(state()).isEqualTo("READY");
    work("unready");
    assertThat(state()).isIn("BLENDED", "BALANCED");
    EDITS.step("undo");
    judge("READY", null);
    assertThat(VISITOR.json("/api/shoots/" + OPENED.shoot()).at("/views/0/state").asString())
        .isEqualTo("READY");
  }

  @Test
  void aTimeThatIsPastOrTooFarIsRefused() {
    String was = state();
    assertThat(judge("REST", Instant.now().minusSeconds(5))).isEqualTo(422);
    assertThat(judge("REST", Instant.now().plus(Duration.ofDays(500)))).isEqualTo(422);
    assertThat(judge("REST", null)).isEqualTo(422);
    assertThat(state()).isEqualTo(was);
  }

  @Test
  void aNoteIsKeptWithItsView() {
    assertThat(note("  Tape on the lamp’s cable\nsee frame 3 ")).isEqualTo(204);
    assertThat(VISITOR.json("/api/shoots/" + OPENED.shoot()).at("/views/0/note").asString())
        .isEqualTo("Tape on the lamp’s cable\nsee frame 3");
    assertThat(note("x".repeat(2001))).isEqualTo(422);
  }

  @Test
  void nobodyElseJudges() {
    Visitor stranger = new Visitor(OPENED.server().url());
    stranger.get("/api/session");
    assertThat(stranger.get("/api/second-look").statusCode()).isEqualTo(401);
  }
}
