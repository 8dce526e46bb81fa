package illuminar.journeys;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import illuminar.server.TestServer;
import java.io.IOException;
import java.nio.file.Files;

/**
 * Somebody signed in, on the page of the shoots; at a server without a card where no other is
 * given.
 */
final class Entered implements AutoCloseable {
  private static final double PATIENCE = 60_000;

  private final TestServer server;
  final Chromium chromium = new Chromium();
  final Page page = chromium.page();

  Entered(String database) throws IOException {
    this(new TestServer(database, Files.createTempDirectory("illuminar-empty")));
  }

  Entered(TestServer at) {
    server = at;
    PlaywrightAssertions.setDefaultAssertionTimeout(PATIENCE);
    page.context().setDefaultTimeout(PATIENCE);
    page.navigate(server.url());
    Chromium.signIn(page);
  }

  @Override
  public void close() {
    chromium.close();
    server.close();
  }
}
