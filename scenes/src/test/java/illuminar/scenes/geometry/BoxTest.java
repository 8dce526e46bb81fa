package illuminar.scenes.geometry;

import static org.assertj.core.api.Assertions.assertThat;

import illuminar.scenes.rooms.Joinery;
import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** A box without holes. Facts of geometry, no source. */
class BoxTest {
  /** Each edge of a closed surface belongs to two triangles. */
  @Test
  void aBevelledBoxIsClosed() {
    Mesh m = new Mesh();
    m.box(0, 0, 0, 2, 1, 3, 0.1, Joinery.white());
    float[] p = m.positions();
    Map<String, Integer> edges = new HashMap<>();
    for (int t = 0; t < m.triangles(); t++) {
      for (int k = 0; k < 3; k++) {
        String a = corner(p, 3 * t + k);
        String b = corner(p, 3 * t + (k + 1) % 3);
        edges.merge(a.compareTo(b) < 0 ? a + b : b + a, 1, Integer::sum);
      }
    }
    assertThat(edges).isNotEmpty();
    assertThat(edges.values()).containsOnly(2);
  }

  private static String corner(float[] p, int k) {
    return String.format(Locale.ROOT, "(%.3f %.3f %.3f)", p[3 * k], p[3 * k + 1], p[3 * k + 2]);
  }
}
