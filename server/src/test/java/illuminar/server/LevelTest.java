package illuminar.server;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** White walls in two views of a room, brought together: CIEDE2000 (Sharma 2005). */
class LevelTest {
  private static final AtTwoViews AT = AtTwoViews.of("level_test");
  private static final Visitor visitor = AT.visitor();
  private static final TwoViews views = AT.views();
  private static final String path = "/api/shoots/" + views.shoot() + "/surfaces";

  @AfterAll
  static void end() {
    AT.close();
  }

  private static void pin(String view) {
    JsonNode sheet = visitor.json("/api/views/" + view);
    double w = sheet.path("width").asDouble();
    double h = sheet.path("height").asDouble();
    String board =
        "{\"probes\":[{\"id\":\"p\",\"x\":%s,\"y\":%s,\"radius\":%s,\"surface\":\"White walls\"}],\"reference\":\"\"}"
            .formatted(0.2 * w, 0.3 * h, w / 60);
    assertThat(visitor.send("PUT", "/api/views/" + view + "/board", board).statusCode())
        .isEqualTo(204);
  }

  private static void wish(boolean find, boolean level) {
    String body = "{\"find\":" + find + ",\"level\":" + level + ",\"reference\":\"\"}";
    JsonNode job = Visitor.JSON.readTree(visitor.post(path, body).body());
    JsonNode done = visitor.done(views.shoot(), job.path("id").asString());
    assertThat(done.path("problems")).isEmpty();
  }

  private static double apart() {
    double most = 0;
    for (JsonNode cell : visitor.json(path).at("/surfaces/0/cells")) {
      most = Math.max(most, cell.path("apart").asDouble());
    }
    return most;
  }

  @Test
  void aSharedWallAgreesAfterwardsAndGoesBackInOneStep() {
    pin(views.first());
    pin(views.second());
    assertThat(visitor.json(path).at("/views/0/read").asBoolean()).isFalse();
    wish(true, false);
    JsonNode table = visitor.json(path);
    assertThat(table.at("/views/0/read").asBoolean()).isTrue();
    assertThat(table.at("/surfaces/0/name").asString()).isEqualTo("White walls");
    double before = apart();
    wish(false, true);
    // the second view is too green for its scales, so that something is left
    assertThat(apart()).isLessThan(before / 2);
    assertThat(visitor.json(path).at("/views/1/levelled").asBoolean()).isTrue();

    String steps = "/api/shoots/" + views.shoot() + "/steps";
    JsonNode step = visitor.json(steps).get(0);
    assertThat(step.path("said").asString()).isEqualTo("Levelled with the set");
    visitor.post(steps + "/" + step.path("id").asString() + "/undo", "");
    assertThat(visitor.json(path).at("/views/1/levelled").asBoolean()).isFalse();
    assertThat(visitor.post(path, "{\"find\":false,\"level\":true,\"reference\":\"no\"}").body())
        .contains("no view of this shoot");
  }
}
