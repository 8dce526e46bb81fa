package illuminar.server.account;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.util.UUID;

/** A studio: everything belongs to one and is seen by no other. */
@Entity
public class Studio {
  @Id private UUID id;
  private String name;
  private String copyright;

  protected Studio() {}

  /**
   * @param copyright what stands in its files unless an order says something else
   */
  public Studio(String name, String copyright) {
    this.id = UUID.randomUUID();
    this.name = name;
    this.copyright = copyright;
  }

  public UUID id() {
    return id;
  }

  public String name() {
    return name;
  }

  public String copyright() {
    return copyright;
  }
}
