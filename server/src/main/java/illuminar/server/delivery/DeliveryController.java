package illuminar.server.delivery;

import illuminar.server.account.Member;
import illuminar.server.audit.Audit;
import illuminar.server.job.Job;
import illuminar.server.job.Jobs;
import illuminar.server.recipe.RecipeJson;
import illuminar.server.shoot.Shoot;
import illuminar.server.shoot.ShootService;
import illuminar.server.shoot.View;
import illuminar.server.storage.Store;
import illuminar.server.web.Problem;
import jakarta.validation.constraints.NotNull;
import java.io.IOException;
import java.nio.file.NoSuchFileException;
import java.util.List;
import java.util.UUID;
import org.springframework.core.io.FileSystemResource;
import org.springframework.core.io.Resource;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Ordering finished files and fetching them. */
@RestController
@RequestMapping("/api")
class DeliveryController {
  private final ShootService shoots;
  private final Jobs jobs;
  private final RecipeJson json;
  private final DeliveredFiles files;
  private final Formats formats;
  private final Audit audit;
  private final Store store;

  DeliveryController(
      ShootService shoots,
      Jobs jobs,
      RecipeJson json,
      DeliveredFiles files,
      Formats formats,
      Audit audit,
      Store store) {
    this.shoots = shoots;
    this.jobs = jobs;
    this.json = json;
    this.files = files;
    this.formats = formats;
    this.audit = audit;
    this.store = store;
  }

  record File(
      @NotNull UUID id,
      @NotNull UUID job,
      @NotNull UUID view,
      @NotNull String name,
      @NotNull String format,
      long bytes,
      int width,
      int height) {}

  /** A format as it is offered. */
  record FormatCard(
      @NotNull String id, @NotNull String name, @NotNull String ending, boolean lossy) {}

  @GetMapping("/formats")
  List<FormatCard> formats() {
    return formats.all().stream()
        .map(f -> new FormatCard(f.id(), f.name(), f.ending(), f.lossy()))
        .toList();
  }

  @PostMapping("/shoots/{shoot}/delivery")
  @ResponseStatus(HttpStatus.ACCEPTED)
  Jobs.Told order(
      @AuthenticationPrincipal Member member,
      @PathVariable UUID shoot,
      @RequestBody DeliveryOrder order) {
    Shoot of = shoots.owned(member.studio(), shoot);
    List<UUID> here =
        shoots.views(shoot).stream()
            .filter(v -> v.state() != View.State.NEW)
            .map(View::id)
            .toList();
    order.formats().forEach(formats::of);
    if (!here.containsAll(order.views())) {
      throw new Problem(
          HttpStatus.UNPROCESSABLE_CONTENT,
          "A view in this order is not lined up, or not of this shoot.");
    }
    int n = order.views().size();
    audit.note(
        member.studio(),
        member.account(),
        "ordered the delivery of " + n + (n == 1 ? " view of " : " views of ") + of.name());
    return jobs.told(
        jobs.start(new Job(member.studio(), shoot, DeliveryWork.KIND, json.write(order))));
  }

  @GetMapping("/shoots/{shoot}/delivered")
  List<File> all(@AuthenticationPrincipal Member member, @PathVariable UUID shoot) {
    shoots.owned(member.studio(), shoot);
    return files.ofShoot(shoot).stream()
        .map(
            d ->
                new File(
                    d.id(),
                    d.jobId(),
                    d.viewId(),
                    d.name(),
                    d.format(),
                    d.bytes(),
                    d.width(),
                    d.height()))
        .toList();
  }

  private Resource kept(Delivered file) throws IOException {
    try {
      return new FileSystemResource(store.find(file.path()));
    } catch (NoSuchFileException e) {
      throw new Problem(HttpStatus.GONE, file.name() + " is no longer kept; deliver it again.");
    }
  }

  @GetMapping("/delivered/{id}")
  ResponseEntity<Resource> fetch(@AuthenticationPrincipal Member member, @PathVariable UUID id)
      throws IOException {
    Delivered d = files.findOwned(id, member.studio()).orElseThrow(() -> Problem.notFound("file"));
    Resource file = kept(d);
    String type = formats.of(d.format()).mediaType();
    return ResponseEntity.ok()
        .header(
            HttpHeaders.CONTENT_DISPOSITION,
            ContentDisposition.attachment()
                .filename(d.name(), java.nio.charset.StandardCharsets.UTF_8)
                .build()
                .toString())
        .header(HttpHeaders.CONTENT_TYPE, type)
        .body(file);
  }
}
