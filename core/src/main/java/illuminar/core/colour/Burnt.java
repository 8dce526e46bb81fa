package illuminar.core.colour;

/**
 * Display-linear values from which a channel counts as burnt, each for one purpose and with its
 * reason. Common practice, no source; all of them are below the last code of an 8-bit file, because
 * cameras bend the last tenth of a stop.
 */
public final class Burnt {
  /** In a file and on the screen: the two highest 8-bit codes, and what would be above. */
  public static final float IN_FILE = 0.985f;

  /** A lamp or a light as bright: none of its colour remains. */
  public static final float LAMP = 0.97f;

  /** What light was added to a pixel cannot be found any more: the sum is cut off. */
  public static final float NO_SUM = 0.96f;

  /** The colour of a pixel is not to be believed: one channel bends before the others. */
  public static final float NO_COLOUR = 0.93f;

  /** What a flash adds is bent too far to be compared with its surroundings. */
  public static final float NO_FLASH = 0.92f;

  /** Lens and file may have spilled light into the pixel from a burnt neighbour. */
  public static final float SPILLED = 0.9f;

  private Burnt() {}
}
