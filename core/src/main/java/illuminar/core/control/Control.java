package illuminar.core.control;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;

/** Describes a number of a move or of a part, for checking and for drawing its control. */
@Retention(RetentionPolicy.RUNTIME)
@Target(ElementType.RECORD_COMPONENT)
public @interface Control {
  String label();

  String unit();

  double from();

  double to();

  double step();

  double defaultValue();

  /** The value at which it changes nothing and is not said; the default where it is left out. */
  double neutral() default Double.NaN;

  /** Name of the number of the same record that it stays below; empty where it is free. */
  String under() default "";

  /** By how much it stays below {@link #under}. */
  double apart() default 0;

  /** One line that says what it does. */
  String help() default "";
}
