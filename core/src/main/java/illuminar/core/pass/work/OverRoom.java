package illuminar.core.pass.work;

import illuminar.core.analysis.Analysis;
import illuminar.core.frame.Response;
import illuminar.core.pass.PassInput;

/** Places the view of a frame in stops over the room round it, measured on the small grid. */
public final class OverRoom {
  private OverRoom() {}

  /**
   * Factor on the frame's light.
   *
   * @param frame id of the frame that shows the view
   * @param over stops over the mean tone of the room
   */
  public static double gain(PassInput below, String frame, double over) {
    Analysis analysis = below.analysis();
    float[] tones = below.stops().data();
    float[] frameLight = analysis.lightStops(frame).data();
    float[] region = below.region().copy();
    double room = 0;
    double roomShare = 1e-9;
    double view = 0;
    double viewShare = 1e-9;
    for (int i = 0; i < region.length; i++) {
      float inside = region[i];
      room += (1 - inside) * Math.max(-8, Math.min(0, tones[i]));
      roomShare += 1 - inside;
      view += inside * Math.max(-10, frameLight[i]);
      viewShare += inside;
    }
    if (roomShare < 1 || viewShare < 1e-3) {
      return Math.pow(2, over);
    }
    double wanted = lightOfTone(analysis.frames().response(), room / roomShare + over);
    return wanted / Math.pow(2, view / viewShare);
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
}
