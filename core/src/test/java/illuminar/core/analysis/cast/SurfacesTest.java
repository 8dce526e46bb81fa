package illuminar.core.analysis.cast;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import illuminar.core.GardenRoom;
import illuminar.core.TestRoom;
import illuminar.core.analysis.Analysis;
import illuminar.core.analysis.light.MergedLight;
import illuminar.core.picture.Plane;
import illuminar.core.picture.Raster;
import org.junit.jupiter.api.Test;

/**
 * White surfaces up to their edges, in an invented room of known lights and paints: a corner of two
 * white walls, one by a lamp, one by the sky; the lamp's cone on its wall; a brass rod before the
 * other; boards below.
 */
class SurfacesTest {
  private static final double[] LAMP = {1.4, 1, 0.5};
  private static final double[] SKY = {0.9, 1, 1.15};
  private static final double[] BRASS = {0.6, 0.42, 0.16};
  private static final int CORNER = 640;

  /** The edge of the lamp's cone rises leftwards. */
  private static double cone(double x, double y) {
    return 1 / (1 + Math.exp((x - 240 + (y - 250) * 0.3) / 6));
  }

  private static double light(int x, int y, int c) {
    if (x >= CORNER) {
      return 0.12 * SKY[c];
    }
    double lamp = 0.04 * Math.exp(-Math.hypot(x - 120, y - 300) / 260) + 0.07 * cone(x, y);
    return 0.1 * SKY[c] + lamp * LAMP[c];
  }

  private static double room(int x, int y, int c) {
    double light = light(x, y, c);
    if (y > 560) {
      double grain = 1 + 0.15 * Math.sin(Math.floor(x / 24.0) * 2.4) + 0.06 * Math.sin(y * 0.4 + x);
      return light * BRASS[c] * grain;
    }
    return Math.abs(y - 120) < 5 && x > 700 && x < 1100 ? light * BRASS[c] : light * 0.85;
  }

  private static final Analysis ROOM = GardenRoom.analysis(SurfacesTest::room, 2, 2);
  private static final Casts CASTS = Casts.of(ROOM, Casts.Source.SURFACES, "");

  private static double lean(int x, int y, int c) {
    double paint = 0.85 / 2;
    return Math.log(
            TestRoom.display(light(x, y, c) * paint) / TestRoom.display(light(x, y, 1) * paint))
        / Math.log(2);
  }

  private static void followsTheLight(int x, int y, double slack) {
    assertThat((double) CASTS.red().at(x, y)).isCloseTo(lean(x, y, 0), within(slack));
    assertThat((double) CASTS.blue().at(x, y)).isCloseTo(lean(x, y, 2), within(slack));
  }

  /** Each wall has its own light up to the corner: no seam of one's along the other. */
  @Test
  void twoWallsMeetInTheirCorner() {
    followsTheLight(CORNER - 3, 300, 0.05);
    followsTheLight(CORNER + 3, 300, 0.05);
  }

  @Test
  void theEdgeOfALampsConeIsLight() {
    for (int x = 190; x <= 290; x += 5) {
      followsTheLight(x, 250, 0.1);
    }
  }

  /** Brass is what it is; the wall behind it stays the wall. */
  @Test
  void aRodBeforeAWallIsNotTheWall() {
    assertThat((double) CASTS.blue().at(900, 120)).isCloseTo(lean(900, 120, 2), within(0.1));
    followsTheLight(900, 112, 0.06);
    followsTheLight(900, 128, 0.06);
  }

  @Test
  void surfacesEndAtTheBoards() {
    Plane share = SurfaceLean.of(ROOM, ROOM.frames().anchor()).share();
    assertThat(share.at(400, 556)).isGreaterThan(0.9f);
    assertThat(share.at(400, 566)).isZero();
  }

  /** Sure at its left end alone, half the picture away, a wall is white to its corner. */
  @Test
  void aWallIsOneWallToItsEnd() {
    Raster grid = ROOM.raster();
    Plane known = Plane.of(grid.width(), grid.height());
    for (int i = 0; i < known.data().length; i++) {
      known.data()[i] = i % grid.width() < 40 && i / grid.width() < 500 ? 1 : 0;
    }
    Surfaces grown =
        Surfaces.of(
            OwnLean.of(ROOM, ROOM.frames().anchor(), grid),
            LightSteps.of(ROOM, ROOM.frames().anchor()),
            known,
            new float[grid.pixels()],
            new boolean[grid.pixels()],
            MergedLight.luminance(ROOM));
    assertThat(grown.share().at(CORNER - 20, 300)).isGreaterThan(0.9f);
    assertThat(grown.share().at(CORNER - 20, 600)).isZero();
  }

  /** A floor that mirrors the wall above it, the less the nearer to the camera. */
  private static double glossy(int x, int y, int c) {
    double wall = 0.1 * SKY[c] * 0.85;
    double grain = 1 + 0.12 * Math.sin(x * 0.7) + 0.1 * Math.sin(x * 0.43);
    double boards = 0.08 * SKY[c] * WOOD[c] * grain;
    double mirrored = 1 / (1 + Math.exp((y - 620) / 25.0));
    return y < 560 ? wall : mirrored * wall + (1 - mirrored) * boards;
  }

  private static final double[] WOOD = {1.1, 0.95, 0.7};

  /** Light goes over from a wall to what mirrors it; boards are no wall for that. */
  @Test
  void aGlossyFloorIsNotTheWallThatItMirrors() {
    Analysis room = GardenRoom.analysis(SurfacesTest::glossy, 2, 2);
    Plane share = SurfaceLean.of(room, room.frames().anchor()).share();
    assertThat(share.at(600, 300)).isGreaterThan(0.9f);
    assertThat(share.at(600, 720)).isZero();
  }
}
