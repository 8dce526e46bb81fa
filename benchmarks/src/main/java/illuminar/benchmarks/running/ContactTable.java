package illuminar.benchmarks.running;

import illuminar.benchmarks.Speeds;
import illuminar.server.TestServer;
import illuminar.server.Visitor;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;

/** A shoot of forty small views after a restart: its covers, and twenty views delivered. */
final class ContactTable implements Measure {
  private static final int VIEWS = 40;
  private static final int DELIVERED = 20;

  /** Connections that a browser opens to one host. */
  private static final int CONNECTIONS = 6;

  @Override
  public void measure(Speeds speeds) throws Exception {
    Path card = Cards.of("table", Path.of("demo/small/instrument-room"), 0, VIEWS, 5);
    try (TestServer server = new TestServer("running_table", card)) {
      Visitor visitor = new Visitor(server.url()).signedIn();
      String shoot = visitor.demoShoot();
      Photographer photographer = new Photographer(visitor);
      List<String> views = photographer.takeInCard(shoot);
      if (views.size() != VIEWS) {
        throw new IllegalStateException(views.size() + " views");
      }
      for (String view : views) {
        visitor.bytes("/api/views/" + view + "/cover");
      }
      server.stop();
      server.start();
      visitor.moved(server.url());
      long start = System.nanoTime();
      visitor.json("/api/shoots/" + shoot);
      covers(visitor, views);
      speeds.most(
          "contact table of 40 views after a restart, all covers",
          (System.nanoTime() - start) / 1e6,
          "ms",
          1000);
      Path kept = server.home().resolve("kept");
      Set<Path> before = Set.copyOf(Folders.files(kept));
      photographer.deliver(shoot, views.subList(0, DELIVERED));
      speeds.most(
          "twenty JPEGs delivered from cold views: what was found anew",
          (double) Folders.files(kept).stream().filter(f -> !before.contains(f)).count(),
          "findings",
          0);
    }
  }

  private static void covers(Visitor visitor, List<String> views) throws Exception {
    ExecutorService browser = Executors.newFixedThreadPool(CONNECTIONS);
    List<Future<byte[]>> covers = new ArrayList<>();
    for (String view : views) {
      covers.add(browser.submit(() -> visitor.bytes("/api/views/" + view + "/cover")));
    }
    for (Future<byte[]> cover : covers) {
      if (cover.get().length < 1000) {
        throw new IllegalStateException("a cover is missing");
      }
    }
    browser.shutdown();
  }
}
