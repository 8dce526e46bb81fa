package illuminar.journeys;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import illuminar.server.TestServer;
import java.util.regex.Pattern;

/** A bench with a server and a browser of its own. */
final class Bench extends Desk implements AutoCloseable {
  private final Entered entered;

  /** Opens the first view of the small demo card under a name. */
  Bench(String database, String view) {
    this(new Entered(new TestServer(database)), view);
  }

  private Bench(Entered entered, String view) {
    super(entered.page);
    this.entered = entered;
    openFirstView(view);
  }

  @Override
  public void close() {
    entered.close();
  }

  String url() {
    return entered.url();
  }

  /** Takes the card's first view in and opens it. */
  private void openFirstView(String view) {
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
}
