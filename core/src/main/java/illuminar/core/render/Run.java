package illuminar.core.render;

import illuminar.core.pass.PreparedPass;
import illuminar.core.pass.Tile;
import illuminar.core.picture.Bands;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Raster;
import illuminar.core.region.Coverage;
import illuminar.core.region.Sources;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CancellationException;
import java.util.function.BooleanSupplier;

/**
 * Runs steps over a piece of the picture in bands of rows. Steps that only brighten and darken run
 * together on tones; the others run on finished light, and only in the box that they reach.
 *
 * @param band rows of a band; bands are shared out to all cores
 * @param shares a step's share at the raster of the piece
 * @param frames draws frames at any raster
 * @param wanted asked between steps and bands; once it says no, the work ends with a {@link
 *     CancellationException}
 */
record Run(int band, Shares shares, Sources.Frames frames, BooleanSupplier wanted) {
  private static final int LEAST_BAND = 12;

  /** A step's share where a picture stands below it. */
  interface Shares {
    Coverage of(Step step, Developing below);
  }

  /** Work that is wanted to its end. */
  Run(int band, Shares shares, Sources.Frames frames) {
    this(band, shares, frames, () -> true);
  }

  private void check() {
    if (!wanted.getAsBoolean()) {
      throw new CancellationException("this picture is not wanted any more");
    }
  }

  /** {@code base} is not modified. */
  Developing over(List<Step> steps, Developing base, Raster raster) {
    check();
    Developing now = base;
    int k = 0;
    while (k < steps.size()) {
      boolean tones = steps.get(k).onTones();
      int end = k + 1;
      // a step that looks below must see all that came before it
      while (end < steps.size()
          && steps.get(end).onTones() == tones
          && !steps.get(end).looksBelow()) {
        end++;
      }
      List<Step> alike = steps.subList(k, end);
      List<Coverage> where = new ArrayList<>();
      for (Step s : alike) {
        check();
        where.add(shares.of(s, now));
      }
      now =
          tones
              ? onTones(alike, where, now.metered(), raster)
              : Developing.of(onLight(alike, where, now.settled(), raster));
      k = end;
    }
    return now;
  }

  /** {@code metered} is modified. */
  private Developing onTones(
      List<Step> steps, List<Coverage> shares, Developing metered, Raster raster) {
    int w = raster.width();
    Bands.of(
        raster.height(),
        band,
        (y0, y1) -> {
          check();
          Raster rows = raster.part(0, y0, w, y1 - y0);
          for (int k = 0; k < steps.size(); k++) {
            Coverage share = shares.get(k).part(0, y0, w, y1 - y0);
            Tile tile = steps.get(k).tile(rows, share, frames.apply(rows));
            ((PreparedPass.OnTones) steps.get(k).prepared()).apply(tile, metered.tones(), y0 * w);
          }
        });
    return metered;
  }

  private Picture onLight(List<Step> steps, List<Coverage> shares, Picture base, Raster raster) {
    Piece piece = piece(steps, shares, base, raster, 1);
    if (piece.nothing()) {
      return base;
    }
    Picture out = base.copy();
    piece.light.into(out, 0, 0, piece.x, piece.y, piece.light.width(), piece.light.height());
    return out;
  }

  /** What steps on light change of a picture: a rectangle of it. */
  record Piece(int x, int y, Picture light) {
    boolean nothing() {
      return light.width() == 0;
    }
  }

  /**
   * Runs steps on light alone, where they reach; none but the first may look below.
   *
   * @param align the piece begins and ends at multiples of so many pixels, or at the raster's edge
   */
  Piece piece(List<Step> steps, Picture base, Raster raster, int align) {
    Developing below = Developing.of(base);
    return piece(steps, steps.stream().map(s -> shares.of(s, below)).toList(), base, raster, align);
  }

  private Piece piece(
      List<Step> steps, List<Coverage> shares, Picture base, Raster raster, int align) {
    int margin = steps.stream().mapToInt(s -> s.margin(raster.scale())).sum();
    int[] box = aligned(reached(shares, margin, raster), align, raster);
    Piece piece =
        new Piece(
            box[0], box[1], Picture.of(Math.max(0, box[2] - box[0]), Math.max(0, box[3] - box[1])));
    if (piece.nothing()) {
      return piece;
    }
    Bands.of(
        box[3] - box[1],
        rows(box[3] - box[1], margin),
        (from, to) -> {
          check();
          int top = Math.max(0, box[1] + from - margin);
          int end = Math.min(raster.height(), box[1] + to + margin);
          int left = Math.max(0, box[0] - margin);
          int width = Math.min(raster.width(), box[2] + margin) - left;
          Raster tile = raster.part(left, top, width, end - top);
          Picture p = base.cut(raster, tile);
          for (int k = 0; k < steps.size(); k++) {
            Coverage share = shares.get(k).part(left, top, width, end - top);
            Tile work = steps.get(k).tile(tile, share, frames.apply(tile), base, raster);
            ((PreparedPass.OnLight) steps.get(k).prepared()).apply(work, p);
          }
          p.into(
              piece.light,
              box[0] - left,
              box[1] + from - top,
              0,
              from,
              piece.light.width(),
              to - from);
        });
    return piece;
  }

  /** Rows of a band: what is read beside it is worked out for both, so it is not much of it. */
  private int rows(int all, int margin) {
    int usual = Math.min(band, Math.max(LEAST_BAND, (all + 7) / 8));
    return Math.max(usual, Math.min(4 * margin, (all + 1) / 2));
  }

  private static int[] aligned(int[] box, int align, Raster raster) {
    return new int[] {
      box[0] / align * align,
      box[1] / align * align,
      Math.min(raster.width(), (box[2] + align - 1) / align * align),
      Math.min(raster.height(), (box[3] + align - 1) / align * align)
    };
  }

  /** Left, top, right and bottom of all that the steps may change. */
  private static int[] reached(List<Coverage> shares, int margin, Raster raster) {
    int[] all = {raster.width(), raster.height(), 0, 0};
    for (Coverage s : shares) {
      int[] box = s.box();
      if (box[0] < box[2]) {
        all[0] = Math.min(all[0], Math.max(0, box[0] - margin));
        all[1] = Math.min(all[1], Math.max(0, box[1] - margin));
        all[2] = Math.max(all[2], Math.min(raster.width(), box[2] + margin));
        all[3] = Math.max(all[3], Math.min(raster.height(), box[3] + margin));
      }
    }
    return all;
  }
}
