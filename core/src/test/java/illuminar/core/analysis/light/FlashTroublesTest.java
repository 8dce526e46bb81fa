package illuminar.core.analysis.light;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import illuminar.core.TestRoom;
import illuminar.core.analysis.Analysis;
import illuminar.core.frame.Frame;
import illuminar.core.frame.Frames;
import illuminar.core.frame.Role;
import illuminar.core.frame.Similarity;
import illuminar.core.picture.Plane;
import java.util.List;
import org.junit.jupiter.api.Test;

/**
 * Hot spots and hard shadows of a flash, in an invented scene where both places are known; after
 * Petschnigg et al. 2004.
 */
class FlashTroublesTest {
  private static final int W = 300;
  private static final int H = 200;

  private static boolean spot(int x, int y) {
    return Math.hypot(x - 220, y - 60) < 5;
  }

  private static boolean shadow(int x, int y) {
    return x > 60 && x < 90 && y > 90 && y < 150;
  }

  /** Painted stripes, so that a change of paint is no trouble. */
  private static double paint(int x) {
    return x / 25 % 2 == 0 ? 0.16 : 0.5;
  }

  private static Frame frame(String id, Role role, double stops, boolean flash) {
    return TestRoom.frame(
        id,
        role,
        stops,
        W,
        H,
        (x, y, c) -> {
          double lit = flash ? 0.5 * (1 - 0.4 * x / W) * (shadow(x, y) ? 0.1 : 1) : 0;
          return paint(x) * (0.5 + lit) + (flash && spot(x, y) ? 0.5 : 0);
        });
  }

  private static Analysis view(double flashStops) {
    return new Analysis(
        new Frames(
            List.of(frame("a", Role.AMBIENT, 0, false), frame("fl", Role.FLASH, flashStops, true)),
            "a",
            TestRoom.response()));
  }

  @Test
  void bothAreFoundWhereTheyAreAndNowhereElse() {
    float[] hot = FlashTroubles.of(view(0), "fl", FlashTroubles.Trouble.HOT_SPOT).data();
    float[] dark = FlashTroubles.of(view(0), "fl", FlashTroubles.Trouble.HARD_SHADOW).data();
    int wrong = 0;
    for (int y = 0; y < H; y++) {
      for (int x = 0; x < W; x++) {
        boolean near = false;
        for (int v = -4; v <= 4; v += 4) {
          for (int u = -4; u <= 4; u += 4) {
            near |= spot(x + u, y + v) || shadow(x + u, y + v);
          }
        }
        if (!near && (hot[y * W + x] > 0.3 || dark[y * W + x] > 0.3)) {
          wrong++;
        }
      }
    }
    assertThat(wrong).isZero();
    assertThat(hot[60 * W + 220]).isGreaterThan(0.8f);
    // without the flash's 0.37 there, 0.5 + 0.04 of light is left: 0.7 stops less
    assertThat(dark[120 * W + 75]).isGreaterThan(0.3f);
  }

  /** Light adds up whatever the exposure, so the ambient frame may be a stop apart. */
  @Test
  void anAmbientFrameOfAnotherExposureTellsThemToo() {
    Plane same = FlashTroubles.of(view(0), "fl", FlashTroubles.Trouble.HOT_SPOT);
    Plane apart = FlashTroubles.of(view(-1), "fl", FlashTroubles.Trouble.HOT_SPOT);
    int at = 60 * W + 220;
    assertThat(apart.data()[at]).isCloseTo(same.data()[at], within(0.5f));
  }

  /**
   * What is dark or faces away by itself is no shadow of the flash; painted stripes are neither.
   */
  @Test
  void aRoomWithoutTroubleHasNone() {
    Frame plain = frame("fl", Role.AMBIENT, 0, false);
    Frame flash = new Frame("fl", Role.FLASH, 0, Similarity.NONE, plain.pixels());
    Analysis room =
        new Analysis(
            new Frames(
                List.of(frame("a", Role.AMBIENT, 0, false), flash), "a", TestRoom.response()));
    for (FlashTroubles.Trouble trouble : FlashTroubles.Trouble.values()) {
      for (float stops : FlashTroubles.of(room, "fl", trouble).data()) {
        assertThat(stops).isLessThan(0.3f);
      }
    }
  }

  @Test
  void otherSettingsAreRefusedWithTheReason() {
    assertThatThrownBy(() -> FlashTroubles.of(view(3), "fl", FlashTroubles.Trouble.HOT_SPOT))
        .hasMessageContaining("settings");
    assertThatThrownBy(() -> FlashTroubles.of(view(0), "gone", FlashTroubles.Trouble.HOT_SPOT))
        .hasMessageContaining("gone");
  }
}
