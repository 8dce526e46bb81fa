package illuminar.benchmarks.campaign;

import illuminar.server.TestServer;
import illuminar.server.Visitor;
import java.io.IOException;
import java.net.ServerSocket;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.LockSupport;

/** The application in a process of its own, which may be killed and started again. */
final class Victim implements AutoCloseable {
  private static final int PATIENCE_S = 120;

  private final TestServer data;
  private final int port;
  private final String[] options;
  private Process process;

  /**
   * Starts it with an empty database.
   *
   * @param card folder of the frames in its card reader
   */
  Victim(String database, Path card, String... options) throws IOException {
    data = new TestServer(database, card);
    data.stop();
    this.options = options;
    port = freePort();
    start();
  }

  static int freePort() throws IOException {
    try (ServerSocket free = new ServerSocket(0)) {
      return free.getLocalPort();
    }
  }

  /** The database, the folders. */
  TestServer data() {
    return data;
  }

  String url() {
    return "http://127.0.0.1:" + port;
  }

  void start() throws IOException {
    process = data.process(port, options);
    answers(process, url());
  }

  /** Waits until it answers, with whatever. */
  static void answers(Process process, String url) {
    long end = System.nanoTime() + TimeUnit.SECONDS.toNanos(PATIENCE_S);
    while (System.nanoTime() < end && process.isAlive()) {
      try {
        if (new Visitor(url).get("/api/session").statusCode() < 500) {
          return;
        }
      } catch (IllegalStateException e) {
        // not there yet
      }
      LockSupport.parkNanos(100_000_000L);
    }
    throw new IllegalStateException("the application does not answer");
  }

  void kill() throws InterruptedException {
    process.destroyForcibly().waitFor();
  }

  /** Asks it to stop, as Ctrl-C does; seconds until it has. */
  double stop() throws InterruptedException {
    long start = System.nanoTime();
    process.destroy();
    process.waitFor();
    return (System.nanoTime() - start) / 1e9;
  }

  /** What became of all jobs; waits for those that are under way or in line. */
  static void reportJobs(Trial trial, Ledger ledger, TestServer data) {
    long end = System.nanoTime() + TimeUnit.MINUTES.toNanos(8);
    String open = "select count(*) from job where finished is null";
    while (System.nanoTime() < end && count(data, open) > 0) {
      LockSupport.parkNanos(500_000_000L);
    }
    ledger.most(trial, "jobs that neither ended nor went on", count(data, open), "", 0);
    String failed = "select count(*) from job where state = 'FAILED'";
    ledger.most(trial, "jobs that failed", count(data, failed), "", 0);
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
      Path path = Path.of(words[1]);
      if (!Files.exists(path) || Files.size(path) != Long.parseLong(words[0])) {
        missing++;
      }
    }
    return missing;
  }

  @Override
  public void close() {
    process.destroy();
    process.onExit().join();
  }
}
