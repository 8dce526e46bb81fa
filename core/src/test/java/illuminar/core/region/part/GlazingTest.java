package illuminar.core.region.part;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import illuminar.core.GardenRoom;
import illuminar.core.analysis.Analysis;
import illuminar.core.colour.Matrix3;
import illuminar.core.colour.Space;
import illuminar.core.ground.Ground;
import illuminar.core.pass.Gate;
import illuminar.core.pass.Pass;
import illuminar.core.pass.Where;
import illuminar.core.pass.kinds.ShowView;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Raster;
import illuminar.core.recipe.Recipe;
import illuminar.core.region.Part;
import illuminar.core.region.Region;
import illuminar.core.render.PreviewSession;
import illuminar.core.render.RenderCache;
import java.util.List;
import org.junit.jupiter.api.Test;

/** The whole opening as a region, and all light within it by one curve; our own, no source. */
class GlazingTest {
  private static final Analysis ROOM = GardenRoom.room();
  private static final PreviewSession SESSION =
      new PreviewSession(ROOM, new RenderCache(100_000_000));
  private static final Raster WHOLE = Raster.whole(GardenRoom.WIDTH, GardenRoom.HEIGHT, 1);

  private static Recipe recipe(Glazing glazing, Pass... passes) {
    Region region =
        new Region("w", "Windows", List.of(new Part("p", Part.Combine.ADD, glazing)), 0, false);
    return new Recipe(new Ground.OneFrame("f0"), List.of(region), List.of(passes));
  }

  private static float[] draw(Glazing glazing, Raster raster) {
    return SESSION.coverage(recipe(glazing), "w", raster).copy();
  }

  private static float at(float[] drawn, int x, int y) {
    return drawn[y * GardenRoom.WIDTH + x];
  }

  @Test
  void itHoldsAllWithinItsFrameAndNothingBeyond() {
    float[] drawn = draw(new Glazing(0, 4), WHOLE);
    int[] glass = GardenRoom.glass();
    assertThat(at(drawn, glass[0] + 6, glass[1] + 6)).as("sky in a corner").isEqualTo(1);
    assertThat(at(drawn, 620, 380)).as("the lamp before it").isEqualTo(1);
    assertThat(at(drawn, 553, 300)).as("a bar").isEqualTo(1);
    assertThat(at(drawn, glass[2] - 6, glass[3] - 10)).as("trees").isEqualTo(1);
    assertThat(at(drawn, glass[0] - 30, 300)).as("wall").isZero();
    assertThat(at(drawn, 620, glass[3] + 20)).as("sill").isZero();
  }

  @Test
  void itGrowsAndFadesByPixelsOfTheFullSize() {
    int y = 300;
    double plain = edge(draw(new Glazing(0, 2), WHOLE), y);
    assertThat(edge(draw(new Glazing(10, 2), WHOLE), y)).isCloseTo(plain - 10, within(1.0));
    assertThat(edge(draw(new Glazing(-10, 2), WHOLE), y)).isCloseTo(plain + 10, within(1.0));
    float[] soft = draw(new Glazing(0, 40), WHOLE);
    assertThat(at(soft, (int) plain, y)).as("half way at its edge").isCloseTo(0.5f, within(0.06f));
    assertThat(at(soft, (int) plain - 10, y)).isBetween(0.05f, 0.45f);
    assertThat(at(soft, (int) plain - 22, y)).isZero();
  }

  private static double edge(float[] drawn, int y) {
    for (int x = 0; x < GardenRoom.WIDTH; x++) {
      if (at(drawn, x, y) >= 0.5f) {
        return x;
      }
    }
    return Double.NaN;
  }

  @Test
  void aTileIsAPieceOfTheWhole() {
    float[] whole = draw(new Glazing(4, 16), WHOLE);
    Raster tile = WHOLE.part(380, 190, 90, 70);
    float[] piece = draw(new Glazing(4, 16), tile);
    for (int j = 0; j < tile.height(); j++) {
      for (int i = 0; i < tile.width(); i++) {
        assertThat(piece[j * tile.width() + i]).isEqualTo(at(whole, 380 + i, 190 + j));
      }
    }
  }

  @Test
  void limitsAreNamed() {
    assertThatThrownBy(() -> new Glazing(41, 0)).hasMessageContaining("Grow");
    assertThatThrownBy(() -> new Glazing(0, 61)).hasMessageContaining("Softness");
    assertThatThrownBy(() -> new ShowView(0, 1, 1, 1)).hasMessageContaining("Brightest");
    assertThatThrownBy(() -> new ShowView(0, -1, 0, 1)).hasMessageContaining("Contrast");
  }

  private static Picture shown(ShowView move) {
    Pass pass = new Pass("v", true, move, new Where("w", false), Gate.ALL, 1, "");
    return SESSION.picture(recipe(new Glazing(0, 4), pass), WHOLE);
  }

  /** Light keeps its hue and saturation: channels stand to each other as in the scene. */
  @Test
  void coloursAreThoseOfTheLight() {
    Picture p = shown(new ShowView(0, -1, 1, 1));
    float[] toSrgb = Space.WORK_TO_SRGB.floats();
    float[] out = new float[3];
    for (int[] at : new int[][] {{480, 250}, {600, 250}, {470, 420}, {760, 430}}) {
      int i = at[1] * GardenRoom.WIDTH + at[0];
      Matrix3.apply(toSrgb, p.r()[i], p.g()[i], p.b()[i], out);
      double red = GardenRoom.light(at[0], at[1], 0) / GardenRoom.light(at[0], at[1], 1);
      double blue = GardenRoom.light(at[0], at[1], 2) / GardenRoom.light(at[0], at[1], 1);
      assertThat((double) out[0] / out[1]).isCloseTo(red, within(0.04 * red));
      assertThat((double) out[2] / out[1]).isCloseTo(blue, within(0.04 * blue));
    }
    Picture grey = shown(new ShowView(0, -1, 1, 0));
    int sky = 250 * GardenRoom.WIDTH + 480;
    assertThat(grey.r()[sky]).isCloseTo(grey.b()[sky], within(1e-4f));
  }

  /** What burns in the frame below is shown, below the tone that was asked for. */
  @Test
  void theBrightestStaysWhereItIsPut() {
    Picture p = shown(new ShowView(0, -1, 1, 1));
    int wall = 300 * GardenRoom.WIDTH + 200;
    Picture ground = SESSION.picture(recipe(new Glazing(0, 4)), WHOLE);
    assertThat(p.luminanceAt(wall)).as("outside").isEqualTo(ground.luminanceAt(wall));
    for (int x = 440; x < 540; x += 7) {
      int i = 250 * GardenRoom.WIDTH + x;
      assertThat(ground.luminanceAt(i)).as("burnt below").isGreaterThan(0.95f);
      assertThat(p.luminanceAt(i)).isBetween(0.3f, 0.52f);
    }
  }
}
