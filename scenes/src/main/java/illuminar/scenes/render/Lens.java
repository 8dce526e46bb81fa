package illuminar.scenes.render;

import illuminar.scenes.geometry.Bvh;
import illuminar.scenes.geometry.Vec;
import illuminar.scenes.outdoors.Outdoors;

/** Rays of the pixels of a picture. */
record Lens(
    Scene.Eye eye,
    int width,
    int height,
    double half,
    double cosYaw,
    double sinYaw,
    double cosPitch,
    double sinPitch) {
  Lens(Scene.Eye eye, int width, int height) {
    this(
        eye,
        width,
        height,
        Math.tan(Math.toRadians(eye.wide()) / 2),
        Math.cos(Math.toRadians(eye.yaw())),
        Math.sin(Math.toRadians(eye.yaw())),
        Math.cos(Math.toRadians(eye.pitch())),
        Math.sin(Math.toRadians(eye.pitch())));
  }

  /** The direction, of length 1, in which a place of the picture is seen, in pixels. */
  void aim(double x, double y, float[] to) {
    double u = (x / width * 2 - 1) * half;
    double v = (1 - y / height * 2) * half * height / width;
    double up = v * cosPitch + sinPitch;
    double back = -cosPitch + v * sinPitch;
    double dx = u * cosYaw - back * sinYaw;
    double dz = back * cosYaw + u * sinYaw;
    double norm = 1 / Math.sqrt(dx * dx + up * up + dz * dz);
    to[0] = (float) (dx * norm);
    to[1] = (float) (up * norm);
    to[2] = (float) (dz * norm);
  }

  /** What is met in a direction from the camera. */
  boolean closest(Bvh in, float[] to, Bvh.Hit hit) {
    Vec from = eye.place();
    return in.closest(from.x(), from.y(), from.z(), to[0], to[1], to[2], 1e6f, hit);
  }

  /** The world outside in a direction from the camera. */
  float[] clear(Outdoors outdoors, float[] to) {
    Vec from = eye.place();
    return outdoors.clear(from.x(), from.y(), from.z(), to[0], to[1], to[2]);
  }
}
