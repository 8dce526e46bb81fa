package illuminar.core.recipe;

import static org.assertj.core.api.Assertions.assertThat;

import illuminar.core.frame.Role;
import illuminar.core.geometry.Crop;
import illuminar.core.geometry.Geometry;
import illuminar.core.ground.Ground;
import illuminar.core.pass.Gate;
import illuminar.core.pass.Group;
import illuminar.core.pass.Move;
import illuminar.core.pass.Pass;
import illuminar.core.pass.Where;
import illuminar.core.pass.kinds.BringFrame;
import illuminar.core.pass.kinds.Colour;
import illuminar.core.pass.kinds.MixLight;
import illuminar.core.pass.kinds.Tone;
import illuminar.core.picture.Point;
import illuminar.core.region.Part;
import illuminar.core.region.Region;
import illuminar.core.region.Shape;
import illuminar.core.region.part.BurntLight;
import illuminar.core.region.part.Ellipse;
import illuminar.core.region.part.OtherRegion;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** One view's decisions in another view: common practice, no source. */
class CarryOverTest {
  private static final Tone BRIGHT = new Tone(0.5, 0, 0, 0);
  private static final Tone DULL = new Tone(-0.5, 0, 0, 0);

  private static Pass pass(String id, Move move, String region, String why, String group) {
    Where where = region.isEmpty() ? Where.EVERYWHERE : new Where(region, false);
    return new Pass(id, true, move, where, Gate.ALL, 0.7, why, group);
  }

  private static Pass pass(String id, Move move) {
    return pass(id, move, "", "", "");
  }

  private static Region region(String id, Shape shape) {
    return new Region(id, "R " + id, List.of(new Part("p", Part.Combine.ADD, shape)), 0, false);
  }

  private static final Ellipse DRAWN = new Ellipse(new Point(0.2, 0.2), 0.1, 0.1, 0, 0);

  private static CarryOver.Rung rung(String id, Role role, double stops) {
    return new CarryOver.Rung(id, role, stops);
  }

  private static final List<CarryOver.Rung> HALL =
      List.of(
          rung("dark", Role.AMBIENT, -2),
          rung("mid", Role.AMBIENT, 0),
          rung("light", Role.AMBIENT, 2),
          rung("flash", Role.FLASH, 0),
          rung("out", Role.WINDOW, -5));

  private static final List<CarryOver.Rung> STAIR =
      List.of(
          rung("a", Role.AMBIENT, -4),
          rung("b", Role.AMBIENT, -1.7),
          rung("c", Role.AMBIENT, 0),
          rung("d", Role.AMBIENT, 2.3),
          rung("lone", Role.FLASH, 1),
          rung("e", Role.FLASH, 2.3));

  private static final Ground MERGED =
      new Ground.EvenBlend(List.of("dark", "mid", "light"), 0.2, "dark");

  private static CarryOver.Side hall(List<Region> regions, List<Group> groups, Pass... passes) {
    return new CarryOver.Side(new Recipe(MERGED, regions, List.of(passes), groups), HALL, "mid");
  }

  private static CarryOver.Side hall(Pass... passes) {
    return hall(List.of(), List.of(), passes);
  }

  private static CarryOver.Side stair(List<Region> regions, Pass... passes) {
    return new CarryOver.Side(
        new Recipe(new Ground.OneFrame("c"), regions, List.of(passes)), STAIR, "c");
  }

  private static CarryOver.Carried all(CarryOver.Side from, CarryOver.Side to) {
    Set<String> ids = Set.copyOf(from.recipe().passes().stream().map(Pass::id).toList());
    return CarryOver.of(from, new CarryOver.Wanted(ids, false, false), to);
  }

  private static Stream<Move> moves(CarryOver.Carried carried) {
    return carried.recipe().passes().stream().map(Pass::move);
  }

  @Test
  void framesAreMatchedByRoleAndExposure() {
    CarryOver.Carried made =
        all(
            hall(
                pass("v", new BringFrame("dark", 0.9, 4)),
                pass("f", new MixLight("flash", "", 1, 0, 0))),
            stair(List.of()));
    assertThat(moves(made))
        .containsExactlyInAnyOrder(new BringFrame("b", 0.9, 4), new MixLight("e", "", 1, 0, 0));
    assertThat(made.lost()).isEmpty();
  }

  /**
   * A light is the difference of two frames at the same settings; one of them alone is no light.
   */
  @Test
  void aFlashWithoutItsAmbientFrameIsNoMatch() {
    CarryOver.Side lone =
        new CarryOver.Side(
            new Recipe(new Ground.OneFrame("c"), List.of(), List.of()),
            STAIR.stream().filter(r -> !r.id().equals("e")).toList(),
            "c");
    CarryOver.Carried made = all(hall(pass("f", new MixLight("flash", "", 1, 0, 0))), lone);
    assertThat(made.recipe().passes()).extracting(Pass::on).containsExactly(false);
    assertThat(made.lost())
        .singleElement()
        .asString()
        .endsWith("no ambient frame has the settings of a flash frame");
  }

  /** The two frames of a difference stay at one setting, whichever that is there. */
  @Test
  void framesOfOneSettingStayOfOneSetting() {
    CarryOver.Carried made =
        all(hall(pass("f", new MixLight("flash", "mid", 1, 0, 0))), stair(List.of()));
    assertThat(moves(made)).containsExactly(new MixLight("e", "d", 1, 0, 0));
    assertThat(made.lost()).isEmpty();
  }

