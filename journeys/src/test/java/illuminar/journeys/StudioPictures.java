package illuminar.journeys;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.nio.file.Path;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.regex.Pattern;
import java.util.stream.IntStream;

/** Pictures of what a studio does beside its views: sending files, its people. */
final class StudioPictures {
  private final Page page;
  private final Shots shots;

  StudioPictures(Page page, Shots shots) {
    this.page = page;
    this.shots = shots;
  }

  void take() {
    sending();
    account();
  }

  /** A shoot of one's own while its files are on their way. */
  private void sending() {
    toShoots("Lower lodge");
    AtomicInteger begun = new AtomicInteger();
    page.route(
        "**/api/shoots/*/uploads",
        r -> {
          if (begun.incrementAndGet() > 5) {
            r.abort();
          } else {
            r.resume();
          }
        });
    page.getByLabel("Files to send")
        .setInputFiles(
            IntStream.rangeClosed(149, 157)
                .mapToObj(i -> Path.of("demo/card/FWH_0" + i + ".JPG"))
                .toArray(Path[]::new));
    page.getByText(Pattern.compile("^5 of 9 files")).waitFor();
    page.getByTestId("card-frame").first().waitFor();
    shots.rest();
    shots.keep("sending");
    page.unroute("**/api/shoots/*/uploads");
  }

  private void account() {
    page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("All shoots")).click();
    page.getByLabel("Account").click();
    page.getByText("Make a link").click();
    page.getByText("Withdraw").waitFor();
    shots.keep("account");
  }

  private void toShoots(String name) {
    shots.link("All shoots").click();
    page.getByLabel("Property or commission").fill(name);
    page.keyboard().press("Enter");
    page.waitForURL(Pattern.compile("/intake$"));
  }
}
