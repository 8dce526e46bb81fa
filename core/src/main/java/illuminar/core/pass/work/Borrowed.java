package illuminar.core.pass.work;

import illuminar.core.mend.Assembly;
import illuminar.core.mend.Fit;
import illuminar.core.mend.Hole;
import illuminar.core.mend.Likeness;
import illuminar.core.mend.Membrane;
import illuminar.core.mend.Pieces;
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
 * grid, made exact on finer pixels, and is a whole number of pixels at full size, where nothing is
 * resampled.
 */
public final class Borrowed implements PreparedPass.OnLight {
  /** How far about a hole is looked for sources, by its own size. */
  private static final double ABOUT = 1.5;

  /** Pixels of the analysis grid that are looked at in any case. */
  private static final int LEAST_ABOUT = 16;

  /** Pixels of the analysis grid about a hole and its sources in which ways are made exact. */
  private static final int BESIDE = 3;

  /** Pixels of a window in which ways are made exact, at most. */
  private static final long MOST_FINE = 3_000_000;

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

  /**
   * What was asked for.
   *
   * @param across way to the source, share of the long edge; 0 with {@code down} to have it found
   * @param meets whether sources are made to meet what lies about a hole, and each other
   * @param about how far about a place is looked, by its size
   */
  private record Asked(double across, double down, boolean meets, double about) {
    boolean placed() {
      return across != 0 || down != 0;
    }

    /** Whether a hole is mended with several pieces: those that meet can, however it looks. */
    boolean several() {
      return meets && !placed();
    }
  }

  private Borrowed(List<Patch> patches, String idle, int fullWidth, int fullHeight) {
    this.patches = patches;
    this.idle = idle;
    this.fullWidth = fullWidth;
    this.fullHeight = fullHeight;
  }

  /**
   * Each place from one source, or from pieces where none is placed and they can be made to meet.
   *
   * @param across way to the source, share of the long edge; 0 with {@code down} to have it found
   * @param meets whether it is made to meet what lies about the place
   */
  public static Borrowed of(PassInput below, double across, double down, boolean meets) {
    return kept(below, new Asked(across, down, meets, ABOUT));
  }

  /**
   * Each place from pieces of what lies about it.
   *
   * @param about how far, by the place's size
   */
  public static Borrowed pieces(PassInput below, double about) {
    return kept(below, new Asked(0, 0, true, about));
  }

  private static Borrowed kept(PassInput below, Asked asked) {
    return below.keep(Borrowed.class, asked, () -> found(below, asked));
  }

  private static Borrowed found(PassInput below, Asked asked) {
    int width = below.analysis().fullWidth();
    int height = below.analysis().fullHeight();
    List<Patch> patches = new ArrayList<>();
    String idle = "";
    Optional<Raster> raster = window(below, asked);
    if (raster.isPresent()) {
      Raster at = raster.get();
      Window all = Window.of(at, below.picture(at), below.share(at).copy());
      for (Hole hole : all.holes()) {
        if (hole.pixels().length >= MOST * below.analysis().raster().pixels()) {
          idle = TOO_LARGE;
          continue;
        }
        double longEdge = Math.max(width, height) * at.scale();
        Window window = all.about(hole, reach(hole, asked, longEdge));
        Optional<Pieces> pieces = pieces(window, hole.in(all, window), asked, longEdge);
        if (pieces.isEmpty()) {
          idle = NO_SOURCE;
        } else {
          patches.add(patch(below, window, pieces.get(), asked));
        }
      }
    }
    return new Borrowed(List.copyOf(patches), idle, width, height);
  }

  /**
   * How far about a hole is looked, as far as a placed source at least; pixels of its window.
   *
   * @param longEdge of the view, in such pixels
   */
  private static int reach(Hole hole, Asked asked, double longEdge) {
    double size = asked.several() ? Math.sqrt(hole.pixels().length) : hole.size();
    double way = Math.max(Math.abs(asked.across), Math.abs(asked.down)) * longEdge;
    return (int) Math.ceil(Math.max(LEAST_ABOUT, asked.about * size) + way);
  }

  private static Optional<Pieces> pieces(Window window, Hole hole, Asked asked, double longEdge) {
    if (asked.placed()) {
      Pieces.Way way = new Pieces.Way(asked.across, asked.down).times(longEdge);
      return Optional.of(Pieces.whole(hole, way));
    }
    return asked.several()
        ? Assembly.of(window, hole)
        : Likeness.of(window, hole).map(w -> Pieces.whole(hole, new Pieces.Way(w.x(), w.y())));
  }

  /** A place in the finest pixels that are not too many; nothing where they are no finer. */
  private static Optional<Window> finer(PassInput below, Raster at) {
    int factor = (int) Math.floor(1 / at.scale() + 1e-9);
    while (factor > 1 && (long) at.pixels() * factor * factor > MOST_FINE) {
      factor--;
    }
    if (factor <= 1) {
      return Optional.empty();
    }
    Raster fine = at.finer(factor);
    return Optional.of(Window.of(fine, below.picture(fine), below.share(fine).copy()));
  }

  private static Patch patch(PassInput below, Window window, Pieces pieces, Asked asked) {
    double s = window.raster().scale();
    Optional<Window> fine =
        asked.placed() ? Optional.empty() : finer(below, pieces.touched(window, BESIDE));
    List<Pieces.Way> full =
        fine.map(f -> rounded(Fit.of(window, pieces, f), f.raster().scale()))
            .orElseGet(() -> rounded(pieces.ways(), s));
    Pieces fitted = pieces.by(full.stream().map(w -> w.times(s)).toList());
    return new Patch(
        window.raster(),
        pieces.hole(),
        full,
        pieces.cells(window.width(), Patch.EDGE),
        asked.meets ? Optional.of(Membrane.of(window, fitted)) : Optional.empty());
  }

  /** Whole pixels at full size, so that nothing is resampled there. */
  private static List<Pieces.Way> rounded(List<Pieces.Way> ways, double scale) {
    return ways.stream()
        .map(w -> new Pieces.Way(Math.rint(w.x() / scale), Math.rint(w.y() / scale)))
        .toList();
  }

  /** The region and what lies about it on the analysis grid. */
  private static Optional<Raster> window(PassInput below, Asked asked) {
    Coverage region = below.region();
    int[] box = region.box();
    if (box[0] >= box[2]) {
      return Optional.empty();
    }
    double k = below.analysis().raster().width() / (double) region.width();
    int size = Math.max(box[2] - box[0], box[3] - box[1]);
    double way = Math.max(Math.abs(asked.across), Math.abs(asked.down));
    int about =
        (int) Math.ceil(Math.max(LEAST_ABOUT, asked.about * size) * k)
            + (int) Math.ceil(way * below.analysis().raster().width());
    Raster grid = below.analysis().raster();
    int x0 = Math.max(0, (int) (box[0] * k) - about);
    int y0 = Math.max(0, (int) (box[1] * k) - about);
    int x1 = Math.min(grid.width(), (int) Math.ceil(box[2] * k) + about);
    int y1 = Math.min(grid.height(), (int) Math.ceil(box[3] * k) + about);
    return Optional.of(grid.part(x0, y0, x1 - x0, y1 - y0));
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
    Raster all = Raster.whole(fullWidth, fullHeight, tile.raster().scale());
    for (Patch patch : patches) {
      patch.within(tile.raster()).ifPresent(at -> patch.mend(at, tile, amounts, p, all));
    }
  }
}
