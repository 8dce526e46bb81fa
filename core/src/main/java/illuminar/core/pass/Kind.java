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

  /** One sentence about what one sees, for those who look for it in a menu. */
  String help();

  /**
   * The order that it gives: verb, what, where. {@code {name}} is a component, or the region;
   * {@code {name:more|less}} is how far a number stands from {@link
   * illuminar.core.control.Control#neutral} with the word for above or below; {@code
   * {name?add|remove}} is such a word alone, and then {@code {name}} is said without its sign.
   * Where it ends with a colon it orders nothing by itself. See {@link
   * illuminar.core.recipe.Phrases}.
   */
  String sentence();

  /** What may follow, each said unless all its numbers are neutral. */
  String[] says() default {};

  /** Whether it wants a region first because it is usually wrong everywhere. */
  boolean asksRegion() default false;

  /**
   * Whether it mixes light, so that what it changes along a surface is how that light falls and no
   * halo.
   */
  boolean relights() default false;

  /**
   * Whether it does one thing where its region's parts add and another where they take away, {@link
   * Move#otherWay}.
   */
  boolean bothWays() default false;

  /** Whether it goes by the edges of the finished picture, and so has to know how that is cut. */
  boolean framed() default false;

  /**
   * The tones that it begins with: where it starts, is full, is full no more and ends, as sRGB
   * codes of 255; none where it begins with all tones.
   */
  int[] tones() default {};

  /** Faults that a control of it mends. */
  Mends[] mends() default {};
}
