package illuminar.files;

import illuminar.core.frame.Codes;
import java.io.BufferedInputStream;
import java.io.BufferedOutputStream;
import java.io.DataInputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.concurrent.CancellationException;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicReference;
import java.util.function.BooleanSupplier;
import java.util.stream.Stream;

/**
 * The one door to files of others: a few processes that read them, each with a bound on its memory
 * and, for each file, on its time. A process that fails is ended; the next file gets another.
 */
public final class PictureWorkers implements AutoCloseable {
  /** A process that has read so many pixels holds much memory, and is not asked again. */
  private static final long LARGE = 60_000_000;

  /** How Java ends that is told to end when its memory is full. */
  private static final int NO_MEMORY = 3;

  /** After how many milliseconds it is asked again whether something is still wanted. */
  private static final long ASKED = 300;

  private static final ScheduledExecutorService CLOCK =
      Executors.newSingleThreadScheduledExecutor(PictureWorkers::quiet);

  private final List<String> command;
  private final Patience patience;
  private final Semaphore free;
  private final Deque<Worker> idle = new ArrayDeque<>();

  /** Those that read; guarded as {@link #idle} is, and so is {@link #closed}. */
  private final Set<Worker> busy = new HashSet<>();

  private boolean closed;

  /**
   * @param command that starts a {@link PictureWorker}, with {@code -XX:+ExitOnOutOfMemoryError}
   * @param most processes at a time
   */
  public PictureWorkers(List<String> command, int most, Patience patience) {
    this.command = List.copyOf(command);
    this.patience = patience;
    free = new Semaphore(most, true);
  }

  private static Thread quiet(Runnable work) {
    Thread thread = new Thread(work, "readers' clock");
    thread.setDaemon(true);
    return thread;
  }

  /**
   * What is seen of a file at a glance.
   *
   * @param header of the picture when it is upright
   * @param codes pixels for a small picture
   */
  public record Glance(Header header, Capture capture, Codes codes) {}

  /**
   * Reads header, capture and pixels for a small picture.
   *
   * @param wanted asked every now and then
   * @throws CancellationException once it is not wanted any more; what read it is ended
   */
  public Glance glance(Path file, String name, BooleanSupplier wanted) throws BadPicture {
    return ask(PictureWorker.Ask.GLANCE, file, name, wanted);
  }

  /**
   * Reads all pixels, upright.
   *
   * @param wanted asked every now and then
   * @throws CancellationException once it is not wanted any more; what read it is ended
   */
  public Codes pixels(Path file, String name, BooleanSupplier wanted) throws BadPicture {
    return ask(PictureWorker.Ask.PIXELS, file, name, wanted).codes();
  }

  /** Starts a process beforehand, so that the first file does not wait for it. */
  public void ready() {
    try {
      giveBack(new Worker(), true);
    } catch (IOException e) {
      // the first file to be read is refused with the reason
    }
  }

  private Glance ask(PictureWorker.Ask ask, Path file, String name, BooleanSupplier wanted)
      throws BadPicture {
    enter(name, wanted);
    try {
      Worker worker = worker(name);
      boolean well = false;
      try {
        Glance seen = worker.ask(ask, file, name, wanted);
        well = seen.header().pixels() < LARGE;
        return seen;
      } catch (BadPicture e) {
        well = true;
        throw e;
      } catch (IOException e) {
        if (worker.unwanted) {
          throw calledOff(name);
        }
        throw new BadPicture(name, worker.failure(), e);
      } finally {
        giveBack(worker, well);
      }
    } finally {
      free.release();
    }
  }

  /** Waits for a free process. */
  private void enter(String name, BooleanSupplier wanted) {
    try {
      while (!free.tryAcquire(ASKED, TimeUnit.MILLISECONDS)) {
        if (!wanted.getAsBoolean()) {
          throw calledOff(name);
        }
      }
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw calledOff(name);
    }
  }

  private static CancellationException calledOff(String name) {
    return new CancellationException(name + ": reading it was called off");
  }

