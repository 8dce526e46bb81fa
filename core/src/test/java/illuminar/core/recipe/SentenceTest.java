package illuminar.core.recipe;

import static org.assertj.core.api.Assertions.assertThat;

import illuminar.core.ground.Ground;
import illuminar.core.pass.Gate;
import illuminar.core.pass.Group;
import illuminar.core.pass.Move;
import illuminar.core.pass.Pass;
import illuminar.core.pass.Where;
import illuminar.core.pass.kinds.Calm;
import illuminar.core.pass.kinds.Tone;
import illuminar.core.region.Region;
import java.util.List;
import org.junit.jupiter.api.Test;

/** How steps are said: the words of the product, no source. */
class SentenceTest {
  private static final Ground GROUND = new Ground.OneFrame("g");
  private static final Region WALL = new Region("w", "Wall", List.of(), 0, false);
  private static final Group GROUP = new Group("k", "Kitchen", true, Where.EVERYWHERE, 1);

  private static Pass pass(String id, Move move, Where where, double strength) {
    return new Pass(id, true, move, where, Gate.ALL, strength, "");
  }

  private static Pass tone(double exposure) {
    return pass("t", new Tone(exposure, 0, 0, 0), Where.EVERYWHERE, 1);
  }

  private static Recipe of(List<Region> regions, List<Group> groups, Pass... passes) {
    return new Recipe(GROUND, regions, List.of(passes), groups);
  }

  private static Recipe of(Pass... passes) {
    return of(List.of(WALL), List.of(), passes);
  }

  private static String said(Recipe before, Recipe after) {
    return Sentence.change(before, after);
  }

  @Test
  void whatAPassDoesIsSaidWithItsPlaceTonesAndStrength() {
    Pass calm = pass("c", new Calm("f"), Where.EVERYWHERE, 0.254);
    assertThat(Sentence.of(calm, of(calm), id -> "lamps off"))
        .isEqualTo("Mix lamps off back into the whole picture, at 25.4 %.");
    Gate dark = new Gate(-8, -6, -3, -2.5);
    Pass inside = new Pass("c", true, new Calm(""), new Where("w", false), dark, 1, "");
    assertThat(Sentence.of(inside, of(inside), id -> id))
        .isEqualTo("Mix nothing back into Wall, only in tones from −6 to −3 stops.");
    Gate darks = new Gate(-100, -100, -2.71, -1.99);
    Pass open = new Pass("c", true, new Calm("f"), Where.EVERYWHERE, darks, 1, "");
    assertThat(Sentence.of(open, of(open), id -> id)).endsWith(", only in tones up to −2.7 stops.");
    Pass lights =
        new Pass("c", true, new Calm("f"), Where.EVERYWHERE, new Gate(-3, -2, 100, 100), 1, "");
    assertThat(Sentence.of(lights, of(lights), id -> id))
        .endsWith(", only in tones from −2 stops up.");
    Pass outside = pass("c", new Calm("f"), new Where("w", true), 1);
    assertThat(Sentence.of(outside, of(outside), id -> id))
        .isEqualTo("Mix f back into all but Wall.");
  }

  @Test
  void passesComeGoAndChange() {
    Recipe none = of();
    Recipe one = of(tone(0.5));
    assertThat(said(none, one)).isEqualTo("tone added");
    assertThat(said(one, none)).isEqualTo("tone removed");
    assertThat(said(one, one)).isEqualTo("nothing changed");
    assertThat(said(one, of(tone(-0.25)))).isEqualTo("tone: exposure -0.25 st");
    assertThat(said(one, of(pass("t", new Tone(0.5, 0, 0, 0), Where.EVERYWHERE, 0.4))))
        .isEqualTo("tone at 40 %");
    Pass off = new Pass("t", false, new Tone(0.5, 0, 0, 0), Where.EVERYWHERE, Gate.ALL, 1, "");
    assertThat(said(one, of(off))).isEqualTo("tone switched off");
    assertThat(said(of(off), one)).isEqualTo("tone switched on");
    assertThat(said(one, of(pass("t", new Tone(0.5, 0, 0, 0), new Where("w", false), 1))))
        .isEqualTo("tone in another place");
  }

  @Test
  void regionsAndGroupsAreSaidByName() {
    Region wide = new Region("w", "Wall", List.of(), 20, false);
    assertThat(said(of(List.of(), List.of()), of(List.of(WALL), List.of())))
        .isEqualTo("region Wall added");
    assertThat(said(of(List.of(WALL), List.of()), of(List.of(wide), List.of())))
        .isEqualTo("region Wall changed");
    assertThat(said(of(List.of(WALL), List.of()), of(List.of(), List.of())))
        .isEqualTo("region Wall removed");
    Group half = new Group("k", "Kitchen", true, Where.EVERYWHERE, 0.5);
    assertThat(said(of(), of(List.of(WALL), List.of(GROUP)))).isEqualTo("group Kitchen added");
    assertThat(said(of(List.of(WALL), List.of(GROUP)), of(List.of(WALL), List.of(half))))
        .isEqualTo("group Kitchen changed");
    assertThat(said(of(List.of(WALL), List.of(GROUP)), of())).isEqualTo("group Kitchen removed");
  }

  @Test
  void manyChangesAreCountedAndOrderAloneIsOrder() {
    Pass calm = pass("c", new Calm("f"), Where.EVERYWHERE, 1);
    assertThat(said(of(tone(0), calm), of(calm, tone(0)))).isEqualTo("order changed");
    assertThat(said(of(), of(tone(0), calm))).isEqualTo("tone added, mix a frame back in added");
    Recipe all = of(List.of(WALL), List.of(GROUP), tone(0), calm);
    assertThat(said(of(List.of(), List.of()), all)).isEqualTo("region Wall added and 3 more");
    Recipe other = new Recipe(new Ground.OneFrame("h"), List.of(WALL), List.of(), List.of());
    assertThat(said(of(), other)).isEqualTo("ground changed");
  }
}
