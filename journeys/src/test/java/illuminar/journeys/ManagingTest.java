package illuminar.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

/** Shoots are renamed, thrown away and brought back. */
class ManagingTest {
  private static Entered entered;
  private static Page page;

  @BeforeAll
  static void open() throws IOException {
    entered = new Entered("managing_test");
    page = entered.page;
  }

  @AfterAll
  static void end() {
    entered.close();
  }

  private static Locator button(String name) {
    return entered.button(name + "$");
  }

  private static Locator shoot(String name) {
    return entered.link(name);
  }

  private static void choose(String shoot, String item) {
    page.getByLabel("More about " + shoot).click();
    page.getByRole(AriaRole.MENUITEM, new Page.GetByRoleOptions().setName(item)).click();
  }

  private static void toShoots() {
    page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("All shoots")).click();
  }

  @Test
  void aShootIsRenamedThrownAwayAndBroughtBack() {
    page.getByLabel("Property or commission").fill("Mill hose");
    page.keyboard().press("Enter");
    page.waitForURL(Pattern.compile("/intake$"));
    toShoots();
    choose("Mill hose", "Rename");
    page.getByLabel("Name", new Page.GetByLabelOptions().setExact(true)).fill("Mill house");
    page.keyboard().press("Enter");
    assertThat(shoot("Mill house")).isVisible();
    choose("Mill house", "Move to the bin");
    assertThat(shoot("Mill house")).isHidden();
    button("Undo").click();
    assertThat(shoot("Mill house")).isVisible();
    choose("Mill house", "Move to the bin");
    assertThat(shoot("Mill house")).isHidden();
    page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Bin")).click();
    assertThat(page.getByText("A shoot of 0 views")).isVisible();
    button("Bring back").click();
    assertThat(page.getByText("The bin is empty.")).isVisible();
    toShoots();
    choose("Mill house", "Move to the bin");
    page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Bin")).click();
    button("Delete now").click();
    button("Delete for good").click();
    assertThat(page.getByText("The bin is empty.")).isVisible();
  }
}
