package illuminar.scenes.views;

import illuminar.core.exposure.Exposure;
import illuminar.core.frame.Similarity;
import illuminar.scenes.camera.Camera;
import illuminar.scenes.render.Moved;
import illuminar.scenes.rooms.DormerRoom;
import illuminar.scenes.rooms.FrontAtDusk;
import illuminar.scenes.rooms.InstrumentRoom;
import illuminar.scenes.rooms.Kitchen;
import illuminar.scenes.rooms.LongTableRoom;
import illuminar.scenes.rooms.StairHall;
import illuminar.scenes.rooms.YardWall;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;

/** The views of Fennick Weather House, in the order in which they were photographed. */
public final class Views {
  private static final LocalDateTime MORNING = LocalDateTime.of(2026, 6, 11, 12, 4, 10);

  private Views() {}

  public static List<View> all() {
    return List.of(
        instrumentRoom(),
        longTableRoom(),
        dormerRoom(),
        yardWall(),
        stairHall(),
        frontAtDusk(),
        kitchen());
  }

  /** A view by the name of its files. */
  public static View of(String name) {
    return all().stream()
        .filter(v -> v.name().equals(name))
        .findFirst()
        .orElseThrow(
            () ->
                new IllegalArgumentException(
                    "no view " + name + " among " + all().stream().map(View::name).toList()));
  }

  /** A sensor that a light of {@code white} kcd/m² fills to the top at an exposure. */
  private static Camera camera(double kelvin, double white, Exposure at) {
    return Camera.daylight(kelvin, 1 / white / Math.pow(2, at.stops()));
  }

  /** Five ambient frames two stops apart, two flash frames, one window frame; the tripod drifts. */
  public static View instrumentRoom() {
    float[] room = {1, 1, 0, 0};
    Burst burst =
        new Burst(112, MORNING, 8, 100)
            .frame(1 / 64.0, Similarity.of(0.006, 1, 0.32, -0.21), room)
            .frame(1 / 16.0, Similarity.of(0.004, 1, 0.18, -0.12), room)
            .frame(0.25, Similarity.NONE, room)
            .frame(1.0, Similarity.of(-0.008, 1, -0.41, 0.33), room)
            .frame(4.0, Similarity.of(-0.015, 1, -0.77, 0.58), room)
            .pause(11)
            .flash(1 / 16.0, Similarity.of(0.011, 1, 1.15, -0.46), 1, 1, 1, 0)
            .pause(8)
            .flash(1 / 16.0, Similarity.of(0.013, 1, 1.32, -0.61), 1, 1, 0, 1)
            .pause(13)
            .frame(1 / 160.0, Similarity.of(0.009, 1, 1.02, -0.37), room);
    return new View(
        "Instrument room",
        "instrument-room",
        InstrumentRoom::scene,
        4,
        Optional.empty(),
        camera(5900, 1 / 5.5, new Exposure(0.25, 8, 100)),
        burst.shots());
  }

  /** Five ambient frames, one with the lamps off, two flash frames at the middle one's settings. */
  static View longTableRoom() {
    float[] all = {1, 1, 1, 0, 0};
    Burst burst =
        new Burst(120, MORNING.plusMinutes(21), 8, 100)
            .frame(1 / 60.0, Similarity.of(0.004, 1, 0.21, -0.14), all)
            .frame(1 / 15.0, Similarity.of(0.002, 1, 0.09, 0.05), all)
            .frame(0.25, Similarity.NONE, all)
            .frame(1.0, Similarity.of(-0.005, 1, -0.33, 0.19), all)
            .frame(4.0, Similarity.of(-0.010, 1, -0.52, 0.41), all)
            .pause(7)
            .frame(0.25, Similarity.of(0.007, 1, 0.61, -0.27), 1, 0, 0, 0, 0)
            .pause(31)
            .flash(0.25, Similarity.of(0.008, 1, 0.74, -0.36), 1, 1, 1, 1, 0)
            .pause(9)
            .flash(0.25, Similarity.of(0.010, 1, 0.83, -0.41), 1, 1, 1, 0, 1);
    return new View(
        "Long table room",
        "long-table-room",
        LongTableRoom::scene,
        4,
        Optional.empty(),
        camera(4900, 0.34, new Exposure(0.5, 8, 100)),
        burst.shots());
  }

