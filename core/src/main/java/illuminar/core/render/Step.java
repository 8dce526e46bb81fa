package illuminar.core.render;

import illuminar.core.pass.Pass;
import illuminar.core.pass.PreparedPass;
import illuminar.core.pass.Tile;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Raster;
import illuminar.core.region.Coverage;
import illuminar.core.region.Territory;
import java.util.List;
import java.util.function.Function;

/** A pass with its region and everything prepared. Two steps are equal if they are the same one. */
final class Step {
  private final Pass pass;
  private final List<Area> areas;
  private final float strength;
  private final PreparedPass prepared;
  private final Function<Raster, Picture> below;

  /**
   * @param strength of the pass and its group
   * @param below the picture below it at any raster
   */
  Step(
      Pass pass,
      List<Area> areas,
      double strength,
      PreparedPass prepared,
      Function<Raster, Picture> below) {
    this.below = below;
    this.pass = pass;
    this.areas = areas;
    this.strength = (float) strength;
    this.prepared = prepared;
  }

  boolean of(String id) {
    return pass.id().equals(id);
  }

  /** Whether it changes with a pass, a group or a region of this id. */
  boolean dependsOn(String id) {
    return !id.isEmpty()
        && (of(id)
            || pass.group().equals(id)
            || areas.stream()
                .map(Area::region)
                .anyMatch(
                    t ->
                        t.region().id().equals(id)
                            || t.others().stream().anyMatch(r -> r.id().equals(id))));
  }

  /** The regions that limit it; none where it works everywhere. */
  List<Area> areas() {
    return areas;
  }

  PreparedPass prepared() {
    return prepared;
  }

  boolean onTones() {
    return prepared instanceof PreparedPass.OnTones;
  }

  int margin(double scale) {
    int own = prepared instanceof PreparedPass.OnLight light ? light.margin(scale) : 0;
    return own
        + areas.stream()
            .map(Area::region)
            .filter(Territory::live)
            .mapToInt(t -> t.margin(scale))
            .max()
            .orElse(0);
  }

  /** Whether a region of it looks at the picture below it. */
  boolean live() {
    return areas.stream().anyMatch(a -> a.region().live());
  }

  /** Whether it or a region of it looks at the picture below it beyond its own pixels. */
  boolean looksBelow() {
    return live() || prepared instanceof PreparedPass.OnLight light && light.far();
  }

  boolean fine() {
    return prepared instanceof PreparedPass.OnLight light && light.fine();
  }

  /** This step's task on a piece of the picture. */
  Tile tile(Raster raster, Coverage share, Function<String, Picture> frames) {
    return new Tile(raster, share, pass.gate(), strength, frames);
  }

  /**
   * The same where the picture below it is here.
   *
   * @param under the picture below this step, or below one before it where this one does not look
   *     far
   * @param whole where that lies
   */
  Tile tile(
      Raster raster,
      Coverage share,
      Function<String, Picture> frames,
      Picture under,
      Raster whole) {
    return new Tile(
        raster,
        share,
        pass.gate(),
        strength,
        frames,
        r -> whole.holds(r) ? under.part(whole, r) : below.apply(r));
  }
}
