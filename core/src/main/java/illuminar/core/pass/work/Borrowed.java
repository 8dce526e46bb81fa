package illuminar.core.pass.work;

import illuminar.core.colour.Stops;
import illuminar.core.mend.Hole;
import illuminar.core.mend.Likeness;
import illuminar.core.mend.Membrane;
import illuminar.core.mend.Window;
import illuminar.core.pass.PassInput;
import illuminar.core.pass.PreparedPass;
import illuminar.core.pass.Tile;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Raster;
import illuminar.core.region.Coverage;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Holes mended with what the picture shows elsewhere. Where from is found once, on the analysis
 * grid, and is a whole number of pixels at full size, where nothing is resampled.
 */
public final class Borrowed implements PreparedPass.OnLight {
  /** How far about a region is looked for sources, by its own size; cells of the small grid. */
  private static final double ABOUT = 1.5;

  private static final int LEAST_ABOUT = 6;

  /** A hole that is more of the picture has no source beside it. */
  private static final double MOST = 0.25;

  private static final String TOO_LARGE =
      "A place of more than a quarter of the picture is not mended; make it smaller.";

  private static final String NO_SOURCE =
      "Nothing whole lies near enough to mend it from; place the source.";

  private final List<Patch> patches;
  private final String idle;
  private final int fullWidth;
  private final int fullHeight;

  /** Pixels of the analysis grid about a hole in which its region may still show. */
  private static final int EDGE = 3;

  /**
   * One hole and where it is mended from.
   *
   * @param x way to the source, pixels at full size; {@code y} likewise
   * @param window where the hole's window lies
   * @param membrane what the source is brightened by; nothing for a source that stays as it is
   */
  private record Patch(int x, int y, Raster window, Hole hole, Optional<Membrane> membrane) {

    static Patch of(Window window, Hole hole, Likeness.Way way, boolean meets) {
      Raster at = window.raster();
      return new Patch(
          (int) Math.round(way.x() / at.scale()),
          (int) Math.round(way.y() / at.scale()),
          at,
          hole,
          meets ? Optional.of(Membrane.of(window, hole, way)) : Optional.empty());
    }

    /** The pixels of a raster in which its hole lies, and some about it. */
    Optional<Raster> within(Raster raster) {
      double k = raster.scale() / window.scale();
      int x0 = (int) Math.floor((window.x() + hole.left() - EDGE) * k) - raster.x();
      int y0 = (int) Math.floor((window.y() + hole.top() - EDGE) * k) - raster.y();
      int x1 = (int) Math.ceil((window.x() + hole.right() + EDGE) * k) - raster.x();
      int y1 = (int) Math.ceil((window.y() + hole.end() + EDGE) * k) - raster.y();
      x0 = Math.max(0, x0);
      y0 = Math.max(0, y0);
      x1 = Math.min(raster.width(), x1);
      y1 = Math.min(raster.height(), y1);
      return x0 < x1 && y0 < y1
          ? Optional.of(raster.part(x0, y0, x1 - x0, y1 - y0))
          : Optional.empty();
    }

    /** Brightens a source's colour for a pixel of a raster. */
    void meet(Raster at, int x, int y, float[] colour) {
      if (membrane.isPresent()) {
        Membrane m = membrane.get();
        double s = window.scale();
        float u = (float) ((at.fullX(x) + 0.5) * s - 0.5 - window.x() - m.left());
        float v = (float) ((at.fullY(y) + 0.5) * s - 0.5 - window.y() - m.top());
        for (int c = 0; c < 3; c++) {
          colour[c] *= Stops.light(m.stops()[c].sample(u, v));
        }
      }
    }
  }

  /** What was asked for. */
  private record Asked(double across, double down, boolean meets) {}

  private Borrowed(List<Patch> patches, String idle, int fullWidth, int fullHeight) {
    this.patches = patches;
    this.idle = idle;
    this.fullWidth = fullWidth;
    this.fullHeight = fullHeight;
  }

  /**
   * @param across way to the source, share of the long edge; 0 with {@code down} to have it found
   * @param meets whether the source is made to meet what lies about the hole
   */
  public static Borrowed of(PassInput below, double across, double down, boolean meets) {
    return below.keep(
        Borrowed.class, new Asked(across, down, meets), () -> found(below, across, down, meets));
  }

  private static Borrowed found(PassInput below, double across, double down, boolean meets) {
    int width = below.analysis().fullWidth();
    int height = below.analysis().fullHeight();
    List<Patch> patches = new ArrayList<>();
    String idle = "";
    Optional<Raster> raster = window(below, Math.max(Math.abs(across), Math.abs(down)));
    if (raster.isPresent()) {
      Raster at = raster.get();
      Window window = Window.of(at, below.picture(at), below.share(at).copy());
      for (Hole hole : window.holes()) {
        if (hole.pixels().length >= MOST * below.analysis().raster().pixels()) {
          idle = TOO_LARGE;
          continue;
        }
        Optional<Likeness.Way> way = way(window, hole, across, down, Math.max(width, height));
        if (way.isEmpty()) {
          idle = NO_SOURCE;
        } else {
          patches.add(Patch.of(window, hole, way.get(), meets));
        }
      }
    }
    return new Borrowed(List.copyOf(patches), idle, width, height);
  }

