package illuminar.journeys;

import com.microsoft.playwright.Page;
import java.nio.file.Path;

/** The interface's modules in Chromium, to be called one by one. */
final class Modules implements AutoCloseable {
  private final Chromium chromium = new Chromium();
  private final Page page = chromium.page();

  Modules() {
    page.addScriptTag(
        new Page.AddScriptTagOptions().setPath(Path.of("../web/target/modules/modules.js")));
  }

  /** What an expression gives; {@code m} are the modules. */
  Object call(String expression) {
    return page.evaluate("async () => { const m = illuminar; " + expression + " }");
  }

  @Override
  public void close() {
    chromium.close();
  }
}
