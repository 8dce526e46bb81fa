package illuminar.core.pass.kinds;

import illuminar.core.control.Control;
import illuminar.core.control.Numbers;
import illuminar.core.pass.Kind;
import illuminar.core.pass.Move;
import illuminar.core.pass.PassInput;
import illuminar.core.pass.PreparedPass;
import illuminar.core.pass.Stage;
import illuminar.core.pass.Tile;
import illuminar.core.pass.Tones;

/**
 * Light by the brush: its strokes lighten, those that take away darken. All channels by the same
 * factor, so that hue and saturation stay. The printer's two moves under the enlarger; common
 * practice, no source.
 *
 * @param lighter share of the light that full cover adds
 * @param darker the same that it takes, so that a stroke of one undoes one of the other
 */
@Kind(
    id = "dodge-burn",
    name = "Dodge and burn",
    stage = Stage.MEND,
    help = "Evens a surface by weak strokes: paint to lighten, with Alt to darken",
    sentence = "Dodge and burn {region}",
    says = {"full strokes lighten by {lighter}", "full strokes darken by {darker}"},
    asksRegion = true,
    bothWays = true,
    relights = true)
public record DodgeBurn(
    @Control(
            label = "Lighter",
            unit = "%",
            from = 0,
            to = 1,
            step = 0.01,
            defaultValue = 1,
            help = "Light that a full stroke adds; one of 10 % a tenth of it")
        double lighter,
    @Control(
            label = "Darker",
            unit = "%",
            from = 0,
            to = 1,
            step = 0.01,
            defaultValue = 1,
            help = "The same that a stroke with Alt takes")
        double darker)
    implements Move {

  public DodgeBurn {
    Numbers.check(DodgeBurn.class, "lighter", lighter);
    Numbers.check(DodgeBurn.class, "darker", darker);
  }

  @Override
  public PreparedPass prepare(PassInput below) {
    return new Work((float) lighter, 1);
  }

  @Override
  public PreparedPass otherWay(PassInput below) {
    return new Work((float) darker, -1);
  }

  /**
   * @param light that full cover adds, share
   * @param sign −1 where it is taken
   */
  private record Work(float light, int sign) implements PreparedPass.OnTones {

    @Override
    public void apply(Tile tile, Tones tones, int start) {
      int w = tile.raster().width();
      float[] row = new float[w];
      for (int j = 0; j < tile.raster().height(); j++) {
        float[] share = tile.region().values();
        int first = tile.region().row(j);
        for (int x = tile.region().from(j); x < tile.region().to(j); x++) {
          float cover = share[first + x];
          row[x] = cover > 0 ? sign * (float) (Math.log1p(cover * light) / Math.log(2)) / cover : 0;
        }
        tones.add(row, tile, j, start + j * w);
      }
    }
  }
}
