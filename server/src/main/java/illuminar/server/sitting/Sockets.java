package illuminar.server.sitting;

import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.web.socket.config.annotation.EnableWebSocket;
import org.springframework.web.socket.config.annotation.WebSocketConfigurer;
import org.springframework.web.socket.config.annotation.WebSocketHandlerRegistry;
import org.springframework.web.socket.server.standard.ServletServerContainerFactoryBean;

/** Where previews are served; only pages of this address may connect. */
@Configuration
@EnableWebSocket
class Sockets implements WebSocketConfigurer {
  private final PreviewSocket previews;

  Sockets(PreviewSocket previews) {
    this.previews = previews;
  }

  @Override
  public void registerWebSocketHandlers(WebSocketHandlerRegistry registry) {
    registry.addHandler(previews, "/ws/views/*");
  }

  @Bean
  ServletServerContainerFactoryBean container() {
    ServletServerContainerFactoryBean container = new ServletServerContainerFactoryBean();
    container.setMaxTextMessageBufferSize(4_000_000);
    container.setMaxSessionIdleTimeout(0L);
    return container;
  }
}
