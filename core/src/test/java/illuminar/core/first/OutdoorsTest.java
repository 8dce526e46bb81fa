package illuminar.core.first;

import static org.assertj.core.api.Assertions.assertThat;

import illuminar.core.GardenRoom;
import illuminar.core.TestRoom;
import illuminar.core.analysis.Analysis;
import illuminar.core.ground.Ground;
import illuminar.core.render.PreviewSession;
import illuminar.core.render.RenderCache;
import org.junit.jupiter.api.Test;

/** Fronts of houses and rooms told apart. Common practice of looking at them, no source. */
class OutdoorsTest {
  private static boolean outdoors(TestRoom.Light scene, int below, int above) {
    return Outdoors.seen(GardenRoom.analysis(scene, below, above));
  }

  @Test
  void aFrontInTheSunIsOutsideAndARoomIsNot() {
    assertThat(outdoors(GardenRoom::front, 1, 1)).isTrue();
    assertThat(Outdoors.seen(GardenRoom.room())).isFalse();
  }

  /** A front whose sky is clear and dark blue, and only in a corner. */
  private static double corner(int x, int y, int c) {
    boolean sky = x < 330 && y < 420;
    return sky ? new double[] {0.25, 0.5, 0.95}[c] : 0.9 * GardenRoom.front(x, 400 + y % 90, c);
  }

  @Test
  void aClearSkyInACornerIsOutside() {
    assertThat(outdoors(OutdoorsTest::corner, 1, 1)).isTrue();
  }

  /**
   * Blue paint up to the ceiling is no sky, nor is a window that reaches the top of the picture.
   */
  @Test
  void aBlueWallIsARoom() {
    Analysis blue =
        GardenRoom.analysis(
            (x, y, c) -> y < 300 ? new double[] {0.09, 0.10, 0.115}[c] : 0.12, 2, 2);
    assertThat(Outdoors.seen(blue)).isFalse();
    Analysis window =
        GardenRoom.analysis(
            (x, y, c) -> x < 400 && y < 400 ? new double[] {1.2, 2.2, 3.6}[c] : 0.06, 2, 2);
    assertThat(Outdoors.seen(window)).as("far brighter than all else").isFalse();
  }

  /** A house at dusk that fills most of the picture's top, its windows lit, all else blue. */
  private static double dusk(int x, int y, int c) {
    boolean house = x > 400 && x < 1050 && y < 520;
    boolean lit = house && x > 500 && x < 640 && y > 120 && y < 240;
    if (lit) {
      return new double[] {1.1, 0.8, 0.4}[c];
    }
    double blue = new double[] {0.7, 0.9, 1.3}[c];
    return blue * (house ? 0.1 : y < 470 ? 0.7 : 0.12);
  }

  @Test
  void aSkyAtDuskIsOutsideThoughAllIsBlue() {
    Analysis dusk = GardenRoom.analysis(OutdoorsTest::dusk, 1, 1);
    assertThat(Outdoors.seen(dusk)).isTrue();
    assertThat(FirstVersion.ground(dusk).ground())
        .isInstanceOfSatisfying(
            Ground.RadianceMerge.class,
            merge -> {
              assertThat(merge.asLit()).as("the camera's own tones").isZero();
              assertThat(merge.held()).isEqualTo(1);
            });
    assertThat(
            FirstVersion.propose(
                    "Windows",
                    FirstVersion.ground(dusk),
                    new PreviewSession(dusk, new RenderCache(60_000_000)))
                .said())
        .contains("outside");
  }

  /** White walls and a white ceiling over dark wood are lighter than all else, and no sky. */
  @Test
  void aWhiteRoomWithDarkFurnitureIsARoom() {
    assertThat(
            outdoors(
                (x, y, c) ->
                    y > 600 && x > 60 && x < 1150
                        ? new double[] {0.09, 0.05, 0.03}[c]
                        : y < 200 ? 0.45 : 0.4,
                1,
                1))
        .isFalse();
  }

  /** A cool white ceiling is no sky, whatever is blue below it. */
  @Test
  void aCoolCeilingOverABlueSofaIsARoom() {
    assertThat(
            outdoors(
                (x, y, c) ->
                    y < 150
                        ? new double[] {0.45, 0.56, 0.64}[c]
                        : y > 520 && x < 800 ? new double[] {0.02, 0.05, 0.12}[c] : 0.12,
                1,
                1))
        .isFalse();
  }
}
