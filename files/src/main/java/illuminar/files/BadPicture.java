package illuminar.files;

/** A file that cannot be taken in. The message names the file and says why, for a photographer. */
public final class BadPicture extends Exception {
  private static final long serialVersionUID = 1;

  private final String reason;

  public BadPicture(String file, String reason) {
    super(file + ": " + reason);
    this.reason = reason;
  }

  public BadPicture(String file, String reason, Throwable cause) {
    super(file + ": " + reason, cause);
    this.reason = reason;
  }

  /** Why, without the file's name. */
  public String reason() {
    return reason;
  }
}
