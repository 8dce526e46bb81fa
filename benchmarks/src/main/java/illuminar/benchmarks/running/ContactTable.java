package illuminar.benchmarks.running;

import illuminar.benchmarks.Speeds;
import illuminar.server.TestServer;
import illuminar.server.Visitor;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.stream.Stream;
import tools.jackson.databind.JsonNode;

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
      JsonNode job = visitor.takeInCard(shoot);
      while (!visitor
          .json("/api/shoots/" + shoot + "/jobs")
          .get(0)
          .path("state")
          .asString()
          .matches("DONE|FAILED")) {
        Thread.sleep(500);
      }
      System.out.println(visitor.done(shoot, job.path("id").asString()).path("state"));
      List<String> views = new ArrayList<>();
      visitor
          .json("/api/shoots/" + shoot)
          .path("views")
          .forEach(v -> views.add(v.path("id").asString()));
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
      deliver(speeds, server, visitor, shoot, views.subList(0, DELIVERED));
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

  private static void deliver(
      Speeds speeds, TestServer server, Visitor visitor, String shoot, List<String> views)
      throws IOException {
    Set<Path> before = kept(server);
    String order =
        "{\"views\":[\"%s\"],\"formats\":[\"JPEG\"],\"longEdge\":0,\"quality\":92,\"copyright\":\"\"}"
            .formatted(String.join("\",\"", views));
    JsonNode job =
        Visitor.JSON.readTree(visitor.post("/api/shoots/" + shoot + "/delivery", order).body());
    String state = visitor.done(shoot, job.path("id").asString()).path("state").asString();
    if (!state.equals("DONE")) {
      throw new IllegalStateException("the delivery is " + state);
    }
    Set<Path> after = kept(server);
    after.removeAll(before);
    speeds.most(
        "twenty JPEGs delivered from cold views: what was found anew", after.size(), "findings", 0);
  }

  private static Set<Path> kept(TestServer server) throws IOException {
    Set<Path> out = new HashSet<>();
    try (Stream<Path> walk = Files.walk(server.home().resolve("kept"))) {
      walk.filter(Files::isRegularFile).forEach(out::add);
    }
    return out;
  }
}
