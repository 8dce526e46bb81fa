package illuminar.server.job;

import illuminar.server.account.Member;
import illuminar.server.shoot.ShootService;
import java.util.List;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/** Progress of long work. */
@RestController
@RequestMapping("/api")
class JobController {
  private final Jobs jobs;
  private final ShootService shoots;

  JobController(Jobs jobs, ShootService shoots) {
    this.jobs = jobs;
    this.shoots = shoots;
  }

  @GetMapping("/shoots/{shoot}/jobs")
  List<Jobs.Told> all(@AuthenticationPrincipal Member member, @PathVariable UUID shoot) {
    shoots.owned(member.studio(), shoot);
    return jobs.of(member.studio(), shoot).stream().map(jobs::told).toList();
  }

  @GetMapping(value = "/shoots/{shoot}/progress", produces = MediaType.TEXT_EVENT_STREAM_VALUE)
  SseEmitter progress(@AuthenticationPrincipal Member member, @PathVariable UUID shoot) {
    shoots.owned(member.studio(), shoot);
    return jobs.listen(
        shoot, jobs.of(member.studio(), shoot).stream().filter(j -> !j.over()).toList());
  }

  @DeleteMapping("/jobs/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void cancel(@AuthenticationPrincipal Member member, @PathVariable UUID id) {
    jobs.cancel(member.studio(), id);
  }
}
