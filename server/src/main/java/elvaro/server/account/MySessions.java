package elvaro.server.account;

import elvaro.server.shared.CurrentWorkshop;
import elvaro.server.shared.Refusal;
import elvaro.server.shared.Sha256;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import org.springframework.session.FindByIndexNameSessionRepository;
import org.springframework.session.Session;
import org.springframework.stereotype.Service;

/** Where the signed-in person is signed in. A session's id would be enough to take it over: it is told by its hash. */
@Service
class MySessions {
    static final String KIND = "elvaro.device-kind";
    private static final int SHORT = 16;

    private final FindByIndexNameSessionRepository<? extends Session> sessions;
    private final CurrentWorkshop current;

    MySessions(FindByIndexNameSessionRepository<? extends Session> sessions, CurrentWorkshop current) {
        this.sessions = sessions;
        this.current = current;
    }

    /**
     * One of them.
     *
     * @param device what it is signed in on, as far as it tells
     * @param here whether it is the one that asks
     */
    record SessionLine(String id, String device, Instant begunAt, Instant usedAt, boolean here) {}

    List<SessionLine> all(String asking) {
        return mine().entrySet().stream()
                .map(each -> new SessionLine(
                        name(each.getKey()),
                        String.valueOf(each.getValue().<String>getAttributeOrDefault(KIND, "Device")),
                        each.getValue().getCreationTime(),
                        each.getValue().getLastAccessedTime(),
                        each.getKey().equals(asking)))
                .sorted(Comparator.comparing(SessionLine::usedAt).reversed())
                .toList();
    }

    /** @throws Refusal if the person has none of this name */
    void end(String id) {
        String whole = mine().keySet().stream()
                .filter(each -> name(each).equals(id))
                .findFirst()
                .orElseThrow(() -> Refusal.notFound("session"));
        sessions.deleteById(whole);
    }

    void endOthers(String asking) {
        mine().keySet().stream().filter(each -> !each.equals(asking)).forEach(sessions::deleteById);
    }

    private Map<String, ? extends Session> mine() {
        return sessions.findByPrincipalName(current.person().accountId().toString());
    }

    private static String name(String id) {
        return Sha256.of(id.getBytes(StandardCharsets.UTF_8)).substring(0, SHORT);
    }

    /** From what a browser says of itself. */
    static String kind(String agent) {
        return agent.contains("Mobi") || agent.contains("Android") || agent.contains("iPad")
                ? "Phone or tablet"
                : "Computer";
    }
}
