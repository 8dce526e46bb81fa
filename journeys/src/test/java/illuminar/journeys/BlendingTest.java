package illuminar.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.options.AriaRole;
import java.util.concurrent.atomic.AtomicReference;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Grounds, frames laid over and lights taken apart, on screen. */
class BlendingTest {
  private static Bench bench;
  private static Page page;

  @BeforeAll
  static void begin() {
    bench = new Bench("blending_test", "Instrument room");
  }

  @BeforeEach
  void windowsAlone() {
    page = bench.begin(Bench.WINDOWS);
  }

  @AfterAll
  static void end() {
    bench.close();
  }

  @Test
  void theGroundIsWeighedMergedAndTakenBack() {
    bench.open("Ground");
    bench.waitForPicture(() -> bench.set("Detail", "0"));
    bench.waitForPicture(() -> page.getByLabel("Take each moving object from one frame").uncheck());
    page.getByLabel("Ground: Blend").click();
    bench.waitForPicture(
        () -> bench.item("Merge the ambient frames into one high-range picture").click());
    assertThat(bench.stage("Ground")).containsText("into one high-range picture, with 0 % of");
    bench.waitForPicture(() -> bench.set("Compression", "80"));
    page.getByLabel("Ground: Merge").click();
    bench.waitForPicture(() -> bench.item("Take one frame").click());
    assertThat(bench.stage("Ground")).containsText("as it is.");
    bench.undo();
    assertThat(bench.number("Compression")).hasValue("80 %");
    bench.undo();
    bench.undo();
    assertThat(bench.stage("Ground")).containsText("Blend");
  }

  /** The flashes on offer in the open menu. */
  private static Locator flash() {
    return page.getByRole(
        AriaRole.MENUITEM,
        new Page.GetByRoleOptions().setName(Pattern.compile("^Mix in flash, [a-z]+$")));
  }

  /** The first flash on offer, mixed a stop darker. */
  private static Locator mixed() {
    bench.open("Lights");
    bench.button("Add …").click();
    bench.waitForPicture(() -> flash().first().click());
    bench.waitForPicture(() -> bench.set("Light", "-1"));
    return bench.passes("mix-light");
  }

  @Test
  void lightsOnOfferAreMixed() {
    Locator pass = mixed();
    assertThat(pass).containsText("minus frame");
    bench.button("Add …").click();
    assertThat(flash().first()).isDisabled();
    page.keyboard().press("Escape");
    bench.waitForPicture(() -> bench.set("Warmer", "20"));
    assertThat(pass).containsText("1 stop darker, 20 mired warmer");
  }

  @Test
  void aFrameIsLaidOverWithAModeOfItsOwn() {
    Locator pass = bench.add("Lay a frame over", "lay-frame");
    bench.waitForPicture(
        () -> {
          pass.getByLabel("Mode: normal").click();
          bench.item("luminosity").click();
        });
    assertThat(pass).containsText("as luminosity");
    bench.set("Saturation", "-40");
    assertThat(bench.saved()).containsText("Saved");
    bench.reload();
    assertThat(bench.passes("lay-frame")).containsText("as luminosity");
  }

  /** Found in the frames, in a region of its own, and another frame laid over it. */
  @Test
  void hotSpotsOfAFlashAreMendedInOneStep() {
    bench.open("Lights");
    int before = bench.stage("Lights").getByTestId("pass").count();
    bench.button("Add …").click();
    Locator mend =
        page.getByRole(
            AriaRole.MENUITEM,
            new Page.GetByRoleOptions().setName(Pattern.compile("^Mend hot spots of flash")));
    bench.waitForPicture(() -> mend.first().click());
    assertThat(bench.stage("Lights").getByTestId("pass")).hasCount(before + 1);
    assertThat(page.getByText(Pattern.compile("^Hot spots, flash")).first()).isVisible();
    bench.button("Edit the region").click();
    assertThat(page.getByText("Flash hot spots")).isVisible();
    bench.button("hard shadows").click();
    bench.waitForPicture(() -> bench.set("Threshold", "0.5"));
    assertThat(bench.number("Threshold")).hasValue("0.50 st");
    bench.undo();
    bench.undo();
    assertThat(bench.button("hot spots")).hasAttribute("aria-pressed", "true");
  }

  /** Both flash frames burn the panes here, so nothing tells what they mirror: it says so. */
  @Test
  void reflectionsThatNothingTellsAreRefusedWithTheReason() {
    page.locator("[data-testid=pass][data-kind=bring-frame]")
        .first()
        .click(new Locator.ClickOptions().setPosition(30, 12));
    bench.set("Remove reflections", "100");
    assertThat(page.getByText("Remove reflections: the frames that could tell")).isVisible();
    bench.waitForPicture(() -> bench.set("Remove reflections", "0"));
    assertThat(page.getByText("Remove reflections: the frames that could tell")).isHidden();
  }

  /** The contact table's picture stands in until the frames are read. */
  @Test
  void theBenchOpensWithThePictureOfTheContactTable() {
    page.routeWebSocket(Pattern.compile("/ws/views/"), silent -> {});
    page.reload();
    page.waitForFunction(
        """
        () => {
          const c = document.querySelector('[data-testid=stage] canvas');
          if (!c?.width) return false;
          const row = c.getContext('2d').getImageData(0, c.height / 2, c.width, 1).data;
          return new Set(row).size > 40;
        }
        """);
    assertThat(page.getByText("Opening the frames")).isVisible();
  }

  /** Keys faster than the server: no undo overtakes a change that is not kept yet. */
  @Test
  void undoWaitsForWhatIsBeingKept() {
    Locator pass = mixed();
    for (String light : new String[] {"-2", "-3", "-4"}) {
      bench.set("Light", light);
    }
    page.evaluate("() => document.activeElement?.blur()");
    for (int k = 0; k < 3; k++) {
      page.keyboard().press("Control+z");
    }
    assertThat(pass).containsText("1 stop darker");
    for (int k = 0; k < 3; k++) {
      page.keyboard().press("Control+Shift+z");
    }
    assertThat(pass).containsText("4 stops darker");
    assertThat(page.getByText("Changed in another tab")).hasCount(0);
  }

  /** What is changed while an undo is on its way stays, and is one step of its own. */
  @Test
  void aChangeMadeDuringAnUndoStays() {
    Locator pass = mixed();
    AtomicReference<Route> held = new AtomicReference<>();
    page.route("**/undo", held::set);
    page.evaluate("() => document.activeElement?.blur()");
    page.keyboard().press("Control+z");
    page.waitForCondition(() -> held.get() != null);
    bench.set("Tint", "33");
    assertThat(bench.number("Tint")).hasValue("+33");
    held.get().resume();
    assertThat(bench.number("Tint")).hasValue("+33");
    assertThat(bench.saved()).containsText("Saved");
    page.unroute("**/undo");
    bench.reload();
    pass.click(new Locator.ClickOptions().setPosition(30, 12));
    assertThat(bench.number("Tint")).hasValue("+33");
    assertThat(page.getByText("Changed in another tab")).hasCount(0);
  }
}
