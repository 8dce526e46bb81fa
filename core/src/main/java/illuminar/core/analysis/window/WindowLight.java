package illuminar.core.analysis.window;

import illuminar.core.picture.Plane;
import java.util.Arrays;

/**
 * The light about a window, read row by row from its bottom and across its edges.
 *
 * @param stops light, log2
 */
record WindowLight(Plane stops) {
  /** Light across a stile changes by so many stops, either way. */
  private static final double EDGE = 0.35;

  /** Width of a rail between panes at most, as a share of the grid's long edge. */
  private static final double RAIL = 0.03;

  /** Places of a row that are looked at. */
  static final int ROW = 40;

  static final int MIDDLE = ROW / 2;

  /** Which of them, sorted, all but a tenth stay below, and which all but a tenth exceed. */
  static final int BRIGHT = ROW * 9 / 10;

  static final int DARK = ROW / 10;

  int width() {
    return stops.width();
  }

  int height() {
    return stops.height();
  }

  int longEdge() {
    return Math.max(stops.width(), stops.height());
  }

  /** Width of a rail between panes at most, pixels. */
  double rail() {
    return RAIL * longEdge();
  }

  /** The places of a row so far below a window's bottom, sorted, stops. */
  float[] row(Quad window, double below) {
    double[] m = window.middle();
    float[] row = new float[ROW];
    for (int k = 0; k < ROW; k++) {
      double x = m[0] + window.wide() * 0.9 * ((k + 0.5) / ROW - 0.5);
      row[k] = stops.sample((float) x, (float) (Quad.at(window.bottom(), x) + below));
    }
    Arrays.sort(row);
    return row;
  }

  /** What all but a tenth of a window stays below, stops. */
  float brightest(Quad window) {
    double[] m = window.middle();
    float[] found = new float[ROW * ROW];
    for (int k = 0; k < found.length; k++) {
      double x = m[0] + window.wide() * 0.9 * ((k % ROW + 0.5) / ROW - 0.5);
      double y = m[1] + window.high() * 0.9 * ((k / ROW + 0.5) / ROW - 0.5);
      found[k] = stops.sample((float) x, (float) y);
    }
    Arrays.sort(found);
    return found[(int) (0.9 * found.length)];
  }

  /** Stops by which light changes across an edge: the greatest step close to it. */
  private double across(double x, double y) {
    double most = 0;
    for (double d = -2; d <= 2; d++) {
      float at = (float) (x + d);
      double step = stops.sample(at + 1.5f, (float) y) - stops.sample(at - 1.5f, (float) y);
      most = Math.abs(step) > Math.abs(most) ? step : most;
    }
    return most;
  }

  /** Whether light changes across a place as it does at a stile. */
  boolean edge(double x, double y) {
    return Math.abs(across(x, y)) > EDGE;
  }

  /** With rows for columns. */
  WindowLight turned() {
    int high = stops.width();
    Plane out = Plane.of(stops.height(), high);
    for (int y = 0; y < stops.height(); y++) {
      for (int x = 0; x < stops.width(); x++) {
        out.data()[x * stops.height() + y] = stops.at(x, y);
      }
    }
    return new WindowLight(out);
  }

  /** With left for right. */
  WindowLight mirrored() {
    int w = stops.width();
    Plane out = Plane.of(w, stops.height());
    for (int i = 0; i < out.data().length; i++) {
      out.data()[i] = stops.data()[i - i % w + w - 1 - i % w];
    }
    return new WindowLight(out);
  }
}
