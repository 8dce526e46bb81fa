package illuminar.core.pass;

import illuminar.core.colour.Blend;
import illuminar.core.render.Below;
import illuminar.core.render.Ready;

/**
 * Mixes the picture back towards one real frame, which makes an over-blended picture believable
 * again; how far is the pass's strength.
 *
 * @param frame id of the frame
 */
public record Calm(String frame) implements Move {

  /**
   * @throws IllegalArgumentException if the frame is not there
   */
  @Override
  public Ready prepare(Below below) {
    below.analysis().frames().get(frame);
    return new LayFrame(frame, Blend.NORMAL, 0, 0, 0, 0, 0, 0, 1).prepare(below);
  }
}
