package illuminar.benchmarks.campaign;

import illuminar.benchmarks.running.Cards;
import java.nio.file.Path;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.LockSupport;

/**
 * Kills of the server and of its database at random moments while views are edited, cards taken in
 * and views delivered.
 */
final class Kills implements Trial {
  private static final int VIEWS = 3;

  /** One kill of the server in so many; the others are of the database. */
  private static final int SERVER = 3;

  /** So long it may go on on a slow machine. */
  private static final long PATIENCE = TimeUnit.MINUTES.toNanos(60);

  @Override
  public String id() {
    return "kills";
  }

  @Override
  public void run(Effort effort, Ledger ledger) throws Exception {
    Path card = Cards.of("kills", Path.of("demo/small/instrument-room"), 0, VIEWS, 3);
    int wanted = effort.of(300, 2);
    int kills = 0;
    long end = System.nanoTime() + PATIENCE;
    try (Victim victim = new Victim("campaign_kills", card, "-Xmx2g")) {
      Cluster cluster = new Cluster(victim.data());
      Crowd crowd = new Crowd(victim.url());
      crowd.begin();
      // the same moments each time
      Random chance = new Random(17);
      for (int k = 0; k < wanted && System.nanoTime() < end; k++, kills++) {
        LockSupport.parkNanos((200 + chance.nextInt(2500)) * 1_000_000L);
        if (k % 25 == 0) {
          System.out.println(k + " kills");
        }
        // in the tests others use the database as well
        if (effort == Effort.SHORT || k % SERVER == 0) {
          victim.kill();
          victim.start();
        } else {
          cluster.kill();
          LockSupport.parkNanos(chance.nextInt(1500) * 1_000_000L);
          cluster.start();
        }
      }
      LockSupport.parkNanos(3_000_000_000L);
      crowd.end();
      ledger.least(this, "kills of the server and of its database", kills, "", wanted);
      crowd.report(this, ledger, kills + " kills");
      Victim.reportJobs(this, ledger, victim.data());
      ledger.most(this, "delivered files that are not there whole", victim.notThere(), "", 0);
    }
  }
}
