package illuminar.server.regroup;

import illuminar.server.account.Member;
import illuminar.server.account.Right;
import illuminar.server.job.Jobs;
import jakarta.validation.constraints.NotNull;
import java.util.List;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Arranging the frames of views that were taken in. */
@RestController
@RequestMapping("/api")
@Right.ToTakeIn
class RegroupController {
  private final Regroup regroup;
  private final Jobs jobs;

  RegroupController(Regroup regroup, Jobs jobs) {
    this.regroup = regroup;
    this.jobs = jobs;
  }

  /**
   * What came of it.
   *
   * @param job that lines up what has changed; not there where nothing has
   * @param lost what recipes could not keep as it was
   */
  record Regrouped(Jobs.Told job, @NotNull List<String> lost) {}

  @PutMapping("/shoots/{id}/frames")
  @ResponseStatus(HttpStatus.ACCEPTED)
  Regrouped arrange(
      @AuthenticationPrincipal Member member,
      @PathVariable UUID id,
      @RequestBody Arrangement wanted) {
    Regroup.Done done = regroup.arrange(member, id, wanted);
    return new Regrouped(done.job().map(jobs::told).orElse(null), done.lost());
  }

  @PostMapping("/views/{id}/line-up")
  @ResponseStatus(HttpStatus.ACCEPTED)
  Jobs.Told again(@AuthenticationPrincipal Member member, @PathVariable UUID id) {
    return jobs.told(regroup.again(member, id));
  }

  @PostMapping("/views/{id}/read-again")
  @ResponseStatus(HttpStatus.ACCEPTED)
  Jobs.Told readAgain(@AuthenticationPrincipal Member member, @PathVariable UUID id) {
    return jobs.told(regroup.readAgain(member, id));
  }

  @PostMapping("/bin/frames/{id}/restore")
  @ResponseStatus(HttpStatus.ACCEPTED)
  Jobs.Told bringBack(@AuthenticationPrincipal Member member, @PathVariable UUID id) {
    return jobs.told(regroup.bringBack(member, id));
  }
}
