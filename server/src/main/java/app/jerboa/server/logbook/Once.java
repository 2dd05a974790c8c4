package app.jerboa.server.logbook;

import app.jerboa.server.platform.Problem;
import app.jerboa.server.words.Words;
import jakarta.servlet.http.HttpServletRequest;
import java.util.Optional;
import java.util.regex.Pattern;
import org.springframework.http.HttpStatus;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import org.springframework.web.context.request.RequestContextHolder;
import org.springframework.web.context.request.ServletRequestAttributes;

/**
 * A request that is sent again because its answer was lost is done once: its {@code
 * Idempotency-Key} is stored in the transaction of what it does. Everything that is done writes
 * into the logbook, so the logbook asks.
 */
@Component
public class Once {
    /** It was done the first time it was sent. */
    public static final String CODE = "taken-already";

    private static final String HEADER = "Idempotency-Key";
    private static final String CLAIMED = Once.class.getName();
    private static final Pattern KEY = Pattern.compile("[A-Za-z0-9-]{8,64}");
    private static final int HOUR_MILLIS = 3_600_000;

    private final LogMapper mapper;

    Once(LogMapper mapper) {
        this.mapper = mapper;
    }

    /**
     * @throws Problem when the request under way was done before
     */
    void claim(long account) {
        key().ifPresent(
                        key -> {
                            if (mapper.claimKey(account, key) == 0) {
                                throw new Problem(
                                        HttpStatus.CONFLICT, CODE, Words.say("refused.once"));
                            }
                        });
    }

    /** Of the request under way, once: it may write several lines. */
    private static Optional<String> key() {
        if (!(RequestContextHolder.getRequestAttributes()
                instanceof ServletRequestAttributes attributes)) {
            return Optional.empty();
        }
        HttpServletRequest request = attributes.getRequest();
        String key = request.getHeader(HEADER);
        boolean claimed = request.getAttribute(CLAIMED) != null;
        if (key == null || claimed || !KEY.matcher(key).matches()) {
            return Optional.empty();
        }
        request.setAttribute(CLAIMED, true);
        return Optional.of(key);
    }

    @Scheduled(fixedDelay = HOUR_MILLIS, initialDelay = HOUR_MILLIS)
    void forget() {
        mapper.forgetKeys();
    }
}
