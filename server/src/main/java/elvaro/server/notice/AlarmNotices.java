package elvaro.server.notice;

import elvaro.core.notice.AlarmText;
import elvaro.core.notice.Escalation;
import elvaro.core.notice.Escalation.Step;
import elvaro.core.notice.Escalation.Told;
import elvaro.core.notice.Loudness;
import elvaro.core.notice.NoticeGroup;
import elvaro.core.notice.NoticeKind;
import elvaro.server.chamber.Chamber;
import elvaro.server.chamber.ChamberService;
import elvaro.server.notice.AlarmStep.Who;
import elvaro.server.notice.Delivery.DeliveryState;
import elvaro.server.notice.NoticeWriter.Telling;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Collection;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Tells people of alarms, one after another, and of what is over. */
@Component
@Transactional(propagation = Propagation.MANDATORY)
class AlarmNotices {
    private final AlarmRepository alarms;
    private final AlarmWatch watch;
    private final NoticeRepository notices;
    private final NoticeWriter writer;
    private final NoticeSettings settings;
    private final ChamberService chambers;
    private final Clock clock;

    AlarmNotices(
            AlarmRepository alarms,
            AlarmWatch watch,
            NoticeRepository notices,
            NoticeWriter writer,
            NoticeSettings settings,
            ChamberService chambers,
            Clock clock) {
        this.alarms = alarms;
        this.watch = watch;
        this.notices = notices;
        this.writer = writer;
        this.settings = settings;
        this.chambers = chambers;
        this.clock = clock;
    }

    /** Looks, and tells what is to be told now. */
    void look(List<Recipient> everybody) {
        AlarmWatch.FoundNow found = watch.look();
        found.ended().forEach(alarm -> tellOver(alarm, everybody));
        if (found.wrong().isEmpty()) {
            return;
        }
        Map<UUID, List<AlarmAnswer>> answers = alarms
                .answersOf(found.wrong().stream().map(Alarm::id).toList())
                .stream()
                .collect(Collectors.groupingBy(AlarmAnswer::alarmId));
        found.wrong().forEach(alarm -> tell(alarm, answers.getOrDefault(alarm.id(), List.of()), everybody));
    }

    static String path(Alarm alarm) {
        return "/alarms/" + alarm.id();
    }

    private void tell(Alarm alarm, List<AlarmAnswer> answers, List<Recipient> everybody) {
        Instant now = clock.instant();
        List<Notice> told = notices.ofAlarms(List.of(alarm.id()));
        NoticeGroup group = alarm.kind().group();
        Set<UUID> refused = refused(told);
        List<Recipient> reachable = everybody.stream()
                .filter(each ->
                        each.accountId() != null && !each.ways(group).isEmpty() && !refused.contains(each.accountId()))
                .toList();
        Escalation plan = plan(alarm, everybody, reachable);
        Set<UUID> due = plan.now(
                alarm.raisedAt(),
                told.stream()
                        .flatMap(notice ->
                                notice.accountId().stream().map(account -> new Told(account, notice.madeAt())))
                        .toList(),
                answers.stream().map(AlarmAnswer::answer).toList(),
                now);
        everybody.stream()
                // The other program is told once: whom to wake is for it to say.
                .filter(each -> each.accountId() == null ? told.isEmpty() : due.contains(each.accountId()))
                .filter(each -> each.hears(group, now))
                .forEach(each -> writer.tell(each, raised(alarm, each, count(told, each), now)));
    }

    private Telling raised(Alarm alarm, Recipient to, long before, Instant now) {
        return new Telling(
                "alarm-%s-%d".formatted(alarm.id(), before + 1),
                alarm.kind(),
                Loudness.LOUD,
                AlarmText.raised(
                        alarm.kind(),
                        alarm.subject(),
                        alarm.words(),
                        to.moment(alarm.beganAt(), now),
                        watch.hangs(alarm),
                        path(alarm)),
                path(alarm),
                alarm.id(),
                null);
    }

