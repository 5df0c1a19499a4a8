package elvaro.core.notice;

import java.time.Duration;
import java.util.Optional;

/** What people are told of without asking. */
public enum NoticeKind {
    /** What is due, what is late and which sheets are missing, once in the morning. */
    MORNING(NoticeGroup.DAY, "Today", Duration.ZERO),
    /** What only a person decides. */
    QUESTION(NoticeGroup.QUESTION, "A question", Duration.ZERO),
    /** Meat in air above the limit. Whoever took it over has two hours before it begins anew. */
    WARM(NoticeGroup.AIR, "Too warm", Duration.ofMinutes(30)),
    /** A probe that no longer says anything. */
    SILENT(NoticeGroup.AIR, "Nobody measures", Duration.ofHours(6)),
    HUMIDITY(NoticeGroup.AIR, "Humidity off", Duration.ofDays(1)),
    /** It dries otherwise than in the fortnight before. */
    DRYING(NoticeGroup.AIR, "Dries otherwise", Duration.ofDays(1)),
    BACKUP(NoticeGroup.HOUSE, "Backup failed", Duration.ofDays(1)),
    DISK(NoticeGroup.HOUSE, "Disk filling", Duration.ofHours(6)),
    /** To see whether a way works. */
    TEST(NoticeGroup.HOUSE, "Test", Duration.ZERO);

    private static final Duration TAKEN_OVER_FOR = Duration.ofHours(2);

    private final NoticeGroup group;
    private final String label;
    private final Duration againAfter;

    NoticeKind(NoticeGroup group, String label, Duration againAfter) {
        this.group = group;
        this.label = label;
        this.againAfter = againAfter;
    }

    /** By which people choose how they are told. */
    public NoticeGroup group() {
        return group;
    }

    /** In a word or two. */
    public String label() {
        return label;
    }

    /** How long after the last person was told it begins with the first again, while nobody took it over; of alarms only. */
    public Duration againAfter() {
        return againAfter;
    }

    /** For how long it rests once somebody took it over; empty for as long as it lasts. */
    public Optional<Duration> restsFor() {
        return this == WARM ? Optional.of(TAKEN_OVER_FOR) : Optional.empty();
    }
}
