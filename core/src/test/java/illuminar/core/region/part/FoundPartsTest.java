package illuminar.core.region.part;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import illuminar.core.colour.Lab;
import illuminar.core.picture.LabPlanes;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Point;
import illuminar.core.region.Look;
import java.util.List;
import java.util.Random;
import org.bytedeco.javacpp.indexer.FloatIndexer;
import org.bytedeco.javacpp.indexer.UByteIndexer;
import org.bytedeco.opencv.global.opencv_core;
import org.bytedeco.opencv.global.opencv_imgproc;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Rect;
import org.bytedeco.opencv.opencv_core.Scalar;
import org.junit.jupiter.api.Test;

/** Parts that are found by colour and light. */
class FoundPartsTest {
  /** Connected and tolerant filling, beside the reference library's flood fill. */
  @Test
  void similarColourFillsAsFloodFillDoes() {
    Random random = new Random(3);
    int w = 80;
    int h = 60;
    LabPlanes p = new LabPlanes(w, h, new float[w * h], new float[w * h], new float[w * h]);
    Mat mat = new Mat(h, w, opencv_core.CV_32FC1);
    try (FloatIndexer to = mat.createIndexer()) {
      for (int i = 0; i < w * h; i++) {
        p.l()[i] = random.nextFloat() * 20;
        to.put(i / w, i % w, p.l()[i]);
      }
    }
    p.l()[30 * w + 40] = 10;
    Mat mask = Mat.zeros(h + 2, w + 2, opencv_core.CV_8UC1).asMat();
    int flags =
        4 | 1 << 8 | opencv_imgproc.FLOODFILL_FIXED_RANGE | opencv_imgproc.FLOODFILL_MASK_ONLY;
    try (FloatIndexer to = mat.createIndexer()) {
      to.put(30, 40, 10f);
    }
    opencv_imgproc.floodFill(
        mat,
        mask,
        new org.bytedeco.opencv.opencv_core.Point(40, 30),
        Scalar.all(1),
        new Rect(),
        Scalar.all(7),
        Scalar.all(7),
        flags);
    float[] seed = {10, 0, 0};
    boolean[] filled = SimilarColour.filled(p, 40, 30, seed, 7);
    try (UByteIndexer expected = mask.createIndexer()) {
      for (int i = 0; i < w * h; i++) {
        assertThat(filled[i]).isEqualTo(expected.get(i / w + 1, i % w + 1) == 1);
      }
    }
  }

  @Test
  void similarColourIsFoundEverywhereOrConnected() {
    Point pane = Drawn.at(130, 80);
    SimilarColour everywhere =
        new SimilarColour(new Look(Look.From.FRAME, "w"), pane, 25, 0.3, false);
    SimilarColour connected = new SimilarColour(everywhere.look(), pane, 25, 0.3, true);
    float[] all = Drawn.draw(everywhere);
    float[] one = Drawn.draw(connected);
    int other = 80 * 360 + 220;
    assertThat(all[80 * 360 + 130]).isGreaterThan(0.9f);
    assertThat(all[other]).isGreaterThan(0.5f);
    assertThat(one[80 * 360 + 130]).isGreaterThan(0.9f);
    assertThat(one[other]).as("beyond the bar").isZero();
  }

  @Test
  void aColourBandHoldsWhatIsNearItsPick() {
    Picture p = Drawn.ground();
    int i = 60 * 360 + 60;
    Lab lab = Lab.ofWork(p.r()[i], p.g()[i], p.b()[i]);
    double hue = Math.toDegrees(Math.atan2(lab.b(), lab.a()));
    float[] near =
        Drawn.draw(
            new ColourBand(
                Look.GROUND, List.of(new ColourBand.Pick(hue, lab.chroma())), 20, 8, 0.5));
    float[] across =
        Drawn.draw(
            new ColourBand(
                Look.GROUND, List.of(new ColourBand.Pick(hue + 180, lab.chroma())), 20, 8, 0.5));
    assertThat(near[i]).isGreaterThan(0.99f);
    assertThat(across[i]).isZero();
  }

  /** The fast planes beside {@link Lab}, itself tested against published stimuli. */
  @Test
  void labPlanesAreLab() {
    Picture p = Drawn.ground();
    LabPlanes planes = LabPlanes.of(p);
    for (int i = 0; i < p.r().length; i += 97) {
      Lab lab = Lab.ofWork(p.r()[i], p.g()[i], p.b()[i]);
      assertThat((double) planes.l()[i]).isCloseTo(lab.l(), within(0.02));
      assertThat((double) planes.a()[i]).isCloseTo(lab.a(), within(0.03));
      assertThat((double) planes.b()[i]).isCloseTo(lab.b(), within(0.03));
    }
  }

  @Test
  void bloomReachesBeyondWhatIsBurnt() {
    float[] hard = Drawn.draw(new BurntLight("a1", 0.2));
    float[] soft = Drawn.draw(new BurntLight("a1", 0.2, 30));
    int beside = 100 * 360 + (int) (360 * 0.30) - 6;
    assertThat(hard[beside]).isLessThan(0.1f);
    assertThat(soft[beside]).isBetween(0.2f, 0.999f);
    assertThat(soft[230 * 360 + 5]).isZero();
  }
}
