package illuminar.core.watch;

import illuminar.core.filter.Box;
import illuminar.core.filter.Gauss;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Plane;
import illuminar.core.picture.Point;
import illuminar.core.picture.Raster;
import illuminar.core.recipe.Recipe;
import illuminar.core.render.PreviewSession;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;

/**
 * Likely dust, sensor marks and small glints: round places on plain walls and skies that are darker
 * or lighter than all about them. Sought as extremes of differences of Gaussians over place and
 * size (Lowe 2004); what tells one from a texture or an end of a line is measured round about it,
 * by thresholds of our own.
 */
public final class Specks {
  /** Pixels on the long edge that are looked at. */
  private static final int LONG_EDGE = 2400;

  private static final double[] SIZES = {1.2, 1.9, 3, 4.8, 7.6};

  /** A round place answers most at the size that is its radius over this. */
  private static final double RADIUS = 1.4;

  /** Stops from which on one is seen. */
  private static final float SEEN = 0.05f;

  /** Dust takes less of the light than a thing does, and a glint is small. */
  private static final float MOST_DARK = -1;

  private static final float MOST_LIGHT = 3;

  /** How many times a small one stands off the grain about it; a larger one's mean has less. */
  private static final float OFF_GRAIN = 7;

  /** Pixels of radius up to which one is small. */
  private static final double SMALL = 2;

  /** Stops of grain beyond which a surface is no plain one. */
  private static final float PLAIN_GRAIN = 0.05f;

  /** Of its own difference, how much the surface about it may vary, in all directions. */
  private static final float PLAIN = 0.35f;

  /** And in stops. */
  private static final float PLAIN_STOPS = 0.12f;

  /** Pixels about a place over which it is told how restless it is. */
  private static final int ABOUT = 12;

  private static final int DIRECTIONS = 12;

  /** Standard deviations between the quartiles of a normal distribution. */
  private static final float QUARTILES = 1.35f;

  private static final int MOST = 40;

  private final Raster raster;
  private final Plane tones;
  private final Plane[] answers;

  /** How much tones change from pixel to pixel round about; a speck answers more. */
  private final Plane restless;

  private Specks(Raster raster, Plane tones) {
    this.raster = raster;
    this.tones = tones;
    Plane[] smooth = new Plane[SIZES.length + 1];
    for (int k = 0; k < smooth.length; k++) {
      double size = k < SIZES.length ? SIZES[k] : SIZES[k - 1] * SIZES[1] / SIZES[0];
      smooth[k] = Gauss.smooth(tones, size);
    }
    Plane fine = Plane.of(tones.width(), tones.height());
    for (int i = 0; i < fine.data().length; i++) {
      fine.data()[i] = Math.abs(tones.data()[i] - smooth[0].data()[i]);
    }
    restless = Box.mean(fine, ABOUT);
    answers = new Plane[SIZES.length];
    for (int k = 0; k < answers.length; k++) {
      answers[k] = Plane.of(tones.width(), tones.height());
      for (int i = 0; i < tones.data().length; i++) {
        answers[k].data()[i] = smooth[k].data()[i] - smooth[k + 1].data()[i];
      }
    }
  }

  /**
   * One of them.
   *
   * @param at its middle, shares of the long edge
   * @param radius share of the long edge
   * @param stops how much lighter it is than what lies about it; below 0 where it is darker
   */
  public record Speck(Point at, double radius, double stops) {}

  /** Those of the present picture, from the left to the right. */
  public static List<Speck> in(PreviewSession session, Recipe recipe) {
    Raster raster =
        Raster.fitted(session.analysis().fullWidth(), session.analysis().fullHeight(), LONG_EDGE);
    Picture picture = session.picture(recipe, raster);
    return new Specks(raster, Watch.tones(picture)).all();
  }

  private List<Speck> all() {
    List<Speck> found = new ArrayList<>();
    for (int k = 0; k < answers.length; k++) {
      int edge = (int) Math.ceil(3 * RADIUS * SIZES[k]) + 2;
      for (int y = edge; y < tones.height() - edge; y++) {
        for (int x = edge; x < tones.width() - edge; x++) {
          float answer = Math.abs(answers[k].at(x, y));
          if (answer > SEEN / 4 && answer > restless.at(x, y) && extreme(k, x, y)) {
            measured(found, x, y, RADIUS * SIZES[k]);
          }
        }
      }
    }
    return apart(found);
  }

