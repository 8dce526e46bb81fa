package illuminar.core.region;

import illuminar.core.picture.Point;
import illuminar.core.picture.Raster;
import java.util.List;
import java.util.function.UnaryOperator;

/**
 * What a part is made of: a record that says its {@link PartKind} and how it is drawn. All lengths
 * are fractions of the anchor's long edge unless said otherwise. One kind is one file in {@code
 * part} and one line in {@code part.Parts}.
 */
public interface Shape {

  /** The picture that the shape is found in. */
  default Look look() {
    return Look.GROUND;
  }

  /** Whether it can only be drawn with the ground at hand. */
  default boolean needsGround() {
    return false;
  }

  /** Whether each pixel's own colour says how far it belongs to it. */
  default boolean readsPixels() {
    return false;
  }

  /** Ids of other regions that it uses. */
  default List<String> regions() {
    return List.of();
  }

  /** Ids of frames that it is found in. */
  default List<String> frames() {
    return look().frame().isEmpty() ? List.of() : List.of(look().frame());
  }

  /** The same shape, each of its places carried to another. */
  default Shape moved(UnaryOperator<Point> to) {
    return this;
  }

  /** The same shape, found in other frames. */
  default Shape foundIn(UnaryOperator<String> frames) {
    return this;
  }

  /** Pieces that it is drawn from, each of which could be left out, such as strokes. */
  default int pieces() {
    return 1;
  }

  /** The same shape of some of its pieces, by their numbers. */
  default Shape withPieces(List<Integer> left) {
    return this;
  }

  /**
   * Coverage of each pixel of a raster, 0 to 1; the same at every tiling.
   *
   * @param in the region that it is part of
   */
  float[] draw(Raster raster, Territory in, Sources sources);
}
