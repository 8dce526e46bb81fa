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
    theCameraStandsBeside();
  }

  /** The camera's picture beside ours, half of the place each, moved together. */
  private static void theCameraStandsBeside() {
    Locator beside = page.getByTestId("beside");
    Locator stage = page.getByTestId("stage");
    assertThat(beside).isVisible();
    page.waitForCondition(
        () -> Math.abs(beside.boundingBox().width - stage.boundingBox().width) < 4);
    page.waitForFunction(BOTH_SHOWN);
    page.keyboard().press("Shift+F");
    page.waitForFunction(BOTH_SHOWN);
    page.keyboard().press("w");
    assertThat(beside).hasCount(0);
    page.keyboard().press("f");
  }

  /** Whether both canvases show a picture at their middle, and not the same. */
  private static final String BOTH_SHOWN =
      """
      () => {
        const [a, b] = ['beside', 'stage'].map(id => {
          const c = document.querySelector(`[data-testid=${id}] canvas`);
          const { data } = c.getContext('2d').getImageData(0, c.height * 0.3, c.width, c.height * 0.4);
          let sum = 0, squares = 0, n = 0;
          for (let i = 0; i < data.length; i += 4) {
            sum += data[i]; squares += data[i] ** 2; n++;
          }
          return { mean: sum / n, spread: Math.sqrt(squares / n - (sum / n) ** 2) };
        });
        return a.spread > 5 && b.spread > 5 && Math.abs(a.mean - b.mean) > 1;
      }
      """;

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
    // the newest step, below what can be done with them
    steps
        .getByRole(AriaRole.MENUITEM)
        .filter(new Locator.FilterOptions().setHasText(Pattern.compile("^\\d")))
        .first()
        .click();
    assertThat(bench.saved()).hasText(revision);
  }
}
