package app.jerboa.server.desk;

import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.web.socket.config.annotation.EnableWebSocket;
import org.springframework.web.socket.config.annotation.WebSocketConfigurer;
import org.springframework.web.socket.config.annotation.WebSocketHandlerRegistry;
import org.springframework.web.socket.server.standard.ServletServerContainerFactoryBean;

/** {@code /ws/desk}, from our own pages only; messages are small. */
@Configuration
@EnableWebSocket
class DeskConfiguration implements WebSocketConfigurer {
    private static final int LONGEST_MESSAGE = 4096;

    private final DeskSocket socket;

    DeskConfiguration(DeskSocket socket) {
        this.socket = socket;
    }

    @Override
    public void registerWebSocketHandlers(WebSocketHandlerRegistry registry) {
        registry.addHandler(socket, "/ws/desk");
    }

    @Bean
    ServletServerContainerFactoryBean webSocketLimits() {
        ServletServerContainerFactoryBean limits = new ServletServerContainerFactoryBean();
        limits.setMaxTextMessageBufferSize(LONGEST_MESSAGE);
        limits.setMaxBinaryMessageBufferSize(LONGEST_MESSAGE);
        return limits;
    }
}
