package illuminar.core.watch;

import illuminar.core.pass.Pass;
import illuminar.core.picture.Plane;
import illuminar.core.picture.Raster;
import illuminar.core.recipe.Recipe;
import illuminar.core.render.PreviewSession;
import java.util.List;

/**
 * What one pass leaves of the texture in the darks that it lifts, measured as {@link Mud} is, over
 * the picture below the pass.
 *
 * @param lifts whether it lifts any darks with texture in them
 * @param slope of the tones there: 1 keeps their texture, 0 makes them flat; 1 where it lifts none
 * @param mud whether so much is lost that the darks look muddy
 */
public record LiftedDarks(boolean lifts, double slope, boolean mud) {
  /**
   * @throws IllegalArgumentException if the recipe has no such pass
   */
  public static LiftedDarks by(PreviewSession session, Recipe recipe, String pass) {
    List<Pass> passes = recipe.passes();
    int at = passes.stream().map(Pass::id).toList().indexOf(pass);
    if (at < 0) {
      throw new IllegalArgumentException("the recipe has no pass " + pass);
    }
    Raster raster = NewLines.raster(session.analysis());
    Plane below = tones(session, recipe.withPasses(passes.subList(0, at)), raster, pass);
    Plane above = tones(session, recipe.withPasses(passes.subList(0, at + 1)), raster, pass);
    double slope = new Mud(below, raster, List.of(above)).slope();
    return Double.isNaN(slope)
        ? new LiftedDarks(false, 1, false)
        : new LiftedDarks(true, slope, slope < Mud.SLOPE);
  }

  private static Plane tones(PreviewSession session, Recipe recipe, Raster raster, String pass) {
    return Watch.tones(session.draft(recipe, raster, pass));
  }
}
