package illuminar.benchmarks.cases;

import illuminar.core.colour.Lab;
import illuminar.core.colour.Space;
import illuminar.core.colour.Stops;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * How near a picture is to the light that was there, where a mask is white: one monotone curve from
 * the truth's luminance to the picture's is fitted (medians in {@value #BINS} bins of stops, made
 * monotone), and what the curve does not explain is measured. Our own measure. In small places the
 * darkest bins may hold next to nothing; they take no curve of their own.
 */
public final class ViewJudge {
  private static final int BINS = 24;
  private static final float DARK = 1e-4f;

  /** Pixels of a bin from which on its median counts. */
  private static final int ENOUGH = 20;

  private ViewJudge() {}

  /**
   * A pixel of both pictures, linear sRGB primaries.
   *
   * @param shown 0 to 1, as displayed
   * @param truth light, 1 is display white at the base exposure
   */
  public record Pair(float[] shown, float[] truth) {}

  /**
   * What was measured.
   *
   * @param uneven stops from the one curve, mean
   * @param uneven95 the same, 95th percentile
   * @param difference CIEDE2000 from the truth shown by the curve, mean
   * @param difference95 the same, 95th percentile
   * @param chroma slope of its chroma over the truth's, 1 where colours rise as they should
   */
  public record Found(
      int pixels,
      double uneven,
      double uneven95,
      double difference,
      double difference95,
      double chroma) {}

  /**
   * Judges one area.
   *
   * @param pairs at least one with light in the truth
   * @throws IllegalArgumentException if there is none
   */
  public static Found judge(List<Pair> pairs) {
    List<Pair> lit = pairs.stream().filter(p -> luminance(p.truth) > 1e-5).toList();
    if (lit.isEmpty()) {
      throw new IllegalArgumentException("nothing to judge: the mask is black everywhere");
    }
    double[] tones = lit.stream().mapToDouble(p -> Stops.of(luminance(p.truth))).toArray();
    Curve curve = Curve.fitted(tones, lit);
    double[] uneven = new double[lit.size()];
    double[] apart = new double[lit.size()];
    double[][] chroma = new double[2][lit.size()];
    for (int i = 0; i < uneven.length; i++) {
      float[] truth = lit.get(i).truth;
      float wanted = Stops.light((float) curve.at(tones[i]));
      uneven[i] = Math.abs(tone(lit.get(i)) - Math.log(wanted) / Math.log(2));
      float gain = wanted / luminance(truth);
      Lab should = lab(truth[0] * gain, truth[1] * gain, truth[2] * gain);
      Lab is = lab(lit.get(i).shown);
      apart[i] = should.difference(is);
      chroma[0][i] = should.chroma();
      chroma[1][i] = is.chroma();
    }
    return new Found(
        lit.size(),
        mean(uneven),
        quantile(uneven, 0.95),
        mean(apart),
        quantile(apart, 0.95),
        slope(chroma[0], chroma[1]));
  }

  /** Slope of the least squares' line of one over the other; 1 where the first does not change. */
  private static double slope(double[] x, double[] y) {
    double mx = mean(x);
    double my = mean(y);
    double xx = 0;
    double xy = 0;
    for (int i = 0; i < x.length; i++) {
      xx += (x[i] - mx) * (x[i] - mx);
      xy += (x[i] - mx) * (y[i] - my);
    }
    return xx == 0 ? 1 : xy / xx;
  }

  private static double tone(Pair pair) {
    return Math.log(luminance(pair.shown) + DARK) / Math.log(2);
  }

  static float luminance(float[] rgb) {
    return 0.2126f * rgb[0] + 0.7152f * rgb[1] + 0.0722f * rgb[2];
  }

  static Lab lab(float... rgb) {
    double[] work = Space.SRGB_TO_WORK.apply(least(rgb[0]), least(rgb[1]), least(rgb[2]));
    return Lab.ofWork(work[0], work[1], work[2]);
  }

  private static double least(float v) {
    return Math.max(0, Math.min(1, v));
  }

  /** Mean difference after mean lightness has been brought to the other's. */
  public static double matched(List<Lab> should, List<Lab> is) {
    double by = lightness(should) - lightness(is);
    double sum = 0;
    for (int k = 0; k < is.size(); k++) {
      Lab l = is.get(k);
      Lab fitted = new Lab(Math.max(0, Math.min(100, l.l() + by)), l.a(), l.b());
      sum += should.get(k).difference(fitted);
    }
    return sum / is.size();
  }

  private static double lightness(List<Lab> of) {
    return of.stream().mapToDouble(Lab::l).average().orElse(0);
  }

  static double mean(double[] values) {
    return Arrays.stream(values).average().orElse(0);
  }

  static double quantile(double[] values, double share) {
    double[] sorted = values.clone();
    Arrays.sort(sorted);
    return sorted[(int) Math.min(sorted.length - 1, share * sorted.length)];
  }

  /** From the truth's tone to the picture's, in stops. */
  private record Curve(double from, double to, double[] medians) {

    static Curve fitted(double[] tones, List<Pair> pairs) {
      double from = quantile(tones, 0.01);
      double to = quantile(tones, 0.99);
      List<List<Double>> bins = new ArrayList<>();
      for (int k = 0; k < BINS; k++) {
        bins.add(new ArrayList<>());
      }
      for (int i = 0; i < tones.length; i++) {
        int k = (int) Math.floor((tones[i] - from) / (to - from + 1e-9) * BINS);
        if (k >= 0 && k < BINS) {
          bins.get(k).add(tone(pairs.get(i)));
        }
      }
      return new Curve(from, to, medians(bins, (to - from) / BINS));
    }

    /** Bins with too little in them go on from the next; below the first, tones fall with light. */
    private static double[] medians(List<List<Double>> bins, double width) {
      double[] medians = new double[BINS];
      int first = 0;
      while (first < BINS - 1 && bins.get(first).size() <= ENOUGH) {
        first++;
      }
      double before = Double.NEGATIVE_INFINITY;
      for (int k = first; k < BINS; k++) {
        double[] bin = bins.get(k).stream().mapToDouble(v -> v).toArray();
        double median = bin.length > ENOUGH ? quantile(bin, 0.5) : before;
        before = Math.max(before, median);
        medians[k] = before;
      }
      for (int k = first - 1; k >= 0; k--) {
        medians[k] = medians[k + 1] - width;
      }
      return medians;
    }

    double at(double tone) {
      double z = (tone - from) / (to - from + 1e-9) * BINS - 0.5;
      double in = Math.min(BINS - 1.001, Math.max(0, z));
      int k = (int) in;
      return medians[k] + (medians[Math.min(BINS - 1, k + 1)] - medians[k]) * (in - k);
    }
  }
}
