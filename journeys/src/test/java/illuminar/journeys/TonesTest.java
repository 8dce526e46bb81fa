package illuminar.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Proposals, tone, colour, air and detail on a small view. */
class TonesTest {
  private static Bench bench;
  private static Page page;

  @BeforeAll
  static void begin() {
    bench = new Bench("tones_test", "Instrument room");
  }

  @BeforeEach
  void windowsAlone() {
    page = bench.begin(Bench.WINDOWS);
  }

  @AfterAll
  static void end() {
    bench.close();
  }

  private static void blur() {
    page.evaluate("() => document.activeElement?.blur()");
  }

  /** From card to balanced without a click; each pass says why, and can be proposed again. */
  @Test
  void theFirstVersionIsCompleteAndAStageCanBeProposedAnew() {
    page = bench.begin(Bench.FIRST_VERSION);
    assertThat(bench.passes("show-view")).hasCount(1);
    assertThat(bench.passes("curve")).hasCount(2);
    bench.passes("curve").first().click(new Locator.ClickOptions().setPosition(30, 12));
    assertThat(page.getByText(Pattern.compile("come to L\\*"))).isVisible();
    bench.waitForPicture(() -> bench.button("Remove this pass").click());
    assertThat(bench.passes("curve")).hasCount(1);
    bench.open("Tone");
    bench.waitForPicture(() -> bench.button("Suggest for Tone").click());
    // in place of the suggestion before; room and view share one curve in the recipe as it stands
    // now
    assertThat(bench.passes("curve")).hasCount(1);
    assertThat(bench.passes("curve")).containsText("by brightness");
    bench.undo();
    assertThat(bench.passes("curve")).hasCount(1);
    bench.undo();
    assertThat(bench.passes("curve")).hasCount(2);
  }

  /** For a view without them: the windows in one step. */
  @Test
  void windowsComeInOneStep() {
    bench.passes("bring-frame").first().click(new Locator.ClickOptions().setPosition(30, 12));
    bench.waitForPicture(() -> bench.button("Remove this pass").click());
    assertThat(bench.passes("bring-frame")).hasCount(0);
    bench.open("Windows");
    bench.waitForPicture(() -> bench.button("Suggest for Windows").click());
    assertThat(bench.passes("bring-frame")).hasCount(1);
    assertThat(bench.passes("bring-frame").first()).containsText("Window panes");
  }

  @Test
  void theWhitePointShowsWhatBurnsWhileItMoves() {
    bench.add("White and black point", "levels");
    Locator white =
        page.getByRole(
            AriaRole.SLIDER, new Page.GetByRoleOptions().setName("White point").setExact(true));
    white.focus();
    bench.waitForPicture(() -> page.keyboard().press("Shift+ArrowLeft"));
    assertThat(bench.passes("levels").first()).containsText("white at 95 %");
    bench.set("Gamma", "1.2");
    assertThat(bench.passes("levels").first()).containsText("gamma 1.2");
  }

  /** What the ladder says of a frame, darkest first: burnt and blocked share. */
  private static final String FRAMES =
      """
      async () => {
        const view = location.pathname.match(/views\\/([0-9a-f-]+)/)[1];
        const { frames } = await (await fetch(`/api/views/${view}`)).json();
        return frames.sort((a, b) => a.stops - b.stops).map(f => [f.burnt, f.blocked]);
      }
      """;

  /**
   * Whether a new histogram has come, and what is written under it agrees as far as fewer pixels
   * can.
   */
  private static final String AGREES =
      """
      ([shares, seen]) => {
        const [, ...said] = document.body.innerText.match(/Burnt ([\\d.]+) % · blocked ([\\d.]+) %/);
        return said.every((s, i) => Math.abs(s - 100 * shares[i]) < 1 + 2 * shares[i]) && !seen.includes(
          document.querySelector('[data-testid=histogram] polygon').getAttribute('points'));
      }
      """;

  private static String histogram() {
    return page.getByTestId("histogram").locator("polygon").getAttribute("points");
  }

  /** Job 1: the histogram, the burnt and the blocked of each frame, the mouse untouched. */
  @Test
  void theTonesOfEachFrameAreSeenByKeys() {
    bench.open("Tone");
    String ours = histogram();
    List<?> frames = (List<?>) page.evaluate(FRAMES);
    bench.waitForPicture(() -> page.keyboard().press("."));
    for (int i = 0; i < frames.size(); i++) {
      page.keyboard().press(",");
    }
    List<String> seen = new ArrayList<>();
    for (Object shares : frames) {
      page.waitForFunction(AGREES, List.of(shares, seen));
      seen.add(histogram());
      page.keyboard().press(".");
    }
    page.keyboard().press("z");
    assertThat(page.locator("button[value=z]")).hasAttribute("aria-pressed", "true");
    page.keyboard().press("z");
    page.keyboard().press("Escape");
    page.waitForFunction(
        "was => document.querySelector('[data-testid=histogram] polygon').getAttribute('points') === was",
        ours);
  }

