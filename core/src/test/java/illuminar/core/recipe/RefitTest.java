package illuminar.core.recipe;

import static org.assertj.core.api.Assertions.assertThat;

import illuminar.core.ground.Ground;
import illuminar.core.pass.Gate;
import illuminar.core.pass.Move;
import illuminar.core.pass.Pass;
import illuminar.core.pass.Where;
import illuminar.core.pass.kinds.BringFrame;
import illuminar.core.pass.kinds.MixLight;
import illuminar.core.pass.kinds.Tone;
import illuminar.core.picture.Point;
import illuminar.core.region.DrawnLine;
import illuminar.core.region.Look;
import illuminar.core.region.Part;
import illuminar.core.region.Region;
import illuminar.core.region.Shape;
import illuminar.core.region.part.Brush;
import illuminar.core.region.part.BurntLight;
import illuminar.core.region.part.Ellipse;
import illuminar.core.region.part.HandWindow;
import illuminar.core.region.part.Loop;
import illuminar.core.region.part.Outline;
import illuminar.core.region.part.Panel;
import illuminar.core.region.part.Parts;
import illuminar.core.region.part.Ramp;
import illuminar.core.region.part.SimilarColour;
import java.lang.reflect.RecordComponent;
import java.util.Arrays;
import java.util.List;
import java.util.Set;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Recipes after the frames of their views have changed: common practice, no source. */
class RefitTest {
  private static final UnaryOperator<Point> STAY = UnaryOperator.identity();

  private static Point aside(Point p) {
    return new Point(p.x() + 0.25, p.y() + 0.125);
  }

  private static Pass pass(String id, Move move) {
    return new Pass(id, true, move, Where.EVERYWHERE, Gate.ALL, 0.7, "");
  }

  private static Region region(Shape... shapes) {
    List<Part> parts = Stream.of(shapes).map(s -> new Part("p", Part.Combine.ADD, s)).toList();
    return new Region("r", "Lamps", parts, 0, false);
  }

  private static Refit.Fitted fit(Recipe recipe, Set<String> there, UnaryOperator<Point> to) {
    return Refit.of(recipe, there, "anchor", gone -> "near " + gone, to);
  }

  private static final Recipe RECIPE =
      new Recipe(
          new Ground.EvenBlend(List.of("dark", "anchor", "light"), 0.2, "light"),
          List.of(
              region(new BurntLight("light", 0.5, 3), new Ellipse(new Point(0, 0), 1, 1, 0, 0))),
          List.of(
              pass("view", new BringFrame("dark", 0.9, 4)),
              pass("flash", new MixLight("flash", "", 1, 0, 0)),
              pass("tone", new Tone(0.5, 0, 0, 0))));

  @Test
  void whatHasItsFramesStaysAsItIs() {
    Set<String> all = Set.of("dark", "anchor", "light", "flash", "more");
    assertThat(fit(RECIPE, all, STAY)).isEqualTo(new Refit.Fitted(RECIPE, List.of()));
    assertThat(Refit.named(RECIPE)).containsExactly("dark", "anchor", "light", "flash");
  }

  /** Nothing that was decided goes; what cannot work is off, with its numbers, and named. */
  @Test
  void whatNeedsAFrameThatIsGoneIsSwitchedOffAndNamed() {
    Refit.Fitted fitted = fit(RECIPE, Set.of("anchor", "dark"), STAY);
    Recipe now = fitted.recipe();
    assertThat(now.ground())
        .isEqualTo(new Ground.EvenBlend(List.of("dark", "anchor"), 0.2, "anchor"));
    Part burnt = now.regions().get(0).parts().get(0);
    assertThat(burnt.off()).isTrue();
    assertThat(burnt.shape()).isEqualTo(new BurntLight("near light", 0.5, 3));
    assertThat(now.regions().get(0).parts().get(1).off()).isFalse();
    assertThat(now.passes().get(0)).isEqualTo(RECIPE.passes().get(0));
    assertThat(now.passes().get(1))
        .isEqualTo(pass("flash", new MixLight("near flash", "", 1, 0, 0)).switched(false));
    assertThat(now.passes().get(2)).isEqualTo(RECIPE.passes().get(2));
    assertThat(fitted.lost())
        .containsExactly(
            "the ground has fewer frames",
            "burnt light in Lamps is switched off",
            "mix a light is switched off");
  }

