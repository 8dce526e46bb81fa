package illuminar.journeys;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;

/** Pictures of what a studio does beside its views: its people. */
final class StudioPictures {
  private final Page page;
  private final Shots shots;

  StudioPictures(Page page, Shots shots) {
    this.page = page;
    this.shots = shots;
  }

  void take() {
    account();
  }

  private void account() {
    page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("All shoots")).click();
    page.getByLabel("Account").click();
    page.getByText("Make a link").click();
    page.getByText("Withdraw").waitFor();
    shots.keep("account");
  }
}
