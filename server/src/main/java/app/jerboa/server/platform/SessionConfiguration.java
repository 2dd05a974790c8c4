package app.jerboa.server.platform;

import org.springframework.beans.factory.config.BeanPostProcessor;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.session.jdbc.JdbcIndexedSessionRepository;

/** Sessions live in the database, so that they outlive a server and all servers see them. */
@Configuration
class SessionConfiguration {
    @Bean
    static BeanPostProcessor quietSessions() {
        return new BeanPostProcessor() {
            @Override
            public Object postProcessAfterInitialization(Object bean, String name) {
                return bean instanceof JdbcIndexedSessionRepository store
                        ? new QuietSessions<>(store)
                        : bean;
            }
        };
    }
}
