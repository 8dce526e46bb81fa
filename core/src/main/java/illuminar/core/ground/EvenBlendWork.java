package illuminar.core.ground;

import illuminar.core.analysis.Analysis;
import illuminar.core.colour.Srgb;
import illuminar.core.colour.WorkingSpace;
import illuminar.core.frame.FrameRows;
import illuminar.core.picture.AreaResize;
import illuminar.core.picture.Bands;
import illuminar.core.picture.MapRows;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Plane;
import illuminar.core.picture.Raster;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import java.util.stream.Stream;

/**
 * An even blend in two steps: everything wide is blended in pyramids on the analysis grid, and at
 * any size the frames are mixed with the weights of the finest level and what the pyramids changed
 * is added:
 *
 * <p>out = (blend − Σ wᵏ · codeᵏ)↑ + Σ wᵏ↑ · codeᵏ, ↑ being the map read at the raster. Equal
 * frames come back unchanged. Sources: {@link Fusion}; two scales after Li, Kang, Hu, "Image fusion
 * with guided filtering", 2013.
 */
public final class EvenBlendWork implements GroundWork {
  /**
   * What every share loses before they are made to sum to 1 again: shares that cannot be seen go to
   * nothing, softly, and their frames need not be read.
   */
  private static final float LEAST_SHARE = 0.015f;

  private final Ground.EvenBlend blend;
  private final Analysis analysis;
  private final Plane[] blended;
  private final Plane[] added;
  private final List<Plane> weights;
  private final List<MovingThings.Thing> things;

  /** Blends on the analysis grid. */
  public EvenBlendWork(Ground.EvenBlend blend, Analysis analysis) {
    this.blend = blend;
    this.analysis = analysis;
    List<Plane[]> codes =
        blend.frames().stream().map(id -> codes(analysis.draw(id, analysis.raster()))).toList();
    weights = Fusion.weights(codes, blend.contrast(), blend.saturation(), blend.exposedness());
    Plane moving = MovingThings.moving(blend, analysis);
    List<MovingThings.Taken> taken =
        MovingThings.found(moving, blend, (k, pixels) -> sum(weights.get(k), pixels));
    taken.forEach(t -> MovingThings.take(t, moving, weights));
    things = taken.stream().map(MovingThings.Taken::thing).toList();
    leaveOutSmall(weights);
    blended = Fusion.blend(codes, weights);
    added = added(codes);
  }

  private static double sum(Plane plane, int[] pixels) {
    double sum = 0;
    for (int i : pixels) {
      sum += plane.data()[i];
    }
    return sum;
  }

  private static final int BAND = 200_000;

  private static Plane[] codes(Picture p) {
    Plane[] out = new Plane[3];
    for (int c = 0; c < 3; c++) {
      out[c] = Plane.of(p.width(), p.height());
      float[] light = p.channel(c);
      float[] code = out[c].data();
      Bands.of(
          code.length,
          BAND,
          (from, to) -> {
            for (int i = from; i < to; i++) {
              code[i] = Srgb.encodeWide(light[i]);
            }
          });
    }
    return out;
  }

  private static void leaveOutSmall(List<Plane> weights) {
    Bands.of(
        weights.get(0).data().length,
        BAND,
        (from, to) -> {
          for (int i = from; i < to; i++) {
            float kept = 0;
            for (Plane w : weights) {
              kept += Math.max(0, w.data()[i] - LEAST_SHARE);
            }
            for (Plane w : weights) {
              w.data()[i] = Math.max(0, w.data()[i] - LEAST_SHARE) / kept;
            }
          }
        });
  }

  /** Blend of the pyramids less the weighted sum of the frames. */
  private Plane[] added(List<Plane[]> codes) {
    Plane[] out = new Plane[3];
    for (int c = 0; c < 3; c++) {
      int channel = c;
      out[c] = blended[c].copy();
      Bands.of(
          out[c].data().length,
          BAND,
          (from, to) -> {
            for (int k = 0; k < codes.size(); k++) {
              float[] share = weights.get(k).data();
              float[] code = codes.get(k)[channel].data();
              for (int i = from; i < to; i++) {
                out[channel].data()[i] -= share[i] * code[i];
              }
            }
          });
    }
    return out;
  }