  @Test
  void aCurveIsBentByKeysAndByMouseAndSurvivesReload() {
    bench.add("Curve", "curve");
    Locator point = bench.point(2);
    point.focus();
    bench.waitForPicture(() -> page.keyboard().press("ArrowDown"));
    assertThat(point).hasAttribute("aria-valuetext", Pattern.compile(".*becomes −5\\.1.*"));
    page.getByLabel("Curve in stops").click(new Locator.ClickOptions().setPosition(240, 30));
    assertThat(bench.points()).hasCount(5);
    assertThat(bench.saved()).containsText("Saved");
    bench.reload();
    bench.passes("curve").first().click(new Locator.ClickOptions().setPosition(30, 12));
    assertThat(bench.points()).hasCount(5);
    bench.undo();
    assertThat(bench.points()).hasCount(4);
  }

  @Test
  void aStageAndAPassAreSeenWithoutForAsLongAsAKeyIsHeld() {
    bench.add("Tone", "tone");
    Locator stage = page.getByLabel("Hold: before the stage Tone");
    stage.focus();
    page.keyboard().down("Space");
    assertThat(page.getByText("Before: without Tone")).isVisible();
    page.keyboard().up("Space");
    assertThat(page.getByText("Before: without Tone")).isHidden();
  }

  @Test
  void fillHueWashAndDetailAreAddedWithCarefulValues() {
    bench.add("Fill", "fill");
    assertThat(bench.passes("fill").first()).containsText("below −3.5 stops by 40");
    bench.add("Hue band", "hue-band");
    assertThat(bench.passes("hue-band").first()).containsText("40 % less saturated");
    blur();
    bench.add("Wash", "wash");
    assertThat(bench.passes("wash").first()).containsText("Wash Window panes");
    bench.add("Detail", "detail");
    bench.waitForPicture(() -> bench.set("Local contrast", "-40"));
    assertThat(bench.passes("detail").first()).containsText("local contrast 40 lower");
  }

  @Test
  void hazeShowsWhatItLetsThrough() {
    bench.add("Clear haze", "clear-haze");
    bench.button("Haze map").click();
    assertThat(page.getByAltText("Haze map")).isVisible();
    bench.button("Haze map").click();
    assertThat(page.getByAltText("Haze map")).hasCount(0);
  }

  /** One ellipse to a lamp; where none is found, the stage says so. */
  @Test
  void lampsGetAGlowOrAReasonWhyNot() {
    int regions = page.getByLabel(Pattern.compile("^Region ")).count();
    bench.open("Lights");
    bench.button("Suggest for Lights").click();
    assertThat(
            bench
                .passes("glow")
                .or(bench.stage("Lights").getByText(Pattern.compile("No lamp is found"))))
        .isVisible();
    org.assertj.core.api.Assertions.assertThat(page.getByLabel(Pattern.compile("^Region ")).count())
        .isGreaterThanOrEqualTo(regions);
  }

  @Test
  void saturationFollowsToneIfWantedAndSurvivesReload() {
    bench.add("Tone", "tone");
    bench.waitForPicture(() -> bench.set("Contrast", "30"));
    assertThat(bench.number("Saturation rises with contrast")).hasValue("0 %");
    bench.waitForPicture(() -> bench.set("Saturation rises with contrast", "60"));
    assertThat(bench.saved()).containsText("Saved");
    bench.reload();
    bench.choose(bench.passes("tone").last());
    assertThat(bench.number("Saturation rises with contrast")).hasValue("60 %");
    assertThat(bench.number("Contrast")).hasValue(Pattern.compile("\\+?30"));
  }

  /** Haze that is cleared already is not proposed again; each time the stage says what it found. */
  @Test
  void hazeIsProposedWithAReason() {
    bench.add("Clear haze", "clear-haze");
    int before = bench.passes("clear-haze").count();
    bench.button("Suggest for Air").click();
    assertThat(bench.stage("Air").getByText("Haze is cleared already.")).isVisible();
    assertThat(bench.passes("clear-haze")).hasCount(before);
    bench.waitForPicture(() -> bench.button("Remove this pass").click());
    bench.button("Suggest for Air").click();
    assertThat(
            bench
                .passes("clear-haze")
                .or(bench.stage("Air").getByText(Pattern.compile("No level land|is clear"))))
        .isVisible();
  }

  /** A lift of the darkest tones alone says how flat it makes them; less of it, and it is quiet. */
  @Test
  void liftedDarksSayTheirSlopeAndWarnOfMud() {
    bench.add("Tone", "tone");
    bench.waitForPicture(() -> bench.set("Shadows", "100"));
    Locator slope = page.getByText(Pattern.compile("lope of the lifted darks \\d\\.\\d\\d"));
    assertThat(slope).isVisible();
    bench.waitForPicture(() -> bench.set("Shadows", "0"));
    assertThat(slope).hasCount(0);
  }

  /** What is typed in % is taken of the shorter side of the shape, and kept in px. */
  @Test
  void aFeatherIsTypedInPercentOfItsShape() {
    bench.ellipse(0.4, 0.4, 0.5, 0.5);
    bench.set("Feather", "30 %");
    assertThat(bench.number("Feather")).hasValue(Pattern.compile("^[1-9]\\d+ px$"));
    bench.set("Feather", "7 px");
    assertThat(bench.number("Feather")).hasValue("7 px");
  }
}
