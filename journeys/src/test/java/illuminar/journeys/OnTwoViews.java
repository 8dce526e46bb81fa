package illuminar.journeys;

import com.microsoft.playwright.Page;
import illuminar.server.TestServer;
import illuminar.server.TwoViews;
import illuminar.server.Visitor;

/** Somebody signed in at a shoot of two views, on the page of the shoots. */
final class OnTwoViews implements AutoCloseable {
  final TwoViews views;
  final Entered entered;
  final Page page;

  OnTwoViews(String database) {
    TestServer server = new TestServer(database);
    views = TwoViews.takenIn(new Visitor(server.url()).signedIn());
    entered = new Entered(server);
    page = entered.page;
    page.getByText("New shoot").waitFor();
  }

  @Override
  public void close() {
    entered.close();
  }
}
