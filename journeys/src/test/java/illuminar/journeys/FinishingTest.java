package illuminar.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** White, colour, evenness, haze and the last calm of a recipe, by mouse and by keyboard. */
class FinishingTest {
  private static Bench bench;
  private static Page page;

  @BeforeAll
  static void begin() {
    bench = new Bench("finishing_test", "Instrument room");
  }

  @BeforeEach
  void windowsAlone() {
    page = bench.begin(Bench.WINDOWS);
  }

  @AfterAll
  static void end() {
    bench.close();
  }

  /** Mean red less blue code of the middle of the stage. */
  private static final String WARMTH =
      """
      () => {
        const c = document.querySelector('[data-testid=stage] canvas');
        const d = c.getContext('2d').getImageData(
            c.width * .4, c.height * .4, c.width * .2, c.height * .2).data;
        let sum = 0;
        for (let i = 0; i < d.length; i += 4) sum += d[i] - d[i + 2];
        return sum / (d.length / 4);
      }
      """;

  /** The sentence's word opens the same control as the scale below it. */
  @Test
  void whiteIsMadeCoolerByKeysAndByTheWordOfTheSentence() {
    bench.add("White and colour", "colour");
    Object before = page.evaluate(WARMTH);
    Locator warmer = bench.slider("Warmer");
    warmer.focus();
    assertThat(bench.saved()).containsText("Saved");
    String saved = bench.saved().innerText();
    for (int k = 0; k < 4; k++) {
      page.keyboard().press("Shift+ArrowLeft");
    }
    assertThat(bench.number("Warmer")).hasValue("−40 mired");
    page.waitForFunction("was => (" + WARMTH.strip() + ")() < was - 3", before);
    assertThat(bench.saved()).not().hasText(saved);
    assertThat(bench.saved()).containsText("Saved");
    // 10⁶ K / (10⁶ / 6504 + 40): what a mired is (CIE 15)
    assertThat(page.getByLabel("Warmer, neutral at")).hasValue("5160 K");
    bench.passes("colour").getByLabel(Pattern.compile("^Warmer: ")).click();
    Locator dialog = page.getByRole(AriaRole.PRESENTATION);
    Locator typed = dialog.getByLabel("Warmer, number");
    typed.fill("20");
    bench.waitForPicture(() -> page.keyboard().press("Enter"));
    page.keyboard().press("Escape");
    assertThat(bench.passes("colour")).containsText("20 mired warmer");
    bench.undo();
    assertThat(bench.passes("colour")).containsText("40 mired cooler");
  }

  /** What a scale shows follows an undo, though nothing was touched in it. */
  @Test
  void aScaleFollowsUndoAndDoubleClickIsTheCarefulValue() {
    bench.add("White and colour", "colour");
    bench.waitForPicture(() -> bench.set("Warmer", "-35"));
    bench.waitForPicture(() -> bench.set("Warmer", "-40"));
    bench.waitForPicture(() -> bench.slider("Warmer").dblclick());
    assertThat(bench.number("Warmer")).hasValue("0 mired");
    bench.undo();
    assertThat(bench.number("Warmer")).hasValue("−40 mired");
    page.keyboard().press("Control+Shift+z");
    assertThat(bench.number("Warmer")).hasValue("0 mired");
    bench.undo();
  }

  @Test
  void whiteAndBlackPointAreSetByKeys() {
    bench.add("White and black point", "levels");
    Locator white = bench.slider("White point");
    white.focus();
    String careful = white.getAttribute("aria-valuetext");
    bench.waitForPicture(() -> page.keyboard().press("ArrowLeft"));
    assertThat(white).hasAttribute("aria-valuetext", "99.5 %");
    bench.waitForPicture(() -> page.keyboard().press("ArrowRight"));
    assertThat(white).hasAttribute("aria-valuetext", careful);
    assertThat(bench.passes("levels")).hasCount(1);
  }

