package illuminar.core.picture;

/** Makes a picture smaller by averaging the area that each new pixel covers. */
public final class AreaResize {
  private AreaResize() {}

  /**
   * Values of a whole-view map at a raster no finer than the map.
   *
   * @param in the map; not modified
   * @return a plane of the raster's size
   */
  public static Plane at(Plane in, int fullWidth, int fullHeight, Raster raster) {
    double kx = (double) in.width() / fullWidth / raster.scale();
    double ky = (double) in.height() / fullHeight / raster.scale();
    int top = Math.min(in.height() - 1, (int) (raster.y() * ky));
    int end = Math.min(in.height(), (int) Math.ceil((raster.y() + raster.height()) * ky) + 1);
    float[] rows = new float[raster.width() * (end - top)];
    for (int i = 0; i < raster.width(); i++) {
      double from = Math.max(0, (raster.x() + i) * kx);
      double to = Math.min(in.width(), (raster.x() + i + 1) * kx);
      int first = Math.min(in.width() - 1, (int) from);
      int last = Math.min(in.width() - 1, (int) Math.ceil(to) - 1);
      double total = Math.max(1e-9, to - from);
      for (int y = top; y < end; y++) {
        double sum = 0;
        for (int x = first; x <= last; x++) {
          sum += in.data()[y * in.width() + x] * (Math.min(to, x + 1) - Math.max(from, x));
        }
        rows[(y - top) * raster.width() + i] = (float) (sum / total);
      }
    }
    Plane out = Plane.of(raster.width(), raster.height());
    double[] line = new double[raster.width()];
    for (int j = 0; j < raster.height(); j++) {
      double from = Math.max(0, (raster.y() + j) * ky);
      double to = Math.min(in.height(), (raster.y() + j + 1) * ky);
      int first = Math.min(in.height() - 1, (int) from);
      int last = Math.min(in.height() - 1, (int) Math.ceil(to) - 1);
      double total = Math.max(1e-9, to - from);
      java.util.Arrays.fill(line, 0);
      for (int y = first; y <= last; y++) {
        double weight = Math.min(to, y + 1) - Math.max(from, y);
        for (int i = 0; i < line.length; i++) {
          line[i] += rows[(y - top) * line.length + i] * weight;
        }
      }
      for (int i = 0; i < line.length; i++) {
        out.data()[j * line.length + i] = (float) (line[i] / total);
      }
    }
    return out;
  }
}
