package elvaro.server.account;

import java.util.HashMap;
import java.util.Map;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.session.FindByIndexNameSessionRepository;
import org.springframework.session.Session;

/**
 * Sessions in their store, read once in a request and written only where something of them changed: reading it anew as the
 * answer ends, and writing it each time, were most of the statements of a quick request.
 *
 * @param <S> the session as its store knows it
 */
final class KeptSessions<S extends Session> implements FindByIndexNameSessionRepository<KeptSession<S>> {
    private final FindByIndexNameSessionRepository<S> store;
    private final SessionTransactions transactions;
    private final ThreadLocal<@Nullable Map<String, KeptSession<S>>> readInThisRequest = new ThreadLocal<>();

    KeptSessions(FindByIndexNameSessionRepository<S> store, SessionTransactions transactions) {
        this.store = store;
        this.transactions = transactions;
    }

    /** From here to {@link #requestEnds} on this thread, what was read once is not read again. */
    void requestBegins() {
        readInThisRequest.set(new HashMap<>());
    }

    void requestEnds() {
        readInThisRequest.remove();
    }

    @Override
    public KeptSession<S> createSession() {
        return KeptSession.fresh(store.createSession());
    }

    @Override
    public void save(KeptSession<S> session) {
        if (session.isToBeWritten()) {
            store.save(session.kept());
        }
    }

    @Override
    public @Nullable KeptSession<S> findById(String id) {
        Map<String, KeptSession<S>> read = readInThisRequest.get();
        KeptSession<S> known = read == null ? null : read.get(id);
        if (known != null && known.getId().equals(id)) {
            return known;
        }
        S found = transactions.reading(() -> store.findById(id));
        if (found == null) {
            return null;
        }
        KeptSession<S> session = KeptSession.read(found);
        if (read != null) {
            read.put(id, session);
        }
        return session;
    }

    @Override
    public void deleteById(String id) {
        Map<String, KeptSession<S>> read = readInThisRequest.get();
        if (read != null) {
            read.remove(id);
        }
        store.deleteById(id);
    }

    @Override
    public Map<String, KeptSession<S>> findByIndexNameAndIndexValue(String index, String value) {
        return store.findByIndexNameAndIndexValue(index, value).entrySet().stream()
                .collect(Collectors.toMap(Map.Entry::getKey, each -> KeptSession.read(each.getValue())));
    }
}
