package illuminar.server.account;

import java.util.List;
import java.util.UUID;
import org.springframework.security.core.AuthenticatedPrincipal;
import org.springframework.security.core.GrantedAuthority;
import org.springframework.security.core.authority.SimpleGrantedAuthority;

/**
 * Who is signed in, for which studio, and as what. It stays in the session as it was at sign-in:
 * whoever changes a role or takes an account away ends the account's sessions.
 */
public record Member(UUID account, UUID studio, StudioRole role)
    implements AuthenticatedPrincipal, java.io.Serializable {
  private static final long serialVersionUID = 1;

  /** The account's id, under which its sessions are found. */
  @Override
  public String getName() {
    return account.toString();
  }

  List<GrantedAuthority> authorities() {
    return role.rights().stream().<GrantedAuthority>map(SimpleGrantedAuthority::new).toList();
  }
}
