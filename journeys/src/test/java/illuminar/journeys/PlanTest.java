package illuminar.journeys;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

/** The plan of an intake, without any screen. */
class PlanTest {
  private static Modules modules;

  @BeforeAll
  static void load() {
    modules = new Modules();
  }

  @AfterAll
  static void close() {
    modules.close();
  }

  private static Object call(String expression) {
    return modules.call(expression);
  }

  private static final String PLAN =
      """
      const f = (id, role = 'AMBIENT') => ({ id, name: id, role, known: false });
      const plan = m.planOf({ views: [
        { name: 'V1', anchor: 'b', frames: [f('a'), f('b'), f('c')] },
        { name: 'V2', anchor: 'd', frames: [f('d')] }], refused: [] });
      const say = (p) => p.map((v) => v.name + ':' + v.anchor + ':' + v.frames.map((x) => x.id).join('')).join(' ');
      """;

  @Test
  void viewsAreSplitMergedAndFramesMoved() {
    assertThat(call(PLAN + "return say(m.split(plan, 0, 1))")).isEqualTo("V1:a:a V1 b:b:bc V2:d:d");
    assertThat(call(PLAN + "return say(m.merge(plan, 1))")).isEqualTo("V1:b:abcd");
    assertThat(call(PLAN + "return say(m.moveFrame(plan, 1, 'd', 0))")).isEqualTo("V1:b:abcd");
    assertThat(call(PLAN + "return say(m.moveFrame(plan, 0, 'b', 1))"))
        .isEqualTo("V1:c:ac V2:d:db");
    assertThat(call(PLAN + "return say(plan)")).isEqualTo("V1:b:abc V2:d:d");
  }

  /** While frames come and go a plan keeps its names, roles and what was moved by hand. */
  @Test
  void aPlanKeepsWhatWasChangedWhileFramesComeAndGo() {
    String later =
        """
        const mine = m.changed(m.moveFrame(plan, 1, 'd', 0), 0, { name: 'Study' });
        const sheet = (...views) => ({ views: views.map((ids, i) => ({ name: 'V' + (i + 1),
          anchor: ids[0], frames: [...ids].map((x) => f(x)) })), refused: [] });
        """;
    String said = PLAN + later + "return say(m.reconciled(mine, sheet(%s)))";
    assertThat(call(said.formatted("'abce', 'd', 'xy'"))).isEqualTo("Study:b:abcde V3:x:xy");
    assertThat(call(said.formatted("'ac', 'd'"))).isEqualTo("Study:c:acd");
    assertThat(call(said.formatted("'xy'"))).isEqualTo("V1:x:xy");
  }

  /** Beside files of one's own, what lies on the card is not chosen by itself. */
  @Test
  void ownFilesAreChosenBeforeTheCard() {
    String sheet =
        """
        const f = (id, known = false) => ({ id, name: id, role: 'AMBIENT', known });
        const sheet = (...frames) => ({ refused: [],
          views: frames.map((x) => ({ name: 'V', anchor: x.id, frames: [x] })) });
        const wanted = (...frames) => m.planOf(sheet(...frames)).map((v) => v.wanted).join(' ');
        """;
    assertThat(call(sheet + "return wanted(f('card/a'), f('sent/b'))")).isEqualTo("false true");
    assertThat(call(sheet + "return wanted(f('card/a'), f('card/b', true))"))
        .isEqualTo("true false");
  }
}
