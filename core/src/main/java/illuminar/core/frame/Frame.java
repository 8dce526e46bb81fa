package illuminar.core.frame;

import illuminar.core.picture.Picture;
import illuminar.core.picture.Raster;

/**
 * One exposure of a view, lined up and ready to be drawn from.
 *
 * @param id names the frame in recipes
 * @param stops exposure in stops, only differences between frames matter
 * @param toFrame where points of the anchor lie in this frame
 * @param pixels the frame's pixels
 */
public record Frame(String id, Role role, double stops, Similarity toFrame, Pyramid pixels) {

  /** The same frame in another place. */
  public Frame placed(Similarity at) {
    return new Frame(id, role, stops, at, pixels);
  }

  /** The same frame with another exposure. */
  public Frame exposed(double to) {
    return new Frame(id, role, to, toFrame, pixels);
  }

  /** This frame at the anchor's raster, display-linear with sRGB primaries. */
  public Picture draw(Raster raster, int anchorWidth, int anchorHeight) {
    return pixels.draw(raster, toFrame, anchorWidth, anchorHeight);
  }

  /** A reader of this frame's rows at the anchor's raster, for one thread. */
  public FrameRows rows(Raster raster, int anchorWidth, int anchorHeight) {
    return pixels.rows(raster, toFrame, anchorWidth, anchorHeight);
  }
}
