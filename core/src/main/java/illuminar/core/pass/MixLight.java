package illuminar.core.pass;

import illuminar.core.analysis.Analysis;
import illuminar.core.analysis.LightsApart;
import illuminar.core.colour.Matrix3;
import illuminar.core.colour.Space;
import illuminar.core.colour.WhiteShift;
import illuminar.core.control.Control;
import illuminar.core.control.Numbers;
import illuminar.core.frame.Frame;
import illuminar.core.frame.Response;
import illuminar.core.frame.Role;
import illuminar.core.picture.Picture;
import illuminar.core.render.Below;
import illuminar.core.render.Ready;
import illuminar.core.render.Tile;

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
public record MixLight(
    String with,
    String without,
    @Control(
            label = "Light",
            unit = "st",
            from = -6,
            to = 4,
            step = 0.05,
            careful = 0,
            help = "Against the strength in its frame; at the lower end it is out")
        double light,
    @Control(
            label = "Warmer",
            unit = "mired",
            from = -100,
            to = 100,
            step = 1,
            careful = 0,
            help = "The light's colour along the Planckian locus")
        double warmer,
    @Control(
            label = "Tint",
            unit = "",
            from = -100,
            to = 100,
            step = 1,
            careful = 0,
            help = "Green to magenta")
        double tint)
    implements Move {

  private static final double OUT = -6;

  /** Light of a frame below which it says nothing, against the noise of its darkest codes. */
  private static final float LEAST = 4e-4f;

  public MixLight {
    Numbers.check(MixLight.class, "light", light);
    Numbers.check(MixLight.class, "warmer", warmer);
    Numbers.check(MixLight.class, "tint", tint);
  }

  @Override
  public Ready prepare(Below below) {
    Analysis analysis = below.analysis();
    Response response = analysis.frames().response();
    Frame own = frame(analysis, with);
    boolean flash = own.role() == Role.FLASH;
    // the picture is made from ambient frames: it has every light but the flash
    String reference =
        flash ? without : LightsApart.partner(analysis, own).map(Frame::id).orElse(with);
    float gain = light <= OUT ? 0 : (float) Math.pow(2, light);
    float[] white = WhiteShift.srgb(warmer, tint).floats();
    return new Work(this, response, reference, gain, white, flash ? 0 : 1);
  }

  private static Frame frame(Analysis analysis, String id) {
    return analysis
        .frames()
        .find(id)
        .orElseThrow(() -> new IllegalArgumentException("the view has no frame " + id));
  }

  /**
   * @param reference the frame whose light stands for the picture's
   * @param present how much of the light the reference has
   */
  private record Work(
      MixLight mix, Response response, String reference, float gain, float[] white, float present)
      implements Ready.OnLight {
    private static final float[] TO_SRGB = Space.WORK_TO_SRGB.floats();
    private static final float[] FROM_SRGB = Space.SRGB_TO_WORK.floats();

    @Override
    public int margin(double scale) {
      return 0;
    }

    @Override
    public boolean fine() {
      return false;
    }

    @Override
    public void apply(Tile tile, Picture below) {
      int[] box = tile.region().box();
      if (box[0] >= box[2]) {
        return;
      }
      Picture without = mix.without.isEmpty() ? Picture.of(0, 0) : tile.frames().apply(mix.without);
      Picture light = LightsApart.difference(response, tile.frames().apply(mix.with), without);
      Picture base = tile.frames().apply(reference);
      float[] share = tile.region().values();
      float[] ratio = new float[3];
      float[] colour = new float[3];
      for (int j = box[1]; j < box[3]; j++) {
        int first = tile.region().row(j);
        for (int x = tile.region().from(j); x < tile.region().to(j); x++) {
          int i = j * tile.raster().width() + x;
          float m = share[first + x];
          if (m <= 0) {
            continue;
          }
          m *= tile.amount(below, i);
          ratio(light, base, i, ratio);
          multiply(below, i, ratio, m, colour);
        }
      }
    }

    private void ratio(Picture light, Picture base, int i, float[] out) {
      Matrix3.apply(white, light.r()[i], light.g()[i], light.b()[i], out);
      for (int c = 0; c < 3; c++) {
        float is = Math.max(LEAST, response.toLight(c, base.channel(c)[i]));
        float mixed = gain * Math.max(0, out[c]) - present * light.channel(c)[i];
        float will = Math.max(0, is + mixed);
        float shown = Math.max(1e-5f, response.toDisplay(c, is));
        out[c] = response.toDisplay(c, Math.min(1, will)) / shown;
      }
    }

    /** {@code colour} is worked with. */
    private static void multiply(Picture p, int i, float[] ratio, float m, float[] colour) {
      Matrix3.apply(TO_SRGB, p.r()[i], p.g()[i], p.b()[i], colour);
      float r = colour[0] * (1 + (ratio[0] - 1) * m);
      float g = colour[1] * (1 + (ratio[1] - 1) * m);
      float b = colour[2] * (1 + (ratio[2] - 1) * m);
      Matrix3.apply(FROM_SRGB, r, g, b, colour);
      p.r()[i] = colour[0];
      p.g()[i] = colour[1];
      p.b()[i] = colour[2];
    }
  }
}
