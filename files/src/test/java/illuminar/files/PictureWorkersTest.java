package illuminar.files;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import illuminar.core.frame.Codes;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.Callable;
import java.util.concurrent.CancellationException;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import java.util.function.BooleanSupplier;
import java.util.stream.Collectors;
import java.util.zip.DeflaterOutputStream;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Files that harm whoever reads them harm a process of their own; common practice, no source. */
class PictureWorkersTest {
  private static final BooleanSupplier ALWAYS = Boolean.TRUE::booleanValue;

  private static final Patience LONG = new Patience(Duration.ofMinutes(1), Duration.ofSeconds(1));

  @TempDir private Path dir;
  private PictureWorkers workers = workers("-Xmx64m", LONG);

  private static PictureWorkers workers(String memory, Patience patience) {
    String java = Path.of(System.getProperty("java.home"), "bin", "java").toString();
    return new PictureWorkers(
        List.of(
            java,
            memory,
            "-XX:+ExitOnOutOfMemoryError",
            "-Djava.awt.headless=true",
            "-cp",
            System.getProperty("java.class.path"),
            PictureWorker.class.getName()),
        1,
        patience);
  }

  @AfterEach
  void close() {
    workers.close();
  }

  private static BufferedImage image() {
    BufferedImage image = new BufferedImage(64, 48, BufferedImage.TYPE_3BYTE_BGR);
    for (int i = 0; i < 64 * 48; i++) {
      image.setRGB(i % 64, i / 64, i * 7919);
    }
    return image;
  }

  private Path good() throws IOException {
    Path file = dir.resolve("good.png");
    ImageIO.write(image(), "png", file.toFile());
    return file;
  }

  private void theNextFileIsRead() throws Exception {
    assertThat(workers.pixels(good(), "good.png", ALWAYS).eight())
        .isEqualTo(PictureReader.pixels(good(), "good.png").eight());
  }

  @Test
  void whatIsReadIsWhatIsReadHere() throws Exception {
    Path jpeg = dir.resolve("a.jpg");
    try (OutputStream out = Files.newOutputStream(jpeg)) {
      PictureWriter.jpeg(
          image(),
          0.9,
          new Legend(
              Optional.of(new illuminar.core.exposure.Exposure(0.25, 8, 100)),
              Optional.of(java.time.LocalDateTime.of(2026, 6, 11, 12, 4, 10, 350_000_000)),
              Optional.of(java.time.ZoneOffset.ofHours(-3)),
              Optics.of("Fennick 17-35", 24, 0),
              new MakeAndModel("Fennick", "F1"),
              true,
              6,
              Credits.of("© 2026 Heathlight Studio"),
              3),
          out);
    }
    PictureWorkers.Glance seen = workers.glance(jpeg, "a.jpg", ALWAYS);
    assertThat(seen.header()).isEqualTo(new Header("jpeg", 48, 64));
    assertThat(seen.capture()).isEqualTo(PictureReader.capture(jpeg, "a.jpg"));
    assertThat(seen.codes().eight()).isEqualTo(PictureReader.pixels(jpeg, "a.jpg").eight());
    short[] codes = new short[3 * 300 * 200];
    for (int i = 0; i < codes.length; i++) {
      codes[i] = (short) (i * 31);
    }
    Path tiff = dir.resolve("a.tif");
    PictureWriter.linearTiff(PictureWriter.image16(300, 200, codes), Legend.NONE, tiff);
    Codes deep = workers.pixels(tiff, "a.tif", ALWAYS);
    assertThat(deep.sixteen()).isEqualTo(codes);
    assertThat(deep.linear()).isTrue();
  }

  @Test
  void aPictureOfSixteenBitsIsHeldOnce() throws Exception {
    workers = workers("-Xmx60m", LONG);
    int w = 3000;
    int h = 2000;
    short[] codes = new short[3 * w * h];
    for (int i = 0; i < codes.length; i++) {
      codes[i] = (short) (i / 97);
    }
    Path tiff = dir.resolve("large.tif");
    PictureWriter.linearTiff(PictureWriter.image16(w, h, codes), Legend.NONE, tiff);
    // 36 of the 60 MB
    assertThat(Arrays.equals(workers.pixels(tiff, "large.tif", ALWAYS).sixteen(), codes)).isTrue();
  }

  @Test
  void aRefusalComesWithTheNameOfTheFile() throws Exception {
    Path file = Files.writeString(dir.resolve("x"), "no picture at all");
    Files.write(dir.resolve("empty"), new byte[0]);
    assertThatThrownBy(() -> workers.pixels(dir.resolve("empty"), "Tür 01.jpg", ALWAYS))
        .isInstanceOf(BadPicture.class)
        .hasMessage("Tür 01.jpg: the file is empty");
    assertThatThrownBy(() -> workers.glance(file, "x.jpg", ALWAYS)).isInstanceOf(BadPicture.class);
    theNextFileIsRead();
  }

