package illuminar.core.analysis.cast;

import illuminar.core.colour.Stops;
import illuminar.core.filter.Gauss;
import illuminar.core.filter.Guided;
import illuminar.core.picture.FloodFill;
import illuminar.core.picture.Plane;
import java.util.Arrays;

/**
 * White surfaces up to their edges, and how the light on them leans. From places that surely are
 * white a surface goes on to their neighbours as long as light, not paint, can be what changes
 * ({@link LightSteps}). Our own rules, no source.
 *
 * @param red log2 of red over green of the light
 * @param blue log2 of blue over green
 * @param share how surely a pixel belongs to a white surface, 0 to 1
 */
record Surfaces(Plane red, Plane blue, Plane share) {
  /** Share of the picture below which a part is no surface, and above which it is no lamp. */
  private static final double SMALL = 0.0005;

  private static final double LAMP = 0.03;

  /** Share of the picture below which a part among boards may be a smooth place of theirs. */
  private static final double ISLAND = 0.01;

  /** Stops over the middle of the room from which on such a part shines itself. */
  private static final float SHINES = 2;

  private static final float SURE = 0.7f;

  /**
   * On the analysis grid.
   *
   * @param steps from pixel to pixel
   * @param known how surely a place is white, 0 to 1
   * @param view windows with their frames, 0 to 1, which are no surfaces
   * @param grainy boards and cloth: a glossy floor shows the wall above it, and light goes over
   * @param light luminance of the merged light
   */
  static Surfaces of(
      OwnLean own, LightSteps steps, Plane known, float[] view, boolean[] grainy, Plane light) {
    boolean[] shut = new boolean[view.length];
    for (int i = 0; i < shut.length; i++) {
      shut[i] = view[i] > 0.02f || own.burnt(i);
    }
    Plane share = grown(known, shut, steps);
    withoutGrain(share, grainy, known);
    withoutLamps(share, light, steps);
    SurfaceEdges.bridge(share, shut, steps);
    Plane all = Gauss.smooth(share, LightSteps.NOISE);
    Plane red = Gauss.smooth(Guided.product(own.red(), share), LightSteps.NOISE);
    Plane blue = Gauss.smooth(Guided.product(own.blue(), share), LightSteps.NOISE);
    for (int i = 0; i < shut.length; i++) {
      if (share.data()[i] > 0) {
        red.data()[i] /= Math.max(1e-6f, all.data()[i]);
        blue.data()[i] /= Math.max(1e-6f, all.data()[i]);
      }
    }
    Surfaces out = new Surfaces(red, blue, share);
    SurfaceEdges.fill(out, own, steps);
    return out;
  }

  /** All that light goes over to from places that are sure: a wall is one wall to its end. */
  private static Plane grown(Plane known, boolean[] shut, LightSteps steps) {
    Plane share = Plane.of(known.width(), known.height());
    boolean[] reached =
        FloodFill.reached(
            known.width(),
            known.height(),
            false,
            i -> known.data()[i] > SURE && !shut[i],
            (from, to) -> !shut[to] && steps.goesOver(from, to));
    for (int i = 0; i < reached.length; i++) {
      share.data()[i] = reached[i] ? 1 : 0;
    }
    return share;
  }

  /** Takes out boards and cloth, and little islands in them on which nothing is surely white. */
  private static void withoutGrain(Plane share, boolean[] grainy, Plane known) {
    for (int i = 0; i < grainy.length; i++) {
      share.data()[i] = grainy[i] ? 0 : share.data()[i];
    }
    Parts.takeOut(
        share,
        (from, to) -> true,
        part ->
            part.length < ISLAND * grainy.length
                && Arrays.stream(part).noneMatch(i -> known.data()[i] > SURE));
  }

  /**
   * Takes out what is small, and what is a source of light itself, as a lamp's shade is: bright all
   * over, and parted from everything about it.
   */
  private static void withoutLamps(Plane share, Plane light, LightSteps steps) {
    int all = share.data().length;
    float middle = LightSources.middle(light.data());
    Parts.takeOut(
        share,
        (from, to) -> steps.goesOver(from, to) || steps.goesOver(to, from),
        part ->
            part.length < SMALL * all || part.length < LAMP * all && shines(part, light, middle));
  }

  private static boolean shines(int[] part, Plane light, float middle) {
    float[] over = new float[part.length];
    for (int k = 0; k < part.length; k++) {
      over[k] = light.data()[part[k]];
    }
    Arrays.sort(over);
    return Stops.of(over[over.length / 2]) - middle > SHINES;
  }
}
