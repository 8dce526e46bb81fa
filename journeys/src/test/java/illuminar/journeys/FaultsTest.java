package illuminar.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.WaitForSelectorState;
import java.util.List;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Double clicks, lost connections and sessions: nothing is lost, everything is said. */
class FaultsTest {
  private static Bench bench;
  private static Page page;

  @BeforeAll
  static void open() {
    bench = new Bench("faults_test", "Instrument room");
  }

  @AfterAll
  static void end() {
    bench.close();
  }

  @BeforeEach
  void windowsAlone() {
    page = bench.begin(Bench.WINDOWS);
  }

  @Test
  void aDoubleClickAddsOnePass() {
    bench.open("Tone");
    bench.button("Add …").click();
    bench.item("Tone").dblclick();
    assertThat(bench.passes("tone")).hasCount(1);
    assertThat(bench.saved()).containsText("Saved");
    bench.reload();
    assertThat(bench.passes("tone")).hasCount(1);
  }

  @Test
  void aDoubleClickMakesOneShoot() {
    page.navigate(bench.url() + "/shoots");
    int before = page.getByRole(AriaRole.ARTICLE).count();
    page.getByLabel("Property or commission").fill("Mill house");
    bench.button("Create, then add frames").dblclick();
    page.waitForURL(Pattern.compile("/intake$"));
    page.navigate(bench.url() + "/shoots");
    page.getByRole(AriaRole.ARTICLE).filter(named("Mill house")).first().waitFor();
    assertThat(page.getByRole(AriaRole.ARTICLE).filter(named("Mill house"))).hasCount(1);
    assertThat(page.getByRole(AriaRole.ARTICLE).count()).isGreaterThanOrEqualTo(before);
  }

  private static Locator.FilterOptions named(String text) {
    return new Locator.FilterOptions().setHasText(text);
  }

  @Test
  void aDoubleClickDeliversOnce() {
    AtomicInteger orders = new AtomicInteger();
    page.route(
        "**/delivery",
        route -> {
          if (route.request().method().equals("POST")) {
            orders.incrementAndGet();
          }
          route.resume();
        });
    page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Deliver")).click();
    // the studio's own line, not the demo's
    assertThat(page.getByLabel("Copyright")).hasValue("© 2026 Heathlight Studio");
    bench.button("Deliver 2 files").dblclick();
    page.getByText("Instrument-room.jpg").first().waitFor();
    assertThat(orders).hasValue(1);
  }

  /** A step that the server refuses is taken back on screen, and what comes later is kept. */
  @Test
  void aRefusedStepIsTakenBackAndLaterOnesAreKept() {
    bench.add("Tone", "tone");
    assertThat(bench.saved()).containsText("Saved");
    page.route(
        "**/recipe",
        route -> {
          if (route.request().method().equals("PUT")) {
            route.fulfill(
                new Route.FulfillOptions()
                    .setStatus(422)
                    .setContentType("application/problem+json")
                    .setBody("{\"detail\":\"Exposure goes from −5 to 5 st.\"}"));
          } else {
            route.resume();
          }
        });
    bench.set("Exposure", "1");
    assertThat(page.getByText("Taken back: Exposure goes from −5 to 5 st.")).isVisible();
    assertThat(bench.number("Exposure")).hasValue("0.00 st");
    page.unroute("**/recipe");
    bench.set("Contrast", "20");
    assertThat(bench.saved()).containsText("Saved");
    bench.reload();
    assertThat(bench.passes("tone")).containsText("contrast 20 higher");
  }

  /** Out of reach: it is said, it is tried again, and nothing of it is lost. */
  @Test
  void whatIsDoneWithoutTheServerIsKeptLater() {
    bench.add("Tone", "tone");
    assertThat(bench.saved()).containsText("Saved");
    page.route("**/recipe", Route::abort);
    bench.set("Exposure", "0.7");
    assertThat(bench.saved()).containsText("Not saved yet; trying again");
    page.unroute("**/recipe");
    assertThat(bench.saved()).containsText("Saved, revision");
    bench.reload();
    assertThat(bench.passes("tone")).containsText("0.7 stops brighter");
  }

  /** A session that ran out leads to sign-in on the spot; what was just done is kept after it. */
  @Test
  void aSessionThatRanOutIsBegunAgainOnTheSpot() {
    bench.add("Tone", "tone");
    assertThat(bench.saved()).containsText("Saved");
    page.context().clearCookies();
    bench.set("Exposure", "0.3");
    Locator again =
        page.getByRole(AriaRole.DIALOG, new Page.GetByRoleOptions().setName("Sign in again"));
    again.waitFor();
    again.getByLabel("E-mail").fill("demo@illuminar.test");
    again.getByLabel("Password").fill("heather");
    page.keyboard().press("Enter");
    again.waitFor(new Locator.WaitForOptions().setState(WaitForSelectorState.HIDDEN));
    assertThat(bench.saved()).containsText("Saved, revision");
    bench.reload();
    assertThat(bench.passes("tone")).containsText("0.3 stops brighter");
  }

