package illuminar.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import illuminar.server.TwoViews;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.Test;

/** What was decided for one view carried over to another, looked at there, and taken back. */
class CarryTest {
  private static final OnTwoViews ON = new OnTwoViews("carry_journey_test");
  private static final Entered entered = ON.entered;
  private static final Desk desk = new Desk(ON.page);
  private static final Page page = ON.page;
  private static final TwoViews views = ON.views;

  @AfterAll
  static void end() {
    ON.close();
  }

  private static Locator tick(String name) {
    return page.getByRole(
        AriaRole.CHECKBOX, new Page.GetByRoleOptions().setName(Pattern.compile(name)));
  }

  private static void to(String address) {
    page.navigate(entered.url() + address);
  }

  @Test
  void aPassInADrawnRegionIsCarriedOver() {
    to("/views/" + views.first());
    page.waitForFunction("() => Number(document.documentElement.dataset.pictures ?? 0) > 0");
    desk.ellipse(0.4, 0.4, 0.5, 0.5);
    desk.add("Tone", "tone");
    desk.waitForPicture(() -> desk.set("Exposure", "0.6"));
    assertThat(desk.saved()).containsText("Saved");
    desk.open("All");
    page.getByRole(AriaRole.LINK, named("^Carry over to other views")).click();

    // nothing but the new pass, by its sentence
    entered.button("Nothing").click();
    assertThat(entered.button("Carry over to 1 view")).isDisabled();
    tick("Region \\d").check();
    Locator other = page.getByRole(AriaRole.ARTICLE).filter(said(TwoViews.SECOND));
    assertThat(other).containsText("Check afterwards: Region");
    assertThat(other.getByAltText(TwoViews.SECOND + " as it will be")).isVisible();
    // by the keyboard: hold the picture to see it as it is
    other.getByRole(AriaRole.BUTTON).focus();
    page.keyboard().down(" ");
    assertThat(other.getByAltText(TwoViews.SECOND + " as it is")).isVisible();
    page.keyboard().up(" ");
    assertThat(other.getByAltText(TwoViews.SECOND + " as it will be")).isVisible();
    entered.button("Carry over to 1 view").click();

    Locator done =
        page.getByRole(AriaRole.ALERT).filter(said("Carried over from " + TwoViews.FIRST));
    assertThat(done).containsText(": 1 view");
    assertThat(page.getByText(Pattern.compile("^Check Region"))).isVisible();
    page.getByLabel("Open " + TwoViews.SECOND).click();
    Locator came = page.getByRole(AriaRole.ALERT).filter(said("Carried over from another view"));
    came.getByRole(AriaRole.BUTTON).first().click();
    assertThat(page.getByRole(AriaRole.REGION, named("^Region Region"))).isVisible();
    entered.button("They fit").click();
    assertThat(came).isHidden();
    page.reload();
    page.waitForFunction("() => Number(document.documentElement.dataset.pictures ?? 0) > 0");
    assertThat(came).isHidden();

    to("/shoots/" + views.shoot());
    entered.button("Take it back").click();
    assertThat(done).isHidden();
    to("/views/" + views.second());
    page.waitForFunction("() => Number(document.documentElement.dataset.pictures ?? 0) > 0");
    desk.open("Tone");
    assertThat(desk.passes("tone").filter(said("in Region"))).hasCount(0);
  }

  private static Locator.FilterOptions said(String text) {
    return new Locator.FilterOptions().setHasText(text);
  }

  private static Page.GetByRoleOptions named(String pattern) {
    return new Page.GetByRoleOptions().setName(Pattern.compile(pattern));
  }
}
