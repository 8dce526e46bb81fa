package illuminar.core.frame;

/** What a frame is for. */
public enum Role {
  /** Room light only, metered anywhere. */
  AMBIENT,
  /** With flash. */
  FLASH,
  /** Exposed for the view outside. */
  WINDOW,
  /** Ambient with the lamps switched off. */
  LAMPS_OFF
}
