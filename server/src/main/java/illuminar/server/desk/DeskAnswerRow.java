package illuminar.server.desk;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import tools.jackson.databind.json.JsonMapper;

/** What the listing desk said of a delivered file. */
@Entity
@Table(name = "desk_answer")
class DeskAnswerRow {
  @Id
  @Column(name = "delivered_id")
  private UUID deliveredId;

  private boolean accepted;

  @Column(columnDefinition = "jsonb")
  private String objections;

  private Instant answered;

  protected DeskAnswerRow() {}

  DeskAnswerRow(UUID deliveredId, DeskAnswer answer) {
    this.deliveredId = deliveredId;
    this.accepted = answer.accepted();
    this.objections = JsonMapper.shared().writeValueAsString(answer.objections());
    this.answered = Instant.now();
  }

  UUID deliveredId() {
    return deliveredId;
  }

  boolean accepted() {
    return accepted;
  }

  List<String> objections() {
    return List.of(JsonMapper.shared().readValue(objections, String[].class));
  }

  Instant answered() {
    return answered;
  }
}
