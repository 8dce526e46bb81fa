package illuminar.server.account;

import illuminar.server.audit.Audit;
import illuminar.server.web.Problem;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.validation.constraints.NotNull;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Signing in and out. */
@RestController
@RequestMapping("/api/session")
class SessionController {
  private final Accounts accounts;
  private final Studios studios;
  private final Passwords passwords;
  private final Sessions sessions;
  private final Attempts attempts;
  private final Audit audit;

  SessionController(
      Accounts accounts,
      Studios studios,
      Passwords passwords,
      Sessions sessions,
      Attempts attempts,
      Audit audit) {
    this.accounts = accounts;
    this.studios = studios;
    this.passwords = passwords;
    this.sessions = sessions;
    this.attempts = attempts;
    this.audit = audit;
  }

  record SignIn(@NotNull String email, @NotNull String password) {}

  /**
   * @param copyright what stands in the studio's files unless an order says something else
   */
  record Signed(
      @NotNull String name,
      @NotNull String email,
      @NotNull StudioRole role,
      @NotNull String studio,
      @NotNull String copyright) {}

  @GetMapping
  Signed who(@AuthenticationPrincipal Member member) {
    Account account =
        Optional.ofNullable(member)
            .flatMap(m -> accounts.findById(m.account()))
            .orElseThrow(() -> new Problem(HttpStatus.UNAUTHORIZED, "Please sign in."));
    return signed(account);
  }

  private Signed signed(Account account) {
    Studio studio =
        studios.findById(account.studioId()).orElseThrow(() -> Problem.notFound("studio"));
    return new Signed(
        account.name(), account.email(), account.role(), studio.name(), studio.copyright());
  }

  @PostMapping
  Signed in(@RequestBody SignIn body, HttpServletRequest request, HttpServletResponse response) {
    attempts.begin(body.email(), request.getRemoteAddr());
    Optional<Account> account = accounts.findByEmail(Account.spelled(body.email()));
    if (!passwords.right(account, body.password())) {
      throw new Problem(HttpStatus.UNAUTHORIZED, "The e-mail or the password is wrong.");
    }
    attempts.right(body.email(), request.getRemoteAddr());
    sessions.begin(account.get(), request, response);
    audit.note(account.get().studioId(), account.get().id(), "signed in");
    return signed(account.get());
  }

  @DeleteMapping
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void out(HttpServletRequest request) {
    sessions.end(request);
  }
}
