package illuminar.core.pass;

/** On what a curve or levels work. */
public enum Channels {
  /** On the luminance; hue and saturation stay. */
  LIGHTNESS,
  /**
   * On the mean, in stops, of luminance and the brightest of red, green and blue about a place: hue
   * and saturation stay, and strong colours, lamps' above all, are held back before they become too
   * bright to be shown.
   */
  BRIGHTNESS,
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
