package illuminar.core.render;

import illuminar.core.analysis.Analysis;
import illuminar.core.pass.Gate;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Plane;
import illuminar.core.picture.Raster;
import illuminar.core.region.Share;

/** What a pass may look at before it works on pixels: the whole view on a small grid. */
public final class Below {
  private final Analysis analysis;
  private final Raster raster;
  private final Developing developing;
  private final Share region;

  Below(Analysis analysis, Raster raster, Developing developing, Share region) {
    this.analysis = analysis;
    this.raster = raster;
    this.developing = developing;
    this.region = region;
  }

  public Analysis analysis() {
    return analysis;
  }

  /** The small grid. */
  public Raster raster() {
    return raster;
  }

  /** The picture as it stands below the pass, linear BT.2020; not to be modified. */
  public Picture picture() {
    return developing.settled();
  }

  /** Its tones in stops below white; not to be modified. */
  public Plane stops() {
    return new Plane(developing.width(), developing.height(), developing.stops());
  }

  /**
   * The whole small grid as one tile of the pass's region, at full strength on all tones; it draws
   * no frames.
   */
  public Tile tile() {
    return new Tile(raster, region, Gate.ALL, 1, Below::noFrame);
  }

  private static Picture noFrame(String frame) {
    throw new IllegalStateException("The small picture below a pass draws no frame: " + frame);
  }

  /** The pass's region. */
  public Share region() {
    return region;
  }
}
