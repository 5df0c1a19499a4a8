package elvaro.server.notice;

import elvaro.core.notice.Loudness;
import elvaro.core.notice.NoticeKind;
import elvaro.core.notice.NoticeText;
import elvaro.core.notice.NoticeText.Said;
import elvaro.core.notice.NoticeText.Section;
import elvaro.server.account.AccountService;
import elvaro.server.channel.ChannelKind;
import elvaro.server.notice.Delivery.DeliveryState;
import elvaro.server.notice.NoticeWriter.Telling;
import elvaro.server.notice.Recipient.Way;
import elvaro.server.shared.CurrentWorkshop;
import elvaro.server.shared.Refusal;
import elvaro.server.shared.Role;
import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What was told, how far it got, and what does not get out. */
@Service
@Transactional
public class NoticeLog {
    private static final int NEWEST = 100;
    private static final int MOST_TRIED = 500;
    private static final Duration LOST_LATELY = Duration.ofDays(1);

    private final NoticeRepository notices;
    private final NoticeWriter writer;
    private final NoticeSettings settings;
    private final Recipients recipients;
    private final AccountService accounts;
    private final CurrentWorkshop current;
    private final EntityManager entities;
    private final Clock clock;

    NoticeLog(
            NoticeRepository notices,
            NoticeWriter writer,
            NoticeSettings settings,
            Recipients recipients,
            AccountService accounts,
            CurrentWorkshop current,
            EntityManager entities,
            Clock clock) {
        this.notices = notices;
        this.writer = writer;
        this.settings = settings;
        this.recipients = recipients;
        this.accounts = accounts;
        this.current = current;
        this.entities = entities;
        this.clock = clock;
    }

    /**
     * What somebody was told.
     *
     * @param name of whom; empty for the other program
     */
    public record NoticeView(
            UUID id,
            String name,
            NoticeKind kind,
            String label,
            NoticeText text,
            String path,
            Instant at,
            List<DeliveryView> ways) {}

    /**
     * One way it went.
     *
     * @param name of the way, as of the phone
     * @param at when it was taken or shown; absent until then
     * @param answer of the other side, in words; empty while it was not tried
     */
    public record DeliveryView(
            ChannelKind channel,
            String name,
            DeliveryState state,
            @Nullable Instant at,
            int tries,
            String answer) {}

    /** What was told lately: an owner sees what everybody was, others what they were. */
    @Transactional(readOnly = true)
    public List<NoticeView> lately() {
        boolean owner = accounts.person(current.person().accountId()).role() == Role.OWNER;
        List<Notice> found = owner
                ? notices.newest(Limit.of(NEWEST))
                : notices.newestOf(current.person().accountId(), Limit.of(NEWEST));
        Map<UUID, String> names = accounts.names();
        Map<UUID, List<DeliveryView>> ways = ways(found);
        return found.stream()
                .map(notice -> new NoticeView(
                        notice.id(),
                        notice.accountId().map(names::get).orElse(""),
                        notice.kind(),
                        notice.kind().label(),
                        notice.text(),
                        notice.path(),
                        notice.madeAt(),
                        ways.getOrDefault(notice.id(), List.of())))
                .toList();
    }

    /** How far notices got, by their id. */
    Map<UUID, List<DeliveryView>> ways(List<Notice> asked) {
        if (asked.isEmpty()) {
            return Map.of();
        }
        return notices.deliveriesOf(asked.stream().map(Notice::id).toList()).stream()
                .collect(
                        Collectors.groupingBy(Delivery::noticeId, Collectors.mapping(this::view, Collectors.toList())));
    }

    private DeliveryView view(Delivery delivery) {
        return new DeliveryView(
                delivery.channel(),
                delivery.phoneId()
                        .map(id -> entities.find(Phone.class, id))
                        .map(Phone::name)
                        .orElse(delivery.channel().label()),
                delivery.state(),
                delivery.at().orElse(null),
                delivery.tries(),
                delivery.answer());
    }

    /** What does not get out, in a sentence each: said in the room, since it cannot be said anywhere else. */
    @Transactional(readOnly = true)
    public List<String> stuck() {
        List<String> stuck = new ArrayList<>();
        notices.tried(DeliveryState.WAITING, Limit.of(MOST_TRIED)).stream()
                .collect(Collectors.groupingBy(Delivery::channel))
                .forEach((channel, waiting) -> stuck.add("%s: %s. %s"
                        .formatted(
                                channel.label(),
                                waiting.size() == 1 ? "a message waits" : waiting.size() + " messages wait",
                                waiting.get(waiting.size() - 1).answer())));
        notices.lostSince(clock.instant().minus(LOST_LATELY)).stream()
                .collect(Collectors.groupingBy(Delivery::channel))
                .forEach((channel, lost) -> stuck.add("%s: %s refused since yesterday. %s"
                        .formatted(
                                channel.label(),
                                lost.size() == 1 ? "a message was" : lost.size() + " messages were",
                                lost.get(lost.size() - 1).answer())));
        return stuck;
    }

    /** The phone showed it: said by the phone, which may say so twice. */
    public void shown(String key) {
        UUID me = current.person().accountId();
        notices.newestOf(me, Limit.of(NEWEST)).stream()
                .filter(notice -> notice.key().equals(key))
                .findFirst()
                .ifPresent(notice -> notices.deliveriesOf(List.of(notice.id())).stream()
                        .filter(delivery -> delivery.channel() == ChannelKind.PUSH)
                        .forEach(delivery -> delivery.shown(clock.instant().truncatedTo(ChronoUnit.MICROS))));
    }

    /**
     * Sends a message that says nothing but that it came.
     *
     * @param id of the test; sent again, it is the same test
     * @return the test's notice
     * @throws Refusal if there is no such way to the person who asks
     */
    public UUID test(UUID id, ChannelKind channel) {
        UUID me = current.person().accountId();
        Recipient person = recipients.of(me);
        List<Way> ways = switch (channel) {
            case EMAIL -> mailWay(person);
            case PUSH ->
                settings.phonesOf(me).stream()
                        .map(phone -> new Way(ChannelKind.PUSH, phone.id()))
                        .toList();
            case WEBHOOK ->
                settings.house().hasHook()
                                && accounts.person(current.person().accountId()).role() == Role.OWNER
                        ? List.of(new Way(ChannelKind.WEBHOOK, null))
                        : List.of();
        };
        if (ways.isEmpty()) {
            throw Refusal.conflict("no-way", "There is no such way yet: fill it in and save it first.");
        }
        Notice made = writer.tell(
                person,
                new Telling(
                        "test-" + id,
                        NoticeKind.TEST,
                        Loudness.NORMAL,
                        new NoticeText(
                                "A test from Elvaro",
                                List.of(new Section(
                                        "Test",
                                        List.of(new Said(
                                                "This way works. Nothing needs to be done.",
                                                Optional.of("/reminders")))))),
                        "/reminders",
                        null,
                        null),
                ways);
        return made == null ? id : made.id();
    }

    private List<Way> mailWay(Recipient person) {
        boolean mail = settings.house().hasMail()
                && !settings.choice(accounts.person(java.util.Objects.requireNonNull(person.accountId())))
                        .mail()
                        .isEmpty();
        return mail ? List.of(new Way(ChannelKind.EMAIL, null)) : List.of();
    }
}
