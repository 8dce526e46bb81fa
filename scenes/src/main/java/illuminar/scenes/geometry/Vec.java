package illuminar.scenes.geometry;

/** A point or direction in metres; x right, y up, z towards the camera. */
public record Vec(float x, float y, float z) {
  public static Vec of(double x, double y, double z) {
    return new Vec((float) x, (float) y, (float) z);
  }

  public Vec plus(Vec o) {
    return new Vec(x + o.x, y + o.y, z + o.z);
  }

  public Vec minus(Vec o) {
    return new Vec(x - o.x, y - o.y, z - o.z);
  }

  public Vec times(double s) {
    return of(x * s, y * s, z * s);
  }

  public float dot(Vec o) {
    return x * o.x + y * o.y + z * o.z;
  }

  public Vec cross(Vec o) {
    return new Vec(y * o.z - z * o.y, z * o.x - x * o.z, x * o.y - y * o.x);
  }

  /**
   * A point on a disc round this one.
   *
   * @param axis stands upright on the disc, of length 1
   * @param share and {@code turn} random numbers from 0 to 1; equal areas are equally likely
   */
  public Vec onDisc(Vec axis, double radius, double share, double turn) {
    Vec side = Math.abs(axis.y) > 0.9f ? of(1, 0, 0) : of(0, 1, 0);
    Vec u = axis.cross(side).unit();
    Vec v = axis.cross(u);
    double r = radius * Math.sqrt(share);
    double a = 2 * Math.PI * turn;
    return plus(u.times(r * Math.cos(a))).plus(v.times(r * Math.sin(a)));
  }

  public float length() {
    return (float) Math.sqrt(dot(this));
  }

  public Vec unit() {
    float l = length();
    return l == 0 ? this : times(1 / l);
  }
}
