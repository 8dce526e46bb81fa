package illuminar.server.coverpage;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;

/** A cover of a shoot, as JSON. */
@Entity
@Table(name = "cover_page")
class CoverPageRow {
  @Id private UUID id;

  @Column(name = "shoot_id")
  private UUID shootId;

  @Column(columnDefinition = "jsonb")
  private String page;

  @SuppressWarnings("UnusedVariable") // covers are listed by it
  private Instant made;

  protected CoverPageRow() {}

  CoverPageRow(UUID shootId, String page) {
    this.id = UUID.randomUUID();
    this.shootId = shootId;
    this.page = page;
    this.made = Instant.now();
  }

  UUID id() {
    return id;
  }

  UUID shootId() {
    return shootId;
  }

  String page() {
    return page;
  }

  void change(String to) {
    page = to;
  }
}
