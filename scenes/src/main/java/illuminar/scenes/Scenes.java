package illuminar.scenes;

import illuminar.core.frame.Similarity;
import illuminar.files.Legend;
import illuminar.files.PictureWriter;
import illuminar.scenes.camera.Camera;
import illuminar.scenes.camera.Shot;
import illuminar.scenes.render.Radiance;
import illuminar.scenes.render.RadianceFile;
import illuminar.scenes.render.Rendering;
import illuminar.scenes.rooms.Brackets;
import illuminar.scenes.rooms.InstrumentRoom;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;

/**
 * The command {@code ./illuminar scenes}: renders the demo views and photographs them.
 *
 * <p>Arguments: {@code render FILE WIDTH SAMPLES}, {@code card RADIANCE FOLDER} (JPEG frames),
 * {@code linear RADIANCE FOLDER} (16-bit linear TIFF frames), {@code small RADIANCE FOLDER} (JPEG
 * frames a quarter as long, for tests), {@code small-truth RADIANCE FOLDER} (linear ones with their
 * truth, a tenth as long); {@code all} renders what is missing under .run/scenes and writes the
 * demo card and the small frames anew.
 */
public final class Scenes {
  private Scenes() {}

  public static void main(String[] args) throws IOException {
    switch (args[0]) {
      case "render" ->
          render(Path.of(args[1]), Integer.parseInt(args[2]), Integer.parseInt(args[3]));
      case "card" -> card(RadianceFile.read(Path.of(args[1])), Path.of(args[2]));
      case "linear" -> linear(RadianceFile.read(Path.of(args[1])), Path.of(args[2]));
      case "small-truth" -> smallTruth(RadianceFile.read(Path.of(args[1])), Path.of(args[2]));
      case "small" -> card(RadianceFile.read(Path.of(args[1])).smaller(4), Path.of(args[2]));
      case "all" -> {
        Radiance radiance = instrumentRoom(Path.of(".run/scenes"));
        card(radiance, Path.of("demo/card"));
        card(radiance.smaller(4), Path.of("demo/small"));
        smallTruth(radiance, Path.of("demo/linear"));
      }
      default ->
          throw new IllegalArgumentException(
              "render, card, linear, small, small-truth or all, not " + args[0]);
    }
  }

  /** The Instrument room at 2400×1600, rendered where it is not kept in the folder. */
  public static Radiance instrumentRoom(Path folder) throws IOException {
    Path file = folder.resolve("instrument-room.radiance");
    if (!Files.exists(file)) {
      render(file, 2400, 9);
    }
    return RadianceFile.read(file);
  }

  private static void render(Path file, int width, int samples) throws IOException {
    int height = width * 2 / 3;
    long start = System.nanoTime();
    int[] shown = {-1};
    Radiance radiance =
        Rendering.render(
            InstrumentRoom.scene(),
            width,
            height,
            samples,
            rows -> {
              int percent = rows * 100 / height;
              synchronized (shown) {
                if (percent > shown[0]) {
                  shown[0] = percent;
                  System.out.printf("\rInstrument room, %d×%d: %d %%", width, height, percent);
                }
              }
            });
    RadianceFile.write(file, radiance);
    System.out.printf(", %.0f s%n", (System.nanoTime() - start) / 1e9);
  }

  /** Drift is given at 2400 pixels wide; smaller renderings drift in proportion. */
  private static Similarity drift(Shot shot, Radiance radiance) {
    return shot.drift().sized(radiance.width() / 2400.0);
  }

  /** What the camera writes beside a picture. */
  public static Legend legend(Shot shot) {
    return new Legend(
        Optional.of(shot.exposure()),
        Optional.of(shot.taken()),
        "Fennick F1",
        shot.flash(),
        1,
        "",
        0);
  }

  private static void card(Radiance radiance, Path folder) throws IOException {
    Files.createDirectories(folder);
    Camera camera = Brackets.instrumentCamera();
    long seed = 1;
    for (Shot shot : Brackets.instrumentRoom()) {
      float[] sensor =
          camera.expose(radiance, shot.strengths(), shot.exposure(), drift(shot, radiance), seed++);
      try (OutputStream out = Files.newOutputStream(folder.resolve(shot.file() + ".JPG"))) {
        PictureWriter.jpeg(
            PictureWriter.image8(radiance.width(), radiance.height(), Camera.codes8(sensor)),
            0.93,
            legend(shot),
            out);
      }
    }
  }

  /** Small linear frames, and the lights, view and reflectance that they were taken of. */
  private static void smallTruth(Radiance radiance, Path folder) throws IOException {
    Radiance small = radiance.smaller(10);
    linear(small, folder);
    RadianceFile.write(folder.resolveSibling("truth").resolve("instrument-room.radiance"), small);
  }

  private static void linear(Radiance radiance, Path folder) throws IOException {
    Files.createDirectories(folder);
    Camera camera = Brackets.instrumentCamera();
    long seed = 1;
    for (Shot shot : Brackets.instrumentRoom()) {
      float[] sensor =
          camera.expose(radiance, shot.strengths(), shot.exposure(), drift(shot, radiance), seed++);
      PictureWriter.linearTiff(
          PictureWriter.image16(radiance.width(), radiance.height(), Camera.codes16(sensor)),
          legend(shot),
          folder.resolve(shot.file() + ".TIF"));
    }
  }
}