  /** A text of two hundred million letters in two hundred thousand bytes. Source: PNG, zTXt. */
  private Path bomb() throws IOException {
    ByteArrayOutputStream text = new ByteArrayOutputStream();
    text.write("Comment\0\0".getBytes(StandardCharsets.US_ASCII));
    try (DeflaterOutputStream deflate = new DeflaterOutputStream(text)) {
      byte[] letters = new byte[1_000_000];
      Arrays.fill(letters, (byte) 'a');
      for (int i = 0; i < 200; i++) {
        deflate.write(letters);
      }
    }
    byte[] png = Files.readAllBytes(good());
    byte[] bomb = PngChunks.with(png, PngChunks.chunk("zTXt", text.toByteArray()));
    Path file = Files.write(dir.resolve("bomb.png"), bomb);
    assertThat(Files.size(file)).isLessThan(300_000);
    return file;
  }

  @Test
  void aTextThatInflatesTakesAProcessAndNotTheApplication() throws Exception {
    Path file = bomb();
    assertThatThrownBy(() -> workers.pixels(file, "bomb.png", ALWAYS))
        .isInstanceOf(BadPicture.class)
        .hasMessageStartingWith("bomb.png: reading it takes more memory");
    theNextFileIsRead();
  }

  @Test
  void scansWithoutEndAreEndedAfterAWhile() throws Exception {
    Path file = EndlessScans.in(dir);
    workers.close();
    workers = workers("-Xmx512m", new Patience(Duration.ofSeconds(3), Duration.ofMillis(1)));
    assertThatThrownBy(() -> workers.pixels(file, "scans.jpg", ALWAYS))
        .isInstanceOf(BadPicture.class)
        .hasMessage("scans.jpg: reading it takes longer than a picture of its size may");
  }

  /** A process that stands still for longer than it may work has done nothing wrong. */
  @Test
  void aMachineThatIsBusyEndsNothing() throws Exception {
    Path file = good();
    workers.close();
    Set<Long> others = children();
    workers = workers("-Xmx64m", new Patience(Duration.ofSeconds(3), Duration.ofMillis(1)));
    workers.ready();
    long worker = children().stream().filter(c -> !others.contains(c)).findFirst().orElseThrow();
    signal("-STOP", worker);
    long since = System.nanoTime();
    CompletableFuture<Void> goes =
        CompletableFuture.runAsync(
            () -> signal("-CONT", worker), CompletableFuture.delayedExecutor(4, TimeUnit.SECONDS));
    assertThat(workers.pixels(file, "good.png", ALWAYS).width()).isPositive();
    assertThat(Duration.ofNanos(System.nanoTime() - since)).isGreaterThan(Duration.ofSeconds(3));
    goes.join();
  }

  private static void signal(String which, long process) {
    try {
      new ProcessBuilder("kill", which, String.valueOf(process)).start().onExit().join();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** Those of this process, what earlier tests have ended and the machine not yet forgotten too. */
  private static Set<Long> children() {
    return ProcessHandle.current().children().map(ProcessHandle::pid).collect(Collectors.toSet());
  }

  @Test
  void aProcessThatCannotBeStartedIsNamed() throws Exception {
    PictureWorkers none = new PictureWorkers(List.of("/no/such/java"), 1, LONG);
    Path file = good();
    assertThatThrownBy(() -> none.pixels(file, "good.png", ALWAYS))
        .isInstanceOf(BadPicture.class)
        .hasMessage("good.png: no process can be started to read it");
  }

  /** Whoever waits for a file can go: what reads it is ended, and who waits in line need not. */
  @Test
  void whatIsNotWantedAnyMoreIsNotRead() throws Exception {
    Path file = EndlessScans.in(dir);
    long until = System.nanoTime() + Duration.ofMillis(700).toNanos();
    Callable<Boolean> gone =
        () -> {
          assertThatThrownBy(
                  () -> workers.pixels(file, "scans.jpg", () -> System.nanoTime() < until))
              .isInstanceOf(CancellationException.class)
              .hasMessage("scans.jpg: reading it was called off");
          return System.nanoTime() < until + Duration.ofSeconds(3).toNanos();
        };
    ExecutorService two = Executors.newFixedThreadPool(2);
    try {
      for (Future<Boolean> soon : two.invokeAll(List.of(gone, gone))) {
        assertThat(soon.get()).isTrue();
      }
    } finally {
      two.shutdownNow();
    }
    theNextFileIsRead();
  }

  /** A server that stops reads nothing more, whoever waits for it. */
  @Test
  void aCloseCallsOffWhatIsReadAndWhatFollows() throws Exception {
    Path file = EndlessScans.in(dir);
    ExecutorService one = Executors.newSingleThreadExecutor();
    try {
      Future<?> reads = one.submit(() -> workers.pixels(file, "scans.jpg", ALWAYS));
      Thread.sleep(1500);
      workers.close();
      assertThatThrownBy(() -> reads.get(2, TimeUnit.SECONDS))
          .hasRootCauseInstanceOf(CancellationException.class);
      Path next = good();
      assertThatThrownBy(() -> workers.pixels(next, "good.png", ALWAYS))
          .isInstanceOf(CancellationException.class);
    } finally {
      one.shutdownNow();
    }
  }
}