  @Test
  void aGroundThatLostAllItsFramesIsTheAnchor() {
    Ground anchor = new Ground.OneFrame("anchor");
    assertThat(fit(RECIPE, Set.of("anchor"), STAY).recipe().ground())
        .isEqualTo(new Ground.EvenBlend(List.of("anchor"), 0.2, "anchor"));
    Recipe dark = new Recipe(new Ground.OneFrame("dark"), List.of(), List.of());
    assertThat(fit(dark, Set.of("anchor"), STAY).recipe().ground()).isEqualTo(anchor);
    Ground merge =
        new Ground.RadianceMerge(
            List.of("dark", "light"),
            0,
            0.5,
            1,
            1,
            true,
            List.of(
                new Ground.Chosen(new Point(0.5, 0.5), "dark"),
                new Ground.Chosen(new Point(0.1, 0.1), "light")),
            0,
            "dark");
    Recipe merged = new Recipe(merge, List.of(), List.of());
    assertThat(fit(merged, Set.of("anchor", "light"), RefitTest::aside).recipe().ground())
        .isEqualTo(
            new Ground.RadianceMerge(
                List.of("light"),
                0,
                0.5,
                1,
                1,
                true,
                List.of(new Ground.Chosen(new Point(0.35, 0.225), "light")),
                0,
                "anchor"));
    assertThat(fit(merged, Set.of("anchor"), STAY).recipe().ground()).isEqualTo(anchor);
  }

  @Test
  void placesGoWithTheAnchor() {
    Point a = new Point(0.25, 0.5);
    Point b = new Point(0.5, 0.25);
    Point c = new Point(0.5, 0.625);
    List<Point> there = List.of(c, new Point(0.75, 0.375));
    String pressed = "25000,50000,40 25000,-25000";
    assertThat(
            fit(
                    new Recipe(
                        new Ground.OneFrame("anchor"),
                        List.of(
                            region(
                                new Ellipse(a, 0.1, 0.2, 30, 0.5),
                                new Outline(List.of(a, b, a), true),
                                new Ramp(a, b),
                                new HandWindow(a, b, 1, 0, 3),
                                new SimilarColour(Look.GROUND, a, 12, 0.3, true),
                                new Loop(DrawnLine.write(List.of(a, b, a))),
                                new Brush(
                                    List.of(new Brush.Stroke(0.1, 0.5, 1, false, 0, pressed))))),
                        List.of()),
                    Set.of("anchor"),
                    RefitTest::aside)
                .recipe()
                .regions()
                .get(0)
                .parts())
        .extracting(Part::shape)
        .containsExactly(
            new Ellipse(c, 0.1, 0.2, 30, 0.5),
            new Outline(List.of(there.get(0), there.get(1), c), true),
            new Ramp(c, there.get(1)),
            new HandWindow(c, there.get(1), 1, 0, 3),
            new SimilarColour(Look.GROUND, c, 12, 0.3, true),
            new Loop(DrawnLine.write(List.of(c, there.get(1), c))),
            new Brush(
                List.of(new Brush.Stroke(0.1, 0.5, 1, false, 0, "50000,62500,40 25000,-25000"))));
    assertThat(new Panel(List.of(a, b, a, b), 5).moved(RefitTest::aside))
        .isEqualTo(new Panel(List.of(c, there.get(1), c, there.get(1)), 5));
  }

  static List<Class<?>> kinds() {
    return List.copyOf(Parts.kinds());
  }

  /** A new kind of part that has a place or looks at a frame must say how it follows. */
  @ParameterizedTest
  @MethodSource("kinds")
  void everyPartWithAPlaceOrAFrameFollows(Class<?> kind) {
    boolean place =
        Arrays.stream(kind.getRecordComponents())
            .filter(c -> !c.getName().equals("curve"))
            .map(RecordComponent::getGenericType)
            .anyMatch(t -> t.getTypeName().contains("Point"));
    boolean frame =
        Arrays.stream(kind.getRecordComponents())
            .anyMatch(c -> c.getType() == Look.class || c.getName().matches("frame|flash"));
    assertThat(declares(kind, "moved")).as("moved").isGreaterThanOrEqualTo(place ? 1 : 0);
    assertThat(declares(kind, "foundIn")).as("foundIn").isEqualTo(frame ? 1 : 0);
  }

  private static long declares(Class<?> kind, String name) {
    return Arrays.stream(kind.getDeclaredMethods())
        .filter(m -> m.getName().equals(name) && !m.isBridge())
        .count();
  }
}
