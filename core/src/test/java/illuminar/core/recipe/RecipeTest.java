package illuminar.core.recipe;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import illuminar.core.ground.Ground;
import illuminar.core.pass.Gate;
import illuminar.core.pass.Group;
import illuminar.core.pass.Move;
import illuminar.core.pass.Pass;
import illuminar.core.pass.Where;
import illuminar.core.pass.kinds.Balance;
import illuminar.core.pass.kinds.BringFrame;
import illuminar.core.pass.kinds.Calm;
import illuminar.core.pass.kinds.Tone;
import illuminar.core.region.Part;
import illuminar.core.region.Region;
import illuminar.core.region.part.BurntLight;
import illuminar.core.region.part.OtherRegion;
import illuminar.core.region.part.WindowFinder;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/** What a recipe may be and which frames it needs: common practice, no source. */
class RecipeTest {
  private static final Ground GROUND = new Ground.OneFrame("g");
  private static final Move TONE = new Tone(0.5, 0, 0, 0);
  private static final Group GROUP = group("all", true, Where.EVERYWHERE, 0.5);

  private static final BurntLight BURNT = new BurntLight("lamp", 0.5);

  private static Region region(String id, Part... parts) {
    return new Region(id, "Region " + id, List.of(parts), 0, false);
  }

  private static Part uses(String other) {
    return new Part("p", Part.Combine.ADD, new OtherRegion(other));
  }

  private static Pass pass(String id, Move move, String region, String group) {
    return new Pass(id, true, move, new Where(region, false), Gate.ALL, 0.8, "", group);
  }

  private static Group group(String id, boolean on, Where where, double strength) {
    return new Group(id, "Group " + id, on, where, strength);
  }

  private static Recipe of(List<Region> regions, List<Pass> passes, List<Group> groups) {
    return new Recipe(GROUND, regions, passes, groups);
  }

  @Test
  void whatIsUsedMustBeThere() {
    assertThatThrownBy(() -> of(List.of(), List.of(pass("p", TONE, "lost", "")), List.of()))
        .hasMessage("pass p uses a region that is not there");
    assertThatThrownBy(() -> of(List.of(), List.of(pass("p", TONE, "", "lost")), List.of()))
        .hasMessage("pass p belongs to a group that is not there");
    assertThatThrownBy(
            () -> of(List.of(), List.of(), List.of(group("g", true, new Where("lost", false), 1))))
        .hasMessage("group Group g uses a region that is not there");
    assertThatThrownBy(() -> of(List.of(region("a", uses("lost"))), List.of(), List.of()))
        .isInstanceOf(IllegalArgumentException.class);
  }

  @Test
  void idsAreUnique() {
    assertThatThrownBy(() -> of(List.of(region("a"), region("a")), List.of(), List.of()))
        .hasMessage("two regions share the id a");
    assertThatThrownBy(() -> of(List.of(), List.of(), List.of(GROUP, GROUP)))
        .hasMessage("two groups share the id all");
    Pass pass = pass("p", TONE, "", "");
    assertThatThrownBy(() -> of(List.of(), List.of(pass, pass), List.of()))
        .hasMessage("two passes share the id p");
  }

  @Test
  void regionsThatUseEachOtherInACircleAreRefused() {
    assertThatThrownBy(
            () -> of(List.of(region("a", uses("b")), region("b", uses("a"))), List.of(), List.of()))
        .isInstanceOf(IllegalArgumentException.class);
    assertThatThrownBy(() -> of(List.of(region("a", uses("a"))), List.of(), List.of()))
        .isInstanceOf(IllegalArgumentException.class);
  }

  @Test
  void aRecipeHoldsAsMuchAsItSaysAndNoMore() {
    List<Region> regions =
        IntStream.range(0, Recipe.MOST_REGIONS).mapToObj(k -> region("r" + k)).toList();
    assertThat(of(regions, List.of(), List.of()).regions()).hasSize(Recipe.MOST_REGIONS);
    List<Region> more = new ArrayList<>(regions);
    more.add(region("one more"));
    assertThatThrownBy(() -> of(more, List.of(), List.of())).hasMessageContaining("at most 200");
    List<Pass> passes =
        IntStream.rangeClosed(0, Recipe.MOST_PASSES)
            .mapToObj(k -> pass("p" + k, TONE, "", ""))
            .toList();
    assertThat(of(List.of(), passes.subList(1, passes.size()), List.of()).passes()).hasSize(200);
    assertThatThrownBy(() -> of(List.of(), passes, List.of())).hasMessageContaining("at most 200");
  }

