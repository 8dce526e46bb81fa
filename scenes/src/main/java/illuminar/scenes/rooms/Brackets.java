package illuminar.scenes.rooms;

import illuminar.core.exposure.Exposure;
import illuminar.core.frame.Similarity;
import illuminar.scenes.camera.Camera;
import illuminar.scenes.camera.Shot;
import java.time.LocalDateTime;
import java.util.List;

/** The frames that are taken of each view. */
public final class Brackets {
  private Brackets() {}

  /** Camera for the Instrument room, balanced for its window light. */
  public static Camera instrumentCamera() {
    return Camera.daylight(5900, 5.5 / Math.pow(2, new Exposure(0.25, 8, 100).stops()));
  }

  /** Five ambient frames two stops apart, two flash frames, one window frame; the tripod drifts. */
  public static List<Shot> instrumentRoom() {
    LocalDateTime at = LocalDateTime.of(2026, 6, 11, 12, 4, 10);
    float[] room = {1, 1, 0, 0};
    return List.of(
        shot("FWH_0112", 1 / 64.0, room, false, Similarity.of(0.006, 1, 0.32, -0.21), at),
        shot(
            "FWH_0113",
            1 / 16.0,
            room,
            false,
            Similarity.of(0.004, 1, 0.18, -0.12),
            at.plusNanos(900_000_000L)),
        shot("FWH_0114", 0.25, room, false, Similarity.NONE, at.plusNanos(1_900_000_000L)),
        shot(
            "FWH_0115",
            1.0,
            room,
            false,
            Similarity.of(-0.008, 1, -0.41, 0.33),
            at.plusNanos(3_400_000_000L)),
        shot(
            "FWH_0116",
            4.0,
            room,
            false,
            Similarity.of(-0.015, 1, -0.77, 0.58),
            at.plusNanos(5_600_000_000L)),
        shot(
            "FWH_0117",
            1 / 16.0,
            new float[] {1, 1, 1, 0},
            true,
            Similarity.of(0.011, 1, 1.15, -0.46),
            at.plusSeconds(19)),
        shot(
            "FWH_0118",
            1 / 16.0,
            new float[] {1, 1, 0, 1},
            true,
            Similarity.of(0.013, 1, 1.32, -0.61),
            at.plusSeconds(27)),
        shot(
            "FWH_0119",
            1 / 160.0,
            room,
            false,
            Similarity.of(0.009, 1, 1.02, -0.37),
            at.plusSeconds(41)));
  }

  private static Shot shot(
      String file,
      double seconds,
      float[] lights,
      boolean flash,
      Similarity drift,
      LocalDateTime at) {
    return new Shot(file, new Exposure(seconds, 8, 100), lights, flash, drift, at);
  }
}
