package illuminar.benchmarks.campaign;

import illuminar.benchmarks.running.Photographer;
import illuminar.server.Visitor;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.locks.LockSupport;
import tools.jackson.databind.JsonNode;

/**
 * Someone who takes cards in and delivers views, one after the other, whatever happens meanwhile.
 */
final class Orders implements Runnable {
  private final Visitor visitor;
  private volatile boolean ends;
  private int taken;
  private int delivered;

  Orders(Visitor visitor) {
    this.visitor = visitor;
  }

  @Override
  public void run() {
    while (!ends) {
      try {
        takeInAndDeliver();
      } catch (RuntimeException e) {
        // nobody answers just now, or what is answered is no shoot
        LockSupport.parkNanos(100_000_000L);
      }
    }
  }

  private void takeInAndDeliver() {
    String id = new Photographer(visitor).newShoot("Fault");
    if (id.isEmpty() || !visitor.takeInCard(id).has("id")) {
      LockSupport.parkNanos(100_000_000L);
      return;
    }
    taken++;
    while (!ends && !over(id)) {
      LockSupport.parkNanos(200_000_000L);
    }
    List<String> views = new ArrayList<>();
    visitor
        .json("/api/shoots/" + id)
        .path("views")
        .forEach(v -> views.add(v.path("id").asString()));
    if (!views.isEmpty() && visitor.deliver(id, views, "JPEG", "PNG_16").has("id")) {
      delivered++;
      while (!ends && !over(id)) {
        LockSupport.parkNanos(200_000_000L);
      }
    }
  }

  private boolean over(String shoot) {
    try {
      JsonNode jobs = visitor.json("/api/shoots/" + shoot + "/jobs");
      for (JsonNode job : jobs) {
        if (job.path("state").asString().matches("WAITING|RUNNING")) {
          return false;
        }
      }
      return jobs.isArray();
    } catch (RuntimeException e) {
      return false;
    }
  }

  void end() {
    ends = true;
  }

  /** Whether there was any work for faults to meet. */
  void report(Trial trial, Ledger ledger) {
    ledger.least(trial, "cards taken in", taken, "", 1);
    ledger.least(trial, "deliveries ordered", delivered, "", 1);
  }
}
