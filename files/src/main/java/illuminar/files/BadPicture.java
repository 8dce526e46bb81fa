package illuminar.files;

/** A file that cannot be taken in. The message names the file and says why, for a photographer. */
public final class BadPicture extends Exception {
  private static final long serialVersionUID = 1;

  public BadPicture(String file, String reason) {
    super(file + ": " + reason);
  }

  public BadPicture(String file, String reason, Throwable cause) {
    super(file + ": " + reason, cause);
  }
}
