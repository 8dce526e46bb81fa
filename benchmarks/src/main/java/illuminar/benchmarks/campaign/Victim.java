package illuminar.benchmarks.campaign;

import illuminar.server.OwnProcess;
import illuminar.server.TestServer;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.LockSupport;

/** The application in a process of its own, which may be killed and started again. */
final class Victim implements AutoCloseable {
  /** A job that has not ended for so long stands still. */
  private static final long STILL = TimeUnit.MINUTES.toNanos(5);

  private final TestServer data;
  private final OwnProcess application;

  /**
   * Starts it with an empty database.
   *
   * @param card folder of the frames in its card reader
   */
  Victim(String database, Path card, String... options) throws IOException {
    data = new TestServer(database, card);
    data.stop();
    application = OwnProcess.of(data, options);
  }

  /** The database, the folders. */
  TestServer data() {
    return data;
  }

  String url() {
    return application.url();
  }

  ProcessHandle process() {
    return application.process().toHandle();
  }

  void start() throws IOException {
    application.start();
  }

  void kill() throws InterruptedException {
    application.kill();
  }

  /** Asks it to stop, as Ctrl-C does; seconds until it has. */
  double stop() {
    long start = System.nanoTime();
    application.close();
    return (System.nanoTime() - start) / 1e9;
  }

  /** What became of all jobs; waits for those that are under way or in line. */
  static void reportJobs(Trial trial, Ledger ledger, TestServer data) {
    reportOpenJobs(trial, ledger, data);
    String failed = "select count(*) from job where state = 'FAILED'";
    ledger.most(trial, "jobs that failed", count(data, failed), "", 0);
  }

  /** How many jobs are not over, once none has ended for so long that it stands still. */
  static int waitForJobs(TestServer data) {
    String open = "select count(*) from job where finished is null";
    int left = count(data, open);
    long end = System.nanoTime() + STILL;
    while (left > 0 && System.nanoTime() < end) {
      LockSupport.parkNanos(500_000_000L);
      int now = count(data, open);
      if (now < left) {
        end = System.nanoTime() + STILL;
      }
      left = now;
    }
    return left;
  }

  /** Which jobs are not over, once they have had their time. */
  static void reportOpenJobs(Trial trial, Ledger ledger, TestServer data) {
    ledger.most(trial, "jobs that neither ended nor went on", waitForJobs(data), "", 0);
  }

  int count(String question) {
    return count(data, question);
  }

  private static int count(TestServer data, String question) {
    return Integer.parseInt(data.sql(question).get(0));
  }

  /** Files that were delivered by the list and are not there, or of another length. */
  int notThere() throws IOException {
    List<String> files = data.sql("select bytes || ' ' || path from delivered");
    int missing = 0;
    for (String file : files) {
      String[] words = file.split(" ", 2);
      Path path = data.home().resolve(words[1]);
      if (!Files.exists(path) || Files.size(path) != Long.parseLong(words[0])) {
        missing++;
      }
    }
    return missing;
  }

  @Override
  public void close() {
    application.close();
  }
}
