package illuminar.core.house;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import illuminar.core.ground.Ground;
import illuminar.core.pass.Channels;
import illuminar.core.pass.Gate;
import illuminar.core.pass.Move;
import illuminar.core.pass.Pass;
import illuminar.core.pass.Where;
import illuminar.core.pass.kinds.BringFrame;
import illuminar.core.pass.kinds.Colour;
import illuminar.core.pass.kinds.Levels;
import illuminar.core.pass.kinds.Tone;
import illuminar.core.recipe.Recipe;
import illuminar.core.region.Part;
import illuminar.core.region.Region;
import illuminar.core.region.part.BurntLight;
import java.util.List;
import java.util.stream.Stream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;

/** A studio's habits, learned and applied: common practice, no source. */
class HouseStyleTest {
  private static final String LIT = "burnt-light";

  private static Pass pass(String id, Move move, String region, double strength, String why) {
    Where where = region.isEmpty() ? Where.EVERYWHERE : new Where(region, false);
    return new Pass(id, true, move, where, Gate.ALL, strength, why);
  }

  private static Recipe recipe(Pass... passes) {
    Region lit =
        new Region(
            LIT,
            "Burnt light",
            List.of(new Part("p", Part.Combine.ADD, new BurntLight("a", 0.4, 0.1))),
            0,
            false);
    return new Recipe(new Ground.OneFrame("a"), List.of(lit), List.of(passes));
  }

  private static Recipe bare(Pass... passes) {
    return new Recipe(new Ground.OneFrame("a"), List.of(), List.of(passes));
  }

  private static Pass tone(double exposure, double contrast) {
    return pass("tone", new Tone(exposure, contrast, 0, 0), "", 1, "Measured.");
  }

  private static Pass colour(double saturation) {
    return pass("c", new Colour(0, 0, saturation), "", 1, "Measured.");
  }

  private static double exposure(Recipe recipe) {
    return ((Tone) recipe.passes().get(0).move()).exposure();
  }

  private static Learned.Finished view(Recipe first, Recipe last) {
    return new Learned.Finished(first, last);
  }

  /** Each view's own measure stays: the habit comes on top. */
  @Test
  void aNumberIsMovedFromWhereItIsProposed() {
    HouseStyle style = Learned.from(List.of(view(recipe(tone(0.4, 0)), recipe(tone(0.6, 12)))));
    assertThat(style.shifts())
        .containsExactlyInAnyOrder(
            new HouseStyle.Shift("tone", "exposure", 0.2),
            new HouseStyle.Shift("tone", "contrast", 12));
    Recipe other = style.of(recipe(tone(-0.3, 0)));
    assertThat(exposure(other)).isCloseTo(-0.1, within(1e-12));
    assertThat(other.passes().get(0).why())
        .isEqualTo("Measured. House style: exposure 0.2 stops higher, contrast 12 higher.");
  }

  /** One view that differs is no habit. */
  @Test
  void theMedianOfMostViewsCounts() {
    Recipe first = recipe(tone(0, 0));
    HouseStyle three =
        Learned.from(Stream.of(0.1, 0.3, 3.0).map(e -> view(first, recipe(tone(e, 0)))).toList());
    assertThat(three.shifts()).containsExactly(new HouseStyle.Shift("tone", "exposure", 0.3));
    HouseStyle one =
        Learned.from(Stream.of(0.0, 0.0, 1.0).map(e -> view(first, recipe(tone(e, 0)))).toList());
    assertThat(one.nothing()).isTrue();
  }

  @Test
  void whatIsThrownOutOfMostViewsIsNotProposed() {
    Recipe first = recipe(tone(0.2, 0), colour(0.9));
    Recipe without = recipe(tone(0.2, 0));
    HouseStyle style =
        Learned.from(List.of(view(first, without), view(first, without), view(first, first)));
    assertThat(style.without()).containsExactly("colour");
    assertThat(style.of(first).passes()).containsExactly(tone(0.2, 0));
    // switched off is thrown out too
    Recipe off = recipe(tone(0.2, 0), colour(0.9).switched(false));
    assertThat(Learned.from(List.of(view(first, off))).without()).containsExactly("colour");
  }

