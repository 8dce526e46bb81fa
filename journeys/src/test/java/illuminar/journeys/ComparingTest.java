package illuminar.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import illuminar.server.TwoViews;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.Test;

/** Alternatives kept from the history and chosen; two pictures held against each other. */
class ComparingTest {
  private static final OnTwoViews ON = new OnTwoViews("comparing_journey_test");
  private static final Entered entered = ON.entered;
  private static final Page page = ON.page;
  private static final TwoViews views = ON.views;
  private static final Desk desk = new Desk(ON.page);

  @AfterAll
  static void end() {
    ON.close();
  }

  private static Locator item(String begins) {
    return page.getByRole(
        AriaRole.MENUITEM, new Page.GetByRoleOptions().setName(Pattern.compile("^" + begins)));
  }

  private static void choose(String label, String option) {
    choose(label, new Page.GetByRoleOptions().setName(option).setExact(true));
  }

  private static void choose(String label, Page.GetByRoleOptions option) {
    page.getByRole(
            AriaRole.COMBOBOX, new Page.GetByRoleOptions().setName(Pattern.compile("^" + label)))
        .click();
    page.getByRole(AriaRole.OPTION, option).click();
    page.getByRole(AriaRole.LISTBOX).waitFor(hidden());
  }

  @Test
  void anAlternativeIsKeptChosenAndCompared() {
    page.navigate(entered.url() + "/views/" + views.first());
    page.waitForFunction("() => Number(document.documentElement.dataset.pictures ?? 0) > 0");
    desk.add("Tone", "tone");
    desk.waitForPicture(() -> desk.set("Exposure", "0.5"));
    assertThat(desk.saved()).containsText("Saved");
    entered.button("History").click();
    item("Keep as an alternative").click();
    page.getByLabel("Name", new Page.GetByLabelOptions().setExact(true)).fill("Airy");
    page.keyboard().press("Enter");
    page.getByRole(AriaRole.DIALOG).waitFor(hidden());
    desk.waitForPicture(() -> desk.set("Exposure", "-1"));
    assertThat(desk.saved()).containsText("Saved");
    entered.button("History").click();
    page.getByLabel("Deliver Airy").click();
    assertThat(page.getByLabel("Deliver Airy")).hasAttribute("aria-pressed", "true");
    item("Compare").click();
    choose("Left", "Airy");
    Locator pair = page.getByTestId("compare");
    assertThat(pair.getByAltText("Airy")).isVisible();
    theWipeFollowsThePointer(pair);
    page.getByRole(AriaRole.STATUS)
        .filter(new Locator.FilterOptions().setHasText("Airy: L*"))
        .waitFor();
    page.getByText("Blink", new Page.GetByTextOptions().setExact(true)).click();
    pair.getByAltText("As it is now").waitFor(hidden());
    pair.getByAltText("As it is now").waitFor();
    page.getByText("Difference", new Page.GetByTextOptions().setExact(true)).click();
    assertThat(page.getByAltText("Difference of Airy and As it is now")).isVisible();
    assertThat(page.getByRole(AriaRole.STATUS)).containsText("on average");
    Pattern tone = Pattern.compile("^Without pass \\d+, tone$");
    choose("Right", new Page.GetByRoleOptions().setName(tone));
    assertThat(page.getByAltText(Pattern.compile("^Difference of Airy and Without pass")))
        .isVisible();
    choose("Right", TwoViews.SECOND);
    assertThat(page.getByText("Two views have no places in common")).isVisible();
    page.reload();
    // what was chosen stands in the address
    assertThat(page.getByTestId("compare").getByAltText(TwoViews.SECOND)).isVisible();
  }

  /** Views of one state, by name, small: and so after a reload. */
  @Test
  void theContactTableShowsWhatIsAskedFor() {
    page.navigate(entered.url() + "/shoots/" + views.shoot());
    page.getByLabel("Open " + TwoViews.SECOND).waitFor();
    choose("Order", "By name");
    choose("Size of the pictures", "Small pictures");
    Locator names = page.locator("article h2");
    assertThat(names).containsText(new String[] {TwoViews.SECOND, TwoViews.FIRST});
    page.reload();
    assertThat(names).containsText(new String[] {TwoViews.SECOND, TwoViews.FIRST});
    choose("Which views", "Only delivered");
    assertThat(page.getByText("2 views are not shown.")).isVisible();
    choose("Which views", "All views");
    choose("Order", "In order of delivery");
    choose("Size of the pictures", "Medium pictures");
    assertThat(names).containsText(new String[] {TwoViews.FIRST, TwoViews.SECOND});
  }

  private static Locator.WaitForOptions hidden() {
    return new Locator.WaitForOptions()
        .setState(com.microsoft.playwright.options.WaitForSelectorState.HIDDEN);
  }

  /** Without asking the server: the line moves though no answer comes. */
  private static void theWipeFollowsThePointer(Locator pair) {
    BoundingBox box = pair.boundingBox();
    page.route("**/api/**", route -> {});
    String before = clip(pair);
    for (double at : new double[] {0.3, 0.6}) {
      String was = clip(pair);
      // a menu that is still closing takes the pointer
      page.waitForCondition(
          () -> {
            page.mouse().move(box.x + box.width * at - 2, box.y + box.height * 0.5);
            page.mouse().move(box.x + box.width * at, box.y + box.height * 0.5);
            return !clip(pair).equals(was);
          });
    }
    assertThat(clip(pair)).startsWith("polygon(").isNotEqualTo(before);
    page.unroute("**/api/**");
    page.mouse().move(box.x + box.width * 0.5, box.y + box.height * 0.5);
  }

  private static String clip(Locator pair) {
    return (String)
        pair.evaluate(
            "e => [...e.children].map((c) => c.style.clipPath).find((c) => c.startsWith('polygon'))");
  }
}
