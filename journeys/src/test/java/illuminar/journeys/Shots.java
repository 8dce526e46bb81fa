package illuminar.journeys;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.WaitForSelectorState;
import java.nio.file.Path;
import java.util.regex.Pattern;

/** A page of which pictures are kept, once nothing on it moves. */
final class Shots {
  private final Page page;
  private final Path folder;

  Shots(Page page, Path folder) {
    this.page = page;
    this.folder = folder;
  }

  /** Waits for something not to be seen any more. */
  static Locator.WaitForOptions gone() {
    return new Locator.WaitForOptions().setState(WaitForSelectorState.HIDDEN);
  }

  /** No job runs any more. */
  void idle() {
    page.waitForFunction(
        "() => ![...document.querySelectorAll('[data-testid=job]')]"
            + ".some(j => ['WAITING', 'RUNNING'].includes(j.dataset.state))");
  }

  Locator passes(String kind) {
    return page.locator("[data-testid=pass][data-kind=" + kind + "]");
  }

  void drag(BoundingBox stage, double x0, double y0, double x1, double y1) {
    page.mouse().move(stage.x + stage.width * x0, stage.y + stage.height * y0);
    page.mouse().down();
    page.mouse()
        .move(
            stage.x + stage.width * x1,
            stage.y + stage.height * y1,
            new com.microsoft.playwright.Mouse.MoveOptions().setSteps(6));
    page.mouse().up();
    rest();
  }

  Locator link(String name) {
    return page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(name)).first();
  }

  Locator button(String pattern) {
    return page.getByRole(
            AriaRole.BUTTON,
            new Page.GetByRoleOptions().setName(Pattern.compile("^" + pattern + "$")))
        .first();
  }

  /** Opens a pass. */
  void open(Locator pass) {
    pass.getByRole(
            AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(Pattern.compile("^Open ")))
        .click();
  }

  /** Adds from the menu of the open stage. */
  void add(String name) {
    button("Add …").click();
    page.getByRole(AriaRole.MENUITEM, new Page.GetByRoleOptions().setName(name).setExact(true))
        .click();
  }

  /** Does something and waits for the picture that it leads to. */
  void picture(Runnable act) {
    String count = "() => Number(document.documentElement.dataset.pictures ?? 0)";
    int before = ((Number) page.evaluate(count)).intValue();
    act.run();
    page.waitForFunction(
        "n => Number(document.documentElement.dataset.pictures ?? 0) > n"
            + " && document.documentElement.dataset.sharp === 'true'",
        before);
  }

  /** Overlays and saved state come back when nothing moves any more. */
  void rest() {
    page.waitForLoadState(com.microsoft.playwright.options.LoadState.NETWORKIDLE);
    page.waitForTimeout(700);
    page.waitForFunction("() => !document.body.innerText.includes('Drawing the picture')");
  }

  /** All images that are in sight are there. */
  void images() {
    page.waitForFunction(
        "() => [...document.images]"
            + ".filter((i) => i.getBoundingClientRect().top < innerHeight)"
            + ".every((i) => i.complete && i.naturalWidth > 0)");
  }

  void keep(String name) {
    page.screenshot(new Page.ScreenshotOptions().setPath(folder.resolve(name + ".png")));
  }
}
