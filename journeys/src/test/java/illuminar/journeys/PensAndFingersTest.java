package illuminar.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.google.gson.JsonArray;
import com.google.gson.JsonObject;
import com.microsoft.playwright.CDPSession;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.BoundingBox;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/**
 * A pen and fingers on the picture, as the browser hears them from a device (W3C Pointer Events).
 * What they do is common practice, no source.
 */
class PensAndFingersTest {
  private static final String RECIPE =
      """
      async () => (await (await fetch('/api/views/'
        + location.pathname.match(/views\\/([0-9a-f-]+)/)[1] + '/recipe')).json()).recipe
      """;

  private static Bench bench;
  private static Page page;
  private CDPSession device;
  private BoundingBox stage;

  @BeforeAll
  static void begin() {
    bench = new Bench("pens_test", "Instrument room");
  }

  @AfterAll
  static void end() {
    bench.close();
  }

  @BeforeEach
  void windowsAlone() {
    page = bench.begin(Bench.WINDOWS);
    device = page.context().newCDPSession(page);
    stage = page.getByTestId("stage").boundingBox();
  }

  /** Fingers at places, fractions of the stage: x, y, x, y; none lifts them. */
  private void fingers(String type, double... places) {
    JsonArray points = new JsonArray();
    for (int i = 0; i < places.length; i += 2) {
      JsonObject at = new JsonObject();
      at.addProperty("x", stage.x + stage.width * places[i]);
      at.addProperty("y", stage.y + stage.height * places[i + 1]);
      at.addProperty("id", i / 2);
      points.add(at);
    }
    JsonObject event = new JsonObject();
    event.addProperty("type", type);
    event.add("touchPoints", points);
    device.send("Input.dispatchTouchEvent", event);
  }

  private void pen(String type, double x, double y, double force, int tilt) {
    JsonObject event = new JsonObject();
    event.addProperty("type", type);
    event.addProperty("x", stage.x + stage.width * x);
    event.addProperty("y", stage.y + stage.height * y);
    event.addProperty("button", "left");
    event.addProperty("buttons", type.equals("mouseReleased") ? 0 : 1);
    event.addProperty("clickCount", 1);
    event.addProperty("pointerType", "pen");
    event.addProperty("force", force);
    event.addProperty("tiltX", tilt);
    device.send("Input.dispatchMouseEvent", event);
  }

  private void stroke(double force, int tilt) {
    pen("mousePressed", 0.3, 0.4, force, tilt);
    for (int k = 1; k <= 6; k++) {
      pen("mouseMoved", 0.3 + 0.03 * k, 0.4, force, tilt);
    }
    pen("mouseReleased", 0.48, 0.4, 0, tilt);
  }

  /** What of the last stroke, as JavaScript of {@code s}. */
  private Object lastStroke(String what) {
    assertThat(bench.saved()).containsText("Saved");
    return page.evaluate(
        "async () => { const r = await (RECIPE)(); const s = r.regions.at(-1).parts.at(-1).shape.strokes.at(-1); return WHAT; }"
            .replace("RECIPE", RECIPE)
            .replace("WHAT", what));
  }

  @Test
  void aFingerDraws() {
    page.keyboard().press("n");
    page.keyboard().press("e");
    fingers("touchStart", 0.3, 0.3);
    fingers("touchMove", 0.4, 0.42);
    fingers("touchMove", 0.5, 0.5);
    fingers("touchEnd");
    bench.expectParts(1);
    assertThat(bench.saved()).containsText("Saved");
  }

  /** Two fingers that part by half enlarge by half, and draw nothing though a tool is in hand. */
  @Test
  void twoFingersMoveAndZoom() {
    bench.ellipse(0.45, 0.45, 0.55, 0.55);
    BoundingBox before = page.getByTestId("grip").nth(0).boundingBox();
    BoundingBox other = page.getByTestId("grip").nth(1).boundingBox();
    page.keyboard().press("e");
    fingers("touchStart", 0.4, 0.5);
    fingers("touchStart", 0.4, 0.5, 0.6, 0.5);
    for (int k = 1; k <= 10; k++) {
      fingers("touchMove", 0.4 - 0.005 * k, 0.5, 0.6 + 0.005 * k, 0.5);
    }
    fingers("touchEnd", 0.35, 0.5);
    fingers("touchMove", 0.3, 0.4);
    fingers("touchEnd");
    bench.expectParts(1);
    page.keyboard().press("Escape");
    BoundingBox after = page.getByTestId("grip").nth(0).boundingBox();
    BoundingBox otherAfter = page.getByTestId("grip").nth(1).boundingBox();
    double was = Math.hypot(before.x - other.x, before.y - other.y);
    double is = Math.hypot(after.x - otherAfter.x, after.y - otherAfter.y);
    assertThat(is / was).isCloseTo(1.5, within(0.03));
  }

  @Test
  void aPensPressureIsTheStrokesAndItsLeanSoftens() {
    page.keyboard().press("n");
    page.keyboard().press("k");
    stroke(0.4, 0);
    assertThat(((Number) lastStroke("Number(s.path.split(' ')[0].split(',')[2])")).intValue())
        .isEqualTo(40);
    double upright = ((Number) lastStroke("s.softness")).doubleValue();
    stroke(0.4, 45);
    double leaning = ((Number) lastStroke("s.softness")).doubleValue();
    assertThat(upright).isEqualTo(0.5);
    assertThat(leaning).isCloseTo(0.875, within(0.01));
  }
}
