package illuminar.core.pass.kinds;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import illuminar.core.analysis.Analysis;
import illuminar.core.analysis.cast.Casts;
import illuminar.core.colour.Lab;
import illuminar.core.colour.Space;
import illuminar.core.colour.Srgb;
import illuminar.core.colour.Stops;
import illuminar.core.frame.Codes;
import illuminar.core.frame.Frame;
import illuminar.core.frame.Frames;
import illuminar.core.frame.Pyramid;
import illuminar.core.frame.Response;
import illuminar.core.frame.Role;
import illuminar.core.frame.Similarity;
import illuminar.core.ground.Ground;
import illuminar.core.pass.Gate;
import illuminar.core.pass.Move;
import illuminar.core.pass.Pass;
import illuminar.core.pass.Where;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Point;
import illuminar.core.picture.Raster;
import illuminar.core.recipe.Recipe;
import illuminar.core.region.Part;
import illuminar.core.region.Region;
import illuminar.core.region.part.Outline;
import illuminar.core.render.PreviewSession;
import illuminar.core.render.RenderCache;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** White, casts, haze and evening out on invented scenes whose light is known at every pixel. */
class ColourPassesTest {
  private static final int W = 300;
  private static final int H = 200;
  private static final Raster WHOLE = Raster.whole(W, H, 1);
  private static final Region ALL =
      new Region(
          "all",
          "All",
          List.of(
              new Part(
                  "o",
                  Part.Combine.ADD,
                  new Outline(
                      List.of(
                          new Point(0, 0), new Point(1, 0), new Point(1, 1), new Point(0, 1))))),
          0,
          false);

  /** Light of a scene at a pixel and channel, linear sRGB, 1 where burnt. */
  private interface Scene {
    double light(int x, int y, int c);
  }

  private static Frame frame(String id, Role role, Scene scene) {
    byte[] rgb = new byte[W * H * 3];
    for (int y = 0; y < H; y++) {
      for (int x = 0; x < W; x++) {
        for (int c = 0; c < 3; c++) {
          double v = Math.max(0, Math.min(1, scene.light(x, y, c)));
          rgb[(y * W + x) * 3 + c] = (byte) Math.round(255 * Srgb.encode(v));
        }
      }
    }
    return new Frame(id, role, 0, Similarity.NONE, Pyramid.of(Codes.of8(W, H, rgb)));
  }

  private static Analysis view(Frame... frames) {
    return new Analysis(new Frames(List.of(frames), "a", Response.srgb()));
  }

  private static Picture picture(Analysis view, Move... moves) {
    List<Pass> passes = new ArrayList<>();
    for (Move m : moves) {
      passes.add(new Pass("p" + passes.size(), true, m, new Where("all", false), Gate.ALL, 1, ""));
    }
    Recipe recipe = new Recipe(new Ground.OneFrame("a"), List.of(ALL), passes);
    return new PreviewSession(view, new RenderCache(20_000_000)).picture(recipe, WHOLE);
  }

  private static Lab lab(Picture p, int x, int y) {
    int i = y * W + x;
    return Lab.ofWork(p.r()[i], p.g()[i], p.b()[i]);
  }

  /** A grey wall, and a red book on it. */
  private static double paint(int x, int y, int c) {
    boolean book = x > 180 && x < 230 && y > 90 && y < 150;
    return book ? new double[] {0.5, 0.08, 0.06}[c] : 0.6;
  }

  /** Orange light from the left, daylight from the right. */
  private static double mixed(int x, int c) {
    double t = x / (double) W;
    double lamp = new double[] {0.62, 0.42, 0.22}[c];
    double day = new double[] {0.38, 0.42, 0.5}[c];
    return lamp * (1 - t) + day * t;
  }

  private static final Analysis MIXED =
      view(
          frame("a", Role.AMBIENT, (x, y, c) -> paint(x, y, c) * mixed(x, c)),
          frame("fl", Role.FLASH, (x, y, c) -> paint(x, y, c) * (mixed(x, c) + 0.35)));

