package illuminar.core.analysis.cast;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import illuminar.core.GardenRoom;
import illuminar.core.TestRoom;
import illuminar.core.analysis.Analysis;
import illuminar.core.frame.Frame;
import illuminar.core.frame.Frames;
import illuminar.core.frame.Role;
import illuminar.core.picture.Plane;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

/**
 * Casts told by surfaces alone, in an invented room whose lights and paints are known: light times
 * paint, channel by channel, and the cast is the light's own lean.
 */
class CastsTest {
  /** The room's light and the one from outside: red, green, blue. */
  private static final double[] LAMPS = {1.15, 1, 0.75};

  private static final double[] SKY = {0.85, 1, 1.3};

  private static final double[] WOOD = {0.5, 0.36, 0.22};

  private static boolean glass(int x, int y) {
    boolean bar = Math.abs(x - 600) < 4 || Math.abs(y - 300) < 5;
    return x > 500 && x < 700 && y > 180 && y < 420 && !bar;
  }

  /**
   * White walls, a floor of boards, and a window in a reveal of white paint that the sky lights.
   */
  private static double room(int x, int y, int c) {
    if (glass(x, y)) {
      return SKY[c] * (2.6 + 0.4 * Math.sin(x * 0.2) * Math.sin(y * 0.17));
    }
    if (x > 480 && x < 720 && y > 160 && y < 440) {
      return 0.5 * SKY[c];
    }
    if (y < 520) {
      return 0.16 * LAMPS[c];
    }
    double grain = 1 + 0.12 * Math.sin(Math.floor(x / 24.0) * 2.4) + 0.05 * Math.sin(y * 0.4 + x);
    return 0.35 * WOOD[c] * LAMPS[c] * grain;
  }

  private static final Analysis ROOM = GardenRoom.analysis(CastsTest::room, 2, 2);

  /** As the camera shows it. */
  private static double lean(double a, double b) {
    return Math.log(TestRoom.display(a / 2) / TestRoom.display(b / 2)) / Math.log(2);
  }

  private static double at(Plane plane, int x, int y) {
    return plane.at(x, y);
  }

  @Test
  void aWallLeansAsItsLightDoes() {
    Casts casts = Casts.of(ROOM, Casts.Source.SURFACES, "");
    assertThat(at(casts.red(), 200, 250)).isCloseTo(lean(LAMPS[0], LAMPS[1]), within(0.06));
    assertThat(at(casts.blue(), 200, 250)).isCloseTo(lean(LAMPS[2], LAMPS[1]), within(0.06));
  }

  /** What is warm about boards is their own: the light on them is that of the wall above. */
  @Test
  void boardsDoNotPassForWarmLight() {
    Casts casts = Casts.of(ROOM, Casts.Source.SURFACES, "");
    double blue = at(casts.blue(), 300, 700);
    assertThat(blue).isCloseTo(lean(LAMPS[2], LAMPS[1]), within(0.12));
    assertThat(blue).isGreaterThan(lean(WOOD[2] * LAMPS[2], WOOD[1] * LAMPS[1]) + 0.5);
  }

  /** The reveal stands in the light from outside, the wall beside it in that of the lamps. */
  @Test
  void theRevealOfAWindowHasTheSkysLight() {
    Casts casts = Casts.of(ROOM, Casts.Source.SURFACES, "");
    assertThat(at(casts.blue(), 490, 300)).isCloseTo(lean(SKY[2], SKY[1]), within(0.12));
    assertThat(at(casts.blue(), 455, 300)).isCloseTo(lean(LAMPS[2], LAMPS[1]), within(0.15));
  }

  private static final double[] TEAL = {0.42, 0.47, 0.44};

  /** A wall of one paint beside a white one; the flash hardly adds to a band of light on both. */
  private static double painted(int x, int y, int c) {
    double light = 0.05 + 0.5 * Math.exp(-Math.pow((y - 400) / 90.0, 2));
    return light * LAMPS[c] * paint(x, c);
  }

  private static double paint(int x, int c) {
    return x < 500 ? TEAL[c] : 0.8;
  }

  /**
   * One wall is of one paint: where the flash is too weak to tell it, the wall beside does. Light
   * times paint, and the flash is white: arithmetic, no source.
   */
  @Test
  void aWallIsOfOnePaintThoughTheFlashTellsSomeOfItOnly() {
    Analysis room = flashed(CastsTest::painted, (x, y, c) -> 0.06 * paint(x, c));
    Casts casts = Casts.of(room, Casts.Source.FLASH, "flash");
    double red = at(casts.red(), 250, 60);
    double blue = at(casts.blue(), 250, 60);
    for (int y : new int[] {200, 300, 400, 600, 740}) {
      assertThat(at(casts.red(), 250, y)).as("red %d", y).isCloseTo(red, within(0.04));
      assertThat(at(casts.blue(), 250, y)).as("blue %d", y).isCloseTo(blue, within(0.04));
    }
  }

  private static Analysis flashed(TestRoom.Light scene, TestRoom.Light flash) {
    List<Frame> frames = new ArrayList<>(GardenRoom.analysis(scene, 1, 1).frames().ambient());
    frames.add(
        TestRoom.frame(
            "flash",
            Role.FLASH,
            0,
            GardenRoom.WIDTH,
            GardenRoom.HEIGHT,
            (x, y, c) -> scene.at(x, y, c) + flash.at(x, y, c)));
    return new Analysis(new Frames(frames, "f0", ROOM.frames().response()));
  }
}
