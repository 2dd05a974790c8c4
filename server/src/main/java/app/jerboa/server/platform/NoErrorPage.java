package app.jerboa.server.platform;

import io.swagger.v3.oas.annotations.Hidden;
import org.springframework.boot.webmvc.error.ErrorController;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** In the place of the container's page of errors, where nobody is sent. */
@RestController
@Hidden
class NoErrorPage implements ErrorController {
    @RequestMapping("/error")
    ResponseEntity<ProblemDetail> error() {
        return ResponseEntity.status(HttpStatus.NOT_FOUND)
                .contentType(MediaType.APPLICATION_PROBLEM_JSON)
                .body(Problem.notFound("page").detail());
    }
}
