package illuminar.core.region.part;

import illuminar.core.filter.Ease;
import illuminar.core.picture.LabPlanes;
import illuminar.core.picture.Point;
import illuminar.core.picture.Raster;
import illuminar.core.region.DrawnLine;
import illuminar.core.region.Look;
import illuminar.core.region.RegionWork;
import illuminar.core.region.Sources;
import illuminar.core.region.Territory;
import illuminar.core.region.part.Brush.Stroke;
import java.util.Arrays;
import java.util.List;
import java.util.stream.DoubleStream;

/**
 * Draws brush strokes: within a stroke the closest point counts once, strokes build up. A stroke
 * that stops at edges compares the ground at each pixel with what lay under the brush's centre when
 * it passed nearest.
 */
final class BrushStrokes {
  private final Raster raster;
  private final double unit;
  private final Territory territory;
  private final Sources sources;
  private LabPlanes here;

  private BrushStrokes(Raster raster, double unit, Territory territory, Sources sources) {
    this.raster = raster;
    this.unit = unit;
    this.territory = territory;
    this.sources = sources;
  }

  static float[] draw(Brush brush, Raster raster, Territory territory, Sources sources) {
    BrushStrokes shape =
        new BrushStrokes(raster, sources.longEdge() * raster.scale(), territory, sources);
    float[] out = shape.strokes(brush);
    if (!brush.limit().isEmpty()) {
      float[] limit = RegionWork.draw(territory.other(brush.limit()), raster, sources);
      for (int i = 0; i < out.length; i++) {
        out[i] *= limit[i];
      }
    }
    return out;
  }

  private float[] strokes(Brush brush) {
    float[] out = new float[raster.pixels()];
    float[] nearest = new float[0];
    float[] along = new float[0];
    DrawnLine[] lines = lines(brush);
    for (int k = 0; k < lines.length; k++) {
      Stroke stroke = brush.strokes().get(k);
      Line line = Line.of(lines[k], stroke, unit, raster);
      int[] box = line.box(raster);
      if (box[0] >= box[2] || box[1] >= box[3]) {
        continue;
      }
      int size = (box[2] - box[0]) * (box[3] - box[1]);
      if (nearest.length < size) {
        nearest = new float[size];
        along = new float[size];
      }
      Arrays.fill(nearest, 0, size, Float.MAX_VALUE);
      line.distances(box, nearest, along);
      lay(stroke, line, box, nearest, along, (float) brush.ceiling(), out);
    }
    return out;
  }

  /** The strokes' lines, read once for all bands and tiles. */
  private DrawnLine[] lines(Brush brush) {
    return sources.keep(
        brush.strokes(),
        DrawnLine[].class,
        brush.strokes().stream().mapToLong(s -> 16L * s.path().length()).sum(),
        () ->
            brush.strokes().stream().map(s -> DrawnLine.read(s.path())).toArray(DrawnLine[]::new));
  }

  /** A stroke's line in pixels of the raster. */
  private record Line(double[] x, double[] y, double[] press, double r) {

    /** Strokes that stop at edges are walked in small steps, each with its colour. */
    static Line of(DrawnLine path, Stroke stroke, double unit, Raster raster) {
      List<Point> points = path.points();
      double r = Math.max(0.5, stroke.radius() * unit);
      double step = stroke.stop() > 0 ? stroke.radius() / 3 : Double.MAX_VALUE;
      DoubleStream.Builder x = DoubleStream.builder();
      DoubleStream.Builder y = DoubleStream.builder();
      DoubleStream.Builder press = DoubleStream.builder();
      for (int k = 0; k < points.size(); k++) {
        Point a = points.get(Math.max(0, k - 1));
        Point b = points.get(k);
        double before = path.pressure().get(Math.max(0, k - 1));
        double length = Math.hypot(b.x() - a.x(), b.y() - a.y());
        int parts = (int) Math.max(1, Math.min(2000, Math.ceil(length / step)));
        for (int i = 1; i <= parts; i++) {
          double t = i / (double) parts;
          x.add((a.x() + (b.x() - a.x()) * t) * unit - raster.x());
          y.add((a.y() + (b.y() - a.y()) * t) * unit - raster.y());
          press.add(before + (path.pressure().get(k) - before) * t);
        }
      }
      return new Line(x.build().toArray(), y.build().toArray(), press.build().toArray(), r);
    }

