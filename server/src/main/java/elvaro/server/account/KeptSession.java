package elvaro.server.account;

import java.time.Duration;
import java.time.Instant;
import java.util.Set;
import org.springframework.session.Session;

/**
 * A session that knows whether anything of it has to be written.
 *
 * @param <S> the session as its store knows it
 */
final class KeptSession<S extends Session> implements Session {
    /** When it was last used is written so often; each write waits for the disk, and was most of the time of a quick request. */
    private static final Duration USED_IS_WRITTEN = Duration.ofMinutes(1);

    private final S kept;
    private final Instant writtenAsUsed;
    private boolean changed;

    private KeptSession(S kept, boolean changed) {
        this.kept = kept;
        this.changed = changed;
        writtenAsUsed = kept.getLastAccessedTime();
    }

    /** One that no store knows yet. */
    static <S extends Session> KeptSession<S> fresh(S session) {
        return new KeptSession<>(session, true);
    }

    /** One as it was read. */
    static <S extends Session> KeptSession<S> read(S session) {
        return new KeptSession<>(session, false);
    }

    S kept() {
        return kept;
    }

    boolean isToBeWritten() {
        return changed || !kept.getLastAccessedTime().isBefore(writtenAsUsed.plus(USED_IS_WRITTEN));
    }

    @Override
    public String getId() {
        return kept.getId();
    }

    @Override
    public String changeSessionId() {
        changed = true;
        return kept.changeSessionId();
    }

    @Override
    public <T> T getAttribute(String name) {
        return kept.getAttribute(name);
    }

    @Override
    public Set<String> getAttributeNames() {
        return kept.getAttributeNames();
    }

    @Override
    public void setAttribute(String name, Object value) {
        changed = true;
        kept.setAttribute(name, value);
    }

    @Override
    public void removeAttribute(String name) {
        changed = true;
        kept.removeAttribute(name);
    }

    @Override
    public Instant getCreationTime() {
        return kept.getCreationTime();
    }

    @Override
    public void setLastAccessedTime(Instant moment) {
        kept.setLastAccessedTime(moment);
    }

    @Override
    public Instant getLastAccessedTime() {
        return kept.getLastAccessedTime();
    }

    @Override
    public void setMaxInactiveInterval(Duration length) {
        changed = true;
        kept.setMaxInactiveInterval(length);
    }

    @Override
    public Duration getMaxInactiveInterval() {
        return kept.getMaxInactiveInterval();
    }

    @Override
    public boolean isExpired() {
        return kept.isExpired();
    }
}
