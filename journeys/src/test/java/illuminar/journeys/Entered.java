package illuminar.journeys;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import com.microsoft.playwright.options.AriaRole;
import illuminar.server.TestServer;
import illuminar.server.Visitor;
import java.io.IOException;
import java.nio.file.Files;
import java.util.regex.Pattern;

/**
 * Somebody signed in, on the page of the shoots; at a server without a card where no other is
 * given.
 */
final class Entered implements AutoCloseable {
  private final TestServer server;
  final Chromium chromium = new Chromium();
  final Page page = chromium.page();

  Entered(String database) throws IOException {
    this(new TestServer(database, Files.createTempDirectory("illuminar-empty")));
  }

  Entered(TestServer at) {
    this(at, true);
  }

  private Entered(TestServer at, boolean signedIn) {
    server = at;
    double patience = Visitor.PATIENCE.toMillis();
    PlaywrightAssertions.setDefaultAssertionTimeout(patience);
    page.context().setDefaultTimeout(patience);
    page.navigate(server.url());
    if (signedIn) {
      Chromium.signIn(page);
    }
  }

  /** Before the door: at the small demo card, signed in as nobody. */
  static Entered not(String database) {
    return new Entered(new TestServer(database), false);
  }

  String url() {
    return server.url();
  }

  @Override
  public void close() {
    chromium.close();
    server.close();
  }

  /** The button whose name a pattern fits from its beginning. */
  Locator button(String begins) {
    return page.getByRole(
        AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^" + begins)));
  }

  Locator link(String name) {
    return page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(name).setExact(true));
  }
}
