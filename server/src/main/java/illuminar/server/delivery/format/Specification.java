package illuminar.server.delivery.format;

import illuminar.core.render.OutputSharpness;
import illuminar.core.render.OutputSpace;
import illuminar.core.render.Watermark;
import jakarta.validation.constraints.NotNull;

/**
 * What finished files are to be like.
 *
 * @param name that it is known by in the studio
 * @param format id of one
 * @param space that colours are written in
 * @param quality percent, for formats with loss; the best that is tried where bytes are limited
 * @param fullChroma whether colour is kept at every pixel (4:4:4), for formats with loss
 * @param mostBytes that a file may have, 0 for any number
 * @param sharpness in delivered pixels
 * @param pattern of the files' names, see {@link NamePattern}
 * @param watermark laid over pictures, or {@link Watermark#NONE}
 */
public record Specification(
    @NotNull String name,
    @NotNull Size size,
    @NotNull String format,
    @NotNull OutputSpace space,
    int quality,
    boolean fullChroma,
    long mostBytes,
    @NotNull OutputSharpness sharpness,
    @NotNull String pattern,
    @NotNull Watermark watermark) {
  private static final int LEAST_QUALITY = 40;
  private static final int LONGEST_NAME = 60;
  private static final long LEAST_BYTES = 10_000;

  /**
   * @throws IllegalArgumentException if it cannot be kept to
   */
  public Specification {
    name = name == null ? "" : name.strip();
    size = size == null ? Size.WHOLE : size;
    space = space == null ? OutputSpace.SRGB : space;
    watermark = watermark == null ? Watermark.NONE : watermark;
    sharpness = sharpness == null ? OutputSharpness.NONE : sharpness;
    if (name.isEmpty() || name.length() > LONGEST_NAME) {
      throw new IllegalArgumentException("Name the specification, in at most 60 letters.");
    }
    if (quality < LEAST_QUALITY || quality > 100) {
      throw new IllegalArgumentException("Quality is 40 to 100.");
    }
    if (mostBytes != 0 && mostBytes < LEAST_BYTES) {
      throw new IllegalArgumentException("A file may be limited to 10 kB or more.");
    }
    pattern = NamePattern.checked(pattern);
  }
}
