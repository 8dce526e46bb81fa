package illuminar.server.shoot;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;

/** Common practice, no source. */
class NamesTest {

  @Test
  void blanksRoundANameGo() {
    assertThat(Names.checked("view", "  Hall by night ")).isEqualTo("Hall by night");
    assertThat(Names.checked("view", "\u2003Hall\u2003")).isEqualTo("Hall");
  }

  @Test
  void noNameIsSaidPlainly() {
    for (String none : new String[] {null, "", "   ", "\t\n"}) {
      assertThatThrownBy(() -> Names.checked("shoot", none)).hasMessage("Give the shoot a name.");
    }
  }

  @Test
  void aNameHasAtMostTwoHundredLetters() {
    String longest = "x".repeat(200);
    assertThat(Names.checked("view", " " + longest + " ")).isEqualTo(longest);
    assertThatThrownBy(() -> Names.checked("view", longest + "x"))
        .hasMessage("The name of a view has at most 200 letters.");
  }
}
