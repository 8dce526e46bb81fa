package illuminar.server.account;

import illuminar.server.web.Problem;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import java.util.Locale;
import java.util.UUID;
import org.springframework.http.HttpStatus;

/** Someone who signs in. */
@Entity
public class Account {
  private static final int LONGEST = 200;

  @Id private UUID id;

  @Column(name = "studio_id")
  private UUID studioId;

  private String email;
  private String name;
  private String password;

  @Enumerated(EnumType.STRING)
  private StudioRole role;

  protected Account() {}

  /**
   * @param password encoded
   * @throws Problem if the e-mail or the name cannot be one
   */
  public Account(UUID studioId, String email, String name, String password, StudioRole role) {
    this.id = UUID.randomUUID();
    this.studioId = studioId;
    this.email = address(email);
    this.password = password;
    this.role = role;
    rename(name);
  }

  /** An e-mail as it is looked for, however somebody typed it. */
  static String spelled(String email) {
    return email.strip().toLowerCase(Locale.ROOT);
  }

  private static String address(String email) {
    String kept = spelled(email);
    if (kept.length() > LONGEST || !kept.matches("[^\\s@]+@[^\\s@]+")) {
      throw new Problem(HttpStatus.UNPROCESSABLE_CONTENT, "This is not an e-mail address.");
    }
    return kept;
  }

  public void rename(String to) {
    name = named(to, "Please say your name.");
  }

  static String named(String name, String otherwise) {
    String kept = name.strip();
    if (kept.isEmpty() || kept.length() > LONGEST) {
      throw new Problem(HttpStatus.UNPROCESSABLE_CONTENT, otherwise);
    }
    return kept;
  }

  /** {@code encoded} is the new password, encoded. */
  public void change(String encoded) {
    password = encoded;
  }

  public void become(StudioRole to) {
    role = to;
  }

  public UUID id() {
    return id;
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

  public StudioRole role() {
    return role;
  }

  public Member member() {
    return new Member(id, studioId, role);
  }
}
