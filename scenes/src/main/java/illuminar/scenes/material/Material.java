package illuminar.scenes.material;

/** How a surface looks at a point. Works on the point's place in the room, in metres. */
public interface Material {

  /** Writes albedo, gloss and bump at the point into {@code out}, which comes in reset. */
  void shade(Point out);

  /** A point to be shaded, in and out. Colours are linear sRGB. */
  final class Point {
    /** False where light only bounces on: fine texture may be left out. */
    public boolean detail = true;

    public float x;
    public float y;
    public float z;
    public float nx;
    public float ny;
    public float nz;

    /** Share of light scattered, in [0, 1]. */
    public float r;

    public float g;
    public float b;

    /** Mirror reflection at right angles, 0 for matt, 0.04 for varnish, 0.6 for metal. */
    public float gloss;

    /** Spread of the mirror reflection, 0 to 1. */
    public float rough;

    /** Whether the reflection takes the surface's colour, as metals do. */
    public boolean metal;

    /** Share of what is behind that shows through, for sheer cloth. */
    public float through;

    /** Light given off, in kilocandela per square metre. */
    public float glow;

    /** Which of the scene's glows it is. */
    public int glowOf;

    void reset() {
      r = g = b = 0.5f;
      gloss = 0;
      rough = 0.5f;
      metal = false;
      through = 0;
      glow = 0;
      glowOf = 0;
    }

    public void prepare(float px, float py, float pz, float mx, float my, float mz) {
      x = px;
      y = py;
      z = pz;
      nx = mx;
      ny = my;
      nz = mz;
      reset();
    }

    void colour(double red, double green, double blue, double scale) {
      r = (float) (red * scale);
      g = (float) (green * scale);
      b = (float) (blue * scale);
    }

    /** Tilts the normal by a gradient of height. */
    public void bump(float dx, float dy, float dz) {
      float along = dx * nx + dy * ny + dz * nz;
      float ax = nx - (dx - along * nx);
      float ay = ny - (dy - along * ny);
      float az = nz - (dz - along * nz);
      float s = 1 / (float) Math.sqrt(ax * ax + ay * ay + az * az);
      nx = ax * s;
      ny = ay * s;
      nz = az * s;
    }
  }
}
