package illuminar.server.carry;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;

/** What was carried over from one view to others in one go. */
@Entity
@Table(name = "carried_over")
class CarriedOver {
  @Id private UUID id;

  @Column(name = "shoot_id")
  private UUID shootId;

  @Column(name = "from_name")
  private String fromName;

  private Instant made;
  private boolean undone;

  @Column(columnDefinition = "jsonb")
  private String revisions;

  protected CarriedOver() {}

  /**
   * @param revisions that it made, as JSON
   */
  CarriedOver(UUID shootId, String fromName, String revisions) {
    this.id = UUID.randomUUID();
    this.shootId = shootId;
    this.fromName = fromName;
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

  String fromName() {
    return fromName;
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
