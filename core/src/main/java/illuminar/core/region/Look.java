package illuminar.core.region;

import java.util.function.UnaryOperator;

/**
 * What a part looks at to find its tones or colours.
 *
 * @param frame id of the frame where {@code from} says frame, else empty
 */
public record Look(From from, String frame) {
  public static final Look GROUND = new Look(From.GROUND, "");

  /** The pictures that a part can look at. */
  public enum From {
    GROUND,
    FRAME,
    /** The picture as it stands below the pass; such a region is live. */
    BELOW
  }

  /** The same look at another frame; at anything else the same. */
  public Look at(UnaryOperator<String> frames) {
    return frame.isEmpty() ? this : new Look(from, frames.apply(frame));
  }

  public Look {
    if (from == From.FRAME == frame.isEmpty()) {
      throw new IllegalArgumentException("a part looks at a frame by its id, else at none");
    }
  }
}
