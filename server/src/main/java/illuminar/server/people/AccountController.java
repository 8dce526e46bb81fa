package illuminar.server.people;

import illuminar.server.account.Account;
import illuminar.server.account.Accounts;
import illuminar.server.account.Member;
import illuminar.server.account.Passwords;
import illuminar.server.account.Sessions;
import illuminar.server.audit.Audit;
import illuminar.server.web.Problem;
import jakarta.servlet.http.HttpSession;
import jakarta.validation.constraints.NotNull;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** One's own account. */
@RestController
@RequestMapping("/api/account")
class AccountController {
  private final Accounts accounts;
  private final Passwords passwords;
  private final Sessions sessions;
  private final Audit audit;

  AccountController(Accounts accounts, Passwords passwords, Sessions sessions, Audit audit) {
    this.accounts = accounts;
    this.passwords = passwords;
    this.sessions = sessions;
    this.audit = audit;
  }

  record OwnName(@NotNull String name) {}

  /**
   * @param now the password so far
   */
  record NewPassword(@NotNull String now, @NotNull String then) {}

  private Account own(Member member) {
    return accounts.findById(member.account()).orElseThrow(() -> Problem.notFound("account"));
  }

  @PutMapping("/name")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void rename(@AuthenticationPrincipal Member member, @RequestBody OwnName body) {
    Account account = own(member);
    account.rename(body.name());
    accounts.save(account);
  }

  /** Changes the password; whoever else is signed in with the old one is signed out. */
  @PutMapping("/password")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void change(
      @AuthenticationPrincipal Member member, @RequestBody NewPassword body, HttpSession session) {
    Account account = own(member);
    if (!passwords.right(Optional.of(account), body.now())) {
      throw new Problem(HttpStatus.UNPROCESSABLE_CONTENT, "The password so far is wrong.");
    }
    account.change(passwords.encoded(body.then()));
    accounts.save(account);
    sessions.endOthers(account.id(), session.getId());
    audit.note(account.studioId(), account.id(), "changed their password");
  }

  /** Signs out everywhere, here too. */
  @DeleteMapping("/sessions")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void signOutEverywhere(@AuthenticationPrincipal Member member) {
    sessions.endAll(member.account());
    audit.note(member.studio(), member.account(), "signed out everywhere");
  }
}