  @Test
  void whatIsAddedToMostViewsIsAdded() {
    Recipe first = recipe(tone(0.2, 0));
    Pass own = pass("mine", new Levels(Channels.LIGHTNESS, 0.9, 0.02, 1), LIT, 0.4, "");
    HouseStyle style = Learned.from(List.of(view(first, recipe(tone(0.2, 0), own))));
    Recipe made = style.of(first);
    assertThat(made.passes()).hasSize(2);
    Pass added =
        made.passes().stream().filter(p -> p.move() instanceof Levels).findFirst().orElseThrow();
    assertThat(added.why()).isEqualTo("House style.");
    assertThat(added.strength()).isEqualTo(0.4);
    assertThat(added.where()).isEqualTo(own.where());
    assertThat(style.of(bare(tone(0.2, 0))).passes())
        .as("a view without the region goes without the pass")
        .containsExactly(tone(0.2, 0));
    HouseStyle rare =
        Learned.from(List.of(view(first, recipe(tone(0.2, 0), own)), view(first, first)));
    assertThat(rare.nothing()).isTrue();
  }

  /** Frames are a view's own, and so are regions that were drawn in it. */
  @Test
  void whatBelongsToOneViewIsNotLearned() {
    Recipe first = bare(tone(0, 0));
    Pass framed = pass("f", new BringFrame("b", 0.5, 0), "", 1, "");
    Pass drawn = pass("d", new Tone(1, 0, 0, 0), LIT, 1, "");
    Recipe last = recipe(framed, tone(0, 0), drawn);
    assertThat(Learned.from(List.of(view(first, last))).nothing()).isTrue();
    assertThatThrownBy(() -> new HouseStyle(List.of(), List.of(), List.of(framed)))
        .isInstanceOf(IllegalArgumentException.class)
        .hasMessageContaining("takes a frame");
  }

  @Test
  void whatNobodyKnowsIsRefused() {
    assertThatThrownBy(() -> new HouseStyle.Shift("magic", "exposure", 1))
        .hasMessage("this version knows no pass magic");
    assertThatThrownBy(() -> new HouseStyle.Shift("tone", "magic", 1))
        .hasMessage("Tone has no number magic");
    assertThatThrownBy(() -> new HouseStyle.Shift("tone", "exposure", Double.NaN))
        .isInstanceOf(IllegalArgumentException.class);
    HouseStyle.Shift twice = new HouseStyle.Shift("tone", "exposure", 1);
    assertThatThrownBy(() -> new HouseStyle(List.of(twice, twice), List.of(), List.of()))
        .hasMessage("a house style moves exposure twice");
  }

  @Test
  void withoutAStyleAFirstVersionStaysAsItIs() {
    Recipe first = recipe(tone(0.4, 3), colour(1));
    assertThat(HouseStyle.NONE.of(first)).isEqualTo(first);
    assertThat(Learned.from(List.of(view(first, first)))).isEqualTo(HouseStyle.NONE);
    assertThat(Learned.from(List.of())).isEqualTo(HouseStyle.NONE);
  }

  /** A law: what a style did to a first version is what is learned from it. */
  @Property(tries = 200)
  void aStyleIsLearnedBack(
      @ForAll @DoubleRange(min = -1, max = 1) double exposure,
      @ForAll @DoubleRange(min = -1, max = 1) double proposed) {
    double by = Math.rint(exposure * 20) / 20;
    HouseStyle style =
        new HouseStyle(
            by == 0 ? List.of() : List.of(new HouseStyle.Shift("tone", "exposure", by)),
            List.of(),
            List.of());
    Recipe first = recipe(tone(proposed, 0));
    assertThat(Learned.from(List.of(view(first, style.of(first))))).isEqualTo(style);
  }

  /** A number stops at the end of its range. */
  @Property(tries = 100)
  void noNumberLeavesItsRange(@ForAll @DoubleRange(min = -20, max = 20) double by) {
    HouseStyle style =
        new HouseStyle(
            List.of(
                new HouseStyle.Shift("tone", "exposure", by),
                new HouseStyle.Shift("tone", HouseStyle.STRENGTH, by)),
            List.of(),
            List.of());
    Pass made = style.of(recipe(tone(0.4, 0))).passes().get(0);
    assertThat(((Tone) made.move()).exposure()).isBetween(-5.0, 5.0);
    assertThat(made.strength()).isBetween(0.0, 1.0);
  }
}
