package illuminar.scenes.outdoors;

/** The world beyond the windows. Radiance in kcd/m², linear sRGB, luminance-scaled. */
public interface Outdoors {

  /** Everything in detail, along a ray from a point; a new array of three. */
  float[] seen(float x, float y, float z, float dx, float dy, float dz);

  /** The same without detail, far away, as light that comes in. */
  float[] broad(float dx, float dy, float dz);
}
