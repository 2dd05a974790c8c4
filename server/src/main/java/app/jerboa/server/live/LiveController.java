package app.jerboa.server.live;

import app.jerboa.server.platform.Author;
import app.jerboa.server.platform.Needs;
import app.jerboa.server.platform.Problem;
import app.jerboa.server.platform.Right;
import app.jerboa.server.words.Words;
import io.swagger.v3.oas.annotations.Hidden;
import io.swagger.v3.oas.annotations.Parameter;
import jakarta.servlet.http.HttpServletRequest;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/** The stream of what happens to a job, and who is here. */
@RestController
@RequestMapping("/api/jobs/{job}")
class LiveController {
    private static final Logger LOG = LoggerFactory.getLogger(LiveController.class);
    private static final Pattern TAB = Pattern.compile("[A-Za-z0-9-]{8,64}");
    private static final int LONGEST_PAGE = 60;

    /** A browser tab and the page it shows. */
    record HereBody(String tab, String page) {}

    private final Watchers watchers;
    private final Presence presence;

    LiveController(Watchers watchers, Presence presence) {
        this.watchers = watchers;
        this.presence = presence;
    }

    /** Events hello with what was told lately, beat every 10 s, changed and presence. */
    @GetMapping(value = "/events", produces = MediaType.TEXT_EVENT_STREAM_VALUE)
    @Hidden
    SseEmitter events(
            @PathVariable("job") long job,
            @RequestParam("tab") String tab,
            @AuthenticationPrincipal Author person,
            HttpServletRequest request) {
        insistOnTab(tab);
        String session = request.getSession(true).getId();
        return watchers.open(
                new Watchers.Opening(job, tab, person.id(), session), () -> gone(job, tab, person));
    }

    private void gone(long job, String tab, Author person) {
        try {
            presence.gone(job, tab, person);
        } catch (RuntimeException e) {
            LOG.debug("presence was not taken off: {}", e.getMessage());
        }
    }

    @PostMapping("/presence")
    @Needs(Right.READ)
    List<PresentBody> here(
            @PathVariable("job") long job,
            @RequestBody HereBody body,
            @Parameter(hidden = true) @AuthenticationPrincipal Author person) {
        insistOnTab(body.tab());
        String page = body.page().substring(0, Math.min(LONGEST_PAGE, body.page().length()));
        presence.here(job, body.tab(), page, person);
        return presence.of(job);
    }

    private static void insistOnTab(String tab) {
        if (!TAB.matcher(tab).matches()) {
            throw new Problem(
                    HttpStatus.BAD_REQUEST,
                    "bad-value",
                    Words.say("refused.tab"),
                    Map.of("field", "tab"));
        }
    }
}
