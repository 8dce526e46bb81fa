package illuminar.core.geometry;

import illuminar.core.picture.Point;

/** Which rectangles of the plane there is picture in: left, top, width and height of each. */
final class Kept {
  /** Places on each side of a rectangle at which it is looked whether there is picture. */
  private static final int PROBES = 24;

  private final Places places;
  private final double wide;
  private final double high;
  private final boolean moves;

  /**
   * @param moves whether pixels lie elsewhere in the plane than in the view
   */
  Kept(Places places, boolean moves) {
    this.places = places;
    this.moves = moves;
    wide = places.wide();
    high = places.high();
  }

  /** Whether there is picture in all of a rectangle: left, top, width, height. */
  private boolean filled(double... box) {
    for (int k = 0; k <= PROBES; k++) {
      double t = k / (double) PROBES;
      double x = box[0] + t * box[2];
      double y = box[1] + t * box[3];
      if (!places.there(x, box[1])
          || !places.there(x, box[1] + box[3])
          || !places.there(box[0], y)
          || !places.there(box[0] + box[2], y)) {
        return false;
      }
    }
    return true;
  }

  /** What is kept: as it was placed, as far as there is picture. */
  double[] held(Crop crop) {
    if (!crop.placed()) {
      return largest(crop.ratio() == 0 ? wide / high : crop.ratio());
    }
    double[] box = {crop.left(), crop.top(), crop.width(), crop.height()};
    if (filled(box)) {
      return box;
    }
    double[] less =
        grown(
            crop.left() + crop.width() / 2,
            crop.top() + crop.height() / 2,
            box[2] / box[3],
            box[2]);
    return less[2] > 0 ? less : largest(box[2] / box[3]);
  }

  /** The largest rectangle of a ratio about a place, no wider than {@code most}; 0 for none. */
  private double[] grown(double x, double y, double ratio, double most) {
    double low = 0;
    double over = most;
    for (int n = 0; n < 40; n++) {
      double w = (low + over) / 2;
      if (filled(x - w / 2, y - w / ratio / 2, w, w / ratio)) {
        low = w;
      } else {
        over = w;
      }
    }
    return new double[] {x - low / 2, y - low / ratio / 2, low, low / ratio};
  }

  /** The largest rectangle of a ratio that is all picture. */
  private double[] largest(double ratio) {
    double most = Math.min(wide, high * ratio);
    if (!moves) {
      return new double[] {(wide - most) / 2, (high - most / ratio) / 2, most, most / ratio};
    }
    double x = wide / 2;
    double y = high / 2;
    double[] best = grown(x, y, ratio, 2);
    for (double step = 0.08; step > 0.0004; ) {
      double[] better = best;
      for (int k = 0; k < 8; k++) {
        double angle = Math.PI * k / 4;
        double[] other = grown(x + step * Math.cos(angle), y + step * Math.sin(angle), ratio, 2);
        better = other[2] > better[2] + 1e-7 ? other : better;
      }
      if (better == best) {
        step /= 2;
      } else {
        best = better;
        x = best[0] + best[2] / 2;
        y = best[1] + best[3] / 2;
      }
    }
    return best;
  }

  /** The box round all that there is, no more than half as large again as the view each way. */
  double[] all() {
    double x0 = Double.MAX_VALUE;
    double y0 = Double.MAX_VALUE;
    double x1 = -Double.MAX_VALUE;
    double y1 = -Double.MAX_VALUE;
    for (int k = 0; k <= PROBES; k++) {
      double t = k / (double) PROBES;
      double[][] edge = {{t * wide, 0}, {t * wide, high}, {0, t * high}, {wide, t * high}};
      for (double[] e : edge) {
        Point p = places.toPlane(new Point(e[0], e[1]));
        x0 = Math.min(x0, p.x());
        y0 = Math.min(y0, p.y());
        x1 = Math.max(x1, p.x());
        y1 = Math.max(y1, p.y());
      }
    }
    double edge = places.longEdge();
    // whole pixels, so that what only is cut needs no resampling
    x0 = Math.floor(Math.max(x0, -wide / 4) * edge) / edge;
    y0 = Math.floor(Math.max(y0, -high / 4) * edge) / edge;
    x1 = Math.ceil(Math.min(x1, wide * 5 / 4) * edge) / edge;
    y1 = Math.ceil(Math.min(y1, high * 5 / 4) * edge) / edge;
    return new double[] {x0, y0, x1 - x0, y1 - y0};
  }
}
