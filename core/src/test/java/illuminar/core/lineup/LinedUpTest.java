package illuminar.core.lineup;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import illuminar.core.TestRoom;
import illuminar.core.frame.Codes;
import illuminar.core.frame.Frame;
import illuminar.core.frame.Pyramid;
import illuminar.core.frame.Role;
import illuminar.core.frame.Similarity;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/** Known displacements are the truth here: invented room, every frame drawn where it was put. */
class LinedUpTest {
  /** So bright outside that a dark frame shows little but the window's edges. */
  private static final TestRoom ROOM = new TestRoom(900, 600, 6);

  private static final Similarity[] TRUTH = {
    Similarity.of(0.021, 1, 1.37, -0.84),
    Similarity.of(-0.012, 1, -0.62, 0.48),
    Similarity.NONE,
    Similarity.of(0.034, 1, 2.18, 1.27)
  };

  private static final double[] STOPS = {-4.6, -2.3, 0, 2.3};

  private static final List<Pyramid> PIXELS =
      IntStream.range(0, STOPS.length)
          .mapToObj(i -> Pyramid.of(ROOM.codes(STOPS[i], TRUTH[i])))
          .toList();

  private static List<LinedUp.Taken> taken(boolean known) {
    List<LinedUp.Taken> out = new ArrayList<>();
    for (int i = 0; i < STOPS.length; i++) {
      out.add(new LinedUp.Taken("f" + i, Role.AMBIENT, STOPS[i], known, PIXELS.get(i)));
    }
    return out;
  }

  private static double worst(LinedUp found, int frame) {
    Similarity at = found.placed().get(frame).toFrame();
    double worst = 0;
    for (int k = 0; k < 4; k++) {
      double x = (k % 2 * 2 - 1) * 450;
      double y = (k / 2 * 2 - 1) * 300;
      worst = Math.max(worst, at.apart(TRUTH[frame], x, y));
    }
    return worst;
  }

  /**
   * Goal of the proof, 0.25 px, at the corners of every frame; the response makes no frame worse
   * and the brightest clearly better.
   */
  @Test
  void framesOfTheSameLightArePlacedByTheResponse() {
    LinedUp byLight = LinedUp.of(taken(true), 2, n -> {});
    LinedUp byFeatures = LinedUp.of(taken(false), 2, n -> {});
    for (int i = 0; i < TRUTH.length; i++) {
      assertThat(worst(byLight, i)).as("frame %d", i).isLessThan(0.25);
      assertThat(worst(byLight, i)).isLessThanOrEqualTo(worst(byFeatures, i));
    }
    assertThat(worst(byLight, 3)).isLessThan(0.7 * worst(byFeatures, 3));
  }

  @Test
  void theResponseComesWithThem() {
    LinedUp found = LinedUp.of(taken(true), 2, n -> {});
    for (double code = 0.2; code < 0.96; code += 0.05) {
      double ratio =
          found.frames().response().lightOfCode(1, code)
              / TestRoom.response().lightOfCode(1, code)
              * TestRoom.response().lightOfCode(1, 0.6)
              / found.frames().response().lightOfCode(1, 0.6);
      assertThat(ratio).as("at code %.2f", code).isBetween(0.9, 1.1);
    }
  }

  /** A frame of another light keeps the place that its features gave it. */
  @Test
  void aFrameOfOtherLightIsLeftToItsFeatures() {
    List<LinedUp.Taken> taken = new ArrayList<>(taken(true));
    taken.set(1, new LinedUp.Taken("f1", Role.FLASH, -2.3, true, PIXELS.get(1)));
    LinedUp one = LinedUp.of(taken, 2, n -> {});
    List<Pyramid> pixels = taken.stream().map(LinedUp.Taken::pixels).toList();
    LineUp.Placed alone = LineUp.find(pixels, 2, n -> {}).get(1);
    assertThat(one.placed().get(1)).isEqualTo(alone);
  }

  @Test
  void aFrameThatShowsNothingStaysWhereItIsAndSpoilsNoOther() {
    List<LinedUp.Taken> taken = new ArrayList<>(taken(true));
    Pyramid black = Pyramid.of(Codes.of8(900, 600, new byte[900 * 600 * 3]));
    taken.set(0, new LinedUp.Taken("f0", Role.AMBIENT, -9, true, black));
    LinedUp found = LinedUp.of(taken, 2, n -> {});
    assertThat(found.placed().get(0).toFrame()).isEqualTo(Similarity.NONE);
    assertThat(found.placed().get(0).sure()).isFalse();
    assertThat(worst(found, 3)).isLessThan(0.25);
  }

  /** Without any exposure in the files: the camera's curve is taken for sRGB's, 25 % off here. */
  @Test
  void exposuresThatNoFileTellsAreFound() {
    List<LinedUp.Taken> untold = new ArrayList<>();
    for (int i = 0; i < STOPS.length; i++) {
      untold.add(new LinedUp.Taken("f" + i, Role.AMBIENT, 0, false, PIXELS.get(i)));
    }
    List<Frame> found = LinedUp.of(untold, 2, n -> {}).frames().all();
    for (int i = 0; i < STOPS.length; i++) {
      assertThat(found.get(i).stops()).as("frame %d", i).isCloseTo(0.8 * STOPS[i], within(0.35));
    }
  }

  /** One frame without its exposure is told by the others, to a fifth of its step at least. */
  @Test
  void aFrameThatLostItsExposureIsToldByTheOthers() {
    for (int lost = 0; lost < STOPS.length; lost++) {
      List<LinedUp.Taken> some = new ArrayList<>(taken(true));
      some.set(lost, new LinedUp.Taken("f" + lost, Role.AMBIENT, 0, false, PIXELS.get(lost)));
      Frame found = LinedUp.of(some, 2, n -> {}).frames().all().get(lost);
      assertThat(found.stops()).as("frame %d", lost).isCloseTo(STOPS[lost], within(0.4));
    }
  }

  /** Other light tells nothing: a flash frame keeps what it came with. */
  @Test
  void aFlashFrameIsNotEstimated() {
    List<LinedUp.Taken> all = new ArrayList<>(taken(true));
    all.set(3, new LinedUp.Taken("f3", Role.FLASH, 0, false, PIXELS.get(3)));
    assertThat(LinedUp.of(all, 2, n -> {}).frames().all().get(3).stops()).isZero();
  }
}
