package illuminar.benchmarks.running;

import illuminar.benchmarks.Enlarged;
import illuminar.benchmarks.Speeds;
import illuminar.core.colour.Srgb;
import illuminar.core.frame.Codes;
import illuminar.files.DngWriter;
import illuminar.files.Legend;
import illuminar.files.Mosaic;
import illuminar.files.PictureReader;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;

/** A raw file of 24 MP beside LibRaw's own command, which writes to nowhere. */
final class RawReading implements Measure {
  private static final int ROUNDS = 4;

  @Override
  public void measure(Speeds speeds) throws Exception {
    Codes frame =
        Enlarged.of(PictureReader.pixels(Path.of("demo/card/FWH_0114.JPG"), "frame"), 6000);
    Mosaic mosaic = Mosaic.of(linear(frame));
    for (DngWriter.Packing packing : DngWriter.Packing.values()) {
      Path file = Path.of(".run/benchmark", packing + ".dng");
      Files.createDirectories(file.getParent());
      try (OutputStream out = Files.newOutputStream(file)) {
        DngWriter.write(mosaic, Legend.NONE, packing, out);
      }
      double ours = Double.POSITIVE_INFINITY;
      double theirs = Double.POSITIVE_INFINITY;
      for (int round = 0; round < ROUNDS; round++) {
        long start = System.nanoTime();
        PictureReader.pixels(file, "frame.dng");
        long middle = System.nanoTime();
        alone(file);
        ours = Math.min(ours, (middle - start) / 1e6);
        theirs = Math.min(theirs, (System.nanoTime() - middle) / 1e6);
      }
      speeds.times(
          "raw file of 24 MP read, " + packing.name().toLowerCase(Locale.ROOT), ours, theirs, 1.2);
    }
  }

  private static Codes linear(Codes c) {
    short[] light = new short[c.eight().length];
    for (int i = 0; i < light.length; i++) {
      light[i] = (short) (int) (Srgb.decode8(c.eight()[i] & 255) * 65535 + 0.5f);
    }
    return Codes.of16(c.width(), c.height(), light, true);
  }

  private static void alone(Path file) throws Exception {
    int code =
        new ProcessBuilder(
                "dcraw_emu", "-4", "-w", "-c", "0", "-o", "1", "-Z", "-", file.toString())
            .redirectOutput(ProcessBuilder.Redirect.DISCARD)
            .redirectError(ProcessBuilder.Redirect.DISCARD)
            .start()
            .waitFor();
    if (code != 0) {
      throw new IllegalStateException("LibRaw's command failed");
    }
  }
}
