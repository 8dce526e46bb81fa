package illuminar.core.analysis.light;

import illuminar.core.analysis.Analysis;
import illuminar.core.colour.Space;
import illuminar.core.colour.Srgb;
import illuminar.core.filter.Ease;
import illuminar.core.frame.Response;
import illuminar.core.picture.Bands;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Plane;
import illuminar.core.picture.Raster;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.function.Function;
import java.util.function.Supplier;

/**
 * The light that all ambient frames measured together: each pixel's mean, weighted by how well each
 * frame measures it. A longer exposure measures the same light better in proportion (shot noise);
 * codes near either end count less (Robertson, Borman, Stevenson 2003). Here it counts by the
 * square of its time, so that nearly all comes from one frame and what moved between frames is
 * hardly seen twice.
 */
public final class MergedLight {
  private static final int MOST_KEPT = 4;

  /** Rows that are added in one go. */
  private static final int BAND = 64;

  /**
   * Display-linear values between which a pixel is trusted wholly, whatever its code is exactly.
   */
  private static final float SURE_FROM = (float) Srgb.decode(0.1201);

  private static final float SURE_TO = (float) Srgb.decode(0.8199);

  /** From here on it is burnt, likewise. */
  private static final float BURNT = (float) Srgb.decode(0.9701);

  /** Trust where a frame tells nothing, and where it tells all. */
  private static final float LEAST = 1e-9f;

  private static final float WHOLLY = LEAST + 1f * (0.02f + 1f);

  private final Response response;
  private final List<String> frames;
  private final float[] time;

  private MergedLight(Response response, List<String> frames, float[] time) {
    this.response = response;
    this.frames = frames;
    this.time = time;
  }

  /** Of the ambient and window frames of a view; kept. */
  public static MergedLight of(Analysis analysis) {
    Set<String> ids = new LinkedHashSet<>();
    analysis.frames().ambient().forEach(f -> ids.add(f.id()));
    ids.add(analysis.frames().windowFrame().id());
    return of(analysis, List.copyOf(ids));
  }

  /** Of some frames of a view; kept. */
  public static MergedLight of(Analysis analysis, List<String> ids) {
    return analysis.keep(MergedLight.class, ids, MOST_KEPT, () -> prepared(analysis, ids));
  }

  private static MergedLight prepared(Analysis analysis, List<String> ids) {
    double anchor = analysis.frames().anchorFrame().stops();
    float[] time = new float[ids.size()];
    for (int k = 0; k < time.length; k++) {
      time[k] = (float) Math.pow(2, analysis.frames().get(ids.get(k)).stops() - anchor);
    }
    return new MergedLight(analysis.frames().response(), ids, time);
  }

  /** The frames that were merged, in the order of their weights. */
  public List<String> frames() {
    return frames;
  }

  /** Luminance of the light on the analysis grid, 1 where the anchor just burns; kept. */
  public static Plane luminance(Analysis analysis) {
    return of(analysis).onGrid(analysis).luminance();
  }

  /**
   * The light on the analysis grid, 1 where the anchor just burns.
   *
   * @param most of each pixel's channels
   */
  public record Tones(Plane luminance, Plane most) {
    /** Of light with sRGB primaries. */
    public static Tones of(Picture light) {
      Plane luminance = Plane.of(light.width(), light.height());
      Plane most = Plane.of(light.width(), light.height());
      for (int i = 0; i < luminance.data().length; i++) {
        luminance.data()[i] = Space.srgbLuminance(light.r()[i], light.g()[i], light.b()[i]);
        most.data()[i] = light.mostAt(i);
      }
      return new Tones(luminance, most);
    }
  }

  /** The light on the analysis grid; kept. */
  public Tones onGrid(Analysis analysis) {
    Raster grid = analysis.raster();
    return analysis.keep(
        Tones.class, frames, 1, () -> Tones.of(draw(grid, id -> analysis.draw(id, grid))));
  }

