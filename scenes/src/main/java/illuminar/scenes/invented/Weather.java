package illuminar.scenes.invented;

import illuminar.scenes.outdoors.Layered;
import illuminar.scenes.outdoors.PlainSky;
import java.util.ArrayList;
import java.util.List;

/**
 * The hour and sky of an invented view.
 *
 * @param kelvin of the daylight
 * @param lit radiance of a white upright surface outside that faces the camera, kcd/m²
 */
record Weather(PlainSky sky, boolean sun, double kelvin, double lit) {

  static Weather thrown(Dice dice) {
    double bright = dice.between(0.6, 1.2);
    if (dice.chance(0.35)) {
      float[] low = grey(5.5 * bright, 1.02);
      return new Weather(
          new PlainSky(low, grey(6.5 * bright, 1.05), grey(8.5 * bright, 1), 0.8f),
          false,
          dice.between(5900, 6900),
          5 * bright);
    }
    double sunny = dice.chance(0.5) ? dice.between(14, 26) : dice.between(4, 8);
    return new Weather(
        new PlainSky(
            scaled(new float[] {3.6f, 4.6f, 5.9f}, bright),
            scaled(new float[] {0.75f, 1.65f, 4.0f}, bright),
            scaled(new float[] {8.2f, 8.3f, 8.5f}, bright),
            (float) dice.between(0.1, 0.7)),
        true,
        dice.between(5000, 5900),
        sunny * bright);
  }

  private static float[] grey(double of, double blue) {
    return new float[] {(float) of, (float) of, (float) (of * blue)};
  }

  private static float[] scaled(float[] c, double by) {
    return new float[] {(float) (c[0] * by), (float) (c[1] * by), (float) (c[2] * by)};
  }

  /**
   * What stands outside: two to four rings, from near to far.
   *
   * @param ground height of the lawn against the floor, metres
   * @param beyond metres from the camera within which nothing stands
   */
  Layered outside(Dice dice, double ground, double beyond) {
    List<Layered.Layer> layers = new ArrayList<>();
    if (dice.chance(0.5)) {
      Layered.Kind near = dice.pick(List.of(Layered.Kind.HEDGE, Layered.Kind.FENCE));
      layers.add(layer(near, beyond + dice.between(3, 10), dice.between(1.1, 1.9), dice));
    }
    if (dice.chance(0.75)) {
      layers.add(
          layer(Layered.Kind.TREES, beyond + dice.between(11, 45), dice.between(5, 11), dice));
    }
    if (dice.chance(0.45)) {
      layers.add(layer(Layered.Kind.HOUSES, dice.between(25, 70), dice.between(7, 10), dice));
    }
    layers.add(layer(Layered.Kind.HILLS, dice.between(900, 2500), dice.between(60, 190), dice));
    return new Layered(
        layers, sky, (float) ground, (float) lit, (float) (dice.chance(0.3) ? 0.0006 : 0.0001));
  }

  private static Layered.Layer layer(Layered.Kind kind, double far, double high, Dice dice) {
    return new Layered.Layer(kind, (float) far, (float) high, dice.whole(1, 9999));
  }
}
