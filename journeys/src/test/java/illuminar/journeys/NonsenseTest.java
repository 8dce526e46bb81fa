package illuminar.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import java.util.List;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Numbers and names that mean nothing, too much or something else: they do no harm. */
class NonsenseTest {
  private static Bench bench;
  private static Page page;

  @BeforeAll
  static void open() {
    bench = new Bench("nonsense_test", "Instrument room");
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
  void nonsenseInANumberChangesNothing() {
    bench.add("Tone", "tone");
    bench.waitForPicture(() -> bench.set("Exposure", "0.4"));
    assertThat(bench.saved()).containsText("Saved");
    String saved = bench.saved().innerText();
    bench.number("Exposure").fill("abc");
    assertThat(bench.number("Exposure")).hasAttribute("aria-invalid", "true");
    page.keyboard().press("Enter");
    assertThat(page.getByText("abc is no number")).isVisible();
    bench.number("Contrast").focus();
    assertThat(bench.number("Exposure")).hasValue("+0.40 st");
    assertThat(bench.saved()).hasText(saved);
  }

  /** Job 26: nothing, the huge and what runs the other way. */
  @Test
  void numbersOfAnySizeStayWithinTheirScale() {
    bench.add("Tone", "tone");
    bench.waitForPicture(() -> bench.set("Exposure", "9".repeat(400)));
    String most = bench.slider("Exposure").getAttribute("aria-valuemax");
    assertThat(bench.slider("Exposure")).hasAttribute("aria-valuenow", most);
    bench.set("Exposure", "");
    assertThat(bench.slider("Exposure")).hasAttribute("aria-valuenow", most);
    bench.set("Exposure", "*-" + "9".repeat(30));
    assertThat(bench.slider("Exposure"))
        .hasAttribute("aria-valuenow", bench.slider("Exposure").getAttribute("aria-valuemin"));
    assertThat(bench.saved()).containsText("Saved");
  }

  /** Job 26: names of any length, of nothing, and of what means something elsewhere. */
  @Test
  void namesOfAnyLengthAndKind() {
    bench.ellipse(0.3, 0.4, 0.4, 0.5);
    Locator name = page.getByLabel("Name of the region");
    for (String strange : List.of("<b>&amp;\"';--</b>", "\u202easlant\u0301 🏠", "ü".repeat(400))) {
      name.focus();
      page.keyboard().press("Control+a");
      page.keyboard().insertText(strange);
      page.keyboard().press("Enter");
      String kept = strange.substring(0, Math.min(200, strange.length()));
      assertThat(bench.region(kept)).isVisible();
      name.focus();
      page.keyboard().press("Control+a");
      page.keyboard().insertText("   ");
      page.keyboard().press("Enter");
      assertThat(name).hasValue(kept);
    }
    assertThat(bench.saved()).containsText("Saved");
    bench.reload();
    assertThat(bench.region("ü".repeat(200))).isVisible();
    assertThat(page.evaluate("() => document.documentElement.scrollWidth"))
        .as("a long name pushes nothing out of the window")
        .isEqualTo(page.evaluate("() => document.documentElement.clientWidth"));
  }

  /** Black and white point are held apart while they move, so that nothing is refused. */
  @Test
  void blackAndWhitePointAreHeldApart() {
    bench.add("White and black point", "levels");
    bench.set("White point", "40");
    bench.set("Black point", "50");
    assertThat(bench.number("Black point")).hasValue("35 %");
    bench.set("Gamma", "1.5");
    assertThat(bench.saved()).containsText("Saved");
    bench.reload();
    assertThat(bench.passes("levels")).containsText("black at 35 %, gamma 1.5");
  }
}
