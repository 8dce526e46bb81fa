package illuminar.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** What mends and what finishes a picture, by mouse and by keyboard. */
class MendingTest {
  private static Bench bench;
  private static Page page;

  @BeforeAll
  static void begin() {
    bench = new Bench("mending_test", "Instrument room");
  }

  @BeforeEach
  void windowsAlone() {
    page = bench.begin(Bench.WINDOWS);
  }

  @AfterAll
  static void end() {
    bench.close();
  }

  private static Locator grip(String name) {
    return page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name));
  }

  /** Heal begins with the brush in hand; its source is found, and can be placed. */
  @Test
  void aMarkIsBrushedOverAndItsSourceIsPlaced() {
    Locator heal = bench.add("Heal", "heal");
    assertThat(page.getByTestId("stage").getByText("Paint; Alt takes away")).isVisible();
    bench.waitForPicture(() -> bench.drag(0.3, 0.6, 0.33, 0.6, 0.36, 0.6));
    assertThat(bench.saved()).containsText("Saved");
    page.keyboard().press("Escape");
    page.keyboard().press("Escape");
    bench.open("Mend");
    assertThat(heal).containsText("Heal Mark 1.");
    Locator source = grip("Source, heal");
    source.focus();
    for (int k = 0; k < 5; k++) {
      page.keyboard().press("Shift+ArrowRight");
    }
    assertThat(heal).containsText("to the right");
    assertThat(bench.saved()).containsText("Saved");
    bench.reload();
    assertThat(bench.passes("heal")).containsText("to the right");
  }

  /** A large thing is brushed over and filled; how far pieces come from is a control. */
  @Test
  void aThingIsTakenOut() {
    Locator out = bench.add("Take out", "take-out");
    assertThat(page.getByTestId("stage").getByText("Paint; Alt takes away")).isVisible();
    double before = bench.brightness(0.5, 0.35);
    bench.waitForPicture(() -> bench.drag(0.5, 0.3, 0.5, 0.35, 0.5, 0.42));
    page.waitForCondition(() -> Math.abs(bench.brightness(0.5, 0.35) / before - 1) > 0.02);
    assertThat(bench.saved()).containsText("Saved");
    page.keyboard().press("Escape");
    page.keyboard().press("Escape");
    bench.open("Mend");
    assertThat(out).containsText("Take Thing 1 out, filled from what lies about it.");
    bench.set("Taken from", "3");
    assertThat(out).containsText("from within 3 × its size");
    assertThat(bench.saved()).containsText("Saved");
    bench.reload();
    assertThat(bench.passes("take-out")).containsText("from within 3 × its size");
  }

  /** The wall with two specks on it. */
  private static final String DUSTY =
      """
      async (r, post, view) => {
        r = await (WINDOWS)(r, post, view);
        for (const [id, x, y] of [['d1', 0.28, 0.52], ['d2', 0.33, 0.56]]) {
          const shape = { kind: 'ellipse', centre: { x, y }, wide: 0.006, high: 0.006, turn: 0, softness: 0.5 };
          const part = { id: 'e' + id, combine: 'ADD', shape, feather: 0, strength: 1, invert: false, off: false };
          r.regions.push({ id, name: 'Speck ' + id, parts: [part], grow: 0, edge: 0, feather: 0, density: 1, invert: false });
          r.passes.push({ id: 'p' + id, on: true, where: { region: id, outside: false }, strength: 1, why: '', group: '',
            gate: r.passes[0].gate, move: { kind: 'tone', exposure: -0.5, contrast: 0, highlights: 0, shadows: 0, midtones: 0, follow: 0 } });
        }
        return r;
      }
      """
          .replace("WINDOWS", Bench.WINDOWS);

  /** Likely dust is gone through by keys: the first is healed, the second left, also for later. */
  @Test
  void dustIsHealedOrLeftByOneKeyEach() {
    page = bench.begin(DUSTY);
    bench.open("Mend");
    bench.button("Look for dust").click();
    Locator rows = page.locator("[data-speck]");
    assertThat(rows.first()).isVisible();
    int all = rows.count();
    // the room may have small things of its own that look like dust
    assertThat(all).isBetween(2, 6);
    assertThat(page.getByTestId("speck-mark")).hasCount(all);
    rows.first().focus();
    page.keyboard().press("Enter");
    assertThat(bench.passes("heal")).containsText("Heal Dust.");
    for (int left = all - 1; left > 0; left--) {
      assertThat(rows).hasCount(left);
      assertThat(rows.first()).isFocused();
      page.keyboard().press("Delete");
    }
    assertThat(page.getByText("Nothing on plain walls or skies looks like dust.")).isVisible();
    assertThat(bench.saved()).containsText("Saved");
    bench.reload();
    bench.open("Mend");
    assertThat(bench.passes("heal")).containsText("Heal Dust.");
    bench.button("Look for dust").click();
    assertThat(page.getByText("Nothing on plain walls or skies looks like dust.")).isVisible();
  }

  /** Plain, with no edge of any light. */
  private static final double[] CEILING = {0.44, 0.2, 0.5, 0.2, 0.5, 0.24, 0.44, 0.24};

  private static final double[] DESK = {0.3, 0.6, 0.36, 0.6, 0.36, 0.66, 0.3, 0.66};

  /** A pass that begins with the loop in hand, drawn round a piece of the wall. */
  private static Locator looped(String name, String kind, double... places) {
    Locator pass = bench.add(name, kind);
    assertThat(page.getByText("Draw round it in one go")).isVisible();
    bench.drag(places);
    assertThat(bench.saved()).containsText("Saved");
    page.keyboard().press("Escape");
    page.keyboard().press("Escape");
    bench.open("Mend");
    return pass;
  }

  /** A hard shadow begins with the loop in hand; where none is seen it says so. */
  @Test
  void aShadowIsLooped() {
    Locator shadow = looped("Lift a hard shadow", "shadow", CEILING);
    assertThat(shadow).containsText("Lift the hard shadow in Shadow 1");
    assertThat(page.getByRole(AriaRole.STATUS).filter(said("No edge of a shadow"))).isVisible();
    bench.set("Penumbra", "*2");
    assertThat(shadow).containsText("penumbra");
    assertThat(bench.saved()).containsText("Saved");
    bench.reload();
    assertThat(bench.passes("shadow")).containsText("penumbra");
  }

  /** What is mirrored is looped and said of what; where no frame tells it, that is said. */
  @Test
  void aReflectionIsLooped() {
    Locator off = looped("Take reflections off", "reflections", DESK);
    assertThat(off).containsText("of what glass mirrors off Reflection 1");
    off.getByLabel(Pattern.compile("^Surface: ")).click();
    bench.item("gloss").click();
    assertThat(off).containsText("of what gloss mirrors off Reflection 1");
    assertThat(page.getByRole(AriaRole.STATUS).filter(said("Nothing is taken off"))).isVisible();
    assertThat(bench.saved()).containsText("Saved");
    bench.reload();
    assertThat(bench.passes("reflections")).containsText("gloss mirrors off Reflection 1");
  }

  /** Weak strokes of one pass: those with Alt darken. */
  @Test
  void strokesLightenAndDarken() {
    double here = bench.brightness(0.3, 0.6);
    double there = bench.brightness(0.3, 0.75);
    Locator strokes = bench.add("Dodge and burn", "dodge-burn");
    bench.waitForPicture(() -> bench.drag(0.28, 0.6, 0.3, 0.6, 0.32, 0.6));
    page.waitForCondition(() -> bench.brightness(0.3, 0.6) > 1.02 * here);
    page.keyboard().down("Alt");
    bench.waitForPicture(() -> bench.drag(0.28, 0.75, 0.3, 0.75, 0.32, 0.75));
    page.keyboard().up("Alt");
    page.waitForCondition(() -> bench.brightness(0.3, 0.75) < 0.98 * there);
    assertThat(bench.saved()).containsText("Saved");
    page.keyboard().press("Escape");
    page.keyboard().press("Escape");
    bench.open("Mend");
    assertThat(strokes).containsText("Dodge and burn Strokes 1.");
    bench.set("Lighter", "50");
    assertThat(strokes).containsText("full strokes lighten by 50 %");
  }

  private static Locator.FilterOptions said(String text) {
    return new Locator.FilterOptions().setHasText(text);
  }

  /** The subject is where its square is dragged to, or moved by keys. */
  @Test
  void aVignetteIsPutOnItsSubject() {
    Locator vignette = bench.add("Vignette", "vignette");
    assertThat(vignette).containsText("Darken the whole picture towards its corners by 0.3 stops.");
    Locator centre = grip("Move, vignette");
    centre.focus();
    for (int k = 0; k < 3; k++) {
      page.keyboard().press("Shift+ArrowLeft");
    }
    double across = percent(bench.number("Centre across").inputValue());
    assertThat(across).isLessThan(48);
    assertThat(percent(bench.number("Centre down").inputValue())).isBetween(49.9, 50.1);
    double corner = bench.brightness(0.84, 0.78);
    bench.waitForPicture(() -> bench.set("Darker corners", "1.5"));
    page.waitForCondition(() -> bench.brightness(0.84, 0.78) < 0.8 * corner);
    bench.waitForPicture(() -> bench.set("Darker corners", "-0.2"));
    assertThat(vignette).containsText("Lighten the whole picture towards its corners by 0.2 stops");
  }

  private static double percent(String shown) {
    return Double.parseDouble(shown.replace(" %", ""));
  }

  /** Noise is reduced in the darks and midtones are sharpened, unless one wants it otherwise. */
  @Test
  void noiseAndSharpnessBeginInTheirOwnTones() {
    Locator noise = bench.add("Reduce noise", "reduce-noise");
    assertThat(noise).containsText("only in tones up to −2.7 stops");
    Locator sharpen = bench.add("Sharpen", "sharpen");
    assertThat(sharpen).containsText("only in tones from −3 to −1.5 stops");
    assertThat(sharpen).containsText("by 125 % within 1.2 px");
    sharpen.getByLabel("Gate: only in tones from −3 to −1.5 stops").last().click();
    page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("All tones")).click();
    page.keyboard().press("Escape");
    assertThat(sharpen).not().containsText("only in tones");
    assertThat(bench.saved()).containsText("Saved");
  }
}
