package illuminar.server;

/** A server of its own at which somebody is signed in to a shoot of two views. */
record AtTwoViews(TestServer server, Visitor visitor, TwoViews views) implements AutoCloseable {

  static AtTwoViews of(String database) {
    TestServer server = new TestServer(database);
    Visitor visitor = new Visitor(server.url()).signedIn();
    return new AtTwoViews(server, visitor, TwoViews.takenIn(visitor));
  }

  /** Changes of one of the views. */
  Edits edits(String view) {
    return new Edits(visitor, view);
  }

  @Override
  public void close() {
    server.close();
  }
}
