package illuminar.core.pass.kinds;

import illuminar.core.colour.Blend;
import illuminar.core.pass.Kind;
import illuminar.core.pass.Move;
import illuminar.core.pass.PassInput;
import illuminar.core.pass.PreparedPass;
import illuminar.core.pass.Stage;

/**
 * Mixes the picture back towards one real frame, which makes an over-blended picture believable
 * again; how far is the pass's strength.
 *
 * @param frame id of the frame
 */
@Kind(
    id = "calm",
    name = "Mix a frame back in",
    stage = Stage.FINISH,
    help = "The picture with a share of one real frame, for a natural look",
    sentence = "Mix {frame} back into {region}")
public record Calm(String frame) implements Move {

  /**
   * @throws IllegalArgumentException if the frame is not there
   */
  @Override
  public PreparedPass prepare(PassInput below) {
    below.analysis().frames().get(frame);
    return new LayFrame(frame, Blend.NORMAL, 0, 0, 0, 0, 0, 0, 1).prepare(below);
  }
}
