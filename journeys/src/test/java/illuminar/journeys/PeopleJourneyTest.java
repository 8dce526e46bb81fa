package illuminar.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

/** An owner invites a colleague, who joins, works, and becomes an editor. */
class PeopleJourneyTest {
  private static Entered entered;
  private static Page owner;

  @BeforeAll
  static void open() throws IOException {
    entered = new Entered("people_journey_test");
    owner = entered.page;
  }

  @AfterAll
  static void end() {
    entered.close();
  }

  private static void type(Page page, String label, String text) {
    page.getByLabel(label).fill(text);
  }

  private static void enter(Page page, String password) {
    type(page, "E-mail", "colleague@illuminar.test");
    type(page, "Password", password);
    page.keyboard().press("Enter");
  }

  @Test
  void aColleagueIsInvitedJoinsAndBecomesAnEditor() {
    owner.getByLabel("Account").click();
    owner.getByText("Make a link").click();
    String link = owner.getByLabel("Send this link").inputValue();
    Page colleague = entered.chromium.page();
    colleague.navigate(link);
    assertThat(colleague.getByText("invites you to Heathlight Studio, as photographer"))
        .isVisible();
    type(colleague, "Your name", "Colleague");
    enter(colleague, "a long enough secret");
    assertThat(colleague.getByText("New shoot")).isVisible();

    owner.reload();
    assertThat(owner.getByText("Colleague joined as photographer")).isVisible();
    owner
        .getByRole(AriaRole.COMBOBOX, new Page.GetByRoleOptions().setName("Role of Colleague"))
        .click();
    owner
        .getByRole(AriaRole.OPTION, new Page.GetByRoleOptions().setName(Pattern.compile("^Editor")))
        .click();
    assertThat(owner.getByText("made Colleague editor")).isVisible();

    colleague.reload();
    enter(colleague, "a long enough secret");
    assertThat(colleague.getByText("Fennick Weather House")).isVisible();
    assertThat(colleague.getByText("New shoot")).isHidden();

    colleague.getByLabel("Account").click();
    type(colleague, "Password so far", "a long enough secret");
    type(colleague, "New password", "another long secret");
    colleague.getByText("Change password").click();
    assertThat(colleague.getByRole(AriaRole.STATUS)).hasText("Changed.");
    colleague.getByText("Sign out everywhere").last().click();
    enter(colleague, "another long secret");
    assertThat(colleague.getByText("Fennick Weather House")).isVisible();
    colleague.navigate(link);
    assertThat(colleague.getByText("This invitation was used")).isVisible();
  }
}
