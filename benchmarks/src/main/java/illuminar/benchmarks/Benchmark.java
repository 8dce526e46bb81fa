package illuminar.benchmarks;

import illuminar.core.analysis.Analysis;
import illuminar.core.frame.Codes;
import illuminar.core.frame.Role;
import illuminar.core.ground.Ground;
import illuminar.core.lineup.LinedUp;
import illuminar.core.measure.Histogram;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Raster;
import illuminar.core.recipe.Recipe;
import illuminar.core.render.DeliveryRender;
import illuminar.core.render.Display;
import illuminar.core.render.PreviewSession;
import illuminar.core.render.RenderCache;
import illuminar.files.Legend;
import illuminar.files.PictureWriter;
import illuminar.files.ScreenJpeg;
import illuminar.scenes.Scenes;
import illuminar.scenes.views.Views;
import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.function.BiFunction;
import org.bytedeco.opencv.opencv_core.MatVector;

/**
 * The command {@code ./illuminar benchmark}: speed on a 24 MP view beside the reference library.
 */
public final class Benchmark {
  private static final Speeds SPEEDS = new Speeds();

  private Benchmark() {}

  public static void main(String[] args) throws Exception {
    if (args.length > 0 && args[0].equals("memory")) {
      memory(Path.of(args[1]));
      return;
    }
    DemoView demo = DemoView.read(Views.instrumentRoom(), Path.of("demo/card"), 6000);
    peak(demo);
    Analysis analysis = demo.analysis();
    String alike = "control moves, 24 MP, 12 passes, 8 regions";
    String mixed = "control moves, 24 MP, 12 passes and 8 regions of mixed kinds";
    control(analysis, Alike::recipe, FITTED, alike + ", sharp, server p95");
    control(analysis, Mixed::recipe, FITTED, mixed + ", sharp, server p95");
    control(analysis, Mixed::recipe, FITTED / 2, mixed + ", half size, server p95");
    strokes(analysis);
    heals(analysis);
    beside(demo, analysis);
    SPEEDS.keep(
        "benchmark",
        Path.of("docs/benchmarks.md"),
        "Speed beside the reference library",
        "The reference is the exposure fusion of the library used in tests, on the same five decoded frames in the same run.");
  }

  /** Long edge of the fitted preview on a window of 1280×800. */
  private static final int FITTED = 808;

  /**
   * A control moves: render, to codes, to JPEG. The bench asks for the fitted preview, and for one
   * of half its size while the control moves where the sharp one takes too long.
   */
  private static void control(
      Analysis analysis, BiFunction<Double, Integer, Recipe> recipes, int longEdge, String work)
      throws Exception {
    PreviewSession session = new PreviewSession(analysis, new RenderCache(600_000_000));
    Raster raster = Raster.fitted(6000, 4000, longEdge);
    int moves = 20 * Alike.PASSES;
    double[] ms =
        rounds(
            2 * moves,
            moves,
            round -> {
              int moved = Math.floorMod(round / 20, Alike.PASSES);
              Recipe recipe = recipes.apply(0.002 * (round + 600), moved);
              Picture p = session.draft(recipe, raster, recipe.passes().get(moved).id());
              ScreenJpeg.strips(p, 0.9);
              Histogram.of(p);
            });
    System.out.printf("control median %.1f ms%n", ms[ms.length / 2]);
    SPEEDS.most(work, ms[(int) (ms.length * 0.95)], "ms", 40);
  }

  /** A stroke grows point by point in a region of many: its mask and the picture at each point. */
  private static void strokes(Analysis analysis) throws Exception {
    PreviewSession session = new PreviewSession(analysis, new RenderCache(600_000_000));
    Raster raster = Raster.fitted(6000, 4000, FITTED);
    double[] ms =
        rounds(
            60,
            120,
            round -> {
              Recipe recipe = Mixed.painted(40, Math.floorMod(round, 60) + 2);
              session.coverage(recipe, "brush", raster).copy();
              Picture p = session.picture(recipe, raster, "brush");
              ScreenJpeg.strips(p, 0.9);
            });
    System.out.printf("stroke median %.1f ms%n", ms[ms.length / 2]);
    SPEEDS.most(
        "a stroke grows, 24 MP, edge-stopping, 40 strokes, 12 passes, server p95",
        ms[(int) (ms.length * 0.95)],
        "ms",
        50);
  }

  /** A line is healed: sources are found, fitted and made to meet, and the picture shown. */
  private static void heals(Analysis analysis) throws Exception {
    PreviewSession session = new PreviewSession(analysis, new RenderCache(600_000_000));
    Raster raster = Raster.fitted(6000, 4000, FITTED);
    double[] ms = rounds(30, 60, round -> session.picture(Mixed.healed(round + 30), raster));
    SPEEDS.most("a line of 200 px is healed, 24 MP, server median", ms[ms.length / 2], "ms", 100);
  }

  private interface Round {
    void run(int round) throws Exception;
  }

