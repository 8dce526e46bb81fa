package illuminar.core.shadow;

import illuminar.core.colour.Stops;
import illuminar.core.filter.Box;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Plane;
import illuminar.core.picture.Raster;
import java.util.List;
import java.util.Optional;

/**
 * A shadow with a hard edge in a part of a picture: where it lies, how its edge fades, and how much
 * light it takes of each surface.
 *
 * @param raster of the planes
 * @param field where its edge lies
 * @param fade across the edge
 * @param stops by which it darkens
 */
public record HardShadow(Raster raster, Field field, Fade fade, Gains.Stops stops) {
  /** Long edge on which the sides of the edge are told apart, at most. */
  private static final int COARSE = 480;

  /** Places of an edge that must be read for it to count as found, coarse pixels. */
  private static final int LEAST_EDGE = 12;

  /** Width of what the picture itself smooths, pixels. */
  private static final float OWN_WIDTH = 0.5f;

  /** Trust in a place of the edge from which on it is read. */
  private static final float READ = 0.2f;

  /**
   * A part of a picture in which a shadow is looked for.
   *
   * @param factor how many of its pixels make one on which the sides of the edge are told apart;
   *     its left and top are whole numbers of those
   */
  public record Window(Raster raster, int factor) {

    /** The part of a raster that holds a rectangle of it, a little grown. */
    public static Window of(Raster grid, int left, int top, int right, int end) {
      int size = Math.max(right - left, end - top);
      int factor = Math.max(1, (int) Math.ceil(size / (double) COARSE));
      int x = (grid.x() + left) / factor * factor - grid.x();
      int y = (grid.y() + top) / factor * factor - grid.y();
      return new Window(grid.part(x, y, right - x, end - y), factor);
    }
  }

  /**
   * Finds it.
   *
   * @param picture light at the window's raster
   * @param share of the region, likewise
   * @return nothing where no edge of one light is seen in the region
   */
  public static Optional<HardShadow> of(Window window, Picture picture, float[] share) {
    Raster raster = window.raster;
    int factor = window.factor;
    int w = (raster.width() + factor - 1) / factor;
    int h = (raster.height() + factor - 1) / factor;
    Raster coarse =
        new Raster(raster.scale() / factor, raster.x() / factor, raster.y() / factor, w, h);
    Picture small = picture.averaged(raster, coarse.finer(factor), factor);
    Plane region = averaged(share, raster, factor, w, h);
    Plane[] broad = Broad.of(tones(small));
    List<Step> steps = Steps.of(broad).stream().filter(step -> step.within(region)).toList();
    float[] common = Steps.commonest(steps);
    if (common == null) {
      return Optional.empty();
    }
    Plane sides = Sides.of(steps, w, h, common);
    List<Crossing> edge = edge(picture, sides, factor, common);
    if (edge.stream().filter(c -> c.trust() > READ).count() < LEAST_EDGE) {
      return Optional.empty();
    }
    List<Surface> surfaces = Surface.of(edge);
    if (surfaces.isEmpty()) {
      return Optional.empty();
    }
    Field field = Field.of(edge, sides, factor, raster.width(), raster.height());
    Plane[] even = Box.means(1, tones(picture));
    Fade fade = Fade.of(picture, edge, factor);
    Plane[] shares =
        Shares.of(broad, coarse(field.distance(), sides, factor), surfaces, region, factor);
    Gains.Stops stops = Gains.of(even, shares, surfaces, factor, field, fade);
    return Optional.of(new HardShadow(raster, field, fade, stops));
  }

  /** Read twice, the second time along what was read first, whose corners are sharper. */
  private static List<Crossing> edge(Picture picture, Plane sides, int factor, float[] common) {
    List<Crossing> first = Rim.evened(Rim.of(picture, sides, factor, common), factor);
    Plane distance = Field.of(first, sides, factor, picture.width(), picture.height()).distance();
    return Rim.evened(Rim.again(picture, coarse(distance, sides, factor), factor, common), factor);
  }

  /** A plane at the coarse pixels of another. */
  private static Plane coarse(Plane fine, Plane like, int factor) {
    Plane coarse = Plane.of(like.width(), like.height());
    for (int i = 0; i < coarse.data().length; i++) {
      coarse.data()[i] =
          fine.sample(
              (i % coarse.width() + 0.5f) * factor - 0.5f,
              (i / coarse.width() + 0.5f) * factor - 0.5f);
    }
    return coarse;
  }

  private static Plane[] tones(Picture p) {
    Plane[] out = new Plane[3];
    for (int c = 0; c < 3; c++) {
      out[c] = Plane.of(p.width(), p.height());
      for (int i = 0; i < out[c].data().length; i++) {
        out[c].data()[i] = Math.max(-12, Stops.of(p.channel(c)[i]));
      }
    }
    return out;
  }

  private static Plane averaged(float[] share, Raster raster, int factor, int w, int h) {
    Plane out = Plane.of(w, h);
    for (int i = 0; i < w * h; i++) {
      float sum = 0;
      for (int v = 0; v < factor; v++) {
        for (int u = 0; u < factor; u++) {
          int x = Math.min(raster.width() - 1, i % w * factor + u);
          int y = Math.min(raster.height() - 1, i / w * factor + v);
          sum += share[y * raster.width() + x];
        }
      }
      out.data()[i] = sum / (factor * factor);
    }
    return out;
  }

  /**
   * Fills in the stops by which the shadow darkens a place: red, green, blue.
   *
   * @param x pixels of {@link #raster} from its left; {@code y} likewise
   * @param pixel size of the pixel that asks, pixels of the raster
   * @param wider factor on the penumbra's width
   * @param evenness 0 for as much everywhere as a surface has lost at the edge, 1 for as much as it
   *     needs to be lit all alike
   * @return whether it darkens it at all
   */
  public boolean darkens(float x, float y, float pixel, float wider, float evenness, float[] out) {
    float own = wider * field.half().sample(x, y);
    float square = own * own + OWN_WIDTH * OWN_WIDTH * (pixel * pixel - 1);
    float halves =
        field.distance().sample(x, y) / (float) Math.sqrt(Math.max(0.01f * pixel * pixel, square));
    if (halves >= Fade.REACH) {
      return false;
    }
    int place = field.nearest(x, y);
    for (int c = 0; c < 3; c++) {
      out[c] =
          fade.kept(place, c, halves)
              * (stops.edge()[c].sample(x, y) + evenness * stops.more()[c].sample(x, y));
    }
    return true;
  }
}
