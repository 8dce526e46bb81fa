package illuminar.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.LocatorAssertions;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import illuminar.files.PictureReader;
import illuminar.server.TestServer;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/**
 * The whole story in headless Chromium, by mouse and by keyboard: card, bench, delivery, reload.
 */
class StoryTest {
  private static final double PATIENCE = 60_000;
  private TestServer server;
  private Chromium chromium;
  private BrowserContext context;
  private Page page;

  @BeforeEach
  void begin() {
    server = new TestServer("journey_test");
    chromium = new Chromium();
    page = chromium.page();
    context = page.context();
    PlaywrightAssertions.setDefaultAssertionTimeout(PATIENCE);
    page.setDefaultTimeout(PATIENCE);
  }

  @AfterEach
  void end() {
    chromium.close();
    server.close();
  }

  private Locator button(String name) {
    return page.getByRole(
        AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true));
  }

  private Locator region(String name) {
    return button("Region " + name);
  }

  private Locator slider(String name) {
    return page.getByRole(
        AriaRole.SLIDER, new Page.GetByRoleOptions().setName(name).setExact(true));
  }

  private Locator saved() {
    return page.getByTestId("saved");
  }

  private int pictures() {
    return ((Number) page.evaluate("() => Number(document.documentElement.dataset.pictures ?? 0)"))
        .intValue();
  }

  private void waitForPicture(int after) {
    page.waitForFunction("n => Number(document.documentElement.dataset.pictures ?? 0) > n", after);
  }

  /** Mean grey code of the middle of the stage, as the screen shows it. */
  private double brightness(double fx, double fy) {
    return ((Number)
            page.evaluate(
                "([fx, fy]) => { const c = document.querySelector('[data-testid=stage] canvas');"
                    + " const d = c.getContext('2d').getImageData(c.width * fx - 12, c.height * fy - 12, 24, 24).data;"
                    + " let s = 0; for (let i = 0; i < d.length; i += 4) s += d[i] + d[i+1] + d[i+2];"
                    + " return s / (d.length / 4) / 3; }",
                List.of(fx, fy)))
        .doubleValue();
  }

  /** From the card to a delivered file; each step goes on from the one before. */
  @Test
  void theWholeStory() throws Exception {
    signInAndTakeInTheCard();
    lookAround();
    beforeIsHeldByAKey();
    windowsStandAsBrightAsAsked();
    theWindowRegionIsCorrectedByOutlineAndBrush();
    toneOnTheWholePictureByMouseAndTyping();
    everythingIsThereAfterReload();
    theWipeShowsBothSides();
    anyStepCanBeGoneBackTo();
    probesAreReadAndSurviveReload();
    anotherTabsChangeIsShownNotOverwritten();
    aRegionIsReusedOutside();
    deliverAndDownload();
    whatWasTickedOffStaysOffAndTheShootShowsIt();
    theCardSaysWhatIsHereAlready();
  }

  private void signInAndTakeInTheCard() {
    page.navigate(server.url());
    page.getByLabel("E-mail").fill("demo@illuminar.test");
    page.getByLabel("Password").fill("wrong");
    page.keyboard().press("Enter");
    assertThat(page.getByText("The e-mail or the password is wrong")).isVisible();
    page.getByLabel("Password").fill("heather");
    page.keyboard().press("Enter");
    page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Intake")).click();
    assertThat(page.getByTestId("card-frame")).hasCount(8);
    assertThat(page.getByText("Time line")).isVisible();
    page.getByLabel("Name of the view").fill("Instrument room");
    button("Take in 8 frames as 1 view").click();
    page.waitForURL(Pattern.compile("/shoots/[0-9a-f-]+$"));
    page.getByLabel("Open Instrument room").click();
    waitForPicture(0);
    assertThat(page.getByTestId("histogram")).isVisible();
    assertThat(saved()).hasText("Saved, revision 1");
    // the first version is complete and says why
    for (String kind : new String[] {"show-view", "clear-casts"}) {
      assertThat(page.locator("[data-testid=pass][data-kind=" + kind + "]")).hasCount(1);
    }
    // one for the room and one for its view
    assertThat(page.locator("[data-testid=pass][data-kind=curve]")).hasCount(2);
    page.locator("[data-testid=pass][data-kind=show-view]")
        .click(new Locator.ClickOptions().setPosition(30, 12));
    assertThat(page.getByText(Pattern.compile("The view through .* by one curve"))).isVisible();
    Bench.windowsAlone(page);
    assertThat(page.getByTestId("pass")).hasCount(1);
  }

  private void lookAround() {
    int n = pictures();
    button("1:1").click();
    waitForPicture(n);
    BoundingBox stage = page.getByTestId("stage").boundingBox();
    n = pictures();
    page.mouse().move(stage.x + 300, stage.y + 200);
    page.mouse().down();
    page.mouse().move(stage.x + 260, stage.y + 180);
    page.mouse().up();
    waitForPicture(n);
    page.keyboard().press("f");
    assertThat(page.getByRole(AriaRole.TABLE, new Page.GetByRoleOptions().setName("Readings")))
        .containsText("Pointer");
    Locator dark =
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("frame −4 alone"));
    n = pictures();
    dark.click();
    waitForPicture(n);
    assertThat(page.getByText("FWH_0112.JPG alone")).isVisible();
    n = pictures();
    page.keyboard().press(".");
    waitForPicture(n);
    page.keyboard().press("Escape");
    assertThat(page.getByText("alone, Esc returns")).isHidden();
  }

  private void beforeIsHeldByAKey() {
    beforeIsHeld("Before: the anchor as the camera made it", "b");
    beforeIsHeld("Before: the ground alone", "Shift", "B");
  }

  private void beforeIsHeld(String said, String... keys) {
    int n = pictures();
    for (String k : keys) {
      page.keyboard().down(k);
    }
    assertThat(page.getByText(said)).isVisible();
    waitForPicture(n);
    n = pictures();
    for (String k : keys) {
      page.keyboard().up(k);
    }
    waitForPicture(n);
    assertThat(page.getByText(said)).isHidden();
  }

  /** The camera's picture on the left of a line that is moved by keys, ours on the right. */
  private void theWipeShowsBothSides() {
    double before = brightness(0.5, 0.2);
    page.keyboard().press("w");
    Locator line =
        page.getByRole(
            AriaRole.SLIDER,
            new Page.GetByRoleOptions().setName(Pattern.compile("^Wipe: the camera's picture")));
    line.focus();
    for (int k = 0; k < 10; k++) {
      page.keyboard().press("ArrowRight");
    }
    assertThat(line).hasAttribute("aria-valuenow", "70");
    // left of the line it becomes the camera's
    page.waitForFunction(
        "ours => { const c = document.querySelector('[data-testid=stage] canvas');"
            + " const d = c.getContext('2d').getImageData(c.width / 2 - 12, c.height / 5 - 12, 24, 24).data;"
            + " let s = 0; for (let i = 0; i < d.length; i += 4) s += d[i] + d[i+1] + d[i+2];"
            + " return Math.abs(s / (d.length / 4) / 3 - ours) > 4; }",
        before);
    page.keyboard().press("Escape");
    page.evaluate("() => document.activeElement.blur()");
    page.keyboard().press("w");
    assertThat(line).hasCount(0);
  }

  /** The list of steps, and back to one of them. */
  private void anyStepCanBeGoneBackTo() {
    String revision = saved().textContent();
    button("History").click();
    Locator steps = page.getByRole(AriaRole.MENU, new Page.GetByRoleOptions().setName("History"));
    assertThat(steps).containsText("first version");
    steps
        .getByRole(AriaRole.MENUITEM)
        .filter(new Locator.FilterOptions().setHasText("first version"))
        .click();
    assertThat(saved()).hasText("Saved, revision 1");
    button("History").click();
    steps.getByRole(AriaRole.MENUITEM).first().click();
    assertThat(saved()).hasText(revision);
  }

  private void windowsStandAsBrightAsAsked() {
    page.getByTestId("pass").first().click(new Locator.ClickOptions().setPosition(30, 12));
    Locator over = slider("Over the room");
    over.focus();
    page.keyboard().press("Shift+ArrowRight");
    assertThat(saved()).hasText("Saved, revision 3");
    assertThat(page.getByTestId("pass").first()).containsText("1.4 stops brighter");
    button("Undo").click();
    assertThat(page.getByTestId("pass").first()).containsText("0.9 stops brighter");
    page.keyboard().press("Control+Shift+z");
    assertThat(page.getByTestId("pass").first()).containsText("1.4 stops brighter");
  }

  private void theWindowRegionIsCorrectedByOutlineAndBrush() {
    button("Edit the region").click();
    assertThat(page.getByTestId("part")).hasCount(1);
    page.keyboard().press("o");
    BoundingBox stage = page.getByTestId("stage").boundingBox();
    double[][] points = {{0.2, 0.2}, {0.3, 0.2}, {0.3, 0.32}, {0.2, 0.32}};
    for (double[] p : points) {
      page.mouse().click(stage.x + stage.width * p[0], stage.y + stage.height * p[1]);
    }
    page.keyboard().press("Enter");
    assertThat(page.getByTestId("part")).hasCount(2);
    assertThat(page.getByTestId("outline-point")).hasCount(4);
    page.keyboard().press("k");
    page.keyboard().down("Alt");
    page.mouse().move(stage.x + stage.width * 0.25, stage.y + stage.height * 0.25);
    page.mouse().down();
    page.mouse().move(stage.x + stage.width * 0.27, stage.y + stage.height * 0.27);
    page.mouse().move(stage.x + stage.width * 0.29, stage.y + stage.height * 0.27);
    page.mouse().up();
    page.keyboard().up("Alt");
    assertThat(page.getByTestId("part")).hasCount(3);
    assertThat(page.getByTestId("part").nth(2)).containsText("take away");
    assertThat(page.getByTestId("part").nth(2)).containsText("1 stroke");
    page.keyboard().press("Escape");
    page.keyboard().press("Control+z");
    assertThat(page.getByTestId("part")).hasCount(2);
    page.keyboard().press("Control+z");
    assertThat(page.getByTestId("part")).hasCount(1);
    page.getByLabel("Leave the region").click();
  }

  private Locator item(String name) {
    return page.getByRole(
        AriaRole.MENUITEM, new Page.GetByRoleOptions().setName(name).setExact(true));
  }

  private void toneOnTheWholePictureByMouseAndTyping() {
    double before = brightness(0.5, 0.2);
    page.keyboard().press("5");
    button("Add …").click();
    item("Tone").click();
    assertThat(page.getByTestId("pass")).hasCount(1);
    page.keyboard().press("a");
    assertThat(page.getByTestId("pass")).hasCount(2);
    Locator exposure = slider("Exposure");
    BoundingBox box = exposure.boundingBox();
    page.mouse().move(box.x + box.width * 0.5, box.y + 10);
    page.mouse().down();
    page.mouse().move(box.x + box.width * 0.52, box.y + 10);
    page.mouse().move(box.x + box.width * 0.56, box.y + 10);
    page.mouse().up();
    page.getByLabel("Highlights, number").fill("-30");
    page.keyboard().press("Enter");
    page.getByLabel("Shadows, number").fill("25");
    page.keyboard().press("Enter");
    page.getByLabel("Contrast, number", new Page.GetByLabelOptions().setExact(true)).fill("12");
    page.keyboard().press("Enter");
    assertThat(page.getByTestId("pass").nth(1))
        .containsText("contrast 12 higher, highlights 30 lower, shadows 25 higher");
    page.waitForFunction(
        "() => document.querySelector('[data-testid=saved]').textContent.startsWith('Saved')");
    assertThat(brightness(0.5, 0.2)).isGreaterThan(before + 5);
    exposure.dblclick();
    assertThat(page.getByLabel("Exposure, number")).hasValue("0.00 st");
  }

  private void everythingIsThereAfterReload() {
    page.waitForFunction(
        "() => document.querySelector('[data-testid=saved]').textContent.startsWith('Saved')");
    String revision = saved().textContent();
    page.reload();
    waitForPicture(0);
    assertThat(saved()).hasText(revision);
    assertThat(page.getByTestId("pass")).hasCount(2);
    assertThat(page.getByTestId("pass").nth(1))
        .containsText("contrast 12 higher, highlights 30 lower, shadows 25 higher");
    button("Undo").click();
    page.waitForFunction(
        "r => !document.querySelector('[data-testid=saved]').textContent.includes(r)", revision);
    button("Redo").click();
    assertThat(saved()).hasText(revision);
  }

  private void probesAreReadAndSurviveReload() {
    page.keyboard().press("p");
    BoundingBox stage = page.getByTestId("stage").boundingBox();
    page.mouse().click(stage.x + stage.width * 0.3, stage.y + stage.height * 0.3);
    Locator table = page.getByRole(AriaRole.TABLE, new Page.GetByRoleOptions().setName("Readings"));
    assertThat(table).containsText(Pattern.compile("Probe 1\\s*\\d"));
    page.reload();
    assertThat(table).containsText(Pattern.compile("Probe 1\\s*\\d"));
  }

  private void anotherTabsChangeIsShownNotOverwritten() {
    Page other = context.newPage();
    other.navigate(page.url());
    other.getByTestId("pass").nth(1).getByRole(AriaRole.BUTTON).last().click();
    assertThat(other.getByTestId("saved")).containsText("Saved");
    other.waitForFunction(
        "() => document.querySelectorAll('[aria-label=\"Switch on Tone\"]').length === 1");
    assertThat(other.getByTestId("saved")).hasText(Pattern.compile("Saved, revision \\d+"));
    page.getByTestId("pass").nth(1).click(new Locator.ClickOptions().setPosition(30, 12));
    slider("Exposure").focus();
    page.keyboard().press("ArrowRight");
    assertThat(page.getByRole(AriaRole.ALERTDIALOG)).containsText("Another tab changed this view");
    button("Load the other version").click();
    assertThat(page.getByLabel("Switch on Tone")).isVisible();
    other.close();
    page.getByLabel("Switch on Tone").click();
    assertThat(saved()).hasText(Pattern.compile("Saved, revision \\d+"));
  }

  private void aRegionIsReusedOutside() {
    page.getByTestId("pass").nth(1).getByLabel(Pattern.compile("^Region: ")).click();
    page.getByRole(AriaRole.MENUITEM, new Page.GetByRoleOptions().setName("all but Window panes"))
        .click();
    assertThat(page.getByTestId("pass").nth(1)).containsText("of all but Window panes");
    assertThat(region("Window panes")).containsText("2 passes");
  }

  private void deliverAndDownload() throws Exception {
    page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Deliver")).click();
    button("Deliver 2 files").click();
    assertThat(page.getByText("Instrument-room.jpg"))
        .isVisible(new LocatorAssertions.IsVisibleOptions().setTimeout(PATIENCE));
    assertThat(page.getByText("Instrument-room.tif")).isVisible();
    Download download =
        page.waitForDownload(
            () ->
                page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Download"))
                    .first()
                    .click());
    Path file = Files.createTempFile("story", ".jpg");
    download.saveAs(file);
    assertThat(PictureReader.pixels(file, "Instrument-room.jpg").width()).isEqualTo(600);
  }

  private void whatWasTickedOffStaysOffAndTheShootShowsIt() {
    page.getByRole(AriaRole.CHECKBOX).first().uncheck();
    assertThat(button("Deliver 0 files")).isDisabled();
    page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Fennick Weather House"))
        .click();
    assertThat(page.getByText("8 frames · delivered")).isVisible();
    page.waitForFunction(
        "() => [...document.querySelectorAll('article img')].every((i) => i.naturalWidth > 300)");
  }

  private void theCardSaysWhatIsHereAlready() {
    page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Intake")).click();
    assertThat(page.getByText("already taken in")).isVisible();
    assertThat(page.getByLabel("Name of the view")).hasValue("Instrument room");
    assertThat(button("Take in 0 frames as 0 views")).isDisabled();
    page.getByLabel("Take in Instrument room").check();
    assertThat(page.getByLabel("Role of FWH_0119.JPG")).isVisible();
  }

  /** Presses Tab until something of this name has the focus. */
  private void tabTo(String name) {
    String here =
        "() => { const e = document.activeElement; return e.getAttribute('aria-label')"
            + " ?? (e.labels && e.labels[0] ? e.labels[0].innerText : e.innerText) ?? ''; }";
    for (int i = 0; i < 120; i++) {
      page.keyboard().press("Tab");
      if (String.valueOf(page.evaluate(here)).strip().matches("(?s)" + name)) {
        return;
      }
    }
    throw new AssertionError("Tab never comes to " + name + ", last " + page.evaluate(here));
  }

  /** From a new shoot to a delivered file, the mouse untouched. */
  @Test
  void aWholeShootByKeyboardAlone() {
    page.navigate(server.url());
    tabTo("E-mail.*");
    page.keyboard().type("demo@illuminar.test");
    tabTo("Password.*");
    page.keyboard().type("heather");
    page.keyboard().press("Enter");
    assertThat(page.getByText("New shoot")).isVisible();
    tabTo("Property or commission.*");
    page.keyboard().type("Lower cottage");
    tabTo("Create, then add frames");
    page.keyboard().press("Enter");
    // the card is read first
    assertThat(page.getByLabel("Name of the view").first()).isVisible();
    tabTo("Name of the view");
    page.keyboard().press("Control+a");
    page.keyboard().type("Study");
    page.keyboard().press("Shift+Tab");
    tabTo("Name of the view");
    page.keyboard().press("Control+Home");
    page.evaluate("() => document.activeElement.blur()");
    tabTo("Take in 8 frames as 1 view");
    page.keyboard().press("Enter");
    page.waitForURL(Pattern.compile("/shoots/[0-9a-f-]+$"));
    assertThat(page.getByLabel("Open Study")).isVisible();
    tabTo("Open Study");
    int before = pictures();
    page.keyboard().press("Enter");
    waitForPicture(before);
    Bench.windowsAlone(page);
    page.keyboard().press("5");
    tabTo("Add …");
    page.keyboard().press("Enter");
    before = pictures();
    page.keyboard().press("t");
    page.keyboard().press("Enter");
    waitForPicture(before);
    // what was added has the focus
    assertThat(slider("Exposure")).isFocused();
    page.keyboard().press("ArrowRight");
    page.keyboard().press("ArrowRight");
    assertThat(saved()).hasText("Saved, revision 4");
    page.keyboard().press("Control+z");
    assertThat(page.getByTestId("pass")).containsText("changes nothing yet");
    page.keyboard().press("Control+Shift+z");
    assertThat(page.getByTestId("pass")).containsText("0.1 stops brighter");
    tabTo("Deliver");
    page.keyboard().press("Enter");
    tabTo("Deliver 2 files");
    page.keyboard().press("Enter");
    assertThat(page.getByText("Study.jpg")).isVisible();
  }
}
