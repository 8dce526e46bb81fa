package illuminar.scenes.render;

import java.util.Arrays;
import java.util.List;

/**
 * A rendered view, lights apart, with its truth. All arrays are row by row; colours are linear sRGB
 * in kcd/m².
 *
 * @param lights one entry for each light group: three planes of the picture under this light alone
 */
public record Radiance(int width, int height, List<String> names, float[][][] lights, Truth truth) {

  /** The same view with each edge divided by {@code factor}, areas averaged. */
  public Radiance smaller(int factor) {
    int w = width / factor;
    int h = height / factor;
    float[][][] less = new float[lights.length][3][];
    for (int l = 0; l < less.length; l++) {
      for (int c = 0; c < 3; c++) {
        less[l][c] = smaller(lights[l][c], factor, w, h);
      }
    }
    List<float[]> planes = truth.planes().stream().map(p -> smaller(p, factor, w, h)).toList();
    return new Radiance(w, h, names, less, Truth.of(truth.parts(), planes));
  }

  /** Some rows of the view. */
  Radiance rows(int top, int count) {
    float[][][] cut = new float[lights.length][3][];
    for (int l = 0; l < cut.length; l++) {
      for (int c = 0; c < 3; c++) {
        cut[l][c] = rows(lights[l][c], top, count);
      }
    }
    List<float[]> planes = truth.planes().stream().map(p -> rows(p, top, count)).toList();
    return new Radiance(width, count, names, cut, Truth.of(truth.parts(), planes));
  }

  private float[] rows(float[] plane, int top, int count) {
    return Arrays.copyOfRange(plane, top * width, (top + count) * width);
  }

  private float[] smaller(float[] plane, int factor, int w, int h) {
    float[] out = new float[w * h];
    for (int y = 0; y < h * factor; y++) {
      for (int x = 0; x < w * factor; x++) {
        out[y / factor * w + x / factor] += plane[y * width + x] / (factor * factor);
      }
    }
    return out;
  }

  /** Number of a light group. */
  public int light(String name) {
    int k = names.indexOf(name);
    if (k < 0) {
      throw new IllegalArgumentException("no light " + name + " among " + names);
    }
    return k;
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
