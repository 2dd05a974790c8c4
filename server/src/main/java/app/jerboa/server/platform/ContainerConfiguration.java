package app.jerboa.server.platform;

import app.jerboa.server.words.Words;
import org.apache.catalina.core.StandardHost;
import org.springframework.boot.tomcat.servlet.TomcatServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.HttpStatus;
import org.springframework.security.web.firewall.RequestRejectedHandler;
import tools.jackson.databind.json.JsonMapper;

/** What is set at the servlet container. */
@Configuration
class ContainerConfiguration {
    @Bean
    WebServerFactoryCustomizer<TomcatServletWebServerFactory> webSocketThreads() {
        return factory -> factory.setProtocol(WebSocketThreads.class.getName());
    }

    @Bean
    WebServerFactoryCustomizer<TomcatServletWebServerFactory> problemPages() {
        return factory ->
                factory.addContextCustomizers(
                        context ->
                                ((StandardHost) context.getParent())
                                        .setErrorReportValveClass(ProblemPages.class.getName()));
    }

    /** What the firewall does not let in: doubled slashes, hidden dots and the like. */
    @Bean
    RequestRejectedHandler rejected(JsonMapper json) {
        return (request, response, e) ->
                ProblemWriter.write(
                        json,
                        response,
                        new Problem(
                                HttpStatus.BAD_REQUEST, "bad-request", Words.say("refused.path")));
    }
}
