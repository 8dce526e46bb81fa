package illuminar.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import illuminar.server.TwoViews;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.Test;

/** A set looked over before delivery: each remark leads to what mends it, or passes with a word. */
class PreFlightTest {
  private static final OnTwoViews ON = new OnTwoViews("pre_flight_journey_test");
  private static final Entered entered = ON.entered;
  private static final Page page = ON.page;
  private static final TwoViews views = ON.views;

  @AfterAll
  static void end() {
    ON.close();
  }

  private static Locator remark(String said) {
    return page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName(TwoViews.FIRST))
        .getByText(Pattern.compile(said));
  }

  @Test
  void aSetIsLookedOver() {
    Desk desk = new Desk(page);
    page.navigate(entered.url() + "/views/" + views.first());
    page.waitForFunction("() => Number(document.documentElement.dataset.pictures ?? 0) > 0");
    desk.add("Tone", "tone");
    desk.waitForPicture(() -> desk.set("Exposure", "3"));
    assertThat(desk.saved()).containsText("Saved");

    page.navigate(entered.url() + "/shoots/" + views.shoot());
    page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Pre-flight")).click();
    entered.button("Look over 2 views").click();
    remark("% of the picture is burnt").waitFor();
    entered.button("Accept: .* burnt").click();
    page.getByLabel("Why it may pass").fill("snow outside");
    page.keyboard().press("Enter");
    assertThat(remark("burnt. Accepted by .*: snow outside")).isVisible();
    page.reload();
    assertThat(remark("snow outside")).isVisible();
    entered.button("Let it stand again").click();
    page.getByRole(
            AriaRole.LINK,
            new Page.GetByRoleOptions().setName(Pattern.compile("^Go to Lights: .* burnt")))
        .click();
    // the bench opens at the stage
    assertThat(page.getByRole(AriaRole.TAB, new Page.GetByRoleOptions().setSelected(true)))
        .containsText("Lights");
  }
}
