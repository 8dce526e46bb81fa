package illuminar.server.desk;

import com.sun.net.httpserver.HttpExchange;
import com.sun.net.httpserver.HttpServer;
import java.io.IOException;
import java.io.InputStream;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import tools.jackson.databind.json.JsonMapper;

/**
 * A small listing desk to try deliveries on: a service of its own on loopback, spoken to over HTTP
 * alone. It takes a picture as the body of {@code POST /pictures} and answers with what it objects
 * to; it keeps nothing.
 */
final class StandInDesk implements AutoCloseable {
  private static final String PICTURES = "/pictures";

  private final HttpServer server;
  private final ExecutorService hands = Executors.newFixedThreadPool(2, StandInDesk::quiet);

  /** Opens at a free port. */
  StandInDesk() throws IOException {
    server = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), 0), 0);
    server.createContext(PICTURES, this::take);
    server.setExecutor(hands);
    server.start();
  }

  private static Thread quiet(Runnable work) {
    Thread thread = new Thread(work, "listing desk");
    thread.setDaemon(true);
    return thread;
  }

  /** Where pictures are sent to. */
  URI address() {
    return URI.create(
        "http://"
            + InetAddress.getLoopbackAddress().getHostAddress()
            + ":"
            + server.getAddress().getPort()
            + PICTURES);
  }

  private void take(HttpExchange exchange) throws IOException {
    try (exchange) {
      if (!exchange.getRequestMethod().equals("POST")) {
        exchange.sendResponseHeaders(405, -1);
        return;
      }
      byte[] file;
      try (InputStream in = exchange.getRequestBody()) {
        // one byte more than is allowed tells that there are too many
        file = in.readNBytes((int) DeskRules.MOST_BYTES + 1);
      }
      List<String> objections = DeskRules.objections(file);
      DeskAnswer answer = new DeskAnswer(objections.isEmpty(), objections);
      byte[] body = JsonMapper.shared().writeValueAsString(answer).getBytes(StandardCharsets.UTF_8);
      exchange.getResponseHeaders().set("Content-Type", "application/json");
      exchange.sendResponseHeaders(200, body.length);
      exchange.getResponseBody().write(body);
    }
  }

  @Override
  public void close() {
    server.stop(0);
    hands.shutdownNow();
  }
}
