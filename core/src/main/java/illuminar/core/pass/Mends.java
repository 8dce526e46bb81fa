package illuminar.core.pass;

import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;

/** Says which control of a pass mends a fault that the pass makes. */
@Retention(RetentionPolicy.RUNTIME)
@Target({})
public @interface Mends {
  Fault fault();

  /** Name of the control. */
  String control();

  /** Where the control stands when the fault is its doing. */
  Side side() default Side.ANY;

  /** Whether it does so only where the pass works on the whole picture. */
  boolean everywhereOnly() default false;

  /** Sides of a control's default. */
  enum Side {
    /** Wherever it stands. */
    ANY,
    ABOVE,
    BELOW,
    /** Above or below, not at it. */
    OFF
  }
}
