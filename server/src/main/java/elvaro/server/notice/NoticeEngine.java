package elvaro.server.notice;

import elvaro.server.shared.Changes;
import elvaro.server.shared.CurrentWorkshop;
import java.time.Clock;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/**
 * Looks at one workshop and writes down who is to be told what: what was found and what is sent in one transaction. It looks
 * where something changed, and every few seconds in any case, since some things are wrong by nothing happening.
 */
@Component
public class NoticeEngine {
    private static final long AIR_SECONDS = 15;
    private static final long WORK_SECONDS = 60;

    /** What a workshop was when it was looked at: its changes, and the time. */
    private record Looked(long change, long when) {}

    private final Map<UUID, Looked> air = new ConcurrentHashMap<>();
    private final Map<UUID, Looked> work = new ConcurrentHashMap<>();
    private final Recipients recipients;
    private final AlarmNotices alarmNotices;
    private final AlarmRepository alarms;
    private final MorningRound morning;
    private final Changes changes;
    private final CurrentWorkshop current;
    private final Clock clock;

    NoticeEngine(
            Recipients recipients,
            AlarmNotices alarmNotices,
            AlarmRepository alarms,
            MorningRound morning,
            Changes changes,
            CurrentWorkshop current,
            Clock clock) {
        this.recipients = recipients;
        this.alarmNotices = alarmNotices;
        this.alarms = alarms;
        this.morning = morning;
        this.changes = changes;
        this.current = current;
        this.clock = clock;
    }

    /** Whether the air, or the house, may have become another since it was last looked at; asked once. */
    boolean airIsDue() {
        return isDue(air, AIR_SECONDS);
    }

    /** The same of the work. */
    boolean workIsDue() {
        return isDue(work, WORK_SECONDS);
    }

    private boolean isDue(Map<UUID, Looked> before, long seconds) {
        Looked now = new Looked(changes.number(), clock.instant().getEpochSecond() / seconds);
        return !now.equals(before.put(current.person().workshopId(), now));
    }

    /** Looks at everything, whatever was looked at before. */
    @Transactional
    public void look() {
        lookAtTheAir();
        lookAtTheWork();
    }

    @Transactional
    public void lookAtTheAir() {
        alarmNotices.look(recipients.all());
    }

    @Transactional
    public void lookAtTheWork() {
        List<Recipient> everybody = recipients.all();
        Set<UUID> alarmed = alarms.open().stream()
                .flatMap(alarm -> alarm.chamberId().stream())
                .collect(Collectors.toSet());
        morning.go(everybody, alarmed);
    }

    /** After a failure it is looked at again, though nothing changed. */
    void lookAgain() {
        air.remove(current.person().workshopId());
        work.remove(current.person().workshopId());
    }
}
