package illuminar.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import illuminar.server.TwoViews;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.Test;

/** A set worked through by keys: before, notes, views that rest, come back and are ready. */
class SecondLookTest {
  private static final OnTwoViews ON = new OnTwoViews("second_look_journey_test");
  private static final Entered entered = ON.entered;
  private static final Page page = ON.page;
  private static final String SHOOT = entered.url() + "/shoots/" + ON.views.shoot();

  @AfterAll
  static void end() {
    ON.close();
  }

  private static Locator item(String name) {
    return page.getByRole(
        AriaRole.MENUITEM, new Page.GetByRoleOptions().setName(name).setExact(true));
  }

  private static void more(String view, String what) {
    page.getByLabel("More about " + view, new Page.GetByLabelOptions().setExact(true)).click();
    item(what).click();
  }

  @Test
  void aViewRestsAndIsJudgedWithFreshEyes() {
    page.navigate(SHOOT);
    page.getByLabel("Open " + TwoViews.FIRST).waitFor();
    more(TwoViews.FIRST, "Add a note …");
    page.getByLabel("Note", new Page.GetByLabelOptions().setExact(true)).fill("Lamp is too warm");
    entered.button("Keep the note").click();
    assertThat(page.getByText("Lamp is too warm")).isVisible();
    more(TwoViews.FIRST, "Let it rest …");
    page.getByLabel("for an hour").check();
    entered.button("Let " + TwoViews.FIRST + " rest").click();
    assertThat(page.getByText("rests until")).isVisible();
    page.navigate(entered.url() + "/second-look");
    assertThat(entered.button("Look at 0 views")).isDisabled();
    entered.button("Look at it now").click();
    Locator look = page.getByLabel("Second look at " + TwoViews.FIRST);
    assertThat(look.getByAltText(TwoViews.FIRST)).isVisible();
    page.keyboard().press("m");
    assertThat(entered.button("Mirror")).hasAttribute("aria-pressed", "true");
    page.keyboard().down("b");
    assertThat(look.getByAltText(TwoViews.FIRST + ", the ground alone")).isVisible();
    page.keyboard().up("b");
    assertThat(look.getByAltText(TwoViews.FIRST)).isVisible();
    assertThat(look.getByText("Lamp is too warm")).isVisible();
    page.keyboard().press("r");
    assertThat(page.getByText("No view rests.")).isVisible();
    page.navigate(SHOOT);
    assertThat(page.getByText("ready", new Page.GetByTextOptions().setExact(false)).first())
        .isVisible();
    more(TwoViews.FIRST, "Needs work");
    assertThat(page.getByText("lined up").first()).isVisible();
  }

  @Test
  void theTableIsWalkedByKeys() {
    page.navigate(SHOOT);
    Locator first = page.getByLabel("Open " + TwoViews.FIRST);
    Locator second = page.getByLabel("Open " + TwoViews.SECOND);
    first.focus();
    page.keyboard().press("ArrowRight");
    assertThat(second).isFocused();
    page.keyboard().down("b");
    assertThat(second.locator("img").nth(1)).isVisible();
    page.keyboard().up("b");
    assertThat(second.locator("img").nth(1)).isHidden();
    page.keyboard().press("Home");
    assertThat(first).isFocused();
    page.keyboard().press("Enter");
    page.waitForURL("**/views/" + ON.views.first());
  }
}
