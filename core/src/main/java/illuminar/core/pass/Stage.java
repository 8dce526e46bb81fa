package illuminar.core.pass;

/** The stages of the work, in the order in which photographers go through them. */
public enum Stage {
  FRAMES("Frames"),
  GROUND("Ground"),
  WINDOWS("Windows"),
  LIGHTS("Lights"),
  TONE("Tone"),
  COLOUR("Colour"),
  AIR("Air"),
  BALANCE("Balance"),
  MEND("Mend"),
  FINISH("Finish");

  private final String title;

  Stage(String title) {
    this.title = title;
  }

  /** The stage's name on screen. */
  public String title() {
    return title;
  }

  /**
   * @throws IllegalArgumentException if there is no such stage
   */
  public static Stage titled(String title) {
    for (Stage stage : values()) {
      if (stage.title.equals(title)) {
        return stage;
      }
    }
    throw new IllegalArgumentException("there is no stage " + title);
  }
}
