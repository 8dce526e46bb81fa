package illuminar.core.pass.kinds;

import static org.assertj.core.api.Assertions.assertThat;

import illuminar.core.TestRoom;
import illuminar.core.analysis.Analysis;
import illuminar.core.analysis.window.Reflections.Surface;
import illuminar.core.frame.Frame;
import illuminar.core.frame.Frames;
import illuminar.core.frame.Role;
import illuminar.core.ground.Ground;
import illuminar.core.pass.Gate;
import illuminar.core.pass.Pass;
import illuminar.core.pass.Where;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Point;
import illuminar.core.picture.Raster;
import illuminar.core.recipe.Recipe;
import illuminar.core.region.Part;
import illuminar.core.region.Region;
import illuminar.core.region.part.Ellipse;
import illuminar.core.render.PreviewSession;
import illuminar.core.render.RenderCache;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

/**
 * Light adds up, so what a table mirrors of a flash is the light that the flash frame has more than
 * its surface takes (dichromatic model: Shafer, "Using color to separate reflection components",
 * 1985). The scene is invented, so the table without it is known.
 */
class UnmirrorTest {
  private static final int W = 240;
  private static final int H = 160;
  private static final Raster WHOLE = Raster.whole(W, H, 1);

  /** A brown table's grain. */
  private static double table(int x, int y, int c) {
    double grain = 0.16 + 0.05 * Math.sin(0.9 * y + 0.6 * Math.sin(0.07 * x));
    return grain * (c == 0 ? 1.3 : c == 1 ? 1 : 0.6);
  }

  /** What it mirrors of the flash: a bright umbrella with ribs. */
  private static double umbrella(int x, int y) {
    double r = Math.hypot(x - 120, 1.4 * (y - 80));
    return r > 36
        ? 0
        : 0.35 * (1 - r / 60) * (0.7 + 0.3 * Math.sin(Math.atan2(y - 80, x - 120) * 8));
  }

  private static double light(int x, int y, int c, double flash, double mirrors) {
    double falls = 1.1 + 0.2 * x / W;
    return table(x, y, c) * (0.8 + flash * falls) + flash * mirrors * umbrella(x, y);
  }

  private static Frame frame(String id, Role role, double flash, double mirrors) {
    return TestRoom.frame(id, role, 0, W, H, (x, y, c) -> light(x, y, c, flash, mirrors));
  }

  private static Analysis taken(double mirrors, boolean flash) {
    List<Frame> all = new ArrayList<>(List.of(frame("room", Role.AMBIENT, 0, mirrors)));
    if (flash) {
      all.add(frame("flash", Role.FLASH, 1, mirrors));
    }
    return new Analysis(new Frames(all, "room", TestRoom.response()));
  }

  /** Rendered with a pass that takes reflections off round the middle, or without passes. */
  private static Picture picture(Analysis analysis, String ground, Surface surface, double off) {
    return session(analysis).picture(recipe(ground, surface, off), WHOLE);
  }

  private static Recipe recipe(String ground, Surface surface, double off) {
    Ellipse shape = new Ellipse(new Point(0.5, 0.333), 0.2, 0.16, 0, 0.1);
    Region place =
        new Region("r", "Table", List.of(new Part("a", Part.Combine.ADD, shape)), 0, false);
    Pass pass =
        new Pass("p", true, new Unmirror(surface, off), new Where("r", false), Gate.ALL, 1, "");
    return new Recipe(
        new Ground.OneFrame(ground), List.of(place), off == 0 ? List.of() : List.of(pass));
  }

  private static PreviewSession session(Analysis analysis) {
    return new PreviewSession(analysis, new RenderCache(20_000_000));
  }

  private static double apart(Picture a, Picture b) {
    return Apart.within(a, b, 80, 50, 160, 110, 1);
  }

  @Test
  void aTableLosesWhatItMirrorsOfTheFlashAndKeepsItsLight() {
    Picture clear = picture(taken(0, true), "flash", Surface.GLOSS, 0);
    Picture seen = picture(taken(1, true), "flash", Surface.GLOSS, 0);
    Picture off = picture(taken(1, true), "flash", Surface.GLOSS, 1);
    double before = apart(seen, clear);
    assertThat(before).as("seen before").isGreaterThan(4);
    assertThat(apart(off, clear)).as("left of %.1f", before).isLessThan(0.2 * before);
    assertThat(apart(picture(taken(1, true), "flash", Surface.GLOSS, 0.5), clear))
        .isBetween(0.3 * before, 0.7 * before);
  }

  /** As glass, all that the flash adds is taken for mirrored, also the table's own colour. */
  @Test
  void aTableIsNoGlass() {
    Picture clear = picture(taken(0, true), "flash", Surface.GLOSS, 0);
    assertThat(apart(picture(taken(1, true), "flash", Surface.GLASS, 1), clear))
        .isGreaterThan(2 * apart(picture(taken(1, true), "flash", Surface.GLOSS, 1), clear));
  }

  @Test
  void aPictureThatHasNoneOfItIsLeftAsItIs() {
    Picture seen = picture(taken(1, true), "room", Surface.GLOSS, 0);
    assertThat(apart(picture(taken(1, true), "room", Surface.GLOSS, 1), seen)).isLessThan(0.01);
    assertThat(said(taken(1, true), "room")).contains("is mirrored here");
  }

  private static String said(Analysis analysis, String ground) {
    return session(analysis).idle(recipe(ground, Surface.GLOSS, 1), "p").orElse("");
  }

  @Test
  void withoutAPairItSaysWhatIsMissingAndChangesNothing() {
    Picture seen = picture(taken(1, false), "room", Surface.GLASS, 0);
    assertThat(apart(picture(taken(1, false), "room", Surface.GLASS, 1), seen)).isZero();
    assertThat(said(taken(1, false), "room")).contains("lamps-off frame, or a flash frame");
    assertThat(said(taken(1, true), "flash")).isEmpty();
  }
}
