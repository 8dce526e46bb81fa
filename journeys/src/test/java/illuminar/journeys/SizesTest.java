package illuminar.journeys;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import java.util.List;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

/**
 * From a small screen to a large one nothing is cut off, and at 200 % everything can be scrolled to
 * (WCAG 2.2, 1.4.4: text of twice the size without loss of content or function).
 */
class SizesTest {
  /** What can be worked with and lies where no scrolling brings it into sight. */
  private static final String CUT =
      """
      () => {
        const out = [];
        const page = document.scrollingElement;
        for (const e of document.querySelectorAll('button, a, input, select, [role=slider], [role=tab]')) {
          const r = e.getBoundingClientRect();
          if (r.width === 0 || r.height === 0 || e.closest('svg, [aria-hidden=true]')) continue;
          const cut = box => r.left < box.left - 1 || r.top < box.top - 1
            || r.right > box.right + 1 || r.bottom > box.bottom + 1;
          let scrolls = false;
          for (let p = e.parentElement; p && p !== document.body && !scrolls; p = p.parentElement) {
            const { overflowX, overflowY } = getComputedStyle(p);
            scrolls = [overflowX, overflowY].some(o => o === 'auto' || o === 'scroll');
            if (!scrolls && overflowX !== 'visible' && cut(p.getBoundingClientRect())) {
              out.push(`${e.getAttribute('aria-label') ?? e.textContent} in ${p.tagName} ${p.className}`);
              break;
            }
          }
          if (!scrolls && (r.left < -page.scrollLeft - 1 || r.top < -page.scrollTop - 1
              || r.right > page.scrollWidth + 1 || r.bottom > page.scrollHeight + 1)) {
            out.push(`${e.getAttribute('aria-label') ?? e.textContent} off the page`);
          }
        }
        return out;
      }
      """;

  private static Bench bench;
  private static Page page;

  @BeforeAll
  static void begin() {
    bench = new Bench("sizes_test", "Instrument room");
    page = bench.begin(Bench.WINDOWS);
  }

  @AfterAll
  static void end() {
    bench.close();
  }

  /** All stages, and a region with its tools and a part open. */
  private static void look(String size) {
    for (String stage :
        List.of("Frames", "Ground", "Windows", "Lights", "Tone", "Balance", "All")) {
      bench.open(stage);
      assertThat((List<?>) page.evaluate(CUT)).as(stage + " at " + size).isEmpty();
    }
    bench.region("Window panes").click();
    assertThat((List<?>) page.evaluate(CUT)).as("a region at " + size).isEmpty();
    page.keyboard().press("Escape");
    page.keyboard().press("Escape");
  }

  @Test
  void nothingIsCutOffAndNothingHasToBeScrolledTo() {
    for (int[] size : new int[][] {{1024, 700}, {1280, 800}, {1920, 1080}, {2560, 1440}}) {
      page.setViewportSize(size[0], size[1]);
      look(size[0] + " × " + size[1]);
      assertThat(
              page.evaluate(
                  "() => [document.scrollingElement.scrollWidth <= innerWidth,"
                      + " document.scrollingElement.scrollHeight <= innerHeight]"))
          .as(size[0] + " × " + size[1])
          .isEqualTo(List.of(true, true));
    }
  }

  /** 1280 × 800 at 200 % leaves 640 × 400. */
  @Test
  void atTwiceTheSizeEverythingCanBeScrolledTo() {
    page.setViewportSize(640, 400);
    look("200 %");
  }
}
