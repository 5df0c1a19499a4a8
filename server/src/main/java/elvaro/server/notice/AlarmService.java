package elvaro.server.notice;

import elvaro.core.notice.Loudness;
import elvaro.core.notice.NoticeKind;
import elvaro.core.notice.NoticeText;
import elvaro.core.notice.NoticeText.Said;
import elvaro.core.notice.NoticeText.Section;
import elvaro.server.account.AccountService;
import elvaro.server.notice.AlarmAnswer.AnswerKind;
import elvaro.server.notice.NoticeLog.DeliveryView;
import elvaro.server.notice.NoticeWriter.Telling;
import elvaro.server.shared.CurrentWorkshop;
import elvaro.server.shared.Refusal;
import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Alarms as people see and answer them. */
@Service
@Transactional
public class AlarmService {
    private static final Duration SHOWN_FOR = Duration.ofDays(30);

    private final AlarmRepository alarms;
    private final AlarmNotices alarmNotices;
    private final AlarmWatch watch;
    private final Recipients recipients;
    private final NoticeRepository notices;
    private final NoticeLog log;
    private final AccountService accounts;
    private final CurrentWorkshop current;
    private final EntityManager entities;
    private final Clock clock;

    AlarmService(
            AlarmRepository alarms,
            AlarmNotices alarmNotices,
            AlarmWatch watch,
            Recipients recipients,
            NoticeRepository notices,
            NoticeLog log,
            AccountService accounts,
            CurrentWorkshop current,
            EntityManager entities,
            Clock clock) {
        this.alarms = alarms;
        this.alarmNotices = alarmNotices;
        this.watch = watch;
        this.recipients = recipients;
        this.notices = notices;
        this.log = log;
        this.accounts = accounts;
        this.current = current;
        this.entities = entities;
        this.clock = clock;
    }

    /**
     * An alarm.
     *
     * @param subject what it is about
     * @param words what is wrong, or was last
     * @param hangs what hangs there, in words; of one that goes on only
     * @param endWords how long it lasted, once it is over
     * @param answered the last answer
     * @param told who was told when, in that order
     * @param nobodyReached whether it goes on and nobody could be told
     */
    public record AlarmView(
            UUID id,
            NoticeKind kind,
            String label,
            @Nullable UUID chamberId,
            String subject,
            String words,
            @Nullable String hangs,
            Instant beganAt,
            Instant raisedAt,
            @Nullable Instant endedAt,
            @Nullable String endWords,
            @Nullable AnswerView answered,
            List<ToldView> told,
            boolean nobodyReached) {}

    /** @param toName to whom it was handed */
    public record AnswerView(
            AnswerKind kind,
            String by,
            Instant at,
            @Nullable Instant until,
            @Nullable String toName) {}

    /** @param name of whom; empty for the other program */
    public record ToldView(String name, Instant at, String title, List<DeliveryView> ways) {}

    /** What goes on, and what did in the last month, the last first. */
    @Transactional(readOnly = true)
    public List<AlarmView> lately() {
        return views(alarms.openOrSince(clock.instant().minus(SHOWN_FOR)));
    }

    /** @throws Refusal if the workshop has none of this id */
    @Transactional(readOnly = true)
    public AlarmView one(UUID id) {
        return views(List.of(get(id))).get(0);
    }

    private Alarm get(UUID id) {
        return alarms.findById(id).orElseThrow(() -> Refusal.notFound("alarm"));
    }

    private List<AlarmView> views(List<Alarm> asked) {
        if (asked.isEmpty()) {
            return List.of();
        }
        List<UUID> ids = asked.stream().map(Alarm::id).toList();
        Map<UUID, String> names = accounts.names();
        Map<UUID, List<AlarmAnswer>> answers =
                alarms.answersOf(ids).stream().collect(Collectors.groupingBy(AlarmAnswer::alarmId));
        List<Notice> all = notices.ofAlarms(ids);
        Map<UUID, List<DeliveryView>> ways = log.ways(all);
        Map<UUID, List<ToldView>> told = all.stream()
                .collect(Collectors.groupingBy(
                        notice -> notice.alarmId().orElseThrow(),
                        Collectors.mapping(
                                notice -> new ToldView(
                                        notice.accountId().map(names::get).orElse(""),
                                        notice.madeAt(),
                                        notice.text().title(),
                                        ways.getOrDefault(notice.id(), List.of())),
                                Collectors.toList())));
        return asked.stream()
                .map(alarm -> view(
                        alarm,
                        answers.getOrDefault(alarm.id(), List.of()),
                        told.getOrDefault(alarm.id(), List.of()),
                        names))
                .toList();
    }

