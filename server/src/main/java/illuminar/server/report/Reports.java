package illuminar.server.report;

import illuminar.core.colour.Lab;
import illuminar.core.geometry.Geometry;
import illuminar.core.ground.Ground;
import illuminar.core.pass.Pass;
import illuminar.core.recipe.Recipe;
import illuminar.core.recipe.Sentence;
import illuminar.server.account.Studios;
import illuminar.server.cover.Covers;
import illuminar.server.delivery.Delivered;
import illuminar.server.delivery.DeliveredFiles;
import illuminar.server.level.Surfaces;
import illuminar.server.recipe.History;
import illuminar.server.recipe.RecipeService;
import illuminar.server.shoot.FrameRow;
import illuminar.server.shoot.Shoot;
import illuminar.server.shoot.ShootService;
import illuminar.server.shoot.View;
import illuminar.server.web.Problem;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Gathers what there is to report of a delivery. */
@Component
class Reports {
  private static final DateTimeFormatter WHEN =
      DateTimeFormatter.ofPattern("d MMMM uuuu, HH:mm 'UTC'", Locale.ENGLISH);

  private static final int EDGE = 1200;

  private final ShootService shoots;
  private final Studios studios;
  private final DeliveredFiles files;
  private final RecipeService recipes;
  private final History history;
  private final Covers covers;
  private final Surfaces surfaces;

  Reports(
      ShootService shoots,
      Studios studios,
      DeliveredFiles files,
      RecipeService recipes,
      History history,
      Covers covers,
      Surfaces surfaces) {
    this.shoots = shoots;
    this.studios = studios;
    this.files = files;
    this.recipes = recipes;
    this.history = history;
    this.covers = covers;
    this.surfaces = surfaces;
  }

  /** The report of one delivery of a shoot. */
  Report of(UUID studio, Shoot shoot, UUID job) {
    Map<UUID, List<Delivered>> byView = new LinkedHashMap<>();
    for (Delivered d : files.findByJobIdOrderByName(job)) {
      byView.computeIfAbsent(d.viewId(), v -> new ArrayList<>()).add(d);
    }
    List<View> views =
        shoots.views(shoot.id()).stream().filter(v -> byView.containsKey(v.id())).toList();
    if (views.isEmpty()) {
      throw Problem.notFound("delivery of this shoot");
    }
    Delivered first = byView.get(views.get(0).id()).get(0);
    return new Report(
        studios.findById(studio).orElseThrow().name(),
        shoot.name(),
        WHEN.format(first.made().atOffset(ZoneOffset.UTC)),
        views.stream().map(v -> part(v, byView.get(v.id()))).toList());
  }

  private Report.ViewPart part(View view, List<Delivered> delivered) {
    int revision = delivered.get(0).revision();
    Recipe recipe = revision == 0 ? recipes.state(view).recipe() : history.at(view, revision);
    Recipe camera =
        new Recipe(new Ground.OneFrame(view.anchorId().toString()), List.of(), List.of())
            .with(recipe.geometry());
    Map<String, FrameRow> rows = new HashMap<>();
    shoots.frames(view.id()).forEach(f -> rows.put(f.id().toString(), f));
    return new Report.ViewPart(
        view.name(),
        covers.drawn(view, camera, EDGE),
        covers.drawn(view, recipe, EDGE),
        steps(recipe, rows),
        recipe.frames().stream().map(rows::get).filter(f -> f != null).map(Reports::frame).toList(),
        surfaces(view),
        delivered.stream()
            .map(d -> "%s, %d × %d px".formatted(d.name(), d.width(), d.height()))
            .toList());
  }

  private static List<String> steps(Recipe recipe, Map<String, FrameRow> rows) {
    List<String> out = new ArrayList<>();
    out.add(ground(recipe.ground(), rows));
    for (Pass pass : recipe.passes()) {
      if (recipe.active(pass)) {
        out.add(Sentence.of(pass, recipe, id -> name(rows, id)));
      }
    }
    Geometry g = recipe.geometry();
    if (g.moves()) {
      out.add("Set upright, straightened or cropped.");
    }
    return out;
  }

  private static String ground(Ground ground, Map<String, FrameRow> rows) {
    if (ground instanceof Ground.OneFrame one) {
      return "Begin with " + name(rows, one.frame()) + " alone.";
    }
    int n = ground.sources().size();
    return ground instanceof Ground.EvenBlend
        ? "Blend " + n + " frames into one picture."
        : "Merge " + n + " frames into one picture of a high range.";
  }

  private static String name(Map<String, FrameRow> rows, String id) {
    return Optional.ofNullable(rows.get(id)).map(FrameRow::name).orElse("a frame that is gone");
  }

  private static String frame(FrameRow f) {
    String role = f.role().name().toLowerCase(Locale.ROOT).replace('_', ' ');
    if (!f.stopsKnown()) {
      return f.name() + ", " + role;
    }
    String seconds =
        f.seconds() < 0.3
            ? "1/" + Math.round(1 / f.seconds())
            : String.format(Locale.ROOT, "%.1f", f.seconds());
    return String.format(
        Locale.ROOT,
        "%s, %s: %s s, f/%.1f, ISO %.0f",
        f.name(),
        role,
        seconds,
        f.aperture(),
        f.iso());
  }

  private List<String> surfaces(View view) {
    List<String> out = new ArrayList<>();
    surfaces.known(view).orElse(Map.of()).forEach((name, lab) -> out.add(reading(name, lab)));
    return out;
  }

  private static String reading(String name, Lab lab) {
    return String.format(
        Locale.ROOT, "%s: L* %.1f, a* %+.1f, b* %+.1f", name, lab.l(), lab.a(), lab.b());
  }
}
