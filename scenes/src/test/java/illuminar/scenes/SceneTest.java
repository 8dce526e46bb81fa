package illuminar.scenes;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import illuminar.core.colour.Srgb;
import illuminar.core.exposure.Exposure;
import illuminar.core.frame.Similarity;
import illuminar.scenes.camera.Camera;
import illuminar.scenes.geometry.Mesh;
import illuminar.scenes.geometry.Vec;
import illuminar.scenes.light.Bulb;
import illuminar.scenes.light.Light;
import illuminar.scenes.light.Sun;
import illuminar.scenes.light.Tint;
import illuminar.scenes.material.Material;
import illuminar.scenes.material.Textiles;
import illuminar.scenes.outdoors.Heath;
import illuminar.scenes.outdoors.Outdoors;
import illuminar.scenes.outdoors.PlainSky;
import illuminar.scenes.render.Radiance;
import illuminar.scenes.render.Rendering;
import illuminar.scenes.render.Scene;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class SceneTest {
  private static final float[] WHITE = {1, 1, 1};
  private static final Outdoors DARK = new PlainSky(new float[3], new float[3], new float[3], 0);

  private static Material grey(float reflectance) {
    return p -> p.r = p.g = p.b = reflectance;
  }

  private static Scene lit(Mesh mesh, Light light, Scene.Eye eye) {
    Scene.Lighting lighting = new Scene.Lighting(List.of("bulb"), List.of(light));
    return Scene.room("room", mesh, lighting, DARK, eye);
  }

  private static Radiance floor(float height, double aside) {
    Mesh mesh = new Mesh();
    mesh.box(-50, -1, -50, 50, 0, 50, grey(1));
    Light bulb = new Bulb(0, Vec.of(aside, height, 0), 0.001f, WHITE, 1);
    Scene scene = lit(mesh, bulb, new Scene.Eye(Vec.of(0, 3, 0), 0, -89.9, 2));
    return Rendering.render(scene, 12, 8, 4, n -> {});
  }

  /** E = I cos θ / d², L = E / π on a white plane. Source: the photometric laws (Lambert). */
  @Test
  void directLightFollowsCosineAndInverseSquare() {
    double onePercent = 0.01;
    assertThat(centre(floor(1, 0)) * Math.PI).isCloseTo(1, within(onePercent));
    assertThat(centre(floor(2, 0)) * Math.PI * 4).isCloseTo(1, within(onePercent));
    double d2 = 1 + 4;
    assertThat(centre(floor(1, 2)) * Math.PI * d2 * Math.sqrt(d2)).isCloseTo(1, within(onePercent));
  }

  private static float centre(Radiance r) {
    return r.lights()[0][1][4 * r.width() + 6];
  }

  /**
   * White furnace: a closed room of reflectance ρ and area A with a flux Φ inside is everywhere ρ Φ
   * / (π A (1 − ρ)) bright, the sum of all bounces. Source: the integrating-sphere relation.
   */
  @Test
  void aClosedRoomReturnsTheEnergyPutIn() {
    for (float reflectance : new float[] {0.02f, 0.4f, 0.8f}) {
      assertThat(furnace(reflectance)).as("ρ = " + reflectance).isCloseTo(1, within(0.01));
    }
  }

  private static double furnace(float reflectance) {
    Mesh mesh = new Mesh();
    mesh.ball(0, 0, 0, 2, 1, grey(reflectance));
    float intensity = 0.3f;
    Light bulb = new Bulb(0, Vec.of(0, 0, 0), 0.01f, WHITE, intensity);
    Scene scene = lit(mesh, bulb, new Scene.Eye(Vec.of(0, 0, 0.3), 0, 0, 30));
    Radiance r = Rendering.render(scene, 12, 8, 250, n -> {});
    double seen = mean(r.lights()[0][1]);
    double flux = 4 * Math.PI * intensity;
    return seen / (reflectance * flux / (Math.PI * area(mesh) * (1 - reflectance)));
  }

  private static double area(Mesh mesh) {
    double sum = 0;
    float[] p = mesh.positions();
    for (int t = 0; t < mesh.triangles(); t++) {
      Vec a = corner(p, t, 0);
      sum += corner(p, t, 1).minus(a).cross(corner(p, t, 2).minus(a)).length() / 2;
    }
    return sum;
  }

  private static Vec corner(float[] p, int triangle, int k) {
    int at = triangle * 9 + k * 3;
    return new Vec(p[at], p[at + 1], p[at + 2]);
  }

  /** The same scene gives the same bits, whatever order threads work in. */
  @Test
  void renderingsRepeatBitForBit() {
    assertThat(floor(1.5f, 0.3).lights()).isDeepEqualTo(floor(1.5f, 0.3).lights());
    Mesh mesh = new Mesh();
    mesh.box(-1, -1, -1, 1, 1, 1, grey(0.6f));
    Light bulb = new Bulb(0, Vec.of(0.3, 0.2, 0), 0.05f, WHITE, 0.2f);
    Scene scene = lit(mesh, bulb, new Scene.Eye(Vec.of(0, 0, 0.6), 0, 0, 60));
    float[][][] once = Rendering.render(scene, 24, 16, 2, n -> {}).lights();
    assertThat(Rendering.render(scene, 24, 16, 2, n -> {}).lights()).isDeepEqualTo(once);
  }

  /**
   * Sheer cloth shows what is behind it by the share that its weave lets through, and itself by the
   * rest: Porter, Duff, "Compositing digital images", 1984.
   */
  @Test
  void sheerClothShowsWhatIsBehindIt() {
    float[] sky = {2, 4, 6};
    Outdoors even = new PlainSky(sky, sky, sky, 0);
    Scene.Eye eye = new Scene.Eye(Vec.of(0, 0, 3), 0, 8, 20);
    Mesh mesh = new Mesh();
    mesh.box(-9, -9, 8, 9, 9, 9, grey(0));
    Mesh cloth = new Mesh();
    cloth.box(-9, -9, 0, 9, 9, 0.01, Textiles.sheer(0, 0, 0, 0.4));
    Scene.Lighting none = new Scene.Lighting(List.of("daylight"), List.of());
    Scene bare = Scene.room("room", mesh, none, even, eye);
    double open = centre(Rendering.render(bare, 12, 8, 2, n -> {}));
    double behind = centre(Rendering.render(bare.veil(cloth), 12, 8, 2, n -> {}));
    assertThat(open).isCloseTo(4, within(0.01));
    assertThat(behind).isCloseTo(0.4 * open, within(0.01));
  }

  /** Cloth that is lit from behind glows on this side. */
  @Test
  void clothIsLitFromBothSides() {
    Mesh mesh = new Mesh();
    mesh.box(-9, -9, 8, 9, 9, 9, grey(0));
    Mesh cloth = new Mesh();
    cloth.box(-9, -9, 0, 9, 9, 0.0001, Textiles.sheer(0.8, 0.8, 0.8, 0));
    Light behind = new Bulb(0, Vec.of(0, 0, -2), 0.01f, WHITE, 1);
    Scene scene = lit(mesh, behind, new Scene.Eye(Vec.of(0, 0, 3), 0, 0, 20)).veil(cloth);
    double glow = centre(Rendering.render(scene, 12, 8, 8, n -> {}));
    // half of it is lit, E = I / d² from behind
    assertThat(glow).isCloseTo(0.5 * 0.8 / Math.PI / 4, within(0.004));
  }

  /** A surface's edge is a mixture by area: half a pixel of white before black is half grey. */
  @Test
  void edgesAreMixturesByArea() {
    Mesh mesh = new Mesh();
    mesh.box(-50, -1, -50, 50, 0, 50, grey(0));
    mesh.box(0, 0, -50, 50, 0.001, 50, grey(1));
    Light bulb = new Bulb(0, Vec.of(0, 40, 0), 0.001f, WHITE, 1600);
    Scene scene = lit(mesh, bulb, new Scene.Eye(Vec.of(0, 3, 0), 0, -89.9, 20));
    Radiance r = Rendering.render(scene, 24, 16, 4, n -> {});
    float white = r.lights()[0][1][8 * 24 + 20];
    double row = 0;
    for (int x = 0; x < 24; x++) {
      row += r.lights()[0][1][8 * 24 + x];
    }
    assertThat(row / white).as("pixels of white").isCloseTo(12, within(0.3));
  }

  /** CIE illuminant A and D65 as colours of lights. Source: CIE 15:2004. */
  @Test
  void lightsHaveTheirColours() {
    float[] d65 = Tint.daylight(6504);
    assertThat(d65[0]).isCloseTo(1, within(0.01f));
    assertThat(d65[2]).isCloseTo(1, within(0.01f));
    assertThat(Tint.planck(2700)[0]).isGreaterThan(3 * Tint.planck(2700)[2]);
  }

  @Test
  void theCamerasCurveAndItsInverseAgree() {
    for (double light = 0.001; light < 1; light *= 1.5) {
      assertThat(Camera.lightOf(Srgb.encode(Camera.curve(light)))).isCloseTo(light, within(1e-6));
    }
  }

  /** One stop more doubles what the sensor sees; noise is a small share. Source: ISO 2720. */
  @Test
  void exposureScalesTheSensor() {
    float[] half = new float[400];
    java.util.Arrays.fill(half, 0.2f);
    float[][] plane = {half, half.clone(), half.clone()};
    Radiance flat = new Radiance(20, 20, List.of("a"), new float[][][] {plane}, null);
    Camera camera = new Camera(1, 45_000, 3, new double[] {1, 1, 1}, 0);
    double one =
        mean(camera.expose(flat, new float[] {1}, new Exposure(1, 1, 100), Similarity.NONE, 1));
    double two =
        mean(camera.expose(flat, new float[] {1}, new Exposure(2, 1, 100), Similarity.NONE, 1));
    assertThat(one).isCloseTo(0.2, within(0.002));
    assertThat(two / one).isCloseTo(2, within(0.01));
  }

  private static double mean(float[] v) {
    double sum = 0;
    for (float x : v) {
      sum += x;
    }
    return sum / v.length;
  }

  /**
   * The tube is illuminant FL6. Source: CIE 15:2004, chromaticity of FL6; the bound allows for the
   * fitted colour matching functions.
   */
  @Test
  void theTubeHasTheColourOfItsIlluminant() {
    chromaticity(Tint.tube(), 0.3779, 0.3882, 0.004);
  }

  /** Contrast against the air falls as e^(−haze × distance). Source: Koschmieder's law, 1924. */
  @Test
  void hazeFollowsItsLaw() {
    float haze = 0.001f;
    Heath thin = new Heath(-1, haze);
    Heath thick = new Heath(-1, 2 * haze);
    int met = 0;
    for (double slope = -0.2; slope < -0.004; slope += 0.002) {
      float n = (float) (1 / Math.sqrt(1 + slope * slope));
      float[] clear = thin.clear(0, 1, 0, 0, (float) slope * n, -n);
      float[] seen = thin.seen(0, 1, 0, 0, (float) slope * n, -n);
      float through = clear[3];
      assertThat(thick.clear(0, 1, 0, 0, (float) slope * n, -n)[3])
          .isCloseTo(through * through, within(1e-4f));
      for (int c = 0; c < 3; c++) {
        assertThat(seen[c] - thin.air()[c])
            .isCloseTo(through * (clear[c] - thin.air()[c]), within(1e-4f));
      }
      met++;
    }
    assertThat(met).isGreaterThan(90);
  }

  /**
   * The sun's disc gives every surface that faces it the same light, whatever the distance, and
   * what a caster keeps away is the other group's, so that both together are the sun without the
   * caster.
   */
  @Test
  void lightKeptAwayIsAGroupOfItsOwn() {
    Mesh mesh = new Mesh();
    mesh.box(-50, -1, -50, 50, 0, 50, grey(1));
    Material caster = grey(0);
    mesh.box(-1, 6, -60, 60, 6.2, 60, caster);
    Vec up = Vec.of(0, 1, 0);
    Scene.Lighting lighting =
        new Scene.Lighting(
            List.of("sky", "sun", "shade"),
            List.of(new Sun(1, up, WHITE, 2), new Sun(2, up, WHITE, 2)),
            List.of(),
            Optional.of(new Scene.Cast(2, 1, caster)));
    Scene.Eye eye = new Scene.Eye(Vec.of(-1, 3, 0), 0, -89.9, 60);
    Radiance r =
        Rendering.render(Scene.open("yard", mesh, lighting, DARK, eye), 60, 40, 4, n -> {});
    float[] sun = r.lights()[1][1];
    float[] shade = r.lights()[2][1];
    int row = 20 * 60;
    // smoothing carries a little across the shadow's edge
    assertThat(sun[row + 4]).isCloseTo(2, within(0.08f));
    assertThat(sun[row + 55]).isLessThan(0.6f);
    assertThat(shade[row + 4]).isLessThan(0.6f);
    assertThat(shade[row + 55]).isGreaterThan(1.9f);
    for (int x = 4; x < 56; x++) {
      assertThat(sun[row + x] + shade[row + x]).isCloseTo(2, within(0.08f));
    }
  }

  /**
   * Lamps of 2856 K have the colour of CIE illuminant A, daylight of 6504 K that of D65, of 5003 K
   * that of D50. Source: CIE 15, chromaticities of standard illuminants.
   */
  @Test
  void lampsHaveTheColoursOfTheStandardIlluminants() {
    chromaticity(Tint.planck(2856), 0.44758, 0.40745, 0.002);
    chromaticity(Tint.daylight(6504), 0.31272, 0.32903, 0.002);
    chromaticity(Tint.daylight(5003), 0.34567, 0.35850, 0.002);
  }

  private static void chromaticity(float[] rgb, double x, double y, double most) {
    double[] xyz = illuminar.core.colour.Space.SRGB_TO_XYZ.apply(rgb[0], rgb[1], rgb[2]);
    double sum = xyz[0] + xyz[1] + xyz[2];
    assertThat(xyz[0] / sum).isCloseTo(x, within(most));
    assertThat(xyz[1] / sum).isCloseTo(y, within(most));
  }
}
