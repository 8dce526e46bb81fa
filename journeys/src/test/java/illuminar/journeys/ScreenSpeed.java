package illuminar.journeys;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import illuminar.server.TestServer;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Pattern;

/**
 * Times controls in the real interface: from a key on a slider until the frame in which the new
 * picture stands on the screen, which may be a coarser one, and until it stands there sharp. Keys
 * follow one another without a rest, as when a control is dragged; every few of them the control
 * rests. A pass that was opened is looked at before it is moved. No test; run by {@code ./illuminar
 * benchmark screen FOLDER}.
 */
public final class ScreenSpeed {
  private static final int MOVES = 14;

  /**
   * Adds regions and passes of several kinds to the view's recipe, up to 8 and 12, as another tab
   * would.
   */
  private static final String FILL =
      """
      async view => {
        const session = await (await fetch('/api/session')).json();
        const token = decodeURIComponent(document.cookie.match(/XSRF-TOKEN=([^;]+)/)?.[1] ?? '');
        const state = await (await fetch(`/api/views/${view}/recipe`)).json();
        const r = state.recipe;
        for (let i = r.regions.length; i < 8; i++) {
          const x = 0.1 * i;
          const at = (u, v) => ({ x: x + u, y: v });
          r.regions.push({ id: `r${i}`, name: `Region ${i}`, feather: 20 * i, invert: false, parts: [
            { id: 'a', combine: 'ADD', shape: { kind: 'outline', points: [at(0, .1), at(.2, .12), at(.15, .45), at(-.05, .4)] } },
            { id: 'b', combine: i % 2 ? 'ADD' : 'TAKE_AWAY', shape: { kind: 'brush', strokes: [
              { radius: .03, softness: .6, flow: .8, takeAway: false, points: [at(0, .3), at(.1, .35), at(.2, .3)] }] } } ] });
        }
        const kinds = await (await fetch('/api/catalogue')).json();
        const mixed = ['tone', 'colour', 'detail', 'hue-band', 'fill', 'wash'];
        const move = i => {
          const { kind, controls } = kinds.find(k => k.kind === mixed[i % mixed.length]);
          return { kind, ...Object.fromEntries(controls.map(c => [c.name, c.defaultValue])) };
        };
        const all = { from: -100, full: -100, fullTo: 100, to: 100 };
        const some = { from: -8, full: -6, fullTo: -1, to: 0 };
        for (let i = r.passes.length; i < 12; i++) {
          r.passes.push({ id: `t${i}`, on: true, strength: .9, why: '', gate: i % 4 === 3 ? some : all,
            where: { region: i < 3 ? '' : r.regions[1 + i % 7].id, outside: false }, move: move(i), group: '' });
        }
        const put = await fetch(`/api/views/${view}/recipe`, { method: 'PUT', body: JSON.stringify(r),
          headers: { 'Content-Type': 'application/json', 'X-XSRF-TOKEN': token, 'If-Match': `"${state.edition}"` } });
        if (!put.ok) throw new Error(await put.text());
        return r.passes.length;
      }
      """;

  private static final String WATCH =
      """
      () => {
        Object.assign(window, { took: [], server: [], sharp: [], passes: {}, of: '' });
        let since = 0;
        let last = 0;
        const began = () => { last = since = performance.now(); };
        addEventListener('keydown', e => { if (e.key.startsWith('Arrow')) began(); }, true);
        addEventListener('pointermove', e => { if (e.buttons && !since) began(); }, true);
        new MutationObserver(() => requestAnimationFrame(() => setTimeout(() => {
          const { sharp } = document.documentElement.dataset;
          if (since) {
            (window.passes[window.of] ??= []).push(performance.now() - since);
            window.took.push(performance.now() - since);
            window.server.push(Number(document.querySelector('[data-testid=timing]').dataset.server));
          }
          if (last && sharp === 'true') {
            window.sharp.push(performance.now() - last);
            last = 0;
          }
          since = 0;
        }))).observe(document.documentElement, { attributeFilter: ['data-pictures'] });
      }
      """;

  /** How long a hand takes from a pass that it opened to one of its controls; milliseconds. */
  private static final int REACH = 1200;

  /** Moves of a pointer over a comparison. */
  private static final int SWEEP = 600;

  /** Notes how long after the last frame in which a comparison's line moved the next one comes. */
  private static final String FRAMES =
      """
      () => {
        const line = [...document.querySelector('[data-testid=compare]').children]
          .find(c => c.style.clipPath.startsWith('polygon'));
        window.moved = [];
        let at = line.style.clipPath;
        let last = 0;
        const look = now => {
          if (line.style.clipPath !== at) {
            at = line.style.clipPath;
            if (last) window.moved.push(now - last);
            last = now;
          }
          requestAnimationFrame(look);
        };
        requestAnimationFrame(look);
      }
      """;

  private ScreenSpeed() {}

