package illuminar.server.client;

import illuminar.server.account.Secret;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.time.Period;
import java.time.ZoneOffset;
import java.util.UUID;

/** A link by which a client fetches one delivery without signing in, until a day. */
@Entity
@Table(name = "client_link")
class ClientLink {
  @Id private UUID id;

  @Column(name = "studio_id")
  private UUID studioId;

  @Column(name = "shoot_id")
  private UUID shootId;

  @Column(name = "job_id")
  private UUID jobId;

  // looked for by the database alone
  @SuppressWarnings("UnusedVariable")
  private String hash;

  private Instant made;
  private Instant until;
  private int downloads;

  protected ClientLink() {}

  ClientLink(UUID studioId, UUID shootId, UUID jobId, String secret, int days) {
    this.id = UUID.randomUUID();
    this.studioId = studioId;
    this.shootId = shootId;
    this.jobId = jobId;
    this.hash = Secret.hash(secret);
    this.made = Instant.now();
    this.until = made.atOffset(ZoneOffset.UTC).plus(Period.ofDays(days)).toInstant();
  }

  UUID id() {
    return id;
  }

  UUID studioId() {
    return studioId;
  }

  UUID shootId() {
    return shootId;
  }

  UUID jobId() {
    return jobId;
  }

  Instant until() {
    return until;
  }

  int downloads() {
    return downloads;
  }

  boolean good() {
    return until.isAfter(Instant.now());
  }
}
