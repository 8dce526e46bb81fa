package illuminar.scenes.render;

import java.util.ArrayList;
import java.util.List;

/**
 * What is known of a rendered view besides its light. Planes row by row.
 *
 * @param outside share of each pixel that shows the world outside, in [0, 1]
 * @param view three planes of the world outside alone, premultiplied by {@code outside}
 * @param clear the same without haze
 * @param transmission share of the world outside that haze lets through, premultiplied likewise
 * @param albedo three planes of reflectance
 * @param normal three planes, unit vectors, or 0 outside
 * @param depth metres from the camera, averaged over the pixel's surfaces
 * @param parts names of surfaces, and in {@code shares} how much of each pixel each takes
 */
public record Truth(
    float[] outside,
    float[][] view,
    float[][] clear,
    float[] transmission,
    float[][] albedo,
    float[][] normal,
    float[] depth,
    List<String> parts,
    float[][] shares) {

  /** Share of each pixel that a named part takes. */
  public float[] part(String name) {
    int k = parts.indexOf(name);
    if (k < 0) {
      throw new IllegalArgumentException("no part " + name + " among " + parts);
    }
    return shares[k];
  }

  /** All planes, in the order of the file. */
  List<float[]> planes() {
    List<float[]> all = new ArrayList<>();
    all.add(outside);
    all.addAll(List.of(view));
    all.addAll(List.of(clear));
    all.add(transmission);
    all.addAll(List.of(albedo));
    all.addAll(List.of(normal));
    all.add(depth);
    all.addAll(List.of(shares));
    return all;
  }

  /** How many planes there are besides those of the parts. */
  static final int FIXED = 15;

  static Truth of(List<String> parts, List<float[]> p) {
    return new Truth(
        p.get(0),
        three(p, 1),
        three(p, 4),
        p.get(7),
        three(p, 8),
        three(p, 11),
        p.get(14),
        parts,
        p.subList(FIXED, FIXED + parts.size()).toArray(new float[0][]));
  }

  private static float[][] three(List<float[]> p, int at) {
    return new float[][] {p.get(at), p.get(at + 1), p.get(at + 2)};
  }
}
