package illuminar.server.audit;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;

/** Something that somebody did. */
@Entity
@Table(name = "audit_line")
public class AuditLine {
  @Id private UUID id;

  @Column(name = "studio_id")
  private UUID studioId;

  private Instant at;
  private String who;
  private String said;

  protected AuditLine() {}

  AuditLine(UUID studioId, String who, String said) {
    this.id = UUID.randomUUID();
    this.studioId = studioId;
    this.at = Instant.now();
    this.who = who;
    this.said = said;
  }

  public Instant at() {
    return at;
  }

  /** Name of the account as it was then. */
  public String who() {
    return who;
  }

  /** What they did, as the rest of a sentence that begins with their name. */
  public String said() {
    return said;
  }
}
