package illuminar.core.mend;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;

/**
 * Ways that were found on coarse pixels, made exact on finer ones: each piece is moved by less than
 * a coarse pixel to where it goes on best with what lies about the hole and with the pieces beside
 * it that have been moved already. One that nothing moves for the better stays.
 */
public final class Fit {
  /** Pixels about the hole that are compared. */
  private static final int RIM = 3;

  /** Pixels of a piece's border that are looked at. */
  private static final int MOST = 300;

  /** A move has to mend at least this share of what is apart. */
  private static final double WORTH = 0.03;

  private final Window fine;
  private final Pieces pieces;
  private final List<List<Place>> places = new ArrayList<>();
  private final int[][] pixels;

  /**
   * A pixel where a piece meets something.
   *
   * @param other the piece it meets; below 0 where it meets what is there
   */
  private record Place(int x, int y, int other) {}

  private Fit(Window coarse, Pieces pieces, Window fine) {
    this.fine = fine;
    this.pieces = pieces;
    List<IntStream.Builder> within = new ArrayList<>();
    for (int k = 0; k < pieces.ways().size(); k++) {
      places.add(new ArrayList<>());
      within.add(IntStream.builder());
    }
    collect(coarse, within);
    pixels = within.stream().map(b -> b.build().toArray()).toArray(int[][]::new);
  }

  /**
   * @param coarse the window that the pieces were chosen in
   * @param fine finer pixels of the same place
   * @return the same pieces, by whole ways of the finer window's pixels
   */
  public static List<Pieces.Way> of(Window coarse, Pieces pieces, Window fine) {
    return new Fit(coarse, pieces, fine).fitted(fine.raster().scale() / coarse.raster().scale());
  }

  private void collect(Window coarse, List<IntStream.Builder> within) {
    Pieces.Cells cells = pieces.cells(coarse.width(), RIM);
    double k = fine.raster().scale() / coarse.raster().scale();
    Hole hole = pieces.hole();
    int x0 = Math.max(0, fineX(coarse, hole.left() - RIM, k));
    int y0 = Math.max(0, fineY(coarse, hole.top() - RIM, k));
    int x1 = Math.min(fine.width(), fineX(coarse, hole.right() + RIM, k));
    int y1 = Math.min(fine.height(), fineY(coarse, hole.end() + RIM, k));
    for (int y = y0; y < y1; y++) {
      for (int x = x0; x < x1; x++) {
        int own = piece(cells, coarse, x, y, k);
        if (!fine.hole()[y * fine.width() + x]) {
          if (near(x, y)) {
            places.get(own).add(new Place(x, y, -1));
          }
          continue;
        }
        within.get(own).add(y * fine.width() + x);
        meets(own, x + 1 < x1 ? piece(cells, coarse, x + 1, y, k) : own, x, y);
        meets(own, y + 1 < y1 ? piece(cells, coarse, x, y + 1, k) : own, x, y);
      }
    }
  }

  private void meets(int own, int other, int x, int y) {
    if (own != other) {
      places.get(own).add(new Place(x, y, other));
      places.get(other).add(new Place(x, y, own));
    }
  }

  private int fineX(Window coarse, int x, double k) {
    return (int) Math.round((coarse.raster().x() + x) * k) - fine.raster().x();
  }

  private int fineY(Window coarse, int y, double k) {
    return (int) Math.round((coarse.raster().y() + y) * k) - fine.raster().y();
  }

  private int piece(Pieces.Cells cells, Window coarse, int x, int y, double k) {
    return cells.at(
        (int) Math.floor((fine.raster().x() + x + 0.5) / k) - coarse.raster().x(),
        (int) Math.floor((fine.raster().y() + y + 0.5) / k) - coarse.raster().y());
  }

  private boolean near(int x, int y) {
    for (int v = Math.max(0, y - RIM); v <= Math.min(fine.height() - 1, y + RIM); v++) {
      for (int u = Math.max(0, x - RIM); u <= Math.min(fine.width() - 1, x + RIM); u++) {
        if (fine.hole()[v * fine.width() + u]) {
          return true;
        }
      }
    }
    return false;
  }

