package illuminar.core.region.part;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import illuminar.core.pass.Gate;
import illuminar.core.pass.Pass;
import illuminar.core.pass.Where;
import illuminar.core.pass.kinds.Tone;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Point;
import illuminar.core.picture.Raster;
import illuminar.core.recipe.Recipe;
import illuminar.core.region.DrawnLine;
import illuminar.core.region.Look;
import illuminar.core.region.Part;
import illuminar.core.region.Region;
import illuminar.core.region.Shape;
import illuminar.core.region.part.ToneBand.Tones;
import illuminar.core.render.DeliveryRender;
import illuminar.core.render.PreviewSession;
import illuminar.core.render.RenderCache;
import java.util.List;
import org.bytedeco.javacpp.indexer.FloatIndexer;
import org.bytedeco.javacpp.indexer.UByteIndexer;
import org.bytedeco.opencv.global.opencv_core;
import org.bytedeco.opencv.global.opencv_imgproc;
import org.bytedeco.opencv.opencv_core.Mat;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

/** What is done to parts together: grown, made edge-true, joined, tiled, live. */
class JoinedPartsTest {
  /** Beside the reference library's dilation and erosion by the same disc. */
  @ParameterizedTest
  @ValueSource(ints = {-6, 3, 9})
  void growingIsDilation(int grow) {
    Shape shape = new Outline(List.of(Drawn.at(40, 40), Drawn.at(200, 50), Drawn.at(120, 180)));
    Region plain = Drawn.region("r", shape);
    Region grown = new Region("r", "R", plain.parts(), grow, 0, 0, 1, false);
    Mat in = mat(Drawn.draw(plain));
    int r = Math.abs(grow);
    Mat disc = new Mat(2 * r + 1, 2 * r + 1, opencv_core.CV_8UC1);
    try (UByteIndexer to = disc.createIndexer()) {
      for (int y = -r; y <= r; y++) {
        for (int x = -r; x <= r; x++) {
          to.put(y + r, x + r, x * x + y * y <= r * r ? 1 : 0);
        }
      }
    }
    Mat out = new Mat();
    if (grow > 0) {
      opencv_imgproc.dilate(in, out, disc);
    } else {
      opencv_imgproc.erode(in, out, disc);
    }
    float[] m = Drawn.draw(grown);
    try (FloatIndexer expected = out.createIndexer()) {
      for (int i = 0; i < m.length; i++) {
        assertThat(m[i]).isEqualTo(expected.get(i / 360, i % 360));
      }
    }
  }

  private static Mat mat(float[] m) {
    Mat out = new Mat(240, 360, opencv_core.CV_32FC1);
    try (FloatIndexer to = out.createIndexer()) {
      for (int i = 0; i < m.length; i++) {
        to.put(i / 360, i % 360, m[i]);
      }
    }
    return out;
  }

  /** A rough outline made edge-true comes to lie on the window's edge (He, Sun, Tang 2010). */
  @Test
  void edgeTrueFollowsTheGroundsEdges() {
    double left = 360 * 0.30;
    double right = 360 * 0.70;
    List<Point> rough =
        List.of(
            Drawn.at(left - 3, 50),
            Drawn.at(right + 4, 50),
            Drawn.at(right - 3, 160),
            Drawn.at(left + 4, 161));
    Region drawn = Drawn.region("r", new Outline(rough));
    Region refined = new Region("r", "R", drawn.parts(), 0, 12, 0, 1, false);
    // the pixel that is half window is burnt in the ground: 0.5 in 13 cannot be known
    assertThat(wrong(Drawn.draw(refined))).isLessThan(0.04);
    assertThat(wrong(Drawn.draw(drawn))).isGreaterThan(0.1);
  }

