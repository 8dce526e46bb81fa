package illuminar.journeys;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import illuminar.server.TestServer;
import java.nio.file.Path;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.regex.Pattern;
import java.util.stream.IntStream;

/**
 * Takes the pictures in docs/screenshots from the demo shoot. No test; run by {@code ./illuminar
 * pictures}.
 */
public final class Pictures {
  private final Page page;
  private final Path folder;

  private Pictures(Page page, Path folder) {
    this.page = page;
    this.folder = folder;
  }

  public static void main(String[] args) {
    System.setProperty("illuminar.worked", args[2]);
    try (TestServer server = new TestServer("pictures", Path.of(args[0]));
        Chromium chromium = new Chromium()) {
      Page page = chromium.page();
      page.setDefaultTimeout(60_000);
      page.navigate(server.url());
      new Pictures(page, Path.of(args[1])).take();
    }
  }

  private void take() {
    Chromium.signIn(page);
    link("Fennick Weather House").waitFor();
    // a shoot without views leads to its intake
    while (link("Fennick Weather House").getAttribute("href").endsWith("/intake")) {
      page.waitForTimeout(2000);
      page.reload();
      link("Fennick Weather House").waitFor();
    }
    link("Fennick Weather House").click();
    page.waitForURL(Pattern.compile("/shoots/[0-9a-f-]+$"));
    // the last view of the demo appears when all before it have a first version
    page.getByLabel("Open Front at dusk").waitFor(new Locator.WaitForOptions().setTimeout(240_000));
    idle();
    link("Shoots").click();
    page.waitForURL(Pattern.compile("/shoots$"));
    rest();
    keep("shoots");
    intake();
    contacts();
    frames();
    bench();
    table();
    dormer();
    board();
    link("Fennick Weather House").click();
    page.waitForURL(Pattern.compile("/shoots/[0-9a-f-]+$"));
    link("Deliver").click();
    for (int i = 1; i < 7; i++) {
      page.locator("section").first().getByRole(AriaRole.CHECKBOX).nth(i).uncheck();
    }
    button("Deliver 2 files").click();
    page.getByText("Instrument-room.tif").waitFor();
    keep("delivery");
    sending();
    bin();
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
    rest();
    keep("sending");
    page.unroute("**/api/shoots/*/uploads");
  }

