package app.jerboa.server.desk;

import app.jerboa.core.job.Device;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.logbook.Logbook;
import app.jerboa.server.people.Person;
import app.jerboa.server.platform.Author;
import app.jerboa.server.platform.Needs;
import app.jerboa.server.platform.Problem;
import app.jerboa.server.platform.Right;
import app.jerboa.server.words.Words;
import app.jerboa.server.world.Contacts;
import app.jerboa.wire.link.session.HeadLink;
import io.swagger.v3.oas.annotations.Parameter;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/**
 * A frame that a lead typed, to one camera. What it does is shown before it is sent; what moves a
 * head is never sent from here, since no stop would follow it.
 */
@RestController
@RequestMapping("/api/jobs/{job}/wire/frame")
class FrameController {
    private static final int PATIENCE_SECONDS = 3;

    /** Octets as pairs, for example {@code 81 09 00 02 FF}. */
    record FrameBody(long device, String hex) {}

    /**
     * What would be sent.
     *
     * @param hex as it goes out, without the header of its link
     * @param effect reads, sets, moves, powers, renumbers or unknown
     * @param does what that means, in a sentence
     * @param sendable it may be sent from here
     */
    record FrameView(String hex, String words, String effect, String does, boolean sendable) {}

    /** What came back, in words. */
    record FrameAnswer(String answer) {}

    private final Jobs jobs;
    private final Contacts contacts;
    private final BorrowedLinks borrowed;
    private final Logbook log;

    FrameController(Jobs jobs, Contacts contacts, BorrowedLinks borrowed, Logbook log) {
        this.contacts = contacts;
        this.jobs = jobs;
        this.borrowed = borrowed;
        this.log = log;
    }

    @PostMapping("/preview")
    @Needs(Right.MANAGE)
    FrameView preview(@PathVariable("job") long job, @RequestBody FrameBody body) {
        Jobs.Stored stored = jobs.load(job);
        return view(typed(stored, stored.need(body.device()), body.hex()));
    }

    private static FrameView view(TypedFrame frame) {
        String effect = frame.effect().name().toLowerCase(Locale.ROOT);
        return new FrameView(
                frame.octets().toString(),
                frame.words(),
                effect,
                Words.say("frame." + effect),
                frame.sendable());
    }

    private TypedFrame typed(Jobs.Stored stored, Device device, String hex) {
        return contacts.ways(stored).to(device).onBus()
                ? TypedFrame.onBus(hex)
                : TypedFrame.visca(hex);
    }

    @PostMapping
    @Needs(Right.MANAGE)
    FrameAnswer send(
            @PathVariable("job") long job,
            @RequestBody FrameBody body,
            @Parameter(hidden = true) @AuthenticationPrincipal Author by) {
        Jobs.Stored stored = jobs.load(job);
        Device device = stored.need(body.device());
        TypedFrame frame = typed(stored, device, body.hex());
        if (!frame.sendable()) {
            throw new Problem(
                    HttpStatus.CONFLICT,
                    "not-from-here",
                    Words.say("refused.not-from-here", Map.of("why", view(frame).does())));
        }
        String answer = borrowed.with(stored, device, (Person) by, l -> answer(l, frame));
        log.event(
                job,
                Words.say(
                        "logged.frame",
                        Map.of(
                                "octets",
                                frame.octets(),
                                "device",
                                device.name(),
                                "words",
                                frame.words(),
                                "answer",
                                answer)),
                List.of(device.id().value()),
                by);
        return new FrameAnswer(answer);
    }

    private static String answer(HeadLink link, TypedFrame frame) {
        try {
            return link.say(frame.octets()).get(PATIENCE_SECONDS, TimeUnit.SECONDS);
        } catch (ExecutionException e) {
            return String.valueOf(e.getCause().getMessage());
        } catch (TimeoutException e) {
            return Words.say("answer.none-within", Map.of("seconds", PATIENCE_SECONDS));
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            return Words.say("answer.stopping");
        }
    }
}
