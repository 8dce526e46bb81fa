package illuminar.core.geometry;

import illuminar.core.colour.Space;
import illuminar.core.picture.Picture;
import java.util.Random;

/** Painted walls as a lens draws them whose colours differ in size. */
public final class ThroughALens {
  public static final int W = 900;
  public static final int H = 600;

  private ThroughALens() {}

  /** Boxes of all colours, softened as a lens does, each channel at a scale of its own. */
  public static Picture drawn(long seed, double red, double blue) {
    Random chance = new Random(seed);
    double[][] boxes = new double[90][7];
    for (double[] b : boxes) {
      b[0] = chance.nextDouble() * W;
      b[1] = chance.nextDouble() * H;
      b[2] = b[0] + 20 + chance.nextDouble() * 160;
      b[3] = b[1] + 20 + chance.nextDouble() * 120;
      double tone = 0.05 + 0.8 * chance.nextDouble();
      for (int c = 0; c < 3; c++) {
        b[4 + c] = tone * (0.8 + 0.4 * chance.nextDouble());
      }
    }
    Picture p = Picture.of(W, H);
    Random grain = new Random(seed + 1);
    double[] scale = {1 + red / 100, 1, 1 + blue / 100};
    for (int c = 0; c < 3; c++) {
      for (int i = 0; i < W * H; i++) {
        double x = (i % W - (W - 1) / 2.0) / scale[c] + (W - 1) / 2.0;
        double y = (i / W - (H - 1) / 2.0) / scale[c] + (H - 1) / 2.0;
        double light = 0.4;
        for (double[] b : boxes) {
          double share = edge(x - b[0]) * edge(b[2] - x) * edge(y - b[1]) * edge(b[3] - y);
          light += (b[4 + c] - light) * share;
        }
        p.channel(c)[i] = (float) (light * (1 + 0.02 * grain.nextGaussian()));
      }
    }
    return p.through(Space.SRGB_TO_WORK.floats());
  }

  private static double edge(double d) {
    return 1 / (1 + Math.exp(-d / 0.5));
  }
}
