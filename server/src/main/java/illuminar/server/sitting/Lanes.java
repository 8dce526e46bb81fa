package illuminar.server.sitting;

import java.time.Duration;
import org.springframework.stereotype.Component;

/**
 * How those who sit at views share the cores: as many at a time as there are cores, each in turn.
 * What is answered while a control moves does not wait behind what may take seconds.
 */
@Component
public class Lanes {
  private static final int CORES = Runtime.getRuntime().availableProcessors();

  private final Turns quick = new Turns(CORES, Duration.ofMillis(250));
  private final Turns slow = new Turns(CORES, Duration.ofSeconds(2));

  /** For drafts, masks and readings. */
  Turns quick() {
    return quick;
  }

  /** For sharp pictures and covers. */
  public Turns slow() {
    return slow;
  }
}
