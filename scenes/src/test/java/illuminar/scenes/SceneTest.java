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
import illuminar.scenes.light.Tint;
import illuminar.scenes.material.Material;
import illuminar.scenes.outdoors.Outdoors;
import illuminar.scenes.render.Radiance;
import illuminar.scenes.render.Rendering;
import illuminar.scenes.render.Scene;
import java.util.List;
import org.junit.jupiter.api.Test;

class SceneTest {
  private static final float[] WHITE = {1, 1, 1};
  private static final Outdoors DARK =
      new Outdoors() {
        @Override
        public float[] seen(float x, float y, float z, float dx, float dy, float dz) {
          return new float[3];
        }

        @Override
        public float[] broad(float dx, float dy, float dz) {
          return new float[3];
        }
      };

  private static Material grey(float reflectance) {
    return p -> p.r = p.g = p.b = reflectance;
  }

  private static Radiance floor(float height, double aside) {
    Mesh mesh = new Mesh();
    mesh.box(-50, -1, -50, 50, 0, 50, grey(1));
    List<Light> lights = List.of(new Bulb(0, Vec.of(aside, height, 0), 0.001f, WHITE, 1));
    Scene scene =
        new Scene(
            "floor",
            mesh,
            List.of("bulb"),
            lights,
            0,
            WHITE,
            DARK,
            new Scene.Eye(Vec.of(0, 3, 0), 0, -89.9, 2));
    return Rendering.render(scene, 12, 8, 4, n -> {});
  }

  /** E = I cos θ / d², L = E / π on a white plane. Source: the photometric laws (Lambert). */
  @Test
  void directLightFollowsCosineAndInverseSquare() {
    assertThat(centre(floor(1, 0))).isCloseTo((float) (1 / Math.PI), within(0.0035f));
    assertThat(centre(floor(2, 0))).isCloseTo((float) (0.25 / Math.PI), within(0.001f));
    double d2 = 1 + 4;
    assertThat(centre(floor(1, 2)))
        .isCloseTo((float) (1 / d2 / Math.sqrt(d2) / Math.PI), within(0.0006f));
  }

  private static float centre(Radiance r) {
    return r.lights()[0][1][4 * r.width() + 6];
  }

  /**
   * In a closed room the mean light grows by 1 / (1 − ρ), the sum of all bounces. Source: the
   * integrating-sphere relation; bounces are cut off here, so the bound is one-sided at ρ = 0.5.
   */
  @Test
  void aClosedRoomGathersItsBounces() {
    assertThat(room(0.5f)).isBetween(1.80f, 2.05f);
    assertThat(room(0.02f)).isBetween(0.97f, 1.07f);
  }

  private static float room(float reflectance) {
    Mesh mesh = new Mesh();
    mesh.ball(0, 0, 0, 2, 1, grey(reflectance));
    List<Light> lights = List.of(new Bulb(0, Vec.of(0, 0, 0), 0.01f, WHITE, 1));
    Scene scene =
        new Scene(
            "ball",
            mesh,
            List.of("bulb"),
            lights,
            0,
            WHITE,
            DARK,
            new Scene.Eye(Vec.of(0, 0, 0.3), 0, 0, 30));
    Radiance r = Rendering.render(scene, 12, 8, 600, n -> {});
    double sum = 0;
    for (float v : r.lights()[0][1]) {
      sum += v;
    }
    double direct = reflectance / 4.0 / Math.PI;
    return (float) (sum / r.lights()[0][1].length / direct);
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
    Radiance flat =
        new Radiance(20, 20, List.of("a"), new float[][][] {plane}, new float[400], plane, plane);
    Camera camera = new Camera(1, 45_000, 3, new double[] {1, 1, 1});
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

  /** Each light alone and both together are the same picture. Light is additive. */
  @Test
  void lightsAddUp() {
    Radiance r = floor(1.5f, 0.3);
    float[][] once = r.sum(1);
    float[][] twice = r.sum(2);
    for (int c = 0; c < 3; c++) {
      for (int i = 0; i < once[c].length; i++) {
        assertThat(twice[c][i]).isCloseTo(2 * once[c][i], within(1e-6f));
      }
    }
  }

  /**
   * Lamps of 2856 K have the colour of CIE illuminant A, daylight of 6504 K that of D65, of 5003 K
   * that of D50. Source: CIE 15, chromaticities of standard illuminants.
   */
  @Test
  void lampsHaveTheColoursOfTheStandardIlluminants() {
    chromaticity(Tint.planck(2856), 0.44758, 0.40745);
    chromaticity(Tint.daylight(6504), 0.31272, 0.32903);
    chromaticity(Tint.daylight(5003), 0.34567, 0.35850);
  }

  private static void chromaticity(float[] rgb, double x, double y) {
    double[] xyz = illuminar.core.colour.Space.SRGB_TO_XYZ.apply(rgb[0], rgb[1], rgb[2]);
    double sum = xyz[0] + xyz[1] + xyz[2];
    assertThat(xyz[0] / sum).isCloseTo(x, within(0.002));
    assertThat(xyz[1] / sum).isCloseTo(y, within(0.002));
  }
}
