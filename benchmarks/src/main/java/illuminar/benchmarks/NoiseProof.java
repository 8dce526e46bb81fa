package illuminar.benchmarks;

import illuminar.core.analysis.Analysis;
import illuminar.core.colour.Ciede2000;
import illuminar.core.colour.Lab;
import illuminar.core.colour.Space;
import illuminar.core.colour.Srgb;
import illuminar.core.ground.Ground;
import illuminar.core.pass.Gate;
import illuminar.core.pass.Pass;
import illuminar.core.pass.Where;
import illuminar.core.pass.kinds.ReduceNoise;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Raster;
import illuminar.core.recipe.Recipe;
import illuminar.core.render.PreviewSession;
import illuminar.core.render.RenderCache;
import illuminar.scenes.camera.Camera;
import illuminar.scenes.camera.Shot;
import illuminar.scenes.render.Radiance;
import illuminar.scenes.views.View;
import java.util.List;
import org.bytedeco.opencv.global.opencv_core;
import org.bytedeco.opencv.global.opencv_imgproc;
import org.bytedeco.opencv.global.opencv_photo;
import org.bytedeco.opencv.opencv_core.Mat;

/**
 * Noise taken out of a frame, beside the frame without noise, and beside the reference library's
 * non-local means (Buades, Coll, Morel 2005) at the strength that serves it best there.
 */
final class NoiseProof {
  private static final float[] STRENGTHS = {2, 3, 4, 6, 8, 11, 15};

  private final View view;
  private final Radiance truth;
  private final Table table;
  private final Analysis analysis;

  NoiseProof(View view, Radiance truth, Table table, Analysis analysis) {
    this.view = view;
    this.truth = truth;
    this.table = table;
    this.analysis = analysis;
  }

  void all() {
    String anchor = analysis.frames().anchor();
    Shot shot = DemoView.shot(view, anchor);
    if (!shot.drift().isNone() || shot.moved()) {
      return;
    }
    compare(
        codes(picture(anchor, List.of())),
        Camera.codes8(view.camera().quiet(truth, shot.strengths(), shot.exposure())));
  }

  private void compare(byte[] noisy, byte[] clean) {
    String anchor = analysis.frames().anchor();
    byte[] best = null;
    double time = 0;
    for (float h : STRENGTHS) {
      long start = System.nanoTime();
      byte[] out = means(noisy, h);
      double took = System.nanoTime() - start;
      if (best == null || psnr(out, clean) > psnr(best, clean)) {
        best = out;
        time = took;
      }
    }
    Pass pass = new Pass("n", true, new ReduceNoise(1, 1, 0), Where.EVERYWHERE, Gate.ALL, 1, "");
    picture(anchor, List.of(pass));
    long start = System.nanoTime();
    byte[] ours = codes(picture(anchor, List.of(pass)));
    double took = System.nanoTime() - start;
    System.out.printf(
        "  %s: frame %.2f dB %.2f, reference %.2f dB %.2f, ours %.2f dB %.2f%n",
        view.title(),
        psnr(noisy, clean),
        difference(noisy, clean),
        psnr(best, clean),
        difference(best, clean),
        psnr(ours, clean),
        difference(ours, clean));
    table.least(
        view.title(),
        "noise taken out, against the reference's best",
        psnr(ours, clean) - psnr(best, clean),
        "dB",
        1);
    table.most(
        view.title(),
        "colour difference left, of the reference's",
        difference(ours, clean) / difference(best, clean),
        "",
        1);
    table.most(view.title(), "noise taken out, time of the reference's", took / time, "", 1);
  }

  private Picture picture(String frame, List<Pass> passes) {
    return new PreviewSession(analysis, new RenderCache(400_000_000))
        .picture(
            new Recipe(new Ground.OneFrame(frame), List.of(), passes),
            Raster.whole(analysis.fullWidth(), analysis.fullHeight(), 1));
  }

  private static byte[] codes(Picture p) {
    byte[] out = new byte[3 * p.r().length];
    for (int i = 0; i < p.r().length; i++) {
      double[] s = Space.WORK_TO_SRGB.apply(p.r()[i], p.g()[i], p.b()[i]);
      for (int c = 0; c < 3; c++) {
        out[3 * i + c] = (byte) (int) Math.round(255 * Srgb.encode(Math.max(0, Math.min(1, s[c]))));
      }
    }
    return out;
  }

  private byte[] means(byte[] codes, float strength) {
    int w = analysis.fullWidth();
    int h = analysis.fullHeight();
    try (Mat in = new Mat(h, w, opencv_core.CV_8UC3);
        Mat out = new Mat()) {
      in.data().put(codes);
      opencv_imgproc.cvtColor(in, in, opencv_imgproc.COLOR_RGB2BGR);
      opencv_photo.fastNlMeansDenoisingColored(in, out, strength, strength, 7, 21);
      opencv_imgproc.cvtColor(out, out, opencv_imgproc.COLOR_BGR2RGB);
      byte[] back = new byte[codes.length];
      out.data().get(back);
      return back;
    }
  }

  private static double psnr(byte[] a, byte[] b) {
    double sum = 0;
    for (int i = 0; i < a.length; i++) {
      double d = (a[i] & 255) - (b[i] & 255);
      sum += d * d;
    }
    return 10 * Math.log10(255 * 255 / (sum / a.length));
  }

  /** Mean CIEDE2000. */
  private static double difference(byte[] a, byte[] b) {
    double sum = 0;
    int n = 0;
    for (int i = 0; i < a.length; i += 3 * 7) {
      sum += Ciede2000.difference(lab(a, i), lab(b, i));
      n++;
    }
    return sum / n;
  }

  private static Lab lab(byte[] codes, int i) {
    double[] w =
        Space.SRGB_TO_WORK.apply(
            Srgb.decode8(codes[i] & 255),
            Srgb.decode8(codes[i + 1] & 255),
            Srgb.decode8(codes[i + 2] & 255));
    return Lab.ofWork((float) w[0], (float) w[1], (float) w[2]);
  }
}
