package app.jerboa.server.platform;

import io.swagger.v3.oas.annotations.Hidden;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import org.springframework.core.io.ClassPathResource;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.util.DigestUtils;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.servlet.config.annotation.ResourceHandlerRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/**
 * The one page of the client under each of its addresses, and its files. The files carry a hash in
 * their names and never change; the page is asked for every time and told apart by its ETag.
 */
@Controller
class WebPages implements WebMvcConfigurer {
    private final byte[] page;
    private final String etag;

    WebPages() throws IOException {
        ClassPathResource index = new ClassPathResource("static/index.html");
        if (index.exists()) {
            try (InputStream in = index.getInputStream()) {
                page = in.readAllBytes();
            }
        } else {
            page = "The client is not built.".getBytes(StandardCharsets.UTF_8);
        }
        etag = "\"" + DigestUtils.md5DigestAsHex(page) + "\"";
    }

    @Override
    public void addResourceHandlers(ResourceHandlerRegistry registry) {
        registry.addResourceHandler("/assets/**")
                .addResourceLocations("classpath:/static/assets/")
                .setCacheControl(CacheControl.maxAge(Duration.ofDays(365)).immutable());
        registry.addResourceHandler("/icon.svg").addResourceLocations("classpath:/static/");
    }

    @GetMapping(
            value = {"/", "/sign-in", "/jobs", "/jobs/**", "/invitation/*"},
            produces = MediaType.TEXT_HTML_VALUE)
    @Hidden
    ResponseEntity<byte[]> page() {
        return ResponseEntity.ok()
                .eTag(etag)
                .cacheControl(CacheControl.noCache())
                .contentType(new MediaType(MediaType.TEXT_HTML, StandardCharsets.UTF_8))
                .body(page);
    }
}
