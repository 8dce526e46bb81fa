package illuminar.server.account;

import illuminar.server.web.Problem;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.validation.constraints.NotNull;
import org.springframework.http.HttpStatus;
import org.springframework.security.authentication.AuthenticationManager;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.AuthenticationException;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.web.context.SecurityContextRepository;
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
  private final AuthenticationManager manager;
  private final SecurityContextRepository contexts;
  private final Studios studios;
  private final Attempts attempts;

  SessionController(
      AuthenticationManager manager,
      SecurityContextRepository contexts,
      Studios studios,
      Attempts attempts) {
    this.manager = manager;
    this.contexts = contexts;
    this.studios = studios;
    this.attempts = attempts;
  }

  record SignIn(@NotNull String email, @NotNull String password) {}

  /**
   * @param copyright what stands in the studio's files unless an order says something else
   */
  record Signed(
      @NotNull String name,
      @NotNull String email,
      @NotNull String studio,
      @NotNull String copyright) {}

  @GetMapping
  Signed who(@AuthenticationPrincipal Member member) {
    if (member == null) {
      throw new Problem(HttpStatus.UNAUTHORIZED, "Please sign in.");
    }
    Studio studio = studios.findById(member.studio()).orElseThrow(() -> Problem.notFound("studio"));
    return new Signed(member.name(), member.email(), studio.name(), studio.copyright());
  }

  @PostMapping
  Signed in(@RequestBody SignIn body, HttpServletRequest request, HttpServletResponse response) {
    attempts.begin(body.email(), request.getRemoteAddr());
    Authentication done;
    try {
      done =
          manager.authenticate(
              UsernamePasswordAuthenticationToken.unauthenticated(body.email(), body.password()));
    } catch (AuthenticationException e) {
      throw new Problem(HttpStatus.UNAUTHORIZED, "The e-mail or the password is wrong.");
    }
    attempts.right(body.email(), request.getRemoteAddr());
    if (request.getSession(false) != null) {
      request.changeSessionId();
    }
    SecurityContext context = SecurityContextHolder.createEmptyContext();
    context.setAuthentication(done);
    contexts.saveContext(context, request, response);
    return who((Member) done.getPrincipal());
  }

  @DeleteMapping
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void out(HttpServletRequest request) {
    if (request.getSession(false) != null) {
      request.getSession().invalidate();
    }
  }
}
