package illuminar.core.analysis.window;

import illuminar.core.picture.Raster;

/**
 * A pane between four straight sides, in pixels of a grid (pixel i spans i to i + 1).
 *
 * @param left x at y = 0, and its rise per row; {@code right} likewise
 * @param top y at x = 0, and its rise per column; {@code bottom} likewise
 */
public record Quad(double[] left, double[] right, double[] top, double[] bottom) {

  /** How far inside its nearest side a place lies; negative outside. */
  public double depth(double x, double y) {
    return Math.min(
        Math.min(x - at(left, y), at(right, y) - x), Math.min(y - at(top, x), at(bottom, x) - y));
  }

  static double at(double[] line, double v) {
    return line[0] + line[1] * v;
  }

  /** The same in pixels {@code k} times as fine. */
  Quad times(double k) {
    return new Quad(times(left, k), times(right, k), times(top, k), times(bottom, k));
  }

  private static double[] times(double[] line, double k) {
    return new double[] {line[0] * k, line[1]};
  }

  /** Its middle: x, y. */
  double[] middle() {
    double x = (left[0] + right[0]) / 2;
    double y = (top[0] + bottom[0]) / 2;
    for (int k = 0; k < 4; k++) {
      y = (at(top, x) + at(bottom, x)) / 2;
      x = (at(left, y) + at(right, y)) / 2;
    }
    return new double[] {x, y};
  }

  /** The pixels that hold it, those of a grid at most. */
  public Raster within(Raster grid) {
    double[][] corners = {
      corner(left, top), corner(right, top), corner(left, bottom), corner(right, bottom)
    };
    double x0 = grid.width();
    double x1 = 0;
    double y0 = grid.height();
    double y1 = 0;
    for (double[] c : corners) {
      x0 = Math.min(x0, c[0]);
      x1 = Math.max(x1, c[0]);
      y0 = Math.min(y0, c[1]);
      y1 = Math.max(y1, c[1]);
    }
    int fromX = (int) Math.max(0, Math.min(grid.width() - 1, Math.floor(x0)));
    int fromY = (int) Math.max(0, Math.min(grid.height() - 1, Math.floor(y0)));
    int toX = (int) Math.min(grid.width(), Math.max(fromX + 1, Math.ceil(x1)));
    int toY = (int) Math.min(grid.height(), Math.max(fromY + 1, Math.ceil(y1)));
    return grid.part(fromX, fromY, toX - fromX, toY - fromY);
  }

  /** Where an upright side meets a level one: x, y. */
  private static double[] corner(double[] upright, double[] level) {
    double x = (upright[0] + upright[1] * level[0]) / (1 - upright[1] * level[1]);
    return new double[] {x, at(level, x)};
  }

  double wide() {
    double y = middle()[1];
    return at(right, y) - at(left, y);
  }

  double high() {
    double x = middle()[0];
    return at(bottom, x) - at(top, x);
  }

  double size() {
    return Math.max(0, wide()) * Math.max(0, high());
  }

  /** The same with rows and columns exchanged. */
  Quad turned() {
    return new Quad(/* left= */ top, /* right= */ bottom, /* top= */ left, /* bottom= */ right);
  }

  /** The same seen in a mirror, in a picture so wide. */
  Quad mirrored(int width) {
    return new Quad(
        new double[] {width - right[0], -right[1]},
        new double[] {width - left[0], -left[1]},
        mirrored(top, width),
        mirrored(bottom, width));
  }

  private static double[] mirrored(double[] level, int width) {
    return new double[] {level[0] + level[1] * width, -level[1]};
  }
}
