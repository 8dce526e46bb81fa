package illuminar.benchmarks;

import illuminar.core.frame.Similarity;
import illuminar.scenes.views.View;

/**
 * A rendering as the anchor frame lies beside it.
 *
 * @param drift of the anchor, pixels
 * @param width of the rendering's planes
 */
record BesideAnchor(Similarity drift, int width) {
  static BesideAnchor of(View view, String anchor, int width) {
    return new BesideAnchor(DemoView.shot(view, anchor).drift(), width);
  }

  /** What a plane of the rendering shows at a pixel of the anchor, some pixels from its edge. */
  float at(float[] plane, int x, int y) {
    double u = x - drift.dx();
    double v = y - drift.dy();
    int x0 = (int) Math.floor(u);
    int y0 = (int) Math.floor(v);
    double fx = u - x0;
    double fy = v - y0;
    int i = y0 * width + x0;
    double upper = plane[i] + (plane[i + 1] - plane[i]) * fx;
    double lower = plane[i + width] + (plane[i + width + 1] - plane[i + width]) * fx;
    return (float) (upper + (lower - upper) * fy);
  }
}
