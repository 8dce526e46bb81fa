package illuminar.core.render;

import illuminar.core.analysis.Analysis;
import illuminar.core.colour.Space;
import illuminar.core.colour.Stops;
import illuminar.core.ground.EvenBlendWork;
import illuminar.core.ground.Ground;
import illuminar.core.pass.BringFrame;
import illuminar.core.pass.Gate;
import illuminar.core.pass.Move;
import illuminar.core.pass.Pass;
import illuminar.core.pass.Tone;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Plane;
import illuminar.core.picture.Raster;
import illuminar.core.recipe.Recipe;
import illuminar.core.region.Region;
import illuminar.core.region.RegionWork;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.stream.IntStream;

/**
 * Turns a recipe into pixels. {@link #picture} serves previews and viewports and keeps what it can;
 * {@link #deliver} streams the full size through in tiles. Both run the same passes in the same
 * arithmetic: results do not depend on tiling, threads or what was kept.
 */
public final class Renderer {
  private static final int BAND = 48;

  private final Analysis analysis;
  private final RenderCache cache;
  private final RenderCache softPlanes = new RenderCache(80_000_000);
  private volatile Plan last = new Plan(new Ground.OneFrame(""), List.of(), List.of());

  public Renderer(Analysis analysis, RenderCache cache) {
    this.analysis = analysis;
    this.cache = cache;
  }

  public Analysis analysis() {
    return analysis;
  }

  /** A pass with its region and everything prepared. */
  private record Step(Pass pass, Optional<Region> region, Ready ready) {
    boolean same(Step other) {
      return pass.equals(other.pass) && region.equals(other.region);
    }
  }

  /** Steps ready to run; {@code below} holds the small picture under each and the final one. */
  private record Plan(Ground ground, List<Step> steps, List<Picture> below) {

    /** Steps that this plan shares with another from the ground up. */
    int shared(Plan other) {
      if (!ground.equals(other.ground)) {
        return -1;
      }
      int n = 0;
      while (n < steps.size() && n < other.steps.size() && steps.get(n).same(other.steps.get(n))) {
        n++;
      }
      return n;
    }

    int margin(int from, double scale) {
      int sum = 0;
      for (Step s : steps.subList(from, steps.size())) {
        sum += s.ready.margin(scale);
      }
      return sum;
    }

    List<Object> key(int steps, Raster raster) {
      List<Object> key = new ArrayList<>();
      key.add(raster);
      key.add(ground);
      for (Step s : this.steps.subList(0, steps)) {
        key.add(s.pass);
        key.add(s.region);
      }
      return key;
    }
  }

  private record FrameKey(String frame, Raster raster) {}

  private record MaskKey(Region region, Raster raster) {}

  private record GroundKey(Ground ground, Raster raster) {}

  /** The picture at a raster, linear BT.2020. A new picture, the caller's own. */
  public Picture picture(Recipe recipe, Raster raster) {
    Plan before = last;
    Plan plan = plan(recipe, before);
    last = plan;
    Raster wide =
        raster.grown(plan.margin(0, raster.scale()), analysis.fullWidth(), analysis.fullHeight());
    int n = plan.steps.size();
    int start = n;
    while (start > 0 && !cache.has(plan.key(start, wide))) {
      start--;
    }
    long size = wide.pixels() * 12L;
    Picture base =
        start == 0
            ? ground(plan.ground, wide)
            : cache.get(
                plan.key(start, wide), Picture.class, size, () -> ground(plan.ground, wide));
    int changed = Math.max(0, plan.shared(before));
    if (changed > start && changed < n) {
      base = run(plan, start, changed, base, wide);
      cache.put(plan.key(changed, wide), base, size);
      start = changed;
    }
    Picture out = start == n ? base : run(plan, start, n, base, wide);
    return crop(out, wide, raster);
  }

  /** A region's share at a raster, 0 to 1; kept. Not to be modified. */
  public float[] region(Region region, Raster raster) {
    return cache.get(
        new MaskKey(region, raster),
        float[].class,
        raster.pixels() * 4L,
        () -> maskInBands(region, raster));
  }

  private float[] maskInBands(Region region, Raster raster) {
    float[] out = new float[raster.pixels()];
    int bands = Math.max(1, raster.height() / 128);
    IntStream.range(0, bands)
        .parallel()
        .forEach(
            k -> {
              int from = raster.height() * k / bands;
              int to = raster.height() * (k + 1) / bands;
              Raster part = raster.part(0, from, raster.width(), to - from);
              float[] m =
                  RegionWork.draw(region, part, analysis, r -> frames(r, raster), this::soft);
              System.arraycopy(m, 0, out, from * raster.width(), m.length);
            });
    return out;
  }

  private Plane soft(Region region, Raster whole, Supplier<Plane> make) {
    return softPlanes.get(new MaskKey(region, whole), Plane.class, whole.pixels() * 4L, make);
  }

