package illuminar.journeys;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

/** The plan of an intake, without any screen. */
class PlanTest extends OnModules {
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
    assertThat(call(PLAN + "return say(m.moveFrames(plan, ['d'], 0))")).isEqualTo("V1:b:abcd");
    assertThat(call(PLAN + "return say(m.moveFrames(plan, ['b'], 1))"))
        .isEqualTo("V1:c:ac V2:d:db");
    assertThat(call(PLAN + "return say(plan)")).isEqualTo("V1:b:abc V2:d:d");
  }

  private static final String VIEWS =
      """
      const g = (id, anchor = false) => ({ id, name: id, role: 'AMBIENT', stops: 0, anchor });
      const views = [
        { id: '1', name: 'V1', width: 3, height: 2, frames: [g('a'), g('b', true), g('c')] },
        { id: '2', name: 'V2', width: 3, height: 2, frames: [g('d', true)] }];
      const plan = m.planOfViews(views);
      const say = (a) => a.views.map((v) => (v.view ?? 'new') + ':' + (v.anchor ?? '') + ':'
        + v.frames.map((x) => x.id).join('')).join(' ') + ' bin:' + a.bin.join('');
      """;

  private static void changes(String plan, String said) {
    assertThat(call(VIEWS + "return say(m.arrangement(" + plan + ", views))")).isEqualTo(said);
  }

  /** Only views that change are told; what a view loses is in another one or in the bin. */
  @Test
  void whatChangesOfViewsThatAreThereIsToldWhole() {
    changes("plan", " bin:");
    changes("m.changed(plan, 0, { anchor: 'c' })", "1:c:abc bin:");
    changes("m.split(plan, 0, 2)", "1:b:ab new:c:c bin:");
    changes("m.merge(plan, 1)", "1:b:abcd 2:: bin:");
    changes("m.moveFrames(plan, ['b', 'd'], 2)", "1:c:ac new:d:bd 2:: bin:");
    changes("m.moveFrames(plan, ['a'], 1)", "1:b:bc 2:d:da bin:");
    changes("m.takeOut(plan, ['a', 'd'])", "1:b:bc 2:: bin:ad");
  }

  @Test
  void viewsMoveTogetherInTheirOrder() {
    String said = "return m.shifted(['a', 'b', 'c', 'd', 'e'], [%s], %d).join('')";
    assertThat(call(said.formatted("'b'", -1))).isEqualTo("bacde");
    assertThat(call(said.formatted("'b'", 2))).isEqualTo("acdbe");
    assertThat(call(said.formatted("'b', 'd'", 1))).isEqualTo("acbde");
    assertThat(call(said.formatted("'a', 'e'", -1))).isEqualTo("aebcd");
    assertThat(call(said.formatted("'e'", 1))).isEqualTo("abcde");
  }

  /** While frames come and go a plan keeps its names, roles and what was moved by hand. */
  @Test
  void aPlanKeepsWhatWasChangedWhileFramesComeAndGo() {
    String later =
        """
        const mine = m.changed(m.moveFrames(plan, ['d'], 0), 0, { name: 'Study' });
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
