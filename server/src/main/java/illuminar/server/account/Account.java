package illuminar.server.account;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.util.UUID;

/** Someone who signs in. */
@Entity
public class Account {
  @Id private UUID id;

  @Column(name = "studio_id")
  private UUID studioId;

  private String email;
  private String name;
  private String password;

  protected Account() {}

  public Account(UUID studioId, String email, String name, String password) {
    this.id = UUID.randomUUID();
    this.studioId = studioId;
    this.email = email;
    this.name = name;
    this.password = password;
  }

  public UUID studioId() {
    return studioId;
  }

  public String email() {
    return email;
  }

  public String name() {
    return name;
  }

  public String password() {
    return password;
  }
}