  /**
   * A softened tone band made edge-true: sharp again at the window's edge, still soft where the
   * wall is even. A guided filter's slope tells the two apart (He, Sun, Tang 2010).
   */
  @Test
  void aSoftenedToneBandKeepsItsSoftnessWhereTheGroundIsEven() {
    ToneBand lights = new ToneBand(Look.GROUND, ToneBand.Tones.LIGHTS, 4, 0, List.of(), 0, 1);
    float[] sharp = Drawn.draw(Drawn.softened(lights, 0, 0));
    float[] soft = Drawn.draw(Drawn.softened(lights, 12, 0));
    float[] refined = Drawn.draw(Drawn.softened(lights, 12, 6));
    double edgeSoft = 0;
    double edgeRefined = 0;
    for (int y = 70; y < 140; y++) {
      for (int x = 102; x < 115; x++) {
        int i = y * 360 + x;
        edgeSoft += Math.abs(soft[i] - sharp[i]);
        edgeRefined += Math.abs(refined[i] - sharp[i]);
      }
    }
    assertThat(edgeRefined).isLessThan(0.15 * edgeSoft);
    assertThat(roughness(refined)).isLessThan(0.8 * roughness(sharp));
    // without softness there is nothing to take back
    assertThat(Drawn.draw(Drawn.softened(lights, 0, 6))).isEqualTo(sharp);
  }

  /** Mean difference of neighbours on the wall, far from the window. */
  private static double roughness(float[] m) {
    double sum = 0;
    for (int y = 190; y < 230; y++) {
      for (int x = 20; x < 90; x++) {
        sum += Math.abs(m[y * 360 + x] - m[y * 360 + x + 1]);
      }
    }
    return sum;
  }

  /** Mean difference from the window's outer shape along its left edge. */
  private static double wrong(float[] m) {
    double sum = 0;
    int n = 0;
    for (int y = 70; y < 140; y++) {
      if (Math.abs(y - 240 * 0.44) < 8) {
        continue;
      }
      for (int x = 102; x < 115; x++) {
        sum += Math.abs(m[y * 360 + x] - Drawn.ROOM.pane(x, y));
        n++;
      }
    }
    return sum / n;
  }

  @Test
  void regionsUseRegionsButNeverThemselves() {
    Region a = Drawn.region("a", new OtherRegion("b"));
    Region b = Drawn.region("b", Drawn.ellipse(0, 0.2));
    assertThat(Drawn.draw(a, b)).isEqualTo(Drawn.draw(b));
    Region back = Drawn.region("b", new OtherRegion("a"));
    assertThatThrownBy(() -> Drawn.recipe(a, back)).hasMessageContaining("uses itself");
    assertThatThrownBy(() -> Drawn.recipe(a)).hasMessageContaining("not there");
    assertThatThrownBy(() -> Drawn.recipe(Drawn.region("a", new OtherRegion("a"))))
        .hasMessageContaining("Region a uses itself");
  }

  @Test
  void partsHaveASoftnessAStrengthAndASideOfTheirOwn() {
    Part half = new Part("p", Part.Combine.ADD, Drawn.ellipse(0, 0), 0, 0.5, false, false);
    Part turned = new Part("p", Part.Combine.ADD, Drawn.ellipse(0, 0), 0, 1, true, false);
    Part off = new Part("p", Part.Combine.ADD, Drawn.ellipse(0, 0), 0, 1, false, true);
    int centre = 120 * 360 + 180;
    assertThat(Drawn.draw(new Region("r", "R", List.of(half), 0, false))[centre]).isEqualTo(0.5f);
    assertThat(Drawn.draw(new Region("r", "R", List.of(turned), 0, false))[centre]).isZero();
    assertThat(Drawn.area(Drawn.draw(new Region("r", "R", List.of(off), 0, false)))).isZero();
    Part soft = new Part("p", Part.Combine.ADD, Drawn.ellipse(0, 0), 20, 1, false, false);
    float edge = Drawn.draw(new Region("r", "R", List.of(soft), 0, false))[120 * 360 + 240];
    assertThat(edge).isBetween(0.3f, 0.6f);
    Region thin =
        new Region(
            "r",
            "R",
            List.of(new Part("p", Part.Combine.ADD, Drawn.ellipse(0, 0))),
            0,
            0,
            0,
            0.4,
            false);
    assertThat(Drawn.draw(thin)[centre]).isEqualTo(0.4f);
  }

