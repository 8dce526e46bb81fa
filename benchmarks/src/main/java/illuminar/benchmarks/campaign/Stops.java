package illuminar.benchmarks.campaign;

import illuminar.server.Visitor;
import java.nio.file.Path;
import java.util.concurrent.locks.LockSupport;

/** Stops, as by Ctrl-C, while cards are taken in and views delivered. */
final class Stops implements Trial {
  @Override
  public String id() {
    return "stops";
  }

  @Override
  public void run(Effort effort, Ledger ledger) throws Exception {
    double longest = 0;
    int stops = effort.of(20, 2);
    try (Victim victim = new Victim("campaign_stops", Path.of("demo/card"), "-Xmx4g")) {
      for (int k = 0; k < stops; k++) {
        Orders orders = new Orders(new Visitor(victim.url()).signedIn());
        Thread one = new Thread(orders);
        one.start();
        LockSupport.parkNanos((1000 + 1300L * k) * 1_000_000L);
        longest = Math.max(longest, victim.stop());
        orders.end();
        one.join();
        victim.start();
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
