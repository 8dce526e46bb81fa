package illuminar.core.pass;

import illuminar.core.analysis.Analysis;
import illuminar.core.geometry.Geometry;
import illuminar.core.geometry.Projection;
import illuminar.core.ground.Ground;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Plane;
import illuminar.core.picture.Raster;
import illuminar.core.region.Coverage;
import java.util.function.Supplier;

/** What a pass may look at before it works on pixels: the whole view on a small grid. */
public final class PassInput {

  /** The picture below a pass on the small grid. */
  public interface Below {
    /** Linear BT.2020; not to be modified. */
    Picture picture();

    /** Its tones in stops below white; not to be modified. */
    Plane stops();
  }

  /** What lies below a pass at any raster. */
  public interface Finer {
    /** The picture, worked out anew; linear BT.2020. */
    Picture picture(Raster raster);

    /** The pass's region. */
    Coverage share(Raster raster);

    /** What both depend on, with value equality. */
    Object state();
  }

  /** A question about the picture below and the region. */
  private record Question(Object state, Object more) {}

  /** Results of one type that are kept; each may hold planes of the whole view. */
  private static final int KEPT = 2;

  private final Analysis analysis;
  private final Raster raster;
  private final Below below;
  private final Coverage region;
  private final Ground ground;
  private final Geometry geometry;
  private final Finer finer;

  /**
   * @param raster the small grid
   * @param ground of the recipe
   * @param region coverage of the pass's region on the small grid
   * @param geometry of the finished picture, as far as the kind of pass goes by it
   */
  public PassInput(
      Analysis analysis,
      Raster raster,
      Below below,
      Ground ground,
      Finer finer,
      Coverage region,
      Geometry geometry) {
    this.ground = ground;
    this.finer = finer;
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
    return finer.picture(raster);
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
    return finer.share(raster);
  }

  /**
   * What was found in the picture below and the region: found once while they stay, however often a
   * control of the pass moves.
   *
   * @param type of the result, which no other pass uses
   * @param more what it depends on beside them, with value equality
   */
  public <T> T keep(Class<T> type, Object more, Supplier<T> find) {
    return analysis.keep(type, new Question(finer.state(), more), KEPT, find);
  }
}
