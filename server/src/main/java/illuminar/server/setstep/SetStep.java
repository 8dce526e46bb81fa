package illuminar.server.setstep;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;

/** What was done to several views of a shoot in one go, so that it can be taken back in one go. */
@Entity
@Table(name = "set_step")
class SetStep {
  @Id private UUID id;

  @Column(name = "shoot_id")
  private UUID shootId;

  private String said;

  private Instant made;
  private boolean undone;

  @Column(columnDefinition = "jsonb")
  private String revisions;

  protected SetStep() {}

  /**
   * @param revisions that it made, as JSON
   */
  SetStep(UUID shootId, String said, String revisions) {
    this.id = UUID.randomUUID();
    this.shootId = shootId;
    this.said = said;
    this.made = Instant.now();
    this.revisions = revisions;
  }

  UUID id() {
    return id;
  }

  Instant made() {
    return made;
  }

  UUID shootId() {
    return shootId;
  }

  /** What was done, as a sentence without its end. */
  String said() {
    return said;
  }

  String revisions() {
    return revisions;
  }

  boolean undone() {
    return undone;
  }

  void undo() {
    undone = true;
  }
}