  static List<Region> everyKind() {
    Look window = new Look(Look.From.FRAME, "w");
    String path = DrawnLine.write(List.of(Drawn.at(70, 70), Drawn.at(170, 120)));
    return List.of(
        Drawn.region("tone", Drawn.band(Tones.DARKS, 2.5, 4)),
        Drawn.region(
            "colour", new ColourBand(window, List.of(new ColourBand.Pick(250, 20)), 60, 30, 0.5)),
        Drawn.region("similar", new SimilarColour(Look.GROUND, Drawn.at(60, 60), 15, 0.5, true)),
        Drawn.region(
            "smooth",
            new Outline(List.of(Drawn.at(9, 9), Drawn.at(300, 30), Drawn.at(150, 200)), true)),
        Drawn.region("shapes", Drawn.ellipse(20, 0.5), new Ramp(Drawn.at(0, 0), Drawn.at(0, 90))),
        Drawn.region(
            "panel",
            new Panel(
                List.of(Drawn.at(9, 9), Drawn.at(99, 9), Drawn.at(99, 99), Drawn.at(9, 88)), 12)),
        Drawn.region("brush", new Brush(List.of(new Brush.Stroke(0.08, 0.5, 1, false, 20, path)))),
        Drawn.region("burnt", new BurntLight("a2", 0.3, 25)),
        Drawn.region("moving", new Moving(0.3)),
        new Region("grown", "G", Drawn.region("g", Drawn.ellipse(0, 0)).parts(), 5, 0, 7, 1, true),
        new Region("true", "T", Drawn.region("t", Drawn.ellipse(0, 0)).parts(), 0, 9, 3, 1, false));
  }

  @ParameterizedTest
  @MethodSource("everyKind")
  void tilesMakeNoDifferenceToAnyKind(Region region) {
    float[] whole = Drawn.draw(region);
    Raster part = Drawn.WHOLE.part(53, 41, 190, 131);
    float[] piece = Drawn.draw(Drawn.recipe(region), region.id(), part);
    for (int j = 0; j < part.height(); j++) {
      for (int i = 0; i < part.width(); i++) {
        assertThat(piece[j * part.width() + i]).isEqualTo(whole[(j + 41) * 360 + i + 53]);
      }
    }
  }

  /** A region that looks below follows every change beneath its pass, in tiles too. */
  @Test
  void liveRegionsFollowWhatLiesBelow() {
    ToneBand below =
        new ToneBand(new Look(Look.From.BELOW, ""), Tones.LIGHTS, 2, 0, List.of(), 0, 1);
    Region live =
        new Region("live", "Live", List.of(new Part("p", Part.Combine.ADD, below)), 6, false);
    Pass dark = pass("dark", new Tone(-2, 0, 0, 0), Where.EVERYWHERE);
    Pass lift = pass("lift", new Tone(0.5, 10, 0, 20), new Where("live", false));
    Recipe plain = new Recipe(Drawn.GROUND, List.of(live), List.of(lift));
    Recipe darker = new Recipe(Drawn.GROUND, List.of(live), List.of(dark, lift));
    assertThat(Drawn.area(Drawn.draw(darker, "live", Drawn.WHOLE)))
        .isLessThan(0.6 * Drawn.area(Drawn.draw(plain, "live", Drawn.WHOLE)));
    PreviewSession session = new PreviewSession(Drawn.ANALYSIS, new RenderCache(50_000_000));
    Picture whole = session.picture(darker, Drawn.WHOLE);
    new DeliveryRender(Drawn.ANALYSIS)
        .deliver(
            darker,
            1,
            77,
            50,
            (tile, p) -> {
              for (int j = 0; j < tile.height(); j++) {
                for (int i = 0; i < tile.width(); i++) {
                  assertThat(p.g()[j * tile.width() + i])
                      .isEqualTo(whole.g()[(j + tile.y()) * 360 + i + tile.x()]);
                }
              }
            });
    assertThatThrownBy(() -> new Region("l", "Live", live.parts(), 0, 5, 0, 1, false))
        .hasMessageContaining("edge-true");
  }

  private static Pass pass(String id, Tone tone, Where where) {
    return new Pass(id, true, tone, where, Gate.ALL, 1, "");
  }
}
