package illuminar.server.setstep;

import illuminar.server.account.Member;
import jakarta.validation.constraints.NotNull;
import java.util.List;
import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Steps of several views together, and the way back. */
@RestController
@RequestMapping("/api/shoots/{shoot}/steps")
class SetStepController {
  private final SetSteps steps;

  SetStepController(SetSteps steps) {
    this.steps = steps;
  }

  /** The last one, where it can be taken back: one or none. */
  @GetMapping
  List<SetSteps.Last> last(@AuthenticationPrincipal Member member, @PathVariable UUID shoot) {
    return steps.last(member.studio(), shoot).stream().toList();
  }

  /**
   * What could not be taken back.
   *
   * @param stayed names of views that have been changed since
   */
  record TakenBack(@NotNull List<String> stayed) {}

  @PostMapping("/{id}/undo")
  TakenBack undo(
      @AuthenticationPrincipal Member member, @PathVariable UUID shoot, @PathVariable UUID id) {
    return new TakenBack(steps.undo(member.studio(), id));
  }
}
