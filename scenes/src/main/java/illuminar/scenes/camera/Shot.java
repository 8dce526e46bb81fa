package illuminar.scenes.camera;

import illuminar.core.exposure.Exposure;
import illuminar.core.frame.Similarity;
import java.time.LocalDateTime;

/**
 * One release of the shutter.
 *
 * @param file name on the card, without ending
 * @param strengths of each light: what is switched on or popped
 * @param drift of the camera against the view's first position, in pixels at 2400 wide
 * @param moved whether what moves in this view stands in its other place
 */
public record Shot(
    String file,
    Exposure exposure,
    float[] strengths,
    boolean flash,
    Similarity drift,
    boolean moved,
    LocalDateTime taken) {}
