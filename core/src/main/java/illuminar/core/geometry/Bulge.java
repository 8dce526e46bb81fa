package illuminar.core.geometry;

import illuminar.core.algebra.Cholesky;
import illuminar.core.picture.Plane;
import illuminar.core.picture.Point;
import illuminar.core.picture.Raster;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * Finds a lens's bulge from lines that should be straight (plumb-line method: Brown 1971): the one
 * with which long edges, traced between pixels, bow least; those that bow whatever the lens count
 * less.
 */
public final class Bulge {
  /** Long edge on which edges are looked for. */
  private static final int SMALL = 768;

  /** Percent about which it is looked for. */
  private static final double[] STARTS = {-6, -2, 2, 6};

  /** Share of the long edge from which on a straight edge shows a bow. */
  private static final double LONG = 0.12;

  private static final int MOST_EDGES = 60;

  /** Places of an edge that are traced, and pixels across it in which it is looked for. */
  private static final int PLACES = 33;

  private static final int ACROSS = 4;

  /** Step of tone from a pixel to the next that is an edge, at least. */
  private static final double LEAST_STEP = 0.03;

  /** Share of the long edge by which a place of an edge may lie off its line. */
  private static final double OFF = 5e-4;

  /** Bow at which an edge counts half, share of the long edge. */
  private static final double HALF = 4e-4;

  /** Percent about the best so far, and shares of {@link #HALF}, from round to round. */
  private static final double[] WITHIN = {2.5, 1, 0.3};

  /** Edges that must be told. */
  private static final int LEAST_EDGES = 8;

  /** Share of the bow that may be left for it to be the lens's. */
  private static final double LEFT = 0.6;

  /**
   * What was found.
   *
   * @param bulge percent, see {@link Geometry#bulge}
   * @param edges that tell it
   * @param before by how much they bow, the middle one, share of the long edge; {@code after} with
   *     the bulge taken out
   * @param sure whether they agree
   */
  public record Found(double bulge, int edges, double before, double after, boolean sure) {}

  private final Plane tones;
  private final Geometry start;
  private final int width;
  private final int height;
  private final Raster small;

  private Bulge(Plane tones, Geometry start, int width, int height) {
    this.tones = tones;
    this.start = start;
    this.width = width;
    this.height = height;
    small = Raster.fitted(width, height, SMALL);
  }

  /**
   * @param tones of the whole view as they are seen, 0 to 1
   * @param start whose bulge far out stays
   */
  public static Found of(Plane tones, Geometry start, int width, int height) {
    return new Bulge(tones, start, width, height).found();
  }

  private Places places(double bulge) {
    Geometry lens = new Geometry(0, 0, 0, 24, bulge, start.outer(), 0, 0, Crop.NONE);
    return new Places(lens, width, height);
  }

  private Found found() {
    double lens = 0;
    double least = Double.MAX_VALUE;
    for (double start : STARTS) {
      double about = start;
      List<List<Point>> edges = List.of();
      for (double within : WITHIN) {
        edges = traced(about);
        about = least(edges, about, within, HALF * within);
      }
      double left = edges.isEmpty() ? Double.MAX_VALUE : cost(edges, about, HALF) / edges.size();
      if (left < least) {
        least = left;
        lens = about;
      }
    }
    List<List<Point>> edges = traced(lens);
    double before = bow(edges, 0);
    double after = bow(edges, lens);
    boolean sure = edges.size() >= LEAST_EDGES && after < LEFT * before;
    return new Found(lens, edges.size(), before, after, sure);
  }

  private static double length(Upright.Line line) {
    return Math.hypot(line.to().x() - line.from().x(), line.to().y() - line.from().y());
  }

  /** The view with a bulge taken out, small. */
  private Plane seen(double bulge) {
    Places places = places(bulge);
    Plane out = Plane.of(small.width(), small.height());
    double k = small.scale() * Math.max(width, height);
    double own = Math.max(tones.width(), tones.height());
    for (int y = 0; y < small.height(); y++) {
      for (int x = 0; x < small.width(); x++) {
        Point view = places.toView(new Point((x + 0.5) / k, (y + 0.5) / k));
        out.data()[y * small.width() + x] =
            tones.sample((float) (view.x() * own - 0.5), (float) (view.y() * own - 0.5));
      }
    }
    return out;
  }

  /** Long edges as they lie in the view, traced between pixels. */
  private List<List<Point>> traced(double bulge) {
    Places places = places(bulge);
    List<List<Point>> all = new ArrayList<>();
    Segments.of(seen(bulge)).stream()
        .filter(l -> length(l) > LONG)
        .sorted(Comparator.comparingDouble(l -> -length(l)))
        .limit(MOST_EDGES)
        .forEach(
            line -> {
              List<Point> points = points(line, places);
              if (points.size() > PLACES / 2) {
                all.add(points);
              }
            });
    return all;
  }

