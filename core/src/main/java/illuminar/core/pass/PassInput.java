package illuminar.core.pass;

import illuminar.core.analysis.Analysis;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Plane;
import illuminar.core.picture.Raster;
import illuminar.core.region.Coverage;

/** What a pass may look at before it works on pixels: the whole view on a small grid. */
public final class PassInput {

  /** The picture below a pass on the small grid. */
  public interface Below {
    /** Linear BT.2020; not to be modified. */
    Picture picture();

    /** Its tones in stops below white; not to be modified. */
    Plane stops();
  }

  private final Analysis analysis;
  private final Raster raster;
  private final Below below;
  private final Coverage region;

  /**
   * @param raster the small grid
   * @param region coverage of the pass's region on the small grid
   */
  public PassInput(Analysis analysis, Raster raster, Below below, Coverage region) {
    this.analysis = analysis;
    this.raster = raster;
    this.below = below;
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
    return below.picture();
  }

  /** Its tones in stops below white; not to be modified. */
  public Plane stops() {
    return below.stops();
  }

  /**
   * The whole small grid as one tile of the pass's region, at full strength on all tones; it draws
   * no frames.
   */
  public Tile tile() {
    return new Tile(raster, region, Gate.ALL, 1, PassInput::noFrame);
  }

  private static Picture noFrame(String frame) {
    throw new IllegalStateException("The small picture below a pass draws no frame: " + frame);
  }

  /** Coverage of the pass's region on the small grid. */
  public Coverage region() {
    return region;
  }
}
