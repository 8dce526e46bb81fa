package illuminar.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import illuminar.server.TestServer;
import java.util.List;
import java.util.regex.Pattern;

/** What journeys do at the bench, in the user's words; with a server and a browser of its own. */
final class Bench implements AutoCloseable {
  private static final double PATIENCE = 60_000;

  private final TestServer server;
  private final Chromium chromium = new Chromium();
  Page page = chromium.page();

  /** Opens the first view of the small demo card under a name. */
  Bench(String database, String view) {
    server = new TestServer(database);
    PlaywrightAssertions.setDefaultAssertionTimeout(PATIENCE);
    page.context().setDefaultTimeout(PATIENCE);
    openFirstView(server.url(), view);
  }

  @Override
  public void close() {
    chromium.close();
    server.close();
  }

  String url() {
    return server.url();
  }

  /** Signs in, takes the card's first view in and opens it. */
  private void openFirstView(String url, String view) {
    page.navigate(url);
    Chromium.signIn(page);
    page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Intake")).click();
    page.getByLabel("Name of the view").fill(view);
    page.getByRole(
            AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Take in ")))
        .click();
    page.waitForURL(Pattern.compile("/shoots/[0-9a-f-]+$"));
    page.getByLabel("Open " + view).click();
    page.waitForFunction(SEEN);
  }

  /** The recipe that the product made by itself. */
  static final String FIRST_VERSION = "r => r";

  /** An even blend with its windows alone, for what is done by hand from there. */
  static final String WINDOWS =
      """
      async (r, post, view) => {
        const { frames, towards } = r.ground;
        r.ground = { kind: 'even-blend', frames, contrast: 1, saturation: 1, exposedness: 1,
          oneWhereMoving: true, chosen: [], calm: 0, towards };
        r.passes = [];
        r.regions = [];
        r = (await (await post(`/api/views/${view}/proposals/Windows`, r)).json()).recipe;
        r.passes = r.passes.filter(p => p.move.kind === 'bring-frame');
        r.regions = r.regions.filter(g => r.passes.some(p => p.where.region === g.id));
        return r;
      }
      """;

  /** Puts a view's recipe to what is made of its first version, and its board to nothing. */
  private static final String PUT =
      """
      async (first) => {
        const view = location.pathname.match(/views\\/([0-9a-f-]+)/)[1];
        const token = decodeURIComponent(document.cookie.match(/XSRF-TOKEN=([^;]+)/)?.[1] ?? '');
        const by = method => (path, body, more) => fetch(path, { method, body: JSON.stringify(body),
          headers: { 'Content-Type': 'application/json', 'X-XSRF-TOKEN': token, ...more } });
        const send = by('PUT');
        let recipe, put;
        // the last step of the tab before may still be on its way
        for (let tries = 0; tries < 5 && !(put && put.ok); tries++) {
          const state = await (await fetch(`/api/views/${view}/recipe`)).json();
          recipe = first ? JSON.parse(first) : state.recipe;
          put = await send(`/api/views/${view}/recipe`, await (MADE)(structuredClone(recipe), by('POST'), view),
            { 'If-Match': `"${state.edition}"` });
        }
        const board = await send(`/api/views/${view}/board`, { probes: [], reference: '' }, {});
        if (!put.ok || !board.ok) throw new Error(await put.text());
        return JSON.stringify(recipe);
      }
      """;

  private static final String SEEN =
      "() => Number(document.documentElement.dataset.pictures ?? 0) > 0";

  private String address = "";
  private String first = "";

  /** Opens the view in a new tab, on a recipe made of its first version. */
  Page begin(String made) {
    if (address.isEmpty()) {
      address = page.url();
    }
    Page next = page.context().newPage();
    page.close();
    page = next;
    String view = address.substring(address.lastIndexOf('/') + 1);
    page.navigate(url() + "/api/views/" + view + "/recipe");
    first = String.valueOf(page.evaluate(PUT.replace("MADE", made), first));
    page.navigate(address);
    page.waitForFunction(SEEN);
    return page;
  }

  /** The same for a page that has just opened a view. */
  static void windowsAlone(Page page) {
    page.waitForFunction(SEEN);
    page.evaluate(PUT.replace("MADE", WINDOWS), "");
    page.reload();
    page.waitForFunction(SEEN);
  }

  /** Opens the page anew and waits for its picture. */
  void reload() {
    page.reload();
    page.waitForFunction(SEEN);
  }

  /** Adds a pass from the menu of its stage and waits for the picture with it. */
  Locator add(String name, String kind) {
    open(
        String.valueOf(
            page.evaluate(
                "async kind => (await (await fetch('/api/catalogue')).json())"
                    + ".find(k => k.kind === kind).stage",
                kind)));
    waitForPicture(() -> pick(name));
    return passes(kind).last();
  }

  /** Picks from the menu of the open stage. */
  void pick(String name) {
    button("Add …").click();
    item(name).click();
  }

  private static final List<String> STAGES =
      List.of(
          "Finish", "Frames", "Ground", "Windows", "Lights", "Tone", "Colour", "Air", "Balance");

  /** Opens a stage of the work by its key, or the whole recipe. */
  void open(String stage) {
    page.evaluate("() => document.activeElement?.blur()");
    int key = STAGES.indexOf(stage);
    page.keyboard().press(key < 0 ? "a" : Integer.toString(key));
    page.locator("[role=tab][aria-selected=true]")
        .and(page.locator("#tab-" + (key < 0 ? "All" : stage)))
        .waitFor();
  }

  /** Opens a pass. */
  void choose(Locator pass) {
    pass.getByRole(
            AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(Pattern.compile("^Open ")))
        .click();
  }

  /** A new region with an ellipse in it. */
  void ellipse(double... places) {
    page.keyboard().press("n");
    page.keyboard().press("e");
    drag(places);
    expectParts(1);
  }

  /** The passes of a kind. */
  Locator passes(String kind) {
    return page.locator("[data-testid=pass][data-kind=" + kind + "]");
  }

  Locator button(String name) {
    return page.getByRole(
        AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true));
  }

