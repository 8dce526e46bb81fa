package illuminar.server.storage;

import java.io.IOException;

/** The store cannot be reached, or refuses; it may be tried again. */
public final class StoreAway extends IOException {
  private static final long serialVersionUID = 1;

  public StoreAway(String name, Throwable why) {
    super("the store does not take or give " + name, why);
  }
}
