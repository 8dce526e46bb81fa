package illuminar.benchmarks.running;

import illuminar.server.Visitor;
import java.io.IOException;
import java.net.ServerSocket;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.concurrent.atomic.AtomicBoolean;

/** The application in a process of its own: whether it answers, and how much memory it holds. */
final class Processes {
  private static final int PATIENCE = 600;

  private Processes() {}

  static int freePort() throws IOException {
    try (ServerSocket s = new ServerSocket(0)) {
      return s.getLocalPort();
    }
  }

  /** Waits until it answers. */
  static void answers(String url) throws InterruptedException {
    for (int i = 0; i < PATIENCE; i++) {
      try {
        if (new Visitor(url).get("/api/session").statusCode() < 500) {
          return;
        }
      } catch (IllegalStateException e) {
        Thread.sleep(100);
      }
    }
    throw new IllegalStateException("the application does not answer");
  }

  /** Megabytes that a process holds. */
  static double resident(Process process) throws IOException {
    return status(process.pid());
  }

  private static double status(long pid) throws IOException {
    Path file = Path.of("/proc", String.valueOf(pid), "status");
    if (!Files.exists(file)) {
      return 0;
    }
    for (String line : Files.readAllLines(file)) {
      if (line.startsWith("VmRSS:")) {
        return Long.parseLong(line.replaceAll("\\D", "")) / 1000.0;
      }
    }
    return 0;
  }

  /** The most that a process and those it started hold at once, looked at ten times a second. */
  static final class Watched implements AutoCloseable {
    private final AtomicBoolean end = new AtomicBoolean();
    private volatile double most;

    Watched(Process process) {
      Thread thread =
          new Thread(
              () -> {
                while (!end.get()) {
                  most = Math.max(most, all(process));
                  java.util.concurrent.locks.LockSupport.parkNanos(100_000_000L);
                }
              });
      thread.setDaemon(true);
      thread.start();
    }

    private static double all(Process process) {
      try {
        double sum = status(process.pid());
        for (ProcessHandle child : process.descendants().toList()) {
          sum += status(child.pid());
        }
        return sum;
      } catch (IOException e) {
        // one of them has just ended
        return 0;
      }
    }

    double most() {
      return most;
    }

    @Override
    public void close() {
      end.set(true);
    }
  }
}