  /** A stage of the recipe, or another named part of the bench. */
  Locator stage(String name) {
    return page.getByRole(
        AriaRole.REGION, new Page.GetByRoleOptions().setName(name).setExact(true));
  }

  Locator slider(String name) {
    return page.getByRole(
        AriaRole.SLIDER, new Page.GetByRoleOptions().setName(name).setExact(true));
  }

  Locator number(String name) {
    return page.getByLabel(name + ", number", new Page.GetByLabelOptions().setExact(true));
  }

  Locator item(String name) {
    return page.getByRole(
        AriaRole.MENUITEM, new Page.GetByRoleOptions().setName(name).setExact(true));
  }

  void set(String name, String value) {
    number(name).fill(value);
    page.keyboard().press("Enter");
  }

  Locator parts() {
    return page.getByTestId("part");
  }

  Locator saved() {
    return page.getByTestId("saved");
  }

  /** Drags over the stage; places as fractions of it. */
  void drag(double... places) {
    BoundingBox stage = page.getByTestId("stage").boundingBox();
    for (int i = 0; i < places.length; i += 2) {
      page.mouse().move(stage.x + stage.width * places[i], stage.y + stage.height * places[i + 1]);
      if (i == 0) {
        page.mouse().down();
      }
    }
    page.mouse().up();
  }

  void click(double x, double y) {
    BoundingBox stage = page.getByTestId("stage").boundingBox();
    page.mouse().click(stage.x + stage.width * x, stage.y + stage.height * y);
  }

  /** Waits until the selected region's mask covers some share of the picture. */
  void waitForShare(String region, double least, double most) {
    page.waitForFunction(
        "([name, least, most]) => { const c = [...document.querySelectorAll('button[aria-label]')]"
            + ".find(b => b.getAttribute('aria-label') === 'Region ' + name)?.querySelector('canvas');"
            + " if (!c || !c.width) return false;"
            + " const d = c.getContext('2d').getImageData(0, 0, c.width, c.height).data;"
            + " let s = 0; for (let i = 0; i < d.length; i += 4) s += d[i];"
            + " const share = s / (d.length / 4) / 255; return share >= least && share <= most; }",
        List.of(region, least, most));
  }

  void waitForPicture(Runnable act) {
    String count = "() => Number(document.documentElement.dataset.pictures ?? 0)";
    int before = ((Number) page.evaluate(count)).intValue();
    act.run();
    page.waitForFunction("n => Number(document.documentElement.dataset.pictures ?? 0) > n", before);
  }

  void undo() {
    page.evaluate("() => document.activeElement?.blur()");
    page.keyboard().press("Control+z");
  }

  void expectParts(int n) {
    assertThat(parts()).hasCount(n);
  }
}
