package illuminar.core.render;

import illuminar.core.pass.Pass;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Raster;
import illuminar.core.region.Share;
import illuminar.core.region.Territory;
import java.util.Optional;
import java.util.function.Function;

/** A pass with its region and everything prepared. Two steps are equal if they are the same one. */
final class Step {
  private final Pass pass;
  private final Optional<Territory> region;
  private final Ready ready;

  Step(Pass pass, Optional<Territory> region, Ready ready) {
    this.pass = pass;
    this.region = region;
    this.ready = ready;
  }

  boolean serves(Pass otherPass, Optional<Territory> otherRegion) {
    return pass.equals(otherPass) && region.equals(otherRegion);
  }

  Optional<Territory> region() {
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
    int own = ready instanceof Ready.OnLight light ? light.margin(scale) : 0;
    return live() ? own + region.get().margin(scale) : own;
  }

  /** Whether its region looks at the picture below it. */
  boolean live() {
    return region.isPresent() && region.get().live();
  }

  boolean fine() {
    return ready instanceof Ready.OnLight light && light.fine();
  }

  /** This step's task on a piece of the picture. */
  Tile tile(Raster raster, Share share, Function<String, Picture> frames) {
    return new Tile(raster, share, pass.gate(), (float) pass.strength(), frames);
  }
}
