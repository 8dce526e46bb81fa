package illuminar.core.render;

import illuminar.core.analysis.Analysis;
import illuminar.core.ground.Ground;
import illuminar.core.ground.Grounds;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Raster;
import illuminar.core.region.Sources;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.BooleanSupplier;
import java.util.function.Function;

/** Draws the picture above some steps at any raster, and keeps nothing of it. */
record Afresh(Analysis analysis, Masks masks) {

  /** Pixels round a tile that steps read. */
  static int margin(List<Step> steps, double scale) {
    return steps.stream().mapToInt(s -> s.margin(scale)).sum();
  }

  /** What is wanted to its end. */
  Picture picture(Ground ground, List<Step> steps, Raster raster) {
    return picture(ground, steps, raster, () -> true);
  }

  /**
   * @param wanted see {@link Run}
   */
  Picture picture(Ground ground, List<Step> steps, Raster raster, BooleanSupplier wanted) {
    int margin = margin(steps, raster.scale());
    Raster wide = raster.grown(margin, analysis.fullWidth(), analysis.fullHeight());
    return tile(ground, steps, wide, wanted).part(wide, raster);
  }

  private Picture tile(Ground ground, List<Step> steps, Raster wide, BooleanSupplier wanted) {
    Map<String, Picture> drawn = new HashMap<>();
    Function<String, Picture> once = id -> drawn.computeIfAbsent(id, i -> analysis.draw(i, wide));
    Sources.Frames any =
        r ->
            r.equals(wide)
                ? once
                : id ->
                    // a region's edge may need to see beyond the tile
                    wide.holds(r) && drawn.containsKey(id)
                        ? once.apply(id).part(wide, r)
                        : analysis.draw(id, r);
    Map<Raster, Picture> grounds = new HashMap<>();
    Function<Raster, Picture> below =
        r -> grounds.computeIfAbsent(r, at -> Grounds.draw(ground, analysis, at, any.apply(at)));
    Run run =
        new Run(wide.height(), (s, under) -> masks.once(s, wide, any, below, under), any, wanted);
    return run.over(steps, Developing.of(below.apply(wide)), wide).settled();
  }
}
