package illuminar.scenes.invented;

import illuminar.core.colour.Space;
import illuminar.core.exposure.Exposure;
import illuminar.core.frame.Similarity;
import illuminar.scenes.camera.Camera;
import illuminar.scenes.camera.Shot;
import illuminar.scenes.render.Radiance;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * How an invented view is photographed: the steps of the bracket, the drift of the tripod, a flash
 * or none. The frame in the middle shows the room well.
 */
final class Bracket {
  /** Share of the sensor's range at which the room's middle tone is exposed. */
  private static final double MIDDLE = 0.16;

  private static final LocalDateTime START = LocalDateTime.of(2026, 5, 4, 10, 30, 0);

  private final Dice dice;
  private final int frames;
  private final double step;
  private final boolean flash;
  private final int darker;
  private final double kelvin;

  Bracket(Dice dice, boolean room, double kelvin) {
    this.dice = dice;
    this.kelvin = kelvin;
    frames = room ? dice.pick(List.of(3, 5, 5, 7, 9)) : dice.pick(List.of(3, 5));
    double most = frames == 3 ? 2.7 : frames == 5 ? 2 : frames == 7 ? 1.34 : 1;
    step = room ? Math.max(1, most - dice.pick(List.of(0.0, 0.0, 0.33))) : dice.between(1, 2);
    // brackets of few frames are set lower, for the window
    darker = room && frames == 3 ? 2 : frames / 2;
    flash = room && dice.chance(0.3);
  }

  /** A camera that shows the view's middle tone well at the middle exposure, and its shots. */
  Taken of(Radiance radiance) {
    double middle = middle(radiance);
    double base = 0.125;
    Exposure at = new Exposure(base, 8, 100);
    Camera camera = Camera.daylight(kelvin, MIDDLE / middle / Math.pow(2, at.stops()));
    List<Shot> shots = new ArrayList<>();
    List<Double> stops = new ArrayList<>();
    stops.add(0.0);
    for (int k = -darker; k < frames - darker; k++) {
      if (k != 0) {
        stops.add(k * step);
      }
    }
    double drift = dice.between(0, 1.2);
    LocalDateTime time = START;
    for (double ev : stops) {
      Similarity moved =
          shots.isEmpty()
              ? Similarity.NONE
              : Similarity.of(
                  drift * dice.between(-0.01, 0.01),
                  1,
                  drift * dice.between(-1, 1),
                  drift * dice.between(-1, 1));
      shots.add(shot(shots.size(), base * Math.pow(2, ev), false, moved, radiance, time));
      time = time.plusSeconds(2);
    }
    if (flash) {
      shots.add(
          shot(
              shots.size(),
              base * Math.pow(2, -step),
              true,
              Similarity.of(0.003, 1, 0.4, -0.3),
              radiance,
              time.plusSeconds(7)));
    }
    return new Taken(camera, shots);
  }

  /** The camera and what it took; the first shot is the base exposure. */
  record Taken(Camera camera, List<Shot> shots) {}

  private static Shot shot(
      int number, double seconds, boolean flash, Similarity drift, Radiance r, LocalDateTime at) {
    float[] lights = new float[r.names().size()];
    Arrays.fill(lights, 1);
    if (r.names().contains("flash")) {
      lights[r.light("flash")] = flash ? 1 : 0;
    }
    return new Shot(
        String.format("ROOM_%02d", number + 1),
        new Exposure(seconds, 8, 100),
        lights,
        flash,
        drift,
        false,
        at);
  }

  /** Median luminance of what is not the world outside. */
  private static double middle(Radiance r) {
    float[] ambient = new float[r.names().size()];
    Arrays.fill(ambient, 1);
    if (r.names().contains("flash")) {
      ambient[r.light("flash")] = 0;
    }
    float[][] sum = r.sum(ambient);
    double[] y = new double[sum[0].length];
    int n = 0;
    for (int i = 0; i < y.length; i++) {
      if (r.truth().outside()[i] < 0.5f) {
        y[n++] = Space.srgbLuminance(sum[0][i], sum[1][i], sum[2][i]);
      }
    }
    Arrays.sort(y, 0, n);
    return Math.max(1e-6, y[n / 2]);
  }
}
