package illuminar.core.ground;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import illuminar.core.TestRoom;
import illuminar.core.analysis.Analysis;
import illuminar.core.analysis.movement.Movement;
import illuminar.core.colour.Space;
import illuminar.core.colour.Srgb;
import illuminar.core.colour.Stops;
import illuminar.core.frame.Codes;
import illuminar.core.frame.Frame;
import illuminar.core.frame.Frames;
import illuminar.core.frame.Pyramid;
import illuminar.core.frame.Role;
import illuminar.core.frame.Similarity;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Point;
import illuminar.core.picture.Raster;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Grounds of several frames, beside what is known of the invented room. */
class GroundsTest {
  private static final TestRoom ROOM = new TestRoom(360, 240);
  private static final Analysis ANALYSIS = ROOM.analysis();
  private static final Raster WHOLE = Raster.whole(360, 240, 1);
  private static final List<String> ALL = List.of("a0", "a1", "a2", "a3");

  private static Ground.RadianceMerge merge(double exposure, double compression) {
    return new Ground.RadianceMerge(ALL, exposure, compression, 0, 0, false, List.of(), 0, "a1");
  }

  private static Picture drawn(GroundWork work, Analysis analysis, Raster raster) {
    return work.draw(raster, id -> analysis.draw(id, raster));
  }

  /** Uncompressed it is the anchor as it would be without noise: same light, same response. */
  @Test
  void anUncompressedMergeIsTheAnchorsRendition() {
    Picture merged = drawn(Grounds.of(merge(0, 0), ANALYSIS), ANALYSIS, WHOLE);
    double worst = 0;
    for (int y = 4; y < 236; y += 3) {
      for (int x = 4; x < 356; x += 3) {
        double light = ROOM.light(x, y, 1) * 2;
        if (light < 0.9 && ROOM.pane(x, y) == 0) {
          double[] srgb =
              Space.WORK_TO_SRGB.apply(
                  merged.r()[y * 360 + x], merged.g()[y * 360 + x], merged.b()[y * 360 + x]);
          worst =
              Math.max(
                  worst, Math.abs(Srgb.encode(srgb[1]) - Srgb.encode(TestRoom.display(light))));
        }
      }
    }
    assertThat(worst).isLessThan(0.012);
  }

  /**
   * A shoulder leaves what lies well below white alone, and shows the rest in its order below white
   * (common practice, as film does; no source).
   */
  @Test
  void heldLightsKeepTheCamerasTonesAndTheirOrder() {
    // half the sun, so that the darkest frame burns nowhere
    Analysis analysis = new TestRoom(360, 240, 0.5).analysis();
    Picture plain = drawn(Grounds.of(merge(0, 0), analysis), analysis, WHOLE);
    Picture held =
        drawn(
            Grounds.of(
                new Ground.RadianceMerge(ALL, 0, 0, 0, 1, false, List.of(), 0, "a1"), analysis),
            analysis,
            WHOLE);
    int burnt = 0;
    for (int i = 0; i < WHOLE.pixels(); i++) {
      if (plain.mostAt(i) < 0.4f) {
        assertThat(held.g()[i]).isCloseTo(plain.g()[i], within(1e-4f));
      } else if (plain.mostAt(i) > 0.999f) {
        burnt++;
      }
    }
    assertThat(burnt).isPositive();
    assertThat(inRow(held, 60)).as("the sky's brighter half").isBetween(0.6, 0.99);
    assertThat(inRow(held, 150)).isBetween(0.5, inRow(held, 60) - 0.01);
  }

  /** Mean green along a row of the left panes. */
  private static double inRow(Picture p, int row) {
    double sum = 0;
    for (int x = 115; x < 170; x++) {
      sum += p.g()[row * 360 + x];
    }
    return sum / 55;
  }

  @Test
  void compressionBringsRoomAndViewTogetherAndKeepsTexture() {
    Picture flat = drawn(Grounds.of(merge(0, 0.7), ANALYSIS), ANALYSIS, WHOLE);
    Picture plain = drawn(Grounds.of(merge(0, 0), ANALYSIS), ANALYSIS, WHOLE);
    int view = 80 * 360 + 140;
    assertThat(plain.g()[view]).as("burnt").isGreaterThan(0.99f);
    assertThat(flat.g()[view]).as("readable").isLessThan(0.9f);
    assertThat(texture(flat)).isGreaterThan(0.7 * texture(plain));
  }

  /** Mean tone difference of neighbours on the wall, stops. */
  private static double texture(Picture p) {
    double sum = 0;
    int n = 0;
    for (int y = 180; y < 230; y++) {
      for (int x = 20; x < 340; x++) {
        sum +=
            Math.abs(
                Stops.of(p.luminanceAt(y * 360 + x + 1)) - Stops.of(p.luminanceAt(y * 360 + x)));
        n++;
      }
    }
    return sum / n;
  }

  @Test
  void tilesMakeNoDifferenceToAMerge() {
    GroundWork work = Grounds.of(merge(0.3, 0.5), ANALYSIS);
    Picture whole = drawn(work, ANALYSIS, WHOLE);
    Raster part = WHOLE.part(31, 57, 200, 90);
    Picture piece = drawn(work, ANALYSIS, part);
    assertThat(piece.r()).isEqualTo(whole.part(WHOLE, part).r());
  }

