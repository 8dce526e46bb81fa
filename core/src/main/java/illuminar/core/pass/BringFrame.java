package illuminar.core.pass;

import illuminar.core.colour.Matrix3;
import illuminar.core.colour.Space;
import illuminar.core.colour.Stops;
import illuminar.core.frame.Response;
import illuminar.core.picture.Picture;
import illuminar.core.render.Below;
import illuminar.core.render.Ready;
import illuminar.core.render.Tile;
import java.util.Arrays;

/**
 * Brings one frame into a region of the picture, such as the view into the window panes.
 *
 * <p>The frame is turned back into light by the camera's response, exposed anew so that it stands
 * {@code over} stops above the room (the mean tone of the picture outside the region), and rendered
 * again by the same response. Along the region's edge each pixel is a mixture of both sides that no
 * mask alone can part; there the room's colour is continued inwards and the view's outwards from
 * clean pixels, and the two are mixed by the mask (the compositing equation, Porter and Duff 1984),
 * so neither a bright rim nor a dark double edge stays.
 *
 * @param frame id of the frame
 */
public record BringFrame(
    String frame,
    @Control(
            label = "Over the room",
            unit = "st",
            from = -6,
            to = 6,
            step = 0.05,
            careful = 0.9,
            help = "How much brighter than the room the view stands")
        double over,
    @Control(
            label = "Edge width",
            unit = "px",
            from = 0,
            to = 12,
            step = 0.5,
            careful = 4,
            help = "How far along the edge room and view are kept apart, at full size")
        double edge)
    implements Move {

  private static final float[] TO_WORK = flat(Space.SRGB_TO_WORK);

  public BringFrame {
    Catalogue.check(BringFrame.class, "over", over);
    Catalogue.check(BringFrame.class, "edge", edge);
  }

  private static float[] flat(Matrix3 m) {
    return new float[] {
      (float) m.a(),
      (float) m.b(),
      (float) m.c(),
      (float) m.d(),
      (float) m.e(),
      (float) m.f(),
      (float) m.g(),
      (float) m.h(),
      (float) m.i()
    };
  }

  /** Measures room and view on the small grid. */
  @Override
  public Ready prepare(Below below) {
    Response response = below.analysis().frames().response();
    Picture small = below.analysis().draw(frame, below.raster());
    double room = 0;
    double roomShare = 1e-9;
    double view = 0;
    double viewShare = 1e-9;
    float[] region = below.region().copy();
    for (int i = 0; i < region.length; i++) {
      float inside = region[i];
      float y =
          Space.luminance(below.picture().r()[i], below.picture().g()[i], below.picture().b()[i]);
      room += (1 - inside) * Math.max(-8, Math.min(0, Stops.of(y)));
      roomShare += 1 - inside;
      float light = response.luminance(small.r()[i], small.g()[i], small.b()[i]);
      view += inside * Math.max(-10, Stops.of(light));
      viewShare += inside;
    }
    double display = room / roomShare + over;
    if (roomShare < 1 || viewShare < 1e-3) {
      return new Work(frame, response, (float) Math.pow(2, over), (float) edge);
    }
    double wanted = lightOfTone(response, display);
    double gain = wanted / Math.pow(2, view / viewShare);
    return new Work(frame, response, (float) gain, (float) edge);
  }

  /**
   * Light that the response renders at a tone given in stops below white; goes on straight above.
   */
  private static double lightOfTone(Response response, double stops) {
    if (stops < -0.15) {
      return response.toLight(1, (float) Math.pow(2, stops));
    }
    return response.toLight(1, (float) Math.pow(2, -0.15)) * Math.pow(2, stops + 0.15);
  }

  private record Work(String frame, Response response, float gain, float edge)
      implements Ready.OnLight {

    private int radius(double scale) {
      return edge == 0 ? 0 : Math.max(1, (int) Math.round(edge * scale));
    }

    @Override
    public int margin(double scale) {
      return radius(scale) + 1;
    }

    @Override
    public boolean fine() {
      return true;
    }

    @Override
    public void apply(Tile tile, Picture below) {
      int w = tile.raster().width();
      int h = tile.raster().height();
      int radius = radius(tile.raster().scale());
      int[] box = tile.region().box();
      if (box[0] >= box[2]) {
        return;
      }
      box =
          new int[] {
            Math.max(0, box[0] - radius - 1),
            Math.max(0, box[1] - radius - 1),
            Math.min(w, box[2] + radius + 1),
            Math.min(h, box[3] + radius + 1)
          };
      float[] region = tile.region().copy();
      Picture view = rendered(tile.frames().apply(frame), box);
      boolean[] band = radius == 0 ? new boolean[0] : band(region, w, h, box);
      float[][] clean =
          radius == 0 ? new float[0][] : clean(below, view, region, band, w, h, radius, box);
      for (int y = box[1]; y < box[3]; y++) {
        for (int i = y * w + box[0]; i < y * w + box[2]; i++) {
          float m = region[i];
          boolean edge = radius > 0 && band[i];
          if (m <= 0 && !edge) {
            continue;
          }
          float share = tile.amount(Stops.of(below.luminanceAt(i)));
          if (share <= 0) {
            continue;
          }
          for (int c = 0; c < 3; c++) {
            float[] out = below.channel(c);
            float outside = edge ? clean[c][i] : out[i];
            float inside = edge ? clean[3 + c][i] : view.channel(c)[i];
            float mixed = outside + (inside - outside) * m;
            out[i] += (mixed - out[i]) * share;
          }
        }
      }
    }

    private Picture rendered(Picture camera, int[] box) {
      Picture out = Picture.of(camera.width(), camera.height());
      for (int y = box[1]; y < box[3]; y++) {
        for (int i = y * out.width() + box[0]; i < y * out.width() + box[2]; i++) {
          float r = response.toDisplay(0, response.toLight(0, camera.r()[i]) * gain);
          float g = response.toDisplay(1, response.toLight(1, camera.g()[i]) * gain);
          float b = response.toDisplay(2, response.toLight(2, camera.b()[i]) * gain);
          out.r()[i] = TO_WORK[0] * r + TO_WORK[1] * g + TO_WORK[2] * b;
          out.g()[i] = TO_WORK[3] * r + TO_WORK[4] * g + TO_WORK[5] * b;
          out.b()[i] = TO_WORK[6] * r + TO_WORK[7] * g + TO_WORK[8] * b;
        }
      }
      return out;
    }

    /** Pixels of a sharp edge: the mask differs clearly within their neighbourhood of three. */
    private static boolean[] band(float[] m, int w, int h, int[] box) {
      boolean[] band = new boolean[w * h];
      for (int y = box[1]; y < box[3]; y++) {
        for (int x = box[0]; x < box[2]; x++) {
          float lo = 1;
          float hi = 0;
          for (int v = Math.max(0, y - 1); v <= Math.min(h - 1, y + 1); v++) {
            for (int u = Math.max(0, x - 1); u <= Math.min(w - 1, x + 1); u++) {
              float k = m[v * w + u];
              lo = Math.min(lo, k);
              hi = Math.max(hi, k);
            }
          }
          band[y * w + x] = hi - lo > 0.02f && hi > 0.02f;
        }
      }
      return band;
    }

    /**
     * Room colour and view colour for the pixels of the band, from clean pixels near them; three
     * planes of each. Where there is nothing clean near, the pixel's own colour.
     */
    private static float[][] clean(
        Picture below,
        Picture view,
        float[] m,
        boolean[] band,
        int w,
        int h,
        int radius,
        int[] box) {
      float[][] out = new float[6][w * h];
      float reach = 1f / (radius * radius + 1);
      float[] sum = new float[8];
      for (int y = box[1]; y < box[3]; y++) {
        for (int x = box[0]; x < box[2]; x++) {
          int i = y * w + x;
          if (!band[i]) {
            continue;
          }
          Arrays.fill(sum, 0);
          for (int v = Math.max(0, y - radius); v <= Math.min(h - 1, y + radius); v++) {
            for (int u = Math.max(0, x - radius); u <= Math.min(w - 1, x + radius); u++) {
              int k = v * w + u;
              float near = 1 - ((u - x) * (u - x) + (v - y) * (v - y)) * reach;
              if (near <= 0) {
                continue;
              }
              gather(sum, below, view, m[k], band[k] ? 0.002f : 1, near * near, k);
            }
          }
          for (int c = 0; c < 3; c++) {
            out[c][i] = sum[6] > 1e-4f ? sum[c] / sum[6] : below.channel(c)[i];
            out[3 + c][i] = sum[7] > 1e-4f ? sum[3 + c] / sum[7] : view.channel(c)[i];
          }
        }
      }
      return out;
    }

    private static void gather(
        float[] sum, Picture below, Picture view, float m, float trust, float near, int k) {
      float out = 1 - m;
      out *= out;
      float room = near * trust * out * out;
      float in = m * m;
      float pane = near * trust * in * in;
      for (int c = 0; c < 3; c++) {
        sum[c] += room * below.channel(c)[k];
        sum[3 + c] += pane * view.channel(c)[k];
      }
      sum[6] += room;
      sum[7] += pane;
    }
  }
}
