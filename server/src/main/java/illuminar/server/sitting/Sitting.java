package illuminar.server.preview;

import illuminar.core.colour.Lab;
import illuminar.core.measure.Histogram;
import illuminar.core.measure.Reading;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Raster;
import illuminar.core.recipe.Recipe;
import illuminar.core.region.Look;
import illuminar.core.render.Renderer;
import illuminar.files.ScreenJpeg;
import illuminar.server.recipe.RecipeJson;
import illuminar.server.shoot.View;
import illuminar.server.view.OpenViews;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.web.socket.WebSocketSession;
import tools.jackson.databind.JsonNode;

/** Serves one open bench: one thread, at most one waiting request of each kind. */
final class Desk {
  private static final Logger LOG = LoggerFactory.getLogger(Desk.class);
  private static final int MOST_PIXELS = 9_000_000;

  private final WebSocketSession session;
  private final View view;
  private final OpenViews open;
  private final RecipeJson json;
  private final Map<String, JsonNode> waiting = new LinkedHashMap<>();
  private final Thread thread;
  private boolean closed;
  private Picture shown = Picture.of(1, 1);
  private Raster shownAt = new Raster(1, 0, 0, 1, 1);

  /** The first pinned probe's colour, against which the others are told apart. */
  private Optional<Lab> first = Optional.empty();

  Desk(WebSocketSession session, View view, OpenViews open, RecipeJson json) {
    this.session = session;
    this.view = view;
    this.open = open;
    this.json = json;
    thread = new Thread(this::serve, "desk-" + view.name());
    thread.setDaemon(true);
    thread.start();
  }

  /** Puts a request in line; one of the same kind that has not begun is dropped. */
  void ask(String message) {
    try {
      JsonNode request = json.tree(message);
      synchronized (waiting) {
        String slot = request.path("kind").asString("") + request.path("slot").asString("");
        waiting.remove(slot);
        waiting.put(slot, request);
        waiting.notifyAll();
      }
    } catch (RuntimeException e) {
      LOG.debug("not a request: {}", e.getMessage());
    }
  }

  void close() {
    synchronized (waiting) {
      closed = true;
      waiting.notifyAll();
    }
  }

  private void serve() {
    while (true) {
      JsonNode next;
      synchronized (waiting) {
        while (waiting.isEmpty() && !closed) {
          try {
            waiting.wait();
          } catch (InterruptedException e) {
            return;
          }
        }
        if (closed) {
          return;
        }
        String first = waiting.keySet().iterator().next();
        next = waiting.remove(first);
      }
      try {
        answer(next);
      } catch (Exception | OutOfMemoryError e) {
        Map<String, Object> head = new LinkedHashMap<>();
        head.put("kind", "problem");
        head.put("seq", next.path("seq").asLong(0));
        head.put("said", e.getMessage() == null ? e.toString() : e.getMessage());
        send(head);
        LOG.debug("preview failed", e);
      }
    }
  }

  private void answer(JsonNode request) throws IOException {
    switch (request.path("kind").asString("")) {
      case "picture" -> picture(request);
      case "mask" -> mask(request);
      case "read" -> readAlone(request);
      case "pick" -> pick(request);
      default -> throw new IllegalArgumentException("unknown request");
    }
  }

  private void send(Map<String, Object> head, byte[]... body) {
    PreviewSocket.send(session, json.write(head).getBytes(StandardCharsets.UTF_8), body);
  }

  private static Raster raster(JsonNode n) {
    Raster r =
        new Raster(
            n.path("scale").asDouble(0),
            n.path("x").asInt(0),
            n.path("y").asInt(0),
            n.path("width").asInt(0),
            n.path("height").asInt(0));
    if (r.pixels() > MOST_PIXELS || r.x() < 0 || r.y() < 0) {
      throw new IllegalArgumentException("this piece of the picture is too large to show at once");
    }
    return r;
  }

