package illuminar.core.region;

import illuminar.core.analysis.Analysis;
import illuminar.core.colour.WorkingSpace;
import illuminar.core.ground.Ground;
import illuminar.core.picture.LabPlanes;
import illuminar.core.picture.MapRows;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Plane;
import illuminar.core.picture.Raster;
import java.util.function.Function;
import java.util.function.Supplier;

/** What regions are drawn from: the frames, the ground, the picture below a pass. */
public interface Sources {

  Analysis analysis();

  /** A frame, display-linear with sRGB primaries; not to be modified. */
  Picture frame(String id, Raster raster);

  /** A ground, linear BT.2020; not to be modified. */
  Picture ground(Ground ground, Raster raster);

  /**
   * The picture as it stands below the pass, linear BT.2020; not to be modified.
   *
   * @throws IllegalStateException where the region is drawn for no pass
   */
  Picture below(Raster raster);

  /** The long edge of the view in pixels at full size. */
  default int longEdge() {
    return Math.max(analysis().fullWidth(), analysis().fullHeight());
  }

  /** A raster with so many pixels more to every side, as far as can be seen. */
  default Raster grown(Territory in, Raster raster, int margin) {
    Raster wide = raster.grown(margin, analysis().fullWidth(), analysis().fullHeight());
    return in.live() ? seen(wide) : wide;
  }

  /** What of a raster {@link #below} can be seen at. */
  Raster seen(Raster raster);

  /** Keeps under a key what many tiles read. */
  <T> T keep(Object key, Class<T> type, long bytes, Supplier<T> make);

  /**
   * The same for what is worth keeping beyond this run of the program; not for what depends on what
   * lies below a pass.
   */
  default <T extends Record> T keepLong(Object key, Class<T> type, long bytes, Supplier<T> make) {
    return keep(key, type, bytes, () -> analysis().shelf().get(type, key, make));
  }

  /** Draws one frame at a raster, display-linear. */
  interface Frames extends Function<Raster, Function<String, Picture>> {}

  /** What a part looks at, linear BT.2020; not to be modified. */
  default Picture look(Look look, Territory in, Raster raster) {
    return switch (look.from()) {
      case GROUND -> ground(in.ground().orElseThrow(), raster);
      case BELOW -> below(raster);
      case FRAME -> {
        Picture p = frame(look.frame(), raster).copy();
        WorkingSpace.fromSrgb(p.planes());
        yield p;
      }
    };
  }

  /** The same on the analysis grid as L*a*b*; kept. Not for what lies below a pass. */
  default LabPlanes lookAtAll(Look look, Territory in) {
    Raster grid = analysis().raster();
    Object key = java.util.List.of("lab", look, in.ground());
    return keep(
        key, LabPlanes.class, grid.pixels() * 12L, () -> LabPlanes.of(look(look, in, grid)));
  }

  /** A map of the whole view at a raster. */
  default float[] spread(Plane map, Raster raster) {
    MapRows rows = MapRows.of(analysis().fullWidth(), analysis().fullHeight(), raster, map)[0];
    float[] out = new float[raster.pixels()];
    if (rows.reach()) {
      for (int j = 0; j < raster.height(); j++) {
        rows.row(j, out, j * raster.width());
      }
    }
    return out;
  }
}
