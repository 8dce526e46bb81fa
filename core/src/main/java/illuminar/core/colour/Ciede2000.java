package illuminar.core.colour;

/**
 * The CIEDE2000 colour difference, k_L = k_C = k_H = 1.
 *
 * <p>Source: Sharma, Wu, Dalal, "The CIEDE2000 color-difference formula: implementation notes,
 * supplementary test data, and mathematical observations", 2005.
 */
public final class Ciede2000 {
  private static final double POW_25_7 = Math.pow(25, 7);

  private Ciede2000() {}

  /**
   * The difference between two colours; 0 for equal ones, about 1 where the eye begins to see it.
   */
  public static double difference(Lab one, Lab two) {
    double meanC = (one.chroma() + two.chroma()) / 2;
    double c7 = Math.pow(meanC, 7);
    double g = 0.5 * (1 - Math.sqrt(c7 / (c7 + POW_25_7)));
    double a1 = (1 + g) * one.a();
    double a2 = (1 + g) * two.a();
    double c1 = Math.hypot(a1, one.b());
    double c2 = Math.hypot(a2, two.b());
    double h1 = hue(a1, one.b());
    double h2 = hue(a2, two.b());

    double dl = two.l() - one.l();
    double dc = c2 - c1;
    double dh = 2 * Math.sqrt(c1 * c2) * Math.sin(Math.toRadians(turn(h1, h2, c1 * c2)) / 2);

    double l = (one.l() + two.l()) / 2;
    double c = (c1 + c2) / 2;
    double h = meanHue(h1, h2, c1 * c2);
    double t =
        1 - 0.17 * cos(h - 30) + 0.24 * cos(2 * h) + 0.32 * cos(3 * h + 6) - 0.20 * cos(4 * h - 63);
    double l50 = (l - 50) * (l - 50);
    double sl = 1 + 0.015 * l50 / Math.sqrt(20 + l50);
    double sc = 1 + 0.045 * c;
    double sh = 1 + 0.015 * c * t;
    double mc7 = Math.pow(c, 7);
    double rc = 2 * Math.sqrt(mc7 / (mc7 + POW_25_7));
    double rt = -rc * Math.sin(Math.toRadians(60 * Math.exp(-sq((h - 275) / 25))));
    return Math.sqrt(sq(dl / sl) + sq(dc / sc) + sq(dh / sh) + rt * (dc / sc) * (dh / sh));
  }

  private static double hue(double a, double b) {
    if (a == 0 && b == 0) {
      return 0;
    }
    double h = Math.toDegrees(Math.atan2(b, a));
    return h < 0 ? h + 360 : h;
  }

  private static double turn(double h1, double h2, double product) {
    double d = h2 - h1;
    if (product == 0) {
      return 0;
    }
    return d > 180 ? d - 360 : d < -180 ? d + 360 : d;
  }

  private static double meanHue(double h1, double h2, double product) {
    if (product == 0) {
      return h1 + h2;
    }
    if (Math.abs(h1 - h2) <= 180) {
      return (h1 + h2) / 2;
    }
    return h1 + h2 < 360 ? (h1 + h2 + 360) / 2 : (h1 + h2 - 360) / 2;
  }

  private static double cos(double degrees) {
    return Math.cos(Math.toRadians(degrees));
  }

  private static double sq(double x) {
    return x * x;
  }
}