  public static void main(String[] args) {
    try (TestServer server = new TestServer("speed", Path.of(args[0]));
        Chromium chromium = new Chromium()) {
      Page page = chromium.page();
      page.setDefaultTimeout(60_000);
      page.navigate(server.url());
      Chromium.signIn(page);
      page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Intake")).click();
      page.getByTestId("card-frame").first().waitFor();
      Locator wanted = page.getByRole(AriaRole.CHECKBOX);
      for (int i = 1; i < wanted.count(); i++) {
        wanted.nth(i).uncheck();
      }
      page.getByRole(
              AriaRole.BUTTON,
              new Page.GetByRoleOptions().setName(Pattern.compile("Take in .* as 1 view")))
          .click();
      page.waitForURL(Pattern.compile("/shoots/[0-9a-f-]+$"));
      Locator view = page.getByLabel(Pattern.compile("^Open "));
      view.click();
      page.waitForFunction("() => Number(document.documentElement.dataset.pictures ?? 0) > 0");
      String id = page.url().substring(page.url().lastIndexOf('/') + 1);
      System.out.println("passes: " + page.evaluate(FILL, id));
      page.reload();
      page.waitForFunction("() => Number(document.documentElement.dataset.pictures ?? 0) > 0");
      page.keyboard().press("d");
      page.keyboard().press("a");
      page.evaluate(WATCH);
      for (int round = 0; round < 2; round++) {
        for (int pass = 0; pass < 12; pass++) {
          Locator p = page.getByTestId("pass").nth(pass);
          page.evaluate("kind => { window.of = kind; }", p.getAttribute("data-kind"));
          p.getByRole(
                  AriaRole.BUTTON,
                  new Locator.GetByRoleOptions().setName(Pattern.compile("^Open ")))
              .click();
          moves(page, p.getByRole(AriaRole.SLIDER).first());
        }
        regions(page);
        if (round == 0) {
          page.evaluate(
              "() => Object.assign(window, { took: [], server: [], sharp: [], passes: {} })");
        }
      }
      ((Map<?, ?>) page.evaluate("() => window.passes")).forEach((kind, ms) -> say("" + kind, ms));
      say("control to pixels on screen", page.evaluate("() => window.took"));
      say("of that the server", page.evaluate("() => window.server"));
      say("from the last key to the sharp picture", page.evaluate("() => window.sharp"));
      wipe(page, server.url() + "/views/" + id + "/compare");
    }
  }

  /** Keys on a slider, one after the other as when it is dragged, and then a rest. */
  private static void moves(Page page, Locator slider) {
    slider.focus();
    page.waitForTimeout(REACH);
    for (int k = 0; k < MOVES; k++) {
      int n = seen(page);
      page.keyboard().press(k % 2 == 0 ? "ArrowRight" : "ArrowLeft");
      page.waitForFunction("n => window.took.length > n", n);
    }
    page.waitForFunction("() => document.documentElement.dataset.sharp === 'true'");
  }

  private static int seen(Page page) {
    return ((Number) page.evaluate("() => window.took.length")).intValue();
  }

  /** The feather of a region that a pass works in, and a stroke of the brush into it. */
  private static void regions(Page page) {
    for (int i = 5; i < 8; i++) {
      page.getByRole(
              AriaRole.BUTTON,
              new Page.GetByRoleOptions().setName("Region Region " + i).setExact(true))
          .click();
      page.evaluate("() => { window.of = 'feather of a region'; }");
      moves(
          page,
          page.getByRole(
              AriaRole.SLIDER, new Page.GetByRoleOptions().setName("Feather").setExact(true)));
      page.evaluate("() => { window.of = 'brush'; }");
      page.getByTestId("stage").focus();
      page.keyboard().press("k");
      BoundingBox stage = page.getByTestId("stage").boundingBox();
      double y = stage.y + stage.height * (0.15 + 0.05 * i);
      page.mouse().move(stage.x + stage.width * 0.4, y);
      page.waitForTimeout(REACH);
      page.mouse().down();
      for (int k = 1; k <= MOVES; k++) {
        int n = seen(page);
        page.mouse().move(stage.x + stage.width * (0.4 + 0.012 * k), y);
        page.waitForFunction("n => window.took.length > n", n);
      }
      page.mouse().up();
      page.waitForFunction("() => document.documentElement.dataset.sharp === 'true'");
      page.keyboard().press("Escape");
      page.keyboard().press("Escape");
      page.keyboard().press("a");
    }
  }

  /** The line between two pictures under a pointer that does not rest. */
  private static void wipe(Page page, String address) {
    page.navigate(address);
    Locator pair = page.getByTestId("compare");
    page.waitForFunction(
        "() => [...document.querySelectorAll('[data-testid=compare] img')].filter(i => i.complete && i.naturalWidth > 500).length === 2");
    BoundingBox box = pair.boundingBox();
    page.waitForTimeout(REACH);
    page.evaluate(FRAMES);
    for (int k = 0; k < SWEEP; k++) {
      double at = 0.5 + 0.4 * Math.sin(k / 20.0);
      page.mouse().move(box.x + box.width * at, box.y + box.height / 2);
    }
    say("wipe: from one frame in which the line moved to the next", page.evaluate("() => moved"));
  }

  private static void say(String what, Object list) {
    double[] ms =
        ((List<?>) list).stream().mapToDouble(v -> ((Number) v).doubleValue()).sorted().toArray();
    System.out.printf(
        Locale.ROOT,
        "%s: %d moves, median %.0f ms, p95 %.0f ms%n",
        what,
        ms.length,
        ms[ms.length / 2],
        ms[(int) (ms.length * 0.95)]);
    System.out.println(Map.of("most", Arrays.stream(ms).max().orElse(0)));
  }
}
