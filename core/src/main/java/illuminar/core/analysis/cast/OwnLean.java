package illuminar.core.analysis.cast;

import illuminar.core.analysis.Analysis;
import illuminar.core.colour.Burnt;
import illuminar.core.filter.Ease;
import illuminar.core.frame.Frame;
import illuminar.core.frame.Role;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Plane;
import illuminar.core.picture.Raster;
import java.util.Comparator;
import java.util.List;

/**
 * By how much each pixel's own colour leans, whatever the cause: light or paint. Where a frame
 * burns the next darker one tells, and near to that both.
 *
 * @param red log2 of red over green, display-linear, sRGB primaries
 * @param blue log2 of blue over green
 * @param most the brightest channel of the darkest frame that was needed
 */
public record OwnLean(Plane red, Plane blue, float[] most) {
  /** Over how much of a frame's range below its burnt tones the darker one takes over. */
  private static final float OVER = 0.2f;

  /** Planes of the whole grid are large; the last raster asked for is that of the pass. */
  private static final int MOST_KEPT = 1;

  /** Of a frame on a raster; the last one is kept. */
  public static OwnLean of(Analysis analysis, String frame, Raster raster) {
    return analysis.keep(
        OwnLean.class, List.of(frame, raster), MOST_KEPT, () -> told(analysis, frame, raster));
  }

  private static OwnLean told(Analysis analysis, String frame, Raster raster) {
    Picture p = analysis.draw(frame, raster);
    Frame own = analysis.frames().get(frame);
    List<Picture> darker =
        analysis.frames().ambient().stream()
            .filter(f -> own.role() == Role.AMBIENT && f.stops() < own.stops())
            .sorted(Comparator.comparingDouble(Frame::stops).reversed())
            .map(f -> analysis.draw(f.id(), raster))
            .toList();
    OwnLean out =
        new OwnLean(
            Plane.of(p.width(), p.height()),
            Plane.of(p.width(), p.height()),
            new float[raster.pixels()]);
    for (int i = 0; i < out.most.length; i++) {
      out.tell(i, p, darker);
    }
    return out;
  }

  private void tell(int i, Picture anchor, List<Picture> darker) {
    Picture p = anchor;
    float share = 1;
    for (int k = 0; ; k++) {
      float gone =
          k < darker.size() ? Ease.between((p.mostAt(i) - Burnt.NO_COLOUR + OVER) / OVER) : 0;
      red.data()[i] += share * (1 - gone) * Lean.of(p.r()[i], p.g()[i]);
      blue.data()[i] += share * (1 - gone) * Lean.of(p.b()[i], p.g()[i]);
      most[i] = p.mostAt(i);
      if (gone == 0) {
        return;
      }
      share *= gone;
      p = darker.get(k);
    }
  }

  boolean burnt(int i) {
    return most[i] > Burnt.NO_COLOUR;
  }
}
