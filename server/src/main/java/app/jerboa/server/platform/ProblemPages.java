package app.jerboa.server.platform;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Locale;
import org.apache.catalina.connector.Request;
import org.apache.catalina.connector.Response;
import org.apache.catalina.valves.ErrorReportValve;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;

/** What the container itself refuses, before anything of ours sees it, in the words of all else. */
public final class ProblemPages extends ErrorReportValve {
    @Override
    protected void report(Request request, Response response, Throwable failure) {
        int number = response.getStatus();
        if (number < 400 || response.getContentWritten() > 0 || !response.setErrorReported()) {
            return;
        }
        HttpStatus status = HttpStatus.resolve(number);
        String reason = status == null ? "Refused" : status.getReasonPhrase();
        String code = reason.toLowerCase(Locale.ROOT).replace(' ', '-');
        String body =
                "{\"title\":\"%s\",\"status\":%d,\"detail\":\"This request was not understood here: %s. Nothing was changed.\",\"code\":\"%s\"}"
                        .formatted(reason, number, reason, code);
        try {
            response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
            response.setCharacterEncoding("UTF-8");
            response.getOutputStream().write(body.getBytes(StandardCharsets.UTF_8));
            response.finishResponse();
        } catch (IOException | IllegalStateException gone) {
            // Whoever asked is gone, or the answer is under way already.
            return;
        }
    }
}
