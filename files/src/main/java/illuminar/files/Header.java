package illuminar.files;

/**
 * What the first bytes of a picture say, checked before anything is decoded.
 *
 * @param format jpeg, png, tiff or raw
 */
public record Header(String format, int width, int height) {

  /** Limits for pictures that are taken in. */
  public static final int LONGEST_EDGE = 30_000;

  public static final long MOST_PIXELS = 110_000_000L;
  public static final long MOST_BYTES = 800_000_000L;

  public long pixels() {
    return (long) width * height;
  }

  /** Whether the file holds what a sensor counted. */
  public boolean raw() {
    return format.equals(FileKind.RAW.id());
  }

  /** Of the picture when it is upright; {@code orientation} is EXIF's, 1 to 8. */
  @SuppressWarnings("ArgumentSelectionDefectChecker")
  public Header upright(int orientation) {
    return orientation >= 5 ? new Header(format, height, width) : this;
  }

  Header checked(String name) throws BadPicture {
    if (width < 16 || height < 16) {
      throw new BadPicture(name, "the picture is only " + width + "×" + height + " pixels");
    }
    if (width > LONGEST_EDGE || height > LONGEST_EDGE || pixels() > MOST_PIXELS) {
      throw new BadPicture(
          name,
          "its header says " + width + "×" + height + " pixels, more than this product takes");
    }
    return this;
  }
}
