package illuminar.core.noise;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import org.bytedeco.javacpp.indexer.FloatIndexer;
import org.bytedeco.opencv.global.opencv_core;
import org.bytedeco.opencv.opencv_core.Mat;
import org.junit.jupiter.api.Test;

/** The cosine transform beside the reference library's. */
class CosinesTest {
  private static final int BLOCKS = 5;

  private static float[][] blocks() {
    Random random = new Random(3);
    float[][] blocks = new float[Cosines.VALUES][BLOCKS];
    for (float[] row : blocks) {
      for (int i = 0; i < BLOCKS; i++) {
        row[i] = random.nextFloat() * 4 - 2;
      }
    }
    return blocks;
  }

  @Test
  void coefficientsAreThoseOfTheReference() {
    float[][] ours = blocks();
    Cosines.forth(ours, BLOCKS);
    for (int b = 0; b < BLOCKS; b++) {
      Mat in = new Mat(8, 8, opencv_core.CV_32F);
      FloatIndexer at = in.createIndexer();
      for (int k = 0; k < Cosines.VALUES; k++) {
        at.put(k / 8, k % 8, blocks()[k][b]);
      }
      Mat out = new Mat();
      opencv_core.dct(in, out);
      FloatIndexer theirs = out.createIndexer();
      for (int k = 0; k < Cosines.VALUES; k++) {
        assertThat(ours[k][b]).as("%d", k).isCloseTo(theirs.get(k / 8, k % 8), within(1e-5f));
      }
    }
  }

  @Test
  void theWayBackLeadsBack() {
    float[][] there = blocks();
    Cosines.forth(there, BLOCKS);
    Cosines.back(there, BLOCKS);
    for (int k = 0; k < Cosines.VALUES; k++) {
      for (int b = 0; b < BLOCKS; b++) {
        assertThat(there[k][b]).isCloseTo(blocks()[k][b], within(1e-5f));
      }
    }
  }
}
