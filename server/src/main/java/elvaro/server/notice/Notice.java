package elvaro.server.notice;

import elvaro.core.notice.Loudness;
import elvaro.core.notice.NoticeKind;
import elvaro.core.notice.NoticeText;
import elvaro.server.shared.WorkshopRow;
import jakarta.persistence.Convert;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import org.hibernate.annotations.Immutable;
import org.jspecify.annotations.NullUnmarked;
import org.jspecify.annotations.Nullable;

/** What somebody is told, in their units. Written once: its key is no other's. */
@Entity
@Immutable
@Table(name = "notice")
@NullUnmarked
class Notice extends WorkshopRow {
    private String noticeKey;
    private UUID accountId;

    @Enumerated(EnumType.STRING)
    private NoticeKind kind;

    @Enumerated(EnumType.STRING)
    private Loudness loudness;

    @Convert(converter = NoticeTexts.class)
    private NoticeText text;

    private String path;
    private UUID alarmId;
    private String about;
    private Instant madeAt;

    protected Notice() {}

    /**
     * @param key names what is told; with whom it is told the name of this notice
     * @param accountId whom; absent for the house's other program
     * @param path of what it is about, within the application
     * @param about what its questions are, by name, a line each
     */
    Notice(
            String key,
            @Nullable UUID accountId,
            NoticeKind kind,
            Loudness loudness,
            NoticeText text,
            String path,
            @Nullable UUID alarmId,
            @Nullable String about,
            Instant madeAt) {
        super(UUID.randomUUID());
        this.noticeKey = name(key, accountId);
        this.accountId = accountId;
        this.kind = kind;
        this.loudness = loudness;
        this.text = text;
        this.path = path;
        this.alarmId = alarmId;
        this.about = about;
        this.madeAt = madeAt;
    }

    static String name(String key, @Nullable UUID accountId) {
        return key + "." + (accountId == null ? "house" : accountId);
    }

    String key() {
        return noticeKey;
    }

    Optional<UUID> accountId() {
        return Optional.ofNullable(accountId);
    }

    NoticeKind kind() {
        return kind;
    }

    Loudness loudness() {
        return loudness;
    }

    NoticeText text() {
        return text;
    }

    String path() {
        return path;
    }

    Optional<UUID> alarmId() {
        return Optional.ofNullable(alarmId);
    }

    /** What it is about, by name, a line each; empty where that was not kept. */
    String about() {
        return about == null ? "" : about;
    }

    Instant madeAt() {
        return madeAt;
    }
}
