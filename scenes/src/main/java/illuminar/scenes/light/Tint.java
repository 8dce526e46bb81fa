package illuminar.scenes.light;

import illuminar.core.colour.Locus;
import illuminar.core.colour.Space;

/** Colours of lights as linear sRGB of luminance 1. */
public final class Tint {
  private Tint() {}

  public static float[] planck(double kelvin) {
    return rgb(Locus.planck(kelvin));
  }

  public static float[] daylight(double kelvin) {
    return rgb(Locus.daylight(kelvin));
  }

  /** A greenish fluorescent tube. */
  public static float[] tube() {
    return rgb(Tube.chromaticity());
  }

  private static float[] rgb(double[] xy) {
    double[] xyz = Space.xyz(xy[0], xy[1]);
    double[] rgb = Space.SRGB_TO_XYZ.inverse().apply(xyz[0], xyz[1], xyz[2]);
    return new float[] {
      (float) Math.max(0, rgb[0]), (float) Math.max(0, rgb[1]), (float) Math.max(0, rgb[2])
    };
  }
}
