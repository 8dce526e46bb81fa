package illuminar.core.frame;

import illuminar.core.picture.Bands;
import illuminar.core.picture.Once;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Raster;
import illuminar.core.picture.Turn;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Supplier;

/**
 * A frame's pixels at full size and at halved sizes, from which any raster is drawn. Values are
 * display-linear light in the camera's own rendition with sRGB primaries, in [0, 1]; of wide frames
 * ({@link Codes}) colours that sRGB cannot show have channels beyond. Safe for many threads.
 *
 * <p>Halved levels are kept as 16-bit square roots of light. What is finer than the levels that are
 * held may be read when it is asked for, and let go again; what is drawn is the same.
 */
public final class Pyramid {
  private final int fullWidth;
  private final int fullHeight;
  private final boolean linear;
  private final List<Level> levels;
  private final Supplier<Codes> source;

  /** Whether the source reads the full size anew, so that it may be let go. */
  private final boolean readable;

  private final Turn reading = new Turn();
  private volatile Fine fine;

  /**
   * A halved level: {@code power} halvings of the full size; planar codes, three planes.
   *
   * @param wide whether the roots carry signs, as wide codes
   */
  public record Level(int power, int width, int height, char[] codes, boolean wide) {
    long bytes() {
      return 2L * codes.length;
    }
  }

  /** The full size, and levels that are finer than those held, halved when they are asked for. */
  private record Fine(Codes codes, Once<List<Level>> levels) {
    long bytes() {
      long halved = levels.there().stream().flatMap(List::stream).mapToLong(Level::bytes).sum();
      return codes.eight().length + 2L * codes.sixteen().length + halved;
    }
  }

  private Pyramid(
      int fullWidth,
      int fullHeight,
      boolean linear,
      List<Level> levels,
      Supplier<Codes> source,
      boolean readable) {
    this.fullWidth = fullWidth;
    this.fullHeight = fullHeight;
    this.linear = linear;
    this.levels = levels;
    this.source = source;
    this.readable = readable;
  }

  /** Builds all levels down to about 64 pixels. {@code codes} is kept, not copied. */
  public static Pyramid of(Codes codes) {
    List<Level> levels = new ArrayList<>();
    Level level = Halving.halve(codes);
    levels.add(level);
    while (Math.max(level.width, level.height) > 96) {
      level = Halving.halve(level);
      levels.add(level);
    }
    Pyramid all =
        new Pyramid(
            codes.width(), codes.height(), codes.linear(), List.copyOf(levels), () -> codes, false);
    all.fine = new Fine(codes, new Once<>(List::of));
    return all;
  }

  /**
   * From some of a frame's levels, without its full size.
   *
   * @param linear whether its codes are proportional to light
   * @param levels the coarsest is the last; none between the first and the last is missing
   * @param source reads the full size; asked when something finer than the first level is drawn
   */
  public static Pyramid ofLevels(
      int fullWidth, int fullHeight, boolean linear, List<Level> levels, Supplier<Codes> source) {
    return new Pyramid(fullWidth, fullHeight, linear, List.copyOf(levels), source, true);
  }

  public int width() {
    return fullWidth;
  }

  public int height() {
    return fullHeight;
  }

  /**
   * The same frame, all of it here, which can let go of what is halved less than {@code power}
   * times.
   *
   * @param again reads the full size again
   */
  public Pyramid readAgain(int power, Supplier<Codes> again) {
    List<Level> coarse = levelsFrom(Math.min(power, halvings()));
    Pyramid out = new Pyramid(fullWidth, fullHeight, linear, coarse, again, true);
    List<Level> finer = List.copyOf(levels.subList(0, levels.size() - coarse.size()));
    Once<List<Level>> here = new Once<>(() -> finer);
    here.get();
    out.fine = new Fine(fine().codes, here);
    return out;
  }

  /** Whether the frame's codes are proportional to light. */
  public boolean linear() {
    return linear;
  }

  /** Whether it can hold colours that sRGB cannot show. */
  public boolean wide() {
    return levels.get(0).wide;
  }

  /** The levels that are halved at least {@code power} times, finest first. */
  public List<Level> levelsFrom(int power) {
    return levels.stream().filter(l -> l.power >= power).toList();
  }