  /** Even out asks for a place first: it works along one wall, not over the whole picture. */
  @Test
  void aWallIsEvenedOutWithinItsRegion() {
    page.keyboard().press("n");
    page.keyboard().press("y");
    bench.drag(0.05, 0.1, 0.25, 0.5);
    page.keyboard().press("Escape");
    bench.add("Even out", "even-out");
    assertThat(bench.passes("even-out")).containsText("Even out the light along Region 2");
    bench.waitForPicture(() -> bench.set("Amount", "60"));
    assertThat(bench.saved()).containsText("Saved");
    bench.reload();
    assertThat(bench.passes("even-out")).containsText("by 60 %");
  }

  @Test
  void twoProbesMakeTheWhiteOfThePicture() {
    page.keyboard().press("p");
    bench.click(0.12, 0.2);
    page.keyboard().press("p");
    bench.click(0.2, 0.3);
    page.keyboard().press("t");
    Locator board = bench.stage("Balance board");
    board.getByLabel("Choose probe 1").check();
    board.getByLabel("Choose probe 2").check();
    bench.button("Make neutral").click();
    assertThat(board.getByRole(AriaRole.STATUS)).not().hasText("");
    page.keyboard().press("t");
  }

  /** Haze has saturation and local contrast of its own, careful from the start. */
  @Test
  void hazeIsClearedWithItsOwnContrast() {
    page.getByLabel("Region Window panes").click();
    bench.add("Clear haze", "clear-haze");
    assertThat(bench.passes("clear-haze"))
        .containsText("haze from Window panes, 5 % less saturated, local contrast 10 lower");
    bench.waitForPicture(() -> bench.set("Local contrast", "-45"));
    assertThat(bench.saved()).containsText("Saved");
    bench.reload();
    assertThat(bench.passes("clear-haze")).containsText("local contrast 45 lower");
  }

  /** A frame mixed back in by 60 %, and brushed away again by 40 % in one place. */
  @Test
  void aFrameMixedBackIsBrushedAwayInOnePlace() {
    double x = 0.3;
    double y = 0.7;
    page.keyboard().press("v");
    double before = bench.brightness(x, y);
    Locator calm = bench.add("Mix a frame back in", "calm");
    bench.set("Strength", "60");
    assertThat(bench.saved()).containsText("Saved");
    page.waitForFunction("() => document.documentElement.dataset.sharp === 'true'");
    page.waitForCondition(() -> Math.abs(bench.brightness(x, y) - before) > 3);
    double mixed = bench.brightness(x, y);
    page.keyboard().press("n");
    page.keyboard().press("k");
    bench.drag(x - 0.05, y, x, y, x + 0.05, y);
    bench.set("Ceiling", "40");
    bench.open("All");
    calm.getByLabel(Pattern.compile("^Region: ")).click();
    bench.item("all but Region 2").click();
    page.waitForCondition(
        () -> {
          double back = (bench.brightness(x, y) - mixed) / (before - mixed);
          return back > 0.25 && back < 0.55;
        });
  }

  /** The whole recipe taken back towards one frame, and switched off as a whole. */
  @Test
  void calmTakesTheRecipeBackTowardsAFrame() {
    bench.add("Mix a frame back in", "calm");
    bench.waitForPicture(() -> bench.set("Strength", "60"));
    Locator calm = bench.passes("calm");
    assertThat(calm).hasCount(1);
    assertThat(calm.getByLabel(Pattern.compile("^Frame: "))).isVisible();
    bench.waitForPicture(() -> calm.getByLabel("Switch off Mix a frame back in").click());
    assertThat(calm.getByLabel("Switch on Mix a frame back in")).isVisible();
    bench.waitForPicture(() -> calm.getByLabel("Switch on Mix a frame back in").click());
    // a word that is closed again leaves the focus where it was
    Locator word = calm.getByLabel(Pattern.compile("^Strength: "));
    word.focus();
    page.keyboard().press("Enter");
    page.keyboard().press("Escape");
    assertThat(word).isFocused();
  }
}
