package app.jerboa.server.desk;

import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.web.socket.config.annotation.EnableWebSocket;
import org.springframework.web.socket.config.annotation.WebSocketConfigurer;
import org.springframework.web.socket.config.annotation.WebSocketHandlerRegistry;
import org.springframework.web.socket.server.standard.ServletServerContainerFactoryBean;
import org.springframework.web.socket.server.support.HttpSessionHandshakeInterceptor;

/** {@code /ws/desk}, from our own pages only; messages are small. */
@Configuration
@EnableWebSocket
class DeskConfiguration implements WebSocketConfigurer {
    private static final int LONGEST_MESSAGE = 4096;

    /** An open page says "beat" every second, a hidden one every minute at least. */
    private static final long LONGEST_SILENCE_MILLIS = 150_000;

    private final DeskSocket socket;

    DeskConfiguration(DeskSocket socket) {
        this.socket = socket;
    }

    @Override
    public void registerWebSocketHandlers(WebSocketHandlerRegistry registry) {
        registry.addHandler(socket, "/ws/desk").addInterceptors(sessionId());
    }

    /** Nothing but the session's number, to see when it ends. */
    private static HttpSessionHandshakeInterceptor sessionId() {
        HttpSessionHandshakeInterceptor id = new HttpSessionHandshakeInterceptor();
        id.setCopyAllAttributes(false);
        id.setCreateSession(false);
        return id;
    }

    @Bean
    ServletServerContainerFactoryBean webSocketLimits() {
        ServletServerContainerFactoryBean limits = new ServletServerContainerFactoryBean();
        limits.setMaxTextMessageBufferSize(LONGEST_MESSAGE);
        limits.setMaxBinaryMessageBufferSize(LONGEST_MESSAGE);
        limits.setMaxSessionIdleTimeout(LONGEST_SILENCE_MILLIS);
        return limits;
    }
}
