package illuminar.files;

import illuminar.core.frame.Codes;
import java.io.DataInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.TimeUnit;

/**
 * Raw files of cameras, read by LibRaw in a process that may take neither long nor much memory: the
 * camera's black and white levels and its white balance, clipped where the sensor clips, its
 * colours by its matrix to sRGB primaries, 16-bit codes proportional to light.
 */
final class LibRaw {
  /** The address space of a process, in bytes: 110 MP in four colours need half of it. */
  private static final long MEMORY = 4_000_000_000L;

  private static final String DEVELOP = "dcraw_emu";
  private static final String IDENTIFY = "raw-identify";
  private static final int DEEPEST = 65535;

  private final Path file;
  private final String name;
  private final Duration patience;

  /**
   * @param patience after which a process is ended
   */
  LibRaw(Path file, String name, Duration patience) {
    this.file = file.toAbsolutePath();
    this.name = name;
    this.patience = patience;
  }

  /** A file as it is read usually: a minute, ten times what the largest need here. */
  LibRaw(Path file, String name) {
    this(file, name, Duration.ofMinutes(1));
  }

  private interface Use<T> {
    T of(InputStream out) throws IOException, BadPicture;
  }

  /** Size of the picture as the sensor lay. */
  Header header() throws BadPicture {
    String said =
        run(
            List.of(IDENTIFY, "-s", file.toString()),
            out -> new String(out.readAllBytes(), StandardCharsets.UTF_8));
    String[] parts = said.strip().split("\t", -1);
    try {
      int n = parts.length;
      return new Header(
          FileKind.RAW.id(), Integer.parseInt(parts[n - 2]), Integer.parseInt(parts[n - 1]));
    } catch (NumberFormatException | ArrayIndexOutOfBoundsException e) {
      throw new BadPicture(
          name, "this is not a JPEG, PNG, TIFF or raw picture that can be read", e);
    }
  }

  /** The whole picture, upright. */
  Codes pixels() throws BadPicture {
    return developed();
  }

  /** The picture at half its size, each pixel of four of the sensor's; several times as fast. */
  Codes half() throws BadPicture {
    return developed("-h");
  }

  private Codes developed(String... more) throws BadPicture {
    // 16 bits without brightening, the camera's white balance, white where the sensor is full and
    // not
    // where the brightest pixel is, sRGB primaries, to standard output
    List<String> command =
        new ArrayList<>(List.of(DEVELOP, "-4", "-w", "-c", "0", "-o", "1", "-Z", "-"));
    command.addAll(List.of(more));
    command.add(file.toString());
    return run(command, this::read);
  }

  /** Runs one of LibRaw's commands within its limits. */
  private <T> T run(List<String> command, Use<T> use) throws BadPicture {
    List<String> bounded = new ArrayList<>(List.of("prlimit", "--as=" + MEMORY));
    bounded.addAll(command);
    Process process;
    try {
      process = new ProcessBuilder(bounded).redirectError(ProcessBuilder.Redirect.DISCARD).start();
    } catch (IOException e) {
      throw new BadPicture(name, "raw files cannot be read here: LibRaw is not installed", e);
    }
    CompletableFuture<Void> end =
        CompletableFuture.runAsync(
            process::destroyForcibly,
            CompletableFuture.delayedExecutor(patience.toMillis(), TimeUnit.MILLISECONDS));
    try (InputStream out = process.getInputStream()) {
      return use.of(out);
    } catch (IOException e) {
      throw new BadPicture(name, failed(process), e);
    } finally {
      end.cancel(false);
      process.destroyForcibly();
    }
  }

  private String failed(Process process) {
    try {
      process.waitFor(1, TimeUnit.SECONDS);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
    int how = process.isAlive() ? 0 : process.exitValue();
    return switch (how) {
      // what a shell and prlimit say of a command that is not there
      case 127 -> "raw files cannot be read here: LibRaw is not installed";
      // killed
      case 137 -> "reading it took longer than " + patience.toSeconds() + " s";
      default -> "LibRaw cannot read it; it may be damaged or cut short";
    };
  }

  /** A binary PPM of 16 bits. Source: netpbm's description of the format. */
  private Codes read(InputStream out) throws IOException, BadPicture {
    DataInputStream in = new DataInputStream(new java.io.BufferedInputStream(out, 1 << 20));
    if (!word(in).equals("P6")) {
      throw new IOException("no picture came");
    }
    Header header = new Header(FileKind.RAW.id(), number(in), number(in)).checked(name);
    if (number(in) != DEEPEST) {
      throw new IOException("not of 16 bits");
    }
    short[] codes = new short[3 * header.width() * header.height()];
    byte[] row = new byte[6 * header.width()];
    for (int y = 0; y < header.height(); y++) {
      in.readFully(row);
      ByteBuffer.wrap(row).asShortBuffer().get(codes, y * row.length / 2, row.length / 2);
    }
    return Codes.of16(header.width(), header.height(), codes, true);
  }

  private static int number(DataInputStream in) throws IOException {
    try {
      return Integer.parseInt(word(in));
    } catch (NumberFormatException e) {
      throw new IOException("not a number", e);
    }
  }

  private static String word(DataInputStream in) throws IOException {
    StringBuilder out = new StringBuilder();
    for (int c = in.read(); c >= 0 && !Character.isWhitespace(c); c = in.read()) {
      out.append((char) c);
    }
    return out.toString();
  }
}
