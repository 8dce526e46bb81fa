package illuminar.core.pass.kinds;

import illuminar.core.analysis.Analysis;
import illuminar.core.analysis.window.Reflections;
import illuminar.core.control.Control;
import illuminar.core.control.Numbers;
import illuminar.core.pass.Fault;
import illuminar.core.pass.Kind;
import illuminar.core.pass.Mends;
import illuminar.core.pass.Move;
import illuminar.core.pass.PassInput;
import illuminar.core.pass.PreparedPass;
import illuminar.core.pass.Stage;
import illuminar.core.pass.Tile;
import illuminar.core.pass.work.BroughtView;
import illuminar.core.pass.work.DevelopedFrame;
import illuminar.core.pass.work.OverRoom;
import illuminar.core.pass.work.Parted;
import illuminar.core.picture.Picture;

/**
 * Brings one frame into a region of the picture, such as the view into the window panes.
 *
 * <p>The frame is developed for itself ({@link DevelopedFrame}), exposed so that it stands {@code
 * over} stops above the room (the mean tone of the picture outside the region); along the region's
 * edge it is parted from the room ({@link Parted}). Reflections of the room in the panes ({@link
 * Reflections}) can be taken off the frame first.
 *
 * @param frame id of the frame
 */
@Kind(
    id = "bring-frame",
    name = "Show a frame",
    stage = Stage.WINDOWS,
    help = "A darker frame in the windows, so that the view is seen; needs a place",
    sentence = "Show {frame} in {region}",
    says = {
      "{over:brighter|darker} than the room",
      "{warmer:warmer|cooler}",
      "{tint:towards magenta|towards green}",
      "highlights {highlights:higher|lower}",
      "shadows {shadows:higher|lower}",
      "contrast {contrast:higher|lower}",
      "{saturation:more|less} saturated",
      "{reflections} of the reflections removed"
    },
    asksRegion = true,
    mends = {@Mends(fault = Fault.HALO, control = "edge")})
public record BringFrame(
    String frame,
    @Control(
            label = "Over the room",
            unit = "st",
            from = -6,
            to = 6,
            step = 0.05,
            defaultValue = 0.9,
            neutral = 0,
            help = "How much brighter than the room the view stands")
        double over,
    @Control(
            label = "Warmer",
            unit = "mired",
            from = -100,
            to = 100,
            step = 1,
            defaultValue = 0,
            help = "The view's white along the Planckian locus")
        double warmer,
    @Control(
            label = "Tint",
            unit = "",
            from = -100,
            to = 100,
            step = 1,
            defaultValue = 0,
            help = "Green to magenta")
        double tint,
    @Control(label = "Highlights", unit = "", from = -100, to = 100, step = 1, defaultValue = 0)
        double highlights,
    @Control(label = "Shadows", unit = "", from = -100, to = 100, step = 1, defaultValue = 0)
        double shadows,
    @Control(label = "Contrast", unit = "", from = -100, to = 100, step = 1, defaultValue = 0)
        double contrast,
    @Control(label = "Saturation", unit = "%", from = 0, to = 2, step = 0.01, defaultValue = 1)
        double saturation,
    @Control(
            label = "Edge width",
            unit = "px",
            from = 0,
            to = 12,
            step = 0.5,
            defaultValue = 4,
            help = "How far along the edge room and view are kept apart, at full size")
        double edge,
    @Control(
            label = "Remove reflections",
            unit = "%",
            from = 0,
            to = 1,
            step = 0.01,
            defaultValue = 0,
            help = "Reflections of the room in the panes; needs a lamps-off or a flash frame")
        double reflections)
    implements Move {

  public BringFrame {
    Numbers.check(BringFrame.class, "over", over);
    Numbers.check(BringFrame.class, "warmer", warmer);
    Numbers.check(BringFrame.class, "tint", tint);
    Numbers.check(BringFrame.class, "highlights", highlights);
    Numbers.check(BringFrame.class, "shadows", shadows);
    Numbers.check(BringFrame.class, "contrast", contrast);
    Numbers.check(BringFrame.class, "saturation", saturation);
    Numbers.check(BringFrame.class, "edge", edge);
    Numbers.check(BringFrame.class, "reflections", reflections);
  }

  /** As the camera developed it. */
  public BringFrame(String frame, double over, double edge, double reflections) {
    this(frame, over, 0, 0, 0, 0, 0, 1, edge, reflections);
  }

  /** As the camera developed it, with what the panes mirror. */
  public BringFrame(String frame, double over, double edge) {
    this(frame, over, edge, 0);
  }

  /**
   * Measures room and view on the small grid.
   *
   * @throws IllegalArgumentException if reflections are to be taken out and nothing tells them
   */
  @Override
  public PreparedPass prepare(PassInput below) {
    Analysis analysis = below.analysis();
    DevelopedFrame.Settings settings =
        new DevelopedFrame.Settings(warmer, tint, highlights, shadows, contrast, saturation);
    BroughtView view =
        reflections == 0
            ? tile -> tile.frames().apply(frame)
            : unmirrored(analysis, below.region().copy());
    return new Work(
        view,
        analysis.frames().anchor(),
        DevelopedFrame.of(analysis, frame, OverRoom.gain(below, frame, over), settings),
        (float) edge);
  }

  /**
   * @param region on the small grid
   */
  private BroughtView unmirrored(Analysis analysis, float[] region) {
    Reflections told = Reflections.of(analysis, frame, region);
    if (!told.told()) {
      throw new IllegalArgumentException("Remove reflections: " + told.said());
    }
    return new BroughtView.Unmirrored(
        frame, analysis.frames().response(), told, (float) reflections);
  }

  private record Work(BroughtView view, String anchor, DevelopedFrame developed, float edge)
      implements PreparedPass.OnLight {

    @Override
    public int margin(double scale) {
      return edge == 0 ? 0 : new Parted(anchor, edge).margin(scale);
    }

    @Override
    public boolean fine() {
      return edge > 0;
    }

    @Override
    public void apply(Tile tile, Picture below) {
      if (tile.empty()) {
        return;
      }
      Picture camera = view.at(tile);
      DevelopedFrame.Rows rows = developed.rows(tile.raster());
      if (edge == 0) {
        laid(tile, camera, rows, below);
      } else {
        new Parted(anchor, edge)
            .lay(tile, below, (region, reached) -> rendered(camera, rows, region, reached));
      }
    }

    /** The frame laid over, mixed by the region alone. */
    private static void laid(Tile tile, Picture camera, DevelopedFrame.Rows rows, Picture below) {
      float[] colour = new float[3];
      tile.each(
          below,
          rows::to,
          (i, m) -> {
            rows.at(camera, i, colour);
            below.mix(i, colour, m);
          });
    }

    /** The frame as developed, where the region has any share. */
    private static Picture rendered(
        Picture camera, DevelopedFrame.Rows rows, float[] region, int[] box) {
      Picture out = Picture.of(camera.width(), camera.height());
      float[] colour = new float[3];
      for (int y = box[1]; y < box[3]; y++) {
        rows.to(y);
        for (int i = y * out.width() + box[0]; i < y * out.width() + box[2]; i++) {
          if (region[i] > 0) {
            rows.at(camera, i, colour);
            out.r()[i] = colour[0];
            out.g()[i] = colour[1];
            out.b()[i] = colour[2];
          }
        }
      }
      return out;
    }
  }
}
