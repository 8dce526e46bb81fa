package illuminar.server.delivery;

import illuminar.server.account.Member;
import illuminar.server.job.Job;
import illuminar.server.job.Jobs;
import illuminar.server.recipe.RecipeJson;
import illuminar.server.shoot.ShootService;
import illuminar.server.shoot.View;
import illuminar.server.web.Problem;
import jakarta.validation.constraints.NotNull;
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

  DeliveryController(ShootService shoots, Jobs jobs, RecipeJson json, DeliveredFiles files) {
    this.shoots = shoots;
    this.jobs = jobs;
    this.json = json;
    this.files = files;
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

  @PostMapping("/shoots/{shoot}/delivery")
  @ResponseStatus(HttpStatus.ACCEPTED)
  Jobs.Told order(
      @AuthenticationPrincipal Member member,
      @PathVariable UUID shoot,
      @RequestBody DeliveryWork.DeliveryOrder order) {
    shoots.owned(member.studio(), shoot);
    List<UUID> here =
        shoots.views(shoot).stream()
            .filter(v -> v.state() != View.State.NEW)
            .map(View::id)
            .toList();
    if (order.views().isEmpty() || order.formats().isEmpty()) {
      throw new Problem(
          HttpStatus.UNPROCESSABLE_ENTITY, "Choose at least one view and one format.");
    }
    if (!here.containsAll(order.views())) {
      throw new Problem(
          HttpStatus.UNPROCESSABLE_ENTITY,
          "A view in this order is not lined up, or not of this shoot.");
    }
    if (order.longEdge() != 0 && (order.longEdge() < 64 || order.longEdge() > 30_000)
        || order.quality() < 40
        || order.quality() > 100) {
      throw new Problem(
          HttpStatus.UNPROCESSABLE_ENTITY, "Long edge is 64 to 30000 px, quality 40 to 100.");
    }
    return jobs.told(
        jobs.start(new Job(member.studio(), shoot, Job.Kind.DELIVERY, json.write(order))));
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

  @GetMapping("/delivered/{id}")
  ResponseEntity<Resource> fetch(@AuthenticationPrincipal Member member, @PathVariable UUID id) {
    Delivered d = files.findOwned(id, member.studio()).orElseThrow(() -> Problem.notFound("file"));
    Resource file = new FileSystemResource(d.path());
    if (!file.exists()) {
      throw new Problem(HttpStatus.GONE, d.name() + " is no longer kept; deliver it again.");
    }
    String type =
        d.format().startsWith("JPEG")
            ? "image/jpeg"
            : d.format().startsWith("PNG") ? "image/png" : "image/tiff";
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
