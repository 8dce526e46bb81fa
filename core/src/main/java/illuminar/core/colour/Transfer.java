package illuminar.core.colour;

/** From light to codes, both 1.0 at display white. */
public enum Transfer {
  LINEAR {
    @Override
    public double encode(double light) {
      return light;
    }

    @Override
    public double decode(double code) {
      return code;
    }
  },

  /** Source: IEC 61966-2-1. */
  SRGB {
    @Override
    public double encode(double light) {
      return Srgb.encode(light);
    }

    @Override
    public double decode(double code) {
      return Srgb.decode(code);
    }
  },

  /** A power of 2 + 51/256. Source: IEC 61966-2-5 (opRGB). */
  OPRGB {
    private static final double POWER = 563 / 256.0;

    @Override
    public double encode(double light) {
      return Math.pow(Math.max(0, light), 1 / POWER);
    }

    @Override
    public double decode(double code) {
      return Math.pow(Math.max(0, code), POWER);
    }
  };

  /** The code of a light. */
  public abstract double encode(double light);

  /** The light of a code. */
  public abstract double decode(double code);
}
