package illuminar.server.upload;

import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpServletResponseWrapper;

/**
 * An answer whose errors are a status and nothing more. The protocol has statuses of its own, such
 * as 460, which no page of errors knows.
 */
final class PlainStatus extends HttpServletResponseWrapper {
  PlainStatus(HttpServletResponse response) {
    super(response);
  }

  @Override
  public void sendError(int status) {
    setStatus(status);
  }

  @Override
  public void sendError(int status, String message) {
    setStatus(status);
  }
}
