package illuminar.core.picture;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.bytedeco.javacpp.indexer.IntIndexer;
import org.bytedeco.javacpp.indexer.UByteIndexer;
import org.bytedeco.opencv.global.opencv_core;
import org.bytedeco.opencv.global.opencv_imgproc;
import org.bytedeco.opencv.opencv_core.Mat;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class FloodFillTest {
  private static final int W = 70;
  private static final int H = 41;

  /**
   * Every piece is one of the reference library's connected components, and the other way round.
   */
  @ParameterizedTest
  @ValueSource(booleans = {false, true})
  void piecesAreTheReferencesComponents(boolean corners) {
    Random random = new Random(7);
    boolean[] on = new boolean[W * H];
    Mat mat = new Mat(H, W, opencv_core.CV_8UC1);
    try (UByteIndexer to = mat.createIndexer()) {
      for (int i = 0; i < on.length; i++) {
        on[i] = random.nextInt(100) < 55;
        to.put(i / W, i % W, on[i] ? 1 : 0);
      }
    }
    Mat labels = new Mat();
    int expected =
        opencv_imgproc.connectedComponents(mat, labels, corners ? 8 : 4, opencv_core.CV_32S) - 1;
    boolean[] seen = new boolean[W * H];
    int pieces = 0;
    List<int[]> found = new ArrayList<>();
    try (IntIndexer label = labels.createIndexer()) {
      for (int start = 0; start < on.length; start++) {
        if (!on[start] || seen[start]) {
          continue;
        }
        pieces++;
        int[] piece = FloodFill.of(start, W, H, corners, seen, (from, to) -> on[to]);
        found.add(piece);
        assertThat(piece[0]).isEqualTo(start);
        assertThat(piece).doesNotHaveDuplicates();
        for (int i : piece) {
          assertThat(label.get(i / W, i % W)).isEqualTo(label.get(start / W, start % W));
        }
      }
    }
    assertThat(pieces).isEqualTo(expected);
    assertThat(FloodFill.all(W, H, corners, i -> on[i])).containsExactlyElementsOf(found);
    boolean[] expectedReach = new boolean[W * H];
    for (int[] piece : List.of(found.get(0), found.get(pieces - 1))) {
      for (int i : piece) {
        expectedReach[i] = true;
      }
    }
    int first = found.get(0)[0];
    int last = found.get(pieces - 1)[0];
    assertThat(FloodFill.reached(W, H, corners, i -> i == first || i == last, (from, to) -> on[to]))
        .isEqualTo(expectedReach);
  }
}
