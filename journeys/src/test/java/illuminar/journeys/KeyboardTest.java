package illuminar.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Page;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

/** The work by keyboard alone. */
class KeyboardTest {
  private static Entered entered;
  private static Page page;
  private static Desk desk;

  @BeforeAll
  static void begin() {
    entered = Entered.not("keyboard_test");
    page = entered.page;
    desk = new Desk(page);
  }

  @AfterAll
  static void end() {
    entered.close();
  }

  /** Presses Tab until something of this name has the focus. */
  private void tabTo(String name) {
    String here =
        "() => { const e = document.activeElement; return e.getAttribute('aria-label')"
            + " ?? (e.labels && e.labels[0] ? e.labels[0].innerText : e.innerText) ?? ''; }";
    for (int i = 0; i < 120; i++) {
      page.keyboard().press("Tab");
      if (String.valueOf(page.evaluate(here)).strip().matches("(?s)" + name)) {
        return;
      }
    }
    throw new AssertionError("Tab never comes to " + name + ", last " + page.evaluate(here));
  }

  /** From a new shoot to a delivered file, the mouse untouched. */
  @Test
  void aWholeShootByKeyboardAlone() {
    tabTo("E-mail.*");
    page.keyboard().type("demo@illuminar.test");
    tabTo("Password.*");
    page.keyboard().type("heather");
    page.keyboard().press("Enter");
    assertThat(page.getByText("New shoot")).isVisible();
    tabTo("Property or commission.*");
    page.keyboard().type("Lower cottage");
    tabTo("Create, then add frames");
    page.keyboard().press("Enter");
    // the card is read first
    assertThat(page.getByLabel("Name of the view").first()).isVisible();
    tabTo("Name of the view");
    page.keyboard().press("Control+a");
    page.keyboard().type("Study");
    page.keyboard().press("Shift+Tab");
    tabTo("Name of the view");
    page.keyboard().press("Control+Home");
    page.evaluate("() => document.activeElement.blur()");
    tabTo("Take in 8 frames as 1 view");
    page.keyboard().press("Enter");
    page.waitForURL(Pattern.compile("/shoots/[0-9a-f-]+$"));
    assertThat(page.getByLabel("Open Study")).isVisible();
    tabTo("Open Study");
    int before = desk.pictures();
    page.keyboard().press("Enter");
    desk.waitForPicture(before);
    Bench.windowsAlone(page);
    page.keyboard().press("5");
    tabTo("Add …");
    page.keyboard().press("Enter");
    before = desk.pictures();
    page.keyboard().press("t");
    page.keyboard().press("Enter");
    desk.waitForPicture(before);
    // what was added has the focus
    assertThat(desk.slider("Exposure")).isFocused();
    page.keyboard().press("ArrowRight");
    page.keyboard().press("ArrowRight");
    assertThat(desk.saved()).hasText("Saved, revision 4");
    page.keyboard().press("Control+z");
    assertThat(page.getByTestId("pass")).containsText("changes nothing yet");
    page.keyboard().press("Control+Shift+z");
    assertThat(page.getByTestId("pass")).containsText("0.1 stops brighter");
    drawingAndCurves();
    tabTo("Deliver");
    page.keyboard().press("Enter");
    tabTo("Deliver 2 files");
    page.keyboard().press("Enter");
    assertThat(page.getByText("Study.jpg")).isVisible();
  }

  private void keys(int times, String key) {
    for (int i = 0; i < times; i++) {
      page.keyboard().press(key);
    }
  }

  /**
   * Draws with the tool in hand from where the cross stands by so many steps to the right and down.
   */
  private void drawBy(int right, int down) {
    page.keyboard().press("Space");
    keys(right, "ArrowRight");
    keys(down, "ArrowDown");
    page.keyboard().press("Space");
  }

  /** Shapes, grips, an outline and points of a curve: arrow keys, Space, Enter and Delete alone. */
  private void drawingAndCurves() {
    page.keyboard().press("n");
    page.keyboard().press("e");
    page.keyboard().press("ArrowLeft");
    assertThat(page.getByTestId("cross")).isVisible();
    drawBy(8, 6);
    assertThat(desk.parts()).hasCount(1);
    tabTo("Width and turn, ellipse");
    String was = page.evaluate(SHAPE).toString();
    page.keyboard().press("ArrowRight");
    page.waitForFunction("was => (" + SHAPE + ")() !== was", was);
    page.keyboard().press("o");
    page.keyboard().press("ArrowUp");
    page.keyboard().press("Space");
    keys(6, "ArrowRight");
    page.keyboard().press("Space");
    keys(6, "ArrowDown");
    page.keyboard().press("Space");
    page.keyboard().press("Enter");
    assertThat(desk.parts()).hasCount(2);
    page.keyboard().press("k");
    page.keyboard().press("ArrowUp");
    drawBy(5, 0);
    assertThat(desk.parts()).hasCount(3);
    keys(3, "Escape");
    page.keyboard().press("5");
    tabTo("Add …");
    page.keyboard().press("Enter");
    page.keyboard().type("Curv");
    page.keyboard().press("Enter");
    tabTo("Curve point 2");
    String before = desk.point(2).getAttribute("aria-valuetext");
    page.keyboard().press("ArrowUp");
    assertThat(desk.point(2)).not().hasAttribute("aria-valuetext", before);
    int points = desk.points().count();
    page.keyboard().press("Delete");
    assertThat(desk.points()).hasCount(points - 1);
  }

  /** Where the grips stand. */
  private static final String SHAPE =
      "() => [...document.querySelectorAll('[data-testid=grip] rect')].map(r => r.getAttribute('x')).join()";
}
