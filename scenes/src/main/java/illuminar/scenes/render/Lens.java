package illuminar.scenes.render;

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
}