  /** Bytes held. */
  public long bytes() {
    Fine now = fine;
    return (now == null ? 0 : now.bytes()) + levels.stream().mapToLong(Level::bytes).sum();
  }

  /** Whether what rasters of this scale are drawn from is here. */
  public boolean here(double scale) {
    return fine != null || power(scale) >= levels.get(0).power;
  }

  /** Lets go of what can be read again; whoever draws from it now still can. */
  public void letGo() {
    if (readable) {
      fine = null;
    }
  }

  /** The full size, read where it is not here. */
  private Fine fine() {
    Fine now = fine;
    return now != null ? now : reading.take(this::read);
  }

  private Fine read() {
    Fine now = fine;
    if (now == null) {
      Codes codes = source.get();
      now = new Fine(codes, new Once<>(() -> finer(codes)));
      fine = now;
    }
    return now;
  }

  /** The levels finer than the first that is held. */
  private List<Level> finer(Codes codes) {
    List<Level> out = new ArrayList<>();
    for (int power = 1; power < levels.get(0).power; power++) {
      out.add(power == 1 ? Halving.halve(codes) : Halving.halve(out.get(out.size() - 1)));
    }
    return List.copyOf(out);
  }

  /**
   * Draws this frame, lined up to the anchor, at the pixels of a raster of the anchor.
   *
   * @param toFrame where points of the anchor lie in this frame
   * @return display-linear light, sRGB primaries; beyond the frame's edge its edge is continued
   */
  public Picture draw(Raster raster, Similarity toFrame, int anchorWidth, int anchorHeight) {
    Picture out = Picture.of(raster.width(), raster.height());
    Bands.of(
        raster.height(),
        Math.max(1, 40000 / raster.width()),
        (from, to) -> {
          FrameRows rows = rows(raster, toFrame, anchorWidth, anchorHeight);
          for (int j = from; j < to; j++) {
            rows.light(j, out.r(), out.g(), out.b(), j * raster.width());
          }
        });
    return out;
  }

  /** How often the frame can be halved. */
  public int halvings() {
    return levels.get(levels.size() - 1).power;
  }

  /** The frame halved {@code power} times and not moved, display-linear; 0 is its full size. */
  public Picture halved(int power) {
    if (power == 0) {
      return draw(Raster.whole(fullWidth, fullHeight, 1), Similarity.NONE, fullWidth, fullHeight);
    }
    Level l = level(power);
    Picture out = Picture.of(l.width, l.height);
    int n = l.width * l.height;
    for (int c = 0; c < 3; c++) {
      float[] light = out.channel(c);
      for (int i = 0; i < n; i++) {
        light[i] = Halving.light(l, c * n + i);
      }
    }
    return out;
  }

  /** A reader of this frame's rows at the pixels of a raster of the anchor, for one thread. */
  public FrameRows rows(Raster raster, Similarity toFrame, int anchorWidth, int anchorHeight) {
    int power = power(raster.scale());
    return new FrameRows(
        raster,
        power == 0 ? whole(fine().codes) : FrameSource.of(level(power)),
        Math.scalb(1.0, -power),
        toFrame,
        fullWidth,
        fullHeight,
        anchorWidth,
        anchorHeight);
  }

  /** How often the level is halved that a raster of this scale is drawn from. */
  private int power(double scale) {
    int power = 0;
    while (power < halvings() && scale * (3 << power) <= 1.0001) {
      power++;
    }
    return power;
  }

  /** Reads what rasters of this scale are drawn from, where it is not here. */
  void ready(double scale) {
    int power = power(scale);
    if (power < levels.get(0).power) {
      Fine there = fine();
      if (power > 0) {
        there.levels.get();
      }
    }
  }

  private static FrameSource whole(Codes codes) {
    return codes.is8()
        ? new FrameSource.Eight(codes, Halving.table(codes))
        : new FrameSource.Sixteen(codes, Halving.table(codes));
  }

  /** A level from 1 to {@link #halvings}; the coarsest, where fewer are asked of it. */
  private Level level(int power) {
    int first = levels.get(0).power;
    return power < first
        ? fine().levels.get().get(power - 1)
        : levels.get(Math.min(power - first, levels.size() - 1));
  }
}
