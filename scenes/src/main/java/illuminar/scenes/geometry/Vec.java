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

  public float length() {
    return (float) Math.sqrt(dot(this));
  }

  public Vec unit() {
    float l = length();
    return l == 0 ? this : times(1 / l);
  }
}
