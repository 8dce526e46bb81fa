package illuminar.core.pass.work;

import illuminar.core.analysis.Analysis;
import illuminar.core.analysis.window.Reflections;
import illuminar.core.frame.Response;
import illuminar.core.pass.PassInput;
import illuminar.core.pass.PreparedPass;
import illuminar.core.pass.Tile;
import illuminar.core.picture.Picture;
import java.util.Optional;

/**
 * A picture without what is mirrored in a place of it. Where the frame that has the light is burnt
 * nothing is known, and the picture stays.
 *
 * @param told what is mirrored there
 * @param off share of it that is taken off
 */
public record MirrorOff(Reflections told, Response response, float off)
    implements PreparedPass.OnLight {

  /** Looks for it in the picture below and the region. */
  public static MirrorOff of(PassInput below, Reflections.Surface surface, float off) {
    Analysis analysis = below.analysis();
    InLight light = new InLight(analysis.frames().response());
    Reflections told =
        below.keep(
            Reflections.class,
            surface,
            () ->
                Reflections.over(
                    analysis,
                    light.of(below.picture(analysis.raster())),
                    below.region().copy(),
                    surface));
    return new MirrorOff(told, light.response(), off);
  }

  @Override
  public Optional<String> idle() {
    return told.told()
        ? Optional.empty()
        : Optional.of("Nothing is taken off: " + told.said() + ".");
  }

  @Override
  public void apply(Tile tile, Picture picture) {
    if (!told.told() || tile.empty()) {
      return;
    }
    InLight light = new InLight(response);
    Picture with = tile.frames().apply(told.with());
    Picture mirrored = told.mirrored(response, with, tile.frames().apply(told.without()));
    float[] out = new float[3];
    tile.each(
        picture,
        (i, amount) -> {
          if (!Reflections.tells(with, i)) {
            return;
          }
          light.of(picture, i, out);
          for (int c = 0; c < 3; c++) {
            out[c] = told.rest(c, out[c], mirrored.channel(c)[i], off);
          }
          light.show(out);
          picture.mix(i, out, amount);
        });
  }
}
