package illuminar.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** A set looked over before delivery: common practice, no source. */
class PreFlightTest {
  private static final AtTwoViews AT = AtTwoViews.of("pre_flight_test");
  private static final Visitor visitor = AT.visitor();
  private static final TwoViews views = AT.views();
  private static final String path = "/api/shoots/" + views.shoot() + "/pre-flight";

  @AfterAll
  static void end() {
    AT.close();
  }

  private static void lookedOver() {
    JsonNode job = Visitor.JSON.readTree(visitor.post(path, "").body());
    JsonNode done = visitor.done(views.shoot(), job.path("id").asString());
    assertThat(done.path("problems")).isEmpty();
  }

  private static List<String> remarks(int view) {
    List<String> out = new ArrayList<>();
    for (JsonNode r : visitor.json(path).at("/views/" + view + "/remarks")) {
      out.add(r.path("concern").asString() + ":" + r.path("word").asString());
    }
    return out;
  }

  /**
   * The first view made four stops brighter: burnt. It is found, accepted, and gone once mended.
   */
  @Test
  void aViewIsLookedOverAcceptedAndMended() {
    Edits edits = AT.edits(views.first());
    JsonNode before = edits.recipe();
    ObjectNode burnt = edits.recipe();
    burnt.putArray("passes").add(Edits.tone("b", "", 4));
    edits.put(burnt);
    assertThat(visitor.json(path).at("/views/0/now").asBoolean()).isFalse();
    lookedOver();
    assertThat(visitor.json(path).at("/views/0/now").asBoolean()).isTrue();
    assertThat(remarks(0)).contains("BURNT:");

    String accepted = "/api/views/" + views.first() + "/accepted";
    String why = "{\"concern\":\"BURNT\",\"pass\":\"\",\"word\":\"%s\"}";
    assertThat(visitor.post(accepted, why.formatted(" ")).body()).contains("Say why");
    assertThat(visitor.post(accepted, why.formatted("meant so")).statusCode()).isEqualTo(204);
    assertThat(remarks(0)).contains("BURNT:meant so");
    assertThat(visitor.send("DELETE", accepted + "?concern=BURNT&pass=", "").statusCode())
        .isEqualTo(204);
    assertThat(remarks(0)).contains("BURNT:");

    edits.put(before);
    assertThat(visitor.json(path).at("/views/0/now").asBoolean()).isFalse();
    double brighter = burnt();
    lookedOver();
    assertThat(burnt()).isLessThan(brighter / 2);
  }

  /** Percent of the first view, 0 where it is not remarked. */
  private static double burnt() {
    for (JsonNode r : visitor.json(path).at("/views/0/remarks")) {
      if (r.path("concern").asString().equals("BURNT")) {
        String said = r.path("said").asString();
        return Double.parseDouble(said.substring(0, said.indexOf(' ')));
      }
    }
    return 0;
  }

  @Test
  void whatConcernsTheWholeShootIsSaid() {
    String body = "{\"name\":\"" + TwoViews.FIRST + "\"}";
    String second = "/api/views/" + views.second() + "/name";
    assertThat(visitor.send("PUT", second, body).statusCode()).isLessThan(300);
    assertThat(visitor.json(path).path("said").toString())
        .contains("Two views have the name " + TwoViews.FIRST);
    visitor.send("PUT", second, body.replace(TwoViews.FIRST, TwoViews.SECOND));
    assertThat(visitor.json(path).path("said").toString()).doesNotContain("Two views");
  }
}
