package illuminar.server.sitting;

import illuminar.server.account.Member;
import illuminar.server.recipe.RecipeJson;
import illuminar.server.shoot.ShootService;
import illuminar.server.shoot.View;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.security.Principal;
import java.util.Arrays;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.security.core.Authentication;
import org.springframework.stereotype.Component;
import org.springframework.web.socket.BinaryMessage;
import org.springframework.web.socket.CloseStatus;
import org.springframework.web.socket.TextMessage;
import org.springframework.web.socket.WebSocketSession;
import org.springframework.web.socket.handler.TextWebSocketHandler;

/**
 * Previews over a socket: the latest request of a kind wins, older ones are dropped before they
 * start. An answer is one binary message: length of a JSON head (four bytes), the head, and a
 * picture in one or more strips.
 */
@Component
class PreviewSocket extends TextWebSocketHandler {
  private static final Logger LOG = LoggerFactory.getLogger(PreviewSocket.class);

  private final ShootService shoots;
  private final OpenViews open;
  private final RecipeJson json;
  private final Lanes lanes;
  private final Map<String, Sitting> sittings = new ConcurrentHashMap<>();

  PreviewSocket(ShootService shoots, OpenViews open, RecipeJson json, Lanes lanes) {
    this.shoots = shoots;
    this.open = open;
    this.json = json;
    this.lanes = lanes;
  }

  @Override
  public void afterConnectionEstablished(WebSocketSession session) throws IOException {
    Principal principal = session.getPrincipal();
    if (!(principal instanceof Authentication auth)
        || !(auth.getPrincipal() instanceof Member member)) {
      session.close(CloseStatus.POLICY_VIOLATION);
      return;
    }
    String path = session.getUri() == null ? "" : session.getUri().getPath();
    try {
      UUID id = UUID.fromString(path.substring(path.lastIndexOf('/') + 1));
      View view = shoots.ownedView(member.studio(), id);
      sittings.put(
          session.getId(),
          new Sitting(
              session,
              view.name(),
              new Answers(() -> shoots.ownedView(member.studio(), id), open, json),
              json,
              lanes));
    } catch (RuntimeException e) {
      session.close(CloseStatus.BAD_DATA);
    }
  }

  @Override
  protected void handleTextMessage(WebSocketSession session, TextMessage message) {
    Sitting sitting = sittings.get(session.getId());
    if (sitting != null) {
      sitting.ask(message.getPayload());
    }
  }

  @Override
  public void afterConnectionClosed(WebSocketSession session, CloseStatus status) {
    Sitting sitting = sittings.remove(session.getId());
    if (sitting != null) {
      sitting.close();
    }
  }

  static void send(WebSocketSession session, byte[] head, byte[]... body) {
    int length = 4 + head.length + Arrays.stream(body).mapToInt(b -> b.length).sum();
    ByteBuffer bytes = ByteBuffer.allocate(length).putInt(head.length).put(head);
    for (byte[] b : body) {
      bytes.put(b);
    }
    bytes.flip();
    try {
      synchronized (session) {
        if (session.isOpen()) {
          session.sendMessage(new BinaryMessage(bytes));
        }
      }
    } catch (IOException | IllegalStateException e) {
      LOG.debug("preview not sent: {}", e.getMessage());
    }
  }
}