  /**
   * The light at the pixels of a raster.
   *
   * @param drawn draws a frame at the raster, display-linear with sRGB primaries
   * @return linear sRGB primaries, 1 where the anchor just burns, unbounded above
   */
  public Picture draw(Raster raster, Function<String, Picture> drawn) {
    return draw(raster, drawn, () -> Favour.NONE);
  }

  /** How much each frame counts at each pixel, beside how well it measures the light there. */
  public interface Favour {
    /** All frames alike. */
    Favour NONE = (k, row, out) -> false;

    /**
     * Reads a row.
     *
     * @param k which of the frames
     * @param out favour at each pixel of the row, 0 to 1
     * @return whether anything but 1 was written
     */
    boolean row(int k, int row, float[] out);
  }

  /**
   * The light likewise, some frames favoured at some places.
   *
   * @param favour makes one for each band of rows, which alone reads it
   */
  public Picture draw(
      Raster raster, Function<String, Picture> drawn, Supplier<? extends Favour> favour) {
    Picture out = Picture.of(raster.width(), raster.height());
    float[] weights = new float[raster.pixels()];
    for (int k = 0; k < time.length; k++) {
      int at = k;
      Picture frame = drawn.apply(frames.get(k));
      Bands.of(
          raster.height(),
          BAND,
          (from, to) -> add(frame, at, favour.get(), weights, out, from, to));
    }
    for (int c = 0; c < 3; c++) {
      float[] into = out.channel(c);
      for (int i = 0; i < into.length; i++) {
        into[i] /= weights[i];
      }
    }
    return out;
  }

  /**
   * How well a frame measures pixels, all of them together; a longer exposure a little better.
   *
   * @param k which of the frames
   * @param frame the frame, display-linear with sRGB primaries
   */
  public double measured(int k, Picture frame, int[] pixels) {
    boolean shortest = end(k, -1);
    boolean longest = end(k, 1);
    float longer = (float) Math.pow(time[k], 0.1);
    double sum = 0;
    for (int i : pixels) {
      sum += longer * trust(frame, i, shortest, longest);
    }
    return sum;
  }

  /** Trust in a pixel by its codes, which most pixels need not be asked for. */
  static float trust(Picture p, int i, boolean shortest, boolean longest) {
    float most = p.mostAt(i);
    float least = Math.min(p.r()[i], Math.min(p.g()[i], p.b()[i]));
    if (most <= SURE_TO && least >= SURE_FROM) {
      return WHOLLY;
    }
    return most >= BURNT && !shortest
        ? LEAST
        : trust(Srgb.encodeFast(most), Srgb.encodeFast(least), shortest, longest);
  }

  private void add(
      Picture frame, int k, Favour favour, float[] weights, Picture out, int from, int to) {
    boolean shortest = end(k, -1);
    boolean longest = end(k, 1);
    int w = frame.width();
    float[] row = new float[w];
    for (int y = from; y < to; y++) {
      boolean favours = favour.row(k, y, row);
      for (int i = y * w; i < (y + 1) * w; i++) {
        float weight = time[k] * time[k] * trust(frame, i, shortest, longest);
        if (favours) {
          weight *= row[i - y * w];
        }
        weights[i] += weight;
        float part = weight / time[k];
        out.r()[i] += part * response.toLight(0, frame.r()[i]);
        out.g()[i] += part * response.toLight(1, frame.g()[i]);
        out.b()[i] += part * response.toLight(2, frame.b()[i]);
      }
    }
  }

  /** Whether no frame was exposed shorter, or longer, than this one. */
  private boolean end(int k, int sign) {
    for (float t : time) {
      if (sign * t > sign * time[k]) {
        return false;
      }
    }
    return true;
  }

  /** Trust in a pixel: none at the top of the codes, little at the bottom. */
  public static float trust(float most, float least, boolean shortest, boolean longest) {
    float top = shortest ? 1 : Ease.between((0.97f - most) * (1 / 0.15f));
    float low = longest ? 1 : Ease.between((least - 0.02f) * (1 / 0.1f));
    return LEAST + top * (0.02f + low);
  }
}
