package illuminar.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.BoundingBox;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** A picture straightened, set upright and cut, by mouse and by keyboard; always to be undone. */
class CropTest {
  private static Bench bench;
  private static Page page;

  @BeforeAll
  static void begin() {
    bench = new Bench("crop_test", "Instrument room");
  }

  @BeforeEach
  void windowsAlone() {
    page = bench.begin(Bench.WINDOWS);
    bench.open("Finish");
  }

  @AfterAll
  static void end() {
    bench.close();
  }

  private static Locator side(String name) {
    return bench.button("Crop, " + name);
  }

  private static int pixels(String side) {
    return Integer.parseInt(page.getByLabel(side + ", pixels").inputValue());
  }

  @Test
  void aCropIsPulledKeepsItsRatioAndIsTakenBack() {
    bench.button("Crop").click();
    bench.pull(side("left edge"), 100, 0);
    assertThat(bench.saved()).containsText("Saved");
    page.waitForCondition(() -> pixels("Left") > 80);
    assertThat(pixels("Width")).isLessThan(520);
    assertThat(pixels("Height")).isEqualTo(400);
    page.getByLabel("Ratio: free").click();
    bench.item("1:1").click();
    page.waitForCondition(() -> pixels("Width") == pixels("Height"));
    bench.pull(side("lower right corner"), -60, -20);
    page.waitForCondition(() -> pixels("Width") < 390);
    assertThat(pixels("Width")).isBetween(pixels("Height") - 1, pixels("Height") + 1);
    page.keyboard().press("Escape");
    assertThat(page.getByTestId("crop")).hasCount(0);
    int kept = pixels("Width");
    bench.reload();
    bench.open("Finish");
    assertThat(pixels("Width")).isEqualTo(kept);
    bench.button("As the camera saw it").click();
    page.waitForCondition(() -> pixels("Width") == 600);
    bench.undo();
    page.waitForCondition(() -> pixels("Width") == kept);
  }

  @Test
  void aCropByKeyboardAlone() {
    page.getByText("Crop", new Page.GetByTextOptions().setExact(true)).focus();
    page.keyboard().press("Enter");
    side("right edge").focus();
    page.keyboard().press("Shift+ArrowLeft");
    page.keyboard().press("Shift+ArrowLeft");
    page.waitForCondition(() -> pixels("Width") == 520);
    page.getByLabel("Top, pixels").focus();
    page.keyboard().press("Control+a");
    page.keyboard().type("0");
    page.keyboard().press("Enter");
    bench.button("Move what is kept").focus();
    page.keyboard().press("ArrowRight");
    page.waitForCondition(() -> pixels("Left") == 8);
    assertThat(pixels("Width")).isEqualTo(520);
  }

  /** One line levels; what is drawn before and after lies on the same things. */
  @Test
  void aPictureIsStraightenedByALineAndRegionsStayOnTheirThings() {
    bench.ellipse(0.5, 0.3, 0.56, 0.38);
    BoundingBox before = page.getByTestId("grip").first().boundingBox();
    page.keyboard().press("Escape");
    page.keyboard().press("Escape");
    bench.open("Finish");
    bench.button("Straighten by lines").click();
    bench.waitForPicture(() -> bench.drag(0.3, 0.6, 0.5, 0.605, 0.7, 0.61));
    assertThat(bench.number("Straighten")).hasValue(Pattern.compile("−[0-9.]+ °"));
    assertThat(page.getByTestId("straight-line")).hasCount(1);
    page.keyboard().press("Escape");
    bench.region("Region 2").click();
    page.waitForCondition(
        () -> {
          BoundingBox after = page.getByTestId("grip").first().boundingBox();
          double moved = Math.hypot(after.x - before.x, after.y - before.y);
          return moved > 0.5 && moved < 60;
        });
    // a stroke is painted where the pointer is on the turned picture
    page.keyboard().press("n");
    page.keyboard().press("e");
    bench.drag(0.4, 0.5, 0.45, 0.55);
    bench.expectParts(1);
    BoundingBox stage = page.getByTestId("stage").boundingBox();
    BoundingBox grip = page.getByTestId("grip").first().boundingBox();
    double x = grip.x + grip.width / 2 - stage.x;
    double y = grip.y + grip.height / 2 - stage.y;
    assertThat(Math.abs(x / stage.width - 0.4)).isLessThan(0.08);
    assertThat(Math.abs(y / stage.height - 0.5)).isLessThan(0.08);
  }

  /** What was turned by hand stands as its plumb edges do; the reason is kept. */
  @Test
  void wallsAreSetUprightByThemselves() {
    bench.waitForPicture(() -> bench.set("Straighten", "3"));
    bench.button("Set upright").click();
    Locator why = page.getByText(Pattern.compile("plumb edges lean"));
    assertThat(why).isVisible();
    assertThat(bench.number("Straighten")).not().hasValue("+3.00 °");
    bench.reload();
    bench.open("Finish");
    assertThat(why).isVisible();
    bench.waitForPicture(() -> bench.set("Verticals", "6"));
    int all = pixels("Width");
    bench.waitForPicture(() -> bench.set("Upright by", "50"));
    page.waitForCondition(() -> pixels("Width") > all);
    bench.button("Lay level").click();
    assertThat(page.getByText(Pattern.compile("level edges|The wall in front"))).isVisible();
  }

  @Test
  void wallsAreSetUprightByNumber() {
    bench.waitForPicture(() -> bench.set("Verticals", "5"));
    page.waitForCondition(() -> pixels("Width") < 600);
    page.getByLabel("Ratio: as it is").click();
    bench.item("16:9").click();
    page.waitForCondition(
        () -> Math.abs(pixels("Width") / (double) pixels("Height") - 16 / 9.0) < 0.01);
    bench.button("The other way round").click();
    page.waitForCondition(
        () -> Math.abs(pixels("Height") / (double) pixels("Width") - 16 / 9.0) < 0.01);
    assertThat(page.getByLabel("Ratio: 9:16")).isVisible();
    assertThat(bench.saved()).containsText("Saved");
  }
}
