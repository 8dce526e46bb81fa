package illuminar.core.first;

import illuminar.core.analysis.Analysis;
import illuminar.core.analysis.light.MergedLight;
import illuminar.core.analysis.window.Opening;
import illuminar.core.analysis.window.Openings;
import illuminar.core.colour.Burnt;
import illuminar.core.colour.Stops;
import illuminar.core.picture.FloodFill;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Raster;
import java.util.Arrays;
import java.util.List;

/**
 * Whether a view is of the outside of a house rather than a room. Any of these tells: a sky along
 * the top, among the lightest of the picture, and burnt or bluer than the rest; a clear blue sky
 * that reaches the top somewhere and is not far brighter than all else, as it is when seen from a
 * room; a bright sky that comes down from the top, blue somewhere, several times lighter than the
 * rest and no more than that; nearly all of it blue, as it is after sunset; windows far warmer than
 * all else, as lit rooms are when seen from outside. Our own rules.
 */
public final class Outdoors {
  /** Share of the picture's height that is looked at. */
  private static final double BAND = 0.07;

  /** Share of the band that must look like sky. */
  private static final double MOST = 0.35;

  /** Light of a sky, as a share of what all but the lightest fiftieth stay below. */
  private static final float LIGHT = 0.45f;

  /** The lightest by which a sky is judged, 1 where the anchor burns; windows shine over that. */
  private static final float ROOMS = 2;

  /** Blue over red of a sky, over that of the whole picture. */
  private static final float BLUER = 1.2f;

  /** Blue over red that a picture counts for at least, however warm its lamps are. */
  private static final float PLAIN = 0.9f;

  /** Blue over red of a clear blue sky, over that of the whole picture. */
  private static final float BLUE = 1.55f;

  /** Share of the picture that a clear sky covers at least. */
  private static final double SOME = 0.025;

  /** Light of the sky over the middle of the rest at most. */
  private static final double BRIGHTER = 6;

  /** Step of light from pixel to pixel that a sky has at most, as a share. */
  private static final float SMOOTH = 0.3f;

  /** Shares of the picture and of its top that a bright sky covers at least. */
  private static final double LITTLE = 0.01;

  private static final double ALONG = 0.08;

  /** Share of the picture's height below which no sky reaches. */
  private static final double DOWN = 0.7;

  /** Stops by which lit windows lean to red of all else. */
  private static final float WARMER = 0.7f;

  /** Share of a bright sky that is bluer than the whole picture, at least. */
  private static final double BLUER_SHARE = 0.6;

  /** Light of a bright sky over the middle of the rest, at least and at most. */
  private static final double TOP_FROM = 3;

  private static final double TOP_TO = 12;

  /** Blue over red, stops, that a share of a bright sky exceeds; a cool ceiling does not. */
  private static final float SKY_LEAN = 0.6f;

  private static final double BLUE_SHARE = 0.3;

  /** The same of nearly all, and of the middle of the top, in the light after sunset. */
  private static final float ALL_BLUE = 0.1f;

  private static final float TOP_BLUE = 0.8f;

  /** Share of the picture's height that is its top. */
  private static final double TOP = 0.12;

  /** Stops by which lit windows lean to red of all else if that is blue, and how blue it is. */
  private static final float SOME_WARMER = 0.4f;

  private static final float REST_BLUE = 1.1f;

  private Outdoors() {}

  private record Found(boolean outdoors) {}

  /** Whether it is; kept. */
  public static boolean seen(Analysis analysis) {
    return analysis.keep(Found.class, "", 1, () -> new Found(found(analysis))).outdoors();
  }

  private static boolean found(Analysis analysis) {
    Picture p = analysis.draw(analysis.frames().anchor(), analysis.small());
    Raster small = analysis.small();
    Picture light = MergedLight.of(analysis).draw(small, id -> analysis.draw(id, small));
    float lean = lean(p);
    return skyAlongTheTop(p, light, lean)
        || clearSky(p, light, lean)
        || skyFromTheTop(light, lean)
        || blueHour(light)
        || litFromWithin(analysis, light);
  }

  /** Blue over red of the whole picture. */
  private static float lean(Picture p) {
    double red = 0;
    double blue = 0;
    for (int i = 0; i < p.r().length; i++) {
      red += p.r()[i];
      blue += p.b()[i];
    }
    return (float) (blue / Math.max(1e-6, red));
  }

  private static boolean skyAlongTheTop(Picture p, Picture light, float lean) {
    float least = LIGHT * Math.min(ROOMS, lightest(light.g()));
    int band = Math.max(1, (int) (BAND * p.height())) * p.width();
    int sky = 0;
    for (int i = 0; i < band; i++) {
      boolean burnt = Math.min(p.r()[i], p.b()[i]) > Burnt.NO_COLOUR;
      boolean bluer = p.b()[i] > BLUER * lean * p.r()[i];
      sky += light.g()[i] > least && (burnt || bluer) ? 1 : 0;
    }
    return sky > MOST * band;
  }

