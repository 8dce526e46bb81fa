package illuminar.server.delivery;

import illuminar.server.account.Member;
import illuminar.server.audit.Audit;
import illuminar.server.delivery.format.Formats;
import illuminar.server.job.Job;
import illuminar.server.job.Jobs;
import illuminar.server.recipe.RecipeJson;
import illuminar.server.shoot.Shoot;
import illuminar.server.shoot.ShootService;
import illuminar.server.shoot.View;
import illuminar.server.web.Problem;
import jakarta.validation.constraints.NotNull;
import java.io.IOException;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.springframework.core.io.Resource;
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
import org.springframework.web.servlet.mvc.method.annotation.StreamingResponseBody;

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
  private final Parcels parcels;

  DeliveryController(
      ShootService shoots,
      Jobs jobs,
      RecipeJson json,
      DeliveredFiles files,
      Formats formats,
      Audit audit,
      Parcels parcels) {
    this.shoots = shoots;
    this.jobs = jobs;
    this.json = json;
    this.files = files;
    this.formats = formats;
    this.audit = audit;
    this.parcels = parcels;
  }

  record File(
      @NotNull UUID id,
      @NotNull UUID job,
      @NotNull UUID view,
      @NotNull String name,
      @NotNull String format,
      @NotNull String specification,
      @NotNull Instant made,
      long bytes,
      int width,
      int height) {}

  @PostMapping("/shoots/{shoot}/delivery")
  @ResponseStatus(HttpStatus.ACCEPTED)
  Jobs.Told order(
      @AuthenticationPrincipal Member member,
      @PathVariable UUID shoot,
      @RequestBody DeliveryOrder order) {
    Shoot of = shoots.owned(member.studio(), shoot);
    List<UUID> here = shoots.linedUp(shoot).stream().map(View::id).toList();
    order.specifications().forEach(formats::check);
    List<String> endings =
        order.specifications().stream().map(f -> formats.of(f.format()).ending()).toList();
    FileNames.check(order.views().size(), order.specifications(), endings);
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
                    d.specification(),
                    d.made(),
                    d.bytes(),
                    d.width(),
                    d.height()))
        .toList();
  }

  @GetMapping("/delivered/{id}")
  ResponseEntity<Resource> fetch(@AuthenticationPrincipal Member member, @PathVariable UUID id)
      throws IOException {
    Delivered file =
        files.findOwned(id, member.studio()).orElseThrow(() -> Problem.notFound("file"));
    return parcels.one(file, true);
  }

  @GetMapping("/shoots/{shoot}/deliveries/{job}/files.zip")
  ResponseEntity<StreamingResponseBody> zip(
      @AuthenticationPrincipal Member member, @PathVariable UUID shoot, @PathVariable UUID job)
      throws IOException {
    Shoot of = shoots.owned(member.studio(), shoot);
    return parcels.all(
        of.name(), files.ofShoot(shoot).stream().filter(f -> f.jobId().equals(job)).toList());
  }
}
