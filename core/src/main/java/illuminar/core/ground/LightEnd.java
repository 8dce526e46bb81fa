package illuminar.core.ground;

/**
 * Draws tones above a knee together, so that the lightest comes just below white: within a soft
 * knee the slope falls from 1 to what is needed, beyond it stays, so that all lights keep some
 * difference.
 *
 * @param knee tone from which on, stops
 * @param slope stops shown for each stop beyond the soft knee
 */
record LightEnd(float knee, float slope) {
  /** Tone that the lightest comes to. */
  private static final float WHITE = -0.02f;

  /** Width of the soft knee, stops, and the share of what there is above the knee at most. */
  private static final float SOFT = 0.6f;

  private static final float SOFT_SHARE = 0.7f;

  /** The more has to be held, the deeper the knee lies. */
  static LightEnd of(float lightest) {
    float knee = -0.5f - 0.15f * Math.max(0, lightest - 1.5f);
    float room = WHITE - knee;
    float half = soft(knee) / 2;
    float over = Math.max(room, lightest - knee);
    return new LightEnd(knee, (room - half) / (over - half));
  }

  private static float soft(float knee) {
    return Math.min(SOFT, SOFT_SHARE * (WHITE - knee));
  }

  float held(float tone) {
    float d = tone - knee;
    if (d <= 0) {
      return tone;
    }
    float soft = soft(knee);
    float bent = Math.min(d, soft);
    return knee + bent - (1 - slope) * bent * bent / (2 * soft) + slope * (d - bent);
  }
}
