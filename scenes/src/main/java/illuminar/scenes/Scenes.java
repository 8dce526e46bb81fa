package illuminar.scenes;

import illuminar.core.frame.Codes;
import illuminar.files.DngWriter;
import illuminar.files.Legend;
import illuminar.files.MakeAndModel;
import illuminar.files.Mosaic;
import illuminar.files.PictureWriter;
import illuminar.scenes.camera.Camera;
import illuminar.scenes.camera.Shot;
import illuminar.scenes.invented.InventedView;
import illuminar.scenes.render.Moved;
import illuminar.scenes.render.Radiance;
import illuminar.scenes.render.RadianceFile;
import illuminar.scenes.render.Rendering;
import illuminar.scenes.render.Scene;
import illuminar.scenes.views.View;
import illuminar.scenes.views.Views;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.function.IntConsumer;

/**
 * The command {@code ./illuminar scenes}: renders the demo views and photographs them.
 *
 * <p>Arguments: {@code all [VIEW...]} renders what is missing under .run/scenes and writes the demo
 * card, the small frames and the small truth anew; {@code look VIEW WIDTH FOLDER} renders one view
 * small and photographs it; {@code truth VIEW FOLDER} writes all that is known of a view; {@code
 * full VIEW MEGAPIXELS FOLDER} renders a view large and photographs it; {@code linear VIEW FOLDER}
 * writes 16-bit linear frames; {@code room SEED WIDTH FOLDER} makes a room or facade by chance and
 * writes it as a case.
 */
public final class Scenes {
  /** Where renderings are kept. */
  public static final Path FOLDER = Path.of(".run/scenes");

  private static final int WIDTH = 2400;

  /** The truth that ships for tests is so many times smaller on each edge. */
  private static final int SHIPPED_TRUTH = 4;

  /** The linear frames that ship for tests likewise. */
  private static final int SHIPPED_LINEAR = 8;

  /** The view whose frames ship small as well. */
  private static final String SMALL = "instrument-room";

  /** The view that the camera wrote raw files of as well. */
  private static final String RAW = "stair-hall";

  private Scenes() {}

  public static void main(String[] args) throws IOException {
    switch (args[0]) {
      case "all" -> {
        for (View view : chosen(args)) {
          all(view);
        }
        mishaps(Path.of("demo/card"));
      }
      case "look" -> {
        View view = Views.of(args[1]);
        Rendered r = render(view, Integer.parseInt(args[2]));
        frames(view, r, Path.of(args[3]));
      }
      case "truth" -> {
        View view = Views.of(args[1]);
        new TruthKit(view, kept(view).still(), Path.of(args[2])).write();
      }
      case "full" -> full(Views.of(args[1]), Integer.parseInt(args[2]), Path.of(args[3]));
      case "linear" -> linear(Views.of(args[1]), kept(Views.of(args[1])), Path.of(args[2]));
      case "room" ->
          CaseKit.write(
              InventedView.of(Long.parseLong(args[1]), Integer.parseInt(args[2]), rows -> {}),
              Path.of(args[3]));
      default ->
          throw new IllegalArgumentException(
              "all, look, truth, full, linear or room, not " + args[0]);
    }
  }

  private static List<View> chosen(String[] args) {
    return args.length == 1 ? Views.all() : Arrays.stream(args).skip(1).map(Views::of).toList();
  }

  private static void all(View view) throws IOException {
    Rendered r = kept(view);
    frames(view, r, Path.of("demo/card"));
    if (view.name().equals(SMALL)) {
      frames(view, r.smaller(4), Path.of("demo/small", view.name()));
    }
    if (view.name().equals(RAW)) {
      raws(view, r, Path.of("demo/card"));
    }
    linear(view, r.smaller(SHIPPED_LINEAR), Path.of("demo/linear", view.name()));
    RadianceFile.pack(Path.of("demo/truth"), view.name(), r.still.smaller(SHIPPED_TRUTH));
  }

  /** A rendered view, and the same after something moved. */
  public record Rendered(Radiance still, Optional<Radiance> moved) {
    public Rendered smaller(int factor) {
      return new Rendered(still.smaller(factor), moved.map(m -> m.smaller(factor)));
    }
  }

  /** A view at 2400×1600, rendered where it is not kept. */
  public static Rendered kept(View view) throws IOException {
    Path still = FOLDER.resolve(view.name() + ".radiance");
    Path moved = FOLDER.resolve(view.name() + "-moved.radiance");
    if (!Files.exists(still) || view.moved().isPresent() && !Files.exists(moved)) {
      Rendered r = render(view, WIDTH);
      if (r.moved.isPresent()) {
        RadianceFile.write(moved, r.moved.get());
      }
      RadianceFile.write(still, r.still);
    }
    return new Rendered(
        RadianceFile.read(still),
        view.moved().isPresent() ? Optional.of(RadianceFile.read(moved)) : Optional.empty());
  }

