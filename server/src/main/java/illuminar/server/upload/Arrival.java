package illuminar.server.upload;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;

/** A file that was sent for a shoot and has not been taken in. */
@Entity
class Arrival {
  @Id private UUID id;

  @Column(name = "shoot_id")
  private UUID shootId;

  private String name;
  private String sha256;
  private long bytes;
  private Instant came;

  protected Arrival() {}

  Arrival(UUID shoot, String name, String sha256, long bytes) {
    this.id = UUID.randomUUID();
    this.shootId = shoot;
    this.name = name;
    this.sha256 = sha256;
    this.bytes = bytes;
    this.came = Instant.now();
  }

  String name() {
    return name;
  }

  String sha256() {
    return sha256;
  }

  long bytes() {
    return bytes;
  }

  Instant came() {
    return came;
  }
}
