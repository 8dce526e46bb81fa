package illuminar.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import illuminar.server.TwoViews;
import java.nio.file.Files;
import java.util.List;
import java.util.regex.Pattern;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.Test;

/**
 * What a studio does again and again: last values, a house style, covers, and where to read how.
 */
class HabitsTest {
  private static final OnTwoViews ON = new OnTwoViews("habits_journey_test");
  private static final Entered entered = ON.entered;
  private static final Page page = ON.page;
  private static final Desk desk = new Desk(ON.page);

  @AfterAll
  static void end() {
    ON.close();
  }

  private static void openBench(String view) {
    page.navigate(entered.url() + "/views/" + view);
    page.waitForFunction("() => Number(document.documentElement.dataset.pictures ?? 0) > 0");
  }

  private static Locator table(String name) {
    return page.getByRole(AriaRole.TABLE, new Page.GetByRoleOptions().setName(name));
  }

  @Test
  void aMoveBeginsAsItWasLastSetAndBecomesAHabit() {
    openBench(ON.views.first());
    desk.add("Vignette", "vignette");
    desk.waitForPicture(() -> desk.set("Darker corners", "0.7"));
    assertThat(desk.saved()).containsText("Saved");
    openBench(ON.views.second());
    desk.open("Finish");
    desk.waitForPicture(() -> desk.pick("Vignette as in " + TwoViews.FIRST));
    assertThat(desk.passes("vignette")).containsText("0.7 stops");
    assertThat(desk.saved()).containsText("Saved");

    page.navigate(entered.url() + "/shoots/" + ON.views.shoot());
    for (String view : List.of(TwoViews.FIRST, TwoViews.SECOND)) {
      page.getByLabel("Choose " + view).check();
    }
    entered.link("Learn the house style").click();
    Locator added = table("Added");
    assertThat(added).containsText("0.7 stops");
    assertThat(page.getByText("Not kept yet.")).isVisible();
    entered.button("Keep this style").click();
    assertThat(page.getByText("Not kept yet.")).hasCount(0);
    page.reload();
    assertThat(added).containsText("0.7 stops");
    Download file = page.waitForDownload(() -> entered.link("Save it as a file").click());
    added
        .getByRole(
            AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(Pattern.compile("^Leave out")))
        .first()
        .click();
    entered.button("Keep this style").click();
    assertThat(added.getByText("0.7 stops")).hasCount(0);
    page.getByLabel("A file with a house style").setInputFiles(file.path());
    assertThat(added).containsText("0.7 stops");
    entered.button("Discard").click();
    Locator use = page.getByLabel("Use it for new views");
    page.waitForResponse(
        r -> r.url().endsWith("/use") && r.request().method().equals("PUT"), use::click);
    assertThat(use).not().isChecked();
    page.reload();
    assertThat(use).not().isChecked();
  }

  @Test
  void aCoverIsLetteredShadedAndFetched() throws Exception {
    page.navigate(entered.url() + "/shoots/" + ON.views.shoot() + "/cover");
    entered.button("Make a new cover").click();
    Locator words = page.getByLabel("Words");
    words.fill("Heath\nand light");
    words.blur();
    Locator picture = page.getByAltText(Pattern.compile("Cover: Heath"));
    assertThat(picture).isVisible();
    page.getByLabel("Shadow, as the sun of the picture throws it").click();
    Locator tip = page.getByLabel("Tip of its shadow");
    String before = tip.getAttribute("style");
    tip.focus();
    page.keyboard().press("Shift+ArrowRight");
    assertThat(tip).not().hasAttribute("style", before);
    assertThat(page.getByRole(AriaRole.STATUS).last())
        .hasText(Pattern.compile("Saved|No shadow is seen.*"));
    words.fill("天");
    assertThat(page.getByRole(AriaRole.ALERT)).containsText("This typeface has no 天");
    words.fill("Heath");
    words.blur();
    assertThat(page.getByRole(AriaRole.ALERT)).hasCount(0);
    page.waitForResponse(r -> r.url().endsWith("/drawn?edge=1200"), () -> page.reload());
    assertThat(page.getByLabel("Words")).hasValue("Heath");
    assertThat(page.getByLabel("Tip of its shadow")).isVisible();
    Download pdf = page.waitForDownload(() -> entered.link("Save as PDF").click());
    try (PDDocument document = Loader.loadPDF(Files.readAllBytes(pdf.path()))) {
      assertThat(document.getNumberOfPages()).isEqualTo(1);
    }
    entered.button("Remove this cover").click();
    assertThat(page.getByText("No cover yet.")).isVisible();
  }

  @Test
  void theFieldGuideIsAtHandAtEveryStage() {
    openBench(ON.views.first());
    desk.open("Windows");
    entered.button("Field guide: A view that is read").click();
    Locator read = page.getByRole(AriaRole.DIALOG);
    assertThat(read.getByRole(AriaRole.IMG)).isVisible();
    assertThat((Boolean) read.locator("img").evaluate("i => i.complete && i.naturalWidth > 300"))
        .isTrue();
    read.getByText("Try it").click();
    assertThat(read).hasCount(0);
    page.navigate(entered.url() + "/guide");
    Locator pages = page.getByLabel("Pages").getByRole(AriaRole.LINK);
    assertThat(pages).hasCount(12);
    pages.nth(8).click();
    entered.link("Try it on " + TwoViews.FIRST).click();
    page.waitForURL("**/views/**stage=Balance**");
  }
}
