package illuminar.benchmarks.cases;

import illuminar.benchmarks.Reference;
import illuminar.core.analysis.Analysis;
import illuminar.core.colour.Matrix3;
import illuminar.core.colour.Space;
import illuminar.core.colour.Srgb;
import illuminar.core.first.FirstVersion;
import illuminar.core.pass.Fault;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Raster;
import illuminar.core.recipe.Recipe;
import illuminar.core.render.PreviewSession;
import illuminar.core.render.RenderCache;
import illuminar.core.watch.Finding;
import illuminar.core.watch.Watch;
import illuminar.files.Legend;
import illuminar.files.PictureWriter;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * What is judged of a view, at full size: the first version, its ground, the reference library's
 * plain fusion, and the camera's own middle frame. Each is linear sRGB, 0 to 1, interleaved.
 */
final class Pictures {
  static final String FIRST = "first";
  static final String GROUND = "ground";
  static final String FUSION = "fusion";
  static final String ANCHOR = "anchor";

  private final Raster whole;
  private final Recipe recipe;
  private final double seconds;
  private final List<Double> lines;
  private final Map<String, float[]> all = new LinkedHashMap<>();

  Pictures(Analysis analysis) {
    whole = Raster.whole(analysis.fullWidth(), analysis.fullHeight(), 1);
    PreviewSession session = new PreviewSession(analysis, new RenderCache(300_000_000));
    long start = System.nanoTime();
    recipe = FirstVersion.of(session);
    seconds = (System.nanoTime() - start) / 1e9;
    lines =
        Watch.over(session, recipe).stream()
            .filter(f -> f.kind() == Fault.RIDGE)
            .map(Finding::amount)
            .toList();
    all.put(FIRST, shown(session.picture(recipe, whole)));
    all.put(GROUND, shown(session.picture(FirstVersion.ground(analysis), whole)));
    all.put(FUSION, decoded(Reference.fused(analysis)));
    all.put(ANCHOR, frame(analysis.draw(analysis.frames().anchor(), whole)));
  }

  Map<String, float[]> all() {
    return all;
  }

  float[] of(String name) {
    return all.get(name);
  }

  Raster whole() {
    return whole;
  }

  /** The first version's recipe. */
  Recipe recipe() {
    return recipe;
  }

  /** How far each thin line of the first version that no frame has stands off its sides, L*. */
  List<Double> lines() {
    return lines;
  }

  /** How long the first version took to make. */
  double seconds() {
    return seconds;
  }

  static float[] at(float[] rgb, int i) {
    return new float[] {rgb[3 * i], rgb[3 * i + 1], rgb[3 * i + 2]};
  }

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

  private static float[] frame(Picture p) {
    float[] out = new float[3 * p.r().length];
    for (int i = 0; i < out.length; i++) {
      out[i] = Math.max(0, Math.min(1, p.channel(i % 3)[i / 3]));
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

  /** Writes all as {@code FOLDER/VIEW-PICTURE.png}. */
  void write(Path folder, String view) throws IOException {
    Files.createDirectories(folder);
    for (Map.Entry<String, float[]> p : all.entrySet()) {
      float[] rgb = p.getValue();
      byte[] codes = new byte[rgb.length];
      for (int i = 0; i < rgb.length; i++) {
        codes[i] = Srgb.code8(rgb[i]);
      }
      Path file = folder.resolve(view + "-" + p.getKey() + ".png");
      try (OutputStream out = Files.newOutputStream(file)) {
        PictureWriter.png(
            PictureWriter.image8(whole.width(), whole.height(), codes), Legend.NONE, out);
      }
    }
  }
}
