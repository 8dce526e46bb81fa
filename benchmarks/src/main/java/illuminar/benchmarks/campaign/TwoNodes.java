package illuminar.benchmarks.campaign;

import illuminar.benchmarks.running.Cards;
import illuminar.server.OwnProcess;
import illuminar.server.TestServer;
import illuminar.server.storage.Bucketed;
import java.io.IOException;
import java.nio.file.Path;
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
      try (OwnProcess one = OwnProcess.elsewhere(data, "-Xmx2g");
          OwnProcess two = OwnProcess.elsewhere(data, "-Xmx2g");
          Proxy proxy = new Proxy(one.port(), two.port())) {
        Crowd crowd = new Crowd(proxy.url());
        crowd.begin();
        for (int k = 0; k < kills; k++) {
          LockSupport.parkNanos(TimeUnit.MILLISECONDS.toNanos(2500 + 700L * (k % 5)));
          killAndStart(k % 2 == 0 ? one : two);
        }
        LockSupport.parkNanos(TimeUnit.SECONDS.toNanos(3));
        crowd.end();
        crowd.report(this, ledger, kills + " kills of a node, through nginx");
        Victim.reportJobs(this, ledger, data);
      }
    }
  }

  private static void killAndStart(OwnProcess node) throws IOException, InterruptedException {
    node.kill();
    // the other serves alone meanwhile
    LockSupport.parkNanos(TimeUnit.SECONDS.toNanos(3));
    node.start();
  }
}