  /** One frame at a raster as the camera rendered it, linear BT.2020. A new picture. */
  public Picture frame(String id, Raster raster) {
    Picture p = keptFrame(id, raster).copy();
    EvenBlendWork.toWork(p);
    return p;
  }

  private Picture keptFrame(String id, Raster raster) {
    return cache.get(
        new FrameKey(id, raster),
        Picture.class,
        raster.pixels() * 12L,
        () -> analysis.draw(id, raster));
  }

  private Picture ground(Ground ground, Raster raster) {
    return cache.get(
        new GroundKey(ground, raster),
        Picture.class,
        raster.pixels() * 12L,
        () -> groundInBands(ground, raster));
  }

  private Picture groundInBands(Ground ground, Raster raster) {
    Picture out = Picture.of(raster.width(), raster.height());
    int bands = Math.max(1, raster.height() / 96);
    if (ground instanceof Ground.EvenBlend blend) {
      analysis.blend(blend);
    }
    IntStream.range(0, bands)
        .parallel()
        .forEach(
            k -> {
              int from = raster.height() * k / bands;
              int to = raster.height() * (k + 1) / bands;
              Raster part = raster.part(0, from, raster.width(), to - from);
              Picture p = drawGround(ground, part, frames(part, raster));
              paste(p, out, 0, from);
            });
    return out;
  }

  private Picture drawGround(Ground ground, Raster raster, Function<String, Picture> frames) {
    if (ground instanceof Ground.OneFrame one) {
      Picture p = frames.apply(one.frame()).copy();
      EvenBlendWork.toWork(p);
      return p;
    }
    return analysis.blend((Ground.EvenBlend) ground).draw(raster);
  }

  /** Frames at {@code part}, cut from kept pictures at {@code whole} where it lies within. */
  private Function<String, Picture> frames(Raster part, Raster whole) {
    boolean within =
        part.scale() == whole.scale()
            && part.x() >= whole.x()
            && part.y() >= whole.y()
            && part.x() + part.width() <= whole.x() + whole.width()
            && part.y() + part.height() <= whole.y() + whole.height();
    return within ? id -> crop(keptFrame(id, whole), whole, part) : id -> analysis.draw(id, part);
  }

  private Plan plan(Recipe recipe, Plan before) {
    List<Pass> active = recipe.passes().stream().filter(Pass::active).toList();
    List<Step> steps = new ArrayList<>();
    List<Picture> below = new ArrayList<>();
    boolean same = recipe.ground().equals(before.ground);
    Picture small = same ? before.below.get(0) : smallGround(recipe.ground());
    below.add(small);
    for (Pass pass : active) {
      Optional<Region> region =
          pass.where().everywhere() ? Optional.empty() : recipe.region(pass.where().region());
      int k = steps.size();
      Step old = same && k < before.steps.size() ? before.steps.get(k) : null;
      if (old != null && old.pass.equals(pass) && old.region.equals(region)) {
        steps.add(old);
        small = before.below.get(k + 1);
      } else {
        same = false;
        float[] mask = smallMask(region, pass.where().outside());
        Below under =
            new Below(
                analysis, analysis.small(), small, new Plane(small.width(), small.height(), mask));
        Step step = new Step(pass, region, prepare(pass.move(), under));
        steps.add(step);
        small = small.copy();
        step.ready.apply(
            new Tile(
                analysis.small(),
                small,
                mask,
                amount(pass, small),
                id -> analysis.draw(id, analysis.small())));
      }
      below.add(small);
    }
    return new Plan(recipe.ground(), List.copyOf(steps), List.copyOf(below));
  }

  private Picture smallGround(Ground ground) {
    return drawGround(ground, analysis.small(), id -> analysis.draw(id, analysis.small()));
  }

  private float[] smallMask(Optional<Region> region, boolean outside) {
    float[] mask = new float[analysis.small().pixels()];
    Arrays.fill(mask, 1);
    return region.map(r -> turned(region(r, analysis.small()).clone(), outside)).orElse(mask);
  }

  private static float[] turned(float[] mask, boolean outside) {
    if (outside) {
      for (int i = 0; i < mask.length; i++) {
        mask[i] = 1 - mask[i];
      }
    }
    return mask;
  }

  private static Ready prepare(Move move, Below below) {
    if (move instanceof Tone tone) {
      return tone.prepare(below);
    }
    return ((BringFrame) move).prepare(below);
  }

  private static float[] amount(Pass pass, Picture p) {
    float[] amount = new float[p.r().length];
    Gate gate = pass.gate();
    float strength = (float) pass.strength();
    if (gate.all()) {
      Arrays.fill(amount, strength);
      return amount;
    }
    for (int i = 0; i < amount.length; i++) {
      amount[i] = strength * gate.open(Stops.of(Space.luminance(p.r()[i], p.g()[i], p.b()[i])));
    }
    return amount;
  }

