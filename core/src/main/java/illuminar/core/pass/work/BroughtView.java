package illuminar.core.pass.work;

import illuminar.core.analysis.window.Reflections;
import illuminar.core.frame.Response;
import illuminar.core.pass.Tile;
import illuminar.core.picture.Picture;

/** A frame that is brought in, display-linear with sRGB primaries; not to be modified. */
public interface BroughtView {
  Picture at(Tile tile);

  /**
   * The frame without what the panes mirror, where the region has any share.
   *
   * @param amount how much of it is taken out, 0 to 1
   */
  public record Unmirrored(String frame, Response response, Reflections reflections, float amount)
      implements BroughtView {

    @Override
    public Picture at(Tile tile) {
      Picture out = tile.frames().apply(frame).copy();
      Picture with = tile.frames().apply(reflections.with());
      Picture mirrored =
          reflections.mirrored(response, with, tile.frames().apply(reflections.without()));
      float[] region = tile.region().copy();
      for (int i = 0; i < region.length; i++) {
        if (region[i] > 0 && Reflections.tells(with, i)) {
          for (int c = 0; c < 3; c++) {
            float light = response.toLight(c, out.channel(c)[i]);
            float rest = reflections.rest(c, light, mirrored.channel(c)[i], amount);
            out.channel(c)[i] = response.toDisplay(c, rest);
          }
        }
      }
      return out;
    }
  }
}
