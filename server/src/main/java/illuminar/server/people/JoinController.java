package illuminar.server.people;

import illuminar.server.account.Account;
import illuminar.server.account.Sessions;
import illuminar.server.account.Studio;
import illuminar.server.account.StudioRole;
import illuminar.server.account.Studios;
import illuminar.server.web.Problem;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.validation.constraints.NotNull;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** How somebody who has no account gets one: as the first of all, or by invitation. */
@RestController
@RequestMapping("/api")
class JoinController {
  private final People people;
  private final Studios studios;
  private final Sessions sessions;

  JoinController(People people, Studios studios, Sessions sessions) {
    this.people = people;
    this.studios = studios;
    this.sessions = sessions;
  }

  /**
   * @param wanted whether there is nobody yet, so that a studio can be founded
   */
  record First(boolean wanted) {}

  record Founding(
      @NotNull String studio,
      @NotNull String name,
      @NotNull String email,
      @NotNull String password) {}

  record Bidding(@NotNull String studio, @NotNull StudioRole role, @NotNull String by) {}

  record Joiner(@NotNull String name, @NotNull String email, @NotNull String password) {
    People.Joining who() {
      return new People.Joining(name, email, password);
    }
  }

  @GetMapping("/first")
  First first() {
    return new First(people.nobody());
  }

  @PostMapping("/first")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void found(@RequestBody Founding body, HttpServletRequest request, HttpServletResponse response) {
    Account owner =
        people.found(body.studio(), new People.Joining(body.name(), body.email(), body.password()));
    sessions.begin(owner, request, response);
  }

  @GetMapping("/invitations/{token}")
  Bidding invitation(@PathVariable String token) {
    Invitation invitation = people.invitation(token);
    Studio studio =
        studios.findById(invitation.studioId()).orElseThrow(() -> Problem.notFound("studio"));
    return new Bidding(studio.name(), invitation.role(), invitation.invitedBy());
  }

  @PostMapping("/invitations/{token}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void join(
      @PathVariable String token,
      @RequestBody Joiner body,
      HttpServletRequest request,
      HttpServletResponse response) {
    sessions.begin(people.join(token, body.who()), request, response);
  }
}
