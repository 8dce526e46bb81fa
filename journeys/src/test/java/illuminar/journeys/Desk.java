package illuminar.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import java.util.List;
import java.util.regex.Pattern;

/** What journeys do and see at the bench, in the user's words, on a page that may change. */
class Desk {
  Page page;

  Desk(Page page) {
    this.page = page;
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
          "Finish", "Frames", "Ground", "Windows", "Lights", "Tone", "Colour", "Air", "Balance",
          "Mend");

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

  /** A region on the shelf. */
  Locator region(String name) {
    return button("Region " + name);
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

  /** The points of the open curve. */
  Locator points() {
    return page.getByRole(
        AriaRole.SLIDER, new Page.GetByRoleOptions().setName(Pattern.compile("^Curve point")));
  }

  Locator point(int number) {
    return slider("Curve point " + number);
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

  /** Takes hold of something and moves it by so many pixels. */
  void pull(Locator handle, double dx, double dy) {
    handle.hover();
    BoundingBox box = handle.boundingBox();
    double x = box.x + box.width / 2;
    double y = box.y + box.height / 2;
    page.mouse().move(x, y);
    page.mouse().down();
    page.mouse().move(x + dx / 2, y + dy / 2);
    page.mouse().move(x + dx, y + dy);
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

  /** How many pictures have come so far. */
  int pictures() {
    return ((Number) page.evaluate("() => Number(document.documentElement.dataset.pictures ?? 0)"))
        .intValue();
  }

  void waitForPicture(int after) {
    page.waitForFunction("n => Number(document.documentElement.dataset.pictures ?? 0) > n", after);
  }

  void waitForPicture(Runnable act) {
    int before = pictures();
    act.run();
    waitForPicture(before);
  }

  /** Mean grey code round a place of the stage, as the screen shows it. */
  double brightness(double fx, double fy) {
    return ((Number)
            page.evaluate(
                "([fx, fy]) => { const c = document.querySelector('[data-testid=stage] canvas');"
                    + " const d = c.getContext('2d').getImageData(c.width * fx - 12, c.height * fy - 12, 24, 24).data;"
                    + " let s = 0; for (let i = 0; i < d.length; i += 4) s += d[i] + d[i+1] + d[i+2];"
                    + " return s / (d.length / 4) / 3; }",
                List.of(fx, fy)))
        .doubleValue();
  }

  void undo() {
    page.evaluate("() => document.activeElement?.blur()");
    page.keyboard().press("Control+z");
  }

  void expectParts(int n) {
    assertThat(parts()).hasCount(n);
  }
}
