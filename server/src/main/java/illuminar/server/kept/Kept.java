package illuminar.server.kept;

import illuminar.server.Settings;
import jakarta.annotation.PreDestroy;
import java.io.BufferedInputStream;
import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.attribute.FileTime;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.ArrayBlockingQueue;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ThreadPoolExecutor;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/**
 * Files with what was worked out once and could be worked out again. Together they are bounded in
 * bytes: those not read for longest go first. A file that cannot be read is one that is not there.
 */
@Component
public class Kept {
  private static final Logger LOG = LoggerFactory.getLogger(Kept.class);
  private static final int BLOCK = 1 << 16;

  /** Milliseconds that the application waits at its end for what is being written. */
  private static final long PATIENCE = 1500;

  /** Of the bound, what is left after files were deleted; so that they are not one by one. */
  private static final double LEFT = 0.9;

  /** Files that wait to be written; who comes with one more writes it. */
  private static final int WAITING = 8;

  private final Path folder;
  private final long most;
  private final ThreadPoolExecutor writer =
      new ThreadPoolExecutor(
          1,
          1,
          0,
          TimeUnit.SECONDS,
          new ArrayBlockingQueue<>(WAITING),
          work -> {
            Thread thread = new Thread(work, "kept");
            thread.setDaemon(true);
            return thread;
          },
          new ThreadPoolExecutor.CallerRunsPolicy());

  Kept(Settings settings) {
    folder = settings.home().toAbsolutePath().resolve("kept");
    most = settings.kept().toBytes();
  }

  /** Reads a file's content. */
  interface Reading<T> {
    T of(InputStream in) throws IOException;
  }

  /** Writes a file's content. */
  interface Writing {
    void to(OutputStream out) throws IOException;
  }

  /** What is read out of a file, where it is there and can be read. */
  <T> Optional<T> read(String name, Reading<T> reading) {
    Path file = folder.resolve(name);
    try (InputStream in = new BufferedInputStream(Files.newInputStream(file), BLOCK)) {
      T read = reading.of(in);
      Files.setLastModifiedTime(file, FileTime.from(Instant.now()));
      return Optional.of(read);
    } catch (NoSuchFileException e) {
      return Optional.empty();
    } catch (IOException | RuntimeException e) {
      // whatever is wrong with a file that can be made again
      LOG.warn("{} is made anew: {}", name, e.toString());
      return Optional.empty();
    }
  }

  boolean has(String name) {
    return Files.exists(folder.resolve(name));
  }

  /**
   * Writes a file, after whoever asked for it has gone on. It is there whole or not at all; without
   * room for it there is none.
   */
  void write(String name, Writing writing) {
    writer.execute(() -> writeNow(name, writing));
  }

  /** Waits until all is written that was asked for until now. */
  void settle() throws InterruptedException {
    CountDownLatch end = new CountDownLatch(1);
    writer.execute(end::countDown);
    end.await();
  }

  /** Writes what it can before the application ends; the rest is found again. */
  @PreDestroy
  void end() throws InterruptedException {
    writer.shutdown();
    if (!writer.awaitTermination(PATIENCE, TimeUnit.MILLISECONDS)) {
      LOG.warn("some of what was found is not kept, and found again");
      writer.shutdownNow();
    }
  }

  private void writeNow(String name, Writing writing) {
    Path file = folder.resolve(name);
    Path part = file.resolveSibling(file.getFileName() + "." + UUID.randomUUID() + ".part");
    try {
      Files.createDirectories(file.getParent());
      try (OutputStream out = new BufferedOutputStream(Files.newOutputStream(part), BLOCK)) {
        writing.to(out);
      }
      Files.move(part, file, StandardCopyOption.ATOMIC_MOVE, StandardCopyOption.REPLACE_EXISTING);
    } catch (IOException e) {
      LOG.warn("{} is not kept: {}", name, e.getMessage());
      try {
        Files.deleteIfExists(part);
      } catch (IOException again) {
        LOG.debug("{} stays: {}", part, again.getMessage());
      }
    }
  }

  private record Lying(Path file, long bytes, FileTime read) {}

  /** Deletes what is too much, and what a crash left half written. */
  @Scheduled(initialDelay = 60 * 1000L, fixedDelay = 600 * 1000L)
  public void sweep() throws IOException {
    if (!Files.isDirectory(folder)) {
      return;
    }
    List<Lying> all = new ArrayList<>();
    Instant lately = Instant.now().minusSeconds(600);
    try (Stream<Path> files = Files.walk(folder)) {
      for (Path p : files.filter(Files::isRegularFile).toList()) {
        Lying lying = new Lying(p, Files.size(p), Files.getLastModifiedTime(p));
        if (p.toString().endsWith(".part")) {
          if (lying.read.toInstant().isBefore(lately)) {
            Files.deleteIfExists(p);
          }
        } else {
          all.add(lying);
        }
      }
    }
    long sum = all.stream().mapToLong(Lying::bytes).sum();
    if (sum <= most) {
      return;
    }
    all.sort(Comparator.comparing(Lying::read));
    for (Lying lying : all) {
      if (sum <= most * LEFT) {
        return;
      }
      Files.deleteIfExists(lying.file);
      sum -= lying.bytes;
    }
  }
}
