package illuminar.benchmarks;

import illuminar.core.analysis.Analysis;
import illuminar.core.colour.Lab;
import illuminar.core.first.FirstVersion;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Raster;
import illuminar.core.recipe.Recipe;
import illuminar.core.region.Look;
import illuminar.core.render.PreviewSession;
import illuminar.core.render.RenderCache;
import illuminar.core.set.LevelSet;
import illuminar.core.set.WhiteWalls;
import illuminar.scenes.render.Radiance;
import illuminar.scenes.render.RadianceFile;
import illuminar.scenes.render.Truth;
import illuminar.scenes.views.View;
import illuminar.scenes.views.Views;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.function.BiFunction;
import java.util.stream.IntStream;

/**
 * White walls of the demo's rooms before and after the set is levelled: as its probes read them,
 * and over the whole of the walls that the rendered truth knows to be white.
 */
final class SetProof {
  private static final String WALLS = "White walls";

  /** Light that white paint throws back, and how far its channels lie apart at most. */
  private static final double WHITE = 0.5;

  private static final double COLOURLESS = 0.12;

  /** Share of a probe's middle that has to be white wall. */
  private static final float ON = 0.5f;

  private static final Look SEEN = new Look(Look.From.BELOW, "");

  private static final Path TRUTH = Path.of("demo/truth");

  private final List<Room> rooms = new ArrayList<>();
  private final Table table;

  SetProof(Table table) {
    this.table = table;
  }

  /** A view with white walls. */
  private record Room(
      View view,
      PreviewSession session,
      Recipe first,
      List<WhiteWalls.Place> places,
      Radiance truth) {

    Map<String, Lab> probed(Recipe recipe) {
      return Map.of(
          WALLS,
          Lab.mean(
              places.stream()
                  .map(p -> session.colour(recipe, SEEN, p.x(), p.y(), p.radius()).lab())
                  .toList()));
    }

    private static float shown(float light) {
      return Math.min(1, light);
    }

    /** The pixels of the truth. */
    Raster raster() {
      Analysis analysis = session.analysis();
      return Raster.fitted(analysis.fullWidth(), analysis.fullHeight(), truth.width());
    }

    /** The mean colour of the lightest quarter of all that is white wall, as it is rendered. */
    Map<String, Lab> whole(Recipe recipe) {
      Picture p = session.picture(recipe, raster());
      boolean[] white = white(truth.truth());
      List<Lab> all = new ArrayList<>();
      for (int i = 0; i < p.r().length; i++) {
        if (white[i]) {
          all.add(Lab.ofWork(shown(p.r()[i]), shown(p.g()[i]), shown(p.b()[i])));
        }
      }
      all.sort(Comparator.comparing(Lab::l).reversed());
      return Map.of(WALLS, Lab.mean(all.subList(0, all.size() / 4)));
    }
  }

  /** Where white walls are to be seen in a picture. */
  private static boolean[] white(Truth truth) {
    float[][] a = truth.albedo();
    boolean[] out = new boolean[a[0].length];
    for (String part : truth.parts()) {
      float[] share = truth.part(part);
      boolean wall = part.startsWith("wall") || part.startsWith("slope");
      for (int i = 0; i < out.length && wall; i++) {
        double most = Math.max(a[0][i], Math.max(a[1][i], a[2][i]));
        double least = Math.min(a[0][i], Math.min(a[1][i], a[2][i]));
        out[i] |= share[i] > ON && least > WHITE && most - least < COLOURLESS;
      }
    }
    return out;
  }

  void all() throws Exception {
    for (View view : Views.all()) {
      Analysis analysis = DemoView.read(view, Path.of("demo/card"), 0).analysis();
      PreviewSession session = new PreviewSession(analysis, new RenderCache(200_000_000));
      Recipe first = FirstVersion.of(session);
      List<WhiteWalls.Place> places = WhiteWalls.in(session, first);
      if (!places.isEmpty()) {
        rooms.add(new Room(view, session, first, places, RadianceFile.unpack(TRUTH, view.name())));
      }
    }
    found();
    List<Recipe> before = rooms.stream().map(Room::first).toList();
    List<Map<String, Lab>> read = read(before, Room::probed);
    Map<String, Lab> common = LevelSet.common(read, -1);
    List<Recipe> after = new ArrayList<>();
    for (int k = 0; k < rooms.size(); k++) {
      after.add(LevelSet.levelled(rooms.get(k).first, read.get(k), common));
    }
    tell("as the probes read them", read, read(after, Room::probed), 1.5);
    tell(
        "where they are lightest in the truth",
        read(before, Room::whole),
        read(after, Room::whole),
        1.5);
  }

  /** Places that are proposed as white walls, and are. */
  private void found() {
    int right = 0;
    int all = 0;
    for (Room room : rooms) {
      boolean[] white = white(room.truth.truth());
      double scale = room.raster().scale();
      for (WhiteWalls.Place p : room.places) {
        int x = (int) ((p.x() + 0.5) * scale);
        int y = (int) ((p.y() + 0.5) * scale);
        all++;
        int at = y * room.truth.width() + x;
        right += white[at] ? 1 : 0;
        System.out.printf(
            "  %s, place %.0f, %.0f: %s%n",
            room.view.title(), p.x(), p.y(), white[at] ? "wall" : parts(room.truth.truth(), at));
      }
    }
    table.least("The set", "places found on white walls that are", 100.0 * right / all, "%", 100);
  }

  private static List<String> parts(Truth truth, int at) {
    return truth.parts().stream().filter(name -> truth.part(name)[at] > ON).toList();
  }

  /** The walls of each room under its own of some recipes. */
  private List<Map<String, Lab>> read(
      List<Recipe> recipes, BiFunction<Room, Recipe, Map<String, Lab>> walls) {
    return IntStream.range(0, rooms.size())
        .mapToObj(k -> walls.apply(rooms.get(k), recipes.get(k)))
        .toList();
  }

  private void tell(
      String how, List<Map<String, Lab>> before, List<Map<String, Lab>> after, double goal) {
    for (int k = 0; k < rooms.size(); k++) {
      System.out.printf(
          "  %-18s %s -> %s%n",
          rooms.get(k).view.title(), before.get(k).get(WALLS), after.get(k).get(WALLS));
    }
    System.out.printf("  before: %.2f from each other at most%n", apart(before));
    table.most(
        "The set",
        "white walls of " + rooms.size() + " rooms " + how + ", levelled, from each other",
        apart(after),
        "CIEDE2000",
        goal);
  }

  /** The greatest difference of two rooms. */
  private static double apart(List<Map<String, Lab>> views) {
    double most = 0;
    for (Map<String, Lab> a : views) {
      for (Map<String, Lab> b : views) {
        most = Math.max(most, a.get(WALLS).difference(b.get(WALLS)));
      }
    }
    return most;
  }
}
