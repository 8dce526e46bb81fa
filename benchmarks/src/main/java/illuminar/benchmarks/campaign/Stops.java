package illuminar.benchmarks.campaign;

import illuminar.benchmarks.running.Cards;
import illuminar.server.Visitor;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.locks.LockSupport;

/** Stops, as by Ctrl-C, while cards are taken in and views delivered. */
final class Stops implements Trial {
  /** So few that views are delivered too before the longest pauses are over. */
  private static final int VIEWS = 2;

  private static final int FRAMES = 5;

  @Override
  public String id() {
    return "stops";
  }

  @Override
  public void run(Effort effort, Ledger ledger) throws Exception {
    Path card = Cards.of("stops", Path.of("demo/card"), 0, VIEWS, FRAMES);
    double longest = 0;
    int stops = effort.of(20, 2);
    List<Orders> all = new ArrayList<>();
    try (Victim victim = new Victim("campaign_stops", card, "-Xmx4g")) {
      for (int k = 0; k < stops; k++) {
        Orders orders = new Orders(new Visitor(victim.url()).signedIn());
        all.add(orders);
        Thread one = new Thread(orders);
        one.start();
        LockSupport.parkNanos((1000 + 1300L * k) * 1_000_000L);
        longest = Math.max(longest, victim.stop());
        orders.end();
        one.join();
        victim.start();
      }
      if (effort == Effort.WHOLE) {
        Orders.report(this, ledger, all);
      }
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
    }
  }
}
