package illuminar.server.intake;

import illuminar.core.frame.Role;
import illuminar.core.intake.Grouping;
import illuminar.files.BadPicture;
import illuminar.server.account.Member;
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

/** Reading the card and taking its frames in. */
@RestController
@RequestMapping("/api")
class IntakeController {
  private final Card card;
  private final Jobs jobs;
  private final ShootService shoots;
  private final FrameRows frames;
  private final RecipeJson json;

  IntakeController(Card card, Jobs jobs, ShootService shoots, FrameRows frames, RecipeJson json) {
    this.card = card;
    this.jobs = jobs;
    this.shoots = shoots;
    this.frames = frames;
    this.json = json;
  }

  record CardFrame(
      @NotNull String name,
      @NotNull Role role,
      LocalDateTime taken,
      Double stops,
      Double seconds,
      Double aperture,
      Double iso,
      boolean flash,
      int width,
      int height,
      double burnt,
      double blocked,
      boolean known) {}

  record CardView(@NotNull String name, @NotNull String anchor, @NotNull List<CardFrame> frames) {}

  record CardSheet(@NotNull List<CardView> views, @NotNull List<Card.Refused> refused) {}

  @GetMapping("/shoots/{shoot}/card")
  CardSheet read(@AuthenticationPrincipal Member member, @PathVariable UUID shoot) {
    shoots.owned(member.studio(), shoot);
    Card.Contents contents = card.read();
    Map<String, Card.Read> byName = new HashMap<>();
    contents.files().forEach(r -> byName.put(r.name(), r));
    List<String> hashes = contents.files().stream().map(Card.Read::sha256).toList();
    Map<String, UUID> here =
        hashes.isEmpty()
            ? Map.of()
            : frames.findInShoot(shoot, hashes).stream()
                .collect(Collectors.toMap(FrameRow::sha256, FrameRow::viewId, (a, b) -> a));
    Map<UUID, String> names =
        shoots.views(shoot).stream().collect(Collectors.toMap(View::id, View::name));
    int next = names.size() + 1;
    List<CardView> views = new ArrayList<>();
    for (Grouping.View v : contents.views()) {
      List<CardFrame> list =
          v.frames().stream()
              .map(p -> frame(byName.get(p.frame().id()), p.role(), here.keySet()))
              .toList();
      // frames that are here already bear the name of their view
      String name =
          list.stream().allMatch(CardFrame::known)
              ? names.get(here.get(byName.get(list.get(0).name()).sha256()))
              : "View " + next++;
      views.add(new CardView(name, v.anchor(), list));
    }
    return new CardSheet(views, contents.refused());
  }

  private static CardFrame frame(Card.Read r, Role role, Set<String> here) {
    var e = r.capture().exposure();
    return new CardFrame(
        r.name(),
        role,
        r.capture().taken().orElse(null),
        e.map(x -> x.stops()).orElse(null),
        e.map(x -> x.seconds()).orElse(null),
        e.map(x -> x.aperture()).orElse(null),
        e.map(x -> x.iso()).orElse(null),
        r.capture().flash(),
        r.header().width(),
        r.header().height(),
        r.burnt(),
        r.blocked(),
        here.contains(r.sha256()));
  }

  @GetMapping(value = "/card/{name}/thumb", produces = MediaType.IMAGE_JPEG_VALUE)
  ResponseEntity<byte[]> thumb(@PathVariable String name) {
    try {
      return ResponseEntity.ok()
          .cacheControl(CacheControl.noCache().cachePrivate())
          .body(card.read(name).thumb());
    } catch (BadPicture e) {
      throw new Problem(HttpStatus.UNPROCESSABLE_CONTENT, e.getMessage());
    }
  }

  record Wanted(@NotNull String name, @NotNull Role role) {}

  record WantedView(@NotNull String name, @NotNull String anchor, @NotNull List<Wanted> frames) {}

  record IntakeOrder(@NotNull List<WantedView> views) {}

  @PostMapping("/shoots/{shoot}/intake")
  @ResponseStatus(HttpStatus.ACCEPTED)
  Jobs.Told accept(
      @AuthenticationPrincipal Member member,
      @PathVariable UUID shoot,
      @RequestBody IntakeOrder order) {
    shoots.owned(member.studio(), shoot);
    Set<String> names = new HashSet<>();
    for (WantedView v : order.views()) {
      Names.checked("view", v.name());
      if (v.frames().isEmpty() || v.frames().stream().noneMatch(f -> f.name().equals(v.anchor()))) {
        throw new Problem(
            HttpStatus.UNPROCESSABLE_CONTENT,
            v.name() + " needs frames and one of them as anchor.");
      }
      for (Wanted f : v.frames()) {
        card.path(f.name());
        if (!names.add(f.name())) {
          throw new Problem(HttpStatus.UNPROCESSABLE_CONTENT, f.name() + " is in two views.");
        }
      }
    }
    if (names.isEmpty()) {
      throw new Problem(HttpStatus.UNPROCESSABLE_CONTENT, "No frames were chosen.");
    }
    List<IntakeWork.PlannedView> plan =
        order.views().stream()
            .map(
                v ->
                    new IntakeWork.PlannedView(
                        UUID.randomUUID(),
                        Names.checked("view", v.name()),
                        v.anchor(),
                        v.frames().stream()
                            .map(f -> new IntakeWork.PlannedFrame(f.name(), f.role()))
                            .toList()))
            .toList();
    Job job =
        new Job(member.studio(), shoot, IntakeWork.KIND, json.write(new IntakeWork.Plan(plan)));
    return jobs.told(jobs.start(job));
  }
}
