package illuminar.core.shadow;

/**
 * A shadow's edge at a place.
 *
 * @param x pixels of the window; {@code y} likewise
 * @param toX direction of the lit side, unit length; {@code toY} likewise
 * @param half half the width of the penumbra, pixels
 * @param dark light within the shadow: red, green, blue
 * @param ratio lit over shadowed light: red, green, blue
 * @param trust 0 where nothing could be read, 1 where all that is seen is the shadow's edge
 */
record Crossing(
    float x, float y, float toX, float toY, float half, float[] dark, float[] ratio, float trust) {}