  private static Rendered render(View view, int width) {
    int height = width * 2 / 3;
    long start = System.nanoTime();
    Radiance still =
        Rendering.render(
            view.scene().get(), width, height, view.samples(), progress(view, width, height));
    Optional<Radiance> moved = Optional.empty();
    if (view.moved().isPresent()) {
      Moved m = view.moved().get();
      moved = Optional.of(m.over(still, view.samples(), rows -> {}));
    }
    System.out.printf(", %.0f s%n", (System.nanoTime() - start) / 1e9);
    return new Rendered(still, moved);
  }

  /** Paths that are followed for each pixel of a large picture, whose pixels are averaged later. */
  private static final int FULL_SAMPLES = 2;

  private static void full(View view, int megapixels, Path folder) throws IOException {
    int width = (int) Math.round(Math.sqrt(megapixels * 1.5e6) / 6) * 6;
    int height = width * 2 / 3;
    Scene scene = view.scene().get();
    int groups = scene.lighting().groups().size();
    float[][][] lights = new float[groups][3][width * height];
    Rendering.strips(
        scene,
        width,
        height,
        FULL_SAMPLES,
        progress(view, width, height),
        (top, strip) -> {
          for (int l = 0; l < groups; l++) {
            for (int c = 0; c < 3; c++) {
              float[] rows = strip.lights()[l][c];
              System.arraycopy(rows, 0, lights[l][c], top * width, rows.length);
            }
          }
        });
    Radiance whole = new Radiance(width, height, scene.lighting().groups(), lights, null);
    frames(view, new Rendered(whole, Optional.of(whole)), folder);
  }

  private static IntConsumer progress(View view, int width, int height) {
    int[] shown = {-1};
    return rows -> {
      int percent = rows * 100 / height;
      synchronized (shown) {
        if (percent > shown[0]) {
          shown[0] = percent;
          System.out.printf("\r%s, %d×%d: %d %%", view.title(), width, height, percent);
        }
      }
    };
  }

  /** What the camera writes beside a picture. */
  public static Legend legend(Shot shot) {
    return new Legend(
        Optional.of(shot.exposure()),
        Optional.of(shot.taken()),
        new MakeAndModel("Fennick", "F1"),
        shot.flash(),
        1,
        "",
        0);
  }

  private static void frames(View view, Rendered r, Path folder) throws IOException {
    Files.createDirectories(folder);
    for (Shot shot : view.shots()) {
      frame(view, r, shot, folder);
    }
  }

  private static void frame(View view, Rendered r, Shot shot, Path folder) throws IOException {
    jpeg(
        view.expose(r.still, r.moved, shot),
        r.still.width(),
        r.still.height(),
        shot,
        folder.resolve(shot.file() + ".JPG"));
  }

  /** Writes what the sensor counted, beside the frames. */
  private static void raws(View view, Rendered r, Path folder) throws IOException {
    for (Shot shot : view.shots()) {
      Codes light =
          Codes.of16(
              r.still.width(),
              r.still.height(),
              Camera.codes16(view.expose(r.still, r.moved, shot)),
              true);
      try (OutputStream out = Files.newOutputStream(folder.resolve(shot.file() + ".DNG"))) {
        DngWriter.write(Mosaic.of(light), legend(shot), DngWriter.Packing.CURVED, out);
      }
    }
  }

  /** Writes a frame as the camera does. */
  static void jpeg(float[] sensor, int width, int height, Shot shot, Path file) throws IOException {
    try (OutputStream out = Files.newOutputStream(file)) {
      PictureWriter.jpeg(
          PictureWriter.image8(width, height, Camera.codes8(sensor)), 0.93, legend(shot), out);
    }
  }

  /**
   * What goes wrong on real cards: a frame with the lens cap on, a file that ends early, the same
   * file twice.
   */
  private static void mishaps(Path card) throws IOException {
    View after = Views.of("long-table-room");
    Shot last = after.shots().get(after.shots().size() - 1);
    Shot capped =
        new Shot(
            "FWH_0128",
            last.exposure(),
            new float[] {1},
            false,
            last.drift(),
            false,
            last.taken().plusMinutes(2));
    float[][] nothing = new float[3][WIDTH * (WIDTH * 2 / 3)];
    Radiance black =
        new Radiance(WIDTH, WIDTH * 2 / 3, List.of("none"), new float[][][] {nothing}, null);
    frame(after, new Rendered(black, Optional.empty()), capped, card);
    byte[] whole = Files.readAllBytes(card.resolve("FWH_0131.JPG"));
    Files.write(card.resolve("FWH_0130.JPG"), Arrays.copyOf(whole, whole.length * 2 / 5));
    Files.write(card.resolve("FWH_0142.JPG"), Files.readAllBytes(card.resolve("FWH_0141.JPG")));
  }

  private static void linear(View view, Rendered r, Path folder) throws IOException {
    Files.createDirectories(folder);
    for (Shot shot : view.shots()) {
      PictureWriter.linearTiff(
          PictureWriter.image16(
              r.still.width(),
              r.still.height(),
              Camera.codes16(view.expose(r.still, r.moved, shot))),
          legend(shot),
          folder.resolve(shot.file() + ".TIF"));
    }
  }
}
