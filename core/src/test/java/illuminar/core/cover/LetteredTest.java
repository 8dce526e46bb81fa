package illuminar.core.cover;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import illuminar.core.picture.Picture;
import illuminar.core.picture.Plane;
import illuminar.core.picture.Point;
import java.util.Arrays;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Shadows by similar triangles and light by the picture's own; otherwise common practice. */
class LetteredTest {
  private static final int W = 300;
  private static final int H = 200;

  private static Picture plain(float r, float g, float b) {
    Picture p = Picture.of(W, H);
    Arrays.fill(p.r(), r);
    Arrays.fill(p.g(), g);
    Arrays.fill(p.b(), b);
    return p;
  }

  /** An upright bar that stands on row 100. */
  private static Plane bar(int left, int width, int high) {
    Plane p = Plane.of(W, H);
    for (int y = 100 - high; y < 100; y++) {
      Arrays.fill(p.data(), y * W + left, y * W + left + width, 1f);
    }
    return p;
  }

  private static Lettered.Letters letters(Plane coverage, double relief) {
    return new Lettered.Letters(coverage, plain(0.8f, 0.8f, 0.8f), 100, 50, relief);
  }

  private static Point at(double x, double y) {
    return new Point(x / W, y / W);
  }

  /** A pole 20 px high whose shadow reaches 15 px to the right and 10 px down. */
  private static CastShadow ground(double length, double softness) {
    return new CastShadow(at(20, 150), at(35, 160), at(20, 130), true, length, softness, 1);
  }

  private static float at(Plane p, int x, int y) {
    return p.data()[y * W + x];
  }

  /** As high as the pole twice: its shadow is twice as long. Similar triangles. */
  @Test
  void aShadowOnTheGroundIsAsLongAsTheSunMakesIt() {
    Plane shadow = ground(1, 0).of(bar(100, 10, 40), 100, 50);
    // the top of the bar, 40 px high, is thrown 30 px right and 20 px down
    assertThat(at(shadow, 100 + 29 + 5, 118)).isGreaterThan(0.9f);
    assertThat(at(shadow, 100 + 30 + 5, 124)).isLessThan(0.05f);
    assertThat(at(shadow, 105, 118)).as("not straight below").isLessThan(0.05f);
    assertThat(at(shadow, 100 + 15 + 5, 110)).isGreaterThan(0.9f);
    assertThat(at(shadow, 105, 60)).as("nothing above the ground").isZero();
    Plane twice = ground(2, 0).of(bar(100, 10, 40), 100, 50);
    assertThat(at(twice, 100 + 59 + 5, 138)).isGreaterThan(0.9f);
  }

  /** On a wall behind, the lettering is thrown as a whole. */
  @Test
  void aShadowOnAWallIsTheLetteringMoved() {
    CastShadow wall = new CastShadow(at(20, 150), at(32, 159), at(20, 130), false, 1, 0, 1);
    Plane bar = bar(100, 20, 40);
    Plane shadow = wall.of(bar, 100, 50);
    assertThat(at(shadow, 112 + 10, 69 + 20)).isCloseTo(1f, within(0.01f));
    double sum = 0;
    for (float v : shadow.data()) {
      sum += v;
    }
    assertThat(sum).as("as large as the lettering").isCloseTo(20 * 40, within(8.0));
  }

  /** The sun is a disc: what is higher throws a softer edge. */
  @Test
  void aShadowIsSofterFarFromWhatThrowsIt() {
    Plane shadow = ground(1, 1).of(bar(100, 40, 90), 100, 90);
    assertThat(edge(shadow, 102)).isGreaterThan(2 * edge(shadow, 135));
  }

  /** The steepest step along a row. */
  private static float edge(Plane p, int y) {
    float most = 0;
    for (int x = 1; x < W; x++) {
      most = Math.max(most, Math.abs(at(p, x, y) - at(p, x - 1, y)));
    }
    return most;
  }

  /** A shadow of the lettering is as dark and as blue as the one that was marked. */
  @Test
  void theLightIsThatOfTheMarkedShadow() {
    Picture lit = plain(0.6f, 0.5f, 0.4f);
    for (int y = 152; y < 158; y++) {
      for (int x = 20; x < 40; x++) {
        int i = y * W + x;
        lit.r()[i] *= 0.3f;
        lit.g()[i] *= 0.4f;
        lit.b()[i] *= 0.6f;
      }
    }
    CastShadow along = new CastShadow(at(20, 155), at(40, 155), at(20, 135), false, 1, 0, 1);
    Lettered.Made made = Lettered.of(lit, letters(bar(100, 30, 40), 0), Optional.of(along));
    assertThat(made.shadowSeen()).isTrue();
    int in = 80 * W + 140;
    assertThat(made.picture().r()[in]).isCloseTo(0.6f * 0.3f, within(0.01f));
    assertThat(made.picture().g()[in]).isCloseTo(0.5f * 0.4f, within(0.01f));
    assertThat(made.picture().b()[in]).isCloseTo(0.4f * 0.6f, within(0.01f));
  }

  @Test
  void whereNoShadowIsMarkedThatIsSaid() {
    CastShadow along = new CastShadow(at(20, 155), at(40, 155), at(20, 135), false, 1, 0, 1);
    Lettered.Made made =
        Lettered.of(plain(0.5f, 0.5f, 0.5f), letters(bar(100, 30, 40), 0), Optional.of(along));
    assertThat(made.shadowSeen()).isFalse();
    assertThat(made.picture().g()[80 * W + 140]).isCloseTo(0.5f * 0.35f, within(0.01f));
  }

  /** A red rug beside a grey floor is no shadow. */
  @Test
  void anotherColourIsNoShadow() {
    Picture floor = plain(0.5f, 0.5f, 0.5f);
    for (int i = 152 * W; i < 158 * W; i++) {
      floor.g()[i] = 0.08f;
      floor.b()[i] = 0.1f;
    }
    CastShadow along = new CastShadow(at(20, 155), at(40, 155), at(20, 135), false, 1, 0, 1);
    assertThat(Lettered.of(floor, letters(bar(100, 30, 40), 0), Optional.of(along)).shadowSeen())
        .isFalse();
  }

  @Test
  void withoutLettersThePictureStays() {
    Picture below = plain(0.2f, 0.3f, 0.4f);
    Lettered.Made made =
        Lettered.of(below, letters(Plane.of(W, H), 1), Optional.of(ground(1, 0.5)));
    assertThat(made.picture().r()).isEqualTo(below.r());
    assertThat(made.picture().b()).isEqualTo(below.b());
  }

  /** Edges that face the sun are brighter, those away from it darker, and the flat stays. */
  @Test
  void aRaisedLetterIsLitFromTheSun() {
    Plane wide = bar(100, 60, 50);
    Picture made =
        Lettered.of(plain(0.1f, 0.1f, 0.1f), letters(wide, 1), Optional.of(ground(1, 0))).picture();
    int row = 75 * W;
    assertThat(made.g()[row + 100]).isGreaterThan(0.85f);
    assertThat(made.g()[row + 159]).isLessThan(0.75f);
    assertThat(made.g()[row + 130]).isCloseTo(0.8f, within(1e-4f));
  }

  @Test
  void aShadowWithoutLengthIsRefused() {
    assertThatThrownBy(() -> new CastShadow(at(9, 9), at(9, 9), at(9, 1), true, 1, 0, 1))
        .hasMessage("draw the shadow longer: from its foot to its tip");
    assertThatThrownBy(() -> ground(9, 0)).hasMessageContaining("Length goes from 0 to 3");
  }
}