  @Test
  void whatHasNoFrameComesSwitchedOffAndIsNamed() {
    CarryOver.Carried made = all(hall(pass("v", new BringFrame("out", 0.9, 4))), stair(List.of()));
    assertThat(made.recipe().passes()).extracting(Pass::on).containsExactly(false);
    assertThat(made.lost()).singleElement().asString().endsWith("there is no window frame");
    CarryOver.Carried flash =
        all(
            hall(pass("f", new MixLight("mid", "flash", 1, 0, 0))),
            new CarryOver.Side(
                new Recipe(new Ground.OneFrame("c"), List.of(), List.of()),
                STAIR.stream().filter(r -> r.role() == Role.AMBIENT).toList(),
                "c"));
    assertThat(flash.lost()).singleElement().asString().endsWith("there is no flash frame");
    // two frames of the pair would be one
    CarryOver.Carried pair =
        all(
            hall(pass("f", new MixLight("light", "flash", 1, 0, 0))),
            new CarryOver.Side(
                new Recipe(new Ground.OneFrame("c"), List.of(), List.of()),
                List.of(rung("c", Role.AMBIENT, 0)),
                "c"));
    assertThat(pair.recipe().passes()).extracting(Pass::on).containsExactly(false);
  }

  @Test
  void aGroundOfAllFramesIsOneOfAllFrames() {
    CarryOver.Carried made =
        CarryOver.of(hall(), new CarryOver.Wanted(Set.of(), true, false), stair(List.of()));
    assertThat(made.recipe().ground())
        .isEqualTo(new Ground.EvenBlend(List.of("a", "b", "c", "d"), 0.2, "b"));
    CarryOver.Side single =
        new CarryOver.Side(
            new Recipe(new Ground.OneFrame("x"), List.of(), List.of()),
            List.of(rung("x", Role.AMBIENT, 0)),
            "x");
    CarryOver.Carried none =
        CarryOver.of(hall(), new CarryOver.Wanted(Set.of(), true, false), single);
    assertThat(none.recipe().ground()).isEqualTo(new Ground.OneFrame("x"));
    assertThat(none.lost()).hasSize(1);
  }

  /** Found ones are found in the frames there; what another region uses comes as well. */
  @Test
  void regionsComeAlongAndDrawnOnesAreToBeLookedAt() {
    List<Region> regions =
        List.of(
            region("lamps", new BurntLight("light", 0.5, 3)),
            region("wall", DRAWN),
            region("both", new OtherRegion("wall")),
            region("unused", DRAWN));
    CarryOver.Carried made =
        all(
            hall(
                regions,
                List.of(),
                pass("t", BRIGHT, "lamps", "", ""),
                pass("c", new Colour(0, 10, 0), "both", "", "")),
            stair(List.of()));
    assertThat(made.recipe().regions())
        .extracting(Region::id)
        .containsExactly("lamps", "wall", "both");
    assertThat(made.recipe().region("lamps").orElseThrow().parts().get(0).shape())
        .isEqualTo(new BurntLight("d", 0.5, 3));
    assertThat(made.look()).containsExactly("R wall");
  }

  @Test
  void aRegionThatIsThereStaysAsItIs() {
    Region adjusted = region("wall", new Ellipse(new Point(0.6, 0.2), 0.2, 0.1, 0, 0));
    CarryOver.Carried made =
        all(
            hall(List.of(region("wall", DRAWN)), List.of(), pass("t", BRIGHT, "wall", "", "")),
            stair(List.of(adjusted)));
    assertThat(made.recipe().regions()).containsExactly(adjusted);
    assertThat(made.look()).isEmpty();
  }

  @Test
  void itsLikeIsReplacedAndWhatWasProposedGivesWay() {
    CarryOver.Side to =
        stair(
            List.of(),
            pass("tone", DULL, "", "The room is bright.", ""),
            pass("other", DULL, "", "As well.", ""),
            pass("own", DULL));
    CarryOver.Side from = hall(pass("tone", BRIGHT, "", "The room is dark.", ""));
    CarryOver.Carried made = all(from, to);
    assertThat(made.recipe().passes()).containsExactly(pass("tone", BRIGHT), pass("own", DULL));
    // once more changes nothing
    CarryOver.Side again = new CarryOver.Side(made.recipe(), STAIR, "c");
    assertThat(all(from, again).recipe()).isEqualTo(made.recipe());
  }

  @Test
  void anIdOfAnotherKindIsLeftToItsOwner() {
    CarryOver.Carried made =
        all(hall(pass("x", BRIGHT)), stair(List.of(), pass("x", new Colour(0, 10, 0))));
    assertThat(made.recipe().passes()).extracting(Pass::id).containsExactlyInAnyOrder("x", "x-2");
  }

  @Test
  void groupsComeWithTheirRegions() {
    Group group = new Group("g", "Lamps", true, new Where("wall", false), 0.5);
    CarryOver.Carried made =
        all(
            hall(List.of(region("wall", DRAWN)), List.of(group), pass("t", BRIGHT, "", "", "g")),
            stair(List.of()));
    assertThat(made.recipe().groups()).containsExactly(group);
    assertThat(made.recipe().region("wall")).isPresent();
  }

  @Test
  void howThePictureLiesComesButForItsLens() {
    Geometry upright = new Geometry(1, 4, 0, 17, 0, 0, 0, 0, new Crop(1.5, 0, 0, 0, 0));
    CarryOver.Side from =
        new CarryOver.Side(
            hall().recipe().with(upright.because("9 plumb edges lean.")), HALL, "mid");
    Geometry made =
        CarryOver.of(from, new CarryOver.Wanted(Set.of(), false, true), stair(List.of()))
            .recipe()
            .geometry();
    assertThat(made).isEqualTo(upright.seenWith(24));
  }
}
