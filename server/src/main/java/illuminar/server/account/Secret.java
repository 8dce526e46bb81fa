package illuminar.server.account;

import illuminar.server.storage.Sha256;
import java.security.SecureRandom;
import java.util.Base64;

/** What a link ends in that nobody can guess, 256 bits. Only its hash is kept. */
public final class Secret {
  private static final int BYTES = 32;
  private static final SecureRandom CHANCE = new SecureRandom();

  private Secret() {}

  /** A new one, as text for a link. */
  public static String made() {
    byte[] secret = new byte[BYTES];
    CHANCE.nextBytes(secret);
    return Base64.getUrlEncoder().withoutPadding().encodeToString(secret);
  }

  public static String hash(String secret) {
    return Sha256.of(secret);
  }
}