  private void account() {
    page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("All shoots")).click();
    page.getByLabel("Account").click();
    page.getByText("Make a link").click();
    page.getByText("Withdraw").waitFor();
    keep("account");
  }

  private void bin() {
    toShoots("Mill cottage");
    link("All shoots").click();
    for (String name : new String[] {"Mill cottage", "Lower lodge"}) {
      page.getByLabel("More about " + name).click();
      page.getByText("Move to the bin").click();
      page.getByText(name + " is in the bin").waitFor();
    }
    link("Bin").click();
    page.getByText("Bring back").first().waitFor();
    rest();
    keep("bin");
  }

  private void toShoots(String name) {
    link("All shoots").click();
    page.getByLabel("Property or commission").fill(name);
    page.keyboard().press("Enter");
    page.waitForURL(Pattern.compile("/intake$"));
  }

  /** No job runs any more. */
  private void idle() {
    page.waitForFunction("() => !document.querySelector('[data-testid=job][data-state=RUNNING]')");
  }

  private void intake() {
    link("Intake").click();
    page.getByTestId("card-frame").first().waitFor();
    page.getByLabel("Name of the view").nth(3).fill("Yard wall at noon");
    page.getByLabel("Name of the view").nth(4).fill("Stair hall");
    page.mouse().move(5, 5);
    page.mouse().wheel(0, -9000);
    rest();
    keep("intake");
    button("Take in .* as .*").click();
    page.waitForURL(Pattern.compile("/shoots/[0-9a-f-]+$"));
  }

  private void contacts() {
    page.getByLabel("Open Stair hall").waitFor();
    idle();
    page.mouse().move(5, 5);
    rest();
    keep("contact-table");
  }

  private void frames() {
    page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Frames").setExact(true))
        .click();
    page.getByLabel("Choose FWH_0117.JPG").click();
    page.keyboard().down("Shift");
    page.getByLabel("Choose FWH_0119.JPG").click();
    page.keyboard().up("Shift");
    rest();
    keep("frames");
    page.goBack();
    page.getByLabel("Open Stair hall").waitFor();
    rest();
  }

  private void bench() {
    picture(() -> page.getByLabel("Open Instrument room").click());
    BoundingBox stage = page.getByTestId("stage").boundingBox();
    for (double across : new double[] {0.30, 0.69}) {
      page.keyboard().press("p");
      page.mouse().click(stage.x + stage.width * across, stage.y + stage.height * 0.40);
    }
    page.mouse().move(stage.x + stage.width * 0.5, stage.y + stage.height * 0.2);
    rest();
    keep("bench-ground");
    button("Region Window panes").click();
    passes("show-view").first().click(new Locator.ClickOptions().setPosition(30, 12));
    rest();
    keep("bench-windows");
    page.evaluate("() => document.activeElement.blur()");
    page.keyboard().down("b");
    rest();
    keep("bench-windows-before");
    page.keyboard().up("b");
  }

  /** The Dormer room: a curve over the tones, and the haze of its view. */
  private void dormer() {
    link("Fennick Weather House").click();
    picture(() -> page.getByLabel("Open Dormer room").click());
    page.evaluate("() => document.getElementById('stage-5').scrollIntoView()");
    picture(() -> button("(Curve|Another: curve)").click());
    page.getByRole(AriaRole.SLIDER, new Page.GetByRoleOptions().setName("Curve point 2")).focus();
    for (int k = 0; k < 6; k++) {
      page.keyboard().press("ArrowDown");
    }
    rest();
    page.mouse().move(5, 5);
    keep("bench-tone");
    button("Region Window panes").click();
    picture(() -> button("Clear haze").click());
    page.getByLabel("Amount, number").last().fill("80");
    picture(() -> page.keyboard().press("Enter"));
    page.getByLabel("Leave the region").click();
    button("Haze map").click();
    page.getByAltText("Haze map").waitFor();
    page.evaluate("() => document.getElementById('stage-7').scrollIntoView()");
    page.mouse().move(5, 5);
    rest();
    keep("air");
    button("Haze map").click();
  }

  /** The Long table room: a region of several kinds of part, then the lights taken apart. */
  private void table() {
    link("Fennick Weather House").click();
    picture(() -> page.getByLabel("Open Long table room").click());
    page.keyboard().press("n");
    page.getByLabel("Name of the region").fill("Near pendant");
    page.keyboard().press("Tab");
    page.evaluate("() => document.activeElement.blur()");
    BoundingBox stage = page.getByTestId("stage").boundingBox();
    page.keyboard().press("e");
    drag(stage, 0.463, 0.13, 0.545, 0.225);
    button("takes away").click();
    page.keyboard().press("r");
    drag(stage, 0.463, 0.07, 0.463, 0.115);
    button("overlaps").click();
    button("Find by tone, light or movement").click();
    page.getByText("Tone band", new Page.GetByTextOptions().setExact(true)).last().click();
    page.getByLabel("Part 1: Ellipse").click();
    page.getByLabel("Softness, number").fill("70");
    page.keyboard().press("Enter");
    page.mouse().move(5, 5);
    rest();
    keep("bench-regions");
    page.getByLabel("Leave the region").click();
    page.keyboard().press("Escape");
    page.evaluate("() => document.getElementById('stage-3').scrollIntoView()");
    passes("mix-light").last().click(new Locator.ClickOptions().setPosition(30, 12));
    page.mouse().move(5, 5);
    rest();
    keep("bench-lights");
    page.evaluate("() => document.activeElement.blur()");
    page.keyboard().press("h");
    page.getByTestId("watch-mark").first().waitFor();
    rest();
    keep("bench-watch");
    page.keyboard().press("h");
    page.evaluate("() => document.getElementById('stage-6').scrollIntoView()");
    button("Cast map").click();
    page.getByAltText("Cast map").waitFor();
    page.mouse().move(5, 5);
    rest();
    page.waitForTimeout(2500);
    keep("cast-map");
    button("Cast map").click();
  }

  /** Places of the facade at dusk brought to one of them. */
  private void board() {
    link("Fennick Weather House").click();
    picture(() -> page.getByLabel("Open Front at dusk").click());
    BoundingBox stage = page.getByTestId("stage").boundingBox();
    for (double across : new double[] {0.30, 0.52, 0.71}) {
      page.keyboard().press("p");
      page.mouse().click(stage.x + stage.width * across, stage.y + stage.height * 0.36);
    }
    page.keyboard().press("t");
    rest();
    page.getByLabel("Choose probe 3").check();
    page.waitForTimeout(1500);
    button("Bring to reference").click();
    page.getByTestId("pass").last().waitFor();
    page.waitForTimeout(6000);
    page.keyboard().press("Escape");
    page.evaluate("() => document.getElementById('stage-8').scrollIntoView()");
    rest();
    keep("balance-board");
    page.keyboard().press("t");
  }

  private Locator passes(String kind) {
    return page.locator("[data-testid=pass][data-kind=" + kind + "]");
  }

  private void drag(BoundingBox stage, double x0, double y0, double x1, double y1) {
    page.mouse().move(stage.x + stage.width * x0, stage.y + stage.height * y0);
    page.mouse().down();
    page.mouse()
        .move(
            stage.x + stage.width * x1,
            stage.y + stage.height * y1,
            new com.microsoft.playwright.Mouse.MoveOptions().setSteps(6));
    page.mouse().up();
    rest();
  }

  private Locator link(String name) {
    return page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(name)).first();
  }

  private Locator button(String pattern) {
    return page.getByRole(
            AriaRole.BUTTON,
            new Page.GetByRoleOptions().setName(Pattern.compile("^" + pattern + "$")))
        .first();
  }

  /** Does something and waits for the picture that it leads to. */
  private void picture(Runnable act) {
    String count = "() => Number(document.documentElement.dataset.pictures ?? 0)";
    int before = ((Number) page.evaluate(count)).intValue();
    act.run();
    page.waitForFunction(
        "n => Number(document.documentElement.dataset.pictures ?? 0) > n"
            + " && document.documentElement.dataset.sharp === 'true'",
        before);
  }

  /** Overlays and saved state come back when nothing moves any more. */
  private void rest() {
    page.waitForLoadState(com.microsoft.playwright.options.LoadState.NETWORKIDLE);
    page.waitForTimeout(700);
  }

  private void keep(String name) {
    page.screenshot(new Page.ScreenshotOptions().setPath(folder.resolve(name + ".png")));
  }
}
