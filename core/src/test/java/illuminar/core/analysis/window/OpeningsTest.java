package illuminar.core.analysis.window;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import illuminar.core.GardenRoom;
import illuminar.core.TestRoom;
import illuminar.core.analysis.Analysis;
import illuminar.core.analysis.light.MergedLight;
import illuminar.core.picture.Plane;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Openings of invented rooms whose glass is known at every pixel. Our own rules, no source. */
class OpeningsTest {
  private static final Analysis ROOM = GardenRoom.room();

  @Test
  void aWindowIsWholeThoughOnlyItsSkyBurns() {
    List<Opening> openings = Openings.of(ROOM);
    assertThat(openings).hasSize(1);
    Opening found = openings.get(0);
    int[] glass = GardenRoom.glass();
    // within its frame, which is twelve pixels wide
    double y = (glass[1] + glass[3]) / 2.0;
    double x = (glass[0] + glass[2]) / 2.0;
    assertThat(Quad.at(found.sides().left(), y)).isCloseTo(glass[0], within(12.0));
    assertThat(Quad.at(found.sides().right(), y)).isCloseTo(glass[2], within(12.0));
    assertThat(Quad.at(found.sides().top(), x)).isCloseTo(glass[1], within(12.0));
    assertThat(Quad.at(found.sides().bottom(), x))
        .as("the trees belong to it, the sill does not")
        .isCloseTo(glass[3], within(14.0));
    assertThat((double) found.wall()).isCloseTo(GardenRoom.WALL, within(0.05));
  }

  @Test
  void burntSkyAloneFillsOnlyPartOfIt() {
    assertThat(Openings.filled(ROOM)).isBetween(0.2, 0.6);
    assertThat(Panes.of(ROOM).straightShare()).isLessThan(0.6);
  }

  @Test
  void panesThatBurnWhollyAreToldByTheirStraightSides() {
    Analysis room = new TestRoom(900, 600).analysis();
    assertThat(Openings.of(room)).hasSize(1);
    assertThat(Openings.filled(room)).isGreaterThan(0.75);
  }

  /** A house front has sky, white frames and dark panes, and nothing that is seen from a room. */
  @Test
  void aHouseFrontInTheSunHasNoOpening() {
    assertThat(Openings.of(GardenRoom.analysis(GardenRoom::front, 1, 1))).isEmpty();
  }

  /** A sash window with one bar either way, before a plain wall. */
  private static double sash(int x, int y) {
    boolean glass = x > 500 && x < 700 && y > 180 && y < 420;
    boolean bar = Math.abs(x - 600) < 4 || Math.abs(y - 300) < 5;
    return glass && !bar ? 2.2 + 0.5 * Math.sin(x * 0.2) * Math.sin(y * 0.17) : 0.1;
  }

  @Test
  void panesBetweenBarsAreOneWindow() {
    List<Opening> found = Openings.of(GardenRoom.analysis((x, y, c) -> sash(x, y), 2, 2));
    assertThat(found).hasSize(1);
    Quad sides = found.get(0).sides();
    assertThat(Quad.at(sides.left(), 300)).isCloseTo(501, within(1.5));
    assertThat(Quad.at(sides.right(), 300)).isCloseTo(700, within(1.5));
    assertThat(Quad.at(sides.top(), 600)).isCloseTo(181, within(1.5));
    assertThat(Quad.at(sides.bottom(), 600)).isCloseTo(420, within(1.5));
    assertThat(found.get(0).depth(600, 300)).as("the middle").isCloseTo(99, within(4.0));
  }

  /**
   * Sun on the floor, a warm lamp's shade, a bright cloud without straight sides are no windows.
   */
  @Test
  void brightThingsThatAreNoWindowAreNone() {
    assertThat(
            Openings.of(
                GardenRoom.analysis(
                    (x, y, c) -> x > 300 && x < 520 && y > 640 && y < 740 ? 3 : 0.1, 2, 2)))
        .as("lies on the floor")
        .isEmpty();
    assertThat(
            Openings.of(
                GardenRoom.analysis(
                    (x, y, c) ->
                        x > 300 && x < 400 && y > 300 && y < 380
                            ? new double[] {4, 2, 0.8}[c]
                            : 0.1,
                    2,
                    2)))
        .as("is as warm as a lamp")
        .isEmpty();
    assertThat(
            Openings.of(
                GardenRoom.analysis(
                    (x, y, c) -> Math.hypot(x - 600, (y - 300) * 1.3) < 130 ? 3 : 0.1, 2, 2)))
        .as("is round")
        .isEmpty();
  }

  /** A lit patch with straight sides that burns in no frame of the room: a ceiling, a picture. */
  @Test
  void whatDoesNotBurnNeedsNoHelp() {
    assertThat(
            Openings.of(
                GardenRoom.analysis(
                    (x, y, c) -> x > 500 && x < 700 && y > 180 && y < 420 ? 0.4 : 0.03, 2, 2)))
        .isEmpty();
  }

  /** A panel below the sill, as wide as the window and lit by a lamp, is no pane. */
  @Test
  void aPanelBelowTheSillIsNoPane() {
    List<Opening> found =
        Openings.of(
            GardenRoom.analysis(
                (x, y, c) -> {
                  boolean panel = x > 500 && x < 700 && y >= 420 && y < 560;
                  return panel ? new double[] {0.30, 0.25, 0.16}[c] : sash(x, y) * warm(x, y, c);
                },
                2,
                2));
    assertThat(found).hasSize(1);
    assertThat(Quad.at(found.get(0).sides().bottom(), 600)).isCloseTo(420, within(6.0));
  }

