package illuminar.benchmarks.running;

import illuminar.core.picture.Raster;
import illuminar.server.Line;
import illuminar.server.Visitor;
import java.net.http.WebSocket;
import java.util.Locale;
import tools.jackson.databind.JsonNode;

/** A bench that asks for pictures of one view by its socket. */
public final class Asked implements AutoCloseable {
  private static final double QUALITY = 0.93;

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
    Raster raster = new Raster(scale, x, y, width, height);
    socket.sendText(request(1, recipe, raster, QUALITY, draft, ""), true).join();
    Line.Answer answer = line.next();
    if (!answer.head().path("kind").asString().equals("picture")) {
      throw new IllegalStateException(answer.head().toString());
    }
    return (System.nanoTime() - start) / 1e6;
  }

  /**
   * Asks for a picture, as a bench does.
   *
   * @param quality of the JPEG
   * @param moving id of the pass that is being worked on, or empty
   */
  public static String request(
      long seq, JsonNode recipe, Raster raster, double quality, boolean draft, String moving) {
    return String.format(
        Locale.ROOT,
        "{\"kind\":\"picture\",\"seq\":%d,\"frame\":\"\",\"probes\":[],\"quality\":%s,\"draft\":%b,\"moving\":\"%s\",\"aside\":false,\"uncut\":false,"
            + "\"raster\":{\"scale\":%.12f,\"x\":%d,\"y\":%d,\"width\":%d,\"height\":%d},\"recipe\":%s}",
        seq,
        quality,
        draft,
        moving,
        raster.scale(),
        raster.x(),
        raster.y(),
        raster.width(),
        raster.height(),
        recipe);
  }

  @Override
  public void close() {
    socket.abort();
  }
}
