package illuminar.files;

import illuminar.core.exposure.Exposure;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.Optional;

/**
 * What is written into a picture beside its pixels.
 *
 * @param exposure of the anchor frame
 * @param taken when the anchor frame was taken
 * @param offset of that time from UTC, where it is known
 * @param optics the lens of the anchor frame
 * @param camera that took it
 * @param flash whether the flash fired in this frame
 * @param orientation EXIF orientation to write, 1 for upright
 * @param credits what people say of it
 * @param captures how many captures the picture was made from; several make it a composite
 */
public record Legend(
    Optional<Exposure> exposure,
    Optional<LocalDateTime> taken,
    Optional<ZoneOffset> offset,
    Optics optics,
    MakeAndModel camera,
    boolean flash,
    int orientation,
    Credits credits,
    int captures) {
  public static final Legend NONE =
      new Legend(Optional.empty(), Optional.empty(), MakeAndModel.UNKNOWN, false, 1, "", 0);

  /** Without what only the camera's lens and clock tell, and with no more than a copyright. */
  public Legend(
      Optional<Exposure> exposure,
      Optional<LocalDateTime> taken,
      MakeAndModel camera,
      boolean flash,
      int orientation,
      String copyright,
      int captures) {
    this(
        exposure,
        taken,
        Optional.empty(),
        Optics.UNKNOWN,
        camera,
        flash,
        orientation,
        Credits.of(copyright),
        captures);
  }

  /**
   * IPTC Digital Source Type: one capture, or a composite of several. Source: IPTC NewsCodes,
   * digitalsourcetype.
   */
  public String sourceType() {
    return "http://cv.iptc.org/newscodes/digitalsourcetype/"
        + (captures > 1 ? "compositeCapture" : "digitalCapture");
  }
}
