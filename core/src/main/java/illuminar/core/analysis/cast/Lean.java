package illuminar.core.analysis.cast;

import illuminar.core.colour.Stops;
import illuminar.core.colour.WorkingSpace;
import illuminar.core.picture.LabPlanes;
import illuminar.core.picture.Picture;

/** By how much a colour leans: the ratio of a channel to green, log2. */
final class Lean {
  /** Greatest lean that is believed, log2. */
  private static final float MOST = 2.4f;

  private Lean() {}

  static float of(float a, float b) {
    return Stops.of(Math.max(1e-4f, a)) - Stops.of(Math.max(1e-4f, b));
  }

  static float bounded(float v) {
    return Math.max(-MOST, Math.min(MOST, v));
  }

  static LabPlanes lab(Picture p) {
    Picture work = p.copy();
    WorkingSpace.fromSrgb(work.planes());
    return LabPlanes.of(work);
  }
}
