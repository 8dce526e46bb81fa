package illuminar.server.delivery.specification;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.util.UUID;

/** A specification that a studio keeps. */
@Entity
@Table(name = "specification")
class SpecificationRow {
  @Id private UUID id;

  @Column(name = "studio_id")
  private UUID studioId;

  private int position;
  private String name;

  @Column(columnDefinition = "jsonb")
  private String body;

  protected SpecificationRow() {}

  SpecificationRow(UUID studioId, int position) {
    this.id = UUID.randomUUID();
    this.studioId = studioId;
    this.position = position;
  }

  /**
   * @param body the specification as JSON
   */
  void says(String name, String body) {
    this.name = name;
    this.body = body;
  }

  UUID id() {
    return id;
  }

  int position() {
    return position;
  }

  String name() {
    return name;
  }

  String body() {
    return body;
  }
}
