package illuminar.server.account;

import illuminar.server.web.Problem;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Component;

/** What a password must be, and whether one is right. */
@Component
public class Passwords {
  /** NIST SP 800-63B asks for 8 at least; two more are our own. */
  private static final int SHORTEST = 10;

  private static final int LONGEST = 200;

  private final PasswordEncoder encoder;
  private final String nobodys;

  Passwords(PasswordEncoder encoder) {
    this.encoder = encoder;
    nobodys = encoder.encode("nobody has this password");
  }

  /**
   * A new password, encoded.
   *
   * @throws Problem if it is too short or too long
   */
  public String encoded(String password) {
    if (password.length() < SHORTEST || password.length() > LONGEST) {
      throw new Problem(
          HttpStatus.UNPROCESSABLE_CONTENT,
          "A password has " + SHORTEST + " to " + LONGEST + " characters.");
    }
    return encoder.encode(password);
  }

  /** Takes as long for an account that is not there, so that nobody learns which are. */
  public boolean right(Optional<Account> account, String password) {
    return encoder.matches(password, account.map(Account::password).orElse(nobodys))
        && account.isPresent();
  }
}
