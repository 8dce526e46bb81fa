package illuminar.core.frame;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.awt.geom.AffineTransform;
import java.awt.geom.Point2D;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** Moves of a frame beside the affine transforms of the Java class library. */
class SimilarityTest {
  private static final Random RANDOM = new Random(12);

  private static Similarity any() {
    return Similarity.of(
        RANDOM.nextDouble() * 4 - 2,
        0.98 + 0.04 * RANDOM.nextDouble(),
        RANDOM.nextDouble() * 60 - 30,
        RANDOM.nextDouble() * 60 - 30);
  }

  /** On offsets from the picture's centre. */
  private static AffineTransform affine(Similarity s) {
    AffineTransform t = AffineTransform.getTranslateInstance(s.dx(), s.dy());
    t.rotate(Math.toRadians(s.degrees()));
    t.scale(s.scale(), s.scale());
    return t;
  }

  private static Point2D by(Similarity s, Point2D p) {
    return new Point2D.Double(
        s.a() * p.getX() - s.b() * p.getY() + s.dx(), s.b() * p.getX() + s.a() * p.getY() + s.dy());
  }

  private static void near(Point2D a, Point2D b) {
    assertThat(a.distance(b)).isLessThan(1e-6);
  }

  @Test
  void aMoveIsTurnScaleAndShift() {
    for (int k = 0; k < 200; k++) {
      Similarity s = any();
      Point2D p = new Point2D.Double(RANDOM.nextInt(3000) - 1500, RANDOM.nextInt(2000) - 1000);
      near(by(s, p), affine(s).transform(p, null));
    }
  }

  @Test
  void oneAfterTheOtherIsTheProductOfTheTransforms() {
    for (int k = 0; k < 200; k++) {
      Similarity first = any();
      Similarity next = any();
      AffineTransform both = affine(next);
      both.concatenate(affine(first));
      Point2D p = new Point2D.Double(RANDOM.nextInt(3000) - 1500, RANDOM.nextInt(2000) - 1000);
      near(by(first.then(next), p), both.transform(p, null));
    }
  }

  @Test
  void thereAndBackIsNowhere() throws Exception {
    for (int k = 0; k < 200; k++) {
      Similarity s = any();
      Point2D p = new Point2D.Double(RANDOM.nextInt(3000) - 1500, RANDOM.nextInt(2000) - 1000);
      near(by(s.inverse(), by(s, p)), p);
      near(by(s.inverse(), p), affine(s).createInverse().transform(p, null));
      assertThat(s.then(s.inverse()).apart(Similarity.NONE, 1500, 1000)).isLessThan(1e-9);
    }
  }

  @Test
  void onAnotherSizeOnlyTheShiftIsSized() {
    Similarity s = Similarity.of(1.5, 1.01, 12, -8);
    Similarity half = s.sized(0.5);
    assertThat(half.degrees()).isCloseTo(1.5, within(1e-9));
    assertThat(half.scale()).isCloseTo(1.01, within(1e-9));
    Point2D p = new Point2D.Double(800, -300);
    Point2D small = by(half, new Point2D.Double(400, -150));
    near(by(s, p), new Point2D.Double(2 * small.getX(), 2 * small.getY()));
  }

  @Test
  void howFarTwoMovesAreApartIsTheDistanceOfTheirPoints() {
    for (int k = 0; k < 100; k++) {
      Similarity a = any();
      Similarity b = any();
      Point2D p = new Point2D.Double(RANDOM.nextInt(3000) - 1500, RANDOM.nextInt(2000) - 1000);
      assertThat(a.apart(b, p.getX(), p.getY()))
          .isCloseTo(by(a, p).distance(by(b, p)), within(1e-9));
    }
    assertThat(Similarity.NONE.isNone()).isTrue();
    assertThat(any().isNone()).isFalse();
  }
}
