package illuminar.files;

import illuminar.core.exposure.Exposure;
import java.time.LocalDateTime;
import java.util.Optional;

/**
 * What the camera wrote about a frame.
 *
 * @param exposure time, aperture and speed, where all three are there
 * @param taken time on the camera's clock, to the sub-second
 * @param flash whether the flash fired
 * @param orientation EXIF orientation, 1 to 8
 * @param camera make and model, or empty
 */
public record Capture(
    Optional<Exposure> exposure,
    Optional<LocalDateTime> taken,
    boolean flash,
    int orientation,
    String camera) {}
