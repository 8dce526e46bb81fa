package illuminar.core.mend;

import static org.assertj.core.api.Assertions.assertThat;

import illuminar.core.colour.Stops;
import illuminar.core.picture.Raster;
import java.util.Random;
import java.util.function.ToDoubleBiFunction;
import org.junit.jupiter.api.Test;

/** Source: Pérez, Gangnet, Blake 2003 for the rim; common practice, no source, for the rest. */
class MembraneTest {
  private static final int SIDE = 120;
  private static final int R = 14;
  private static final int X = 40;
  private static final int Y = 60;

  /** From the hole to where it is copied from. */
  private static final int WAY = 44;

  @Test
  void aSourceThatIsDarkerMeetsTheRim() {
    assertThat(most((x, y) -> -2 - 0.02 * x, (x, y) -> -2 - 0.02 * x)).isLessThan(0.02);
  }

  @Test
  void stripesThatRunAboutBothStay() {
    ToDoubleBiFunction<Integer, Integer> stripes = (x, y) -> -2 + 0.3 * Math.sin(y * 0.7);
    assertThat(most(stripes, stripes)).isLessThan(0.06);
  }

  @Test
  void aFormOfTheSourceThatNothingAboutTheHoleBearsOutIsLeftAway() {
    ToDoubleBiFunction<Integer, Integer> wall = (x, y) -> -2;
    ToDoubleBiFunction<Integer, Integer> stained =
        (x, y) -> -2 - 0.5 * Math.exp(-Math.pow(Math.hypot(x - X - WAY, y - Y - 14) / 6, 2));
    assertThat(most(stained, wall)).isLessThan(0.15);
  }

  @Test
  void grainStays() {
    Random chance = new Random(7);
    float[] grain = new float[SIDE * SIDE];
    for (int i = 0; i < grain.length; i++) {
      grain[i] = (float) (0.05 * chance.nextGaussian());
    }
    float[] mended = mended((x, y) -> -2 + grain[y * SIDE + x]);
    double sum = 0;
    int n = 0;
    for (int i = 0; i < mended.length; i++) {
      if (inside(i, R - 2)) {
        sum += Math.pow(mended[i] + 2, 2);
        n++;
      }
    }
    assertThat(Math.sqrt(sum / n)).isBetween(0.04, 0.055);
  }

  private static boolean inside(int i, int r) {
    return Math.hypot(i % SIDE - X, i / SIDE - Y) < r;
  }

  /** How far a mended hole is off what should be there at most, stops. */
  private static double most(
      ToDoubleBiFunction<Integer, Integer> seen, ToDoubleBiFunction<Integer, Integer> truth) {
    float[] mended = mended(seen);
    double most = 0;
    for (int i = 0; i < mended.length; i++) {
      if (inside(i, R)) {
        most = Math.max(most, Math.abs(mended[i] - truth.applyAsDouble(i % SIDE, i / SIDE)));
      }
    }
    return most;
  }

  /** Tones with the hole mended from the right. */
  private static float[] mended(ToDoubleBiFunction<Integer, Integer> seen) {
    float[] tones = new float[SIDE * SIDE];
    boolean[] hole = new boolean[SIDE * SIDE];
    for (int i = 0; i < tones.length; i++) {
      hole[i] = inside(i, R);
      tones[i] = hole[i] ? 0 : (float) seen.applyAsDouble(i % SIDE, i / SIDE);
    }
    Window window =
        new Window(Raster.whole(SIDE, SIDE, 1), new float[][] {tones, tones, tones}, hole);
    Membrane membrane =
        Membrane.of(window, Pieces.whole(window.holes().get(0), new Pieces.Way(WAY, 0)));
    float[] out = tones.clone();
    for (int i = 0; i < out.length; i++) {
      if (hole[i]) {
        float light = Stops.light(tones[i + WAY]);
        float[] colour = {light, light, light};
        membrane.meet(i % SIDE, i / SIDE, colour);
        out[i] = Stops.of(colour[0]);
      }
    }
    return out;
  }
}
