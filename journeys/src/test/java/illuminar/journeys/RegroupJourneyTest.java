package illuminar.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import illuminar.server.TestServer;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

/** After intake: another anchor, a view split by hand, views put in order, by mouse and keys. */
class RegroupJourneyTest {
  private static Entered entered;
  private static Page page;

  @BeforeAll
  static void open() throws IOException {
    Path card = Files.createTempDirectory("illuminar-card");
    Path demo = Path.of("../demo/small/instrument-room");
    for (String name : List.of("FWH_0113.JPG", "FWH_0114.JPG", "FWH_0115.JPG", "FWH_0119.JPG")) {
      Files.copy(demo.resolve(name), card.resolve(name));
    }
    entered = new Entered(new TestServer("regroup_journey_test", card));
    page = entered.page;
  }

  @AfterAll
  static void end() {
    entered.close();
  }

  private static Locator button(String name) {
    return entered.button(name);
  }

  private static Locator link(String name) {
    return entered.link(name);
  }

  private static Locator view(String name) {
    return page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName(name));
  }

  private static void applied() {
    button("Arrange").click();
    assertThat(page.getByTestId("job")).isVisible();
    assertThat(page.getByTestId("job")).isHidden();
    assertThat(button("Nothing to arrange")).isDisabled();
  }

  @Test
  void framesAreArrangedAnewAndViewsPutInOrder() {
    link("Fennick Weather House").click();
    button("Take in 4 frames").click();
    link("Frames").click();
    // another anchor
    view("View 1")
        .getByRole(AriaRole.BUTTON)
        .filter(new Locator.FilterOptions().setHasText("Anchor"))
        .first()
        .click();
    applied();
    // the two last frames become a view of their own, chosen by keys
    page.getByLabel("Choose FWH_0115.JPG").focus();
    page.keyboard().press("Enter");
    page.getByLabel("Choose FWH_0119.JPG").focus();
    page.keyboard().press("Shift+Enter");
    assertThat(page.getByText("2 frames are chosen")).isVisible();
    page.getByLabel("Move to a view").locator("..").getByRole(AriaRole.COMBOBOX).click();
    page.getByRole(AriaRole.OPTION, new Page.GetByRoleOptions().setName("A new view")).click();
    applied();
    assertThat(view("New view").getByTestId("card-frame")).hasCount(2);
    page.reload();
    assertThat(view("New view").getByTestId("card-frame")).hasCount(2);
    // and comes first
    link("Fennick Weather House").click();
    Locator names = page.getByRole(AriaRole.ARTICLE).getByRole(AriaRole.HEADING);
    assertThat(names).hasText(new String[] {"View 1", "New view"});
    page.getByLabel("Choose New view").check();
    button("Move forward").click();
    assertThat(names).hasText(new String[] {"New view", "View 1"});
    page.reload();
    assertThat(names).hasText(new String[] {"New view", "View 1"});
    page.keyboard().press("Control+a");
    assertThat(page.getByText("2 views are chosen")).isVisible();
    button("Move to the bin").click();
    assertThat(page.getByText("2 views are in the bin")).isVisible();
    button("Undo").click();
    assertThat(names).hasText(new String[] {"New view", "View 1"});
  }
}
