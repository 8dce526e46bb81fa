package illuminar.core.render;

import illuminar.core.pass.Pass;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Raster;
import illuminar.core.region.Share;
import illuminar.core.region.Territory;
import java.util.List;
import java.util.function.Function;

/** A pass with its region and everything prepared. Two steps are equal if they are the same one. */
final class Step {
  private final Pass pass;
  private final List<Area> areas;
  private final float strength;
  private final Ready ready;

  /**
   * @param strength of the pass and its group
   */
  Step(Pass pass, List<Area> areas, double strength, Ready ready) {
    this.pass = pass;
    this.areas = areas;
    this.strength = (float) strength;
    this.ready = ready;
  }

  boolean serves(Pass otherPass, List<Area> otherAreas, double otherStrength) {
    return pass.equals(otherPass) && areas.equals(otherAreas) && strength == (float) otherStrength;
  }

  boolean of(String id) {
    return pass.id().equals(id);
  }

  /** The regions that limit it; none where it works everywhere. */
  List<Area> areas() {
    return areas;
  }

  Ready ready() {
    return ready;
  }

  boolean onTones() {
    return ready instanceof Ready.OnTones;
  }

  int margin(double scale) {
    int own = ready instanceof Ready.OnLight light ? light.margin(scale) : 0;
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

  boolean fine() {
    return ready instanceof Ready.OnLight light && light.fine();
  }

  /** This step's task on a piece of the picture. */
  Tile tile(Raster raster, Share share, Function<String, Picture> frames) {
    return new Tile(raster, share, pass.gate(), strength, frames);
  }
}
