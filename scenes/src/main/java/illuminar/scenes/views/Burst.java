package illuminar.scenes.views;

import illuminar.core.exposure.Exposure;
import illuminar.core.frame.Similarity;
import illuminar.scenes.camera.Shot;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;

/** Writes down the shots of a view in the order in which they are taken. */
final class Burst {
  private final List<Shot> shots = new ArrayList<>();
  private final double aperture;
  private final int iso;
  private int number;
  private LocalDateTime at;

  /** Begins with file {@code number} at a time. */
  Burst(int number, LocalDateTime at, double aperture, int iso) {
    this.number = number;
    this.at = at;
    this.aperture = aperture;
    this.iso = iso;
  }

  /** Waits. */
  Burst pause(double seconds) {
    at = at.plusNanos((long) (seconds * 1e9));
    return this;
  }

  /** One frame; the next follows when the shutter has closed. */
  Burst frame(double seconds, Similarity drift, float... lights) {
    return take(seconds, drift, false, false, lights);
  }

  Burst flash(double seconds, Similarity drift, float... lights) {
    return take(seconds, drift, true, false, lights);
  }

  /** A frame in which what moves stands in its other place. */
  Burst moved(double seconds, Similarity drift, float... lights) {
    return take(seconds, drift, false, true, lights);
  }

  private Burst take(
      double seconds, Similarity drift, boolean flash, boolean moved, float[] lights) {
    shots.add(
        new Shot(
            String.format("FWH_%04d", number++),
            new Exposure(seconds, aperture, iso),
            lights,
            flash,
            drift,
            moved,
            at));
    return pause(seconds + 0.4);
  }

  List<Shot> shots() {
    return List.copyOf(shots);
  }
}