  /** An answer that nobody expected leaves a screen that says so, not a blank one. */
  @Test
  void anUnexpectedAnswerLeavesNoBlankScreen() {
    page.route(
        Pattern.compile("/api/shoots$"),
        route ->
            route.fulfill(
                new Route.FulfillOptions().setContentType("application/json").setBody("[null]")));
    page.navigate(bench.url() + "/shoots");
    assertThat(page.getByRole(AriaRole.ALERT)).containsText("Something went wrong on this screen");
    assertThat(bench.button("Load the page again")).isVisible();
  }

  @Test
  void whatIsNotThereSaysSo() {
    page.navigate(bench.url() + "/views/00000000-0000-0000-0000-000000000000");
    assertThat(page.getByText("There is no such view.")).isVisible();
    page.navigate(bench.url() + "/no/such/place");
    assertThat(page.getByText("There is nothing at this address.")).isVisible();
    page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Go to the shoots")).click();
    page.getByText("New shoot").waitFor();
  }

  /** Letters typed into an open menu choose in the menu; they are no keys of the bench. */
  @Test
  void keysStayOutOfOpenMenus() {
    assertThat(bench.button("Zebra")).hasAttribute("aria-pressed", "false");
    bench.button("Surround").click();
    bench.item("Mid grey").waitFor();
    page.keyboard().press("z");
    page.keyboard().press("Escape");
    assertThat(bench.button("Zebra")).hasAttribute("aria-pressed", "false");
    page.keyboard().press("z");
    assertThat(bench.button("Zebra")).hasAttribute("aria-pressed", "true");
  }

  /** A frame is dragged from the ladder onto the picture; a region from the shelf onto a pass. */
  @Test
  void framesAndRegionsAreDraggedToWhereTheyWork() {
    Locator frame =
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("frame −2 alone"));
    drag(frame, page.getByTestId("stage"));
    assertThat(bench.passes("bring-frame")).hasCount(2);
    bench.open("All");
    Locator tone = bench.add("Tone", "tone");
    assertThat(tone).containsText("the whole picture");
    drag(bench.button("Region Window panes"), tone);
    assertThat(tone).containsText("of Window panes");
  }

  private static void drag(Locator from, Locator to) {
    from.scrollIntoViewIfNeeded();
    to.scrollIntoViewIfNeeded();
    var a = from.boundingBox();
    var b = to.boundingBox();
    page.mouse().move(a.x + a.width / 2, a.y + a.height / 2);
    page.mouse().down();
    page.mouse().move(a.x + a.width / 2 + 12, a.y + a.height / 2 + 4);
    page.mouse()
        .move(
            b.x + b.width / 2,
            b.y + b.height / 2,
            new com.microsoft.playwright.Mouse.MoveOptions().setSteps(12));
    page.mouse().up();
  }

  /** Whoever is quicker than the view finds nothing to press yet, not a way to nowhere. */
  @Test
  void deliverLeadsNowhereUntilTheViewHasCome() {
    Pattern sheet = Pattern.compile("/api/views/[0-9a-f-]+$");
    List<Route> held = new CopyOnWriteArrayList<>();
    Page other = page.context().newPage();
    other.route(sheet, held::add);
    other.navigate(page.url());
    assertThat(other.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Deliver")))
        .isDisabled();
    other.waitForCondition(() -> !held.isEmpty());
    held.forEach(Route::resume);
    other.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Deliver")).click();
    other.waitForURL(Pattern.compile("/shoots/[0-9a-f-]+/delivery$"));
    other.close();
  }

  /** A delivery changes the view, not its recipe: an open bench goes on undisturbed. */
  @Test
  void aDeliveryDisturbsNoOpenBench() {
    bench.add("Tone", "tone");
    assertThat(bench.saved()).containsText("Saved");
    Page other = page.context().newPage();
    other.navigate(page.url());
    other.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Deliver")).click();
    other
        .getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Deliver 2 files"))
        .click();
    other.getByText("Instrument-room.jpg").first().waitFor();
    other.waitForFunction("() => document.querySelector('[data-state=DONE]')");
    other.close();
    bench.waitForPicture(() -> bench.set("Exposure", "0.2"));
    assertThat(bench.saved()).containsText("Saved, revision");
    assertThat(page.getByText("Changed in another tab")).hasCount(0);
  }
}
