package app.jerboa.server.platform;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Duration;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Set;
import org.springframework.session.FindByIndexNameSessionRepository;
import org.springframework.session.Session;

/**
 * Sessions as stored, but read at most once a second each and touched at most once a minute: every
 * request has one, and most change nothing. A session that was ended at another server is known
 * here a second later; what is held open long asks for itself.
 *
 * @param <S> as the store has them
 */
final class QuietSessions<S extends Session>
        implements FindByIndexNameSessionRepository<QuietSessions.Quiet<S>> {
    static final Duration READ_EVERY = Duration.ofSeconds(1);
    static final Duration TOUCHED_EVERY = Duration.ofMinutes(1);
    private static final int MOST_KEPT = 10_000;

    private final FindByIndexNameSessionRepository<S> store;
    private final Cache<String, S> read =
            Caffeine.newBuilder().expireAfterWrite(READ_EVERY).maximumSize(MOST_KEPT).build();

    QuietSessions(FindByIndexNameSessionRepository<S> store) {
        this.store = store;
    }

    @Override
    public Quiet<S> createSession() {
        return new Quiet<>(store.createSession(), true);
    }

    @Override
    public void save(Quiet<S> session) {
        if (session.changed) {
            read.invalidate(session.foundAs);
            read.invalidate(session.getId());
            store.save(session.stored);
            session.changed = false;
        }
    }

    @Override
    public Quiet<S> findById(String id) {
        S stored = read.getIfPresent(id);
        if (stored == null) {
            stored = store.findById(id);
            if (stored == null) {
                return null;
            }
            read.put(id, stored);
        }
        return new Quiet<>(stored, false);
    }

    @Override
    public void deleteById(String id) {
        read.invalidate(id);
        store.deleteById(id);
    }

    @Override
    public Map<String, Quiet<S>> findByIndexNameAndIndexValue(String name, String value) {
        Map<String, Quiet<S>> found = new LinkedHashMap<>();
        store.findByIndexNameAndIndexValue(name, value)
                .forEach((id, s) -> found.put(id, new Quiet<>(s, false)));
        return found;
    }

    /**
     * A session that knows whether anything of it must be stored.
     *
     * @param <S> as the store has it
     */
    static final class Quiet<S extends Session> implements Session {
        private final S stored;
        private final String foundAs;
        private boolean changed;

        Quiet(S stored, boolean changed) {
            this.stored = stored;
            this.foundAs = stored.getId();
            this.changed = changed;
        }

        @Override
        public String getId() {
            return stored.getId();
        }

        @Override
        public String changeSessionId() {
            changed = true;
            return stored.changeSessionId();
        }

        @Override
        @SuppressWarnings("TypeParameterUnusedInFormals")
        public <T> T getAttribute(String name) {
            return stored.getAttribute(name);
        }

        @Override
        public Set<String> getAttributeNames() {
            return stored.getAttributeNames();
        }

        @Override
        public void setAttribute(String name, Object value) {
            if (value != stored.getAttribute(name)) {
                changed = true;
                stored.setAttribute(name, value);
            }
        }

        @Override
        public void removeAttribute(String name) {
            changed = true;
            stored.removeAttribute(name);
        }

        @Override
        public Instant getCreationTime() {
            return stored.getCreationTime();
        }

        @Override
        public void setLastAccessedTime(Instant time) {
            if (Duration.between(stored.getLastAccessedTime(), time).compareTo(TOUCHED_EVERY) > 0) {
                changed = true;
                stored.setLastAccessedTime(time);
            }
        }

        @Override
        public Instant getLastAccessedTime() {
            return stored.getLastAccessedTime();
        }

        @Override
        public void setMaxInactiveInterval(Duration interval) {
            changed = true;
            stored.setMaxInactiveInterval(interval);
        }

        @Override
        public Duration getMaxInactiveInterval() {
            return stored.getMaxInactiveInterval();
        }

        @Override
        public boolean isExpired() {
            return stored.isExpired();
        }
    }
}