  private static boolean clearSky(Picture p, Picture light, float lean) {
    boolean[] blue = new boolean[p.r().length];
    for (int i = 0; i < blue.length; i++) {
      blue[i] = p.b()[i] > BLUE * Math.max(lean, PLAIN) * p.r()[i] && p.b()[i] > 0.03f;
    }
    boolean[] seen = new boolean[blue.length];
    boolean[] sky = new boolean[blue.length];
    int n = 0;
    for (int x = 0; x < p.width(); x++) {
      if (blue[x] && !seen[x]) {
        for (int i : FloodFill.of(x, p.width(), p.height(), false, seen, (from, to) -> blue[to])) {
          sky[i] = true;
          n++;
        }
      }
    }
    return n > SOME * blue.length && brighter(light, sky) < BRIGHTER;
  }

  private static boolean skyFromTheTop(Picture p, float lean) {
    float[] g = p.g();
    float least = LIGHT * Math.min(1, lightest(g));
    boolean[] seen = new boolean[g.length];
    boolean[] sky = new boolean[g.length];
    int along = 0;
    int n = 0;
    int bluer = 0;
    int blue = 0;
    for (int x = 0; x < p.width(); x++) {
      if (g[x] > least && !seen[x]) {
        int[] found =
            FloodFill.of(
                x,
                p.width(),
                p.height(),
                false,
                seen,
                (from, to) -> g[to] > least && Math.abs(g[to] - g[from]) < SMOOTH * g[from]);
        for (int i : found) {
          if (i / p.width() > DOWN * p.height()) {
            // white walls go on where a sky ends
            return false;
          }
          sky[i] = true;
          n++;
          along += i < p.width() ? 1 : 0;
          bluer += p.b()[i] > lean * p.r()[i] ? 1 : 0;
          blue += lean(p, i) > SKY_LEAN ? 1 : 0;
        }
      }
    }
    if (n < LITTLE * g.length || along < ALONG * p.width()) {
      return false;
    }
    if (bluer < BLUER_SHARE * n || blue < BLUE_SHARE * n) {
      return false;
    }
    double brighter = brighter(p, sky);
    return brighter > TOP_FROM && brighter < TOP_TO;
  }

  /** Light that all but the lightest fiftieth stay below. */
  private static float lightest(float[] g) {
    float[] sorted = g.clone();
    Arrays.sort(sorted);
    return sorted[(int) (0.98 * (sorted.length - 1))];
  }

  /** Whether what looks like windows is far warmer than all else: rooms seen from outside. */
  private static boolean litFromWithin(Analysis analysis, Picture p) {
    List<Opening> openings = Openings.of(analysis);
    double toGrid = (double) analysis.raster().width() / p.width();
    float[] windows = new float[p.r().length];
    float[] rest = new float[windows.length];
    int n = 0;
    int m = 0;
    for (int i = 0; i < windows.length; i++) {
      float lean = lean(p, i);
      double x = (i % p.width() + 0.5) * toGrid;
      double y = (i / p.width() + 0.5) * toGrid;
      if (Openings.depth(openings, x, y) > 0) {
        windows[n++] = lean;
      } else {
        rest[m++] = lean;
      }
    }
    if (n == 0 || m == 0) {
      return false;
    }
    Arrays.sort(windows, 0, n);
    Arrays.sort(rest, 0, m);
    float warmer = rest[m / 2] - windows[n / 2];
    // daylight seen from a blue room is not warm
    boolean lamps = windows[n / 2] < 0 && rest[m * 9 / 10] > REST_BLUE;
    return warmer > WARMER || lamps && warmer > SOME_WARMER;
  }

  /** Whether nearly all is in the blue light after sunset, the top most of all. */
  private static boolean blueHour(Picture light) {
    int w = light.width();
    Picture top = Picture.of(w, Math.max(1, (int) (TOP * light.height())));
    for (int c = 0; c < 3; c++) {
      System.arraycopy(light.channel(c), 0, top.channel(c), 0, top.channel(c).length);
    }
    return blueLean(light, 0.1) > ALL_BLUE && blueLean(top, 0.5) > TOP_BLUE;
  }

  /** Blue over red of a pixel, stops. */
  private static float lean(Picture p, int i) {
    return Stops.of(p.b()[i]) - Stops.of(p.r()[i]);
  }

  /** Blue over red, stops, that a share of all pixels stays below. */
  private static float blueLean(Picture p, double share) {
    float[] lean = new float[p.r().length];
    for (int i = 0; i < lean.length; i++) {
      lean[i] = lean(p, i);
    }
    Arrays.sort(lean);
    return lean[(int) (share * (lean.length - 1))];
  }

  /** Median light of the sky over that of the rest. */
  private static double brighter(Picture light, boolean[] sky) {
    return median(light, sky, true) / Math.max(1e-6, median(light, sky, false));
  }

  private static double median(Picture light, boolean[] sky, boolean which) {
    float[] found = new float[sky.length];
    int n = 0;
    for (int i = 0; i < sky.length; i++) {
      if (sky[i] == which) {
        found[n++] = light.g()[i];
      }
    }
    Arrays.sort(found, 0, n);
    return n == 0 ? 0 : found[n / 2];
  }
}
