package illuminar.server.report;

import java.util.List;

/**
 * What was done to the pictures of a delivery, for clients who ask.
 *
 * @param made day and time of the delivery
 */
record Report(String studio, String shoot, String made, List<ViewPart> views) {
  /**
   * One view.
   *
   * @param before JPEG of the anchor frame as the camera made it; {@code after} of what was
   *     delivered
   * @param steps each as a sentence, in their order
   * @param frames each with its exposure
   * @param surfaces readings of named surfaces
   * @param files that were delivered of it
   */
  record ViewPart(
      String name,
      byte[] before,
      byte[] after,
      List<String> steps,
      List<String> frames,
      List<String> surfaces,
      List<String> files) {}
}
