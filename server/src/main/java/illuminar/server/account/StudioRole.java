package illuminar.server.account;

import java.util.Set;

/** What someone is in the studio. */
public enum StudioRole {
  OWNER,
  PHOTOGRAPHER,
  EDITOR;

  /** What they may do there that not everybody may, by the names of {@link Right}. */
  public Set<String> rights() {
    return switch (this) {
      case OWNER -> Set.of(Right.TAKE_IN, Right.DELETE, Right.RUN_STUDIO);
      case PHOTOGRAPHER -> Set.of(Right.TAKE_IN, Right.DELETE);
      case EDITOR -> Set.of();
    };
  }
}
