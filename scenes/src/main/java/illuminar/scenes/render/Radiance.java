package illuminar.scenes.render;

import java.util.List;

/**
 * A rendered view, lights apart, with its truth. All arrays are row by row; colours are linear sRGB
 * in kcd/m².
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

  /** The same view with each edge divided by {@code factor}, areas averaged. */
  public Radiance smaller(int factor) {
    int w = width / factor;
    int h = height / factor;
    float[][][] less = new float[lights.length][][];
    for (int l = 0; l < less.length; l++) {
      less[l] = smaller(lights[l], factor, w, h);
    }
    float[] share = smaller(new float[][] {outside}, factor, w, h)[0];
    return new Radiance(
        w, h, names, less, share, smaller(view, factor, w, h), smaller(albedo, factor, w, h));
  }

  private float[][] smaller(float[][] planes, int factor, int w, int h) {
    float[][] out = new float[planes.length][w * h];
    for (int c = 0; c < planes.length; c++) {
      for (int y = 0; y < h * factor; y++) {
        for (int x = 0; x < w * factor; x++) {
          out[c][y / factor * w + x / factor] += planes[c][y * width + x] / (factor * factor);
        }
      }
    }
    return out;
  }

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
