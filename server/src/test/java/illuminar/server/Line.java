package illuminar.server;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.WebSocket;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.concurrent.CompletionStage;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import javax.imageio.ImageIO;
import tools.jackson.databind.JsonNode;

/** The bench's socket as a browser listens to it. */
public final class Line implements WebSocket.Listener {
  private final LinkedBlockingQueue<Answer> answers = new LinkedBlockingQueue<>();
  private final LinkedBlockingQueue<Integer> closed = new LinkedBlockingQueue<>();
  private final ByteArrayOutputStream message = new ByteArrayOutputStream();

  /** An answer: its head and what follows. */
  public record Answer(JsonNode head, byte[] body) {
    BufferedImage image() throws IOException {
      return ImageIO.read(new ByteArrayInputStream(body));
    }
  }

  /**
   * Joins by a connection of its own, as browsers do: one that has served many requests is closed
   * by the server with its next answer, which then is no handshake.
   */
  public WebSocket join(String url, Visitor who, String view) {
    URI address = URI.create(url.replace("http", "ws") + "/ws/views/" + view);
    HttpClient fresh =
        HttpClient.newBuilder().cookieHandler(who.client.cookieHandler().orElseThrow()).build();
    return fresh.newWebSocketBuilder().buildAsync(address, this).join();
  }

  @Override
  public CompletionStage<?> onBinary(WebSocket from, ByteBuffer data, boolean last) {
    byte[] part = new byte[data.remaining()];
    data.get(part);
    message.writeBytes(part);
    if (last) {
      ByteBuffer whole = ByteBuffer.wrap(message.toByteArray());
      message.reset();
      byte[] head = new byte[whole.getInt()];
      whole.get(head);
      byte[] body = new byte[whole.remaining()];
      whole.get(body);
      answers.add(
          new Answer(Visitor.JSON.readTree(new String(head, StandardCharsets.UTF_8)), body));
    }
    from.request(1);
    return null;
  }

  @Override
  public CompletionStage<?> onClose(WebSocket from, int code, String reason) {
    closed.add(code);
    return null;
  }

  /** The next answer, within a minute. */
  public Answer next() throws InterruptedException {
    Answer answer = answers.poll(60, TimeUnit.SECONDS);
    if (answer == null) {
      throw new AssertionError("no answer; the line was closed with " + closed);
    }
    return answer;
  }

  /** The code that the server closed with. */
  Integer closed() throws InterruptedException {
    return closed.poll(30, TimeUnit.SECONDS);
  }
}
