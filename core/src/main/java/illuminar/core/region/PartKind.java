package illuminar.core.region;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;

/** Describes a kind of part on its record. */
@Retention(RetentionPolicy.RUNTIME)
@Target(ElementType.TYPE)
public @interface PartKind {
  /** Its name in recipes; never changed once recipes are saved. */
  String id();

  String name();
}
