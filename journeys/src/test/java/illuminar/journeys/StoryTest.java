package illuminar.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import illuminar.files.PictureReader;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** The whole story in headless Chromium, by mouse and by typing: card, bench, delivery, reload. */
class StoryTest {
  private Entered entered;
  private Page page;
  private Desk desk;

  @BeforeEach
  void begin() {
    entered = Entered.not("journey_test");
    page = entered.page;
    desk = new Desk(page);
  }

  @AfterEach
  void end() {
    entered.close();
  }

  /** From the card to a delivered file; each step goes on from the one before. */
  @Test
  void theWholeStory() throws Exception {
    signInAndTakeInTheCard();
    lookAround();
    windowsStandAsBrightAsAsked();
    theWindowRegionIsCorrectedByOutlineAndBrush();
    toneOnTheWholePictureByMouseAndTyping();
    everythingIsThereAfterReload();
    probesAreReadAndSurviveReload();
    anotherTabsChangeIsShownNotOverwritten();
    aRegionIsReusedOutside();
    deliverAndDownload();
    whatWasTickedOffStaysOffAndTheShootShowsIt();
    theCardSaysWhatIsHereAlready();
  }

  private void signInAndTakeInTheCard() {
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
    desk.button("Take in 8 frames as 1 view").click();
    page.waitForURL(Pattern.compile("/shoots/[0-9a-f-]+$"));
    page.getByLabel("Open Instrument room").click();
    desk.waitForPicture(0);
    assertThat(page.getByTestId("histogram")).isVisible();
    assertThat(desk.saved()).hasText("Saved, revision 1");
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
    int n = desk.pictures();
    desk.button("1:1").click();
    desk.waitForPicture(n);
    BoundingBox stage = page.getByTestId("stage").boundingBox();
    n = desk.pictures();
    page.mouse().move(stage.x + 300, stage.y + 200);
    page.mouse().down();
    page.mouse().move(stage.x + 260, stage.y + 180);
    page.mouse().up();
    desk.waitForPicture(n);
    page.keyboard().press("f");
    assertThat(page.getByRole(AriaRole.TABLE, new Page.GetByRoleOptions().setName("Readings")))
        .containsText("Pointer");
    Locator dark =
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("frame −4 alone"));
    n = desk.pictures();
    dark.click();
    desk.waitForPicture(n);
    assertThat(page.getByText("FWH_0112.JPG alone")).isVisible();
    n = desk.pictures();
    page.keyboard().press(".");
    desk.waitForPicture(n);
    page.keyboard().press("Escape");
    assertThat(page.getByText("alone, Esc returns")).isHidden();
  }

  private void windowsStandAsBrightAsAsked() {
    page.getByTestId("pass").first().click(new Locator.ClickOptions().setPosition(30, 12));
    Locator over = desk.slider("Over the room");
    over.focus();
    page.keyboard().press("Shift+ArrowRight");
    assertThat(desk.saved()).hasText("Saved, revision 3");
    assertThat(page.getByTestId("pass").first()).containsText("1.4 stops brighter");
    desk.button("Undo").click();
    assertThat(page.getByTestId("pass").first()).containsText("0.9 stops brighter");
    page.keyboard().press("Control+Shift+z");
    assertThat(page.getByTestId("pass").first()).containsText("1.4 stops brighter");
  }

  private void theWindowRegionIsCorrectedByOutlineAndBrush() {
    desk.button("Edit the region").click();
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

  private void toneOnTheWholePictureByMouseAndTyping() {
    double before = desk.brightness(0.5, 0.2);
    page.keyboard().press("5");
    desk.button("Add …").click();
    desk.item("Tone").click();
    assertThat(page.getByTestId("pass")).hasCount(1);
    page.keyboard().press("a");
    assertThat(page.getByTestId("pass")).hasCount(2);
    Locator exposure = desk.slider("Exposure");
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
    assertThat(desk.brightness(0.5, 0.2)).isGreaterThan(before + 5);
    exposure.dblclick();
    assertThat(page.getByLabel("Exposure, number")).hasValue("0.00 st");
  }

  private void everythingIsThereAfterReload() {
    page.waitForFunction(
        "() => document.querySelector('[data-testid=saved]').textContent.startsWith('Saved')");
    String revision = desk.saved().textContent();
    page.reload();
    desk.waitForPicture(0);
    assertThat(desk.saved()).hasText(revision);
    assertThat(page.getByTestId("pass")).hasCount(2);
    assertThat(page.getByTestId("pass").nth(1))
        .containsText("contrast 12 higher, highlights 30 lower, shadows 25 higher");
    desk.button("Undo").click();
    page.waitForFunction(
        "r => !document.querySelector('[data-testid=saved]').textContent.includes(r)", revision);
    desk.button("Redo").click();
    assertThat(desk.saved()).hasText(revision);
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
    Page other = page.context().newPage();
    other.navigate(page.url());
    other.getByTestId("pass").nth(1).getByRole(AriaRole.BUTTON).last().click();
    assertThat(other.getByTestId("saved")).containsText("Saved");
    other.waitForFunction(
        "() => document.querySelectorAll('[aria-label=\"Switch on Tone\"]').length === 1");
    assertThat(other.getByTestId("saved")).hasText(Pattern.compile("Saved, revision \\d+"));
    page.getByTestId("pass").nth(1).click(new Locator.ClickOptions().setPosition(30, 12));
    desk.slider("Exposure").focus();
    page.keyboard().press("ArrowRight");
    assertThat(page.getByRole(AriaRole.ALERTDIALOG)).containsText("Another tab changed this view");
    desk.button("Load the other version").click();
    assertThat(page.getByLabel("Switch on Tone")).isVisible();
    other.close();
    page.getByLabel("Switch on Tone").click();
    assertThat(desk.saved()).hasText(Pattern.compile("Saved, revision \\d+"));
  }

  private void aRegionIsReusedOutside() {
    page.getByTestId("pass").nth(1).getByLabel(Pattern.compile("^Region: ")).click();
    page.getByRole(AriaRole.MENUITEM, new Page.GetByRoleOptions().setName("all but Window panes"))
        .click();
    assertThat(page.getByTestId("pass").nth(1)).containsText("of all but Window panes");
    assertThat(desk.region("Window panes")).containsText("2 passes");
  }

  private void deliverAndDownload() throws Exception {
    page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Deliver")).click();
    desk.button("Deliver 2 files").click();
    assertThat(page.getByText("Instrument-room.jpg")).isVisible();
    assertThat(page.getByText("Instrument-room-2048px.jpg")).isVisible();
    Download download =
        page.waitForDownload(
            () ->
                page.getByRole(
                        AriaRole.LINK,
                        new Page.GetByRoleOptions().setName("Download Instrument-room.jpg"))
                    .click());
    Path file = Files.createTempFile("story", ".jpg");
    download.saveAs(file);
    assertThat(PictureReader.pixels(file, "Instrument-room.jpg").width()).isEqualTo(600);
  }

  private void whatWasTickedOffStaysOffAndTheShootShowsIt() {
    page.getByRole(AriaRole.CHECKBOX).first().uncheck();
    assertThat(desk.button("Deliver 0 files")).isDisabled();
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
    assertThat(desk.button("Take in 0 frames as 0 views")).isDisabled();
    page.getByLabel("Take in Instrument room").check();
    assertThat(page.getByLabel("Role of FWH_0119.JPG")).isVisible();
  }
}
