package illuminar.core.region;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import illuminar.core.ground.Ground;
import illuminar.core.picture.Point;
import illuminar.core.region.part.BurntLight;
import illuminar.core.region.part.OtherRegion;
import illuminar.core.region.part.Ramp;
import illuminar.core.region.part.ToneBand;
import illuminar.core.region.part.WindowFinder;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/** What a region may be and what it depends on: common practice, no source. */
class RegionRulesTest {
  private static final Ground GROUND = new Ground.OneFrame("g");
  private static final Shape PANES = new WindowFinder(6);

  private static Part part(Shape shape) {
    return new Part("p", Part.Combine.ADD, shape);
  }

  private static Part soft(double feather, Shape shape) {
    return new Part("p", Part.Combine.ADD, shape, feather, 1, false, false);
  }

  private static Part uses(String other) {
    return part(new OtherRegion(other));
  }

  private static Region region(String id, Part... parts) {
    return new Region(id, "Region " + id, List.of(parts), 0, false);
  }

  private static Region made(double grow, double edge, double feather, double density) {
    return new Region("r", "R", List.of(), grow, edge, feather, density, false);
  }

  private static ToneBand tones(Look look) {
    return new ToneBand(look, ToneBand.Tones.LIGHTS, 4, 0, List.of(), 0, 1);
  }

  private static final Look BELOW = new Look(Look.From.BELOW, "");

  @Test
  void theEndsOfEachRangeBelongToIt() {
    assertThatCode(() -> made(-60, 0, 0, 0)).doesNotThrowAnyException();
    assertThatCode(() -> made(60, 200, 2000, 1)).doesNotThrowAnyException();
    assertThatThrownBy(() -> made(-61, 0, 0, 1)).hasMessage("grow is −60 to 60 px, not −61");
    assertThatThrownBy(() -> made(0, 201, 0, 1)).hasMessage("edge is 0 to 200 px, not 201");
    assertThatThrownBy(() -> made(0, 0, 2000.5, 1)).hasMessageContaining("not 2000.5");
    assertThatThrownBy(() -> made(0, 0, 0, 1.5)).hasMessage("density is 0 to 1, not 1.5");
    assertThatThrownBy(() -> made(Double.NaN, 0, 0, 1)).hasMessageContaining("grow");
    assertThatThrownBy(() -> soft(-1, PANES)).hasMessage("feather is 0 to 2000 px, not −1");
    assertThatThrownBy(() -> new Part("p", Part.Combine.ADD, PANES, 0, 2, false, false))
        .hasMessage("strength is 0 to 1, not 2");
  }

  @Test
  void aHundredPartsAreEnough() {
    List<Part> parts =
        IntStream.range(0, 100).mapToObj(k -> part(PANES)).collect(Collectors.toList());
    assertThat(new Region("r", "R", parts, 0, false).parts()).hasSize(100);
    parts.add(part(PANES));
    assertThatThrownBy(() -> new Region("r", "R", parts, 0, false))
        .hasMessage("a region holds at most 100 parts");
  }

  /** What is drawn anew in every tile can be neither wide nor follow the ground's edges. */
  @Test
  void aRegionThatLooksBelowIsSoftenedALittleAndNotMadeEdgeTrue() {
    List<Part> live = List.of(part(tones(BELOW)));
    double most = Region.LIVE_FEATHER;
    assertThatCode(() -> new Region("r", "R", live, most, false)).doesNotThrowAnyException();
    assertThatThrownBy(() -> new Region("r", "R", live, most + 1, false))
        .hasMessageContaining("R looks at the picture below a pass")
        .hasMessageContaining("200 px");
    assertThatThrownBy(() -> new Region("r", "R", live, 0, 10, 0, 1, false))
        .hasMessageContaining("not be made edge-true");
  }

  @Test
  void otherPartsLeaveTheRestAsItIs() {
    Region r = new Region("r", "R", List.of(part(PANES)), 3, 5, 7, 0.5, true);
    Region other = r.withParts(List.of());
    assertThat(other).isEqualTo(new Region("r", "R", List.of(), 3, 5, 7, 0.5, true));
    Part p = new Part("p", Part.Combine.OVERLAP, PANES, 4, 0.3, true, true);
    Shape burnt = new BurntLight("l", 0.5);
    assertThat(p.withShape(burnt))
        .isEqualTo(new Part("p", Part.Combine.OVERLAP, burnt, 4, 0.3, true, true));
  }

  @Test
  void aTerritoryHoldsWhatIsUsedOnceAndNothingElse() {
    Region a = region("a", part(PANES));
    Region b = region("b", uses("a"));
    Region c = region("c", uses("a"), uses("b"));
    Region lone = region("lone");
    Territory t = Territory.of(c, List.of(a, b, c, lone), GROUND);
    assertThat(t.region()).isEqualTo(c);
    assertThat(t.others()).containsExactlyInAnyOrder(a, b);
    assertThat(t.other("b").other("a").region()).isEqualTo(a);
    assertThatThrownBy(() -> t.other("lone")).isInstanceOf(RuntimeException.class);
  }

  @Test
  void circlesAreNamed() {
    Region a = region("a", uses("b"));
    Region b = region("b", uses("c"));
    Region c = region("c", uses("a"));
    assertThatThrownBy(() -> Territory.of(a, List.of(a, b, c), GROUND))
        .hasMessage("region Region a uses itself by way of Region c");
    Region self = region("s", uses("s"));
    assertThatThrownBy(() -> Territory.of(self, List.of(self), GROUND))
        .hasMessage("region Region s uses itself");
    assertThatThrownBy(() -> Territory.of(a, List.of(a), GROUND))
        .hasMessage("region Region a uses a region that is not there");
  }

  @Test
  void theGroundCountsOnlyWhereSomethingFollowsIt() {
    Region drawn = region("d", part(new Ramp(new Point(0, 0), new Point(1, 0))));
    assertThat(Territory.of(drawn, List.of(drawn), GROUND).ground()).isEmpty();
    Region edge = new Region("e", "E", drawn.parts(), 0, 8, 0, 1, false);
    assertThat(Territory.of(edge, List.of(edge), GROUND).ground()).contains(GROUND);
    Region by = region("b", uses("e"));
    assertThat(Territory.of(by, List.of(edge, by), GROUND).ground()).contains(GROUND);
  }

  @Test
  void framesComeFromAllPartsThatAreOn() {
    Part off = new Part("o", Part.Combine.ADD, new BurntLight("off", 0.5), 0, 1, false, true);
    Region a = region("a", part(new BurntLight("lamp", 0.5)), off);
    Region b = region("b", uses("a"), part(tones(new Look(Look.From.FRAME, "toned"))));
    List<Region> all = new ArrayList<>(List.of(a, b));
    assertThat(Territory.of(b, all, GROUND).frames()).containsExactlyInAnyOrder("lamp", "toned");
  }

  @Test
  void whatLooksBelowIsLiveAndReadsRoundATile() {
    Region live = new Region("l", "L", List.of(soft(20, tones(BELOW))), 4, 0, 40, 1, false);
    Region by = region("b", uses("l"));
    Territory t = Territory.of(by, List.of(live, by), GROUND);
    assertThat(t.live()).isTrue();
    assertThat(Territory.of(live, List.of(live), GROUND).margin(1)).isEqualTo(94 + 2);
    assertThat(t.margin(0.5)).isEqualTo(47 + 4);
    Region still = region("s", part(PANES));
    assertThat(Territory.of(still, List.of(still), GROUND).live()).isFalse();
  }
}
