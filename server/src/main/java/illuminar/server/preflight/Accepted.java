package illuminar.server.preflight;

import illuminar.core.set.Concern;
import illuminar.core.set.Remark;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;

/** A remark that somebody let pass, and why. It holds until the same becomes much worse. */
@Entity
class Accepted {
  /** Times by which a remark may grow and is still the same. */
  private static final double WORSE = 1.25;

  @Id private UUID id;

  @Column(name = "view_id")
  private UUID viewId;

  @Enumerated(EnumType.STRING)
  private Concern concern;

  private String pass;
  private double amount;
  private String word;
  private String who;

  // for whoever reads the database
  @SuppressWarnings("UnusedVariable")
  private Instant made;

  protected Accepted() {}

  Accepted(UUID viewId, Remark remark, String word, String who) {
    this.id = UUID.randomUUID();
    this.viewId = viewId;
    this.concern = remark.concern();
    this.pass = remark.pass();
    this.amount = remark.amount();
    this.word = word;
    this.who = who;
    this.made = Instant.now();
  }

  UUID viewId() {
    return viewId;
  }

  String word() {
    return word;
  }

  String who() {
    return who;
  }

  boolean of(Remark remark) {
    return concern == remark.concern()
        && pass.equals(remark.pass())
        && remark.amount() <= WORSE * amount;
  }
}
