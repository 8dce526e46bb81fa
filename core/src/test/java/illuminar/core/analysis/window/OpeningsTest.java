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
    assertThat(found.left()[0] + found.left()[1] * y).isCloseTo(glass[0], within(12.0));
    assertThat(found.right()[0] + found.right()[1] * y).isCloseTo(glass[2], within(12.0));
    assertThat(found.top()[0] + found.top()[1] * x).isCloseTo(glass[1], within(12.0));
    assertThat(found.bottom()[0] + found.bottom()[1] * x)
        .as("the trees belong to it, the sill does not")
        .isCloseTo(glass[3], within(6.0));
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
