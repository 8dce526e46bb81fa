package illuminar.core.pass.kinds;

import illuminar.core.analysis.Analysis;
import illuminar.core.analysis.light.LightsApart;
import illuminar.core.colour.Matrix3;
import illuminar.core.colour.WhiteShift;
import illuminar.core.control.Control;
import illuminar.core.control.Numbers;
import illuminar.core.frame.Frame;
import illuminar.core.frame.Response;
import illuminar.core.frame.Role;
import illuminar.core.pass.Kind;
import illuminar.core.pass.Move;
import illuminar.core.pass.PassInput;
import illuminar.core.pass.PreparedPass;
import illuminar.core.pass.Stage;
import illuminar.core.pass.Tile;
import illuminar.core.pass.work.Relight;
import illuminar.core.picture.Picture;

/**
 * Mixes one light, taken apart from the others, to another strength and colour.
 *
 * <p>Light adds up, so the difference of two frames at the same settings is the light that only one
 * of them has (Petschnigg et al. 2004; Eisemann and Durand 2004). With R the light of the ambient
 * frame and F the separated light, the picture is multiplied by what the camera would have shown
 * with the light mixed so, over what it showed: response(R + (gain · white − present) · F) /
 * response(R). All that was done to the picture before stays.
 *
 * @param with id of the frame that has the light
 * @param without id of the frame that lacks it; empty where {@code with} shows this light alone
 */
@Kind(
    id = "mix-light",
    name = "Mix a light",
    stage = Stage.LIGHTS,
    relights = true,
    help = "One light of the room by itself: stronger, weaker, or of another colour",
    sentence = "Mix in {with} minus {without} in {region}",
    says = {
      "{light:brighter|darker}",
      "{warmer:warmer|cooler}",
      "{tint:towards magenta|towards green}"
    })
public record MixLight(
    String with,
    String without,
    @Control(
            label = "Light",
            unit = "st",
            from = -6,
            to = 4,
            step = 0.05,
            defaultValue = 0,
            help = "Against the strength in its frame; at the lower end it is out")
        double light,
    @Control(
            label = "Warmer",
            unit = "mired",
            from = -100,
            to = 100,
            step = 1,
            defaultValue = 0,
            help = "The light's colour along the Planckian locus")
        double warmer,
    @Control(
            label = "Tint",
            unit = "",
            from = -100,
            to = 100,
            step = 1,
            defaultValue = 0,
            help = "Green to magenta")
        double tint)
    implements Move {

  private static final double OUT = -6;

  public MixLight {
    Numbers.check(MixLight.class, "light", light);
    Numbers.check(MixLight.class, "warmer", warmer);
    Numbers.check(MixLight.class, "tint", tint);
  }

  @Override
  public PreparedPass prepare(PassInput below) {
    Analysis analysis = below.analysis();
    Response response = analysis.frames().response();
    Frame own = analysis.frames().get(with);
    boolean flash = own.role() == Role.FLASH;
    // the picture is made from ambient frames: it has every light but the flash
    String reference =
        flash ? without : LightsApart.partner(analysis, own).map(Frame::id).orElse(with);
    float gain = light <= OUT ? 0 : (float) Math.pow(2, light);
    float[] white = WhiteShift.srgb(warmer, tint).floats();
    return new Work(this, new Relight(response), reference, gain, white, flash ? 0 : 1);
  }

  /**
   * @param reference the frame whose light stands for the picture's
   * @param present how much of the light the reference has
   */
  private record Work(
      MixLight mix, Relight relight, String reference, float gain, float[] white, float present)
      implements PreparedPass.OnLight {

    @Override
    public void apply(Tile tile, Picture below) {
      if (tile.empty()) {
        return;
      }
      Picture without = mix.without.isEmpty() ? Picture.of(0, 0) : tile.frames().apply(mix.without);
      Picture light =
          LightsApart.difference(relight.response(), tile.frames().apply(mix.with), without);
      Picture base = tile.frames().apply(reference);
      float[] was = new float[3];
      float[] will = new float[3];
      tile.each(
          below,
          (i, m) -> {
            relight.light(base, i, was);
            Matrix3.apply(white, light.r()[i], light.g()[i], light.b()[i], will);
            for (int c = 0; c < 3; c++) {
              float is = Math.max(Relight.LEAST, was[c]);
              will[c] = is + gain * Math.max(0, will[c]) - present * light.channel(c)[i];
            }
            relight.apply(below, i, was, will, m);
          });
    }
  }
}
