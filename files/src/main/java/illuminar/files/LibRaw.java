package illuminar.files;

import illuminar.core.colour.Primaries;
import illuminar.core.frame.Codes;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;

/**
 * Raw files of cameras, read by LibRaw in a process that may take neither long nor much memory: the
 * camera's black and white levels and its white balance, clipped where the sensor clips, its
 * colours by its matrix to sRGB's primaries, wide 16-bit codes proportional to light.
 */
final class LibRaw {
  private static final String DEVELOP = "dcraw_emu";
  private static final String IDENTIFY = "raw-identify";

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
    // not where the brightest pixel is, ROMM RGB's primaries, to standard output
    List<String> command =
        new ArrayList<>(List.of(DEVELOP, "-4", "-w", "-c", "0", "-o", "4", "-Z", "-"));
    command.addAll(List.of(more));
    command.add(file.toString());
    Codes codes = run(command, out -> Ppm.read(out, FileKind.RAW, name, true));
    return new OtherPrimaries(Primaries.ROMM)
        .codes(codes.width(), codes.height(), codes.sixteen(), OtherPrimaries.Light.LINEAR, true);
  }

  /** Runs one of LibRaw's commands. */
  private <T> T run(List<String> command, Program.Use<T> use) throws BadPicture {
    Program program = new Program(command, patience);
    try {
      return program.run(use);
    } catch (IOException e) {
      throw new BadPicture(name, reason(program), e);
    }
  }

  private String reason(Program program) {
    if (program.missing()) {
      return "raw files cannot be read here: LibRaw is not installed";
    }
    return program.late()
        ? "reading it took longer than " + patience.toSeconds() + " s"
        : "LibRaw cannot read it; it may be damaged or cut short";
  }
}
