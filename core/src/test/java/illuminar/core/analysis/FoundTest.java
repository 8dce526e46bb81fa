package illuminar.core.analysis;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import illuminar.core.TestRoom;
import illuminar.core.analysis.light.Burning;
import illuminar.core.analysis.light.LightsApart;
import illuminar.core.analysis.movement.Movement;
import illuminar.core.analysis.window.Panes;
import illuminar.core.frame.Frame;
import illuminar.core.frame.Frames;
import illuminar.core.frame.Role;
import illuminar.core.frame.Similarity;
import illuminar.core.picture.Plane;
import illuminar.core.picture.Raster;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

/** What is found in the frames of a room that is known: panes, moving things, burning light. */
class FoundTest {
  private static final TestRoom ROOM = new TestRoom(600, 400);

  /**
   * CRAFT: masks of windows must not be seen. Goal of the proof: intersection over union ≥ 0.97.
   */
  @Test
  void panesAreFoundAndBarsAreLeftOut() {
    Analysis analysis = ROOM.analysis();
    float[] found = Panes.of(analysis).draw(Raster.whole(600, 400, 1));
    double both = 0;
    double either = 0;
    for (int y = 0; y < 400; y++) {
      for (int x = 0; x < 600; x++) {
        double truth = ROOM.pane(x, y);
        both += Math.min(truth, found[y * 600 + x]);
        either += Math.max(truth, found[y * 600 + x]);
      }
    }
    assertThat(both / either).isGreaterThan(0.97);
    assertThat(Panes.of(analysis).count()).isEqualTo(4);
    assertThat(Panes.of(analysis).windowFrame()).isEqualTo("w");
    double share = 0;
    for (int y = 0; y < 400; y++) {
      for (int x = 0; x < 600; x++) {
        share += ROOM.pane(x, y) / 240000;
      }
    }
    assertThat(Panes.of(analysis).share()).isCloseTo(share, within(0.004));
  }

  /** A window at dusk: the view is as bright as the room and burns in no frame of it. */
  @Test
  void aDimViewIsNoPaneToBeReplaced() {
    Analysis dusk = new TestRoom(600, 400, 0.01).analysis();
    assertThat(Panes.of(dusk).count()).isZero();
  }

  private static boolean square(int x, int y, int at) {
    return x >= at && x < at + 40 && y >= 150 && y < 190;
  }

  /** A grey wall with a darker square that stands elsewhere in the brighter frame. */
  private static Frame frame(String id, double stops, int at) {
    return TestRoom.frame(
        id,
        Role.AMBIENT,
        stops,
        300,
        300,
        (x, y, c) -> (0.16 + 0.05 * Math.sin(x * 0.21 + y * 0.13)) * (square(x, y, at) ? 0.5 : 1));
  }

  private static Analysis moved(int to) {
    List<Frame> frames =
        List.of(frame("a", -1, 80), frame("b", 0, 80), frame("c", 1, to), frame("d", 2, to));
    return new Analysis(new Frames(frames, "b", TestRoom.response()));
  }

  /** Both places tell: where the thing was, and where it is now. */
  @Test
  void whatMovedIsFoundInBothPlacesAndNowhereElse() {
    Plane found = Movement.of(moved(180)).disagreeing(Movement.CAREFUL);
    for (int y = 158; y < 182; y++) {
      assertThat(found.at(100, y)).isEqualTo(1);
      assertThat(found.at(200, y)).isEqualTo(1);
    }
    for (int y = 0; y < 300; y++) {
      for (int x = 0; x < 300; x++) {
        boolean near = y > 135 && y < 205 && (x > 65 && x < 135 || x > 165 && x < 235);
        assertThat(near || found.at(x, y) == 0).as("at %d, %d", x, y).isTrue();
      }
    }
    // half the light is one stop, less what the nine pixels round it span
    assertThat(Movement.of(moved(180)).apart().at(100, 170)).isBetween(0.8f, 1.05f);
  }

  @Test
  void aStillRoomDisagreesNowhere() {
    Plane apart = Movement.of(moved(80)).apart();
    for (float stops : apart.data()) {
      assertThat(stops).isLessThan((float) Movement.CAREFUL);
    }
  }

  /** Light at the anchor's exposure: the frame's own times two to the stops between them. */
  @Test
  void burningLightIsListedBrightestFirst() {
    Analysis analysis = ROOM.analysis();
    Burning burning = Burning.of(analysis, "w");
    assertThat(burning.luminance()).isNotEmpty();
    Raster small = analysis.small();
    for (int k = 0; k < burning.at().length; k++) {
      assertThat(burning.luminance()[k]).isGreaterThan(1);
      assertThat(k == 0 || burning.luminance()[k - 1] >= burning.luminance()[k]).isTrue();
      assertThat(burning.at()[k]).isBetween(0, small.pixels() - 1);
    }
    double most = 0;
    for (int y = 0; y < 400; y++) {
      for (int x = 0; x < 600; x++) {
        double light =
            0.2126 * ROOM.light(x, y, 0)
                + 0.7152 * ROOM.light(x, y, 1)
                + 0.0722 * ROOM.light(x, y, 2);
        most = Math.max(most, light * 2);
      }
    }
    // the anchor was taken at +1, the window frame holds all of the view
    assertThat((double) burning.luminance()[0]).isCloseTo(most, within(0.04 * most));
    assertThatThrownBy(() -> Burning.of(analysis, "gone")).hasMessageContaining("gone");
  }

  /** Frames that a photographer took at other settings say so. */
  @Test
  void lightsThatCannotBeTakenApartSayWhy() {
    List<Frame> all = new ArrayList<>(moved(80).frames().all());
    Frame flash = frame("f", 0.6, 80);
    all.add(new Frame("f", Role.FLASH, 0.6, Similarity.NONE, flash.pixels()));
    LightsApart.Offer none =
        LightsApart.of(new Analysis(new Frames(all, "b", TestRoom.response()))).get(0);
    assertThat(none.usable()).isFalse();
    assertThat(none.said()).contains("settings");
    all.set(4, new Frame("f", Role.FLASH, 0, Similarity.NONE, frame("f", -0.7, 80).pixels()));
    LightsApart.Offer darker =
        LightsApart.of(new Analysis(new Frames(all, "b", TestRoom.response()))).get(0);
    assertThat(darker.usable()).isFalse();
    assertThat(darker.said()).contains("got darker").contains("moved");
  }
}
