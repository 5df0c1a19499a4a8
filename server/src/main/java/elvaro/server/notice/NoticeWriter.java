package elvaro.server.notice;

import elvaro.core.notice.Loudness;
import elvaro.core.notice.NoticeKind;
import elvaro.core.notice.NoticeText;
import elvaro.core.notice.NoticeText.Said;
import elvaro.core.notice.NoticeText.Section;
import elvaro.core.working.Units;
import elvaro.server.notice.Recipient.Way;
import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/**
 * Writes down what somebody is told, and each way it goes, in the transaction in which it was found. What has the same key for
 * the same person is told once, whoever asks again.
 */
@Component
@Transactional(propagation = Propagation.MANDATORY)
class NoticeWriter {
    private final NoticeRepository notices;
    private final EntityManager entities;
    private final Clock clock;

    NoticeWriter(NoticeRepository notices, EntityManager entities, Clock clock) {
        this.notices = notices;
        this.entities = entities;
        this.clock = clock;
    }

    /**
     * What is told.
     *
     * @param key names it among all that is ever told
     * @param text with its quantities for any reader
     * @param about names of what it is about, a line each, where that is needed to know it again
     */
    record Telling(
            String key,
            NoticeKind kind,
            Loudness loudness,
            NoticeText text,
            String path,
            @Nullable UUID alarmId,
            @Nullable String about) {}

    /** Tells somebody by every way they chose for it; whoever has none is not told. @return what was written */
    @Nullable
    Notice tell(Recipient to, Telling telling) {
        return tell(to, telling, to.ways(telling.kind().group()));
    }

    /** The same by these ways. */
    @Nullable
    Notice tell(Recipient to, Telling telling, List<Way> ways) {
        if (ways.isEmpty() || notices.existsByNoticeKey(Notice.name(telling.key(), to.accountId()))) {
            return null;
        }
        Instant now = clock.instant().truncatedTo(ChronoUnit.MICROS);
        Notice notice = notices.save(new Notice(
                telling.key(),
                to.accountId(),
                telling.kind(),
                telling.loudness(),
                written(telling.text(), to.units()),
                telling.path(),
                telling.alarmId(),
                telling.about(),
                now));
        for (Way way : ways) {
            entities.persist(
                    new Delivery(notice.id(), way.channel(), way.phoneId(), telling.loudness() == Loudness.LOUD, now));
        }
        return notice;
    }

    /** In the units of whoever reads it. */
    static NoticeText written(NoticeText text, Units units) {
        return new NoticeText(
                units.sentence(text.title()),
                text.sections().stream()
                        .map(section -> new Section(
                                section.heading(),
                                section.said().stream()
                                        .map(said -> new Said(units.sentence(said.words()), said.at()))
                                        .toList()))
                        .toList());
    }
}
