package illuminar.journeys;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import illuminar.server.TestServer;
import java.nio.file.Path;
import java.util.regex.Pattern;

/**
 * Takes the pictures in docs/screenshots from the demo shoot. No test; run by {@code ./illuminar
 * pictures}.
 */
public final class Pictures {
  private final Page page;
  private final Shots shots;

  private final String url;

  private Pictures(Page page, Path folder, String url) {
    this.page = page;
    this.url = url;
    shots = new Shots(page, folder);
  }

  public static void main(String[] args) {
    System.setProperty("illuminar.worked", args[2]);
    try (TestServer server = new TestServer("pictures", Path.of(args[0]));
        Chromium chromium = new Chromium()) {
      Page page = chromium.page();
      page.setDefaultTimeout(60_000);
      page.navigate(server.url());
      new Pictures(page, Path.of(args[1]), server.url()).take();
    }
  }

  private void take() {
    Chromium.signIn(page);
    shots.link("Fennick Weather House").waitFor();
    // a shoot without views leads to its intake
    while (shots.link("Fennick Weather House").getAttribute("href").endsWith("/intake")) {
      page.waitForTimeout(2000);
      page.reload();
      shots.link("Fennick Weather House").waitFor();
    }
    shots.link("Fennick Weather House").click();
    page.waitForURL(Pattern.compile("/shoots/[0-9a-f-]+$"));
    // the last view of the demo appears when all before it have a first version
    page.getByLabel("Open Front at dusk").waitFor(new Locator.WaitForOptions().setTimeout(240_000));
    shots.idle();
    shots.link("Shoots").click();
    page.waitForURL(Pattern.compile("/shoots$"));
    shots.rest();
    shots.keep("shoots");
    intake();
    contacts();
    StudioPictures studio = new StudioPictures(page, shots);
    String shoot = id("s => s.name === 'Fennick Weather House'", "s => s.id");
    studio.cover(
        shoot, id("s => true", "s => s.views.find(v => v.name === 'Yard wall at noon').id"), url);
    carry();
    frames();
    bench();
    table();
    compare();
    mend();
    board();
    shots.link("Fennick Weather House").click();
    page.waitForURL(Pattern.compile("/shoots/[0-9a-f-]+$"));
    shots.link("Surfaces").click();
    shots.button("Find white walls").click();
    page.getByText("Shared surfaces lie within").waitFor();
    shots.button("Level the set").click();
    page.getByText("Levelled with the set").waitFor();
    page.getByTestId("job").first().waitFor();
    shots.idle();
    shots.rest();
    shots.keep("surfaces");
    shots.link("Fennick Weather House").click();
    shots.link("Pre-flight").click();
    shots.button("Look over \\d views").click();
    page.getByText("Look over again").waitFor(new Locator.WaitForOptions().setTimeout(240_000));
    shots.keep("pre-flight");
    shots.link("Deliver").click();
    for (int i = 1; i < 7; i++) {
      page.locator("section").first().getByRole(AriaRole.CHECKBOX).nth(i).uncheck();
    }
    shots.button("Deliver 2 files").click();
    page.getByText("Instrument-room.jpg").waitFor();
    shots.keep("delivery");
    studio.judged(shoot, url);
    new GuidePictures(page, Path.of("web/public/guide"), url).take();
  }

  private String id(String which, String what) {
    return (String)
        page.evaluate(
            "async () => (await (await fetch('/api/shoots')).json()).filter("
                + which
                + ").map("
                + what
                + ")[0]");
  }

  private void intake() {
    shots.link("Intake").click();
    page.getByTestId("card-frame").first().waitFor();
    page.getByLabel("Name of the view").nth(3).fill("Yard wall at noon");
    page.getByLabel("Name of the view").nth(4).fill("Stair hall");
    page.getByLabel("Name of the view").nth(6).fill("Kitchen");
    page.mouse().move(5, 5);
    page.mouse().wheel(0, -9000);
    shots.rest();
    shots.keep("intake");
    shots.button("Take in .* as .*").click();
    page.waitForURL(Pattern.compile("/shoots/[0-9a-f-]+$"));
  }

  private void contacts() {
    page.getByLabel("Open Stair hall").waitFor();
    shots.idle();
    page.mouse().move(5, 5);
    shots.rest();
    shots.keep("contact-table");
  }

  /** The worked room's tones and colours, as other views would look with them. */
  private void carry() {
    page.getByLabel("More about Long table room").click();
    page.getByText("Carry over …").click();
    page.getByAltText("Dormer room as it will be").waitFor();
    page.getByAltText("Instrument room as it will be").waitFor();
    shots.rest();
    shots.keep("carry-over");
    shots.link("Fennick Weather House").click();
    page.waitForURL(Pattern.compile("/shoots/[0-9a-f-]+$"));
  }

  private void frames() {
    page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Frames").setExact(true))
        .click();
    page.getByLabel("Choose FWH_0117.JPG").click();
    page.keyboard().down("Shift");
    page.getByLabel("Choose FWH_0119.JPG").click();
    page.keyboard().up("Shift");
    shots.rest();
    shots.images();
    shots.keep("frames");
    page.goBack();
    page.getByLabel("Open Stair hall").waitFor();
    shots.rest();
  }