  /** A picture: the recipe's, or one frame's where {@code frame} names it. */
  private void picture(JsonNode request) throws IOException {
    long start = System.nanoTime();
    Renderer renderer = open.renderer(view);
    Raster raster = raster(request.path("raster"));
    String frame = request.path("frame").asString("");
    Map<String, Object> head = new LinkedHashMap<>();
    Picture p;
    if (frame.isEmpty()) {
      Recipe recipe = json.convert(request.path("recipe"), Recipe.class);
      boolean draft = request.path("draft").asBoolean(false);
      p = draft ? renderer.draft(recipe, raster) : renderer.picture(recipe, raster);
    } else {
      p = renderer.frame(frame, raster);
    }
    shown = p;
    shownAt = raster;
    long rendered = System.nanoTime();
    List<ScreenJpeg.Strip> strips = ScreenJpeg.strips(p, request.path("quality").asDouble(0.9));
    head.put(
        "strips",
        strips.stream().map(s -> Map.of("rows", s.rows(), "bytes", s.jpeg().length)).toList());
    head.put("kind", "picture");
    head.put("seq", request.path("seq").asLong(0));
    head.put("raster", raster);
    head.put("histogram", Histogram.of(p));
    first = firstOf(request.path("probes"));
    head.put("probes", readings(request.path("probes")));
    head.put("renderMs", (rendered - start) / 1e6);
    head.put("serverMs", (System.nanoTime() - start) / 1e6);
    send(head, strips.stream().map(ScreenJpeg.Strip::jpeg).toArray(byte[][]::new));
  }

  private List<Object> readings(JsonNode probes) {
    List<Object> out = new ArrayList<>();
    for (JsonNode probe : probes) {
      out.add(reading(probe));
    }
    return out;
  }

  private Optional<Lab> firstOf(JsonNode probes) {
    return probes.isEmpty() ? Optional.empty() : read(probes.get(0)).map(Reading::lab);
  }

  private Map<String, Object> reading(JsonNode probe) {
    Map<String, Object> out = new LinkedHashMap<>();
    out.put("id", probe.path("id").asString(""));
    read(probe)
        .ifPresent(
            r -> {
              out.put("reading", r);
              first.ifPresent(lab -> out.put("difference", lab.difference(r.lab())));
            });
    return out;
  }

  /**
   * Reads at a place given in pixels at full size, from the picture that is shown; nothing where it
   * lies beside what is shown.
   */
  private Optional<Reading> read(JsonNode probe) {
    double s = shownAt.scale();
    double x = (probe.path("x").asDouble(0) + 0.5) * s - 0.5 - shownAt.x();
    double y = (probe.path("y").asDouble(0) + 0.5) * s - 0.5 - shownAt.y();
    if (x < 0 || y < 0 || x > shown.width() - 1 || y > shown.height() - 1) {
      return Optional.empty();
    }
    double radius = Math.max(0.5, probe.path("radius").asDouble(8) * s);
    return Optional.of(Reading.at(shown, x, y, radius));
  }

  /** Answers a request for readings alone. */
  private void readAlone(JsonNode request) {
    Map<String, Object> head = new LinkedHashMap<>();
    head.put("kind", "read");
    head.put("seq", request.path("seq").asLong(0));
    head.put("probes", readings(request.path("probes")));
    send(head);
  }

  /** The colour of what a part looks at, round a place. */
  private void pick(JsonNode request) {
    Reading reading =
        open.renderer(view)
            .colour(
                json.convert(request.path("recipe"), Recipe.class),
                json.convert(request.path("look"), Look.class),
                request.path("x").asDouble(0),
                request.path("y").asDouble(0),
                request.path("radius").asDouble(4));
    Map<String, Object> head = new LinkedHashMap<>();
    head.put("kind", "picked");
    head.put("slot", request.path("slot").asString(""));
    head.put("reading", reading);
    send(head);
  }

  /** A region as a grey picture. */
  private void mask(JsonNode request) throws IOException {
    Renderer renderer = open.renderer(view);
    Raster raster = raster(request.path("raster"));
    Recipe recipe = json.convert(request.path("recipe"), Recipe.class);
    String id = request.path("region").asString("");
    float[] share = renderer.region(recipe, id, raster).copy();
    BufferedImage image =
        new BufferedImage(raster.width(), raster.height(), BufferedImage.TYPE_BYTE_GRAY);
    byte[] data = ((java.awt.image.DataBufferByte) image.getRaster().getDataBuffer()).getData();
    double sum = 0;
    for (int i = 0; i < share.length; i++) {
      data[i] = (byte) (int) (share[i] * 255 + 0.5f);
      sum += share[i];
    }
    Map<String, Object> head = new LinkedHashMap<>();
    head.put("kind", "mask");
    head.put("slot", request.path("slot").asString(""));
    head.put("seq", request.path("seq").asLong(0));
    head.put("raster", raster);
    head.put("share", sum / share.length);
    head.put("bytes", json.write(recipe.region(id).orElseThrow()).length());
    java.io.ByteArrayOutputStream out = new java.io.ByteArrayOutputStream();
    javax.imageio.ImageIO.write(image, "png", out);
    send(head, out.toByteArray());
  }
}
