package illuminar.server.account;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.Comparator;
import java.util.List;
import java.util.UUID;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.web.context.SecurityContextRepository;
import org.springframework.session.FindByIndexNameSessionRepository;
import org.springframework.session.Session;
import org.springframework.stereotype.Component;

/** Sessions of members; they outlive a restart and are seen by every node. */
@Component
public class Sessions {
  /** Sessions of one person at a time. */
  private static final int MOST = 20;

  private final SecurityContextRepository contexts;
  private final FindByIndexNameSessionRepository<? extends Session> kept;

  Sessions(
      SecurityContextRepository contexts,
      FindByIndexNameSessionRepository<? extends Session> kept) {
    this.contexts = contexts;
    this.kept = kept;
  }

  /** Begins a session; its id is a new one, whatever the browser sent. */
  public void begin(Account account, HttpServletRequest request, HttpServletResponse response) {
    if (request.getSession(false) != null) {
      request.changeSessionId();
    }
    makeRoom(account.id());
    Member member = account.member();
    SecurityContext context = SecurityContextHolder.createEmptyContext();
    context.setAuthentication(
        UsernamePasswordAuthenticationToken.authenticated(member, null, member.authorities()));
    contexts.saveContext(context, request, response);
  }

  /** Of those who forget to sign out the session goes that was not used for longest. */
  private void makeRoom(UUID account) {
    List<? extends Session> all =
        kept.findByPrincipalName(account.toString()).values().stream()
            .sorted(Comparator.comparing(Session::getLastAccessedTime))
            .toList();
    all.stream()
        .limit(Math.max(0, all.size() - MOST + 1))
        .map(Session::getId)
        .forEach(kept::deleteById);
  }

  /** Ends the session that a request belongs to. */
  public void end(HttpServletRequest request) {
    if (request.getSession(false) != null) {
      request.getSession().invalidate();
    }
  }

  /** Ends all sessions of an account. */
  public void endAll(UUID account) {
    endOthers(account, "");
  }

  /** Ends all sessions of an account but one. */
  public void endOthers(UUID account, String but) {
    kept.findByPrincipalName(account.toString()).keySet().stream()
        .filter(id -> !id.equals(but))
        .forEach(kept::deleteById);
  }
}
