package illuminar.server.account;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;
import org.springframework.security.access.prepost.PreAuthorize;

/** What not everybody in a studio may do; everything else is open to all of its members. */
public final class Right {
  public static final String TAKE_IN = "TAKE_IN";
  public static final String DELETE = "DELETE";
  public static final String RUN_STUDIO = "RUN_STUDIO";

  private Right() {}

  /** For those who may bring frames into the studio. */
  @Target({ElementType.METHOD, ElementType.TYPE})
  @Retention(RetentionPolicy.RUNTIME)
  @PreAuthorize("hasAuthority('" + TAKE_IN + "')")
  public @interface ToTakeIn {}

  /** For those who may throw away, bring back and delete. */
  @Target({ElementType.METHOD, ElementType.TYPE})
  @Retention(RetentionPolicy.RUNTIME)
  @PreAuthorize("hasAuthority('" + DELETE + "')")
  public @interface ToDelete {}

  /** For those who may invite and change the studio. */
  @Target({ElementType.METHOD, ElementType.TYPE})
  @Retention(RetentionPolicy.RUNTIME)
  @PreAuthorize("hasAuthority('" + RUN_STUDIO + "')")
  public @interface ToRunStudio {}
}
