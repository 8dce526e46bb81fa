package illuminar.scenes.outdoors;

/** A world that is made towards −z, set so that it lies towards −x. */
public record Turned(Outdoors world) implements Outdoors {

  @Override
  public float[] clear(float x, float y, float z, float dx, float dy, float dz) {
    return world.clear(-z, y, x, -dz, dy, dx);
  }

  @Override
  public float[] broad(float dx, float dy, float dz) {
    return world.broad(-dz, dy, dx);
  }

  @Override
  public float[] air() {
    return world.air();
  }
}
