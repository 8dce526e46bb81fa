package illuminar.core.pass;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;

/**
 * Describes a kind of pass on its record. Numbers carry {@link illuminar.core.control.Control} with
 * their default; a component of type String takes a frame's id, an enum is a closed choice.
 */
@Retention(RetentionPolicy.RUNTIME)
@Target(ElementType.TYPE)
public @interface Kind {
  /** Its name in recipes; never changed once recipes are saved. */
  String id();

  String name();

  Stage stage();

  /**
   * How it reads; words in braces are its components, and {region}, {gate}, {strength}. Which of
   * them are controls is read off the record.
   */
  String sentence();

  /** Whether it wants a region first because it is usually wrong everywhere. */
  boolean asksRegion() default false;

  /**
   * Whether it mixes light, so that what it changes along a surface is how that light falls and no
   * halo.
   */
  boolean relights() default false;

  /** Faults that a control of it mends. */
  Mends[] mends() default {};
}
