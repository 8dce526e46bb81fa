package illuminar.benchmarks.cases;

import illuminar.benchmarks.Reference;
import illuminar.core.analysis.Analysis;
import illuminar.core.colour.Lab;
import illuminar.core.colour.Matrix3;
import illuminar.core.colour.Space;
import illuminar.core.colour.Srgb;
import illuminar.core.first.FirstVersion;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Raster;
import illuminar.core.recipe.Recipe;
import illuminar.core.render.PreviewSession;
import illuminar.core.render.RenderCache;
import illuminar.files.BadPicture;
import illuminar.files.Legend;
import illuminar.files.PictureWriter;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.IntConsumer;

/**
 * The command {@code ./illuminar proof case FOLDER}: the first version of a room that nobody tuned
 * for, its ground, and the reference library's plain fusion, each beside the truth.
 */
public final class CaseProof {
  /** What is judged as a view or a thing by one curve. */
  private static final List<String> VIEWS =
      List.of("panes", "sky", "plant", "curtain", "desk-lamp", "lamp", "lamps", "bars", "floor");

  /** What is judged by its lightness and colour. */
  private static final List<String> SURFACES = List.of("walls", "cupboards", "shadow");

  private static final int STEP = 2;

  private final CaseFolder room;
  private final Raster whole;
  private final Map<String, float[]> pictures = new LinkedHashMap<>();
  private final StringBuilder page = new StringBuilder();

  private CaseProof(CaseFolder room) {
    this.room = room;
    whole = Raster.whole(room.analysis().fullWidth(), room.analysis().fullHeight(), 1);
  }

  /**
   * Takes a folder as {@link CaseFolder} describes it; pictures go to {@code target}, figures to
   * {@code docs/cases}.
   */
  public static void prove(Path folder) throws IOException, BadPicture {
    CaseProof proof = new CaseProof(new CaseFolder(folder));
    proof.render();
    proof.judge();
    for (Map.Entry<String, float[]> p : proof.pictures.entrySet()) {
      write(
          p.getValue(),
          proof.whole,
          Path.of("target", proof.room.name() + "-" + p.getKey() + ".png"));
    }
  }

  private void render() {
    Analysis analysis = room.analysis();
    PreviewSession session = new PreviewSession(analysis, new RenderCache(300_000_000));
    Recipe first = FirstVersion.of(session);
    say("# " + room.name() + ", first version beside the plain fusion\n");
    say("Written by `./illuminar proof case` on " + LocalDate.now(ZoneOffset.UTC) + ".\n");
    first.passes().forEach(p -> say("- `" + p.move() + "` " + p.why()));
    pictures.put("first", shown(session.picture(first, whole)));
    pictures.put("ground", shown(session.picture(FirstVersion.ground(analysis.frames()), whole)));
    pictures.put("fusion", decoded(Reference.fused(analysis)));
  }

  private void judge() throws IOException {
    if (!room.known()) {
      return;
    }
    float[] truth = room.truth();
    say(
        "\n| where | picture | uneven, stops | 95 % | CIEDE2000 | 95 % |\n|---|---|---|---|---|---|");
    for (String name : VIEWS) {
      room.mask(name)
          .ifPresent(mask -> pictures.forEach((p, rgb) -> view(name, p, rgb, truth, mask)));
    }
    say("\n| where | picture | L* 10 % | 50 % | 90 % | C* | 95 % |\n|---|---|---|---|---|---|---|");
    for (String name : SURFACES) {
      room.mask(name).ifPresent(mask -> pictures.forEach((p, rgb) -> surface(name, p, rgb, mask)));
    }
    Path file = Path.of("docs", "cases", room.name() + ".md");
    Files.createDirectories(file.getParent());
    Files.writeString(file, page);
  }

  private void say(String line) {
    page.append(line).append('\n');
    System.out.println(line);
  }

  private void view(String name, String picture, float[] rgb, float[] truth, int[] mask) {
    List<ViewJudge.Pair> pairs = new ArrayList<>();
    each(mask, whole, i -> pairs.add(new ViewJudge.Pair(at(rgb, i), at(truth, i))));
    if (pairs.isEmpty()) {
      return;
    }
    ViewJudge.Found f = ViewJudge.judge(pairs);
    say(
        String.format(
            Locale.ROOT,
            "| %s | %s | %.3f | %.3f | %.2f | %.2f |",
            name,
            picture,
            f.uneven(),
            f.uneven95(),
            f.difference(),
            f.difference95()));
  }

  private void surface(String name, String picture, float[] rgb, int[] mask) {
    List<Lab> colours = new ArrayList<>();
    each(mask, whole, i -> colours.add(ViewJudge.lab(at(rgb, i))));
    double[] l = colours.stream().mapToDouble(Lab::l).toArray();
    double[] c = colours.stream().mapToDouble(Lab::chroma).toArray();
    say(
        String.format(
            Locale.ROOT,
            "| %s | %s | %.1f | %.1f | %.1f | %.2f | %.2f |",
            name,
            picture,
            ViewJudge.quantile(l, 0.1),
            ViewJudge.quantile(l, 0.5),
            ViewJudge.quantile(l, 0.9),
            ViewJudge.mean(c),
            ViewJudge.quantile(c, 0.95)));
  }

  private static void each(int[] mask, Raster whole, IntConsumer at) {
    for (int y = STEP; y < whole.height() - STEP; y += STEP) {
      for (int x = STEP; x < whole.width() - STEP; x += STEP) {
        if (mask[y * whole.width() + x] > 250) {
          at.accept(y * whole.width() + x);
        }
      }
    }
  }

  private static float[] at(float[] rgb, int i) {
    return new float[] {rgb[3 * i], rgb[3 * i + 1], rgb[3 * i + 2]};
  }

  /** What a picture shows, linear sRGB primaries in 0 to 1. */
  private static float[] shown(Picture p) {
    float[] out = new float[3 * p.r().length];
    float[] m = Space.WORK_TO_SRGB.floats();
    float[] rgb = new float[3];
    for (int i = 0; i < p.r().length; i++) {
      Matrix3.apply(m, p.r()[i], p.g()[i], p.b()[i], rgb);
      for (int c = 0; c < 3; c++) {
        out[3 * i + c] = Math.max(0, Math.min(1, rgb[c]));
      }
    }
    return out;
  }

  private static float[] decoded(float[] codes) {
    float[] out = new float[codes.length];
    for (int i = 0; i < codes.length; i++) {
      out[i] = (float) Srgb.decode(codes[i]);
    }
    return out;
  }

  private static void write(float[] rgb, Raster whole, Path file) throws IOException {
    Files.createDirectories(file.getParent());
    byte[] codes = new byte[rgb.length];
    for (int i = 0; i < rgb.length; i++) {
      codes[i] = Srgb.code8(rgb[i]);
    }
    try (OutputStream out = Files.newOutputStream(file)) {
      PictureWriter.png(
          PictureWriter.image8(whole.width(), whole.height(), codes), Legend.NONE, out);
    }
  }
}
