package illuminar.benchmarks.running;

import illuminar.server.Line;
import illuminar.server.Visitor;
import java.net.http.WebSocket;
import java.util.Locale;
import tools.jackson.databind.JsonNode;

/** A bench that asks for pictures of one view by its socket. */
final class Asked implements AutoCloseable {
  private static final String PICTURE =
      "{\"kind\":\"picture\",\"seq\":1,\"frame\":\"\",\"probes\":[],\"quality\":0.93,\"draft\":%b,\"moving\":\"\","
          + "\"raster\":{\"scale\":%s,\"x\":%d,\"y\":%d,\"width\":%d,\"height\":%d},\"recipe\":%s}";

  /** Long edge of the fitted picture on a window of 1280×800. */
  private static final int FITTED = 808;

  private static final int PIECE_WIDTH = 880;
  private static final int PIECE_HEIGHT = 620;

  private final Line line = new Line();
  private final WebSocket socket;
  private final JsonNode sheet;
  private final JsonNode recipe;

  Asked(String url, Visitor visitor, String view) {
    sheet = visitor.json("/api/views/" + view);
    recipe = visitor.json("/api/views/" + view + "/recipe").path("recipe");
    socket = line.join(url, visitor, view);
  }

  /** Milliseconds until the first picture is here, as a bench asks for it when it opens. */
  double first() throws InterruptedException {
    return fitted(true);
  }

  /** Milliseconds until the whole picture is here, sharp. */
  double sharp() throws InterruptedException {
    return fitted(false);
  }

  private double fitted(boolean draft) throws InterruptedException {
    double scale = (double) FITTED / sheet.path("width").asInt();
    int height = (int) Math.round(sheet.path("height").asInt() * scale);
    return asked(draft, scale, 0, 0, FITTED, height);
  }

  /** Milliseconds until a piece from the picture's middle is here at 1:1. */
  double piece() throws InterruptedException {
    int x = (sheet.path("width").asInt() - PIECE_WIDTH) / 2;
    int y = (sheet.path("height").asInt() - PIECE_HEIGHT) / 2;
    return asked(false, 1, x, y, PIECE_WIDTH, PIECE_HEIGHT);
  }

  private double asked(boolean draft, double scale, int x, int y, int width, int height)
      throws InterruptedException {
    long start = System.nanoTime();
    socket
        .sendText(PICTURE.formatted(draft, number(scale), x, y, width, height, recipe), true)
        .join();
    Line.Answer answer = line.next();
    if (!answer.head().path("kind").asString().equals("picture")) {
      throw new IllegalStateException(answer.head().toString());
    }
    return (System.nanoTime() - start) / 1e6;
  }

  private static String number(double v) {
    return String.format(Locale.ROOT, "%.12f", v);
  }

  @Override
  public void close() {
    socket.abort();
  }
}
