package illuminar.scenes.render;

import illuminar.scenes.geometry.Mesh;
import illuminar.scenes.geometry.Vec;
import illuminar.scenes.light.Light;
import illuminar.scenes.material.Material;
import illuminar.scenes.outdoors.Outdoors;
import java.util.ArrayList;
import java.util.IdentityHashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * A view ready to be rendered.
 *
 * @param parts surfaces whose place in the picture is kept as truth, by name
 * @param open whether light comes in along every ray that leaves; where not, only through sources
 * @param cell how finely light is kept on surfaces, metres
 * @param veil sheer cloth, which lets part of what is behind it through
 */
public record Scene(
    String name,
    Mesh mesh,
    Lighting lighting,
    Outdoors outdoors,
    Eye eye,
    Map<String, List<Material>> parts,
    boolean open,
    float cell,
    Optional<Mesh> veil) {

  /** A room into which light comes only through its sources. */
  public static Scene room(String name, Mesh mesh, Lighting lighting, Outdoors outdoors, Eye eye) {
    return new Scene(name, mesh, lighting, outdoors, eye, Map.of(), false, 0.11f, Optional.empty());
  }

  /** A place under the sky. */
  public static Scene open(String name, Mesh mesh, Lighting lighting, Outdoors outdoors, Eye eye) {
    return new Scene(name, mesh, lighting, outdoors, eye, Map.of(), true, 0.22f, Optional.empty());
  }

  /** The same with one more named part. */
  public Scene part(String part, Material... surfaces) {
    Map<String, List<Material>> more = new LinkedHashMap<>(parts);
    more.put(part, List.of(surfaces));
    return new Scene(name, mesh, lighting, outdoors, eye, more, open, cell, veil);
  }

  /** The same with sheer cloth hung in it. */
  public Scene veil(Mesh cloth) {
    return new Scene(name, mesh, lighting, outdoors, eye, parts, open, cell, Optional.of(cloth));
  }

  /**
   * The separate lights.
   *
   * @param groups their names, in the order of their numbers; group 0 is daylight
   * @param glows which group and colour a glowing surface belongs to, by the surface's index
   * @param cast light that a caster keeps away, as a group of its own
   */
  public record Lighting(
      List<String> groups, List<Light> lights, List<Glow> glows, Optional<Cast> cast) {
    public Lighting(List<String> groups, List<Light> lights, Glow... glows) {
      this(groups, lights, List.of(glows), Optional.empty());
    }
  }

  /** Colour of a glowing surface, linear sRGB of luminance 1. */
  public record Glow(int group, float[] colour) {}

  /**
   * Light group {@code group} holds what surfaces of {@code caster} alone keep away of group {@code
   * of}.
   */
  public record Cast(int group, int of, Material caster) {}

  /**
   * The camera's place. The view is level unless {@code pitch} tilts it.
   *
   * @param yaw degrees to the right
   * @param pitch degrees up
   * @param wide horizontal field of view, degrees
   */
  public record Eye(Vec place, double yaw, double pitch, double wide) {}

  List<String> groups() {
    return lighting.groups();
  }

  List<Light> lights() {
    return lighting.lights();
  }

  Glow glow(int index) {
    return lighting.glows().get(index);
  }

  Optional<Cast> cast() {
    return lighting.cast();
  }

  Optional<Material> caster() {
    return lighting.cast().map(Cast::caster);
  }

  int shadedGroup() {
    return lighting.cast().map(Cast::group).orElse(-1);
  }

  List<String> partNames() {
    return new ArrayList<>(parts.keySet());
  }

  /** Number of the part that each named surface belongs to. */
  IdentityHashMap<Material, Integer> partNumbers() {
    IdentityHashMap<Material, Integer> numbers = new IdentityHashMap<>();
    int k = 0;
    for (List<Material> surfaces : parts.values()) {
      for (Material m : surfaces) {
        numbers.put(m, k);
      }
      k++;
    }
    return numbers;
  }
}
