package app.jerboa.server.platform;

import org.springframework.boot.tomcat.servlet.TomcatServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** What is set at the servlet container. */
@Configuration
class ContainerConfiguration {
    @Bean
    WebServerFactoryCustomizer<TomcatServletWebServerFactory> webSocketThreads() {
        return factory -> factory.setProtocol(WebSocketThreads.class.getName());
    }
}
