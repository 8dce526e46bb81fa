package illuminar.core.watch;

import illuminar.core.colour.Stops;
import illuminar.core.ground.Ground;
import illuminar.core.pass.Fault;
import illuminar.core.pass.Pass;
import illuminar.core.pass.PassKind;
import illuminar.core.picture.LabPlanes;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Plane;
import illuminar.core.picture.Raster;
import illuminar.core.recipe.Recipe;
import illuminar.core.render.PreviewSession;
import java.util.ArrayList;
import java.util.List;

/**
 * Looks the present picture over for halos, mud, overspray and lines that no frame has: against the
 * light of the frames, and step by step, so that each is laid to the pass that makes it.
 *
 * <p>A halo is a change of the gain (picture over light, in stops) along an even surface towards a
 * strong edge. Mud is a lifted dark whose texture, over that of the light, has gone flat: the slope
 * of the tone curve in the darks, measured in place. Overspray is a pass that works beyond a strong
 * edge of its region's inside and fades there. Lines are those of {@link Ridges}. Thresholds are
 * our own, common practice; no source.
 */
public final class Watch {
  /** Stops from which on a rim is seen. */
  private static final float HALO = 0.18f;

  /** Slope of the steepest tone curve that a camera or a contrast makes. */
  private static final float STEEPEST = 2;

  /** Colour difference from which on overspray is seen. */
  private static final float OVERSPRAY = 1.5f;

  private static final int MOST = 5;

  private final PreviewSession session;
  private final Recipe recipe;
  private final List<Pass> passes;
  private final Raster raster;
  private final NewLines lines;
  private final Plane light;
  private final List<Rims.Way> ways;
  private final List<LabPlanes> labs = new ArrayList<>();
  private final List<Plane> stops = new ArrayList<>();

  private Watch(PreviewSession session, Recipe recipe) {
    this.session = session;
    this.recipe = recipe;
    lines = new NewLines(session.analysis());
    raster = lines.raster();
    light = lines.light();
    passes = recipe.passes().stream().filter(recipe::active).toList();
    ways = Rims.of(light);
    for (int n = 0; n <= passes.size(); n++) {
      // each part of the recipe stands on the one before, which the session has kept
      String top = n == 0 ? "" : passes.get(n - 1).id();
      Picture p = session.draft(recipe.withPasses(passes.subList(0, n)), raster, top);
      labs.add(LabPlanes.of(p));
      stops.add(tones(p));
    }
  }

  /** All faults of the picture, heaviest first within their kind. */
  public static List<Finding> over(PreviewSession session, Recipe recipe) {
    Watch watch = new Watch(session, recipe);
    List<Finding> out = new ArrayList<>(watch.halos());
    out.addAll(watch.overspray());
    out.addAll(watch.mud());
    out.addAll(watch.ridges());
    return List.copyOf(out);
  }

  /** Tones of a picture in stops below white, ten below at least. */
  static Plane tones(Picture p) {
    Plane out = Plane.of(p.width(), p.height());
    for (int i = 0; i < out.data().length; i++) {
      out.data()[i] = Math.max(-10, Stops.of(p.luminanceAt(i)));
    }
    return out;
  }

  private List<Finding> halos() {
    Spots spots = new Spots(raster.width(), raster.height(), stops.size());
    Plane last = stops.get(stops.size() - 1);
    for (Rims.Way way : ways) {
      float own = rim(light, way);
      float rim = beyond(rim(last, way) - relit(way), own);
      if (Math.abs(rim) < HALO || way.near(last) < Mud.DARKEST + 2) {
        continue;
      }
      double[] share = new double[stops.size()];
      share[0] = (rim(stops.get(0), way) - own) * Math.signum(rim);
      for (int k = 1; k < share.length; k++) {
        share[k] = relights(k) ? 0 : added(k, way) * Math.signum(rim);
      }
      add(spots, way, Math.abs(rim), share);
    }
    return spots.all(4, MOST).stream()
        .map(s -> finding(Fault.HALO, s, mends(Fault.HALO, s.step())))
        .toList();
  }

  /** Whether a step mixes light: what it changes along a surface is how that light falls. */
  private boolean relights(int step) {
    return PassKind.of(passes.get(step - 1).move()).relights();
  }

  /** What a step adds to a rim, in stops. */
  private float added(int step, Rims.Way way) {
    return rim(stops.get(step), way) - rim(stops.get(step - 1), way);
  }

