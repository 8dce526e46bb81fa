package illuminar.journeys;

import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;

/** Tests that call the interface's own logic, without any screen. */
abstract class OnModules {
  private static Modules modules;

  @BeforeAll
  static void load() {
    modules = new Modules();
  }

  @AfterAll
  static void close() {
    modules.close();
  }

  /** What an expression gives; {@code m} are the modules. */
  static Object call(String expression) {
    return modules.call(expression);
  }
}
