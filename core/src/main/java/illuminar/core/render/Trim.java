package illuminar.core.render;

import illuminar.core.picture.Picture;
import illuminar.core.picture.Raster;
import illuminar.core.recipe.Recipe;
import illuminar.core.region.Part;
import illuminar.core.region.Region;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import java.util.stream.IntStream;

/**
 * Takes out of a region what makes no difference where it is used: parts and strokes that lie under
 * others, that were taken away again, or that fall where no pass can change anything. Judged on the
 * picture at {@value #LONG_EDGE} pixels; on the region itself where no pass uses it yet.
 */
public final class Trim {
  private static final int LONG_EDGE = 480;

  /** A change of less than this of white, or of the share, is none. */
  private static final float LEAST = 1f / 512;

  /** Pictures that are drawn at most; what has not been looked at by then stays. */
  private static final int MOST_LOOKS = 300;

  private final PreviewSession session;
  private final Recipe recipe;
  private final Raster raster;
  private final boolean used;
  private final float[][] before;
  private int looks;

  private Trim(PreviewSession session, Recipe recipe, String id) {
    this.session = session;
    this.recipe = recipe;
    raster =
        Raster.fitted(session.analysis().fullWidth(), session.analysis().fullHeight(), LONG_EDGE);
    used =
        recipe.passes().stream()
            .filter(recipe::active)
            .flatMap(p -> Area.of(p, recipe).stream())
            .anyMatch(
                a ->
                    a.region().region().id().equals(id)
                        || a.region().others().stream().anyMatch(r -> r.id().equals(id)));
    before = seen(recipe, id);
  }

  /**
   * The region without what makes no difference.
   *
   * @throws IllegalArgumentException if the recipe has no such region
   */
  public static Region of(PreviewSession session, Recipe recipe, String id) {
    Region region =
        recipe
            .region(id)
            .orElseThrow(() -> new IllegalArgumentException("the recipe has no region " + id));
    return new Trim(session, recipe, id).trimmed(region);
  }

  private Region trimmed(Region region) {
    Region parts = kept(region, region.parts(), region::withParts);
    List<Part> out = new ArrayList<>(parts.parts());
    for (int k = 0; k < out.size(); k++) {
      Part part = out.get(k);
      if (part.shape().pieces() > 1) {
        int at = k;
        List<Integer> all = IntStream.range(0, part.shape().pieces()).boxed().toList();
        Function<List<Integer>, Region> with =
            left -> {
              List<Part> parted = new ArrayList<>(out);
              parted.set(at, part.withShape(part.shape().withPieces(left)));
              return region.withParts(parted);
            };
        out.set(k, kept(region.withParts(out), all, with).parts().get(k));
      }
    }
    return region.withParts(out);
  }

  /** Leaves out all of a list that makes no difference, in halves, from the last one down. */
  private <T> Region kept(Region region, List<T> list, Function<List<T>, Region> with) {
    List<T> left = new ArrayList<>(list);
    leave(left, 0, left.size(), with);
    return left.size() == list.size() ? region : with.apply(left);
  }

  /** {@code left} is modified; what lies behind {@code to} is settled already. */
  private <T> void leave(List<T> left, int from, int to, Function<List<T>, Region> with) {
    if (from >= to || ++looks > MOST_LOOKS) {
      return;
    }
    List<T> without = new ArrayList<>(left);
    without.subList(from, to).clear();
    if (same(with.apply(without))) {
      left.subList(from, to).clear();
    } else if (to - from > 1) {
      int middle = (from + to) / 2;
      leave(left, middle, to, with);
      leave(left, from, middle, with);
    }
  }

  private boolean same(Region region) {
    Recipe other =
        recipe.withRegions(
            recipe.regions().stream().map(r -> r.id().equals(region.id()) ? region : r).toList());
    float[][] now = seen(other, region.id());
    for (int c = 0; c < now.length; c++) {
      for (int i = 0; i < now[c].length; i++) {
        if (Math.abs(now[c][i] - before[c][i]) > LEAST) {
          return false;
        }
      }
    }
    return true;
  }

  private float[][] seen(Recipe of, String id) {
    if (used) {
      Picture p = session.draft(of, raster, id);
      return new float[][] {p.r(), p.g(), p.b()};
    }
    return new float[][] {session.coverage(of, id, raster).copy()};
  }
}