  /** Five ambient frames and a flash frame out of the hand; the wind moves the curtain. */
  static View dormerRoom() {
    float[] day = {1, 0};
    Burst burst =
        new Burst(131, MORNING.plusMinutes(47), 5.6, 200)
            .frame(1 / 1250.0, Similarity.of(0.021, 1, 1.37, -0.84), day)
            .frame(1 / 250.0, Similarity.of(-0.012, 1, -0.62, 0.48), day)
            .frame(1 / 50.0, Similarity.NONE, day)
            .moved(1 / 10.0, Similarity.of(0.034, 1, 2.18, 1.27), day)
            .moved(0.5, Similarity.of(-0.027, 1, -1.74, 2.35), day)
            .pause(17)
            .flash(1 / 100.0, Similarity.of(0.041, 1, 2.83, -1.66), 1, 1);
    return new View(
        "Dormer room",
        "dormer-room",
        () -> DormerRoom.scene(0),
        4,
        Optional.of(new Moved(() -> DormerRoom.scene(0.30), 0.5, 0.08, 0.84, 0.8)),
        camera(6100, 0.22, new Exposure(1 / 25.0, 5.6, 200)),
        burst.shots());
  }

  /** Hard sun and a bough in the wind; five frames one and a half stops apart. */
  static View yardWall() {
    float[] noon = {1, 1, 0};
    Burst burst =
        new Burst(137, MORNING.plusMinutes(66), 8, 100)
            .frame(1 / 1600.0, Similarity.of(0.003, 1, 0.24, -0.17), noon)
            .frame(1 / 560.0, Similarity.of(0.001, 1, 0.11, -0.08), noon)
            .frame(1 / 200.0, Similarity.NONE, noon)
            .moved(1 / 70.0, Similarity.of(-0.004, 1, -0.29, 0.22), noon)
            .moved(1 / 25.0, Similarity.of(-0.007, 1, -0.48, 0.31), noon);
    return new View(
        "Yard wall at noon",
        "yard-wall",
        () -> YardWall.scene(0),
        3,
        Optional.of(new Moved(() -> YardWall.scene(0.34), 0.0, 0.0, 0.62, 0.62)),
        camera(5500, 24, new Exposure(1 / 200.0, 8, 100)),
        burst.shots());
  }

  /** One frame without a tripod at ISO 6400. */
  static View stairHall() {
    Burst burst =
        new Burst(143, MORNING.plusMinutes(83), 4, 6400).frame(1 / 60.0, Similarity.NONE, 1);
    return new View(
        "Stair hall",
        "stair-hall",
        StairHall::scene,
        4,
        Optional.empty(),
        camera(5600, 0.20, new Exposure(1 / 60.0, 4, 6400)),
        burst.shots());
  }

  /** Five frames two stops apart, half an hour after sunset. */
  static View frontAtDusk() {
    float[] dusk = {1, 1, 1};
    Burst burst =
        new Burst(144, MORNING.withHour(22).withMinute(9), 8, 200)
            .frame(1 / 4.0, Similarity.of(0.005, 1, 0.28, -0.19), dusk)
            .frame(1.0, Similarity.of(0.003, 1, 0.12, -0.10), dusk)
            .frame(4.0, Similarity.NONE, dusk)
            .frame(15.0, Similarity.of(-0.004, 1, -0.26, 0.24), dusk)
            .frame(60.0, Similarity.of(-0.009, 1, -0.55, 0.43), dusk);
    return new View(
        "Front at dusk",
        "front-at-dusk",
        FrontAtDusk::scene,
        4,
        Optional.empty(),
        camera(4700, 0.032, new Exposure(4, 8, 200)),
        burst.shots());
  }

  /** Seven ambient frames a third over one stop apart, one with the lamps off, one with flash. */
  static View kitchen() {
    float[] all = {1, 1, 1, 1, 0};
    Burst burst =
        new Burst(149, MORNING.plusDays(1).withHour(9).withMinute(17), 8, 100)
            .frame(1 / 50.0, Similarity.of(0.003, 1, 0.22, -0.11), all)
            .frame(1 / 20.0, Similarity.of(0.001, 1, 0.10, 0.04), all)
            .frame(1 / 8.0, Similarity.of(0.002, 1, 0.05, -0.06), all)
            .frame(0.3, Similarity.NONE, all)
            .frame(0.8, Similarity.of(-0.003, 1, -0.17, 0.13), all)
            .frame(2.0, Similarity.of(-0.006, 1, -0.38, 0.24), all)
            .frame(5.0, Similarity.of(-0.008, 1, -0.52, 0.37), all)
            .pause(14)
            .frame(0.3, Similarity.of(0.005, 1, 0.44, -0.19), 1, 0, 0, 0, 0)
            .pause(21)
            .flash(0.3, Similarity.of(0.006, 1, 0.58, -0.27), 1, 1, 1, 1, 1);
    return new View(
        "Kitchen",
        "kitchen",
        Kitchen::scene,
        4,
        Optional.empty(),
        camera(5200, 0.34, new Exposure(0.3, 8, 100)),
        burst.shots());
  }
}
