package illuminar.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Before and after on the bench, and the steps between. */
class CompareTest {
  private static Bench bench;
  private static Page page;

  @BeforeAll
  static void begin() {
    bench = new Bench("compare_test", "Instrument room");
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
  void theBeforeIsHeldByAKey() {
    beforeIsHeld("Before: the anchor as the camera made it", "b");
    beforeIsHeld("Before: the ground alone", "Shift", "B");
  }

  private void beforeIsHeld(String said, String... keys) {
    int n = bench.pictures();
    for (String k : keys) {
      page.keyboard().down(k);
    }
    assertThat(page.getByText(said)).isVisible();
    bench.waitForPicture(n);
    n = bench.pictures();
    for (String k : keys) {
      page.keyboard().up(k);
    }
    bench.waitForPicture(n);
    assertThat(page.getByText(said)).isHidden();
  }

  /** The camera's picture on the left of a line that is moved by keys, ours on the right. */
  @Test
  void theWipeShowsBothSides() {
    bench.add("Tone", "tone");
    bench.waitForPicture(() -> bench.set("Exposure", "0.6"));
    page.evaluate("() => document.activeElement.blur()");
    double before = bench.brightness(0.5, 0.2);
    page.keyboard().press("w");
    Locator line =
        page.getByRole(
            AriaRole.SLIDER,
            new Page.GetByRoleOptions().setName(Pattern.compile("^Wipe: the camera's picture")));
    line.focus();
    for (int k = 0; k < 10; k++) {
      page.keyboard().press("ArrowRight");
    }
    assertThat(line).hasAttribute("aria-valuenow", "70");
    // left of the line it becomes the camera's
    page.waitForCondition(() -> Math.abs(bench.brightness(0.5, 0.2) - before) > 4);
    page.keyboard().press("Escape");
    page.evaluate("() => document.activeElement.blur()");
    page.keyboard().press("w");
    assertThat(line).hasCount(0);
  }

  /** The list of steps, and back to one of them. */
  @Test
  void anyStepCanBeGoneBackTo() {
    String revision = bench.saved().textContent();
    bench.button("History").click();
    Locator steps = page.getByRole(AriaRole.MENU, new Page.GetByRoleOptions().setName("History"));
    assertThat(steps).containsText("first version");
    steps
        .getByRole(AriaRole.MENUITEM)
        .filter(new Locator.FilterOptions().setHasText("first version"))
        .click();
    assertThat(bench.saved()).hasText("Saved, revision 1");
    bench.button("History").click();
    steps.getByRole(AriaRole.MENUITEM).first().click();
    assertThat(bench.saved()).hasText(revision);
  }
}
