package elvaro.server.notice;

import elvaro.core.notice.AirTrouble;
import elvaro.core.notice.AirTrouble.Lately;
import elvaro.core.notice.AlarmText;
import elvaro.core.notice.Escalation;
import elvaro.core.notice.Escalation.Answer;
import elvaro.core.notice.Escalation.TakenOver;
import elvaro.core.notice.Escalation.Told;
import elvaro.core.notice.Loudness;
import elvaro.core.notice.NoticeKind;
import elvaro.core.notice.NoticeText;
import elvaro.server.chamber.Chamber;
import elvaro.server.channel.ChannelKind;
import elvaro.server.channel.Sent;
import elvaro.server.notice.AlarmAnswer.AnswerKind;
import elvaro.server.notice.Recipient.Way;
import elvaro.server.reading.AirLately;
import jakarta.persistence.EntityManager;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Writes down what people would have been told of air that was recorded before there was anybody to tell: for the demo. */
@Component
@Transactional(propagation = Propagation.MANDATORY)
public class NoticeHistory {
    private static final Duration STEP = Duration.ofMinutes(5);
    private static final Duration SENT_AFTER = Duration.ofSeconds(4);

    private final AirLately air;
    private final AlarmNotices alarmNotices;
    private final AlarmWatch watch;
    private final Recipients recipients;
    private final NoticeSettings settings;
    private final NoticeRepository notices;
    private final AlarmRepository alarms;
    private final EntityManager entities;

    NoticeHistory(
            AirLately air,
            AlarmNotices alarmNotices,
            AlarmWatch watch,
            Recipients recipients,
            NoticeSettings settings,
            NoticeRepository notices,
            AlarmRepository alarms,
            EntityManager entities) {
        this.air = air;
        this.alarmNotices = alarmNotices;
        this.watch = watch;
        this.recipients = recipients;
        this.settings = settings;
        this.notices = notices;
        this.alarms = alarms;
        this.entities = entities;
    }

    /**
     * Who took an alarm over.
     *
     * @param after they were told
     */
    public record TookOver(UUID person, Duration after) {}

    /**
     * Lives through a stretch of one chamber's time by the rules of every other.
     *
     * @param kind of the air, of which something was wrong
     * @param takenOver by whom, once
     * @return the deliveries, in the order they were made
     */
    public List<UUID> tell(Chamber chamber, NoticeKind kind, Instant from, Instant to, TookOver takenOver) {
        List<Recipient> everybody = recipients.all().stream()
                .filter(each -> each.accountId() != null)
                .toList();
        Night night = new Night(chamber, kind, everybody, takenOver);
        for (Instant now = from; now.isBefore(to) && !night.over; now = now.plus(STEP)) {
            night.look(now);
        }
        return night.deliveries;
    }

    /** One alarm from its beginning to its end. */
    private final class Night {
        private final Chamber chamber;
        private final NoticeKind kind;
        private final List<Recipient> everybody;
        private final TookOver takenOver;
        private final List<Told> told = new ArrayList<>();
        private final List<Answer> answers = new ArrayList<>();
        private final List<UUID> deliveries = new ArrayList<>();
        private @Nullable Alarm alarm;
        private boolean over;

        Night(Chamber chamber, NoticeKind kind, List<Recipient> everybody, TookOver takenOver) {
            this.chamber = chamber;
            this.kind = kind;
            this.everybody = everybody;
            this.takenOver = takenOver;
        }

        void look(Instant now) {
            Integer percent = chamber.setHumidityPercent();
            Lately lately = air.asOf(chamber.id(), now);
            Set<NoticeKind> open = alarm == null ? EnumSet.noneOf(NoticeKind.class) : EnumSet.of(kind);
            Optional<AirTrouble> found = AirTrouble.of(
                            lately,
                            settings.house()
                                    .limits(
                                            chamber.setCelsius(),
                                            percent == null
                                                    ? OptionalDouble.empty()
                                                    : OptionalDouble.of(percent / 100.0)),
                            open,
                            now)
                    .stream()
                    .filter(trouble -> trouble.kind() == kind)
                    .findFirst();
            if (alarm == null) {
                found.filter(AirTrouble::told).ifPresent(trouble -> {
                    alarm = alarms.save(
                            new Alarm(kind, chamber.id(), chamber.name(), trouble.words(), trouble.from(), now));
                    escalate(alarm, now);
                });
            } else if (found.isEmpty()) {
                end(alarm, now);
            } else {
                alarm.goOn(found.get().words());
                if (found.get().told()) {
                    escalate(alarm, now);
                }
            }
        }

        private void escalate(Alarm open, Instant now) {
            Escalation plan = alarmNotices.plan(open, everybody, everybody);
            Set<UUID> due = plan.now(open.raisedAt(), told, answers, now);
            everybody.stream().filter(each -> due.contains(each.accountId())).forEach(each -> {
                told.add(new Told(each.accountId(), now));
                write(
                        open,
                        each,
                        "alarm-%s-%d".formatted(open.id(), told.size()),
                        Loudness.LOUD,
                        AlarmText.raised(
                                kind,
                                chamber.name(),
                                open.words(),
                                each.moment(open.beganAt(), now),
                                watch.hangs(open),
                                AlarmNotices.path(open)),
                        now);
            });
            told.stream()
                    .filter(each -> answers.isEmpty() && each.person().equals(takenOver.person()))
                    .findFirst()
                    .ifPresent(each -> takeOver(open, each.at().plus(takenOver.after())));
        }

        private void takeOver(Alarm open, Instant at) {
            answers.add(new TakenOver(takenOver.person(), at));
            entities.persist(new AlarmAnswer(
                    UUID.randomUUID(), open.id(), AnswerKind.TAKEN_OVER, takenOver.person(), at, null, null));
        }

        private void end(Alarm open, Instant now) {
            over = true;
            open.end(now, watch.ending(open, now));
            everybody.stream()
                    .filter(each ->
                            told.stream().anyMatch(before -> before.person().equals(each.accountId())))
                    .forEach(each -> write(
                            open,
                            each,
                            "alarm-%s-over".formatted(open.id()),
                            Loudness.QUIET,
                            AlarmText.over(
                                    kind,
                                    chamber.name(),
                                    open.endWords().orElse(""),
                                    true,
                                    "/chambers/" + chamber.id()),
                            now));
        }

        private void write(Alarm open, Recipient to, String key, Loudness loudness, NoticeText text, Instant now) {
            Notice notice = notices.save(new Notice(
                    key,
                    to.accountId(),
                    kind,
                    loudness,
                    NoticeWriter.written(text, to.units()),
                    AlarmNotices.path(open),
                    open.id(),
                    null,
                    now));
            List<Way> ways = to.ways(kind.group());
            for (Way way : ways.isEmpty() ? List.of(new Way(ChannelKind.EMAIL, null)) : ways) {
                Delivery delivery =
                        new Delivery(notice.id(), way.channel(), way.phoneId(), loudness == Loudness.LOUD, now);
                delivery.tried(new Sent(Sent.Fate.TAKEN, "Taken.", Optional.empty()), now, now.plus(SENT_AFTER));
                entities.persist(delivery);
                deliveries.add(delivery.id());
            }
        }
    }
}