  @Override
  public List<MovingThings.Thing> things() {
    return things;
  }

  /** The blend on the analysis grid as display codes, for measuring. */
  public Plane[] blended() {
    return blended;
  }

  @Override
  public Picture draw(Raster raster, Function<String, Picture> drawn) {
    Picture out = Picture.of(raster.width(), raster.height());
    boolean coarse = raster.scale() <= analysis.raster().scale() * 1.0001;
    Plane[] planes = Stream.concat(Stream.of(added), weights.stream()).toArray(Plane[]::new);
    Rows[] maps =
        coarse
            ? Stream.of(planes).map(p -> resized(p, raster)).toArray(Rows[]::new)
            : Stream.of(MapRows.of(analysis.fullWidth(), analysis.fullHeight(), raster, planes))
                .map(EvenBlendWork::bilinear)
                .toArray(Rows[]::new);
    List<FrameRows> frames = new ArrayList<>();
    for (String id : blend.frames()) {
      frames.add(analysis.rows(id, raster));
    }
    boolean wide = analysis.frames().wide();
    boolean calms = blend.calm() > 0;
    int shared = blend.frames().indexOf(blend.towards());
    FrameRows towards =
        calms && shared < 0
            ? analysis.rows(blend.towards(), raster)
            : frames.get(Math.max(0, shared));
    float[][] calm = new float[3][calms ? raster.width() : 0];
    int w = raster.width();
    float[][] sum = new float[3][w];
    float[][] code = new float[3][w];
    float[] share = new float[w];
    for (int j = 0; j < raster.height(); j++) {
      for (int c = 0; c < 3; c++) {
        maps[c].row(j, sum[c]);
      }
      if (calms) {
        towards.codes(j, 0, w, calm[0], calm[1], calm[2]);
      }
      for (int k = 0; k < frames.size(); k++) {
        maps[3 + k].row(j, share);
        int first = first(share);
        int end = end(share);
        if (first >= end) {
          continue;
        }
        boolean read = calms && k == shared;
        if (!read) {
          frames.get(k).codes(j, first, end, code[0], code[1], code[2]);
        }
        for (int c = 0; c < 3; c++) {
          add(share, read ? calm[c] : code[c], sum[c], first, end);
        }
      }
      for (int c = 0; calms && c < 3; c++) {
        calm(calm[c], sum[c]);
      }
      for (int c = 0; c < 3; c++) {
        float[] into = out.channel(c);
        for (int i = 0; i < w; i++) {
          // of frames that sRGB can show, what the pyramids swing beyond is none of it
          into[j * w + i] = wide ? Srgb.decodeWide(sum[c][i]) : Srgb.decodeFast(sum[c][i]);
        }
      }
    }
    WorkingSpace.fromSrgb(out.planes());
    return out;
  }

  /** A map's values along one row of a raster. */
  private interface Rows {
    void row(int j, float[] out);
  }

  private Rows resized(Plane map, Raster raster) {
    Plane at = AreaResize.at(map, analysis.fullWidth(), analysis.fullHeight(), raster);
    return (j, out) -> System.arraycopy(at.data(), j * at.width(), out, 0, at.width());
  }

  private static Rows bilinear(MapRows rows) {
    return (j, out) -> rows.row(j, out, 0);
  }

  private static int first(float[] share) {
    int i = 0;
    while (i < share.length && share[i] == 0) {
      i++;
    }
    return i;
  }

  private static int end(float[] share) {
    int i = share.length;
    while (i > 0 && share[i - 1] == 0) {
      i--;
    }
    return i;
  }

  private static void add(float[] share, float[] code, float[] sum, int first, int end) {
    for (int i = first; i < end; i++) {
      sum[i] += share[i] * code[i];
    }
  }

  private void calm(float[] code, float[] sum) {
    float calm = (float) blend.calm();
    for (int i = 0; i < sum.length; i++) {
      float a = Math.max(Math.min(0, code[i]), Math.min(Math.max(1, code[i]), sum[i]));
      sum[i] = a + calm * (code[i] - a);
    }
  }
}
