package illuminar.core.first;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import illuminar.core.analysis.Analysis;
import illuminar.core.colour.Space;
import illuminar.core.colour.Srgb;
import illuminar.core.frame.Codes;
import illuminar.core.frame.Frame;
import illuminar.core.frame.Frames;
import illuminar.core.frame.Pyramid;
import illuminar.core.frame.Response;
import illuminar.core.frame.Role;
import illuminar.core.frame.Similarity;
import illuminar.core.geometry.Geometry;
import illuminar.core.geometry.ThroughALens;
import illuminar.core.ground.Ground;
import illuminar.core.picture.Picture;
import illuminar.core.recipe.Recipe;
import illuminar.core.render.PreviewSession;
import illuminar.core.render.RenderCache;
import java.util.List;
import org.junit.jupiter.api.Test;

/** What a lens does to painted walls, proposed when it is asked for. */
class LensProposalsTest {
  private static final int W = ThroughALens.W;
  private static final int H = ThroughALens.H;

  private static PreviewSession through(double red, double blue) {
    Picture p = ThroughALens.drawn(7, red, blue);
    byte[] codes = new byte[3 * W * H];
    for (int i = 0; i < W * H; i++) {
      double[] shown = Space.WORK_TO_SRGB.apply(p.r()[i], p.g()[i], p.b()[i]);
      for (int c = 0; c < 3; c++) {
        double light = Math.max(0, Math.min(1, shown[c]));
        codes[3 * i + c] = (byte) Math.round(255 * Srgb.encode(light));
      }
    }
    Pyramid pixels = Pyramid.of(Codes.of8(W, H, codes));
    Frame frame = new Frame("a", Role.AMBIENT, 0, Similarity.NONE, pixels);
    Analysis view = new Analysis(new Frames(List.of(frame), "a", Response.srgb()));
    return new PreviewSession(view, new RenderCache(100_000_000));
  }

  private static final Recipe PLAIN = new Recipe(new Ground.OneFrame("a"), List.of(), List.of());

  @Test
  void fringesAreProposedWithTheirSizes() {
    Proposal made = FirstVersion.propose("Finish", PLAIN, through(0.15, -0.1));
    Geometry geometry = made.recipe().geometry();
    assertThat(geometry.red()).isCloseTo(0.15, within(0.03));
    assertThat(geometry.blue()).isCloseTo(-0.1, within(0.03));
    assertThat(made.said()).contains("red is larger by 0.1");
    assertThat(geometry.why()).as("kept as a pass keeps it").contains("red is larger by 0.1");
  }

  @Test
  void aGoodLensIsLeftAlone() {
    Proposal made = FirstVersion.propose("Finish", PLAIN, through(0, 0));
    assertThat(made.recipe().geometry().red()).isZero();
    assertThat(made.recipe().geometry().blue()).isZero();
    assertThat(made.recipe().geometry().bulge()).isZero();
    assertThat(made.said()).contains("No colour fringes are seen.");
    assertThat(made.recipe().geometry().why()).isEmpty();
  }

  /** It is asked for, or it does not come. */
  @Test
  void firstVersionsDoNotLookForIt() {
    Geometry geometry = FirstVersion.of(through(0.15, -0.1)).geometry();
    assertThat(geometry.red()).isZero();
  }
}
