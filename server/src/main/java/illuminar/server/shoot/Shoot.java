package illuminar.server.shoot;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;

/** One commission at one property. */
@Entity
public class Shoot {
  @Id private UUID id;

  @Column(name = "studio_id")
  private UUID studioId;

  private String name;
  private Instant created;

  private Instant binned;

  protected Shoot() {}

  public Shoot(UUID studioId, String name) {
    this.id = UUID.randomUUID();
    this.studioId = studioId;
    this.name = name;
    this.created = Instant.now();
  }

  public UUID id() {
    return id;
  }

  public UUID studioId() {
    return studioId;
  }

  public String name() {
    return name;
  }

  public void rename(String to) {
    name = to;
  }

  public Instant created() {
    return created;
  }

  /** When it was put into the bin; nothing while it is not there. */
  public Optional<Instant> binned() {
    return Optional.ofNullable(binned);
  }

  public void bin() {
    binned = Instant.now();
  }

  public void restore() {
    binned = null;
  }
}