  /**
   * Eisemann and Durand 2004: the flash's light tells what the mixed light does to each surface.
   */
  @Test
  void castsToldByFlashLeaveTheWallsGreyAndTheBookRed() {
    Picture before = picture(MIXED);
    Picture after = picture(MIXED, new ClearCasts(Casts.Source.FLASH, "fl", 1, 0));
    assertThat(lab(before, 20, 60).chroma()).isGreaterThan(15);
    for (int x : new int[] {20, 90, 160, 280}) {
      assertThat(lab(after, x, 60).chroma()).as("wall at %d", x).isLessThan(3);
      assertThat(lab(after, x, 60).l()).isCloseTo(lab(before, x, 60).l(), within(1.0));
    }
    // the book under as much white light
    int i = 120 * W + 205;
    double y =
        0.2126 * paint(205, 120, 0) + 0.7152 * paint(205, 120, 1) + 0.0722 * paint(205, 120, 2);
    double k = before.luminanceAt(i) / y;
    double[] work =
        Space.SRGB_TO_WORK.apply(
            k * paint(205, 120, 0), k * paint(205, 120, 1), k * paint(205, 120, 2));
    Lab should = Lab.ofWork(work[0], work[1], work[2]);
    assertThat(lab(after, 205, 120).difference(should)).isLessThan(3);
  }

  /**
   * Light adds up, so a surface's own colour cancels out between a frame with the lamps and one
   * without: what is left is how the lamps' colour differs from daylight's (after Eisemann and
   * Durand 2004, the lamps in the flash's place).
   */
  @Test
  void castsToldByTheRoomWithoutLampsLeaveEveryPaintAlone() {
    double[] day = {0.42, 0.44, 0.46};
    double[] lamp = {0.5, 0.33, 0.14};
    Analysis lit =
        view(
            frame(
                "a",
                Role.AMBIENT,
                (x, y, c) -> paint(x, y, c) * (0.6 * day[c] + lamp[c] * (1 - x / (double) W))),
            frame("off", Role.LAMPS_OFF, (x, y, c) -> paint(x, y, c) * 0.6 * day[c]));
    Picture before = picture(lit);
    Picture after = picture(lit, new ClearCasts(Casts.Source.LIGHTS, "off", 1, 0));
    assertThat(lab(before, 20, 60).chroma()).isGreaterThan(14);
    for (int x : new int[] {20, 90, 160, 280}) {
      assertThat(lab(after, x, 60).chroma()).as("wall at %d", x).isLessThan(3);
    }
    // the book as under daylight alone, made as bright
    double[] lone = new double[3];
    for (int c = 0; c < 3; c++) {
      lone[c] = paint(205, 120, c) * day[c] / day[1];
    }
    double k =
        before.luminanceAt(120 * W + 205)
            / (0.2126 * lone[0] + 0.7152 * lone[1] + 0.0722 * lone[2]);
    double[] work = Space.SRGB_TO_WORK.apply(k * lone[0], k * lone[1], k * lone[2]);
    Lab should = Lab.ofWork(work[0], work[1], work[2]);
    assertThat(lab(after, 205, 120).difference(should)).isLessThan(4);
    assertThatThrownBy(() -> picture(lit, new ClearCasts(Casts.Source.LIGHTS, "a", 1, 0)))
        .hasMessageContaining("lamps off");
  }

  /** Boards in the sun, which outshines the flash: nothing tells of the light on them. */
  @Test
  void castsToldByFlashLeaveAloneWhatTheFlashHardlyReaches() {
    double[] wood = {0.6, 0.42, 0.24};
    Scene scene =
        (x, y, c) ->
            y < 120 ? 0.6 * mixed(150, c) : wood[c] * (0.9 + 0.08 * Math.sin(x * 0.9 + y * 0.2));
    Analysis sunny =
        view(
            frame("a", Role.AMBIENT, scene),
            frame(
                "fl",
                Role.FLASH,
                (x, y, c) -> scene.light(x, y, c) + (y < 120 ? 0.6 * 0.3 : wood[c] * 0.03)));
    Picture before = picture(sunny);
    Picture after = picture(sunny, new ClearCasts(Casts.Source.FLASH, "fl", 1, 0));
    assertThat(lab(after, 150, 60).chroma()).isLessThan(3);
    assertThat(lab(after, 150, 170).difference(lab(before, 150, 170))).isLessThan(2);
  }

  @Test
  void castsToldBySurfacesLeaveColouredThingsAlone() {
    Picture before = picture(MIXED);
    Picture after = picture(MIXED, new ClearCasts(Casts.Source.SURFACES, "", 1, 0));
    assertThat(lab(after, 200, 40).chroma()).isLessThan(lab(before, 200, 40).chroma());
    assertThat(lab(after, 205, 120).difference(lab(before, 205, 120))).isLessThan(2);
    assertThatThrownBy(() -> picture(MIXED, new ClearCasts(Casts.Source.FLASH, "", 1, 0)))
        .hasMessageContaining("need a flash frame");
  }