  private Worker worker(String name) throws BadPicture {
    synchronized (idle) {
      if (closed) {
        throw calledOff(name);
      }
      while (!idle.isEmpty()) {
        Worker worker = idle.pop();
        if (worker.process.isAlive()) {
          return taken(worker, name);
        }
      }
    }
    try {
      return taken(new Worker(), name);
    } catch (IOException e) {
      throw new BadPicture(name, "no process can be started to read it", e);
    }
  }

  /** The worker as one that reads, unless nothing is read any more. */
  private Worker taken(Worker worker, String name) {
    synchronized (idle) {
      if (closed) {
        worker.end();
        throw calledOff(name);
      }
      busy.add(worker);
      return worker;
    }
  }

  private void giveBack(Worker worker, boolean well) {
    synchronized (idle) {
      busy.remove(worker);
      if (well && !closed) {
        idle.push(worker);
        return;
      }
    }
    worker.end();
  }

  /** Calls off what is being read and what will be asked for. */
  @Override
  public void close() {
    synchronized (idle) {
      closed = true;
      idle.forEach(Worker::end);
      idle.clear();
      busy.forEach(Worker::callOff);
    }
  }

  private final class Worker {
    private final Process process;
    private final DataOutputStream to;
    private final DataInputStream from;
    private volatile boolean late;
    private volatile boolean unwanted;

    Worker() throws IOException {
      process = new ProcessBuilder(command).redirectError(ProcessBuilder.Redirect.DISCARD).start();
      to = new DataOutputStream(new BufferedOutputStream(process.getOutputStream()));
      from = new DataInputStream(new BufferedInputStream(process.getInputStream(), Wire.BUFFER));
    }

    Glance ask(PictureWorker.Ask ask, Path file, String name, BooleanSupplier wanted)
        throws IOException, BadPicture {
      long since = System.nanoTime();
      Duration before = worked();
      AtomicReference<Duration> may = new AtomicReference<>(patience.start());
      Future<?> watch =
          CLOCK.scheduleWithFixedDelay(
              () -> {
                endUnlessWanted(wanted);
                endIfLate(may.get(), worked().minus(before), since);
              },
              ASKED,
              ASKED,
              TimeUnit.MILLISECONDS);
      try {
        to.writeByte(ask.ordinal());
        to.writeUTF(file.toAbsolutePath().toString());
        to.writeUTF(name);
        to.flush();
        Header header = Wire.header(from, name);
        may.set(patience.of(header));
        return new Glance(header, Wire.capture(from, name), Wire.codes(from, name));
      } finally {
        watch.cancel(false);
      }
    }

    private void endUnlessWanted(BooleanSupplier wanted) {
      if (!wanted.getAsBoolean()) {
        callOff();
      }
    }

    void callOff() {
      unwanted = true;
      end();
    }

    private void endIfLate(Duration may, Duration worked, long since) {
      if (Patience.over(may, worked, Duration.ofNanos(System.nanoTime() - since))) {
        late = true;
        end();
      }
    }

    /** How long processors have worked for it and for what it runs. */
    private Duration worked() {
      return Stream.concat(Stream.of(process.toHandle()), process.descendants())
          .flatMap(p -> p.info().totalCpuDuration().stream())
          .reduce(Duration.ZERO, Duration::plus);
    }

    /** Ends the process and what it has started. */
    void end() {
      process.descendants().forEach(ProcessHandle::destroyForcibly);
      process.destroyForcibly();
    }

    /** Why no answer came. */
    String failure() {
      if (late) {
        return "reading it takes longer than a picture of its size may";
      }
      try {
        process.waitFor(1, TimeUnit.SECONDS);
      } catch (InterruptedException e) {
        Thread.currentThread().interrupt();
      }
      return !process.isAlive() && process.exitValue() == NO_MEMORY
          ? "reading it takes more memory than a picture may"
          : "the process that read it has failed";
    }
  }
}