  private void bench() {
    shots.picture(() -> page.getByLabel("Open Instrument room").click());
    BoundingBox stage = page.getByTestId("stage").boundingBox();
    for (double across : new double[] {0.30, 0.69}) {
      page.keyboard().press("p");
      page.mouse().click(stage.x + stage.width * across, stage.y + stage.height * 0.40);
    }
    page.mouse().move(stage.x + stage.width * 0.5, stage.y + stage.height * 0.2);
    shots.rest();
    shots.keep("bench");
    page.keyboard().press("3");
    shots.open(shots.passes("show-view").first());
    shots.rest();
    shots.keep("bench-windows");
  }

  /** The Long table room: its ground against how it is now. */
  private void compare() {
    shots.link("Fennick Weather House").click();
    shots.picture(() -> page.getByLabel("Open Long table room").click());
    page.navigate(page.url() + "/compare");
    page.getByAltText("As it is now").waitFor();
    shots.images();
    page.mouse().move(560, 400);
    page.getByText("As it is now: L*").waitFor();
    shots.keep("compare");
  }

  /** The Long table room: a region of several kinds of part, then the lights taken apart. */
  private void table() {
    shots.link("Fennick Weather House").click();
    shots.picture(() -> page.getByLabel("Open Long table room").click());
    page.keyboard().press("n");
    page.getByLabel("Name of the region").fill("Near pendant");
    page.keyboard().press("Tab");
    page.evaluate("() => document.activeElement.blur()");
    BoundingBox stage = page.getByTestId("stage").boundingBox();
    page.keyboard().press("e");
    shots.drag(stage, 0.463, 0.13, 0.545, 0.225);
    shots.button("takes away").click();
    page.keyboard().press("r");
    shots.drag(stage, 0.463, 0.07, 0.463, 0.115);
    shots.button("overlaps").click();
    shots.button("Find by tone, light or movement").click();
    page.getByText("Tone band", new Page.GetByTextOptions().setExact(true)).last().click();
    page.getByLabel("Part 1: Ellipse").click();
    page.getByLabel("Softness, number").fill("70");
    page.keyboard().press("Enter");
    page.mouse().move(5, 5);
    shots.rest();
    shots.keep("bench-regions");
    page.getByLabel("Leave the region").click();
    page.keyboard().press("Escape");
    page.keyboard().press("4");
    shots.open(shots.passes("mix-light").last());
    page.mouse().move(5, 5);
    shots.rest();
    shots.keep("bench-lights");
  }

  /** The Yard wall and its paving out of the shadow, without the can on the bench. */
  private void mend() {
    shots.link("Fennick Weather House").click();
    shots.picture(() -> page.getByLabel("Open Yard wall at noon").click());
    page.keyboard().press("9");
    lift(-0.005, 0.287, 0.66, 0.287, 0.705, 0.5, 0.705, 0.773, -0.005, 0.773, -0.005, 0.287);
    lift(-0.005, 0.773, 0.72, 0.773, 0.72, 1.005, -0.005, 1.005, -0.005, 0.773);
    shots.add("Heal");
    shots.rest();
    shots.drag(page.getByTestId("stage").boundingBox(), 0.13, 0.667, 0.172, 0.667);
    leaveRegion();
    page.mouse().move(5, 5);
    shots.rest();
    shots.keep("bench-mend");
  }

  /** Loops a shadow, by fractions of the picture. */
  private void lift(double... places) {
    shots.add("Lift a hard shadow");
    shots.rest();
    BoundingBox stage = page.getByTestId("stage").boundingBox();
    double wide = stage.width - 36;
    double left = stage.x + 18;
    double top = stage.y + (stage.height - wide * 2 / 3) / 2;
    for (int i = 0; i < places.length; i += 2) {
      page.mouse().move(left + wide * places[i], top + wide * 2 / 3 * places[i + 1]);
      if (i == 0) {
        page.mouse().down();
      }
    }
    shots.picture(() -> page.mouse().up());
    shots.rest();
    leaveRegion();
  }

  /** Tool, part, sheet, pass and region are let go of one after the other. */
  private void leaveRegion() {
    for (int k = 0; k < 5; k++) {
      page.keyboard().press("Escape");
    }
    page.keyboard().press("9");
  }

  /** The facade at dusk set upright and cut, and places of it brought to one of them. */
  private void board() {
    shots.link("Fennick Weather House").click();
    shots.picture(() -> page.getByLabel("Open Front at dusk").click());
    page.keyboard().press("0");
    shots.picture(() -> shots.button("Crop").click());
    page.mouse().move(5, 5);
    shots.rest();
    shots.keep("bench-crop");
    shots.picture(() -> shots.button("Crop").click());
    BoundingBox stage = page.getByTestId("stage").boundingBox();
    for (double across : new double[] {0.30, 0.52, 0.71}) {
      page.keyboard().press("p");
      page.mouse().click(stage.x + stage.width * across, stage.y + stage.height * 0.36);
    }
    page.keyboard().press("t");
    shots.rest();
    page.getByLabel("Choose probe 3").check();
    page.waitForTimeout(1500);
    shots.button("Bring probe 3 to the reference").click();
    page.getByTestId("pass").last().waitFor();
    page.waitForTimeout(6000);
    page.keyboard().press("Escape");
    page.keyboard().press("8");
    shots.rest();
    shots.keep("balance-board");
    page.keyboard().press("t");
  }
}
