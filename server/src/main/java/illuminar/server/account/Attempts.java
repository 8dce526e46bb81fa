package illuminar.server.account;

import illuminar.server.storage.Recent;
import illuminar.server.web.Problem;
import io.github.bucket4j.Bucket;
import io.github.bucket4j.EstimationProbe;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;

/**
 * Bounds how often a wrong password can be tried, for an account and from an address. The numbers
 * are our own, common practice; no source.
 */
@Component
class Attempts {
  private static final Duration SPAN = Duration.ofMinutes(15);
  private static final long OF_ACCOUNT = 10;
  private static final long FROM_ADDRESS = 50;

  /** Accounts and addresses that are remembered; the ones not seen for longest are forgotten. */
  private static final int MOST = 20_000;

  private final Map<String, Bucket> left = Recent.of(MOST);

  /**
   * Counts an attempt.
   *
   * @throws Problem if there were too many wrong ones
   */
  void begin(String email, String address) {
    for (Bucket bucket : List.of(ofAccount(email), fromAddress(address))) {
      if (!bucket.tryConsume(1)) {
        EstimationProbe probe = bucket.estimateAbilityToConsume(1);
        long minutes = 1 + Duration.ofNanos(probe.getNanosToWaitForRefill()).toMinutes();
        throw new Problem(
            HttpStatus.TOO_MANY_REQUESTS,
            "Too many wrong attempts. Try again in "
                + minutes
                + (minutes == 1 ? " minute." : " minutes."));
      }
    }
  }

  /** The attempt was right: it does not count, and those before are forgotten. */
  void right(String email, String address) {
    ofAccount(email).reset();
    fromAddress(address).addTokens(1);
  }

  private Bucket ofAccount(String email) {
    return left.computeIfAbsent("account " + Account.spelled(email), k -> bucket(OF_ACCOUNT));
  }

  private Bucket fromAddress(String address) {
    return left.computeIfAbsent("address " + address, k -> bucket(FROM_ADDRESS));
  }

  private static Bucket bucket(long most) {
    return Bucket.builder()
        .addLimit(limit -> limit.capacity(most).refillGreedy(most, SPAN))
        .build();
  }
}
