package illuminar.scenes.render;

/** What one pass over the picture gathers, before smoothing. Planes row by row. */
final class Gathered {
  final int width;
  final int height;

  /** Light on each pixel's surfaces, by group and channel, as if they were white. */
  final float[][][] scattered;

  final float[][][] mirrored;
  final float[][][] glow;
  final float[][] albedo;
  final float[][] normal;
  final float[] depth;

  /** Share of each pixel that shows the world outside. */
  final float[] outside;

  final float[][] view;

  /** The world outside without haze, and how much of it the haze lets through. */
  final float[][] clear;

  final float[] transmission;

  /** Share of each pixel that each named surface takes. */
  final float[][] parts;

  Gathered(int width, int height, int groups, int parts) {
    int n = width * height;
    this.width = width;
    this.height = height;
    scattered = new float[groups][3][n];
    mirrored = new float[groups][3][n];
    glow = new float[groups][3][n];
    albedo = new float[3][n];
    normal = new float[3][n];
    depth = new float[n];
    outside = new float[n];
    view = new float[3][n];
    clear = new float[3][n];
    transmission = new float[n];
    this.parts = new float[parts][n];
  }
}