  /** A room at 0.1 with one straight-sided piece between columns 500 and 700, by rows. */
  private static Opening only(TestRoom.Light inside, int from, int to) {
    List<Opening> found =
        Openings.of(
            GardenRoom.analysis(
                (x, y, c) ->
                    x > 500 && x < 700 && y > from && y < to
                        ? inside.at(x, y, c)
                        : 0.1 + 0.01 * Math.sin(x * 0.05),
                2,
                2));
    assertThat(found).hasSize(1);
    return found.get(0);
  }

  /** A seat in the niche below is six stops darker than the sky, as the room is. */
  @Test
  void aSeatBelowTheWindowIsNoPane() {
    Opening found = only((x, y, c) -> y < 420 ? 9 : 0.13 + 0.02 * Math.sin(x * 0.3), 180, 520);
    assertThat(Quad.at(found.sides().bottom(), 600)).isCloseTo(420, within(8.0));
  }

  /** A polished floor mirrors the window below a strip of wall that the window lights. */
  @Test
  void theFloorThatMirrorsTheWindowIsNoPane() {
    Opening found =
        only((x, y, c) -> y < 420 ? 3 : y < 560 ? 0.2 : 2.2 + 0.3 * Math.sin(x * 0.2), 180, 795);
    assertThat(Quad.at(found.sides().bottom(), 600)).isCloseTo(420, within(8.0));
    assertThat(Quad.at(found.sides().top(), 600)).isCloseTo(181, within(3.0));
  }

  /** A lawn in the shade of the house is two stops darker than what lies behind it. */
  @Test
  void aDarkerLawnBelongsToTheWindow() {
    Opening found = only((x, y, c) -> y < 360 ? 3 : 0.7 + 0.1 * Math.sin(x * 0.4), 180, 420);
    assertThat(Quad.at(found.sides().bottom(), 600)).isCloseTo(420, within(8.0));
  }

  /** The room's light is a lamp's, the view's is the sky's. */
  private static double warm(int x, int y, int c) {
    boolean glass = x > 500 && x < 700 && y > 180 && y < 420;
    return (glass ? new double[] {0.8, 1, 1.3} : new double[] {1.2, 1, 0.65})[c];
  }

  /** The sun on a wall is bright from the window to the end of the picture; the wall is no pane. */
  @Test
  void lightOnTheWallBesideAWindowIsNoPane() {
    TestRoom.Light lit =
        (x, y, c) -> {
          boolean sun = x < 320 && y > 120 && y < 700;
          boolean frame = x > 120 && x < 300 && y > 180 && y < 420;
          boolean glass = x > 128 && x < 292 && y > 188 && y < 412;
          return glass ? 3 + 0.4 * Math.sin(x * 0.2 + y * 0.1) : frame ? 0.3 : sun ? 0.9 : 0.08;
        };
    List<Opening> found = Openings.of(GardenRoom.analysis(lit, 2, 2));
    assertThat(found).hasSize(1);
    assertThat(Quad.at(found.get(0).sides().left(), 300)).isCloseTo(128, within(4.0));
    assertThat(Quad.at(found.get(0).sides().bottom(), 200)).isCloseTo(412, within(4.0));
  }

  /** A mirror image in a polished floor is dimmer than its window and lies below it. */
  @Test
  void mirrorImagesOfAWindowAreLeftOut() {
    List<Opening> found =
        Openings.of(
            GardenRoom.analysis(
                (x, y, c) -> x > 520 && x < 680 && y > 470 && y < 600 ? 1.2 : sash(x, y), 2, 2));
    assertThat(found).hasSize(1);
    assertThat(Quad.at(found.get(0).sides().bottom(), 600)).isLessThan(440);
  }

  @Test
  void aRoomWithoutAWindowHasNone() {
    Analysis blind = GardenRoom.analysis((x, y, c) -> 0.1 + 0.05 * Math.sin(x * 0.1), 2, 2);
    assertThat(Openings.of(blind)).isEmpty();
    assertThat(Openings.filled(blind)).isZero();
  }

  /** Merged light is the scene's own, over the whole range that any frame holds. */
  @Test
  void mergedLightIsThatOfTheScene() {
    Plane light = MergedLight.luminance(ROOM);
    for (int[] at : new int[][] {{500, 240}, {760, 260}, {450, 420}, {200, 200}, {620, 380}}) {
      double scene =
          0.2126 * GardenRoom.light(at[0], at[1], 0)
              + 0.7152 * GardenRoom.light(at[0], at[1], 1)
              + 0.0722 * GardenRoom.light(at[0], at[1], 2);
      assertThat((double) light.at(at[0], at[1]))
          .as("at %d, %d", at[0], at[1])
          .isCloseTo(scene, within(0.04 * scene));
    }
  }

  /** The longest frame that holds a pixel counts most; one that burns counts nothing. */
  @Test
  void trustFallsTowardsBothEndsOfTheCodes() {
    assertThat(MergedLight.trust(0.5f, 0.5f, false, false)).isGreaterThan(0.9f);
    assertThat(MergedLight.trust(0.99f, 0.5f, false, false)).isLessThan(0.001f);
    assertThat(MergedLight.trust(0.99f, 0.5f, true, false))
        .as("no shorter one")
        .isGreaterThan(0.9f);
    assertThat(MergedLight.trust(0.02f, 0.01f, false, false)).isLessThan(0.05f);
    assertThat(MergedLight.trust(0.02f, 0.01f, false, true))
        .as("no longer one")
        .isGreaterThan(0.9f);
  }
}
