package illuminar.core.shadow;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * A surface that a shadow lies on: the places of the edge where it was read.
 *
 * @param dark its tones in the shadow, stops: red, green, blue
 * @param stops by which the shadow darkens it, red, green, blue
 */
record Surface(List<Crossing> edge, float[] dark, float[] stops) {
  /** Stops by which two places of one surface may differ in the light. */
  private static final float SAME = 0.4f;

  /** Trust from which on a place says something of its surface. */
  private static final float READ = 0.4f;

  /** Share of an edge that a surface must take. */
  private static final double LEAST = 0.02;

  /** Surfaces told apart, at most. */
  private static final int MOST = 5;

  static float[] stops(float[] light) {
    float[] out = new float[3];
    for (int c = 0; c < 3; c++) {
      out[c] = (float) (Math.log(Math.max(1e-5, light[c])) / Math.log(2));
    }
    return out;
  }

  /** The surfaces of an edge, the longest first. */
  static List<Surface> of(List<Crossing> edge) {
    List<Crossing> open = new ArrayList<>(edge.stream().filter(c -> c.trust() > READ).toList());
    open.sort(Comparator.comparing(Crossing::trust).reversed());
    int least = (int) Math.max(4, LEAST * open.size());
    List<Surface> found = new ArrayList<>();
    while (!open.isEmpty()) {
      Surface first = mean(List.of(open.get(0)));
      List<Crossing> own = open.stream().filter(first::holds).toList();
      Surface second = mean(own);
      List<Crossing> all = open.stream().filter(c -> second.holds(c) || first.holds(c)).toList();
      open.removeIf(c -> second.holds(c) || first.holds(c));
      if (all.size() >= least) {
        found.add(mean(all));
      }
    }
    found.sort(Comparator.comparing((Surface s) -> s.edge.size()).reversed());
    return found.subList(0, Math.min(MOST, found.size()));
  }

  private static Surface mean(List<Crossing> edge) {
    float[] dark = new float[3];
    float[] stops = new float[3];
    float sum = 0;
    for (Crossing c : edge) {
      sum += c.trust();
      float[] d = stops(c.dark());
      float[] r = stops(c.ratio());
      for (int k = 0; k < 3; k++) {
        dark[k] += c.trust() * d[k];
        stops[k] += c.trust() * r[k];
      }
    }
    for (int k = 0; k < 3; k++) {
      dark[k] /= sum;
      stops[k] /= sum;
    }
    return new Surface(List.copyOf(edge), dark, stops);
  }

  private boolean holds(Crossing c) {
    float sum = 0;
    float[] d = stops(c.dark());
    float[] r = stops(c.ratio());
    for (int k = 0; k < 3; k++) {
      float off = d[k] + r[k] - dark[k] - stops[k];
      sum += off * off;
    }
    return Math.sqrt(sum / 3) < SAME;
  }
}
