package illuminar.core.cover;

import illuminar.core.filter.Gauss;
import illuminar.core.picture.Bands;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Plane;
import java.util.Optional;

/**
 * A picture with lettering over it: its shadow takes light away as the picture's own shadows do,
 * and its edges stand out a little on the side of the sun. Everything in linear light.
 */
public final class Lettered {
  /** The width of a raised edge, as a share of the lettering's size. */
  private static final double EDGE = 0.02;

  /** How many stops a raised edge is brighter or darker than the flat of a letter, at most. */
  private static final double RAISED = 0.9;

  private Lettered() {}

  /**
   * The lettering.
   *
   * @param coverage 0 to 1, of the picture's size
   * @param fill what the letters are filled with, of the picture's size
   * @param baseline row on which it stands, in pixels
   * @param size in pixels
   * @param relief 0 flat to 1
   */
  public record Letters(Plane coverage, Picture fill, double baseline, double size, double relief) {
    public Letters {
      if (!(relief >= 0 && relief <= 1)) {
        throw new IllegalArgumentException("relief goes from 0 to 100 %");
      }
    }
  }

  /**
   * What was made.
   *
   * @param shadowSeen whether a shadow was found along the line that was marked
   */
  public record Made(Picture picture, boolean shadowSeen) {}

  /**
   * The picture with its lettering; neither is modified.
   *
   * @param shadow none where the lettering throws none
   */
  public static Made of(Picture below, Letters letters, Optional<CastShadow> shadow) {
    Picture out = Picture.of(below.width(), below.height());
    Optional<ShadowLight> light = shadow.map(s -> ShadowLight.along(below, s.foot(), s.tip()));
    Plane taken =
        shadow
            .map(s -> s.of(letters.coverage, letters.baseline, letters.size))
            .orElseGet(() -> Plane.of(below.width(), below.height()));
    Plane raised = raised(letters, shadow);
    float depth = (float) shadow.map(CastShadow::depth).orElse(0.0).doubleValue();
    for (int c = 0; c < 3; c++) {
      int channel = c;
      float left = light.map(l -> l.left()[channel]).orElse(1f);
      float[] from = below.channel(c);
      float[] fill = letters.fill.channel(c);
      float[] to = out.channel(c);
      Bands.of(
          below.height(),
          32,
          (top, end) -> {
            for (int i = top * below.width(); i < end * below.width(); i++) {
              float shaded = from[i] * (1 - depth * taken.data()[i] * (1 - left));
              float a = letters.coverage.data()[i];
              to[i] = shaded + a * (fill[i] * raised.data()[i] - shaded);
            }
          });
    }
    return new Made(out, light.map(ShadowLight::seen).orElse(true));
  }

  /** The factor of light at each place of the letters: above 1 on edges that face the sun. */
  private static Plane raised(Letters letters, Optional<CastShadow> shadow) {
    int width = letters.coverage.width();
    Plane out = Plane.filled(width, letters.coverage.height(), 1);
    if (letters.relief == 0) {
      return out;
    }
    // shadows point away from the sun; without one it stands upper left
    double sx = shadow.map(s -> s.tip().x() - s.foot().x()).orElse(1.0);
    double sy = shadow.map(s -> s.tip().y() - s.foot().y()).orElse(1.0);
    double far = Math.hypot(sx, sy);
    double reach = Math.max(0.7, EDGE * letters.size);
    Plane height = Gauss.smooth(letters.coverage, reach);
    // the steepest slope of a smoothed edge
    double steepest = 1 / (reach * Math.sqrt(2 * Math.PI));
    Bands.of(
        out.height(),
        32,
        (from, to) -> {
          for (int y = from; y < to; y++) {
            for (int x = 0; x < width; x++) {
              double gx = (height.clamped(x + 1, y) - height.clamped(x - 1, y)) / 2;
              double gy = (height.clamped(x, y + 1) - height.clamped(x, y - 1)) / 2;
              double facing = (gx * sx + gy * sy) / far / steepest;
              double stops = RAISED * letters.relief * Math.max(-1, Math.min(1, facing));
              out.data()[y * width + x] = (float) Math.pow(2, stops);
            }
          }
        });
    return out;
  }
}