    int[] box(Raster raster) {
      double x0 = Double.MAX_VALUE;
      double y0 = Double.MAX_VALUE;
      double x1 = -Double.MAX_VALUE;
      double y1 = -Double.MAX_VALUE;
      for (int k = 0; k < x.length; k++) {
        x0 = Math.min(x0, x[k]);
        y0 = Math.min(y0, y[k]);
        x1 = Math.max(x1, x[k]);
        y1 = Math.max(y1, y[k]);
      }
      return new int[] {
        (int) Math.max(0, Math.floor(x0 - r - 1)),
        (int) Math.max(0, Math.floor(y0 - r - 1)),
        (int) Math.min(raster.width(), Math.ceil(x1 + r + 2)),
        (int) Math.min(raster.height(), Math.ceil(y1 + r + 2))
      };
    }

    /** Squared distance of every pixel in the box to the line, and where along it that is. */
    void distances(int[] box, float[] nearest, float[] along) {
      for (int k = 0; k < x.length; k++) {
        int from = Math.max(0, k - 1);
        double dx = x[k] - x[from];
        double dy = y[k] - y[from];
        double length = dx * dx + dy * dy;
        int x0 = (int) Math.max(box[0], Math.floor(Math.min(x[from], x[k]) - r - 1));
        int x1 = (int) Math.min(box[2], Math.ceil(Math.max(x[from], x[k]) + r + 2));
        int y0 = (int) Math.max(box[1], Math.floor(Math.min(y[from], y[k]) - r - 1));
        int y1 = (int) Math.min(box[3], Math.ceil(Math.max(y[from], y[k]) + r + 2));
        for (int v = y0; v < y1; v++) {
          for (int u = x0; u < x1; u++) {
            double px = u + 0.5 - x[from];
            double py = v + 0.5 - y[from];
            double t = length == 0 ? 0 : Math.max(0, Math.min(1, (px * dx + py * dy) / length));
            double ex = px - t * dx;
            double ey = py - t * dy;
            int at = (v - box[1]) * (box[2] - box[0]) + u - box[0];
            float d = (float) (ex * ex + ey * ey);
            if (d < nearest[at]) {
              nearest[at] = d;
              along[at] = (float) (from + t * (k - from));
            }
          }
        }
      }
    }
  }

  private void lay(
      Stroke stroke,
      Line line,
      int[] box,
      float[] nearest,
      float[] along,
      float ceiling,
      float[] out) {
    double fade = Math.max(1, stroke.softness() * line.r);
    float[][] under = stroke.stop() > 0 ? under(line) : new float[0][];
    int at = 0;
    for (int y = box[1]; y < box[3]; y++) {
      for (int x = box[0]; x < box[2]; x++, at++) {
        if (nearest[at] == Float.MAX_VALUE) {
          continue;
        }
        int i = y * raster.width() + x;
        int k = Math.round(along[at]);
        float cover =
            (float) (stroke.flow() * line.press[k])
                * Ease.between((line.r + 0.5 - Math.sqrt(nearest[at])) / fade);
        if (stroke.stop() > 0 && cover > 0) {
          float apart = here().difference(i, under[k][0], under[k][1], under[k][2]);
          cover *= Ease.within(apart / stroke.stop(), 0.5);
        }
        out[i] =
            stroke.takeAway()
                ? out[i] * (1 - cover)
                : out[i] + Math.max(0, ceiling - out[i]) * cover;
      }
    }
  }

  /** Colours of the ground under each step of the line, from the analysis grid. */
  private float[][] under(Line line) {
    LabPlanes all = sources.lookAtAll(Look.GROUND, territory);
    double to = Math.max(all.width(), all.height()) / unit;
    float[][] out = new float[line.x.length][];
    for (int k = 0; k < out.length; k++) {
      out[k] = all.mean((line.x[k] + raster.x()) * to, (line.y[k] + raster.y()) * to);
    }
    return out;
  }

  /** The ground at this raster. */
  private LabPlanes here() {
    if (here == null) {
      here = LabPlanes.of(sources.look(Look.GROUND, territory, raster));
    }
    return here;
  }
}
