package illuminar.scenes.render;

import illuminar.scenes.geometry.Mesh;
import illuminar.scenes.geometry.Vec;
import illuminar.scenes.light.Light;
import illuminar.scenes.outdoors.Outdoors;
import java.util.List;

/**
 * A room ready to be rendered.
 *
 * @param groups names of the separate lights, in the order of their group numbers; group 0 is
 *     daylight
 * @param lampGroup the group that glowing surfaces belong to
 * @param lampColour its colour, linear sRGB of luminance 1
 */
public record Scene(
    String name,
    Mesh mesh,
    List<String> groups,
    List<Light> lights,
    int lampGroup,
    float[] lampColour,
    Outdoors outdoors,
    Eye eye) {

  /**
   * The camera's place. The view is level unless {@code pitch} tilts it.
   *
   * @param yaw degrees to the right
   * @param pitch degrees up
   * @param wide horizontal field of view, degrees
   */
  public record Eye(Vec place, double yaw, double pitch, double wide) {}
}