  private List<Point> points(Upright.Line line, Places places) {
    List<Point> out = new ArrayList<>();
    double length = length(line);
    double nx = -(line.to().y() - line.from().y()) / length;
    double ny = (line.to().x() - line.from().x()) / length;
    for (int k = 1; k < PLACES; k++) {
      double t = (double) k / PLACES;
      double x = line.from().x() + t * (line.to().x() - line.from().x());
      double y = line.from().y() + t * (line.to().y() - line.from().y());
      double d = across(places, x, y, nx, ny);
      if (!Double.isNaN(d)) {
        out.add(places.toView(new Point(x + d * nx, y + d * ny)));
      }
    }
    return out;
  }

  /** Where across a line its edge is steepest, share of the long edge; none where it is flat. */
  private double across(Places places, double x, double y, double nx, double ny) {
    double own = Math.max(tones.width(), tones.height());
    double[] step = new double[2 * ACROSS + 1];
    int most = 1;
    for (int s = 0; s < step.length; s++) {
      double from = (s - ACROSS - 0.5) / own;
      double to = (s - ACROSS + 0.5) / own;
      step[s] =
          Math.abs(at(places, x + to * nx, y + to * ny) - at(places, x + from * nx, y + from * ny));
      most = s > 0 && s < step.length - 1 && step[s] > step[most] ? s : most;
    }
    if (step[most] < LEAST_STEP) {
      return Double.NaN;
    }
    // the top of a bell through three steps
    double before = Math.log(Math.max(1e-6, step[most - 1]));
    double after = Math.log(Math.max(1e-6, step[most + 1]));
    double bend = before - 2 * Math.log(step[most]) + after;
    return (most - ACROSS + (bend < 0 ? (before - after) / (2 * bend) : 0)) / own;
  }

  private double at(Places places, double x, double y) {
    Point view = places.toView(new Point(x, y));
    double own = Math.max(tones.width(), tones.height());
    return tones.sample((float) (view.x() * own - 0.5), (float) (view.y() * own - 0.5));
  }

  /** The bulge with which the edges bow least (golden section). */
  private double least(List<List<Point>> edges, double about, double within, double half) {
    double ratio = (Math.sqrt(5) - 1) / 2;
    double a = about - within;
    double b = about + within;
    while (b - a > 0.01) {
      double c = b - ratio * (b - a);
      double d = a + ratio * (b - a);
      if (cost(edges, c, half) < cost(edges, d, half)) {
        b = d;
      } else {
        a = c;
      }
    }
    return (a + b) / 2;
  }

  private double cost(List<List<Point>> edges, double bulge, double half) {
    Places places = places(bulge);
    double sum = 0;
    for (List<Point> edge : edges) {
      double bow = bow(edge, places) / half;
      sum += edge.size() * bow * bow / (1 + bow * bow);
    }
    return sum;
  }

  /** Middle of all by which edges bow. */
  private double bow(List<List<Point>> edges, double bulge) {
    Places places = places(bulge);
    double[] all = edges.stream().mapToDouble(e -> Math.abs(bow(e, places))).sorted().toArray();
    return all.length == 0 ? 0 : all[all.length / 2];
  }

  /** By how much the middle of an edge lies beside its ends: the parabola through its places. */
  private static double bow(List<Point> edge, Places places) {
    List<Point> there = edge.stream().map(places::toPlane).toList();
    Point from = there.get(0);
    Point to = there.get(there.size() - 1);
    double length = Math.hypot(to.x() - from.x(), to.y() - from.y());
    double dx = (to.x() - from.x()) / length;
    double dy = (to.y() - from.y()) / length;
    double[] line = {0, 0, 0};
    for (int round = 0; round < 4; round++) {
      double[][] m = new double[3][3];
      double[] b = new double[3];
      for (Point p : there) {
        double t = 2 * ((p.x() - from.x()) * dx + (p.y() - from.y()) * dy) / length - 1;
        double across = (p.y() - from.y()) * dx - (p.x() - from.x()) * dy;
        double[] row = {1, t, t * t};
        double off = (across - line[0] - line[1] * t - line[2] * t * t) / OFF;
        // the first round takes all places alike
        double weight = round == 0 ? 1 : 1 / (1 + off * off);
        for (int i = 0; i < 3; i++) {
          for (int j = 0; j < 3; j++) {
            m[i][j] += weight * row[i] * row[j];
          }
          b[i] += weight * row[i] * across;
        }
      }
      line = Cholesky.solve(m, b);
    }
    return line[2];
  }
}
