package illuminar.core.analysis.light;

import illuminar.core.analysis.Analysis;
import illuminar.core.colour.Burnt;
import illuminar.core.frame.Frame;
import illuminar.core.frame.Response;
import illuminar.core.frame.Role;
import illuminar.core.picture.Picture;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * Which single lights a view's frames let us take apart, and why others cannot be: pairs of frames
 * at the same settings of which one lacks a light.
 */
public final class LightsApart {
  /** Stops within which two frames count as being at the same settings. */
  private static final double SAME = 0.1;

  /** Share of pixels that get darker under one light more; above it something moved. */
  private static final double MOVED = 0.02;

  private LightsApart() {}

  /**
   * A light on offer.
   *
   * @param with id of the frame that has it; {@code without} that of the one that lacks it, or
   *     empty
   * @param usable whether it can be mixed
   * @param said what speaks for or against it
   */
  public record Offer(String name, String with, String without, boolean usable, String said) {}

  /**
   * The light that one frame has more than another, both at the same settings and pixels: linear
   * light with the camera's primaries, 1 where the sensor is full; never below 0.
   *
   * @param with display-linear; not modified
   * @param without display-linear, or of no pixels where the first shows one light alone
   */
  public static Picture difference(Response response, Picture with, Picture without) {
    Picture out = Picture.of(with.width(), with.height());
    boolean alone = without.r().length == 0;
    for (int c = 0; c < 3; c++) {
      float[] lit = with.channel(c);
      float[] dark = without.channel(c);
      float[] light = out.channel(c);
      for (int i = 0; i < light.length; i++) {
        float rest = alone ? 0 : response.toLight(c, dark[i]);
        light[i] = Math.max(0, response.toLight(c, lit[i]) - rest);
      }
    }
    return out;
  }

  /** All lights of a view, those that cannot be had with their reason. */
  public static List<Offer> of(Analysis analysis) {
    List<Offer> offers = new ArrayList<>();
    List<Frame> flash = frames(analysis, Role.FLASH);
    for (Frame f : flash) {
      Optional<Frame> ambient = partner(analysis, f);
      offers.add(
          ambient
              .map(a -> offer(analysis, side(analysis, f, a), f, a))
              .orElseGet(
                  () ->
                      new Offer(
                          "Flash",
                          f.id(),
                          "",
                          false,
                          "no ambient frame was taken at the flash frame's settings")));
    }
    for (Frame off : frames(analysis, Role.LAMPS_OFF)) {
      Optional<Frame> on = partner(analysis, off);
      if (on.isEmpty()) {
        offers.add(
            new Offer(
                "Lamps",
                off.id(),
                "",
                false,
                "no frame with the lamps on was taken at these settings"));
        continue;
      }
      offers.add(offer(analysis, "Lamps", on.get(), off));
      offers.add(
          new Offer("Daylight", off.id(), "", true, "the lamps-off frame is this light alone"));
    }
    return offers;
  }

  private static List<Frame> frames(Analysis analysis, Role role) {
    return analysis.frames().all().stream().filter(f -> f.role() == role).toList();
  }

  /** The frames in a role that have an ambient one at their settings. */
  public static List<Frame> paired(Analysis analysis, Role role) {
    return frames(analysis, role).stream().filter(f -> partner(analysis, f).isPresent()).toList();
  }

  /** The ambient frame at a frame's settings. */
  public static Optional<Frame> partner(Analysis analysis, Frame frame) {
    return analysis.frames().ambient().stream()
        .filter(f -> Math.abs(f.stops() - frame.stops()) < SAME)
        .findFirst();
  }

  /**
   * The same, where there must be one.
   *
   * @throws IllegalArgumentException if none was taken at the frame's settings
   */
  public static Frame ambientOf(Analysis analysis, Frame frame) {
    return partner(analysis, frame)
        .orElseThrow(
            () ->
                new IllegalArgumentException(
                    "no ambient frame was taken at the "
                        + (frame.role() == Role.FLASH ? "flash" : "lamps-off")
                        + " frame's settings"));
  }

  private static Offer offer(Analysis analysis, String name, Frame with, Frame without) {
    Picture a = analysis.draw(with.id(), analysis.small());
    Picture b = analysis.draw(without.id(), analysis.small());
    Response r = analysis.frames().response();
    int clipped = 0;
    int darker = 0;
    int n = a.r().length;
    for (int i = 0; i < n; i++) {
      float most = Math.max(a.r()[i], Math.max(a.g()[i], a.b()[i]));
      if (most > Burnt.NO_SUM) {
        clipped++;
      } else {
        float lit = r.luminance(a.r()[i], a.g()[i], a.b()[i]);
        float dark = r.luminance(b.r()[i], b.g()[i], b.b()[i]);
        darker += lit < 0.9f * dark - 0.01f ? 1 : 0;
      }
    }
    if (darker > MOVED * n) {
      return new Offer(
          name,
          with.id(),
          without.id(),
          false,
          String.format(
              Locale.ROOT,
              "%.0f %% of the picture got darker under one light more: something moved",
              100.0 * darker / n));
    }
    return new Offer(
        name,
        with.id(),
        without.id(),
        true,
        String.format(
            Locale.ROOT, "%.1f %% of the picture is burnt and says little", 100.0 * clipped / n));
  }

  /** Which side the flash came from: where it adds more. */
  private static String side(Analysis analysis, Frame flash, Frame ambient) {
    Picture a = analysis.draw(flash.id(), analysis.small());
    Picture b = analysis.draw(ambient.id(), analysis.small());
    Response r = analysis.frames().response();
    double left = 1e-9;
    double right = 1e-9;
    for (int i = 0; i < a.r().length; i++) {
      double more =
          Math.max(
              0,
              r.luminance(a.r()[i], a.g()[i], a.b()[i])
                  - r.luminance(b.r()[i], b.g()[i], b.b()[i]));
      if (i % a.width() < a.width() / 2) {
        left += more;
      } else {
        right += more;
      }
    }
    return left > right ? "Flash, left" : "Flash, right";
  }
}
