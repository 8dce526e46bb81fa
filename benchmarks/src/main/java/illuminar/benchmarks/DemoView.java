package illuminar.benchmarks;

import illuminar.core.analysis.Analysis;
import illuminar.core.frame.Codes;
import illuminar.core.frame.Frame;
import illuminar.core.frame.Frames;
import illuminar.core.frame.Pyramid;
import illuminar.core.frame.Response;
import illuminar.core.frame.Role;
import illuminar.core.lineup.LineUp;
import illuminar.core.lineup.ResponseEstimate;
import illuminar.files.BadPicture;
import illuminar.files.PictureReader;
import illuminar.scenes.camera.Shot;
import illuminar.scenes.rooms.Brackets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;

/** The Instrument room's frames as the product takes them in, from the shipped card. */
record DemoView(List<Shot> shots, List<Codes> codes, List<Pyramid> pyramids) {
  static final int ANCHOR = 2;
  static final int WINDOW = 7;

  /** Reads the card's frames; {@code longEdge} above 2400 enlarges them for timing. */
  static DemoView read(Path card, int longEdge) throws BadPicture {
    List<Shot> shots = Brackets.instrumentRoom();
    List<Codes> codes = new ArrayList<>();
    for (Shot s : shots) {
      Codes c = PictureReader.pixels(card.resolve(s.file() + ".JPG"), s.file());
      codes.add(longEdge > c.width() ? larger(c, longEdge) : c);
    }
    return new DemoView(shots, codes, codes.stream().parallel().map(Pyramid::of).toList());
  }

  private static Codes larger(Codes c, int width) {
    int height = width * c.height() / c.width();
    byte[] out = new byte[width * height * 3];
    double k = (double) c.width() / width;
    for (int y = 0; y < height; y++) {
      double v = Math.max(0, Math.min(c.height() - 1.001, (y + 0.5) * k - 0.5));
      int y0 = (int) v;
      for (int x = 0; x < width; x++) {
        double u = Math.max(0, Math.min(c.width() - 1.001, (x + 0.5) * k - 0.5));
        int x0 = (int) u;
        for (int ch = 0; ch < 3; ch++) {
          int a = (y0 * c.width() + x0) * 3 + ch;
          double top = at(c, a) + (at(c, a + 3) - at(c, a)) * (u - x0);
          int b = a + c.width() * 3;
          double low = at(c, b) + (at(c, b + 3) - at(c, b)) * (u - x0);
          out[(y * width + x) * 3 + ch] = (byte) (int) (top + (low - top) * (v - y0) + 0.5);
        }
      }
    }
    return Codes.of8(width, height, out);
  }

  private static int at(Codes c, int i) {
    return c.eight()[i] & 255;
  }

  List<LineUp.Placed> linedUp() {
    return LineUp.find(pyramids, ANCHOR, n -> {});
  }

  /** The view ready to be rendered, by the product's own line-up and response. */
  Analysis analysis(List<LineUp.Placed> placed) {
    List<Frame> frames = new ArrayList<>();
    for (int i = 0; i < shots.size(); i++) {
      Role role = shots.get(i).flash() ? Role.FLASH : i == WINDOW ? Role.WINDOW : Role.AMBIENT;
      double stops = shots.get(i).exposure().stops();
      frames.add(new Frame("f" + i, role, stops, placed.get(i).toFrame(), pyramids.get(i)));
    }
    List<Frame> bracket = frames.stream().filter(f -> f.role() != Role.FLASH).toList();
    int w = pyramids.get(ANCHOR).width();
    int h = pyramids.get(ANCHOR).height();
    Response response = ResponseEstimate.of(bracket, w, h);
    return new Analysis(new Frames(frames, "f" + ANCHOR, response));
  }
}
