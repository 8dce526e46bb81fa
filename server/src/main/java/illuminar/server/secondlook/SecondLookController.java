package illuminar.server.secondlook;

import illuminar.server.account.Member;
import illuminar.server.shoot.ShootService;
import illuminar.server.shoot.View;
import jakarta.validation.constraints.NotNull;
import java.time.Instant;
import java.util.List;
import java.util.Objects;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Views that rest and come back, what is judged of views, and notes on them. */
@RestController
@RequestMapping("/api")
class SecondLookController {
  private final SecondLook looks;
  private final ShootService shoots;

  SecondLookController(SecondLook looks, ShootService shoots) {
    this.looks = looks;
    this.shoots = shoots;
  }

  /**
   * A view that rests.
   *
   * @param due whether its time is over
   */
  record RestingView(
      @NotNull UUID view,
      @NotNull String name,
      @NotNull UUID shoot,
      @NotNull String shootName,
      @NotNull String note,
      @NotNull Instant until,
      boolean due) {}

  /** All views of the studio that rest, the first to be seen in front. */
  @GetMapping("/second-look")
  List<RestingView> resting(@AuthenticationPrincipal Member member) {
    return looks.resting(member.studio()).stream().map(v -> card(member, v)).toList();
  }

  private RestingView card(Member member, View view) {
    Instant until = view.restsUntil().orElseThrow();
    return new RestingView(
        view.id(),
        view.name(),
        view.shootId(),
        shoots.owned(member.studio(), view.shootId()).name(),
        view.note(),
        until,
        !until.isAfter(Instant.now()));
  }

  /**
   * What is judged of views.
   *
   * @param until when a view that rests is seen again
   */
  record Judging(@NotNull List<UUID> views, @NotNull SecondLook.Judged judged, Instant until) {
    Judging {
      views = views == null ? List.of() : views.stream().filter(Objects::nonNull).toList();
      if (views.isEmpty() || judged == null) {
        throw new IllegalArgumentException("Say which views are judged, and as what.");
      }
    }
  }

  @PostMapping("/views/judged")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void judge(@AuthenticationPrincipal Member member, @RequestBody Judging body) {
    looks.judge(member.studio(), body.views(), body.judged(), body.until());
  }

  record Note(@NotNull String note) {}

  @PutMapping("/views/{id}/note")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void note(@AuthenticationPrincipal Member member, @PathVariable UUID id, @RequestBody Note body) {
    looks.note(member.studio(), id, body.note());
  }
}
