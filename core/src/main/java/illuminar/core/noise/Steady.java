package illuminar.core.noise;

import illuminar.core.picture.Picture;

/**
 * Makes the noise of a picture the same at every light, deviation 1: each channel becomes the
 * integral of what light is to its noise there (variance-stabilising transformation; Anscombe 1948
 * for noise of counting, here for noise as measured). The three channels are then turned to a grey
 * and two differences of colour, each of length 1.
 */
public final class Steady {
  private static final int FORTH = 2048;
  private static final int BACK = 8192;
  private static final float ROOT_2 = (float) Math.sqrt(0.5);
  private static final float ROOT_3 = (float) Math.sqrt(1 / 3.0);
  private static final float ROOT_6 = (float) Math.sqrt(1 / 6.0);

  private final float[][] forth = new float[3][FORTH + 1];
  private final float[][] back = new float[3][BACK + 1];
  private final float[] first = new float[3];
  private final float[] last = new float[3];

  public Steady(Noise noise) {
    for (int c = 0; c < 3; c++) {
      double sum = 0;
      for (int i = 1; i <= FORTH; i++) {
        double light = light(i);
        double below = light(i - 1);
        sum += (light - below) / noise.at(c, (light + below) / 2);
        forth[c][i] = (float) sum;
      }
      first[c] = (float) noise.at(c, 0);
      last[c] = (float) noise.at(c, Noise.TOP);
      int at = 0;
      for (int i = 0; i <= BACK; i++) {
        double wanted = sum * i / BACK;
        while (at < FORTH - 1 && forth[c][at + 1] < wanted) {
          at++;
        }
        double part = (wanted - forth[c][at]) / (forth[c][at + 1] - forth[c][at]);
        back[c][i] = (float) (light(at) + (light(at + 1) - light(at)) * part);
      }
    }
  }

  /** Light of an entry; entries are even in its square root. */
  private static double light(int i) {
    double root = i / (double) FORTH;
    return Noise.TOP * root * root;
  }

  /** To a grey and two differences of colour of steady noise, in place. */
  public void forth(Picture p) {
    for (int c = 0; c < 3; c++) {
      forth(p.channel(c), forth[c], first[c], last[c]);
    }
    opponent(p);
  }

  private static void forth(float[] v, float[] table, float first, float last) {
    for (int i = 0; i < v.length; i++) {
      float light = v[i];
      if (light <= 0) {
        v[i] = light / first;
      } else if (light >= Noise.TOP) {
        v[i] = table[FORTH] + (light - Noise.TOP) / last;
      } else {
        float at = (float) Math.sqrt(light / Noise.TOP) * FORTH;
        int k = Math.min(FORTH - 1, (int) at);
        v[i] = table[k] + (table[k + 1] - table[k]) * (at - k);
      }
    }
  }

  /** The way back. */
  public void back(Picture p) {
    colours(p);
    for (int c = 0; c < 3; c++) {
      back(p.channel(c), back[c], forth[c][FORTH], first[c], last[c]);
    }
  }

  private static void back(float[] v, float[] table, float top, float first, float last) {
    for (int i = 0; i < v.length; i++) {
      float s = v[i];
      if (s <= 0) {
        v[i] = s * first;
      } else if (s >= top) {
        v[i] = Noise.TOP + (s - top) * last;
      } else {
        float at = s / top * BACK;
        int k = Math.min(BACK - 1, (int) at);
        v[i] = table[k] + (table[k + 1] - table[k]) * (at - k);
      }
    }
  }

  private static void opponent(Picture p) {
    for (int i = 0; i < p.r().length; i++) {
      float r = p.r()[i];
      float g = p.g()[i];
      float b = p.b()[i];
      p.r()[i] = (r + g + b) * ROOT_3;
      p.g()[i] = (r - b) * ROOT_2;
      p.b()[i] = (r - 2 * g + b) * ROOT_6;
    }
  }

  private static void colours(Picture p) {
    for (int i = 0; i < p.r().length; i++) {
      float grey = p.r()[i] * ROOT_3;
      float warm = p.g()[i] * ROOT_2;
      float green = p.b()[i] * ROOT_6;
      p.r()[i] = grey + warm + green;
      p.g()[i] = grey - 2 * green;
      p.b()[i] = grey - warm + green;
    }
  }
}
