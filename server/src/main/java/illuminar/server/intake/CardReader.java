package illuminar.server.intake;

import illuminar.server.Settings;
import illuminar.server.account.Studios;
import illuminar.server.shoot.Shoots;
import java.nio.file.Path;
import java.util.List;
import org.springframework.beans.factory.BeanRegistrar;
import org.springframework.beans.factory.BeanRegistry;
import org.springframework.boot.context.properties.bind.Binder;
import org.springframework.core.env.Environment;

/** The simulated card reader: each of its slots is a source of its own, the first named "card". */
final class CardReader implements BeanRegistrar {
  /** Behind what was sent. */
  private static final int ORDER = 2;

  @Override
  public void register(BeanRegistry registry, Environment env) {
    List<Path> slots = Binder.get(env).bindOrCreate("illuminar", Settings.class).cards();
    for (int k = 0; k < slots.size(); k++) {
      String id = k == 0 ? "card" : "card" + (k + 1);
      Path folder = slots.get(k);
      int order = ORDER + k;
      registry.registerBean(
          id,
          Card.class,
          spec ->
              spec.order(order)
                  .supplier(
                      c -> new Card(id, folder, c.bean(Shoots.class), c.bean(Studios.class))));
    }
  }
}