  /** Whether no place beside one, and no size beside its, answers more. */
  private boolean extreme(int k, int x, int y) {
    float own = Math.abs(answers[k].at(x, y));
    float sign = Math.signum(answers[k].at(x, y));
    for (int s = Math.max(0, k - 1); s <= Math.min(answers.length - 1, k + 1); s++) {
      for (int v = y - 1; v <= y + 1; v++) {
        for (int u = x - 1; u <= x + 1; u++) {
          if (sign * answers[s].at(u, v) > own) {
            return false;
          }
        }
      }
    }
    return true;
  }

  /** Adds a place, if it stands on a plain surface, that may be lit from one side. */
  private void measured(List<Speck> found, int x, int y, double radius) {
    Ring ring = ring(x, y, 2 * radius + 1, 3 * radius + 2);
    float own = mean(x, y, 0.6 * radius) - ring.middle;
    float off = (float) (OFF_GRAIN * Math.min(1, SMALL / radius));
    if (own < MOST_DARK
        || own > MOST_LIGHT
        || ring.grain > PLAIN_GRAIN
        || Math.abs(own) < Math.max(SEEN, off * ring.grain)) {
      return;
    }
    float most = Math.min(PLAIN_STOPS, PLAIN * Math.abs(own));
    for (int k = 0; k < DIRECTIONS; k++) {
      double turn = 2 * Math.PI * k / DIRECTIONS;
      for (double far : new double[] {2 * radius + 1, 3 * radius + 1}) {
        int dx = (int) Math.round(far * Math.cos(turn));
        int dy = (int) Math.round(far * Math.sin(turn));
        float beside = mean(x + dx, y + dy, Math.max(1, 0.5 * radius));
        if (Math.abs(beside - ring.across * dx - ring.down * dy - ring.middle) > most) {
          return;
        }
      }
    }
    double longEdge = Math.max(tones.width(), tones.height());
    found.add(
        new Speck(
            new Point((raster.x() + x + 0.5) / longEdge, (raster.y() + y + 0.5) / longEdge),
            radius / longEdge,
            own));
  }

  /**
   * What lies about a place.
   *
   * @param across by how much tones rise with each pixel to the right; {@code down} likewise
   * @param middle tone without that rise
   * @param grain standard deviation about it, by the quartiles
   */
  private record Ring(float across, float down, float middle, float grain) {}

  private Ring ring(int x, int y, double from, double to) {
    int reach = (int) Math.ceil(to);
    float[] at = new float[(2 * reach + 1) * (2 * reach + 1)];
    int[] dx = new int[at.length];
    int[] dy = new int[at.length];
    int n = 0;
    double across = 0;
    double down = 0;
    double squares = 0;
    for (int v = -reach; v <= reach; v++) {
      for (int u = -reach; u <= reach; u++) {
        double d = Math.hypot(u, v);
        if (d >= from && d <= to) {
          float tone = tones.clamped(x + u, y + v);
          across += u * tone;
          down += v * tone;
          squares += u * u;
          dx[n] = u;
          dy[n] = v;
          at[n++] = tone;
        }
      }
    }
    across /= squares;
    down /= squares;
    for (int k = 0; k < n; k++) {
      at[k] -= (float) (across * dx[k] + down * dy[k]);
    }
    Arrays.sort(at, 0, n);
    return new Ring(
        (float) across, (float) down, at[n / 2], (at[n * 3 / 4] - at[n / 4]) / QUARTILES);
  }

  private float mean(int x, int y, double radius) {
    int reach = (int) radius;
    float sum = 0;
    int n = 0;
    for (int v = y - reach; v <= y + reach; v++) {
      for (int u = x - reach; u <= x + reach; u++) {
        if (Math.hypot(u - x, v - y) <= radius) {
          sum += tones.clamped(u, v);
          n++;
        }
      }
    }
    return sum / n;
  }

  /** The clearest, of those that overlap only one; not more than a photographer goes through. */
  private static List<Speck> apart(List<Speck> found) {
    found.sort(Comparator.comparingDouble(s -> -Math.abs(s.stops) * s.radius));
    List<Speck> kept = new ArrayList<>();
    for (Speck s : found) {
      boolean free =
          kept.stream()
              .noneMatch(
                  k ->
                      Math.hypot(k.at.x() - s.at.x(), k.at.y() - s.at.y())
                          < 1.5 * (k.radius + s.radius));
      if (free && kept.size() < MOST) {
        kept.add(s);
      }
    }
    kept.sort(Comparator.comparingDouble(s -> s.at.x()));
    return List.copyOf(kept);
  }
}
