package illuminar.server.account;

import illuminar.server.web.Problem;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.util.UUID;
import org.springframework.http.HttpStatus;

/** A studio: everything belongs to one and is seen by no other. */
@Entity
public class Studio {
  private static final int LONGEST = 300;

  @Id private UUID id;
  private String name;
  private String copyright;
  private boolean reader;

  protected Studio() {}

  /**
   * @param copyright what stands in its files unless an order says something else
   * @param reader whether the simulated card reader is its own
   * @throws Problem if the name cannot be one
   */
  public Studio(String name, String copyright, boolean reader) {
    this.id = UUID.randomUUID();
    this.reader = reader;
    change(name, copyright);
  }

  /**
   * @throws Problem if the name is empty, or either is too long
   */
  public void change(String newName, String newCopyright) {
    name = Account.named(newName, "Please say the studio's name.");
    if (newCopyright.length() > LONGEST) {
      throw new Problem(HttpStatus.UNPROCESSABLE_CONTENT, "The copyright line is too long.");
    }
    copyright = newCopyright.strip();
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

  /** Whether the simulated card reader is its own. */
  public boolean reader() {
    return reader;
  }
}
