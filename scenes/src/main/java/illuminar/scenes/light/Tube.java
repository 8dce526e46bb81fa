package illuminar.scenes.light;

/**
 * Colour of a fluorescent tube. Source: CIE 15:2004, relative spectral power of illuminant FL6
 * (light white, 4150 K) from 380 to 780 nm in steps of 5; colour matching functions after Wyman,
 * Sloan, Shirley, "Simple analytic approximations to the CIE XYZ color matching functions", 2013.
 */
final class Tube {
  private static final double[] FL6 = {
    1.05, 1.31, 1.63, 1.90, 3.11, 14.80, 3.43, 3.30, 3.68, 4.07, 4.45, 32.61, 10.74, 5.48, 5.78,
    6.03, 6.25, 6.41, 6.52, 6.58, 6.59, 6.56, 6.56, 6.42, 6.28, 6.20, 6.19, 6.30, 6.60, 7.12, 7.94,
    9.07, 10.49, 25.22, 17.46, 15.63, 17.22, 18.53, 19.43, 21.97, 23.01, 19.41, 18.56, 17.42, 16.09,
    14.64, 13.15, 11.68, 10.25, 8.96, 7.74, 6.69, 5.71, 4.87, 4.16, 3.55, 3.02, 2.57, 2.20, 1.87,
    1.60, 1.37, 1.29, 1.05, 0.91, 0.81, 0.71, 0.61, 0.54, 0.48, 0.44, 0.43, 0.40, 0.37, 0.38, 0.35,
    0.39, 0.41, 0.33, 0.26, 0.21
  };

  private Tube() {}

  /** Chromaticity x, y of the tube's light. */
  static double[] chromaticity() {
    double x = 0;
    double y = 0;
    double z = 0;
    for (int i = 0; i < FL6.length; i++) {
      double nm = 380 + 5 * i;
      x +=
          FL6[i]
              * (1.056 * lobe(nm, 599.8, 37.9, 31.0)
                  + 0.362 * lobe(nm, 442.0, 16.0, 26.7)
                  - 0.065 * lobe(nm, 501.1, 20.4, 26.2));
      y += FL6[i] * (0.821 * lobe(nm, 568.8, 46.9, 40.5) + 0.286 * lobe(nm, 530.9, 16.3, 31.1));
      z += FL6[i] * (1.217 * lobe(nm, 437.0, 11.8, 36.0) + 0.681 * lobe(nm, 459.0, 26.0, 13.8));
    }
    return new double[] {x / (x + y + z), y / (x + y + z)};
  }

  private static double lobe(double nm, double mean, double below, double above) {
    double t = (nm - mean) / (nm < mean ? below : above);
    return Math.exp(-0.5 * t * t);
  }
}
