package illuminar.server.web;

import org.springframework.http.HttpStatus;

/** Something that went wrong, said so that a photographer understands it. */
public class Problem extends RuntimeException {
  private static final long serialVersionUID = 1;
  private final HttpStatus status;

  public Problem(HttpStatus status, String message) {
    super(message);
    this.status = status;
  }

  public HttpStatus status() {
    return status;
  }

  public static Problem notFound(String what) {
    return new Problem(HttpStatus.NOT_FOUND, "There is no such " + what + ".");
  }
}
