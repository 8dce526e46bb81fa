package illuminar.benchmarks.campaign;

import illuminar.benchmarks.running.Cards;
import illuminar.benchmarks.running.Photographer;
import illuminar.server.Visitor;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.concurrent.locks.LockSupport;

/**
 * Kills of the server and of its database at random moments while views are edited, cards taken in
 * and views delivered.
 */
final class Kills implements Trial {
  private static final int VIEWS = 3;

  /** One kill of the server in so many; the others are of the database. */
  private static final int SERVER = 3;

  @Override
  public String id() {
    return "kills";
  }

  @Override
  public void run(Effort effort, Ledger ledger) throws Exception {
    Path card = Cards.of("kills", Path.of("demo/small/instrument-room"), 0, VIEWS, 3);
    int kills = effort.of(300, 4);
    try (Victim victim = new Victim("campaign_kills", card, "-Xmx2g")) {
      Cluster cluster = new Cluster(victim.data());
      Visitor visitor = new Visitor(victim.url()).signedIn();
      List<Hand> hands = new ArrayList<>();
      for (String view : new Photographer(visitor).takeInCard(visitor.demoShoot())) {
        hands.add(new Hand(new Visitor(victim.url()).signedIn(), view));
      }
      Orders orders = new Orders(visitor);
      List<Thread> people = new ArrayList<>();
      hands.forEach(h -> people.add(new Thread(h)));
      people.add(new Thread(orders));
      people.forEach(Thread::start);
      // the same moments each time
      Random chance = new Random(17);
      for (int k = 0; k < kills; k++) {
        LockSupport.parkNanos((200 + chance.nextInt(2500)) * 1_000_000L);
        if (k % 25 == 0) {
          System.out.println(k + " kills");
        }
        if (k % SERVER == 0) {
          victim.kill();
          victim.start();
        } else {
          cluster.kill();
          LockSupport.parkNanos(chance.nextInt(1500) * 1_000_000L);
          cluster.start();
        }
      }
      LockSupport.parkNanos(3_000_000_000L);
      orders.end();
      hands.forEach(Hand::end);
      for (Thread t : people) {
        t.join();
      }
      report(ledger, victim, kills, hands, orders);
    }
  }

  private void report(Ledger ledger, Victim victim, int kills, List<Hand> hands, Orders orders)
      throws Exception {
    int acknowledged = hands.stream().mapToInt(Hand::acknowledged).sum();
    ledger.least(this, "edits acknowledged in " + kills + " kills", acknowledged, "", kills);
    ledger.most(this, "acknowledged edits lost", hands.stream().mapToInt(Hand::lost).sum(), "", 0);
    ledger.most(
        this,
        "edits answered other than done, or that the database is away",
        hands.stream().mapToInt(Hand::failures).sum(),
        "",
        0);
    ledger.least(this, "cards taken in and deliveries ordered", orders.ordered(), "", 1);
    ledger.most(this, "jobs that neither ended nor went on", victim.jobsLeft(), "", 0);
    ledger.most(
        this,
        "jobs that failed",
        victim.count("select count(*) from job where state = 'FAILED'"),
        "",
        0);
    ledger.most(this, "delivered files that are not there whole", victim.notThere(), "", 0);
  }
}
