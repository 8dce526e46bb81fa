package illuminar.core.exposure;

/**
 * How a frame was exposed. Source: ISO 2720 / APEX relations.
 *
 * @param seconds shutter time, &gt; 0
 * @param aperture f-number, &gt; 0
 * @param iso speed, &gt; 0
 */
public record Exposure(double seconds, double aperture, double iso) {

  public Exposure {
    if (!(seconds > 0) || !(aperture > 0) || !(iso > 0)) {
      throw new IllegalArgumentException("exposure needs time, aperture and speed above 0");
    }
  }

  /**
   * How much light the frame was given, log2(t / N² · S / 100), in stops; one more is twice as
   * bright.
   */
  public double stops() {
    return log2(seconds / (aperture * aperture) * iso / 100);
  }

  /** Stops from this frame up to another. */
  public double stepTo(Exposure other) {
    return other.stops() - stops();
  }

  private static double log2(double x) {
    return Math.log(x) / Math.log(2);
  }
}
