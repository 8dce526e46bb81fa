package illuminar.core.ground;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import illuminar.core.TestRoom;
import illuminar.core.analysis.Analysis;
import illuminar.core.colour.Srgb;
import illuminar.core.colour.WorkingSpace;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Plane;
import illuminar.core.picture.Raster;
import java.util.ArrayList;
import java.util.List;
import org.bytedeco.javacpp.indexer.FloatIndexer;
import org.bytedeco.opencv.global.opencv_core;
import org.bytedeco.opencv.global.opencv_photo;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.MatVector;
import org.junit.jupiter.api.Test;

class FusionTest {
  private final TestRoom room = new TestRoom(360, 240);

  private List<Plane[]> codes(Analysis analysis) {
    List<Plane[]> out = new ArrayList<>();
    for (String id : List.of("a0", "a1", "a2")) {
      Picture p = analysis.draw(id, analysis.raster());
      Plane[] rgb = new Plane[3];
      for (int c = 0; c < 3; c++) {
        rgb[c] = Plane.of(p.width(), p.height());
        for (int i = 0; i < rgb[c].data().length; i++) {
          rgb[c].data()[i] = (float) Srgb.encode(p.channel(c)[i]);
        }
      }
      out.add(rgb);
    }
    return out;
  }

  /** Beside the reference library's exposure fusion with the same weights. */
  @Test
  void staysNearTheReferenceLibrary() {
    Analysis analysis = room.analysis();
    List<Plane[]> frames = codes(analysis);
    Plane[] ours = Fusion.blend(frames, Fusion.weights(frames));
    MatVector mats = new MatVector();
    for (Plane[] rgb : frames) {
      Mat m = new Mat(240, 360, opencv_core.CV_32FC3);
      FloatIndexer at = m.createIndexer();
      for (int y = 0; y < 240; y++) {
        for (int x = 0; x < 360; x++) {
          for (int c = 0; c < 3; c++) {
            at.put(y, x, c, 255 * rgb[c].at(x, y));
          }
        }
      }
      mats.push_back(m);
    }
    Mat fused = new Mat();
    opencv_photo.createMergeMertens(1, 1, 1).process(mats, fused);
    FloatIndexer theirs = fused.createIndexer();
    double sum = 0;
    for (int y = 0; y < 240; y++) {
      for (int x = 0; x < 360; x++) {
        sum += Math.abs(theirs.get(y, x, 1) - ours[1].at(x, y));
      }
    }
    assertThat(sum / (240 * 360)).isLessThan(0.03);
  }

  @Test
  void weightsOfEveryPixelSumToOne() {
    List<Plane> weights = Fusion.weights(codes(room.analysis()));
    for (int i = 0; i < 360 * 240; i += 97) {
      float sum = 0;
      for (Plane w : weights) {
        sum += w.data()[i];
      }
      assertThat(sum).isCloseTo(1, within(1e-5f));
    }
  }

  /** Exact by construction: blending a frame with itself changes nothing. */
  @Test
  void equalFramesComeBackUnchanged() {
    Analysis analysis = room.analysis();
    Ground.EvenBlend twice = new Ground.EvenBlend(List.of("a1", "a1"), 0, "a1");
    Raster raster = Raster.whole(360, 240, 1);
    Picture out = new EvenBlendWork(twice, analysis).draw(raster, id -> analysis.draw(id, raster));
    Picture frame = analysis.draw("a1", raster).copy();
    WorkingSpace.fromSrgb(frame.planes());
    for (int i = 0; i < out.g().length; i += 31) {
      assertThat(out.g()[i]).isCloseTo(frame.g()[i], within(0.002f));
    }
  }

  @Test
  void fullCalmIsTheFrameItself() {
    Analysis analysis = room.analysis();
    Ground.EvenBlend calm = new Ground.EvenBlend(List.of("a0", "a1", "a2"), 1, "a2");
    Raster raster = Raster.whole(360, 240, 1);
    Picture out = new EvenBlendWork(calm, analysis).draw(raster, id -> analysis.draw(id, raster));
    Picture frame = analysis.draw("a2", raster).copy();
    WorkingSpace.fromSrgb(frame.planes());
    for (int i = 0; i < out.g().length; i += 31) {
      assertThat(out.g()[i]).isCloseTo(frame.g()[i], within(0.002f));
    }
  }
}
