package illuminar.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import illuminar.files.PictureReader;
import java.util.List;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Revisions under names, what is delivered of them, and two pictures held against each other. */
class CompareTest {
  private static final Opened OPENED = Opened.view();
  private static final Visitor VISITOR = OPENED.visitor();
  private static final String VIEW = "/api/views/" + OPENED.id();

  private static final Edits EDITS = new Edits(VISITOR, OPENED.id());

  /** Makes the view darker or brighter by one more step; its number. */
  private static int step(double exposure) {
    ObjectNode recipe = EDITS.recipe();
    recipe.putArray("passes").add(Edits.tone("t", "", exposure));
    EDITS.put(recipe);
    return EDITS.state().path("revision").asInt();
  }

  private static double light(int revision, String without) {
    return readings(revision, without, revision).at("/one/stops").asDouble();
  }

  private static JsonNode readings(int revision, String without, int beside) {
    String asked = "?revision=" + revision + "&without=" + without + "&x=0.2&y=0.8";
    String other =
        "{\"view\": \"%s\", \"revision\": %d, \"without\": \"\"}".formatted(OPENED.id(), beside);
    return Visitor.JSON.readTree(VISITOR.post(VIEW + "/compare/readings" + asked, other).body());
  }

  @Test
  void twoRevisionsAreReadAndDiffer() {
    int dark = step(-1);
    int bright = step(-0.5);
    // tone's exposure is in stops: half of one lies between them
    assertThat(light(bright, "") - light(dark, "")).isCloseTo(0.5, within(0.03));
    assertThat(light(0, "")).isEqualTo(light(bright, ""));
    assertThat(light(dark, "Tone")).isEqualTo(light(bright, "all"));
    assertThat(readings(dark, "", dark).path("difference").asDouble()).isZero();
    JsonNode apart = readings(dark, "", bright);
    assertThat(apart.at("/other/stops").asDouble()).isEqualTo(light(bright, ""));
    assertThat(apart.path("difference").asDouble()).isBetween(1.0, 15.0);
    String difference = VIEW + "/compare/difference?a=" + dark + "&b=";
    var same = VISITOR.get(difference + dark);
    assertThat(same.headers().firstValueAsLong("content-length").orElse(1)).isPositive();
    assertThat(mean(difference + dark)).isZero();
    assertThat(mean(difference + bright)).isBetween(1.0, 15.0);
    assertThat(VISITOR.get(VIEW + "/compare/picture?revision=" + dark).statusCode()).isEqualTo(200);
    assertThat(VISITOR.get(VIEW + "/compare/picture?revision=9999").statusCode()).isEqualTo(404);
  }

  private static double mean(String path) {
    String header = VISITOR.get(path).headers().firstValue("X-Mean-Difference").orElseThrow();
    return Double.parseDouble(header);
  }

  /** The chosen alternative is delivered, whatever was done since; then the newest again. */
  @Test
  void theChosenAlternativeIsDelivered() throws Exception {
    int bright = step(0.4);
    String path = VIEW + "/alternatives";
    String keep = "{\"name\":\"Airy\",\"revision\":" + bright + "}";
    JsonNode kept = Visitor.JSON.readTree(VISITOR.post(path, keep).body());
    assertThat(VISITOR.post(path, keep).body()).contains("another alternative with the name Airy");
    String chosen = path + "/" + kept.path("id").asString() + "/chosen";
    step(-2);
    double newest = delivered();
    assertThat(VISITOR.send("PUT", chosen, "{\"chosen\":true}").statusCode()).isEqualTo(204);
    assertThat(delivered()).isGreaterThan(1.5 * newest);
    VISITOR.send("PUT", chosen, "{\"chosen\":false}");
    assertThat(delivered()).isCloseTo(newest, within(0.02));
    String own = path + "/" + kept.path("id").asString();
    assertThat(VISITOR.send("DELETE", own, "").statusCode()).isEqualTo(204);
    assertThat(VISITOR.json(path)).isEmpty();
  }

  /** Mean code of the delivered file, 0 to 1. */
  private static double delivered() throws Exception {
    Deliveries deliveries = new Deliveries(VISITOR, OPENED.shoot());
    JsonNode job = deliveries.made(Visitor.order(List.of(OPENED.id()), 0, "JPEG"));
    JsonNode file = deliveries.files(job).get("JPEG");
    byte[] codes = PictureReader.pixels(deliveries.fetched(file), "a").eight();
    double sum = 0;
    for (byte b : codes) {
      sum += (b & 255) / 255.0;
    }
    return sum / codes.length;
  }
}
