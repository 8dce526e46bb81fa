package illuminar.core.watch;

import static org.assertj.core.api.Assertions.assertThat;

import illuminar.core.picture.Plane;
import java.util.List;
import java.util.function.IntBinaryOperator;
import org.junit.jupiter.api.Test;

/** Lines that are there and lines that are new, on planes made by hand. Our own rule, no source. */
class RidgesTest {
  private static final int W = 80;
  private static final int H = 60;

  private static Plane plane(IntBinaryOperator at) {
    Plane out = Plane.of(W, H);
    for (int i = 0; i < W * H; i++) {
      out.data()[i] = at.applyAsInt(i % W, i / W);
    }
    return out;
  }

  private static boolean bar(int x, int y) {
    return y >= 30 && y < 32 && x > 10 && x < 70;
  }

  private static final Plane SHOWN = plane((x, y) -> bar(x, y) ? 80 : 95);

  @Test
  void aLineThatNothingHasIsNew() {
    Plane even = plane((x, y) -> -1);
    assertThat(Ridges.of(SHOWN, List.of(Ridges.There.light(even)))).hasSizeGreaterThan(50);
  }

  /** A bar before lit panes: the light of what burnt is not known, that the bar is there is. */
  @Test
  void aBarBeforeWhatBurntIsTheFramesOwn() {
    Plane light = plane((x, y) -> bar(x, y) ? -1 : 0);
    for (int i = 0; i < light.data().length; i++) {
      light.data()[i] = bar(i % W, i / W) ? -1 : Float.NaN;
    }
    Plane frame = plane((x, y) -> bar(x, y) ? 90 : 100);
    assertThat(Ridges.of(SHOWN, List.of(Ridges.There.light(light)))).isNotEmpty();
    assertThat(Ridges.of(SHOWN, List.of(Ridges.There.light(light), Ridges.There.frame(frame))))
        .isEmpty();
  }

  /** Twice what a frame has is a steep curve's doing, more is not. */
  @Test
  void whatIsFarStrongerThanInTheFrameIsNew() {
    Plane frame = plane((x, y) -> bar(x, y) ? 97 : 100);
    assertThat(Ridges.of(SHOWN, List.of(Ridges.There.frame(frame)))).isNotEmpty();
  }
}
