package illuminar.core.pass;

import illuminar.core.analysis.Analysis;
import illuminar.core.geometry.Geometry;
import illuminar.core.geometry.Projection;
import illuminar.core.ground.Ground;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Plane;
import illuminar.core.picture.Raster;
import illuminar.core.region.Coverage;
import java.util.function.Function;

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
  private final Ground ground;
  private final Geometry geometry;
  private final Function<Raster, Picture> at;
  private final Function<Raster, Coverage> share;

  /**
   * @param raster the small grid
   * @param ground of the recipe
   * @param at the picture below the pass at any raster
   * @param share the region at any raster
   * @param region coverage of the pass's region on the small grid
   * @param geometry of the finished picture, as far as the kind of pass goes by it
   */
  public PassInput(
      Analysis analysis,
      Raster raster,
      Below below,
      Ground ground,
      Function<Raster, Picture> at,
      Function<Raster, Coverage> share,
      Coverage region,
      Geometry geometry) {
    this.ground = ground;
    this.at = at;
    this.share = share;
    this.geometry = geometry;
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

  /** How the finished picture lies on the view; as the view lies unless the kind is framed. */
  public Projection finished() {
    return Projection.of(geometry, analysis.fullWidth(), analysis.fullHeight());
  }

  /** The recipe's ground. */
  public Ground ground() {
    return ground;
  }

  /** The picture as it stands below the pass, linear BT.2020; not to be modified. */
  public Picture picture() {
    return below.picture();
  }

  /** The same at any raster, worked out anew. */
  public Picture picture(Raster raster) {
    return at.apply(raster);
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

  /** The same at any raster. */
  public Coverage share(Raster raster) {
    return share.apply(raster);
  }
}
