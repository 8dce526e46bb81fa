package illuminar.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import illuminar.server.TwoViews;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.Test;

/** A surface named in two views, read over the set, levelled, and taken back. */
class SurfacesTest {
  private static final OnTwoViews ON = new OnTwoViews("surfaces_journey_test");
  private static final Entered entered = ON.entered;
  private static final Page page = ON.page;
  private static final TwoViews views = ON.views;

  @AfterAll
  static void end() {
    ON.close();
  }

  /** Pins a probe on the wall of a view and names its surface. */
  private static void pin(String view) {
    Desk desk = new Desk(page);
    page.navigate(entered.url() + "/views/" + view);
    page.waitForFunction("() => Number(document.documentElement.dataset.pictures ?? 0) > 0");
    desk.open("Balance");
    desk.button("Balance board").click();
    desk.button("Pin a probe").click();
    desk.click(0.2, 0.3);
    Locator name = page.getByLabel("Surface of probe 1");
    name.fill("Plaster");
    page.keyboard().press("Enter");
  }

  @Test
  void aSetIsLevelledBySurfacesOfOneName() {
    pin(views.first());
    pin(views.second());
    page.navigate(entered.url() + "/shoots/" + views.shoot());
    page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Surfaces")).click();
    assertThat(entered.button("Level the set")).isDisabled();
    entered.button("Read the surfaces").click();
    Locator table = page.getByRole(AriaRole.TABLE);
    assertThat(table.getByRole(AriaRole.ROW).last()).containsText("Plaster");
    assertThat(table.getByRole(AriaRole.ROW).last()).containsText("ΔE");
    entered.button("Level the set").click();
    Locator done = page.getByRole(AriaRole.ALERT);
    assertThat(done).containsText("Levelled with the set: 2 views");
    assertThat(table).containsText("levelled");
    assertThat(table).not().containsText("not levelled");
    entered.button("Take it back").click();
    assertThat(table).containsText("changed, read it again");
    entered.button("Read the surfaces").click();
    assertThat(table).containsText("not levelled");
  }
}
