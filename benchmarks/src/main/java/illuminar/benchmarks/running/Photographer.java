package illuminar.benchmarks.running;

import illuminar.server.Visitor;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import tools.jackson.databind.JsonNode;

/** Somebody who is signed in and waits for jobs, however long they take. */
public final class Photographer {
  private static final Duration PATIENCE = Duration.ofHours(1);

  private final Visitor visitor;

  public Photographer(Visitor visitor) {
    this.visitor = visitor;
  }

  public String newShoot(String name) {
    return Visitor.JSON
        .readTree(visitor.post("/api/shoots", "{\"name\":\"" + name + "\"}").body())
        .path("id")
        .asString();
  }

  /** Takes in the whole card; the ids of the shoot's views. */
  public List<String> takeInCard(String shoot) {
    ended(shoot, visitor.takeInCard(shoot));
    List<String> views = new ArrayList<>();
    visitor
        .json("/api/shoots/" + shoot)
        .path("views")
        .forEach(v -> views.add(v.path("id").asString()));
    return views;
  }

  /** Delivers views as JPEGs of full size. */
  public void deliver(String shoot, List<String> views) {
    ended(shoot, visitor.deliver(shoot, views, "JPEG"));
  }

  /** Delivers by an order as JSON. */
  void deliver(String shoot, String order) {
    String answer = visitor.post("/api/shoots/" + shoot + "/delivery", order).body();
    ended(shoot, Visitor.JSON.readTree(answer));
  }

  /** Waits until no job of the shoot is under way. */
  void idle(String shoot) {
    for (JsonNode job : visitor.json("/api/shoots/" + shoot + "/jobs")) {
      visitor.done(shoot, job.path("id").asString(), PATIENCE);
    }
  }

  private void ended(String shoot, JsonNode job) {
    JsonNode end = visitor.done(shoot, job.path("id").asString(), PATIENCE);
    if (!end.path("state").asString().equals("DONE")) {
      throw new IllegalStateException(end.toString());
    }
  }
}
