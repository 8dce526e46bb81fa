package illuminar.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Every kind of part on screen: drawn, edited, joined, used inside and outside, undone, kept. */
class RegionsTest {
  private static Bench bench;
  private static Page page;

  @BeforeAll
  static void begin() {
    bench = new Bench("regions_test", "Instrument room");
  }

  @BeforeEach
  void windowsAlone() {
    page = bench.begin(Bench.WINDOWS);
  }

  @AfterAll
  static void end() {
    bench.close();
  }

  private static Locator region(String name) {
    return bench.region(name);
  }

  @Test
  void shapesAreDrawnInOneDragAndUndoneInOneStep() {
    page.keyboard().press("n");
    assertThat(page.getByText("Empty: draw into it.")).isVisible();
    String[] keys = {"l", "r", "e", "y"};
    String[] kinds = {"loop", "ramp", "ellipse", "panel"};
    for (int k = 0; k < keys.length; k++) {
      page.keyboard().press(keys[k]);
      bench.drag(0.3, 0.3, 0.5, 0.32, 0.55, 0.5, 0.35, 0.55);
      bench.expectParts(k + 1);
      assertThat(bench.parts().nth(k)).hasAttribute("data-kind", kinds[k]);
    }
    bench.waitForShare("Region 2", 0.1, 1);
    for (int k = keys.length; k > 0; k--) {
      bench.undo();
      bench.expectParts(k - 1);
    }
    page.keyboard().press("Control+Shift+z");
    bench.expectParts(1);
    bench.undo();
    bench.expectParts(0);
  }

  @Test
  void aSoftPanelBrightensAndServesAnotherMove() {
    double inside = bench.brightness(0.4, 0.75);
    double outside = bench.brightness(0.7, 0.75);
    page.keyboard().press("n");
    page.keyboard().press("y");
    bench.drag(0.3, 0.65, 0.5, 0.85);
    bench.set("Softness", "60");
    bench.add("Tone", "tone");
    bench.waitForPicture(() -> bench.set("Exposure", "0.8"));
    page.keyboard().press("v");
    page.waitForCondition(() -> bench.brightness(0.4, 0.75) > inside + 15);
    page.waitForCondition(() -> Math.abs(bench.brightness(0.7, 0.75) - outside) < 1);
    Locator wash = bench.add("White and colour", "colour");
    assertThat(wash.getByLabel("Region: Region 2")).isVisible();
    assertThat(region("Region 2")).containsText("2 passes");
  }

  @Test
  void anEllipseIsEditedByGripAndByNumber() {
    bench.ellipse(0.4, 0.4, 0.5, 0.5);
    bench.waitForShare("Region 2", 0.01, 0.12);
    BoundingBox centre = page.getByTestId("grip").first().boundingBox();
    page.mouse().move(centre.x + 4, centre.y + 4);
    page.mouse().down();
    page.mouse().move(centre.x + 104, centre.y + 4);
    page.mouse().up();
    double moved = page.getByTestId("grip").first().boundingBox().x - centre.x;
    org.assertj.core.api.Assertions.assertThat(moved).isBetween(90.0, 110.0);
    // the ellipse was moved, not the picture
    assertThat(bench.button("Fit")).hasAttribute("aria-pressed", "true");
    bench.set("Turn", "30");
    bench.set("Softness", "100");
    assertThat(bench.number("Turn")).hasValue("30 °");
    bench.set("Part strength", "50");
    bench.button("Invert part").click();
    bench.waitForShare("Region 2", 0.44, 0.5);
    bench.undo();
    assertThat(bench.button("Invert part")).hasAttribute("aria-pressed", "false");
    bench.set("Part strength", "100");
  }

