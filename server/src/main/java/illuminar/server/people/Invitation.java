package illuminar.server.people;

import illuminar.server.account.Secret;
import illuminar.server.account.StudioRole;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import java.time.Duration;
import java.time.Instant;
import java.util.UUID;

/** A link by which one person can join a studio, for a week. Only the link's hash is kept. */
@Entity
public class Invitation {
  private static final Duration GOOD_FOR = Duration.ofDays(7);

  @Id private UUID id;

  @Column(name = "studio_id")
  private UUID studioId;

  @Enumerated(EnumType.STRING)
  private StudioRole role;

  // looked for by the database alone
  @SuppressWarnings("UnusedVariable")
  private String hash;

  @Column(name = "invited_by")
  private String invitedBy;

  private Instant until;

  protected Invitation() {}

  Invitation(UUID studioId, StudioRole role, String invitedBy, String token) {
    this.id = UUID.randomUUID();
    this.studioId = studioId;
    this.role = role;
    this.invitedBy = invitedBy;
    this.hash = Secret.hash(token);
    this.until = Instant.now().plus(GOOD_FOR);
  }

  UUID id() {
    return id;
  }

  UUID studioId() {
    return studioId;
  }

  StudioRole role() {
    return role;
  }

  String invitedBy() {
    return invitedBy;
  }

  Instant until() {
    return until;
  }

  boolean good() {
    return until.isAfter(Instant.now());
  }
}