  /**
   * Runs steps over the whole of {@code wide} in bands, on all cores. {@code base} is not modified.
   */
  private Picture run(Plan plan, int from, int to, Picture base, Raster wide) {
    Plan part = new Plan(plan.ground, plan.steps.subList(0, to), plan.below);
    Picture out = Picture.of(wide.width(), wide.height());
    for (Step s : part.steps.subList(from, to)) {
      s.region.ifPresent(r -> region(r, wide));
    }
    int bands = Math.max(1, (wide.height() + BAND - 1) / BAND);
    int margin = part.margin(from, wide.scale());
    IntStream.range(0, bands)
        .parallel()
        .forEach(
            k -> {
              int y0 = wide.height() * k / bands;
              int y1 = wide.height() * (k + 1) / bands;
              int top = Math.max(0, y0 - margin);
              int end = Math.min(wide.height(), y1 + margin);
              Raster tile = wide.part(0, top, wide.width(), end - top);
              Picture p = crop(base, wide, tile);
              steps(
                  part, from, p, tile, r -> crop(region(r, wide), wide, tile), frames(tile, wide));
              paste(p, y0 - top, y1 - y0, out, y0);
            });
    return out;
  }

  private void steps(
      Plan plan,
      int from,
      Picture p,
      Raster tile,
      Function<Region, float[]> masks,
      Function<String, Picture> frames) {
    for (Step s : plan.steps.subList(from, plan.steps.size())) {
      float[] mask;
      if (s.region.isPresent()) {
        mask = turned(masks.apply(s.region.get()), s.pass.where().outside());
      } else {
        mask = new float[tile.pixels()];
        Arrays.fill(mask, 1);
      }
      s.ready.apply(new Tile(tile, p, mask, amount(s.pass, p), frames));
    }
  }

  /** Receives finished tiles of a delivery, from several threads at once. */
  public interface Sink {
    void tile(Raster tile, Picture pixels);
  }

  /**
   * Renders the whole view in tiles without keeping anything.
   *
   * @param scale size of the result against full size
   * @param tileWidth width of a tile; any value gives the same pixels
   */
  public void deliver(Recipe recipe, double scale, int tileWidth, int tileHeight, Sink sink) {
    Plan plan = plan(recipe, new Plan(new Ground.OneFrame(""), List.of(), List.of()));
    Raster whole = Raster.whole(analysis.fullWidth(), analysis.fullHeight(), scale);
    int margin = plan.margin(0, scale);
    int across = (whole.width() + tileWidth - 1) / tileWidth;
    int down = (whole.height() + tileHeight - 1) / tileHeight;
    if (plan.ground instanceof Ground.EvenBlend blend) {
      analysis.blend(blend);
    }
    IntStream.range(0, across * down)
        .parallel()
        .forEach(
            k -> {
              int x = k % across * tileWidth;
              int y = k / across * tileHeight;
              Raster tile =
                  whole.part(
                      x,
                      y,
                      Math.min(tileWidth, whole.width() - x),
                      Math.min(tileHeight, whole.height() - y));
              Raster wide = tile.grown(margin, analysis.fullWidth(), analysis.fullHeight());
              sink.tile(tile, crop(tile(plan, wide), wide, tile));
            });
  }

  private Picture tile(Plan plan, Raster wide) {
    Map<String, Picture> drawn = new HashMap<>();
    Function<String, Picture> frames = id -> drawn.computeIfAbsent(id, i -> analysis.draw(i, wide));
    Picture p = drawGround(plan.ground, wide, frames);
    RegionWork.Frames any = r -> r.equals(wide) ? frames : id -> analysis.draw(id, r);
    steps(
        plan,
        0,
        p,
        wide,
        region -> RegionWork.draw(region, wide, analysis, any, this::soft),
        frames);
    return p;
  }

  private static Picture crop(Picture p, Raster from, Raster to) {
    if (from.equals(to)) {
      return p.copy();
    }
    return new Picture(
        to.width(),
        to.height(),
        crop(p.r(), from, to),
        crop(p.g(), from, to),
        crop(p.b(), from, to));
  }

  private static float[] crop(float[] data, Raster from, Raster to) {
    float[] out = new float[to.pixels()];
    for (int j = 0; j < to.height(); j++) {
      int at = (j + to.y() - from.y()) * from.width() + to.x() - from.x();
      System.arraycopy(data, at, out, j * to.width(), to.width());
    }
    return out;
  }

  private static void paste(Picture p, Picture into, int fromRow, int toRow) {
    paste(p, fromRow, p.height(), into, toRow);
  }

  private static void paste(Picture p, int fromRow, int rows, Picture into, int toRow) {
    for (int c = 0; c < 3; c++) {
      System.arraycopy(
          p.channel(c),
          fromRow * p.width(),
          into.channel(c),
          toRow * into.width(),
          rows * into.width());
    }
  }
}
