package illuminar.core.shadow;

import illuminar.core.filter.Gauss;
import illuminar.core.picture.Bands;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Plane;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * Reads a shadow's edge across itself at each place of the line between its sides, averaged a
 * little along it.
 */
final class Rim {
  /** Coarse pixels by which the line between the sides may be off. */
  private static final int OFF = 4;

  /** The same of a line that was read once. */
  private static final int OFF_AGAIN = 1;

  /** Coarse pixels along the edge over which its light is averaged, on either side. */
  private static final int ALONG = 2;

  /** Coarse pixels over which the line between the sides is smoothed. */
  private static final double SMOOTH = 1.5;

  /** Coarse pixels within which an edge's places lie on one line, and its widths are alike. */
  private static final float NEAR = 5;

  private static final float WIDTH_NEAR = 14;

  /** Cosine between the directions of an edge at two places of one line. */
  private static final float SAME = 0.85f;

  /** Share of what varies across an edge that is explained where it can be trusted. */
  private static final float EXPLAINED = 0.8f;

  private final Picture picture;
  private final int factor;
  private final float[] common;
  private final PenumbraFit fit;

  private Rim(Picture picture, int factor, float[] common, int off) {
    this.picture = picture;
    this.factor = factor;
    this.common = common;
    fit = new PenumbraFit(factor, off);
  }

  /**
   * @param picture linear light of the window
   * @param sides on pixels {@code factor} times as coarse: 1 in the shadow, 0 in the light
   */
  static List<Crossing> of(Picture picture, Plane sides, int factor, float[] common) {
    Plane cut = Plane.of(sides.width(), sides.height());
    for (int i = 0; i < cut.data().length; i++) {
      cut.data()[i] = sides.data()[i] > 0.5f ? -1 : 1;
    }
    return read(new Rim(picture, factor, common, OFF), Gauss.smooth(cut, SMOOTH));
  }

  /**
   * Reads it once more along the line that was found.
   *
   * @param distance from that line, above 0 in the light, on coarse pixels
   */
  static List<Crossing> again(Picture picture, Plane distance, int factor, float[] common) {
    return read(new Rim(picture, factor, common, OFF_AGAIN), distance);
  }

  private static List<Crossing> read(Rim rim, Plane line) {
    List<float[]> places = places(line);
    Crossing[] read = new Crossing[places.size()];
    Bands.of(
        read.length,
        64,
        (from, to) -> {
          for (int k = from; k < to; k++) {
            read[k] = rim.read(places.get(k));
          }
        });
    return List.of(read);
  }

  /** Where a plane goes through 0, and the direction in which it rises: x, y, to x, to y. */
  private static List<float[]> places(Plane line) {
    List<float[]> all = new ArrayList<>();
    for (int y = 1; y < line.height() - 1; y++) {
      for (int x = 1; x < line.width() - 1; x++) {
        float v = line.at(x, y);
        float right = line.at(x + 1, y);
        float below = line.at(x, y + 1);
        if (v > 0 != right > 0) {
          add(line, x + v / (v - right), y, all);
        }
        if (v > 0 != below > 0) {
          add(line, x, y + v / (v - below), all);
        }
      }
    }
    return all;
  }

  private static void add(Plane line, float x, float y, List<float[]> all) {
    float dx = line.sample(x + 1, y) - line.sample(x - 1, y);
    float dy = line.sample(x, y + 1) - line.sample(x, y - 1);
    float n = (float) Math.hypot(dx, dy);
    if (n > 0) {
      all.add(new float[] {x, y, dx / n, dy / n});
    }
  }

  private Crossing read(float[] place) {
    float x = (place[0] + 0.5f) * factor - 0.5f;
    float y = (place[1] + 0.5f) * factor - 0.5f;
    int reach = fit.reach();
    float[][] light = new float[3][2 * reach + 1];
    for (int c = 0; c < 3; c++) {
      Plane p = new Plane(picture.width(), picture.height(), picture.channel(c));
      for (int s = 0; s < light[c].length; s++) {
        float t = s - reach;
        float sum = 0;
        for (int a = -ALONG; a <= ALONG; a++) {
          float side = a * factor;
          sum += p.sample(x + t * place[2] - side * place[3], y + t * place[3] + side * place[2]);
        }
        light[c][s] = sum / (2 * ALONG + 1);
      }
    }
    return crossing(x, y, place[2], place[3], fit.of(light));
  }

  private Crossing crossing(float x, float y, float toX, float toY, PenumbraFit.Found found) {
    float[] ratio = new float[3];
    boolean lit = true;
    for (int c = 0; c < 3; c++) {
      ratio[c] = found.lit()[c] / found.dark()[c];
      lit &= found.dark()[c] > 1e-5f && ratio[c] > 1;
    }
    double explained = (found.explained() - EXPLAINED) / (1 - EXPLAINED);
    float trust =
        lit && explained > 0 ? (float) explained * Step.likeness(Surface.stops(ratio), common) : 0;
    return new Crossing(
        x + found.shift() * toX,
        y + found.shift() * toY,
        toX,
        toY,
        found.half(),
        found.dark(),
        ratio,
        trust);
  }

  /**
   * Places and widths by what is read near by along the edge; what could not be read follows its
   * neighbours, and what nobody near by could read is no edge.
   */
  static List<Crossing> evened(List<Crossing> read, int factor) {
    List<Crossing> out = new ArrayList<>();
    for (Crossing c : read) {
      List<float[]> offs = new ArrayList<>();
      List<float[]> halves = new ArrayList<>();
      for (Crossing o : read) {
        float dx = o.x() - c.x();
        float dy = o.y() - c.y();
        float off = dx * c.toX() + dy * c.toY();
        float along = Math.abs(dx * c.toY() - dy * c.toX()) / factor;
        float same = o.toX() * c.toX() + o.toY() * c.toY();
        if (o.trust() > 0 && same > SAME && along < WIDTH_NEAR && Math.abs(off) < NEAR * factor) {
          halves.add(new float[] {o.half(), o.trust() * (1 - along / WIDTH_NEAR)});
          if (along < NEAR) {
            offs.add(new float[] {off, o.trust() * (1 - along / NEAR)});
          }
        }
      }
      if (offs.size() > 3) {
        float off = middle(offs, factor);
        out.add(
            new Crossing(
                c.x() + off * c.toX(),
                c.y() + off * c.toY(),
                c.toX(),
                c.toY(),
                middle(halves, factor),
                c.dark(),
                c.ratio(),
                c.trust()));
      }
    }
    return out;
  }

  /**
   * Mean of those near the middle of values with weights.
   *
   * @param near how far values of one kind lie apart
   */
  private static float middle(List<float[]> values, float near) {
    float[][] sorted = values.toArray(float[][]::new);
    Arrays.sort(sorted, (a, b) -> Float.compare(a[0], b[0]));
    float all = 0;
    for (float[] v : sorted) {
      all += v[1];
    }
    float sum = 0;
    int k = 0;
    while (k < sorted.length - 1 && sum + sorted[k][1] < all / 2) {
      sum += sorted[k++][1];
    }
    float mean = 0;
    float weight = 0;
    for (float[] v : sorted) {
      if (Math.abs(v[0] - sorted[k][0]) <= near) {
        mean += v[0] * v[1];
        weight += v[1];
      }
    }
    return mean / weight;
  }
}
