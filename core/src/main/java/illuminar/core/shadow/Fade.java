package illuminar.core.shadow;

import illuminar.core.colour.Stops;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Plane;
import java.util.ArrayList;
import java.util.List;

/**
 * How a shadow fades across its edge, as its picture shows it, whatever curve a camera has laid
 * over the light: at each place of the edge the mean of those near by, each by its own place and
 * width (Arbel and Hel-Or 2011).
 *
 * @param kept share of the shadow's stops that is left, by place of the edge and channel; from
 *     {@link #REACH} halves of the penumbra's width within the shadow to as much in the light
 */
record Fade(float[][][] kept) {
  /** Halves of the width on either side of the edge, beyond which nothing changes. */
  static final float REACH = 1.7f;

  private static final int EACH = 20;
  private static final int ENTRIES = (int) (2 * REACH * EACH) + 1;

  /** Coarse pixels of the edge on either side whose fading is averaged. */
  private static final float NEAR = 10;

  /** How much the whole edge counts beside what is near. */
  private static final float ALL = 2;

  static Fade of(Picture picture, List<Crossing> edge, int factor) {
    List<float[][]> lines = new ArrayList<>();
    float[][] mean = new float[3][ENTRIES];
    float trusted = 0;
    for (Crossing c : edge) {
      float[][] line = line(picture, c);
      lines.add(line);
      add(mean, line, c.trust());
      trusted += c.trust();
    }
    float[][][] kept = new float[edge.size()][3][];
    for (int k = 0; k < kept.length; k++) {
      float[][] sum = new float[3][ENTRIES];
      add(sum, mean, ALL / trusted);
      for (int j = 0; j < kept.length; j++) {
        float near = near(edge.get(k), edge.get(j), factor);
        if (near > 0) {
          add(sum, lines.get(j), near * edge.get(j).trust());
        }
      }
      for (int c = 0; c < 3; c++) {
        kept[k][c] = falling(sum[c]);
      }
    }
    return new Fade(kept);
  }

  private static float near(Crossing c, Crossing o, int factor) {
    float dx = (o.x() - c.x()) / (NEAR * factor);
    float dy = (o.y() - c.y()) / (NEAR * factor);
    float square = dx * dx + dy * dy;
    return square < 1 && o.toX() * c.toX() + o.toY() * c.toY() > 0.8f ? 1 - square : 0;
  }

  private static void add(float[][] sum, float[][] line, float weight) {
    for (int c = 0; c < 3; c++) {
      for (int i = 0; i < ENTRIES; i++) {
        sum[c][i] += weight * line[c][i];
      }
    }
  }

  private static float[][] line(Picture picture, Crossing c) {
    float[][] line = new float[3][ENTRIES];
    for (int k = 0; k < 3 && c.trust() > 0; k++) {
      Plane light = new Plane(picture.width(), picture.height(), picture.channel(k));
      float dark = Stops.of(c.dark()[k]);
      float step = Stops.of(c.ratio()[k] * c.dark()[k]) - dark;
      for (int i = 0; i < ENTRIES; i++) {
        float t = ((float) i / EACH - REACH) * c.half();
        float seen = Stops.of(light.sample(c.x() + t * c.toX(), c.y() + t * c.toY()));
        line[k][i] = Math.max(-0.5f, Math.min(1.5f, 1 - (seen - dark) / step));
      }
    }
    return line;
  }

  /** The falling line nearest to one (pool adjacent violators), from 1 to 0. */
  private static float[] falling(float[] line) {
    int n = line.length;
    double[] value = new double[n];
    int[] count = new int[n];
    int blocks = 0;
    for (double v : line) {
      value[blocks] = v;
      count[blocks++] = 1;
      while (blocks > 1 && value[blocks - 2] < value[blocks - 1]) {
        int both = count[blocks - 2] + count[blocks - 1];
        value[blocks - 2] =
            (value[blocks - 2] * count[blocks - 2] + value[blocks - 1] * count[blocks - 1]) / both;
        count[--blocks - 1] = both;
      }
    }
    float[] out = new float[n];
    double first = value[0];
    double last = value[blocks - 1];
    int i = 0;
    for (int b = 0; b < blocks; b++) {
      for (int k = 0; k < count[b]; k++) {
        out[i++] = first > last ? (float) ((value[b] - last) / (first - last)) : 0;
      }
    }
    return out;
  }

  /**
   * Share of the shadow's stops that is left.
   *
   * @param place of the edge, by number
   * @param halves of the penumbra's width from the edge, above 0 in the light
   */
  float kept(int place, int channel, float halves) {
    float at = (halves + REACH) * EACH;
    if (at <= 0) {
      return 1;
    }
    if (at >= ENTRIES - 1) {
      return 0;
    }
    int i = (int) at;
    float[] line = kept[place][channel];
    return line[i] + (line[i + 1] - line[i]) * (at - i);
  }
}
