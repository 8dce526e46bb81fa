package illuminar.server.web;

import illuminar.server.storage.StoreAway;
import java.sql.SQLException;
import java.sql.SQLRecoverableException;
import java.sql.SQLTransientException;
import org.hibernate.TransactionException;
import org.springframework.dao.DataAccessResourceFailureException;
import org.springframework.transaction.CannotCreateTransactionException;

/**
 * Whether something failed because the database or the store is away. Source for the states:
 * PostgreSQL's manual, appendix A (08 connection, 53 resources, 57P shut down).
 */
public final class Outage {
  private Outage() {}

  /** Whether that is the cause, or the cause of the cause. */
  public static boolean is(Throwable of) {
    for (Throwable e = of; e != null; e = e.getCause() == e ? null : e.getCause()) {
      if (e instanceof CannotCreateTransactionException
          || e instanceof DataAccessResourceFailureException
          || e instanceof TransactionException // neither kept nor taken back: nobody is there
          || e instanceof StoreAway
          || e instanceof SQLTransientException
          || e instanceof SQLRecoverableException
          || e instanceof SQLException s && away(s.getSQLState())) {
        return true;
      }
    }
    return false;
  }

  /** Does something that comes round again by itself; where the database is away, not this time. */
  public static void unlessAway(Runnable work) {
    try {
      work.run();
    } catch (RuntimeException e) {
      if (!is(e)) {
        throw e;
      }
    }
  }

  private static boolean away(String state) {
    return state != null
        && (state.startsWith("08") || state.startsWith("53") || state.startsWith("57P"));
  }
}
