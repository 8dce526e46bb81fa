package illuminar.core.render;

import java.util.Arrays;

/**
 * What passes that only brighten and darken work on, row by row.
 *
 * @param stops present tone of each pixel in stops below white
 * @param gain what has been added so far, in stops
 */
public record Tones(float[] stops, float[] gain) {
  static final Tones NONE = new Tones(new float[0], new float[0]);

  static Tones of(int pixels) {
    return new Tones(new float[pixels], new float[pixels]);
  }

  Tones copy() {
    return new Tones(Arrays.copyOf(stops, stops.length), Arrays.copyOf(gain, gain.length));
  }
}
