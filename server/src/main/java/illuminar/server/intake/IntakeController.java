package illuminar.server.intake;

import illuminar.core.frame.Role;
import illuminar.core.intake.Grouping;
import illuminar.files.BadPicture;
import illuminar.files.Optics;
import illuminar.server.account.Member;
import illuminar.server.account.Right;
import illuminar.server.job.Job;
import illuminar.server.job.Jobs;
import illuminar.server.recipe.RecipeJson;
import illuminar.server.shoot.FrameRow;
import illuminar.server.shoot.FrameRows;
import illuminar.server.shoot.Names;
import illuminar.server.shoot.ShootService;
import illuminar.server.shoot.View;
import illuminar.server.web.Problem;
import jakarta.validation.constraints.NotNull;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Reading what waits, and taking frames in. */
@RestController
@RequestMapping("/api")
class IntakeController {
  private final Sources sources;
  private final Jobs jobs;
  private final ShootService shoots;
  private final FrameRows frames;
  private final RecipeJson json;

  IntakeController(
      Sources sources, Jobs jobs, ShootService shoots, FrameRows frames, RecipeJson json) {
    this.sources = sources;
    this.jobs = jobs;
    this.shoots = shoots;
    this.frames = frames;
    this.json = json;
  }

  /**
   * A frame that waits.
   *
   * @param id of its file among those that wait
   */
  record WaitingFrame(
      @NotNull String id,
      @NotNull String name,
      @NotNull Role role,
      LocalDateTime taken,
      Double stops,
      Double seconds,
      Double aperture,
      Double iso,
      Double focal,
      boolean flash,
      int width,
      int height,
      double burnt,
      double blocked,
      boolean known) {}

  record WaitingView(
      @NotNull String name, @NotNull String anchor, @NotNull List<WaitingFrame> frames) {}

  record WaitingSheet(@NotNull List<WaitingView> views, @NotNull List<Sources.Refused> refused) {}

  @GetMapping("/shoots/{shoot}/waiting")
  WaitingSheet read(@AuthenticationPrincipal Member member, @PathVariable UUID shoot) {
    shoots.owned(member.studio(), shoot);
    Sources.Contents contents = sources.read(shoot);
    Map<String, Sources.Frame> byId = new HashMap<>();
    contents.files().forEach(f -> byId.put(f.id(), f));
    List<String> hashes = contents.files().stream().map(f -> f.read().sha256()).toList();
    Map<String, UUID> here =
        hashes.isEmpty()
            ? Map.of()
            : frames.findInShoot(shoot, hashes).stream()
                .collect(Collectors.toMap(FrameRow::sha256, FrameRow::viewId, (a, b) -> a));
    Map<UUID, String> names =
        shoots.views(shoot).stream().collect(Collectors.toMap(View::id, View::name));
    int next = names.size() + 1;
    List<WaitingView> views = new ArrayList<>();
    for (Grouping.View v : contents.views()) {
      List<WaitingFrame> list =
          v.frames().stream()
              .map(p -> frame(byId.get(p.frame().id()), p.role(), here.keySet()))
              .toList();
      // frames that are here already bear the name of their view
      String name =
          list.stream().allMatch(WaitingFrame::known)
              ? names.get(here.get(byId.get(list.get(0).id()).read().sha256()))
              : "View " + next++;
      views.add(new WaitingView(name, v.anchor(), list));
    }
    return new WaitingSheet(views, contents.refused());
  }

  private static WaitingFrame frame(Sources.Frame f, Role role, Set<String> here) {
    FrameReader.Read r = f.read();
    var e = r.capture().exposure();
    return new WaitingFrame(
        f.id(),
        f.name(),
        role,
        r.capture().taken().orElse(null),
        e.map(x -> x.stops()).orElse(null),
        e.map(x -> x.seconds()).orElse(null),
        e.map(x -> x.aperture()).orElse(null),
        e.map(x -> x.iso()).orElse(null),
        focal(r.capture().optics()),
        r.capture().flash(),
        r.header().width(),
        r.header().height(),
        r.burnt(),
        r.blocked(),
        here.contains(r.sha256()));
  }

