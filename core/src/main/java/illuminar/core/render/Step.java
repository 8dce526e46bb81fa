package illuminar.core.render;

import illuminar.core.pass.Pass;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Raster;
import illuminar.core.region.Region;
import illuminar.core.region.Share;
import java.util.Optional;
import java.util.function.Function;

/** A pass with its region and everything prepared. Two steps are equal if they are the same one. */
final class Step {
  private final Pass pass;
  private final Optional<Region> region;
  private final Ready ready;

  Step(Pass pass, Optional<Region> region, Ready ready) {
    this.pass = pass;
    this.region = region;
    this.ready = ready;
  }

  boolean serves(Pass otherPass, Optional<Region> otherRegion) {
    return pass.equals(otherPass) && region.equals(otherRegion);
  }

  Optional<Region> region() {
    return region;
  }

  boolean outside() {
    return pass.where().outside();
  }

  Ready ready() {
    return ready;
  }

  boolean onTones() {
    return ready instanceof Ready.OnTones;
  }

  int margin(double scale) {
    return ready instanceof Ready.OnLight light ? light.margin(scale) : 0;
  }

  boolean fine() {
    return ready instanceof Ready.OnLight light && light.fine();
  }

  /** This step's task on a piece of the picture. */
  Tile tile(Raster raster, Share share, Function<String, Picture> frames) {
    return new Tile(raster, share, pass.gate(), (float) pass.strength(), frames);
  }
}
