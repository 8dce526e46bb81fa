package illuminar.server.account;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.util.UUID;

/** A studio: everything belongs to one and is seen by no other. */
@Entity
public class Studio {
  @Id private UUID id;
  private String name;

  protected Studio() {}

  public Studio(String name) {
    this.id = UUID.randomUUID();
    this.name = name;
  }

  public UUID id() {
    return id;
  }

  public String name() {
    return name;
  }
}
