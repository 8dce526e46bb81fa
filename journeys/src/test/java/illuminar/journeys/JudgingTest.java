package illuminar.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Watch, gates, groups, burnt light, trimming and the balance board, on screen. */
class JudgingTest {
  private static Bench bench;
  private static Page page;

  @BeforeAll
  static void begin() {
    bench = new Bench("judging_test", "Instrument room");
  }

  @BeforeEach
  void windowsAlone() {
    page = bench.begin(Bench.WINDOWS);
  }

  @AfterAll
  static void end() {
    bench.close();
  }

  /** A window's mask softened on purpose reaches the wall: watch finds it and leads to its cure. */
  @Test
  void watchLeadsToWhatMendsAFault() {
    page.getByLabel("Region Window panes").click();
    bench.waitForPicture(() -> bench.set("Feather", "40"));
    page.evaluate("() => document.activeElement?.blur()");
    page.keyboard().press("h");
    Locator fault =
        bench
            .stage("Watch")
            .getByRole(
                AriaRole.BUTTON,
                new Locator.GetByRoleOptions()
                    .setName(Pattern.compile("(Halo|Overspray|Mud).*Fix with")))
            .first();
    assertThat(fault).isVisible();
    assertThat(page.getByTestId("watch-mark").first()).isVisible();
    fault.click();
    page.waitForFunction(
        "() => ['slider', 'button'].includes(document.activeElement.getAttribute('role') ?? '')"
            + " || document.activeElement.tagName === 'BUTTON'");
    page.evaluate("() => document.activeElement?.blur()");
    page.keyboard().press("h");
    assertThat(bench.stage("Watch")).hasCount(0);
    bench.undo();
    assertThat(bench.number("Feather")).not().hasValue("120 px");
  }

  private static Locator restored() {
    return bench.add("Recover burnt areas", "restore-light");
  }

  @Test
  void burntLightIsRestoredInARegionOfItsOwn() {
    Locator pass = restored();
    assertThat(pass).containsText("Recover burnt areas in Burnt light");
    bench.waitForPicture(() -> bench.set("Brightest", "-0.5"));
    assertThat(pass).containsText("0.5 stops below white");
    bench.undo();
    bench.undo();
    assertThat(bench.stage("Windows").getByTestId("pass")).hasCount(1);
    page.keyboard().press("Control+Shift+z");
    assertThat(bench.stage("Windows").getByTestId("pass")).hasCount(2);
  }

  @Test
  void aGateIsDraggedOverTheHistogram() {
    Locator pass = restored();
    pass.getByLabel(Pattern.compile("^Gate")).click();
    Locator handle = page.getByTestId("gate-full");
    BoundingBox box = handle.boundingBox();
    page.mouse().move(box.x + 5, box.y + 5);
    page.mouse().down();
    page.mouse().move(box.x + 105, box.y + 5);
    page.mouse().up();
    page.keyboard().press("Escape");
    assertThat(pass).containsText(Pattern.compile("only in tones from −\\d"));
    bench.undo();
    assertThat(pass).not().containsText("only in tones");
  }

  @Test
  void passesAreGroupedAndSwitchedTogether() {
    Locator pass = restored();
    pass.getByLabel(Pattern.compile("^Group")).click();
    bench.item("a new group").click();
    bench.open("All");
    Locator group = page.getByTestId("group");
    assertThat(group).containsText("1 pass in");
    bench.waitForPicture(() -> bench.button("Switch off Group 1").click());
    assertThat(bench.saved()).containsText("Saved");
    bench.reload();
    assertThat(bench.button("Switch on Group 1")).isVisible();
    bench.waitForPicture(() -> bench.button("Switch on Group 1").click());
    bench.button("Take Group 1 apart").click();
    assertThat(page.getByTestId("group")).hasCount(0);
  }

  @Test
  void aRegionIsTrimmed() {
    page.getByLabel("Region Window panes").click();
    page.keyboard().press("k");
    bench.set("Brush size", "60");
    page.evaluate("() => document.activeElement?.blur()");
    // the small stroke lies under the large one
    bench.drag(0.2, 0.6, 0.21, 0.6);
    bench.set("Brush size", "300");
    page.evaluate("() => document.activeElement?.blur()");
    bench.drag(0.2, 0.6, 0.21, 0.6);
    assertThat(bench.saved()).containsText("Saved");
    bench.button("Copies of this region").click();
    bench.item("Remove unused parts").click();
    assertThat(page.getByText(Pattern.compile("B less$"))).isVisible();
    page.keyboard().press("Escape");
  }

  /** By mouse and by keyboard: two places of the wall brought together, and nudged apart. */
  @Test
  void surfacesAreBroughtToAReference() {
    page.keyboard().press("p");
    bench.click(0.32, 0.32);
    page.keyboard().press("p");
    bench.click(0.5, 0.25);
    page.keyboard().press("t");
    Locator board = bench.stage("Balance board");
    assertThat(board.getByRole(AriaRole.ROW)).hasCount(3);
    Locator difference = page.getByTestId("difference-2");
    assertThat(difference).hasText(Pattern.compile("\\d"));
    double before = Double.parseDouble(difference.innerText());
    for (int k = 1; k <= 2; k++) {
      board.getByLabel("Surface of probe " + k).fill("North wall");
    }
    Locator wall =
        board.getByLabel("Surface North wall", new Locator.GetByLabelOptions().setExact(true));
    assertThat(wall).containsText("North wall, mean of 2");
    board.getByLabel("Surface of probe 1").fill("");
    assertThat(wall).containsText("mean of 1");
    board.getByLabel("Choose surface North wall").check();
    assertThat(board.getByLabel("Choose probe 2")).isChecked();
    bench.waitForPicture(() -> bench.button("Bring probe 2 to the reference").click());
    assertThat(bench.stage("Balance").getByTestId("pass")).hasCount(1);
    page.waitForFunction(
        "was => Number(document.querySelector('[data-testid=difference-2]').textContent) < 0.3 * was + 1",
        before);
    Locator row = board.getByRole(AriaRole.ROW).nth(2);
    row.focus();
    bench.waitForPicture(() -> page.keyboard().press("ArrowUp"));
    assertThat(bench.saved()).containsText("Saved");
    bench.reload();
    bench.open("Balance");
    assertThat(bench.stage("Balance").getByTestId("pass")).hasCount(1);
    // the board is the studio's, not this browser's
    page.evaluate("() => localStorage.clear()");
    bench.reload();
    page.keyboard().press("t");
    assertThat(board.getByLabel("Surface of probe 2")).hasValue("North wall");
    page.keyboard().press("t");
  }

  @Test
  void castsAreClearedAndShown() {
    bench.add("Remove colour casts", "clear-casts");
    assertThat(bench.stage("Colour").getByTestId("pass")).containsText("of the colour cast in");
    bench.button("Cast map").click();
    assertThat(page.getByAltText("Cast map")).isVisible();
    bench.button("Cast map").click();
    assertThat(page.getByAltText("Cast map")).hasCount(0);
  }
}
