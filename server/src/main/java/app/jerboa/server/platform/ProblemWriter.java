package app.jerboa.server.platform;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.Map;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;
import tools.jackson.databind.json.JsonMapper;

/** Writes a problem detail where no controller is involved: filters and the security chain. */
final class ProblemWriter {
    private ProblemWriter() {}

    static void write(JsonMapper json, HttpServletResponse response, Problem problem)
            throws IOException {
        ProblemDetail detail = problem.detail();
        Map<String, Object> body = new LinkedHashMap<>();
        body.put("title", problem.status().getReasonPhrase());
        body.put("status", detail.getStatus());
        body.put("detail", detail.getDetail());
        body.put("code", problem.code());
        response.setStatus(detail.getStatus());
        response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
        response.setCharacterEncoding(StandardCharsets.UTF_8.name());
        response.getOutputStream().write(json.writeValueAsBytes(body));
    }
}
