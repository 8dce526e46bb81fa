package illuminar.benchmarks.campaign;

import illuminar.benchmarks.running.Cards;
import illuminar.benchmarks.running.Photographer;
import illuminar.server.TestServer;
import illuminar.server.Visitor;
import illuminar.server.storage.Bucketed;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.LockSupport;

/**
 * Two nodes on one database and one bucket behind nginx, one of which is killed and started again
 * by turns, while views are edited, cards taken in and views delivered.
 */
final class TwoNodes implements Trial {
  private static final int VIEWS = 4;

  @Override
  public String id() {
    return "nodes";
  }

  @Override
  public void run(Effort effort, Ledger ledger) throws Exception {
    Path card = Cards.of("nodes", Path.of("demo/small/instrument-room"), 0, VIEWS, 3);
    int kills = effort.of(20, 2);
    try (Bucketed service = new Bucketed()) {
      TestServer data = TestServer.onBucket("campaign_nodes", card, service.bucket());
      data.stop();
      try (Node one = new Node(data);
          Node two = new Node(data);
          Proxy proxy = new Proxy(one.port, two.port)) {
        Visitor visitor = new Visitor(proxy.url()).signedIn();
        List<Hand> hands = new ArrayList<>();
        for (String view : new Photographer(visitor).takeInCard(visitor.demoShoot())) {
          hands.add(new Hand(new Visitor(proxy.url()).signedIn(), view));
        }
        Orders orders = new Orders(visitor);
        List<Thread> people = new ArrayList<>();
        hands.forEach(h -> people.add(new Thread(h)));
        people.add(new Thread(orders));
        people.forEach(Thread::start);
        for (int k = 0; k < kills; k++) {
          LockSupport.parkNanos(TimeUnit.MILLISECONDS.toNanos(2500 + 700L * (k % 5)));
          (k % 2 == 0 ? one : two).killAndStart();
        }
        LockSupport.parkNanos(TimeUnit.SECONDS.toNanos(3));
        orders.end();
        hands.forEach(Hand::end);
        for (Thread t : people) {
          t.join();
        }
        report(ledger, data, kills, hands, orders);
      }
    }
  }

  private void report(Ledger ledger, TestServer data, int kills, List<Hand> hands, Orders orders) {
    ledger.least(
        this,
        "edits acknowledged through nginx in " + kills + " kills of a node",
        hands.stream().mapToInt(Hand::acknowledged).sum(),
        "",
        kills);
    ledger.most(this, "acknowledged edits lost", hands.stream().mapToInt(Hand::lost).sum(), "", 0);
    ledger.least(this, "cards taken in and deliveries ordered", orders.ordered(), "", 1);
    ledger.most(this, "jobs that neither ended nor went on", Victim.jobsLeft(data), "", 0);
    ledger.most(
        this,
        "jobs that failed",
        Victim.count(data, "select count(*) from job where state = 'FAILED'"),
        "",
        0);
  }

  /** A node with a folder of its own. */
  private static final class Node implements AutoCloseable {
    private final TestServer data;
    private final int port = Victim.freePort();
    private Process process;

    Node(TestServer data) throws IOException {
      this.data = data;
      start();
    }

    private void start() throws IOException {
      process = data.node(port, "-Xmx2g");
      Victim.answers(process, "http://127.0.0.1:" + port);
    }

    void killAndStart() throws IOException, InterruptedException {
      process.destroyForcibly().waitFor();
      // the other serves alone meanwhile
      LockSupport.parkNanos(TimeUnit.SECONDS.toNanos(3));
      start();
    }

    @Override
    public void close() {
      process.destroy();
      process.onExit().join();
    }
  }
}
