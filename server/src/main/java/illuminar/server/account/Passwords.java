package illuminar.server.account;

import illuminar.server.web.Problem;
import java.time.Duration;
import java.util.Optional;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import java.util.function.Supplier;
import org.springframework.http.HttpStatus;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Component;

/** What a password must be, and whether one is right. */
@Component
public class Passwords {
  /** NIST SP 800-63B asks for 8 at least; two more are our own. */
  private static final int SHORTEST = 10;

  private static final int LONGEST = 200;

  /**
   * Checks at the same time. Each takes a core for a good while, by design, so that others are left
   * for everything else.
   */
  private static final int AT_ONCE = Math.max(1, Runtime.getRuntime().availableProcessors() / 2);

  private static final Duration PATIENCE = Duration.ofSeconds(20);

  private final Semaphore turns = new Semaphore(AT_ONCE, true);
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
    return inTurn(() -> encoder.encode(password));
  }

  /** Takes as long for an account that is not there, so that nobody learns which are. */
  public boolean right(Optional<Account> account, String password) {
    String known = account.map(Account::password).orElse(nobodys);
    return inTurn(() -> encoder.matches(password, known)) && account.isPresent();
  }

  private <T> T inTurn(Supplier<T> check) {
    await();
    try {
      return check.get();
    } finally {
      turns.release();
    }
  }

  private void await() {
    try {
      if (!turns.tryAcquire(PATIENCE.toMillis(), TimeUnit.MILLISECONDS)) {
        throw new Problem(
            HttpStatus.TOO_MANY_REQUESTS, "Very many people sign in just now. Try again shortly.");
      }
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new Problem(HttpStatus.SERVICE_UNAVAILABLE, "The server stops just now.");
    }
  }
}