  /** The region and what lies about it on the analysis grid. */
  private static Optional<Raster> window(PassInput below, double way) {
    Coverage region = below.region();
    int[] box = region.box();
    if (box[0] >= box[2]) {
      return Optional.empty();
    }
    double k = below.analysis().raster().width() / (double) region.width();
    int size = Math.max(box[2] - box[0], box[3] - box[1]);
    int about =
        (int) Math.ceil(Math.max(LEAST_ABOUT, ABOUT * size) * k)
            + (int) Math.ceil(way * below.analysis().raster().width());
    Raster grid = below.analysis().raster();
    int x0 = Math.max(0, (int) (box[0] * k) - about);
    int y0 = Math.max(0, (int) (box[1] * k) - about);
    int x1 = Math.min(grid.width(), (int) Math.ceil(box[2] * k) + about);
    int y1 = Math.min(grid.height(), (int) Math.ceil(box[3] * k) + about);
    return Optional.of(grid.part(x0, y0, x1 - x0, y1 - y0));
  }

  private static Optional<Likeness.Way> way(
      Window window, Hole hole, double across, double down, int longEdge) {
    if (across == 0 && down == 0) {
      return Likeness.of(window, hole);
    }
    double k = longEdge * window.raster().scale();
    return Optional.of(new Likeness.Way((int) Math.round(across * k), (int) Math.round(down * k)));
  }

  /** Said as well where only some of the places are not mended. */
  @Override
  public Optional<String> idle() {
    return idle.isEmpty() ? Optional.empty() : Optional.of(idle);
  }

  @Override
  public boolean far() {
    return true;
  }

  @Override
  public void apply(Tile tile, Picture p) {
    if (tile.empty()) {
      return;
    }
    float[] amounts = tile.amounts(p);
    for (Patch patch : patches) {
      patch.within(tile.raster()).ifPresent(at -> mend(patch, at, tile, amounts, p));
    }
  }

  private void mend(Patch patch, Raster at, Tile tile, float[] amounts, Picture p) {
    Raster raster = tile.raster();
    double s = at.scale();
    Source source = Source.of(tile, at, patch.x * s, patch.y * s, fullWidth, fullHeight);
    float[] colour = new float[3];
    for (int y = 0; y < at.height(); y++) {
      for (int x = 0; x < at.width(); x++) {
        int i = (y + at.y() - raster.y()) * raster.width() + x + at.x() - raster.x();
        if (amounts[i] > 0) {
          source.read(x, y, colour);
          patch.meet(at, x, y, colour);
          p.mix(i, colour, amounts[i]);
        }
      }
    }
  }

  /**
   * The picture below, a way from a rectangle; between pixels by Catmull and Rom's cubic, pixels
   * beyond the view repeat its edge.
   */
  private record Source(Picture picture, int left, int top, float[] across, float[] down) {

    static Source of(Tile tile, Raster at, double x, double y, int fullWidth, int fullHeight) {
      int wholeX = (int) Math.floor(x + 1e-6);
      int wholeY = (int) Math.floor(y + 1e-6);
      Raster all = Raster.whole(fullWidth, fullHeight, at.scale());
      int x0 = held(at.x() + wholeX - 1, all.width());
      int y0 = held(at.y() + wholeY - 1, all.height());
      int x1 = held(at.x() + at.width() + wholeX + 1, all.width());
      int y1 = held(at.y() + at.height() + wholeY + 1, all.height());
      Raster raster = all.part(x0, y0, x1 - x0 + 1, y1 - y0 + 1);
      return new Source(
          tile.below().apply(raster),
          at.x() + wholeX - x0,
          at.y() + wholeY - y0,
          weights((float) Math.max(0, x - wholeX)),
          weights((float) Math.max(0, y - wholeY)));
    }

    private static int held(int v, int size) {
      return Math.max(0, Math.min(size - 1, v));
    }

    private static float[] weights(float t) {
      if (t < 1e-4f) {
        return new float[] {0, 1, 0, 0};
      }
      return new float[] {
        ((-0.5f * t + 1) * t - 0.5f) * t,
        (1.5f * t - 2.5f) * t * t + 1,
        ((-1.5f * t + 2) * t + 0.5f) * t,
        (0.5f * t - 0.5f) * t * t
      };
    }

    void read(int x, int y, float[] out) {
      int w = picture.width();
      float r = 0;
      float g = 0;
      float b = 0;
      for (int v = 0; v < 4; v++) {
        int row = held(top + y + v - 1, picture.height()) * w;
        for (int u = 0; u < 4 && down[v] != 0; u++) {
          int i = row + held(left + x + u - 1, w);
          float share = down[v] * across[u];
          r += picture.r()[i] * share;
          g += picture.g()[i] * share;
          b += picture.b()[i] * share;
        }
      }
      out[0] = r;
      out[1] = g;
      out[2] = b;
    }
  }
}