  /** Milliseconds of rounds 0 up to {@code count}, sorted, after some in which code is compiled. */
  private static double[] rounds(int before, int count, Round work) throws Exception {
    double[] ms = new double[count];
    for (int round = -before; round < count; round++) {
      int now = round;
      double took = time(() -> work.run(now));
      if (round >= 0) {
        ms[round] = took;
      }
    }
    Arrays.sort(ms);
    return ms;
  }

  private static final int ROUNDS = 3;

  private interface Work {
    void run() throws Exception;
  }

  /**
   * Ours and the reference in turn, so that a busy machine is busy for all; medians count, after
   * one round in which code is compiled.
   */
  private static void beside(DemoView demo, Analysis analysis) throws Exception {
    double[][] ms = new double[3][ROUNDS];
    for (int round = -1; round < ROUNDS; round++) {
      int kept = Math.max(0, round);
      ms[0][kept] = time(() -> fuse(demo));
      ms[1][kept] = time(() -> blend(demo));
      ms[2][kept] = time(() -> finished(analysis, Alike.recipe(0.1, 2)));
    }
    Arrays.stream(ms).forEach(Arrays::sort);
    double reference = ms[0][ROUNDS / 2];
    SPEEDS.times("line up + even blend, 24 MP × 5", ms[1][ROUNDS / 2], reference, 0.5);
    SPEEDS.times(
        "deliver JPEG, 24 MP, 12 passes, 8 regions, line-up and analysis not counted",
        ms[2][ROUNDS / 2],
        reference,
        0.5);
  }

  private static double time(Work work) throws Exception {
    long start = System.nanoTime();
    work.run();
    return (System.nanoTime() - start) / 1e6;
  }

  private static void fuse(DemoView demo) {
    MatVector mats = Reference.mats(demo.codes().subList(0, 5));
    Reference.fuse(mats).close();
  }

  /** Line-up and blend of five decoded 24 MP frames, down to finished pixels. */
  private static void blend(DemoView demo) {
    List<Codes> codes = demo.codes().subList(0, 5);
    var pyramids = codes.stream().parallel().map(illuminar.core.frame.Pyramid::of).toList();
    List<LinedUp.Taken> taken = new ArrayList<>();
    for (int i = 0; i < 5; i++) {
      double stops = demo.shots().get(i).exposure().stops();
      taken.add(new LinedUp.Taken("f" + i, Role.AMBIENT, stops, true, pyramids.get(i)));
    }
    Analysis analysis = new Analysis(LinedUp.of(taken, 2, n -> {}).frames());
    Recipe ground =
        new Recipe(
            new Ground.EvenBlend(List.of("f0", "f1", "f2", "f3", "f4"), 0, "f2"),
            List.of(),
            List.of());
    new DeliveryRender(analysis).deliver(ground, 1, 512, 256, (tile, p) -> Display.to8(p));
  }

  private static void finished(Analysis analysis, Recipe recipe) throws Exception {
    int width = analysis.fullWidth();
    int height = analysis.fullHeight();
    byte[] rgb = new byte[width * height * 3];
    new DeliveryRender(analysis)
        .deliver(
            recipe,
            1,
            512,
            256,
            (tile, p) -> {
              byte[] from = Display.to8(p);
              int n = tile.width() * 3;
              for (int j = 0; j < tile.height(); j++) {
                System.arraycopy(from, j * n, rgb, ((tile.y() + j) * width + tile.x()) * 3, n);
              }
            });
    ByteArrayOutputStream out = new ByteArrayOutputStream(1 << 24);
    PictureWriter.jpeg(PictureWriter.image8(width, height, rgb), 0.92, Legend.NONE, out);
  }

  /** The same delivery in a process of its own, from files, as the server reads them. */
  private static void peak(DemoView demo) throws Exception {
    Path folder = Path.of(".run/benchmark");
    Files.createDirectories(folder);
    for (int i = 0; i < demo.codes().size(); i++) {
      Enlarged.write(
          demo.codes().get(i),
          Scenes.legend(demo.shots().get(i)),
          folder.resolve(demo.shots().get(i).file() + ".JPG"));
    }
    Process child =
        new ProcessBuilder(
                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                "-Xmx1600m",
                "-cp",
                System.getProperty("java.class.path"),
                Benchmark.class.getName(),
                "memory",
                folder.toString())
            .redirectError(ProcessBuilder.Redirect.INHERIT)
            .start();
    String said = new String(child.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
    if (child.waitFor() != 0) {
      throw new IllegalStateException("the delivery did not fit into its memory");
    }
    SPEEDS.most(
        "peak resident memory of that delivery, eight frames read from files",
        Double.parseDouble(said.trim()),
        "MB",
        2000);
  }

  private static void memory(Path folder) throws Exception {
    DemoView demo = DemoView.read(Views.instrumentRoom(), folder, 0);
    Analysis analysis = demo.analysis();
    finished(analysis, Alike.recipe(0.1, 2));
    for (String line : Files.readAllLines(Path.of("/proc/self/status"))) {
      if (line.startsWith("VmHWM:")) {
        System.out.println(Long.parseLong(line.replaceAll("\\D", "")) / 1000.0);
      }
    }
  }
}
