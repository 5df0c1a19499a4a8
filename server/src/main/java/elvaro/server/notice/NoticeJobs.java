package elvaro.server.notice;

import elvaro.server.channel.ChannelKind;
import elvaro.server.channel.Sent.Fate;
import elvaro.server.shared.CurrentWorkshop;
import elvaro.server.shared.Role;
import elvaro.server.shared.SignedIn;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.function.Supplier;
import javax.sql.DataSource;
import net.javacrumbs.shedlock.core.LockProvider;
import net.javacrumbs.shedlock.provider.jdbctemplate.JdbcTemplateLockProvider;
import net.javacrumbs.shedlock.spring.annotation.EnableSchedulerLock;
import net.javacrumbs.shedlock.spring.annotation.SchedulerLock;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.context.event.EventListener;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/**
 * Looks and sends by itself, on one of however many nodes there are. A house that was only restored to be looked at tells
 * nobody anything.
 */
@Component
class NoticeJobs {
    private static final Logger LOG = LoggerFactory.getLogger(NoticeJobs.class);

    /** Longer than sending one takes at worst; who died with it holds it back for so long. */
    private static final Duration TAKEN_FOR = Duration.ofSeconds(45);

    private static final Duration LONGEST_PAUSE = Duration.ofHours(2);
    private static final int AT_ONCE = 50;
    private static final int KEPT_DAYS = 180;

    private final NoticeEngine engine;
    private final Outbox outbox;
    private final CurrentWorkshop current;
    private final JdbcClient database;
    private final Clock clock;
    private final boolean onlyLookedAt;
    private volatile boolean isOpen;

    NoticeJobs(
            NoticeEngine engine,
            Outbox outbox,
            CurrentWorkshop current,
            JdbcClient database,
            Clock clock,
            @Value("${elvaro.check}") boolean onlyLookedAt) {
        this.engine = engine;
        this.outbox = outbox;
        this.current = current;
        this.database = database;
        this.clock = clock;
        this.onlyLookedAt = onlyLookedAt;
    }

    @Configuration
    @EnableSchedulerLock(defaultLockAtMostFor = "PT2M")
    static class Locks {
        /** By the clock of the database: those of several nodes differ. */
        @Bean
        LockProvider lockProvider(DataSource source) {
            return new JdbcTemplateLockProvider(JdbcTemplateLockProvider.Configuration.builder()
                    .withJdbcTemplate(new JdbcTemplate(source))
                    .usingDbTime()
                    .build());
        }
    }

    /** Until a house is filled or taken over nobody looks at it: half of it would be told, and the other half would wait. */
    @EventListener(ApplicationReadyEvent.class)
    void open() {
        isOpen = !onlyLookedAt;
    }

    @Scheduled(initialDelayString = "${elvaro.notices-from}", fixedDelayString = "PT3S")
    @SchedulerLock(name = "notice-look", lockAtMostFor = "PT30S")
    void look() {
        if (!isOpen) {
            return;
        }
        houses().forEach(owner -> as(owner, () -> {
            if (engine.airIsDue()) {
                engine.lookAtTheAir();
            }
            if (engine.workIsDue()) {
                engine.lookAtTheWork();
            }
            return true;
        }));
    }

    /** Each house, as one of its owners. */
    private List<SignedIn> houses() {
        return database.sql(
                        "select workshop_id, min(id) from account where role = 'OWNER' and active group by workshop_id")
                .query((row, number) -> new SignedIn(
                        UUID.fromString(row.getString(2)), UUID.fromString(row.getString(1)), Role.OWNER, true, null))
                .list();
    }

    private void as(SignedIn person, Supplier<Boolean> work) {
        current.actingAs(person, () -> {
            try {
                return work.get();
            } catch (RuntimeException failure) {
                engine.lookAgain();
                LOG.warn("Looking what is to be told failed in {}: {}", person.workshopId(), failure.toString());
                return false;
            }
        });
    }

    @Scheduled(initialDelayString = "${elvaro.notices-from}", fixedDelayString = "PT2S")
    void sendMail() {
        send(ChannelKind.EMAIL);
    }

    @Scheduled(initialDelayString = "${elvaro.notices-from}", fixedDelayString = "PT2S")
    void push() {
        send(ChannelKind.PUSH);
    }

    @Scheduled(initialDelayString = "${elvaro.notices-from}", fixedDelayString = "PT2S")
    void callPrograms() {
        send(ChannelKind.WEBHOOK);
    }

    private record Waiting(UUID id, SignedIn person) {}

    /** What waits on one way; a house whose mail server is away does not hold up the others. */
    private void send(ChannelKind channel) {
        if (!isOpen) {
            return;
        }
        Set<UUID> away = new HashSet<>();
        for (Waiting each : waiting(channel)) {
            if (away.contains(each.person.workshopId()) || !take(each.id)) {
                continue;
            }
            boolean failed = current.actingAs(each.person, () -> {
                try {
                    return outbox.send(each.id) == Fate.FAILED;
                } catch (RuntimeException failure) {
                    LOG.warn("Sending {} failed: {}", each.id, failure.toString());
                    return true;
                }
            });
            if (failed && channel != ChannelKind.PUSH) {
                away.add(each.person.workshopId());
            }
        }
    }

    private List<Waiting> waiting(ChannelKind channel) {
        return database.sql("""
                        select d.id, d.workshop_id, min(a.id) from delivery d
                        join account a on a.workshop_id = d.workshop_id and a.role = 'OWNER' and a.active
                        where d.state = 'WAITING' and d.channel = ? and (d.next_try_at <= ? or d.next_try_at > ?)
                        and (d.claimed_until is null or d.claimed_until < utc_timestamp(6))
                        group by d.id, d.workshop_id, d.urgent, d.next_try_at
                        order by d.urgent desc, d.next_try_at limit ?""")
                .params(
                        channel.name(),
                        utc(clock.instant()),
                        utc(clock.instant().plus(LONGEST_PAUSE)), // later than any pause: a clock was wrong
                        AT_ONCE)
                .query((row, number) -> new Waiting(
                        UUID.fromString(row.getString(1)),
                        new SignedIn(
                                UUID.fromString(row.getString(3)),
                                UUID.fromString(row.getString(2)),
                                Role.OWNER,
                                true,
                                null)))
                .list();
    }

    /** One of several nodes gets it, by the clock of the database: theirs differ. */
    private boolean take(UUID delivery) {
        return database.sql(
                                "update delivery set claimed_until = utc_timestamp(6) + interval ? second where id = ?"
                                        + " and state = 'WAITING' and (claimed_until is null or claimed_until < utc_timestamp(6))")
                        .params(TAKEN_FOR.toSeconds(), delivery)
                        .update()
                == 1;
    }

    /** What was told half a year ago nobody looks up. */
    @Scheduled(initialDelayString = "PT10M", fixedDelayString = "PT12H")
    @SchedulerLock(name = "notice-forget", lockAtMostFor = "PT10M")
    void forget() {
        if (!isOpen) {
            return;
        }
        database.sql("delete from notice where made_at < ? order by made_at limit 10000")
                .param(utc(clock.instant().minus(Duration.ofDays(KEPT_DAYS))))
                .update();
    }

    private static LocalDateTime utc(Instant at) {
        return LocalDateTime.ofInstant(at, ZoneOffset.UTC);
    }
}