  /** What of a rim is light that was mixed otherwise, in stops. */
  private float relit(Rims.Way way) {
    float sum = 0;
    for (int k = 1; k < stops.size(); k++) {
      sum += relights(k) ? added(k, way) : 0;
    }
    return sum;
  }

  /** What of a rim no tone curve over the whole picture makes of the light's own change. */
  private static float beyond(float rim, float own) {
    float low = Math.min(0, STEEPEST * own);
    float high = Math.max(0, STEEPEST * own);
    return rim < low ? rim - low : rim > high ? rim - high : 0;
  }

  private static float rim(Plane p, Rims.Way way) {
    return way.near(p) - way.far(p);
  }

  /** Adds a measure where a way begins. */
  private static void add(Spots spots, Rims.Way way, double amount, double[] share) {
    spots.add(way.x() + way.dx() * 4, way.y() + way.dy() * 4, amount, share);
  }

  private String mends(Fault fault, int step) {
    if (step == 0) {
      return fault == Fault.MUD && recipe.ground() instanceof Ground.RadianceMerge
          ? "compression"
          : "calm";
    }
    Pass pass = passes.get(step - 1);
    boolean everywhere = pass.where().everywhere();
    return PassKind.mending(fault, pass.move(), everywhere)
        .orElse(fault != Fault.MUD && !everywhere ? "region edge" : "strength");
  }

  private Finding finding(Fault kind, Spots.Spot s, String mends) {
    String pass = s.step() == 0 ? "" : passes.get(s.step() - 1).id();
    return new Finding(kind, s.at(), s.radius(), s.amount(), pass, mends);
  }

  private List<Finding> overspray() {
    Spots spots = new Spots(raster.width(), raster.height(), stops.size());
    for (int k = 1; k < stops.size(); k++) {
      Pass pass = passes.get(k - 1);
      if (!pass.where().everywhere()) {
        overspray(k, pass, spots);
      }
    }
    return spots.all(4, MOST).stream()
        .map(s -> finding(Fault.OVERSPRAY, s, "region edge"))
        .toList();
  }

  private void overspray(int k, Pass pass, Spots spots) {
    float[] share = session.coverage(recipe, pass.where().region(), raster).copy();
    LabPlanes before = labs.get(k - 1);
    LabPlanes after = labs.get(k);
    float[] change = new float[share.length];
    for (int i = 0; i < share.length; i++) {
      share[i] = pass.where().outside() ? 1 - share[i] : share[i];
      change[i] = after.difference(i, before.l()[i], before.a()[i], before.b()[i]);
    }
    Plane mask = new Plane(raster.width(), raster.height(), share);
    Plane changed = new Plane(raster.width(), raster.height(), change);
    double[] own = new double[stops.size()];
    for (Rims.Way way : ways) {
      float inside = mask.sample(way.x() - way.dx() * 4, way.y() - way.dy() * 4);
      float near = way.near(mask);
      float seen = rim(changed, way);
      if (inside > near + 0.04f && near > way.far(mask) + 0.06f && seen > OVERSPRAY) {
        own[k] = seen;
        add(spots, way, seen, own);
      }
    }
  }

  private List<Finding> ridges() {
    Spots spots = new Spots(raster.width(), raster.height(), labs.size());
    List<Plane> shown =
        labs.stream().map(l -> new Plane(raster.width(), raster.height(), l.l())).toList();
    for (Ridges.Place place : lines.in(shown.get(shown.size() - 1))) {
      double[] share = new double[labs.size()];
      double relit = 0;
      for (int k = 0; k < share.length; k++) {
        double before = k == 0 ? 0 : place.in(shown.get(k - 1));
        double added = (place.in(shown.get(k)) - before) * Math.signum(place.amount());
        boolean mixed = k > 0 && relights(k);
        relit += mixed ? added : 0;
        share[k] = mixed ? 0 : added;
      }
      // what mixed light shows, the frame that it was taken from has
      double own = Math.abs(place.amount()) - Math.max(0, relit);
      if (own > Ridges.SEEN) {
        spots.add(place.x(), place.y(), own, share);
      }
    }
    return spots.all(4, MOST).stream()
        .map(s -> finding(Fault.RIDGE, s, mends(Fault.RIDGE, s.step())))
        .toList();
  }

  private List<Finding> mud() {
    return new Mud(light, raster, stops)
        .spots().all(24, MOST).stream()
            .map(s -> finding(Fault.MUD, s, mends(Fault.MUD, s.step())))
            .toList();
  }
}
