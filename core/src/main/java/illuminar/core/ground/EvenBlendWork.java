package illuminar.core.ground;

import illuminar.core.analysis.Analysis;
import illuminar.core.colour.Space;
import illuminar.core.colour.Srgb;
import illuminar.core.picture.AreaResize;
import illuminar.core.picture.MapRows;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Plane;
import illuminar.core.picture.Raster;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import java.util.stream.IntStream;

/**
 * An even blend in two steps: everything wide is blended in pyramids on the analysis grid, and what
 * is finer than the grid is added from the frames at any size with the weights of the finest level:
 *
 * <p>out = blend↑ + Σ wᵏ↑ · (codeᵏ − codeᵏ↑), ↑ being bilinear enlargement. Equal frames come back
 * unchanged. Sources: {@link Fusion}; two scales after Li, Kang, Hu, "Image fusion with guided
 * filtering", 2013.
 */
public final class EvenBlendWork {
  private final Ground.EvenBlend blend;
  private final Analysis analysis;
  private final Plane[] blended;
  private final List<Plane[]> codes;
  private final List<Plane> weights;
  private final double calm;

  /** Blends on the analysis grid. */
  public EvenBlendWork(Ground.EvenBlend blend, Analysis analysis) {
    this.blend = blend;
    this.analysis = analysis;
    calm = blend.calm();
    codes = new ArrayList<>();
    for (String id : blend.frames()) {
      codes.add(codes(analysis.draw(id, analysis.raster())));
    }
    weights = Fusion.weights(codes);
    blended = Fusion.blend(codes, weights);
  }

  private static Plane[] codes(Picture p) {
    Plane[] out = new Plane[3];
    IntStream.range(0, 3)
        .parallel()
        .forEach(
            c -> {
              out[c] = Plane.of(p.width(), p.height());
              for (int i = 0; i < out[c].data().length; i++) {
                out[c].data()[i] = Srgb.encodeFast(p.channel(c)[i]);
              }
            });
    return out;
  }

  /** The blend on the analysis grid as display codes, for measuring. */
  public Plane[] blended() {
    return blended;
  }

  /** The ground at a raster, linear BT.2020. */
  public Picture draw(Raster raster, Function<String, Picture> frames) {
    Picture out = Picture.of(raster.width(), raster.height());
    if (raster.scale() <= analysis.raster().scale() * 1.0001) {
      for (int c = 0; c < 3; c++) {
        Plane light = Plane.of(blended[c].width(), blended[c].height());
        for (int i = 0; i < light.data().length; i++) {
          light.data()[i] = Srgb.decodeFast(blended[c].data()[i]);
        }
        Plane small = AreaResize.at(light, analysis.fullWidth(), analysis.fullHeight(), raster);
        System.arraycopy(small.data(), 0, out.channel(c), 0, small.data().length);
      }
    } else {
      fine(raster, frames, out);
    }
    if (calm > 0) {
      calm(frames.apply(blend.towards()), out);
    }
    toWork(out);
    return out;
  }

  private void fine(Raster raster, Function<String, Picture> frames, Picture out) {
    int w = raster.width();
    int mw = blended[0].width();
    int mh = blended[0].height();
    List<Picture> drawn = blend.frames().stream().map(frames).toList();
    MapRows rows = new MapRows(mw, mh, analysis.fullWidth(), analysis.fullHeight(), raster);
    float[][] sum = new float[3][w];
    float[] share = new float[w];
    float[] coarse = new float[w];
    for (int j = 0; j < raster.height(); j++) {
      for (int c = 0; c < 3; c++) {
        rows.row(blended[c].data(), j, sum[c], 0);
      }
      for (int k = 0; k < drawn.size(); k++) {
        rows.row(weights.get(k).data(), j, share, 0);
        for (int c = 0; c < 3; c++) {
          rows.row(codes.get(k)[c].data(), j, coarse, 0);
          float[] light = drawn.get(k).channel(c);
          float[] into = sum[c];
          for (int i = 0; i < w; i++) {
            into[i] += share[i] * (Srgb.encodeFast(light[j * w + i]) - coarse[i]);
          }
        }
      }
      for (int c = 0; c < 3; c++) {
        float[] into = out.channel(c);
        for (int i = 0; i < w; i++) {
          into[j * w + i] = Srgb.decodeFast(sum[c][i]);
        }
      }
    }
  }

  private void calm(Picture towards, Picture out) {
    for (int c = 0; c < 3; c++) {
      float[] into = out.channel(c);
      float[] from = towards.channel(c);
      for (int i = 0; i < into.length; i++) {
        float a = Srgb.encodeFast(into[i]);
        into[i] = Srgb.decodeFast(a + (float) calm * (Srgb.encodeFast(from[i]) - a));
      }
    }
  }

  /** sRGB primaries to BT.2020, in place. */
  public static void toWork(Picture p) {
    float a = (float) Space.SRGB_TO_WORK.a();
    float b = (float) Space.SRGB_TO_WORK.b();
    float c = (float) Space.SRGB_TO_WORK.c();
    float d = (float) Space.SRGB_TO_WORK.d();
    float e = (float) Space.SRGB_TO_WORK.e();
    float f = (float) Space.SRGB_TO_WORK.f();
    float g = (float) Space.SRGB_TO_WORK.g();
    float h = (float) Space.SRGB_TO_WORK.h();
    float k = (float) Space.SRGB_TO_WORK.i();
    for (int i = 0; i < p.r().length; i++) {
      float r = p.r()[i];
      float gr = p.g()[i];
      float bl = p.b()[i];
      p.r()[i] = a * r + b * gr + c * bl;
      p.g()[i] = d * r + e * gr + f * bl;
      p.b()[i] = g * r + h * gr + k * bl;
    }
  }
}
