package illuminar.server;

import tools.jackson.databind.JsonNode;

/**
 * The application with one view of the small demo card taken in, for all tests that look at it or
 * edit it; started once in each test process, at the first that asks. A test leaves the view lined
 * up, and counts on nothing that another did.
 */
record Opened(TestServer server, Visitor visitor, String shoot, String id) {

  private static final class Once {
    static final Opened OPENED = open();
  }

  static Opened view() {
    return Once.OPENED;
  }

  private static Opened open() {
    TestServer server = new TestServer("opened_" + System.getProperty("illuminar.fork", "test"));
    Runtime.getRuntime().addShutdownHook(new Thread(server::stop));
    Visitor visitor = new Visitor(server.url()).signedIn();
    String shoot = visitor.demoShoot();
    return new Opened(server, visitor, shoot, visitor.firstView(shoot));
  }

  /** Where the view's recipe stands. */
  JsonNode state() {
    return visitor.json("/api/views/" + id + "/recipe");
  }
}
