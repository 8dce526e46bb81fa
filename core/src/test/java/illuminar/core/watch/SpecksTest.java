package illuminar.core.watch;

import static illuminar.core.pass.kinds.Painted.H;
import static illuminar.core.pass.kinds.Painted.W;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import illuminar.core.ground.Ground;
import illuminar.core.pass.kinds.Painted;
import illuminar.core.recipe.Recipe;
import illuminar.core.render.PreviewSession;
import illuminar.core.render.RenderCache;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** Dust painted on surfaces; common practice, no source. */
class SpecksTest {
  /** A spot of a radius that changes the light by so many stops, softly at its rim. */
  private record Dust(double x, double y, double radius, double stops) {
    double light(int px, int py) {
      double d = Math.hypot(px - x, py - y) / radius;
      return Math.pow(2, stops * Math.max(0, Math.min(1, 1.5 - d)));
    }
  }

  private static final List<Dust> DUST =
      List.of(
          new Dust(30, 40, 3, -0.15),
          new Dust(80, 110, 5, -0.1),
          new Dust(140, 30, 2, -0.3),
          new Dust(200, 90, 7, -0.12),
          new Dust(180, 130, 2, 0.25));

  /** Plaster in falling light, with grain. */
  private static Painted.Scene wall(List<Dust> dust) {
    int[] grain = new Random(3).ints(W * H, -1, 2).toArray();
    return (x, y, c) -> {
      double code = 190 - x / 5.0 - y / 8.0 - 6 * c;
      for (Dust d : dust) {
        code *= Math.pow(d.light(x, y), 1 / 2.2);
      }
      return (int) Math.round(code) + grain[y * W + x];
    };
  }

  private static List<Specks.Speck> in(Painted.Scene scene) {
    PreviewSession session = new PreviewSession(Painted.view(scene), new RenderCache(20_000_000));
    return Specks.in(session, new Recipe(new Ground.OneFrame("a"), List.of(), List.of()));
  }

  @Test
  void dustOnAWallIsFoundInItsSize() {
    List<Specks.Speck> found = in(wall(DUST));
    assertThat(found).hasSize(DUST.size());
    for (Dust d : DUST) {
      assertThat(found)
          .as("%s", d)
          .anySatisfy(
              s -> {
                assertThat(s.at().x() * W).isCloseTo(d.x + 0.5, within(1.5));
                assertThat(s.at().y() * W).isCloseTo(d.y + 0.5, within(1.5));
                assertThat(s.radius() * W).isBetween(0.5 * d.radius, 2 * d.radius);
                assertThat(s.stops() / d.stops).isBetween(0.6, 1.2);
              });
    }
  }

  @Test
  void aCleanWallHasNone() {
    assertThat(in(wall(List.of()))).isEmpty();
  }

  /** A bolt takes nearly all the light, dust some of it. */
  @Test
  void aThingIsNoDust() {
    assertThat(in(wall(List.of(new Dust(120, 80, 4, -3))))).isEmpty();
  }

  /** Rails, joints, chequers and grain are no dust. */
  @Test
  void whatBelongsToASurfaceIsNone() {
    int[] grain = new Random(8).ints(W * H, -9, 10).toArray();
    assertThat(
            in(
                (x, y, c) -> {
                  if (x < 80) {
                    return y % 24 < 2 ? 70 : 160;
                  }
                  return x < 160 ? (x / 9 + y / 9) % 2 == 0 ? 90 : 180 : 140 + grain[y * W + x];
                }))
        .isEmpty();
  }
}
