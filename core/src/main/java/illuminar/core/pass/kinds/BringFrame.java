package illuminar.core.pass.kinds;

import illuminar.core.analysis.Analysis;
import illuminar.core.analysis.window.Reflections;
import illuminar.core.colour.Matrix3;
import illuminar.core.colour.Space;
import illuminar.core.colour.WhiteShift;
import illuminar.core.control.Control;
import illuminar.core.control.Numbers;
import illuminar.core.frame.Curve;
import illuminar.core.frame.Response;
import illuminar.core.pass.Fault;
import illuminar.core.pass.Kind;
import illuminar.core.pass.Mends;
import illuminar.core.pass.Move;
import illuminar.core.pass.PassInput;
import illuminar.core.pass.PreparedPass;
import illuminar.core.pass.Stage;
import illuminar.core.pass.Tile;
import illuminar.core.pass.work.BroughtView;
import illuminar.core.pass.work.OverRoom;
import illuminar.core.pass.work.Parted;
import illuminar.core.picture.Picture;

/**
 * Brings one frame into a region of the picture, such as the view into the window panes.
 *
 * <p>The frame is turned back into light by the camera's response, exposed anew so that it stands
 * {@code over} stops above the room (the mean tone of the picture outside the region), and rendered
 * again by the same response; along the region's edge it is parted from the room ({@link Parted}).
 * Reflections of the room in the panes ({@link Reflections}) can be taken off the frame first.
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
            label = "Edge width",
            unit = "px",
            from = 0,
            to = 12,
            step = 0.5,
            defaultValue = 4,
            help = "How far along the edge room and view are kept apart, at full size")
        double edge,
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
    @Control(label = "Saturation", unit = "%", from = 0, to = 2, step = 0.01, defaultValue = 1)
        double saturation,
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
    Numbers.check(BringFrame.class, "edge", edge);
    Numbers.check(BringFrame.class, "warmer", warmer);
    Numbers.check(BringFrame.class, "tint", tint);
    Numbers.check(BringFrame.class, "saturation", saturation);
    Numbers.check(BringFrame.class, "reflections", reflections);
  }

  /** In the colours of the frame. */
  public BringFrame(String frame, double over, double edge) {
    this(frame, over, edge, 0, 0, 1, 0);
  }

  /**
   * Measures room and view on the small grid.
   *
   * @throws IllegalArgumentException if reflections are to be taken out and nothing tells them
   */
  @Override
  public PreparedPass prepare(PassInput below) {
    return work(below.analysis(), below.region().copy(), OverRoom.gain(below, frame, over));
  }

  private Work work(Analysis analysis, float[] region, double gain) {
    Response response = analysis.frames().response();
    Curve[] exposed = new Curve[3];
    for (int c = 0; c < 3; c++) {
      exposed[c] = response.exposed(c, (float) gain);
    }
    Matrix3 colours = Space.SRGB_TO_WORK.after(WhiteShift.srgb(warmer, tint));
    BroughtView view =
        reflections == 0 ? tile -> tile.frames().apply(frame) : unmirrored(analysis, region);
    return new Work(
        view,
        analysis.frames().anchor(),
        exposed,
        (float) edge,
        colours.floats(),
        (float) saturation);
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

  /**
   * @param exposed per channel, from the frame's display values to those at the new exposure
   * @param toWork sRGB primaries to BT.2020, in the view's own white
   */
  private record Work(
      BroughtView view,
      String anchor,
      Curve[] exposed,
      float edge,
      float[] toWork,
      float saturation)
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
      int[] box = tile.region().box();
      if (box[0] >= box[2]) {
        return;
      }
      Picture camera = view.at(tile);
      if (edge == 0) {
        for (int j = box[1]; j < box[3]; j++) {
          laid(tile, j, camera, below);
        }
      } else {
        new Parted(anchor, edge)
            .lay(tile, below, (region, reached) -> rendered(camera, region, reached));
      }
    }

    /** One row of the frame laid over, mixed by the region alone. */
    private void laid(Tile tile, int j, Picture camera, Picture below) {
      float[] share = tile.region().values();
      int first = tile.region().row(j);
      int row = j * below.width();
      float[] colour = new float[3];
      for (int x = tile.region().from(j); x < tile.region().to(j); x++) {
        float m = share[first + x];
        if (m > 0) {
          int i = row + x;
          expose(camera, i, colour);
          m *= tile.amount(below, i);
          below.r()[i] += (colour[0] - below.r()[i]) * m;
          below.g()[i] += (colour[1] - below.g()[i]) * m;
          below.b()[i] += (colour[2] - below.b()[i]) * m;
        }
      }
    }

    /** A pixel of the frame at its new exposure, linear BT.2020. */
    private void expose(Picture camera, int i, float[] out) {
      float r = exposed[0].at(camera.r()[i]);
      float g = exposed[1].at(camera.g()[i]);
      float b = exposed[2].at(camera.b()[i]);
      Matrix3.apply(toWork, r, g, b, out);
      if (saturation != 1) {
        float y = Space.luminance(out[0], out[1], out[2]);
        for (int c = 0; c < 3; c++) {
          out[c] = y + (out[c] - y) * saturation;
        }
      }
    }

    /** The frame exposed anew, where the region has any share. */
    private Picture rendered(Picture camera, float[] region, int[] box) {
      Picture out = Picture.of(camera.width(), camera.height());
      float[] colour = new float[3];
      for (int y = box[1]; y < box[3]; y++) {
        for (int i = y * out.width() + box[0]; i < y * out.width() + box[2]; i++) {
          if (region[i] > 0) {
            expose(camera, i, colour);
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
