package illuminar.server.sitting.messages;

import com.fasterxml.jackson.annotation.JsonSubTypes;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import illuminar.core.picture.Raster;
import illuminar.core.recipe.Recipe;
import illuminar.core.region.Look;
import illuminar.server.balance.Probe;
import java.util.List;

/** What a bench asks for over its socket, as text. */
@JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "kind")
@JsonSubTypes({
  @JsonSubTypes.Type(value = Request.PictureRequest.class, name = "picture"),
  @JsonSubTypes.Type(value = Request.MaskRequest.class, name = "mask"),
  @JsonSubTypes.Type(value = Request.ReadRequest.class, name = "read"),
  @JsonSubTypes.Type(value = Request.PickRequest.class, name = "pick")
})
public sealed interface Request {

  /** Number of the request; its answer bears the same. */
  long seq();

  /**
   * A picture: the recipe's, or one frame's.
   *
   * @param frame id of the frame that is shown alone, empty for the recipe's picture
   * @param probes read in the picture; the first is the reference of the others
   * @param quality of the JPEG, 0 to 1
   * @param draft whether it may be coarse along edges because a control moves
   * @param moving id of the pass, group or region that is being worked on, empty for none
   * @param aside whether it is not the one in which is read from now on
   * @param uncut whether it shows all that there is, and empty corners, instead of what is kept
   */
  record PictureRequest(
      long seq,
      Recipe recipe,
      String frame,
      Raster raster,
      List<Probe> probes,
      double quality,
      boolean draft,
      String moving,
      boolean aside,
      boolean uncut)
      implements Request {}

  /**
   * A region's coverage as a grey picture.
   *
   * @param slot what it is for; a request for the same slot that waits is replaced
   * @param uncut as of a picture
   */
  record MaskRequest(
      long seq, String slot, Recipe recipe, String region, Raster raster, boolean uncut)
      implements Request {}

  /** Readings in the picture that was shown last. */
  record ReadRequest(long seq, List<Probe> probes) implements Request {}

  /**
   * The colour of what a part looks at, averaged round a place; pixels at full size.
   *
   * @param slot what it is for
   */
  record PickRequest(
      long seq, String slot, Recipe recipe, Look look, double x, double y, double radius)
      implements Request {}
}
