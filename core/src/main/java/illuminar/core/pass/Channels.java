package illuminar.core.pass;

/** On what a curve or levels work. */
public enum Channels {
  /** On the luminance; hue and saturation stay. */
  LIGHTNESS,
  /**
   * On the brightest of red, green and blue, the others in proportion: hue and saturation stay, and
   * no colour becomes too bright to be shown.
   */
  BRIGHTEST_CHANNEL,
  /** On red, green and blue alike, each by itself: contrast raises saturation. */
  ALL_CHANNELS,
  RED,
  GREEN,
  BLUE;

  /** Whether a channel, 0 to 2, is worked on by itself. */
  public boolean has(int channel) {
    return this == ALL_CHANNELS || ordinal() - RED.ordinal() == channel;
  }
}
