package app.jerboa.server.platform;

import app.jerboa.core.value.TextRejected;
import app.jerboa.server.words.Words;
import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;
import org.apache.catalina.connector.ClientAbortException;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.web.ErrorResponse;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.context.request.async.AsyncRequestNotUsableException;
import org.springframework.web.method.annotation.MethodArgumentTypeMismatchException;
import org.springframework.web.multipart.MaxUploadSizeExceededException;
import org.springframework.web.multipart.MultipartException;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.DatabindException;
import tools.jackson.databind.exc.UnrecognizedPropertyException;

/**
 * Turns every refusal and failure into a problem detail; stack traces never leave, and are logged
 * once.
 */
@RestControllerAdvice
@Order(Ordered.HIGHEST_PRECEDENCE)
class ProblemAdvice {
    private static final Logger LOG = LoggerFactory.getLogger(ProblemAdvice.class);

    @ExceptionHandler
    ResponseEntity<ProblemDetail> problem(Problem e) {
        return answer(e.detail());
    }

    @ExceptionHandler
    ResponseEntity<ProblemDetail> text(TextRejected e) {
        ProblemDetail detail = Problem.detail(HttpStatus.BAD_REQUEST, "text-rejected", sentence(e));
        detail.setProperty("index", e.index());
        return answer(detail);
    }

    static String sentence(TextRejected e) {
        return Words.say(
                "refused.value",
                Map.of("text", shortened(e.input()), "why", Words.say(e.reason())));
    }

    private static String shortened(String text) {
        return text.length() <= 60 ? text : text.substring(0, 60) + "…";
    }

    @ExceptionHandler
    ResponseEntity<ProblemDetail> unreadable(HttpMessageNotReadableException e) {
        if (e.getCause() instanceof BodyTooLarge) {
            return answer(BodyTooLarge.problem().detail());
        }
        if (e.getCause() instanceof DatabindException databind) {
            return answer(databind(databind));
        }
        return answer(
                Problem.detail(
                        HttpStatus.BAD_REQUEST, "malformed-json", Words.say("refused.json")));
    }

    private static ProblemDetail databind(DatabindException e) {
        for (Throwable cause = e; cause != null; cause = cause.getCause()) {
            if (cause instanceof BodyTooLarge) {
                return BodyTooLarge.problem().detail();
            }
        }
        String field =
                e.getPath().stream()
                        .map(JacksonException.Reference::getPropertyName)
                        .filter(name -> name != null)
                        .collect(Collectors.joining("."));
        boolean unknown = e instanceof UnrecognizedPropertyException;
        String code = unknown ? "unknown-field" : "bad-value";
        ProblemDetail detail =
                Problem.detail(
                        HttpStatus.BAD_REQUEST,
                        code,
                        field.isEmpty()
                                ? Words.say("refused.shape")
                                : Words.say(
                                        unknown ? "refused.unknown-field" : "refused.wrong-field",
                                        Map.of("field", field)));
        detail.setProperty("field", field);
        return detail;
    }

    @ExceptionHandler
    ResponseEntity<ProblemDetail> wrongValue(MethodArgumentTypeMismatchException e) {
        if (e.getParameter().hasParameterAnnotation(PathVariable.class)) {
            return answer(Problem.notFound(e.getName()).detail());
        }
        return answer(
                new Problem(
                                HttpStatus.BAD_REQUEST,
                                "bad-value",
                                Words.say("refused.parameter", Map.of("name", e.getName())),
                                Map.of("field", e.getName()))
                        .detail());
    }

    @ExceptionHandler
    ResponseEntity<ProblemDetail> brokenForm(MultipartException e) {
        boolean large = e instanceof MaxUploadSizeExceededException;
        return answer(
                large
                        ? BodyTooLarge.problem().detail()
                        : Problem.detail(
                                HttpStatus.BAD_REQUEST, "bad-form", Words.say("refused.form")));
    }

    /** The connection broke while it was answered: there is nobody left to tell. */
    @ExceptionHandler({AsyncRequestNotUsableException.class, ClientAbortException.class})
    void gone(IOException e) {
        LOG.debug("client went away: {}", e.getMessage());
    }

    @ExceptionHandler
    ResponseEntity<ProblemDetail> anythingElse(Exception e, HttpServletRequest request) {
        if (e instanceof ErrorResponse known) {
            HttpStatus status = HttpStatus.valueOf(known.getStatusCode().value());
            return answer(
                    Problem.detail(
                            status,
                            status.name().toLowerCase(Locale.ROOT).replace('_', '-'),
                            Words.say("refused.request", Map.of("why", status.getReasonPhrase()))));
        }
        if (DatabaseAway.isCauseOf(e)) {
            LOG.info("the database did not answer a request");
            return answer(DatabaseAway.problem(request).detail());
        }
        LOG.error("unexpected failure", e);
        return answer(
                Problem.detail(
                        HttpStatus.INTERNAL_SERVER_ERROR,
                        "unexpected",
                        Words.say("refused.our-fault")));
    }

    private static ResponseEntity<ProblemDetail> answer(ProblemDetail detail) {
        return ResponseEntity.status(detail.getStatus())
                .contentType(MediaType.APPLICATION_PROBLEM_JSON)
                .body(detail);
    }
}