  private List<Pieces.Way> fitted(double k) {
    int n = places.size();
    int[] x = new int[n];
    int[] y = new int[n];
    for (int a = 0; a < n; a++) {
      x[a] = (int) Math.round(pieces.ways().get(a).x() * k);
      y[a] = (int) Math.round(pieces.ways().get(a).y() * k);
    }
    boolean[] done = new boolean[n];
    int reach = (int) Math.ceil(k);
    for (int round = 0; round < n; round++) {
      int next = firmest(done);
      fit(next, x, y, done, reach);
      done[next] = true;
    }
    List<Pieces.Way> ways = new ArrayList<>();
    for (int a = 0; a < n; a++) {
      ways.add(new Pieces.Way(x[a], y[a]));
    }
    return ways;
  }

  /** Of the pieces that are still to be moved the one that most of what is settled holds. */
  private int firmest(boolean[] done) {
    int best = -1;
    long most = -1;
    for (int a = 0; a < done.length; a++) {
      long holds = done[a] ? -2 : places.get(a).stream().filter(p -> settled(p, done)).count();
      if (holds > most) {
        most = holds;
        best = a;
      }
    }
    return best;
  }

  private static boolean settled(Place p, boolean[] done) {
    return p.other < 0 || done[p.other];
  }

  private void fit(int a, int[] x, int[] y, boolean[] done, int reach) {
    List<Place> holds = places.get(a).stream().filter(p -> settled(p, done)).toList();
    if (holds.isEmpty()) {
      return;
    }
    int stride = (holds.size() + MOST - 1) / MOST;
    float[][] want = new float[3][(holds.size() + stride - 1) / stride];
    for (int c = 0; c < 3; c++) {
      for (int j = 0; j < want[c].length; j++) {
        Place p = holds.get(j * stride);
        want[c][j] = p.other < 0 ? tone(c, p.x, p.y) : tone(c, p.x + x[p.other], p.y + y[p.other]);
      }
    }
    int bestX = x[a];
    int bestY = y[a];
    double least = (1 - WORTH) * apart(holds, stride, want, x[a], y[a]);
    for (int dy = -reach; dy <= reach; dy++) {
      for (int dx = -reach; dx <= reach; dx++) {
        double d = apart(holds, stride, want, x[a] + dx, y[a] + dy);
        if (d < least && whole(a, x[a] + dx, y[a] + dy)) {
          least = d;
          bestX = x[a] + dx;
          bestY = y[a] + dy;
        }
      }
    }
    x[a] = bestX;
    y[a] = bestY;
  }

  /** Whether all of a piece comes from outside of every hole. */
  private boolean whole(int a, int dx, int dy) {
    for (int i : pixels[a]) {
      int x = i % fine.width() + dx;
      int y = i / fine.width() + dy;
      if (x >= 0
          && y >= 0
          && x < fine.width()
          && y < fine.height()
          && fine.hole()[y * fine.width() + x]) {
        return false;
      }
    }
    return true;
  }

  /** Mean square of stops, brightness as a whole apart. */
  private double apart(List<Place> holds, int stride, float[][] want, int dx, int dy) {
    double all = 0;
    for (int c = 0; c < 3; c++) {
      double sum = 0;
      double squares = 0;
      for (int j = 0; j < want[c].length; j++) {
        Place p = holds.get(j * stride);
        double d = want[c][j] - tone(c, p.x + dx, p.y + dy);
        sum += d;
        squares += d * d;
      }
      int n = want[c].length;
      all += squares / n - sum / n * sum / n;
    }
    return all;
  }

  private float tone(int c, int x, int y) {
    int u = Math.max(0, Math.min(fine.width() - 1, x));
    int v = Math.max(0, Math.min(fine.height() - 1, y));
    return fine.tones()[c][v * fine.width() + u];
  }
}
