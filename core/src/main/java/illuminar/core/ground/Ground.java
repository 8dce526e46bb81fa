package illuminar.core.ground;

import java.util.List;

/** The first complete picture, under everything else. */
public sealed interface Ground {

  /** One frame as the camera rendered it. */
  record OneFrame(String frame) implements Ground {}

  /**
   * Several exposures blended by how well each shows a place.
   *
   * @param frames ids, at least one
   * @param calm share of one real frame mixed back in, 0 to 1
   * @param towards the frame that calm mixes towards
   */
  record EvenBlend(List<String> frames, double calm, String towards) implements Ground {
    public EvenBlend {
      frames = List.copyOf(frames);
      if (frames.isEmpty()) {
        throw new IllegalArgumentException("an even blend needs at least one frame");
      }
      if (!(calm >= 0 && calm <= 1)) {
        throw new IllegalArgumentException("calm is a share between 0 and 1, not " + calm);
      }
    }
  }
}
