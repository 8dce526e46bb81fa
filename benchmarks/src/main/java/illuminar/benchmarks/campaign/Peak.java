package illuminar.benchmarks.campaign;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.concurrent.locks.LockSupport;
import java.util.stream.Stream;

/**
 * The most memory that any process begun by another one has held, read again and again. Source:
 * proc(5), VmHWM.
 */
final class Peak implements AutoCloseable {
  private static final String HELD = "VmHWM:";

  private final ProcessHandle parent;
  private final Thread looks = new Thread(this::look);
  private volatile boolean ends;
  private volatile long most;

  Peak(ProcessHandle parent) {
    this.parent = parent;
    looks.setDaemon(true);
    looks.start();
  }

  private void look() {
    while (!ends) {
      try (Stream<ProcessHandle> children = parent.descendants()) {
        most = Math.max(most, children.mapToLong(c -> held(c.pid())).max().orElse(0));
      }
      LockSupport.parkNanos(50_000_000L);
    }
  }

  private static long held(long pid) {
    try (Stream<String> lines = Files.lines(Path.of("/proc", Long.toString(pid), "status"))) {
      return lines
          .filter(l -> l.startsWith(HELD))
          .mapToLong(l -> Long.parseLong(l.replaceAll("\\D", "")) * 1024)
          .findFirst()
          .orElse(0);
    } catch (IOException | UncheckedIOException e) {
      // it has ended meanwhile
      return 0;
    }
  }

  /** Bytes. */
  long most() {
    return most;
  }

  @Override
  public void close() {
    ends = true;
  }
}
