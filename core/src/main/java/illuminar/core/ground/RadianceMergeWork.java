package illuminar.core.ground;

import illuminar.core.analysis.Analysis;
import illuminar.core.colour.Space;
import illuminar.core.colour.Srgb;
import illuminar.core.colour.Stops;
import illuminar.core.colour.WorkingSpace;
import illuminar.core.filter.Guided;
import illuminar.core.frame.FrameRows;
import illuminar.core.frame.Response;
import illuminar.core.picture.MapRows;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Plane;
import illuminar.core.picture.Raster;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * A radiance merge: each pixel's light is the mean of what the frames measured, weighted by how
 * well each measures it; then the wide differences of light, found by an edge-keeping base, are
 * compressed towards the middle and the camera's own response renders the rest.
 *
 * <p>Sources: weights by exposure time and a hat over the codes after Robertson, Borman, Stevenson
 * 2003 (shot noise: a longer exposure measures the same light better in proportion); base and
 * detail after Durand and Dorsey 2002, the base by the guided filter (He, Sun, Tang 2010).
 */
public final class RadianceMergeWork implements GroundWork {
  private static final float EDGE = 0.45f;

  private final Ground.RadianceMerge merge;
  private final Analysis analysis;
  private final Guided base;
  private final float middle;
  private final float[] time;

  /** Finds the base on the analysis grid. */
  public RadianceMergeWork(Ground.RadianceMerge merge, Analysis analysis) {
    this.merge = merge;
    this.analysis = analysis;
    double anchor = analysis.frames().anchorFrame().stops();
    time = new float[merge.frames().size()];
    for (int k = 0; k < time.length; k++) {
      time[k] = (float) Math.pow(2, analysis.frames().get(merge.frames().get(k)).stops() - anchor);
    }
    Raster grid = analysis.raster();
    float[][] light = new float[3][grid.pixels()];
    merged(grid, light);
    Plane stops = Plane.of(grid.width(), grid.height());
    for (int i = 0; i < stops.data().length; i++) {
      stops.data()[i] = tone(light, i);
    }
    int radius = Math.max(2, Math.round(grid.width() * 0.02f));
    base = Guided.of(stops, stops, radius, EDGE);
    float[] sorted = base.on(stops).data();
    Arrays.sort(sorted);
    middle = sorted[sorted.length / 2];
  }

  /** Light relative to the anchor's exposure, 1 where the anchor just burns. */
  private void merged(Raster raster, float[][] out) {
    Response response = analysis.frames().response();
    int w = raster.width();
    List<FrameRows> rows = new ArrayList<>();
    for (String id : merge.frames()) {
      rows.add(analysis.rows(id, raster));
    }
    float[][] code = new float[3][w];
    float[] weights = new float[w];
    for (int j = 0; j < raster.height(); j++) {
      Arrays.fill(weights, 0);
      for (int k = 0; k < rows.size(); k++) {
        rows.get(k).codes(j, 0, w, code[0], code[1], code[2]);
        boolean darkest = shortest(k);
        boolean brightest = longest(k);
        for (int i = 0; i < w; i++) {
          float most = Math.max(code[0][i], Math.max(code[1][i], code[2][i]));
          float least = Math.min(code[0][i], Math.min(code[1][i], code[2][i]));
          float weight = time[k] * hat(most, least, darkest, brightest);
          weights[i] += weight;
          for (int c = 0; c < 3; c++) {
            float light = response.toLight(c, Srgb.decodeFast(code[c][i])) / time[k];
            out[c][j * w + i] += weight * light;
          }
        }
      }
      for (int c = 0; c < 3; c++) {
        for (int i = 0; i < w; i++) {
          out[c][j * w + i] /= weights[i];
        }
      }
    }
  }

  private boolean shortest(int k) {
    for (float t : time) {
      if (t < time[k]) {
        return false;
      }
    }
    return true;
  }

  private boolean longest(int k) {
    for (float t : time) {
      if (t > time[k]) {
        return false;
      }
    }
    return true;
  }

  /** Trust in a pixel: none at the top of the codes, little at the bottom. */
  private static float hat(float most, float least, boolean darkest, boolean brightest) {
    float top = darkest ? 1 : ease((0.99f - most) * (1 / 0.15f));
    float low = brightest ? 1 : ease(least * (1 / 0.06f));
    return 1e-4f + top * low;
  }

  private static float ease(float t) {
    float x = t < 0 ? 0 : t > 1 ? 1 : t;
    return x * x * (3 - 2 * x);
  }

  private static float tone(float[][] light, int i) {
    return Stops.of(Space.srgbLuminance(light[0][i], light[1][i], light[2][i]));
  }

  @Override
  public Picture draw(Raster raster) {
    int w = raster.width();
    float[][] light = new float[3][raster.pixels()];
    merged(raster, light);
    MapRows[] maps =
        MapRows.of(
            analysis.fullWidth(), analysis.fullHeight(), raster, base.slope(), base.offset());
    Response response = analysis.frames().response();
    FrameRows towards = analysis.rows(merge.towards(), raster);
    float[][] calm = new float[3][w];
    float[] slope = new float[w];
    float[] offset = new float[w];
    float compression = (float) merge.compression();
    float share = (float) merge.calm();
    Picture out = Picture.of(w, raster.height());
    for (int j = 0; j < raster.height(); j++) {
      maps[0].row(j, slope, 0);
      maps[1].row(j, offset, 0);
      if (share > 0) {
        towards.codes(j, 0, w, calm[0], calm[1], calm[2]);
      }
      for (int x = 0; x < w; x++) {
        int i = j * w + x;
        float stops = tone(light, i);
        float wide = slope[x] * stops + offset[x] - middle;
        float gain = Stops.light((float) merge.exposure() - compression * wide);
        for (int c = 0; c < 3; c++) {
          float shown = response.toDisplay(c, Math.min(1, light[c][i] * gain));
          float code = Srgb.encodeFast(shown);
          out.channel(c)[i] =
              share > 0 ? Srgb.decodeFast(code + share * (calm[c][x] - code)) : shown;
        }
      }
    }
    WorkingSpace.fromSrgb(out.planes());
    return out;
  }
}
