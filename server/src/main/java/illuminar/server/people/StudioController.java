package illuminar.server.people;

import illuminar.server.account.Accounts;
import illuminar.server.account.Member;
import illuminar.server.account.Right;
import illuminar.server.account.Studio;
import illuminar.server.account.StudioRole;
import illuminar.server.account.Studios;
import illuminar.server.audit.Audit;
import illuminar.server.web.Problem;
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

/** The studio as its owners see and change it. */
@RestController
@RequestMapping("/api/studio")
@Right.ToRunStudio
class StudioController {
  private final Studios studios;
  private final Accounts accounts;
  private final Invitations invitations;
  private final People people;
  private final Audit audit;

  StudioController(
      Studios studios, Accounts accounts, Invitations invitations, People people, Audit audit) {
    this.studios = studios;
    this.accounts = accounts;
    this.invitations = invitations;
    this.people = people;
    this.audit = audit;
  }

  record Person(
      @NotNull UUID id,
      @NotNull String name,
      @NotNull String email,
      @NotNull StudioRole role,
      boolean you) {}

  record Invited(
      @NotNull UUID id, @NotNull StudioRole role, @NotNull String by, @NotNull Instant until) {}

  /** Something that somebody did. */
  record AuditEntry(@NotNull Instant at, @NotNull String who, @NotNull String said) {}

  record StudioSheet(
      @NotNull String name,
      @NotNull String copyright,
      @NotNull List<Person> people,
      @NotNull List<Invited> invited,
      @NotNull List<AuditEntry> audit) {}

  record StudioNames(@NotNull String name, @NotNull String copyright) {}

  record InRole(@NotNull StudioRole role) {}

  /**
   * @param link end of the address that somebody joins at; it is told this once
   */
  record InvitationLink(@NotNull String link) {}

  @GetMapping
  StudioSheet all(@AuthenticationPrincipal Member member) {
    Studio studio = studio(member);
    return new StudioSheet(
        studio.name(),
        studio.copyright(),
        accounts.findByStudioIdOrderByName(studio.id()).stream()
            .map(
                a ->
                    new Person(
                        a.id(), a.name(), a.email(), a.role(), a.id().equals(member.account())))
            .toList(),
        invitations.findByStudioIdOrderByUntil(studio.id()).stream()
            .filter(Invitation::good)
            .map(i -> new Invited(i.id(), i.role(), i.invitedBy(), i.until()))
            .toList(),
        audit.newest(studio.id()).stream()
            .map(l -> new AuditEntry(l.at(), l.who(), l.said()))
            .toList());
  }

  private Studio studio(Member member) {
    return studios.findById(member.studio()).orElseThrow(() -> Problem.notFound("studio"));
  }

  @PutMapping
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void change(@AuthenticationPrincipal Member member, @RequestBody StudioNames body) {
    Studio studio = studio(member);
    studio.change(body.name(), body.copyright());
    studios.save(studio);
  }

  @PostMapping("/invitations")
  @ResponseStatus(HttpStatus.CREATED)
  InvitationLink invite(@AuthenticationPrincipal Member member, @RequestBody InRole body) {
    return new InvitationLink("/invitations/" + people.invite(member, body.role()));
  }

  @DeleteMapping("/invitations/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void withdraw(@AuthenticationPrincipal Member member, @PathVariable UUID id) {
    people.withdraw(member, id);
  }

  @PutMapping("/people/{id}/role")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void change(
      @AuthenticationPrincipal Member member, @PathVariable UUID id, @RequestBody InRole body) {
    people.change(member, id, body.role());
  }

  @DeleteMapping("/people/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void remove(@AuthenticationPrincipal Member member, @PathVariable UUID id) {
    people.remove(member, id);
  }
}
