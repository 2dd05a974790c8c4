package app.jerboa.server;

import org.apache.ibatis.annotations.Mapper;
import org.mybatis.spring.annotation.MapperScan;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.boot.context.properties.ConfigurationPropertiesScan;
import org.springframework.scheduling.annotation.EnableScheduling;

/** The server: REST and WebSocket over the core's rules, stored in PostgreSQL. */
@SpringBootApplication
@MapperScan(annotationClass = Mapper.class, sqlSessionTemplateRef = "sqlSessionTemplate")
@ConfigurationPropertiesScan
@EnableScheduling
public class JerboaServer {
    public static void main(String[] args) {
        SpringApplication.run(JerboaServer.class, args);
    }
}
