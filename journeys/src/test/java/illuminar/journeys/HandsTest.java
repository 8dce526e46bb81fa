package illuminar.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/**
 * What a photographer does often takes few clicks, drags and keys. The numbers are the product's
 * own, no source.
 */
class HandsTest {
  private static Bench bench;
  private static Page page;

  /** Clicks, drags and keys so far. */
  private int steps;

  @BeforeAll
  static void begin() {
    bench = new Bench("hands_test", "Instrument room");
  }

  @BeforeEach
  void windowsAlone() {
    page = bench.begin(Bench.WINDOWS);
    steps = 0;
  }

  @AfterAll
  static void end() {
    bench.close();
  }

  private void key(String key) {
    steps++;
    page.keyboard().press(key);
  }

  private void click(Locator at) {
    steps++;
    at.click();
  }

  private void pick(String name) {
    click(bench.button("Add …"));
    click(bench.item(name));
  }

  private void drag(double... places) {
    steps++;
    bench.drag(places);
  }

  private void pull(Locator handle, double dx, double dy) {
    steps++;
    bench.pull(handle, dx, dy);
  }

  @Test
  void aWarmGlowOnThreeLamps() {
    key("e");
    drag(0.25, 0.5, 0.3, 0.56);
    click(bench.button("Use it in …"));
    click(bench.item("Glow of lamps"));
    for (int lamp = 2; lamp <= 3; lamp++) {
      click(bench.button("Duplicate this pass"));
      pull(page.getByTestId("grip").first(), 120, -30);
    }
    assertThat(bench.passes("glow")).hasCount(3);
    for (String place : new String[] {"Region 2:", "Region 3:", "Region 4:"}) {
      assertThat(bench.passes("glow").filter(new Locator.FilterOptions().setHasText(place)))
          .hasCount(1);
    }
    assertThat(bench.passes("glow").last())
        .containsText("0.2 stops brighter, 18 mired warmer, softened by 40 %");
    assertThat(bench.saved()).containsText("Saved");
    bench.reload();
    assertThat(bench.passes("glow")).hasCount(3);
    assertThat(steps).isLessThanOrEqualTo(8);
  }

  @Test
  void greensCalmed() {
    key("6");
    pick("Hue band");
    assertThat(bench.passes("hue-band"))
        .containsText("hues within 45° of 120° in the whole picture: 40 % less saturated");
    assertThat(steps).isLessThanOrEqualTo(5);
  }

  @Test
  void hazeOutOfTheView() {
    click(bench.button("Region Window panes"));
    click(bench.button("Use it in …"));
    click(bench.item("Clear haze"));
    assertThat(bench.passes("clear-haze"))
        .containsText("Remove 40 % of the haze from Window panes");
    assertThat(steps).isLessThanOrEqualTo(4);
  }

  @Test
  void aCurveKeptOffTheDarks() {
    key("5");
    pick("Curve");
    pull(bench.point(2), 0, 8);
    pull(bench.point(3), 0, -8);
    click(bench.passes("curve").getByLabel(Pattern.compile("^Gate: ")));
    pull(page.getByTestId("gate-full"), 120, 0);
    pull(page.getByTestId("gate-from"), 80, 0);
    page.keyboard().press("Escape");
    assertThat(bench.passes("curve")).containsText(Pattern.compile("only in tones from −[45]"));
    assertThat(bench.point(2))
        .hasAttribute("aria-valuetext", Pattern.compile(".*becomes −5\\.[1-9].*"));
    assertThat(steps).isLessThanOrEqualTo(9);
  }

  /** Clicks into a number's field, types and presses Enter. */
  private void type(String name, String value) {
    click(bench.number(name));
    key("Control+a");
    steps++;
    page.keyboard().type(value);
    key("Enter");
  }

  private void dragTakingAway(double... places) {
    steps++;
    page.keyboard().down("Alt");
    drag(places);
    page.keyboard().up("Alt");
  }

  @Test
  void aWindowFromADarkFrameByAToneMaskAndABrush() {
    key("n");
    click(bench.button("Find by tone, light or movement"));
    click(bench.item("Tone band"));
    type("Multiplications", "4");
    key("k");
    dragTakingAway(0.2, 0.8, 0.8, 0.85);
    bench.expectParts(2);
    click(bench.button("Use it in …"));
    click(bench.item("Show a frame"));
    assertThat(bench.passes("bring-frame")).hasCount(2);
    assertThat(bench.passes("bring-frame").last())
        .containsText(Pattern.compile("Show window frame .* in Region 2, 0.9 stops brighter"));
    assertThat(steps).isLessThanOrEqualTo(14);
  }

  @Test
  void aSurfaceMatchedToItsNeighbour() {
    key("p");
    steps++;
    bench.click(0.32, 0.32);
    key("p");
    steps++;
    bench.click(0.5, 0.25);
    key("t");
    click(bench.button("Bring probe 2 to the reference"));
    assertThat(bench.passes("balance")).hasCount(1);
    page.waitForFunction(
        "() => Number(document.querySelector('[data-testid=difference-2]').textContent) < 1");
    assertThat(steps).isLessThanOrEqualTo(6);
  }

  @Test
  void aChimneyTakenOutOfARamp() {
    key("r");
    drag(0.5, 0.1, 0.5, 0.6);
    key("k");
    click(page.getByLabel("also when taking away"));
    dragTakingAway(0.4, 0.2, 0.45, 0.35);
    bench.expectParts(2);
    assertThat(page.getByTestId("part").nth(1)).containsText("Brush, 1 stroke");
    assertThat(steps).isLessThanOrEqualTo(8);
  }
}
