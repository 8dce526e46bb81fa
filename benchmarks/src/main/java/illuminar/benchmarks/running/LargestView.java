package illuminar.benchmarks.running;

import illuminar.benchmarks.Speeds;
import illuminar.server.TestServer;
import illuminar.server.Visitor;
import java.nio.file.Path;
import tools.jackson.databind.JsonNode;

/** Seven frames of 45 MP, taken in and delivered by a server of its own: what it holds at most. */
final class LargestView implements Measure {
  /** The least heap in which it works; the processes that read come to it. */
  private static final String HEAP = "-Xmx2600m";

  private static final int WIDTH = 8220;

  @Override
  public void measure(Speeds speeds) throws Exception {
    Path card = Cards.of("largest", Path.of("demo/card"), WIDTH, 1, 7);
    try (TestServer prepared = new TestServer("running_largest", card)) {
      prepared.stop();
      int port = Processes.freePort();
      Process process = prepared.process(port, HEAP);
      try (Processes.Watched watched = new Processes.Watched(process)) {
        String url = "http://127.0.0.1:" + port;
        Processes.answers(url);
        Visitor visitor = new Visitor(url).signedIn();
        String shoot = visitor.demoShoot();
        ended(visitor, shoot, visitor.takeInCard(shoot));
        speeds.most("45 MP × 7, taken in: most memory", watched.most(), "MB", 2000);
        String view = visitor.json("/api/shoots/" + shoot).at("/views/0/id").asString();
        String order =
            "{\"views\":[\"%s\"],\"formats\":[\"JPEG\"],\"longEdge\":0,\"quality\":92,\"copyright\":\"\"}"
                .formatted(view);
        ended(
            visitor,
            shoot,
            Visitor.JSON.readTree(
                visitor.post("/api/shoots/" + shoot + "/delivery", order).body()));
        speeds.most("the same, delivered too: most memory", watched.most(), "MB", 2000);
      } finally {
        process.destroy();
        process.waitFor();
        prepared.start();
      }
    }
  }

  /** Waits for a job, however long it takes. */
  static void ended(Visitor visitor, String shoot, JsonNode job) throws InterruptedException {
    String id = job.path("id").asString();
    while (true) {
      for (JsonNode j : visitor.json("/api/shoots/" + shoot + "/jobs")) {
        String state = j.path("state").asString();
        if (j.path("id").asString().equals(id) && !state.matches("WAITING|RUNNING")) {
          if (!state.equals("DONE")) {
            throw new IllegalStateException(j.toString());
          }
          return;
        }
      }
      Thread.sleep(200);
    }
  }
}