  /** Weights to the power 0 all count alike: then exposedness alone decides (equation 3). */
  @Test
  void exponentsOfTheWeightsAreThePapers() {
    List<illuminar.core.picture.Plane[]> codes = new ArrayList<>();
    for (float v : new float[] {0.5f, 0.9f}) {
      illuminar.core.picture.Plane p = illuminar.core.picture.Plane.filled(8, 8, v);
      codes.add(new illuminar.core.picture.Plane[] {p, p, p});
    }
    double good = 1;
    double poor = Math.exp(-3 * 0.16 / (2 * 0.04));
    assertThat((double) Fusion.weights(codes, 0, 0, 1).get(0).data()[9])
        .isCloseTo(good / (good + poor), within(1e-4));
    assertThat((double) Fusion.weights(codes, 0, 0, 0).get(0).data()[9])
        .isCloseTo(0.5, within(1e-4));
    double poorTwice = poor * poor;
    assertThat((double) Fusion.weights(codes, 0, 0, 2).get(0).data()[9])
        .isCloseTo(1 / (1 + poorTwice), within(1e-4));
  }

  /** A dark square that stands elsewhere in the two longest frames. */
  private static Analysis moved() {
    List<Frame> frames = new ArrayList<>();
    double[] stops = {-1, 1, 3, 5};
    for (int k = 0; k < 4; k++) {
      Codes codes = ROOM.codes(stops[k] - 1, Similarity.NONE);
      byte[] rgb = codes.eight().clone();
      int left = k < 2 ? 30 : 52;
      for (int y = 170; y < 210; y++) {
        for (int x = left; x < left + 30; x++) {
          for (int c = 0; c < 3; c++) {
            double light = 0.02 * Math.pow(2, stops[k] - 1);
            rgb[(y * 360 + x) * 3 + c] =
                (byte) (int) Math.round(255 * Srgb.encode(TestRoom.display(light)));
          }
        }
      }
      frames.add(
          new Frame(
              "a" + k,
              Role.AMBIENT,
              stops[k],
              Similarity.NONE,
              Pyramid.of(Codes.of8(360, 240, rgb))));
    }
    return new Analysis(new Frames(frames, "a1", TestRoom.response()));
  }

  /** After Gallo et al. 2009 and Pece and Kautz 2010: found where it moved, and one ghost less. */
  @Test
  void aThingThatMovedIsFoundAndTakenFromOneFrame() {
    Analysis analysis = moved();
    float[] found = Movement.of(analysis).disagreeing(0.5).data();
    assertThat(found[190 * 360 + 35]).as("where it was").isGreaterThan(0.9f);
    assertThat(found[190 * 360 + 76]).as("where it went").isGreaterThan(0.9f);
    assertThat(found[60 * 360 + 40]).as("the still wall").isZero();
    assertThat(found[100 * 360 + 140]).as("the view").isZero();
    Picture plain =
        drawn(Grounds.of(new Ground.EvenBlend(ALL, 0, "a1"), analysis), analysis, WHOLE);
    Picture once =
        drawn(
            Grounds.of(new Ground.EvenBlend(ALL, 1, 1, 1, true, List.of(), 0, "a1"), analysis),
            analysis,
            WHOLE);
    // the square is whole in one place, and gone from the other
    assertThat(ghost(once)).isLessThan(0.25 * ghost(plain));
    Ground.RadianceMerge merge =
        new Ground.RadianceMerge(ALL, 0, 0, 1, 1, true, List.of(), 0, "a1");
    Picture merged = drawn(Grounds.of(merge, analysis), analysis, WHOLE);
    assertThat(Grounds.of(merge, analysis).things()).isNotEmpty();
    assertThat(ghost(merged)).isLessThan(0.25 * ghost(plain));
  }

  @Test
  void theFrameOfAMovingThingIsChosenByHand() {
    Analysis analysis = moved();
    Ground.EvenBlend plain = new Ground.EvenBlend(ALL, 1, 1, 1, true, List.of(), 0, "a1");
    List<MovingThings.Thing> things = Grounds.of(plain, analysis).things();
    assertThat(things).isNotEmpty();
    MovingThings.Thing first = things.get(0);
    String other = first.frame().equals("a0") ? "a3" : "a0";
    Ground.EvenBlend chosen =
        new Ground.EvenBlend(
            ALL, 1, 1, 1, true, List.of(new Ground.Chosen(first.at(), other)), 0, "a1");
    assertThat(Grounds.of(chosen, analysis).things().get(0).frame()).isEqualTo(other);
    // a choice that hits nothing, or a frame that the blend lacks, leaves it to the blend
    Ground.EvenBlend missed =
        new Ground.EvenBlend(
            ALL,
            1,
            1,
            1,
            true,
            List.of(
                new Ground.Chosen(new Point(0.9, 0.05), other),
                new Ground.Chosen(first.at(), "gone")),
            0,
            "a1");
    assertThat(Grounds.of(missed, analysis).things()).isEqualTo(things);
  }

  /** How near both places come to being half square, half wall. */
  private static double ghost(Picture p) {
    double wall = tone(p, 60, 222);
    double was = tone(p, 38, 190);
    double went = tone(p, 74, 190);
    double square = Math.min(was, went);
    return Math.min(Math.abs(Math.max(was, went) - square), Math.abs(wall - Math.max(was, went)))
            / Math.abs(wall - square)
        + 1e-3;
  }

  private static double tone(Picture p, int x, int y) {
    double sum = 0;
    for (int v = -3; v <= 3; v++) {
      for (int u = -3; u <= 3; u++) {
        sum += Stops.of(p.luminanceAt((y + v) * 360 + x + u)) / 49;
      }
    }
    return sum;
  }
}
