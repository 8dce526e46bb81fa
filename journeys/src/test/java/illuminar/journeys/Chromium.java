package illuminar.journeys;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;

/** Debian's Chromium without a monitor, one page of 1280 by 800. */
final class Chromium implements AutoCloseable {
  private final Playwright playwright =
      Playwright.create(
          new Playwright.CreateOptions().setEnv(Map.of("PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD", "1")));
  final Browser browser =
      playwright
          .chromium()
          .launch(
              new BrowserType.LaunchOptions()
                  .setExecutablePath(Path.of("/usr/bin/chromium"))
                  .setArgs(
                      List.of(
                          "--no-sandbox",
                          "--disable-gpu",
                          "--disable-background-networking",
                          "--disable-component-update",
                          "--disable-sync",
                          "--no-first-run")));

  Page page() {
    return browser.newContext(new Browser.NewContextOptions().setViewportSize(1280, 800)).newPage();
  }

  /** Signs the demo's photographer in. */
  static void signIn(Page page) {
    page.getByLabel("E-mail").fill("demo@illuminar.test");
    page.getByLabel("Password").fill("heather");
    page.keyboard().press("Enter");
  }

  @Override
  public void close() {
    playwright.close();
  }
}
