package illuminar.core.set;

import illuminar.core.pass.Stage;

/** What a colleague would see in a finished picture, and the stage that holds what mends it. */
public enum Concern {
  HALO(Stage.TONE),
  MUD(Stage.TONE),
  OVERSPRAY(Stage.WINDOWS),
  LINE(Stage.WINDOWS),
  CAST(Stage.BALANCE),
  BURNT(Stage.LIGHTS),
  BLOCKED(Stage.TONE),
  LEANS(Stage.FINISH),
  DUST(Stage.MEND),
  VIEWS_UNLIKE(Stage.WINDOWS);

  private final Stage stage;

  Concern(Stage stage) {
    this.stage = stage;
  }

  /** Where it is mended, if no pass is known that makes it. */
  public Stage stage() {
    return stage;
  }
}