  @Test
  void nothingAskedForChangesNothing() {
    Picture before = picture(MIXED);
    Picture after =
        picture(
            MIXED,
            Balance.NONE,
            new Colour(0, 0, 1),
            new ClearCasts(Casts.Source.FLASH, "fl", 0, 0.5),
            new ClearHaze(0, 1, 1, 0),
            new EvenOut(0, 0.05));
    for (int i = 0; i < before.r().length; i += 17) {
      assertThat(after.r()[i]).isCloseTo(before.r()[i], within(1e-4f));
      assertThat(after.b()[i]).isCloseTo(before.b()[i], within(1e-4f));
    }
  }

  /**
   * Saturation 0 leaves the luminance alone (its definition); light is the relation of ISO 2720.
   */
  @Test
  void balanceIsItsFormula() {
    Picture before = picture(MIXED);
    Picture grey = picture(MIXED, new Balance(0, 0, 0, 0));
    Picture up = picture(MIXED, new Balance(1, 0, 0, 1));
    for (int i = 11; i < before.r().length; i += 997) {
      assertThat(grey.luminanceAt(i)).isCloseTo(before.luminanceAt(i), within(1e-5f));
      assertThat(grey.r()[i]).isCloseTo(grey.b()[i], within(1e-5f));
      assertThat(up.g()[i]).isCloseTo(2 * before.g()[i], within(1e-5f));
    }
  }

  /** A wall lit from one side with a fine pattern: the fall-off goes, the pattern stays. */
  @Test
  void evenOutTakesTheFallOffAndLeavesTexture() {
    Scene wall =
        (x, y, c) -> {
          double light = 0.5 / (1 + Math.pow(x / 120.0, 2));
          double pattern = (x / 2 + y / 2) % 2 == 0 ? 1.08 : 0.92;
          return light * pattern;
        };
    Analysis view = view(frame("a", Role.AMBIENT, wall));
    Picture before = picture(view);
    Picture after = picture(view, new EvenOut(1, 0.05));
    assertThat(fall(after)).isLessThan(0.2 * fall(before));
    assertThat(pattern(after)).isCloseTo(pattern(before), within(0.05 * pattern(before)));
  }

  private static double fall(Picture p) {
    return Math.abs(tone(p, 30) - tone(p, 260));
  }

  private static double tone(Picture p, int x) {
    double sum = 0;
    for (int y = 60; y < 140; y++) {
      for (int u = x; u < x + 8; u++) {
        sum += Stops.of(p.luminanceAt(y * W + u));
      }
    }
    return sum / 640;
  }

  private static double pattern(Picture p) {
    double sum = 0;
    for (int y = 60; y < 140; y++) {
      for (int x = 100; x < 200; x++) {
        int i = y * W + x;
        sum += Math.abs(Stops.of(p.luminanceAt(i)) - Stops.of(p.luminanceAt(i + 2)));
      }
    }
    return sum;
  }

  /**
   * A band's share by its definition: the angle h*ab from the middle of the band (CIE 15:2004),
   * faded over the outer half, and over chroma from 4 to 12.
   */
  @Test
  void aHueBandIsTheAngleFromItsMiddle() {
    HueBand band = new HueBand(350, 40, 0.5, 0, 0);
    Random random = new Random(8);
    for (int k = 0; k < 2000; k++) {
      double a = random.nextDouble() * 120 - 60;
      double b = random.nextDouble() * 120 - 60;
      double angle = Math.toDegrees(Math.atan2(b, a));
      double away = Math.abs(Math.IEEEremainder(angle - 350, 360));
      double fade = soft((1 - away / 40) / 0.5) * soft((Math.hypot(a, b) - 4) / 8);
      assertThat((double) band.share(a, b)).isCloseTo(fade, within(1e-4));
    }
    assertThat(band.share(3, 0)).isZero();
  }

  private static double soft(double t) {
    double x = Math.max(0, Math.min(1, t));
    return x * x * (3 - 2 * x);
  }

  /** Nothing turned, nothing changed: L*a*b* and back through tables is the colour itself. */
  @Test
  void labAndBackThroughTheTableIsTheColour() {
    Picture before = picture(MIXED);
    Picture after = picture(MIXED, new HueBand(40, 180, 1, 0, 0));
    for (int i = 0; i < before.r().length; i += 13) {
      assertThat(after.r()[i]).isCloseTo(before.r()[i], within(2e-5f));
      assertThat(after.g()[i]).isCloseTo(before.g()[i], within(2e-5f));
      assertThat(after.b()[i]).isCloseTo(before.b()[i], within(2e-5f));
    }
  }
}
