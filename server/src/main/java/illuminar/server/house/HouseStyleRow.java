package illuminar.server.house;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.util.UUID;

/** The house style of a studio, as JSON. */
@Entity
@Table(name = "house_style")
class HouseStyleRow {
  @Id
  @Column(name = "studio_id")
  private UUID studioId;

  @Column(columnDefinition = "jsonb")
  private String style;

  private boolean active;

  protected HouseStyleRow() {}

  /**
   * @param active whether first versions are made in it
   */
  HouseStyleRow(UUID studioId, String style, boolean active) {
    this.studioId = studioId;
    this.style = style;
    this.active = active;
  }

  String style() {
    return style;
  }

  boolean active() {
    return active;
  }
}
