package illuminar.server.account;

import java.util.List;
import java.util.UUID;
import org.springframework.security.core.GrantedAuthority;
import org.springframework.security.core.userdetails.UserDetails;

/** Who is signed in, and for which studio. */
public record Member(UUID studio, String email, String name, String password)
    implements UserDetails {
  private static final long serialVersionUID = 1;

  @Override
  public List<GrantedAuthority> getAuthorities() {
    return List.of();
  }

  @Override
  public String getPassword() {
    return password;
  }

  @Override
  public String getUsername() {
    return email;
  }
}
