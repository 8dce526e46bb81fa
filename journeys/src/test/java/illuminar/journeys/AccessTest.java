package illuminar.journeys;

import static org.assertj.core.api.Assertions.assertThat;

import com.deque.html.axecore.playwright.AxeBuilder;
import com.deque.html.axecore.results.Rule;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

/**
 * Every screen and state without a violation of the rules of axe-core (WCAG 2.2, best practice).
 */
class AccessTest {
  private static Bench bench;
  private static Page page;
  private final List<String> violations = new ArrayList<>();

  @BeforeAll
  static void begin() {
    bench = new Bench("access_test", "Instrument room");
    page = bench.page;
  }

  @AfterAll
  static void end() {
    bench.close();
  }

  /** Looks a screen over. */
  private void look(String state) {
    page.waitForTimeout(300);
    for (Rule rule : new AxeBuilder(page).analyze().getViolations()) {
      rule.getNodes()
          .forEach(n -> violations.add(state + ": " + rule.getId() + " at " + n.getTarget()));
    }
  }

  @Test
  void theBenchInAllItsStates() {
    page = bench.begin(Bench.FIRST_VERSION);
    for (String stage :
        List.of(
            "All", "Frames", "Ground", "Windows", "Lights", "Tone", "Colour", "Air", "Balance",
            "Mend", "Finish")) {
      bench.open(stage);
      look(stage);
    }
    bench.open("Mend");
    bench.button("Look for dust").click();
    page.locator("[data-speck]").first().or(page.getByText("looks like dust")).first().waitFor();
    look("likely dust");
    page.keyboard().press("Escape");
    bench.open("Windows");
    bench.choose(bench.passes("show-view"));
    look("an open pass");
    bench.passes("show-view").getByLabel(Pattern.compile("^Region: ")).click();
    look("a word's menu");
    page.keyboard().press("Escape");
    bench.button("Add …").click();
    look("what can be added");
    page.keyboard().press("Escape");
    bench.add("Curve", "curve");
    look("a curve");
    bench.passes("curve").last().getByLabel(Pattern.compile("^Gate: ")).click();
    look("a gate");
    page.keyboard().press("Escape");
    bench.ellipse(0.4, 0.4, 0.5, 0.5);
    look("a region's sheet");
    page.keyboard().press("k");
    look("the brush");
    bench.button("Find by tone, light or movement").click();
    bench.item("Tone band").click();
    look("a tone band");
    page.keyboard().press("Escape");
    bench.button("History").click();
    look("history");
    page.keyboard().press("Escape");
    page.keyboard().press("w");
    look("wipe");
    page.keyboard().press("w");
    look("side by side");
    page.keyboard().press("w");
    page.keyboard().press("h");
    page.getByTestId("watch-mark").or(page.getByText("No halo, no mud")).first().waitFor();
    look("watch");
    page.keyboard().press("h");
    page.keyboard().press("p");
    bench.click(0.3, 0.3);
    page.keyboard().press("t");
    look("balance board");
    page.keyboard().press("t");
    page.keyboard().press("?");
    look("keys");
    page.keyboard().press("Escape");
    assertThat(violations).isEmpty();
  }

  @Test
  void theScreensAroundIt() {
    page = bench.begin(Bench.FIRST_VERSION);
    String carry = page.url() + "/carry";
    page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Deliver")).click();
    page.getByLabel("Copyright").waitFor();
    look("delivery");
    page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Fennick Weather House"))
        .click();
    page.getByLabel("Open Instrument room").waitFor();
    look("contact table");
    page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Pre-flight")).click();
    bench.button("Look over 1 view").click();
    page.getByText("Look over again").waitFor();
    look("pre-flight");
    page.goBack();
    page.navigate(page.url() + "/surfaces");
    page.getByText("No surface has the same name").waitFor();
    look("surfaces");
    page.goBack();
    String table = page.url();
    page.navigate(carry.replace("/carry", "/compare"));
    page.getByAltText("As it is now").waitFor();
    look("compare");
    page.navigate(carry);
    page.getByText("There is no other view").waitFor();
    look("carry over");
    secondLook(table);
    page.navigate(table + "/cover");
    bench.button("Make a new cover").click();
    page.locator("[data-testid=cover] img").waitFor();
    page.getByLabel("Shadow, as the sun of the picture throws it").click();
    look("cover");
    page.navigate(table);
    page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Frames").setExact(true))
        .click();
    page.getByLabel(Pattern.compile("^Choose FWH_")).first().waitFor();
    look("frames");
    page.goBack();
    page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Intake")).click();
    page.getByLabel("Name of the view").waitFor();
    look("intake");
    page.navigate(bench.url() + "/shoots");
    page.getByText("New shoot").waitFor();
    look("shoots");
    for (String place :
        List.of("/bin", "/account", "/people", "/house-style", "/guide", "/no/such/place")) {
      page.navigate(bench.url() + place);
      page.waitForTimeout(1500);
      look(place);
    }
    page.context().clearCookies();
    page.navigate(bench.url() + "/shoots");
    page.getByLabel("Password").waitFor();
    look("sign-in");
    Chromium.signIn(page);
    page.getByText("New shoot").waitFor();
    assertThat(violations).isEmpty();
  }

  private void secondLook(String table) {
    page.navigate(table);
    page.getByLabel("More about Instrument room").click();
    page.getByRole(AriaRole.MENUITEM, new Page.GetByRoleOptions().setName("Let it rest …")).click();
    look("rest");
    bench.button("Let Instrument room rest").click();
    page.getByText("rests until").waitFor();
    page.navigate(bench.url() + "/second-look");
    bench.button("Look at it now").click();
    page.getByAltText("Instrument room").waitFor();
    look("second look");
    page.keyboard().press("Escape");
  }
}
