package illuminar.server.audit;

import java.util.List;
import java.util.UUID;
import org.springframework.data.domain.Limit;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** Who signed in, deleted, delivered or changed the studio, for its owners to read. */
@Component
public class Audit {
  private static final int READ = 100;

  private final AuditLines lines;
  private final JdbcClient accounts;

  Audit(AuditLines lines, JdbcClient accounts) {
    this.lines = lines;
    this.accounts = accounts;
  }

  /**
   * Notes what an account did.
   *
   * @param said the rest of a sentence that begins with the account's name, in the past
   */
  public void note(UUID studio, UUID account, String said) {
    String who =
        accounts
            .sql("select name from account where id = ?")
            .param(account)
            .query(String.class)
            .optional()
            .orElse("Somebody who has left");
    lines.save(new AuditLine(studio, who, said));
  }

  /** The newest lines of a studio. */
  public List<AuditLine> newest(UUID studio) {
    return lines.findByStudioIdOrderByAtDesc(studio, Limit.of(READ));
  }
}
