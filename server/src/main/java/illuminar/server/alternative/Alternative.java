package illuminar.server.alternative;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;

/** A revision of a view that has a name; it may be what is delivered. */
@Entity
class Alternative {
  @Id private UUID id;

  @Column(name = "view_id")
  private UUID viewId;

  private String name;
  private int revision;
  private boolean chosen;
  private Instant made;

  protected Alternative() {}

  Alternative(UUID viewId, String name, int revision) {
    this.id = UUID.randomUUID();
    this.viewId = viewId;
    this.name = name;
    this.revision = revision;
    this.made = Instant.now();
  }

  UUID id() {
    return id;
  }

  UUID viewId() {
    return viewId;
  }

  String name() {
    return name;
  }

  int revision() {
    return revision;
  }

  Instant made() {
    return made;
  }

  boolean chosen() {
    return chosen;
  }

  void choose(boolean to) {
    chosen = to;
  }
}