  @Test
  void partsTakeAwayAndOverlapAndAreLeftOut() {
    bench.ellipse(0.4, 0.4, 0.5, 0.5);
    bench.button("overlaps").click();
    bench.button("Find by tone, light or movement").click();
    bench.item("Tone band").click();
    bench.expectParts(2);
    bench.button("Darks").click();
    bench.set("Multiplications", "4");
    bench.set("Minus", "6");
    assertThat(bench.parts().nth(1)).containsText("Darks 4 less 6");
    assertThat(bench.parts().nth(1)).containsText("keep overlap");
    page.locator("button[value=CURVE]").click();
    assertThat(page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("Curve over")))
        .isVisible();
    page.getByLabel("Curve point 2").focus();
    page.keyboard().press("ArrowUp");
    page.getByLabel("Leave out part 2").click();
    bench.waitForShare("Region 2", 0.002, 0.2);
    page.getByLabel("Use part 2").click();
    bench.button("adds").click();
  }

  @Test
  void aWindowIsFoundByAClickOrABox() {
    page.keyboard().press("n");
    page.keyboard().press("j");
    assertThat(page.getByText("Click into a window, or drag a box round it.")).isVisible();
    bench.click(0.5, 0.36);
    bench.expectParts(1);
    assertThat(bench.parts().first()).hasAttribute("data-kind", "hand-window");
    bench.waitForShare("Region 2", 0.02, 0.12);
    bench.set("Leave out what is in front", "0");
    assertThat(bench.number("Leave out what is in front")).hasValue("0 %");
    bench.reload();
    bench.button("Region Region 2").click();
    bench.waitForShare("Region 2", 0.03, 0.14);
  }

  @Test
  void coloursArePickedOnThePicture() {
    page.keyboard().press("n");
    page.keyboard().press("u");
    bench.click(0.2, 0.15);
    bench.expectParts(1);
    bench.set("Tolerance", "20");
    page.getByLabel("Connected area only").uncheck();
    bench.waitForShare("Region 2", 0.01, 1);
    page.keyboard().press("Escape");
    page.keyboard().press("i");
    bench.click(0.5, 0.85);
    bench.expectParts(2);
    bench.click(0.6, 0.9);
    assertThat(page.getByText("2 picked colours")).isVisible();
    page.keyboard().press("Escape");
  }

  @Test
  void aBrushStopsAtEdgesAndWithinALimit() {
    page.keyboard().press("n");
    page.keyboard().press("k");
    page.getByLabel("Stops at edges").check();
    bench.drag(0.2, 0.2, 0.25, 0.22, 0.3, 0.2);
    page.keyboard().down("Shift");
    bench.click(0.4, 0.3);
    page.keyboard().up("Shift");
    assertThat(bench.parts().first()).containsText("2 strokes");
    page.getByLabel("Paint only inside: no region").click();
    bench.item("Window panes").click();
    assertThat(page.getByLabel("Paint only inside: Window panes")).isVisible();
    bench.set("Ceiling", "60");
    page.keyboard().press("Escape");
  }

  @Test
  void aRegionIsRefinedShownAndCopied() {
    bench.ellipse(0.4, 0.4, 0.5, 0.5);
    bench.set("Grow", "6");
    bench.set("Follow edges", "12");
    bench.set("Density", "80");
    bench.button("Tint").click();
    assertThat(page.getByLabel("Colour of the tint")).isVisible();
    bench.button("Line").click();
    bench.button("Black and white").click();
    bench.button("Veil").click();
    page.getByLabel("Copies of this region").click();
    bench.item("Duplicate, inverted").click();
    assertThat(region("Outside Region 2")).isVisible();
    bench.undo();
    assertThat(region("Outside Region 2")).hasCount(0);
  }

  @Test
  void oneRegionServesInsideAndOutsideAndInOthers() {
    bench.ellipse(0.4, 0.4, 0.5, 0.5);
    bench.add("Tone", "tone");
    page.getByTestId("pass").last().getByLabel("Region: Region 2").click();
    bench.item("all but Region 2").click();
    Locator second = bench.add("Tone", "tone");
    assertThat(second.getByLabel("Region: Region 2")).isVisible();
    assertThat(region("Region 2")).containsText("2 passes");
    bench.ellipse(0.1, 0.1, 0.2, 0.2);
    bench.button("Find by tone, light or movement").click();
    bench.item("Another region").click();
    assertThat(bench.parts().last()).hasAttribute("data-kind", "other-region");
  }

  /**
   * A region, what uses it, and a brush that it limits; all kept, and taken away with a question.
   */
  @Test
  void allOfItSurvivesReloadAndARegionInUseIsNotLostUnasked() {
    bench.ellipse(0.4, 0.4, 0.5, 0.5);
    bench.set("Grow", "6");
    bench.set("Density", "80");
    bench.add("Tone", "tone");
    page.getByTestId("pass").last().getByLabel("Region: Region 2").click();
    bench.item("all but Region 2").click();
    page.keyboard().press("n");
    page.keyboard().press("k");
    bench.drag(0.2, 0.2, 0.25, 0.22, 0.3, 0.2);
    page.getByLabel("Paint only inside: no region").click();
    bench.item("Region 2").click();
    assertThat(bench.saved()).containsText("Saved");
    bench.reload();
    region("Region 2").click();
    assertThat(bench.number("Grow")).hasValue("6 px");
    assertThat(bench.number("Density")).hasValue("80 %");
    assertThat(region("Region 2")).containsText("1 pass");
    page.getByLabel("Remove this region").click();
    assertThat(page.getByRole(AriaRole.DIALOG)).containsText("1 pass works in it");
    bench.button("Keep the region").click();
    assertThat(region("Region 2")).isVisible();
    page.getByLabel("Remove this region").click();
    bench.button("Remove and switch off").click();
    assertThat(region("Region 2")).hasCount(0);
    assertThat(page.getByLabel("Switch on Tone")).hasCount(1);
    region("Region 3").click();
    page.getByLabel("Part 1: Brush, 1 stroke").click();
    assertThat(page.getByLabel("Paint only inside: no region")).isVisible();
  }

  /** One that nothing uses goes without a question. */
  @Test
  void aRegionOfNoUseGoesUnasked() {
    bench.ellipse(0.4, 0.4, 0.5, 0.5);
    page.getByLabel("Remove this region").click();
    assertThat(region("Region 2")).hasCount(0);
  }

  /** The system may take the pointer away in the middle of a drag: the tool lets go. */
  @Test
  void aGestureThatTheSystemEndsLeavesNoToolStuck() {
    page.keyboard().press("n");
    page.keyboard().press("e");
    BoundingBox stage = page.getByTestId("stage").boundingBox();
    page.mouse().move(stage.x + 200, stage.y + 200);
    page.mouse().down();
    page.mouse().move(stage.x + 260, stage.y + 240);
    page.getByTestId("stage").dispatchEvent("pointercancel");
    page.mouse().up();
    bench.expectParts(1);
    assertThat(bench.button("Ellipse")).hasAttribute("aria-pressed", "false");
    // what moves now moves the picture, not the ellipse
    bench.drag(0.6, 0.6, 0.65, 0.65);
    bench.expectParts(1);
    bench.undo();
    bench.expectParts(0);
  }
}
