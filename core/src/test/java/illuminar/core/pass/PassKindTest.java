package illuminar.core.pass;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import illuminar.core.control.Control;
import illuminar.core.pass.kinds.BringFrame;
import illuminar.core.pass.kinds.Catalogue;
import illuminar.core.pass.kinds.ReduceNoise;
import illuminar.core.pass.kinds.Sharpen;
import illuminar.core.pass.kinds.Tone;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** What a kind of pass says of itself; our own rules, no source. */
class PassKindTest {

  enum Sort {
    ONE,
    TWO
  }

  @Kind(
      id = "trial",
      name = "Trial",
      stage = Stage.MEND,
      help = "A trial",
      sentence = "Try {a} and {b} with {frame} by {sort}",
      mends = {
        @Mends(fault = Fault.HALO, control = "a", side = Mends.Side.ABOVE),
        @Mends(fault = Fault.HALO, control = "b", side = Mends.Side.OFF, everywhereOnly = true),
        @Mends(fault = Fault.MUD, control = "b", side = Mends.Side.BELOW),
        @Mends(fault = Fault.OVERSPRAY, control = "a")
      })
  record Trial(
      @Control(label = "A", unit = "", from = 0, to = 10, step = 1, defaultValue = 5) double a,
      @Control(label = "B", unit = "", from = -1, to = 1, step = 0.1, defaultValue = 0) double b,
      String frame,
      Sort sort)
      implements Move {
    @Override
    public PreparedPass prepare(PassInput below) {
      throw new UnsupportedOperationException();
    }
  }

  private static Trial trial(double a, double b) {
    return new Trial(a, b, "f1", Sort.ONE);
  }

  @Test
  void aRecordSaysWhatItNeeds() {
    PassKind kind = PassKind.of(Trial.class);
    assertThat(kind.id()).isEqualTo("trial");
    assertThat(kind.stage()).isEqualTo(Stage.MEND);
    assertThat(kind.frames()).containsExactly("frame");
    assertThat(kind.choices()).hasSize(1);
    assertThat(kind.choices().get(0).options()).containsExactly("ONE", "TWO");
    assertThat(kind.framesOf(trial(5, 0))).containsExactly("f1");
    assertThat(kind.framesOf(new Trial(5, 0, "", Sort.TWO))).isEmpty();
    assertThat(kind.number(trial(7, 0.5), "b")).isEqualTo(0.5);
    assertThatThrownBy(() -> kind.component(trial(5, 0), "c")).hasMessageContaining("no c");
  }

  /** The control farthest from its default, as a share of its range, is what mends. */
  @Test
  void theControlThatStandsFarthestOffMends() {
    assertThat(PassKind.mending(Fault.HALO, trial(6, 0.9), true)).contains("b");
    assertThat(PassKind.mending(Fault.HALO, trial(10, 0.2), true)).contains("a");
    assertThat(PassKind.mending(Fault.HALO, trial(6, 0.9), false))
        .as("the other mends only where it works everywhere")
        .contains("a");
  }

  @Test
  void aControlMendsOnTheSideOnWhichItDoesHarm() {
    assertThat(PassKind.mending(Fault.HALO, trial(5, 0), true)).isEmpty();
    assertThat(PassKind.mending(Fault.HALO, trial(2, 0), true)).as("below").isEmpty();
    assertThat(PassKind.mending(Fault.HALO, trial(2, -0.1), true)).contains("b");
    assertThat(PassKind.mending(Fault.MUD, trial(5, 0.5), true)).isEmpty();
    assertThat(PassKind.mending(Fault.MUD, trial(5, -0.5), true)).contains("b");
    assertThat(PassKind.mending(Fault.OVERSPRAY, trial(5, 0), false)).contains("a");
  }

  @Test
  void aRecordThatSaysNothingIsRefused() {
    record Silent() implements Move {
      @Override
      public PreparedPass prepare(PassInput below) {
        throw new UnsupportedOperationException();
      }
    }
    assertThatThrownBy(() -> PassKind.of(Silent.class)).hasMessageContaining("says no kind");
  }

  /** The tone of a code by IEC 61966-2-1, to a thousandth of a stop; CRAFT says the codes. */
  @Test
  void aKindBeginsWithItsTones() {
    Gate gate = PassKind.of(Sharpen.class).gate();
    int[] codes = {76, 100, 160, 188};
    double[] stops = {gate.from(), gate.full(), gate.fullTo(), gate.to()};
    for (int i = 0; i < 4; i++) {
      double light = Math.pow((codes[i] / 255.0 + 0.055) / 1.055, 2.4);
      assertThat(stops[i]).isCloseTo(Math.log(light) / Math.log(2), within(0.002));
    }
    assertThat(PassKind.of(ReduceNoise.class).gate().fromBlack()).isTrue();
    assertThat(PassKind.of(Tone.class).gate()).isEqualTo(Gate.ALL);
  }

  @ParameterizedTest
  @EnumSource(Stage.class)
  void stagesAreFoundByTheirTitles(Stage stage) {
    assertThat(Stage.titled(stage.title())).isEqualTo(stage);
    assertThatThrownBy(() -> Stage.titled(stage.title() + "x")).hasMessageContaining("no stage");
  }

  /** Every kind has words for each of its controls, and mends only by controls that it has. */
  @Test
  void everyKindOfTheCatalogueIsWhole() {
    List<PassKind> kinds = Catalogue.kinds();
    assertThat(kinds).extracting(PassKind::id).doesNotHaveDuplicates().isNotEmpty();
    assertThat(kinds).extracting(PassKind::name).doesNotHaveDuplicates();
    for (PassKind kind : kinds) {
      assertThat(kind.sentence()).as(kind.id()).contains("{region}").doesNotEndWith(".");
      assertThat(kind.help()).as(kind.id()).isNotBlank();
      kind.controls()
          .forEach(c -> assertThat(kind.sentence() + c.label()).as(c.name()).isNotBlank());
    }
    assertThat(Catalogue.rank(new BringFrame("a", 0, 4)))
        .as("windows before tone")
        .isLessThan(Catalogue.rank(new Tone(0, 0, 0, 0, 0)));
  }
}