  private static Double focal(Optics optics) {
    return optics.focal().isPresent() ? (Double) optics.focal().getAsDouble() : null;
  }

  @GetMapping(
      value = "/shoots/{shoot}/waiting/{source}/{name}/thumb",
      produces = MediaType.IMAGE_JPEG_VALUE)
  ResponseEntity<byte[]> thumb(
      @AuthenticationPrincipal Member member,
      @PathVariable UUID shoot,
      @PathVariable String source,
      @PathVariable String name) {
    shoots.owned(member.studio(), shoot);
    try {
      return ResponseEntity.ok()
          .cacheControl(CacheControl.noCache().cachePrivate())
          .body(sources.read(sources.file(shoot, source + "/" + name)).thumb());
    } catch (BadPicture e) {
      throw new Problem(HttpStatus.UNPROCESSABLE_CONTENT, e.getMessage());
    }
  }

  record Wanted(@NotNull String id, @NotNull Role role) {}

  /**
   * Frames that are to be taken in together.
   *
   * @param into the view that they come to; nothing for a new one
   * @param anchor of a new view, id of one of the frames
   */
  record WantedView(
      UUID into, @NotNull String name, @NotNull String anchor, @NotNull List<Wanted> frames) {}

  record IntakeOrder(@NotNull List<WantedView> views) {}

  @Right.ToTakeIn
  @PostMapping("/shoots/{shoot}/intake")
  @ResponseStatus(HttpStatus.ACCEPTED)
  Jobs.Told accept(
      @AuthenticationPrincipal Member member,
      @PathVariable UUID shoot,
      @RequestBody IntakeOrder order) {
    shoots.owned(member.studio(), shoot);
    Map<UUID, String> there =
        shoots.views(shoot).stream().collect(Collectors.toMap(View::id, View::name));
    Set<String> names = new HashSet<>();
    for (WantedView v : order.views()) {
      check(v, there);
      for (Wanted f : v.frames()) {
        Source.Waiting file = sources.file(shoot, f.id());
        if (!names.add(f.id())) {
          throw new Problem(HttpStatus.UNPROCESSABLE_CONTENT, file.name() + " is in two views.");
        }
      }
    }
    if (names.isEmpty()) {
      throw new Problem(HttpStatus.UNPROCESSABLE_CONTENT, "No frames were chosen.");
    }
    IntakeWork.Plan plan =
        new IntakeWork.Plan(
            order.views().stream()
                .filter(v -> v.into() == null)
                .map(v -> planned(v, UUID.randomUUID(), Names.checked("view", v.name())))
                .toList(),
            order.views().stream()
                .filter(v -> v.into() != null)
                .map(v -> planned(v, v.into(), there.get(v.into())))
                .toList());
    Job job = new Job(member.studio(), shoot, IntakeWork.KIND, json.write(plan));
    return jobs.told(jobs.start(job));
  }

  private static void check(WantedView v, Map<UUID, String> there) {
    if (v.into() != null) {
      if (!there.containsKey(v.into())) {
        throw Problem.notFound("view");
      }
      return;
    }
    Names.checked("view", v.name());
    if (v.frames().isEmpty() || v.frames().stream().noneMatch(f -> f.id().equals(v.anchor()))) {
      throw new Problem(
          HttpStatus.UNPROCESSABLE_CONTENT, v.name() + " needs frames and one of them as anchor.");
    }
  }

  private static IntakeWork.PlannedView planned(WantedView v, UUID id, String name) {
    return new IntakeWork.PlannedView(
        id,
        name,
        v.anchor(),
        v.frames().stream().map(f -> new IntakeWork.PlannedFrame(f.id(), f.role())).toList());
  }
}
