package illuminar.scenes.render;

import java.util.List;

/**
 * A rendered view, lights apart, with its truth. All arrays are row by row; colours are linear sRGB in
 * kcd/m².
 *
 * @param lights one entry for each light group: three planes of the picture under this light alone
 * @param outside share of each pixel that shows the world outside, in [0, 1]
 * @param view three planes of the world outside alone, premultiplied by {@code outside}
 * @param albedo three planes of reflectance
 */
public record Radiance(
    int width,
    int height,
    List<String> names,
    float[][][] lights,
    float[] outside,
    float[][] view,
    float[][] albedo) {

  /** The sum of the lights, each with its own strength; a new array of three planes. */
  public float[][] sum(float... strengths) {
    float[][] out = new float[3][width * height];
    for (int l = 0; l < lights.length; l++) {
      if (strengths[l] == 0) {
        continue;
      }
      for (int c = 0; c < 3; c++) {
        float[] from = lights[l][c];
        for (int i = 0; i < from.length; i++) {
          out[c][i] += strengths[l] * from[i];
        }
      }
    }
    return out;
  }
}
