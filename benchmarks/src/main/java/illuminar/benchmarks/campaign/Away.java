package illuminar.benchmarks.campaign;

import illuminar.benchmarks.running.Cards;
import illuminar.server.Visitor;
import java.nio.file.Path;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.LockSupport;

/** The database away for 1 to 30 s at every step of taking in and delivering. */
final class Away implements Trial {
  private static final int[] SECONDS = {1, 2, 4, 9, 30};

  @Override
  public String id() {
    return "away";
  }

  @Override
  public void run(Effort effort, Ledger ledger) throws Exception {
    Path card = Cards.of("away", Path.of("demo/card"), 0, 2, 3);
    int times = effort.of(30, 1);
    try (Victim victim = new Victim("campaign_away", card, "-Xmx3g")) {
      Orders orders = new Orders(new Visitor(victim.url()).signedIn());
      Thread one = new Thread(orders);
      one.start();
      for (int k = 0; k < times; k++) {
        // the pauses drift along the steps of the work
        LockSupport.parkNanos((1500 + 700L * (k % 9)) * 1_000_000L);
        victim.data().databaseReachable(false);
        LockSupport.parkNanos(TimeUnit.SECONDS.toNanos(SECONDS[k % SECONDS.length]));
        victim.data().databaseReachable(true);
      }
      orders.end();
      one.join();
      ledger.least(this, "outages of 1 to 30 s", times, "", 1);
      orders.report(this, ledger);
      Victim.reportJobs(this, ledger, victim.data());
      ledger.most(
          this,
          "jobs that said that something went wrong",
          victim.count("select count(*) from job where problems::text <> '[]'"),
          "",
          0);
      ledger.most(
          this,
          "views that were not lined up",
          victim.count("select count(*) from view where state = 'NEW'"),
          "",
          0);
      ledger.most(this, "delivered files that are not there whole", victim.notThere(), "", 0);
    }
  }
}
