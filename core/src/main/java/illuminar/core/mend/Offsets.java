package illuminar.core.mend;

import illuminar.core.filter.Box;
import illuminar.core.picture.Plane;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.SplittableRandom;

/**
 * The ways by which what lies about a hole repeats itself: along boards, edges, tiles, bricks. For
 * every place the one most like it is sought that is not beside it (PatchMatch: Barnes, Shechtman,
 * Finkelstein, Goldman 2009); ways that many places agree on are the ones to mend with (He, Sun,
 * Statistics of patch offsets for image completion, 2012).
 */
final class Offsets {
  /** Pixels from a place's middle that are compared. */
  private static final int[] TAPS = {-3, -1, 1, 3};

  private static final int REACH = 3;
  private static final int ROUNDS = 2;

  /** Two ways are told apart from so many pixels on. */
  private static final int NEAR = 4;

  private final Window window;
  private final float[] tones;
  private final int w;
  private final int h;
  private final int apart;
  private final boolean[] whole;
  private final int[] like;
  private final float[] unlike;
  private final SplittableRandom chance = new SplittableRandom(29);

  private Offsets(Window window, float[][] tones, int apart) {
    this.window = window;
    w = window.width();
    h = window.height();
    this.tones = interleaved(tones);
    this.apart = apart;
    whole = whole();
    like = new int[w * h];
    unlike = new float[w * h];
  }

  /**
   * @param tones of the window by which places are compared
   * @param apart pixels that places alike are farther apart than
   * @param most ways; those most places agree on first
   */
  static List<Likeness.Way> of(Window window, float[][] tones, int apart, int most) {
    return new Offsets(window, tones, apart).ways(most);
  }

  private static float[] interleaved(float[][] tones) {
    float[] out = new float[3 * tones[0].length];
    for (int i = 0; i < out.length; i++) {
      out[i] = tones[i % 3][i / 3];
    }
    return out;
  }

  /** Middles of places that lie within the window and touch no hole. */
  private boolean[] whole() {
    boolean[] out = new boolean[w * h];
    for (int y = REACH; y < h - REACH; y++) {
      for (int x = REACH; x < w - REACH; x++) {
        out[y * w + x] = true;
      }
    }
    for (int i = 0; i < out.length; i++) {
      if (window.hole()[i]) {
        int x0 = Math.max(0, i % w - REACH);
        int x1 = Math.min(w, i % w + REACH + 1);
        for (int y = Math.max(0, i / w - REACH); y <= Math.min(h - 1, i / w + REACH); y++) {
          Arrays.fill(out, y * w + x0, y * w + x1, false);
        }
      }
    }
    return out;
  }

  private List<Likeness.Way> ways(int most) {
    int[] places = new int[w * h];
    int n = 0;
    for (int i = 0; i < whole.length; i++) {
      if (whole[i]) {
        places[n++] = i;
      }
    }
    if (n < 2) {
      return List.of();
    }
    int[] all = Arrays.copyOf(places, n);
    for (int i : all) {
      like[i] = -1;
      unlike[i] = Float.MAX_VALUE;
      for (int k = 0; k < 8 && like[i] < 0; k++) {
        better(i, all[chance.nextInt(n)]);
      }
    }
    for (int round = 0; round < ROUNDS; round++) {
      boolean back = round % 2 == 1;
      for (int k = 0; k < n; k++) {
        int i = all[back ? n - 1 - k : k];
        int step = back ? 1 : -1;
        follow(i, i + step, -step);
        follow(i, i + step * w, -step * w);
        search(i);
      }
    }
    return agreed(all, most);
  }

  /** Tries where a neighbour's like leads. */
  private void follow(int i, int neighbour, int step) {
    if (neighbour >= 0 && neighbour < whole.length && whole[neighbour] && like[neighbour] >= 0) {
      better(i, like[neighbour] + step);
    }
  }

  private void search(int i) {
    for (int reach = Math.max(w, h); reach >= 1 && like[i] >= 0; reach /= 2) {
      int x = like[i] % w + chance.nextInt(-reach, reach + 1);
      int y = like[i] / w + chance.nextInt(-reach, reach + 1);
      if (x >= 0 && y >= 0 && x < w && y < h) {
        better(i, y * w + x);
      }
    }
  }

  private void better(int i, int other) {
    if (other < 0 || other >= whole.length || !whole[other]) {
      return;
    }
    int dx = other % w - i % w;
    int dy = other / w - i / w;
    if (dx * dx + dy * dy <= apart * apart) {
      return;
    }
    float d = 0;
    for (int v : TAPS) {
      for (int u : TAPS) {
        int a = 3 * (i + v * w + u);
        int b = 3 * (other + v * w + u);
        float red = tones[a] - tones[b];
        float green = tones[a + 1] - tones[b + 1];
        float blue = tones[a + 2] - tones[b + 2];
        d += red * red + green * green + blue * blue;
      }
      if (d >= unlike[i]) {
        return;
      }
    }
    unlike[i] = d;
    like[i] = other;
  }

  /** The ways that most places agree on, none beside another. */
  private List<Likeness.Way> agreed(int[] places, int most) {
    int across = 2 * w - 1;
    Plane votes = Plane.of(across, 2 * h - 1);
    for (int i : places) {
      if (like[i] >= 0) {
        int x = like[i] % w - i % w + w - 1;
        int y = like[i] / w - i / w + h - 1;
        votes.data()[y * across + x]++;
      }
    }
    float[] many = Box.mean(Box.mean(votes, 1), 1).data();
    List<Integer> order = new ArrayList<>();
    for (int i = 0; i < many.length; i++) {
      if (many[i] > 0 && peak(many, i, across)) {
        order.add(i);
      }
    }
    order.sort(Comparator.comparingDouble(i -> -many[i]));
    return order.stream()
        .limit(most)
        .map(i -> new Likeness.Way(i % across - w + 1, i / across - h + 1))
        .toList();
  }

  private static boolean peak(float[] many, int i, int across) {
    int rows = many.length / across;
    for (int y = Math.max(0, i / across - NEAR); y <= Math.min(rows - 1, i / across + NEAR); y++) {
      for (int x = Math.max(0, i % across - NEAR);
          x <= Math.min(across - 1, i % across + NEAR);
          x++) {
        int k = y * across + x;
        if (many[k] > many[i] || many[k] == many[i] && k < i) {
          return false;
        }
      }
    }
    return true;
  }
}
