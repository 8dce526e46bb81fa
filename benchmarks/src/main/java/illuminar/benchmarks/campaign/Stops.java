package illuminar.benchmarks.campaign;

import illuminar.benchmarks.running.Cards;
import illuminar.benchmarks.running.Photographer;
import illuminar.server.Visitor;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.locks.LockSupport;

/** Stops, as by Ctrl-C, at growing times into a card's intake or into a delivery, by turns. */
final class Stops implements Trial {
  private static final int VIEWS = 2;
  private static final int FRAMES = 5;

  @Override
  public String id() {
    return "stops";
  }

  @Override
  public void run(Effort effort, Ledger ledger) throws Exception {
    Path card = Cards.of("stops", Path.of("demo/card"), 0, VIEWS, FRAMES);
    int stops = effort.of(20, 2);
    double longest = 0;
    int taken = 0;
    int delivered = 0;
    try (Victim victim = new Victim("campaign_stops", card, "-Xmx4g")) {
      Visitor first = new Visitor(victim.url()).signedIn();
      String shoot = first.demoShoot();
      List<String> views = new Photographer(first).takeInCard(shoot);
      for (int k = 0; k < stops; k++) {
        Visitor visitor = new Visitor(victim.url()).signedIn();
        if (k % 2 == 0) {
          String id = new Photographer(visitor).newShoot("Stopped");
          taken += visitor.takeInCard(id).has("id") ? 1 : 0;
        } else {
          delivered += visitor.deliver(shoot, views, "JPEG", "PNG_16").has("id") ? 1 : 0;
        }
        LockSupport.parkNanos((300 + 250L * k) * 1_000_000L);
        longest = Math.max(longest, victim.stop());
        victim.start();
        Victim.waitForJobs(victim.data());
      }
      ledger.least(this, "stops while a card was taken in", taken, "", (stops + 1) / 2);
      ledger.least(this, "stops while views were delivered", delivered, "", stops / 2);
      ledger.most(this, "longest of " + stops + " stops during work", longest, "s", 5);
      ledger.most(
          this,
          "jobs that stand in no line",
          victim.count(
              "select count(*) from job where finished is null and not exists (select 1 from"
                  + " scheduled_tasks where task_instance = job.id::text)"),
          "",
          0);
      Victim.reportJobs(this, ledger, victim.data());
      ledger.most(this, "delivered files that are not there whole", victim.notThere(), "", 0);
    }
  }
}
