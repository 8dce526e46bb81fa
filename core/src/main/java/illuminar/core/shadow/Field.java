package illuminar.core.shadow;

import illuminar.core.picture.Plane;
import java.util.List;

/**
 * How far each pixel lies from a shadow's edge and how wide the penumbra is there, from the edge's
 * places near by (moving least squares: Levin 1998).
 *
 * @param distance pixels, above 0 in the light
 * @param half half the width of the penumbra, pixels
 * @param nearest number of the edge's place that counts most for each pixel
 */
record Field(Plane distance, Plane half, int[] nearest) {
  /** Distance of what lies near no edge. */
  private static final float FAR = 1e4f;

  /** How far from an edge distances are told, coarse pixels. */
  private static final float REACH = 5;

  /** Coarse pixels from an edge at which the sides are sure. */
  private static final float SURE = 3;

  /** Share of a way to an edge that leads straight to it, at least; else the edge ends before. */
  private static final float LINE = 0.8f;

  /** What a place counts that could not be read. */
  private static final float UNREAD = 0.02f;

  static Field of(List<Crossing> edge, Plane sides, int factor, int w, int h) {
    float[] weight = new float[w * h];
    float[] distance = new float[w * h];
    float[] half = new float[w * h];
    float[] most = new float[w * h];
    int[] nearest = new int[w * h];
    for (int n = 0; n < edge.size(); n++) {
      Crossing c = edge.get(n);
      float reach = Math.max(REACH * factor, 1.3f * Fade.REACH * c.half());
      int x0 = Math.max(0, (int) (c.x() - reach));
      int x1 = Math.min(w - 1, (int) (c.x() + reach));
      int y1 = Math.min(h - 1, (int) (c.y() + reach));
      for (int y = Math.max(0, (int) (c.y() - reach)); y <= y1; y++) {
        for (int x = x0; x <= x1; x++) {
          float dx = x - c.x();
          float dy = y - c.y();
          float square = dx * dx + dy * dy;
          if (square < reach * reach) {
            float near = square / (factor * factor) + 1;
            float k = (UNREAD + c.trust()) / (near * near * near);
            int i = y * w + x;
            weight[i] += k;
            if (k > most[i]) {
              most[i] = k;
              nearest[i] = n;
            }
            distance[i] += k * (dx * c.toX() + dy * c.toY());
            half[i] += k * c.half();
          }
        }
      }
    }
    for (int i = 0; i < weight.length; i++) {
      float u = (i % w + 0.5f) / factor - 0.5f;
      float v = (i / w + 0.5f) / factor - 0.5f;
      float side = sides.sample(u, v) > 0.5f ? -1 : 1;
      if (weight[i] == 0) {
        distance[i] = side * FAR;
        half[i] = 1;
        continue;
      }
      distance[i] /= weight[i];
      half[i] /= weight[i];
      Crossing c = edge.get(nearest[i]);
      float way = (float) Math.hypot(i % w - c.x(), i / w - c.y());
      if (way > SURE * factor && Math.abs(distance[i]) < LINE * way) {
        // beside the end of an edge, on whose line it does not lie
        distance[i] = side * way;
      }
    }
    return new Field(new Plane(w, h, distance), new Plane(w, h, half), nearest);
  }

  /** Number of the edge's place that counts most at a place between pixels. */
  int nearest(float x, float y) {
    int w = distance.width();
    int u = Math.max(0, Math.min(w - 1, Math.round(x)));
    return nearest[Math.max(0, Math.min(distance.height() - 1, Math.round(y))) * w + u];
  }
}
