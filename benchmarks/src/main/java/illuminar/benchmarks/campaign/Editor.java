package illuminar.benchmarks.campaign;

import illuminar.benchmarks.running.Asked;
import illuminar.core.picture.Raster;
import illuminar.server.Line;
import illuminar.server.Visitor;
import java.net.http.WebSocket;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.ScheduledFuture;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicLong;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Someone who moves a control five times a second and looks at the drafts. */
final class Editor implements AutoCloseable {
  private static final long EVERY_MS = 200;
  private static final int WIDTH = 600;
  private static final int HEIGHT = 400;
  private static final double QUALITY = 0.8;

  private final Line line = new Line();
  private final WebSocket socket;
  private final ObjectNode recipe;
  private final Raster raster;
  private final AtomicLong changes = new AtomicLong();

  /** When each change was made, nanoseconds, by its number. */
  private final List<Long> made = new ArrayList<>();

  private final List<Double> waited = new ArrayList<>();

  /** The number of the first change that counts. */
  private long first;

  private int pictures;
  private int problems;
  private ScheduledFuture<?> hand;

  Editor(String url, Visitor visitor, String view) {
    JsonNode sheet = visitor.json("/api/views/" + view);
    recipe = (ObjectNode) visitor.json("/api/views/" + view + "/recipe").path("recipe");
    raster = new Raster((double) WIDTH / sheet.path("width").asInt(), 0, 0, WIDTH, HEIGHT);
    socket = line.join(url, visitor, view);
  }

  /** Waits for one picture, so that the view is open. */
  void warm() throws InterruptedException {
    change();
    line.next();
    made.clear();
    first = changes.get();
  }

  /** Begins to move the control. */
  void begin(ScheduledExecutorService hands) {
    hand = hands.scheduleAtFixedRate(this::change, 0, EVERY_MS, TimeUnit.MILLISECONDS);
  }

  private void change() {
    JsonNode passes = recipe.path("passes");
    ObjectNode last = (ObjectNode) passes.get(passes.size() - 1);
    long n = changes.getAndIncrement();
    last.put("strength", 0.2 + 0.6 * (n % 97) / 97);
    synchronized (made) {
      made.add(System.nanoTime());
    }
    String moving = last.path("id").asString();
    socket.sendText(Asked.request(n, recipe, raster, QUALITY, true, moving), true).join();
  }

  /** Looks at the drafts until the time is over and the last change is seen. */
  void look(long until) throws InterruptedException {
    int seen = 0;
    while (true) {
      boolean over = System.nanoTime() >= until;
      if (over) {
        hand.cancel(false);
      }
      if (over && seen >= count()) {
        return;
      }
      Line.Answer answer = line.next();
      long now = System.nanoTime();
      if (!answer.head().path("kind").asString().equals("picture")) {
        problems++;
      }
      pictures++;
      int shown = (int) (answer.head().path("seq").asLong() - first);
      synchronized (made) {
        for (; seen <= shown && seen < made.size(); seen++) {
          waited.add((now - made.get(seen)) / 1e6);
        }
      }
    }
  }

  private int count() {
    synchronized (made) {
      return made.size();
    }
  }

  /** Milliseconds from each change to the first picture that shows it, or a later one. */
  List<Double> waited() {
    return waited;
  }

  int pictures() {
    return pictures;
  }

  int problems() {
    return problems;
  }

  @Override
  public void close() {
    socket.abort();
  }
}