    private AlarmView view(Alarm alarm, List<AlarmAnswer> answers, List<ToldView> told, Map<UUID, String> names) {
        boolean goesOn = alarm.endedAt().isEmpty();
        return new AlarmView(
                alarm.id(),
                alarm.kind(),
                alarm.kind().label(),
                alarm.chamberId().orElse(null),
                alarm.subject(),
                alarm.words(),
                goesOn ? watch.hangs(alarm).orElse(null) : null,
                alarm.beganAt(),
                alarm.raisedAt(),
                alarm.endedAt().orElse(null),
                alarm.endWords().orElse(null),
                answers.isEmpty() ? null : view(answers.get(answers.size() - 1), names),
                told,
                goesOn && told.isEmpty());
    }

    private static AnswerView view(AlarmAnswer answer, Map<UUID, String> names) {
        return new AnswerView(
                answer.kind(),
                names.getOrDefault(answer.accountId(), ""),
                answer.answeredAt(),
                answer.until().orElse(null),
                answer.to().map(names::get).orElse(null));
    }

    /**
     * Keeps what somebody answered; sent again, it is kept once.
     *
     * @param minutes after which to be told again, for {@link AnswerKind#LATER}
     * @param to whom it is handed, for {@link AnswerKind#HANDED_TO}
     * @throws Refusal if it is over, or the answer names no time or nobody
     */
    public AlarmView answer(UUID alarmId, UUID id, AnswerKind kind, @Nullable Integer minutes, @Nullable UUID to) {
        Alarm alarm = get(alarmId);
        if (alarms.answer(id).isPresent()) {
            return one(alarmId);
        }
        if (alarm.endedAt().isPresent()) {
            throw Refusal.conflict("alarm-over", "It is over already. Nobody needs to see to it.");
        }
        Instant now = clock.instant().truncatedTo(ChronoUnit.MICROS);
        Instant until = null;
        if (kind == AnswerKind.LATER) {
            until = now.plus(Duration.ofMinutes(
                    Optional.ofNullable(minutes).orElseThrow(() -> Refusal.wrong("missing", "minutes", "Say when."))));
        }
        UUID handedTo = null;
        if (kind == AnswerKind.HANDED_TO) {
            handedTo = accounts.person(
                            Optional.ofNullable(to).orElseThrow(() -> Refusal.wrong("missing", "to", "Say to whom.")))
                    .id();
        }
        UUID me = current.person().accountId();
        entities.persist(new AlarmAnswer(id, alarmId, kind, me, now, until, handedTo));
        if (kind == AnswerKind.TAKEN_OVER) {
            tellOthers(alarm, me, id);
        }
        return one(alarmId);
    }

    private void tellOthers(Alarm alarm, UUID me, UUID answer) {
        String words = "%s sees to it".formatted(accounts.names().getOrDefault(me, ""));
        alarmNotices.tellAgain(
                alarm,
                recipients.all().stream()
                        .filter(each -> !me.equals(each.accountId()))
                        .toList(),
                new Telling(
                        "alarm-%s-%s".formatted(alarm.id(), answer),
                        alarm.kind(),
                        Loudness.QUIET,
                        new NoticeText(
                                "%s: %s".formatted(alarm.subject(), words),
                                List.of(new Section(
                                        alarm.kind().label(),
                                        List.of(new Said(
                                                alarm.words() + ".", Optional.of(AlarmNotices.path(alarm))))))),
                        AlarmNotices.path(alarm),
                        alarm.id(),
                        null));
    }
}
