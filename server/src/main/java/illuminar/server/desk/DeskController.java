package illuminar.server.desk;

import illuminar.server.account.Member;
import illuminar.server.delivery.Delivered;
import illuminar.server.delivery.DeliveredFiles;
import illuminar.server.job.Job;
import illuminar.server.job.Jobs;
import illuminar.server.recipe.RecipeJson;
import illuminar.server.shoot.ShootService;
import illuminar.server.web.Problem;
import jakarta.validation.constraints.NotNull;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Sending deliveries to the listing desk, and what it answered. */
@RestController
@RequestMapping("/api/shoots/{shoot}")
class DeskController {
  private final ShootService shoots;
  private final DeliveredFiles files;
  private final DeskAnswerRows answers;
  private final ListingDesk desk;
  private final Jobs jobs;
  private final RecipeJson json;

  DeskController(
      ShootService shoots,
      DeliveredFiles files,
      DeskAnswerRows answers,
      ListingDesk desk,
      Jobs jobs,
      RecipeJson json) {
    this.shoots = shoots;
    this.files = files;
    this.answers = answers;
    this.desk = desk;
    this.jobs = jobs;
    this.json = json;
  }

  /** Sends the files of a delivery; the answers come as a job goes on. */
  @PostMapping("/deliveries/{job}/desk")
  @ResponseStatus(HttpStatus.ACCEPTED)
  Jobs.Told send(
      @AuthenticationPrincipal Member member, @PathVariable UUID shoot, @PathVariable UUID job) {
    shoots.owned(member.studio(), shoot);
    if (files.ofShoot(shoot).stream().noneMatch(f -> f.jobId().equals(job))) {
      throw Problem.notFound("delivery");
    }
    String subject = json.write(new DeskWork.Subject(job));
    return jobs.told(jobs.start(new Job(member.studio(), shoot, DeskWork.KIND, subject)));
  }

  /**
   * What the desk said of one file.
   *
   * @param file id of the delivered file
   * @param job id of its delivery
   */
  record FileAnswer(
      @NotNull UUID file,
      @NotNull UUID job,
      @NotNull UUID view,
      @NotNull String name,
      boolean accepted,
      @NotNull List<String> objections,
      @NotNull Instant answered) {}

  /**
   * All answers of a shoot, the newest deliveries first.
   *
   * @param simulated whether the desk is the stand-in
   */
  record DeskSheet(boolean simulated, @NotNull List<FileAnswer> answers) {}

  @GetMapping("/desk")
  DeskSheet answers(@AuthenticationPrincipal Member member, @PathVariable UUID shoot) {
    shoots.owned(member.studio(), shoot);
    Map<UUID, Delivered> delivered = new LinkedHashMap<>();
    files.ofShoot(shoot).forEach(f -> delivered.put(f.id(), f));
    Map<UUID, DeskAnswerRow> said = new LinkedHashMap<>();
    answers.findAllById(delivered.keySet()).forEach(a -> said.put(a.deliveredId(), a));
    return new DeskSheet(
        desk.simulated(),
        delivered.values().stream()
            .filter(f -> said.containsKey(f.id()))
            .map(f -> answer(f, said.get(f.id())))
            .toList());
  }

  private static FileAnswer answer(Delivered file, DeskAnswerRow said) {
    return new FileAnswer(
        file.id(),
        file.jobId(),
        file.viewId(),
        file.name(),
        said.accepted(),
        said.objections(),
        said.answered());
  }
}
