package illuminar.core.shadow;

import illuminar.core.filter.Box;
import illuminar.core.filter.Ease;
import illuminar.core.picture.Plane;
import java.util.Arrays;
import java.util.List;
import java.util.function.Function;

/**
 * By how many stops each pixel of a shadow has to be brightened so that it meets the light: as read
 * at the edge where it crosses the same surface, the nearest places most; and where less light is
 * left than at the edge, by more, since the light that is kept away would come all the same.
 */
final class Gains {
  /** Coarse pixels to a cell. */
  private static final int CELL = 4;

  /** Share of the window's long edge within which all places count alike. */
  private static final double NEAR = 0.02;

  /** Share of the window's long edge over which light within the shadow is evened. */
  private static final double EVEN = 0.03;

  /** Stops by which a pixel of a surface may be off its mean, and so between its channels. */
  private static final float OWN = 0.8f;

  private static final float OWN_COLOUR = 0.3f;

  /** What a surface counts for a pixel that is like none. */
  private static final float NONE = 0.02f;

  /**
   * Share of a shadow's stops by which a place is brighter than the shadow there from which on it
   * may be none, and is none for certain.
   */
  private static final float MAYBE_LIT = 0.5f;

  private static final float LIT = 0.8f;

  /** How far light in the shadow may be taken for uneven, stops. */
  private static final float UNEVEN = 1.5f;

  private final Plane[] tones;
  private final Plane[] shares;
  private final int factor;
  private final Near[] near;
  private final float[] closeness;

  /**
   * What is known of a surface in each cell: by how many stops the shadow darkens it, its tones
   * within the shadow beside the edge, those where it is itself, smoothed, and the same beside the
   * edge.
   */
  private record Near(Plane[] stops, Plane[] dark, Plane[] own, Plane[] ownBeside) {}

  private Gains(Plane[] tones, Plane[] shares, List<Surface> surfaces, int factor, Field field) {
    this.tones = tones;
    this.shares = shares;
    this.factor = factor;
    near = new Near[surfaces.size()];
    closeness = new float[surfaces.size()];
    int w = Math.max(2, tones[0].width() / (factor * CELL) + 1);
    int h = Math.max(2, tones[0].height() / (factor * CELL) + 1);
    for (int k = 0; k < near.length; k++) {
      near[k] = new Near(planes(w, h), planes(w, h), planes(w, h), planes(w, h));
      List<Crossing> edge = surfaces.get(k).edge();
      beside(near[k].stops, edge, c -> Surface.stops(c.ratio()));
      beside(near[k].dark, edge, c -> Surface.stops(c.dark()));
      own(near[k], k, field);
      own(near[k], k, field);
      Plane[] own = near[k].own;
      beside(near[k].ownBeside, edge, c -> read(own, c));
    }
  }

  /**
   * Stops for each pixel, red, green, blue.
   *
   * @param edge as much as the shadow takes of the surface at its edge
   * @param more what the pixel needs beyond that
   */
  record Stops(Plane[] edge, Plane[] more) {}

  /**
   * @param tones of the window, stops, a little smoothed
   * @param shares of the surfaces, on pixels {@code factor} times as coarse
   */
  static Stops of(
      Plane[] tones, Plane[] shares, List<Surface> surfaces, int factor, Field field, Fade fade) {
    Gains gains = new Gains(tones, shares, surfaces, factor, field);
    int w = tones[0].width();
    int h = tones[0].height();
    Stops out = new Stops(planes(w, h), planes(w, h));
    for (int i = 0; i < w * h; i++) {
      float halves = field.distance().data()[i] / field.half().data()[i];
      if (halves < Fade.REACH + 2) {
        gains.at(i, fade.kept(field.nearest()[i], 1, halves), out);
      }
    }
    return out;
  }

  private static Plane[] planes(int w, int h) {
    return new Plane[] {Plane.of(w, h), Plane.of(w, h), Plane.of(w, h)};
  }

  /** Spreads what is read at places of an edge, by Shepard's weights. */
  private void beside(Plane[] out, List<Crossing> edge, Function<Crossing, float[]> read) {
    float about = (float) (NEAR * Math.max(tones[0].width(), tones[0].height()));
    float[][] said = edge.stream().map(read).toArray(float[][]::new);
    int w = out[0].width();
    for (int i = 0; i < out[0].data().length; i++) {
      float x = (i % w + 0.5f) * factor * CELL - 0.5f;
      float y = (i / w + 0.5f) * factor * CELL - 0.5f;
      float sum = 0;
      for (int k = 0; k < said.length; k++) {
        Crossing c = edge.get(k);
        float square = (c.x() - x) * (c.x() - x) + (c.y() - y) * (c.y() - y) + about * about;
        float weight = c.trust() / (square * (float) Math.sqrt(square));
        sum += weight;
        for (int ch = 0; ch < 3; ch++) {
          out[ch].data()[i] += weight * said[k][ch];
        }
      }
      for (Plane p : out) {
        p.data()[i] /= sum;
      }
    }
  }

