package illuminar.server.alternative;

import illuminar.server.account.Member;
import jakarta.validation.constraints.NotNull;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Alternatives of a view. */
@RestController
@RequestMapping("/api/views/{view}/alternatives")
class AlternativeController {
  private final Alternatives alternatives;

  AlternativeController(Alternatives alternatives) {
    this.alternatives = alternatives;
  }

  /**
   * An alternative.
   *
   * @param chosen whether it is what is delivered
   */
  record AlternativeCard(
      @NotNull UUID id, @NotNull String name, int revision, boolean chosen, @NotNull Instant made) {
    static AlternativeCard of(Alternative a) {
      return new AlternativeCard(a.id(), a.name(), a.revision(), a.chosen(), a.made());
    }
  }

  record Keeping(@NotNull String name, int revision) {}

  record Choosing(boolean chosen) {}

  @GetMapping
  List<AlternativeCard> all(@AuthenticationPrincipal Member member, @PathVariable UUID view) {
    return alternatives.all(member.studio(), view).stream().map(AlternativeCard::of).toList();
  }

  @PostMapping
  @ResponseStatus(HttpStatus.CREATED)
  AlternativeCard keep(
      @AuthenticationPrincipal Member member, @PathVariable UUID view, @RequestBody Keeping body) {
    return AlternativeCard.of(
        alternatives.keep(member.studio(), view, body.name(), body.revision()));
  }

  @PutMapping("/{id}/chosen")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void choose(
      @AuthenticationPrincipal Member member,
      @PathVariable UUID view,
      @PathVariable UUID id,
      @RequestBody Choosing body) {
    alternatives.choose(member.studio(), view, id, body.chosen());
  }

  @DeleteMapping("/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void remove(
      @AuthenticationPrincipal Member member, @PathVariable UUID view, @PathVariable UUID id) {
    alternatives.remove(member.studio(), view, id);
  }
}
