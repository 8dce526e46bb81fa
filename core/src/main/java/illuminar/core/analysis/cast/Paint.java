package illuminar.core.analysis.cast;

import illuminar.core.filter.Guided;
import illuminar.core.filter.WithinEdges;
import illuminar.core.picture.Plane;

/**
 * What colour each place is of itself, as far as it is told.
 *
 * @param red log2 of red over green
 * @param blue log2 of blue over green
 * @param weight how much it is believed, more than 0
 */
record Paint(Plane red, Plane blue, Plane weight) {
  /** Share of the long edge over which what is told of a surface is drawn together. */
  private static final double SURFACE = 0.15;

  /** One surface is of one paint: what is told of it here and there is drawn together. */
  Paint evened(LightSteps steps) {
    int w = red.width();
    Plane across = Plane.of(w, red.height());
    Plane down = Plane.of(w, red.height());
    double reach = SURFACE * Math.max(w, red.height());
    for (int i = 0; i < across.data().length; i++) {
      across.data()[i] = way(steps, i, steps.neighbour(i, 1), reach);
      down.data()[i] = way(steps, i, steps.neighbour(i, 3), reach);
    }
    Plane[] even =
        new WithinEdges(across, down, reach)
            .mean(Guided.product(red, weight), Guided.product(blue, weight), weight);
    for (int i = 0; i < across.data().length; i++) {
      even[0].data()[i] /= even[2].data()[i];
      even[1].data()[i] /= even[2].data()[i];
    }
    return new Paint(even[0], even[1], even[2]);
  }

  /** The more a step looks like paint, the longer the way over it. */
  private static float way(LightSteps steps, int from, int to, double reach) {
    return to < 0 ? 1 : (float) (1 + reach * steps.paint(from, to));
  }
}