    private static long count(List<Notice> told, Recipient to) {
        return told.stream()
                .filter(notice -> notice.accountId().equals(Optional.ofNullable(to.accountId())))
                .count();
    }

    /** Those who got nothing of it, and will not: nobody waits for them. */
    private Set<UUID> refused(List<Notice> told) {
        Map<UUID, List<Delivery>> byNotice = told.isEmpty()
                ? Map.of()
                : notices.deliveriesOf(told.stream().map(Notice::id).toList()).stream()
                        .collect(Collectors.groupingBy(Delivery::noticeId));
        Set<UUID> refused = new HashSet<>();
        told.forEach(notice -> notice.accountId().ifPresent(account -> {
            boolean all = byNotice.getOrDefault(notice.id(), List.of()).stream()
                    .allMatch(delivery -> delivery.state() == DeliveryState.REFUSED);
            if (all) {
                refused.add(account);
            } else {
                refused.remove(account);
            }
        }));
        return refused;
    }

    /** Who is told one after another: of the air as the house says, of the house its owners. */
    Escalation plan(Alarm alarm, List<Recipient> everybody, Collection<Recipient> reachable) {
        List<Step> steps = alarm.kind().group() == NoticeGroup.AIR
                ? steps(alarm.chamberId().flatMap(chambers::find).flatMap(Chamber::keeperId), everybody)
                : List.of(new Step(people(everybody, Recipient::owner), Duration.ZERO));
        return Escalation.among(
                steps,
                people(reachable, each -> true),
                alarm.kind().againAfter(),
                alarm.kind().restsFor());
    }

    /**
     * Who is told of the air of a chamber, one after another, whether or not they can be reached.
     *
     * @param keeper of the chamber
     */
    List<Step> steps(Optional<UUID> keeper, List<Recipient> everybody) {
        return settings.house().steps().stream()
                .map(step -> new Step(people(step, keeper, everybody), Duration.ofMinutes(step.afterMinutes())))
                .toList();
    }

    private static Set<UUID> people(AlarmStep step, Optional<UUID> keeper, List<Recipient> everybody) {
        if (step.who() == Who.PERSON && step.personId() != null) {
            return Set.of(step.personId());
        }
        if (step.who() == Who.EVERYBODY) {
            return people(everybody, each -> true);
        }
        return keeper.filter(each -> step.who() == Who.KEEPER)
                .map(Set::of)
                .orElseGet(() -> people(everybody, Recipient::owner));
    }

    private static Set<UUID> people(Collection<Recipient> all, Predicate<Recipient> which) {
        Set<UUID> people = new LinkedHashSet<>();
        all.stream().filter(which).map(Recipient::accountId).forEach(account -> {
            if (account != null) {
                people.add(account);
            }
        });
        return people;
    }

    private void tellOver(Alarm alarm, List<Recipient> everybody) {
        boolean asked = alarm.kind() == NoticeKind.WARM || alarm.kind() == NoticeKind.SILENT;
        tellAgain(
                alarm,
                everybody,
                new Telling(
                        "alarm-%s-over".formatted(alarm.id()),
                        alarm.kind(),
                        Loudness.QUIET,
                        AlarmText.over(
                                alarm.kind(),
                                alarm.subject(),
                                alarm.endWords().orElse(""),
                                asked && alarm.chamberId().isPresent(),
                                alarm.chamberId()
                                        .map(chamber -> "/chambers/" + chamber)
                                        .orElse(path(alarm))),
                        path(alarm),
                        alarm.id(),
                        null));
    }

    /** Whoever was told of an alarm hears how it went on. */
    void tellAgain(Alarm alarm, List<Recipient> everybody, Telling telling) {
        Set<Optional<UUID>> told = notices.ofAlarms(List.of(alarm.id())).stream()
                .map(Notice::accountId)
                .collect(Collectors.toSet());
        everybody.stream()
                .filter(each -> told.contains(Optional.ofNullable(each.accountId())))
                .forEach(each -> writer.tell(each, telling));
    }
}
