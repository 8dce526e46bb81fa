package illuminar.files;

import illuminar.core.exposure.Exposure;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.Optional;

/**
 * What the camera wrote about a frame.
 *
 * @param exposure time, aperture and speed, where all three are there
 * @param taken time on the camera's clock, to the sub-second
 * @param offset of the camera's clock from UTC, where it told it
 * @param flash whether the flash fired
 * @param orientation EXIF orientation, 1 to 8
 * @param camera that took it
 * @param optics the lens and its focal length, as far as they are known
 */
public record Capture(
    Optional<Exposure> exposure,
    Optional<LocalDateTime> taken,
    Optional<ZoneOffset> offset,
    boolean flash,
    int orientation,
    MakeAndModel camera,
    Optics optics) {}