  private float[] read(Plane[] cells, Crossing c) {
    float u = (c.x() - c.half() * c.toX() + 0.5f) / (factor * CELL) - 0.5f;
    float v = (c.y() - c.half() * c.toY() + 0.5f) / (factor * CELL) - 0.5f;
    return new float[] {cells[0].sample(u, v), cells[1].sample(u, v), cells[2].sample(u, v)};
  }

  /**
   * A surface's tones within the umbra, smoothed far; beside the edge's where it is not seen. Told
   * again, what is unlike what was told first does not count.
   */
  private void own(Near near, int surface, Field field) {
    int w = near.own[0].width();
    int h = near.own[0].height();
    int width = tones[0].width();
    boolean again = !near.own[0].nowhere();
    Plane[] first = {near.own[0].copy(), near.own[1].copy(), near.own[2].copy()};
    for (Plane p : near.own) {
      Arrays.fill(p.data(), 0);
    }
    Plane weight = Plane.of(w, h);
    for (int i = 0; i < tones[0].data().length; i++) {
      if (field.distance().data()[i] < -field.half().data()[i]) {
        float share = shares[surface].sample(coarse(i % width), coarse(i / width));
        float own = share * share * share;
        if (again) {
          float like = like(first, i, cell(i % width), cell(i / width));
          own *= like * like;
        }
        int x = Math.min(w - 1, i % width / (factor * CELL));
        int cell = Math.min(h - 1, i / width / (factor * CELL)) * w + x;
        weight.data()[cell] += own;
        for (int c = 0; c < 3; c++) {
          near.own[c].data()[cell] += own * (tones[c].data()[i] - near.dark[c].data()[cell]);
        }
      }
    }
    int radius = (int) Math.max(1, EVEN * Math.max(w, h));
    Plane even = Box.mean(Box.mean(weight, radius), radius);
    for (int c = 0; c < 3; c++) {
      Plane sum = Box.mean(Box.mean(near.own[c], radius), radius);
      for (int i = 0; i < w * h; i++) {
        near.own[c].data()[i] = near.dark[c].data()[i] + sum.data()[i] / (even.data()[i] + 0.01f);
      }
    }
  }

  private float coarse(int pixel) {
    return (pixel + 0.5f) / factor - 0.5f;
  }

  private float cell(int pixel) {
    return (pixel + 0.5f) / (factor * CELL) - 0.5f;
  }

  /** How much a pixel is like what a surface shows about it, 0 to 1. */
  private float like(Plane[] own, int i, float u, float v) {
    float red = tones[0].data()[i] - own[0].sample(u, v);
    float green = tones[1].data()[i] - own[1].sample(u, v);
    float blue = tones[2].data()[i] - own[2].sample(u, v);
    float tone = (red + green + blue) / (3 * OWN);
    float warm = (red - green) / OWN_COLOUR;
    float cool = (blue - green) / OWN_COLOUR;
    return (float) Math.exp(-0.5f * (tone * tone + warm * warm + cool * cool));
  }

  /** Fills in how much each surface counts for a pixel; their sum is 1. */
  private void close(int x, int y) {
    int i = y * tones[0].width() + x;
    float u = cell(x);
    float v = cell(y);
    float all = 0;
    for (int k = 0; k < near.length; k++) {
      float like = like(near[k].own, i, u, v);
      closeness[k] = shares[k].sample(coarse(x), coarse(y)) * (NONE + like);
      all += closeness[k];
    }
    for (int k = 0; k < near.length; k++) {
      closeness[k] /= all;
    }
  }

  private void at(int i, float kept, Stops out) {
    int x = i % tones[0].width();
    int y = i / tones[0].width();
    close(x, y);
    float u = cell(x);
    float v = cell(y);
    float above = 0;
    float all = 0;
    for (int k = 0; k < near.length; k++) {
      for (int c = 0; c < 3; c++) {
        float stops = near[k].stops[c].sample(u, v);
        float dark = near[k].dark[c].sample(u, v);
        float less = near[k].ownBeside[c].sample(u, v) - near[k].own[c].sample(u, v);
        above += closeness[k] * (tones[c].data()[i] - dark - (1 - kept) * stops);
        all += closeness[k] * stops;
        out.edge[c].data()[i] += closeness[k] * stops;
        out.more[c].data()[i] += closeness[k] * uneven(less, stops);
      }
    }
    float open = 1 - Ease.between((above / all - MAYBE_LIT) / (LIT - MAYBE_LIT));
    for (int c = 0; c < 3; c++) {
      out.edge[c].data()[i] *= open;
      out.more[c].data()[i] *= open;
    }
  }

  /**
   * Stops that a place needs beyond those of the edge, for the same light to reach all of it.
   *
   * @param less stops of light that it has less than the edge
   */
  private static float uneven(float less, float stops) {
    double held = Math.pow(2, Math.max(-UNEVEN, Math.min(UNEVEN, less)));
    return (float) (Math.log(1 + (Math.pow(2, stops) - 1) * held) / Math.log(2)) - stops;
  }
}