  @Test
  void aGroupsSwitchAndStrengthCountForItsPasses() {
    Pass within = pass("p", TONE, "", "all");
    Recipe recipe = of(List.of(), List.of(within), List.of(GROUP));
    assertThat(recipe.group(within)).contains(GROUP);
    assertThat(recipe.active(within)).isTrue();
    assertThat(recipe.strength(within)).isEqualTo(0.4);
    assertThat(recipe.strength(pass("q", TONE, "", ""))).isEqualTo(0.8);
    Group off = group("all", false, Where.EVERYWHERE, 1);
    assertThat(of(List.of(), List.of(within), List.of(off)).active(within)).isFalse();
    Group nothing = group("all", true, Where.EVERYWHERE, 0);
    assertThat(of(List.of(), List.of(within), List.of(nothing)).active(within)).isFalse();
    Pass still = new Pass("p", true, TONE, Where.EVERYWHERE, Gate.ALL, 0, "", "all");
    assertThat(of(List.of(), List.of(still), List.of(GROUP)).active(still)).isFalse();
  }

  /** The one rule for which frames are read, shown as used and kept back from being removed. */
  @Test
  void itsFramesAreThoseOfGroundActivePassesAndTheirRegions() {
    Region burnt = region("burnt", new Part("b", Part.Combine.ADD, BURNT));
    Region round = region("round", uses("burnt"));
    Pass calm = pass("calm", new Calm("c"), "", "");
    Pass tone = pass("tone", TONE, "round", "");
    Recipe recipe = of(List.of(burnt, round), List.of(calm, tone), List.of());
    assertThat(recipe.frames()).containsExactlyInAnyOrder("g", "c", "lamp");
    assertThat(of(List.of(burnt, round), List.of(calm), List.of()).frames())
        .as("regions that nothing uses need no frame")
        .containsExactlyInAnyOrder("g", "c");
  }

  @Test
  void whatIsSwitchedOffNeedsNoFrame() {
    Pass off = new Pass("c", false, new Calm("c"), Where.EVERYWHERE, Gate.ALL, 1, "", "");
    assertThat(of(List.of(), List.of(off), List.of()).frames()).containsExactly("g");
    Pass within = pass("c", new Calm("c"), "", "off");
    Group still = group("off", false, Where.EVERYWHERE, 1);
    assertThat(of(List.of(), List.of(within), List.of(still)).frames()).containsExactly("g");
  }

  @Test
  void aGroupsRegionNeedsItsFramesToo() {
    Region burnt = region("burnt", new Part("b", Part.Combine.ADD, BURNT));
    Group lamps = group("lamps", true, new Where("burnt", true), 1);
    Recipe recipe = of(List.of(burnt), List.of(pass("t", TONE, "", "lamps")), List.of(lamps));
    assertThat(recipe.frames()).containsExactlyInAnyOrder("g", "lamp");
  }

  /** Windows before tone, tone before balance, whatever came first. */
  @Test
  void aPassGoesInAtItsPlaceInTheOrderOfWork() {
    Region panes = region("w", new Part("p", Part.Combine.ADD, new WindowFinder(6)));
    Pass tone = pass("tone", TONE, "", "");
    Pass window = pass("window", new BringFrame("f", 1, 0), "w", "");
    Pass even = pass("balance", new Balance(0, 0, 0, 0), "", "");
    Recipe recipe = of(List.of(panes), List.of(), List.of()).with(even).with(tone).with(window);
    assertThat(recipe.passes()).extracting(Pass::id).containsExactly("window", "tone", "balance");
    Pass again = pass("tone again", TONE, "", "");
    assertThat(recipe.with(again).passes())
        .extracting(Pass::id)
        .containsExactly("window", "tone", "tone again", "balance");
  }

  @Test
  void regionsAreFoundByIdWithAllTheyDependOn() {
    Recipe recipe = of(List.of(region("a"), region("b", uses("a"))), List.of(), List.of());
    assertThat(recipe.region("a")).contains(region("a"));
    assertThat(recipe.region("c")).isEmpty();
    assertThat(recipe.territory("c")).isEmpty();
    assertThat(recipe.territory("b").orElseThrow().other("a").region()).isEqualTo(region("a"));
  }
}
