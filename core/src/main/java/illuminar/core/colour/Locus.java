package illuminar.core.colour;

/**
 * Chromaticities of the Planckian and daylight loci.
 *
 * <p>Sources: Planckian locus, cubic approximation of Kang, Moon, Hong, Lee, Cho, Kim, "Design of
 * advanced color temperature control system for HDTV applications", 2002 (1667 to 25000 K);
 * daylight: CIE 15:2004, D series (4000 to 25000 K).
 */
public final class Locus {
  private Locus() {}

  /** x, y of a black body at {@code kelvin}, 1667 to 25000. */
  public static double[] planck(double kelvin) {
    double t = 1000 / kelvin;
    double x =
        kelvin <= 4000
            ? ((-0.2661239 * t - 0.2343589) * t + 0.8776956) * t + 0.179910
            : ((-3.0258469 * t + 2.1070379) * t + 0.2226347) * t + 0.240390;
    double y;
    if (kelvin <= 2222) {
      y = ((-1.1063814 * x - 1.34811020) * x + 2.18555832) * x - 0.20219683;
    } else if (kelvin <= 4000) {
      y = ((-0.9549476 * x - 1.37418593) * x + 2.09137015) * x - 0.16748867;
    } else {
      y = ((3.0817580 * x - 5.87338670) * x + 3.75112997) * x - 0.37001483;
    }
    return new double[] {x, y};
  }

  /** x, y of CIE daylight at {@code kelvin}, 4000 to 25000. */
  public static double[] daylight(double kelvin) {
    double t = 1000 / kelvin;
    double x =
        kelvin <= 7000
            ? ((-4.6070 * t + 2.9678) * t + 0.09911) * t + 0.244063
            : ((-2.0064 * t + 1.9018) * t + 0.24748) * t + 0.237040;
    return new double[] {x, (-3.000 * x + 2.870) * x - 0.275};
  }
}
