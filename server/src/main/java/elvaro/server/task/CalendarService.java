package elvaro.server.task;

import elvaro.core.schedule.Work;
import elvaro.core.working.Units;
import elvaro.server.account.AccountService;
import elvaro.server.settings.WorkshopService;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.UUID;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.component.VEvent;
import net.fortuna.ical4j.model.property.Description;
import net.fortuna.ical4j.model.property.DtStamp;
import net.fortuna.ical4j.model.property.Location;
import net.fortuna.ical4j.model.property.ProdId;
import net.fortuna.ical4j.model.property.Uid;
import net.fortuna.ical4j.model.property.XProperty;
import net.fortuna.ical4j.model.property.immutable.ImmutableCalScale;
import net.fortuna.ical4j.model.property.immutable.ImmutableVersion;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The work ahead as an iCalendar (RFC 5545): one all-day event a task, named so that a moved one stays the same event. */
@Service
@Transactional(readOnly = true)
public class CalendarService {
    /** As far as anything hangs. */
    private static final int DAYS_AHEAD = 400;

    private final WorkList work;
    private final AccountService people;
    private final WorkshopService workshops;
    private final Clock clock;

    CalendarService(WorkList work, AccountService people, WorkshopService workshops, Clock clock) {
        this.work = work;
        this.people = people;
        this.workshops = workshops;
        this.clock = clock;
    }

    public String write() {
        List<WorkItem> ahead = work.ahead(DAYS_AHEAD);
        Units units = people.units();
        LocalDate today = workshops.today();
        Calendar calendar = new Calendar();
        calendar.add(new ProdId("-//Elvaro//Work ahead//EN"));
        calendar.add(ImmutableVersion.VERSION_2_0);
        calendar.add(ImmutableCalScale.GREGORIAN);
        calendar.add(new XProperty("X-WR-CALNAME", "Elvaro, " + workshops.mine().name()));
        ahead.forEach(item -> calendar.add(event(item, units, today)));
        return calendar.toString();
    }

    private VEvent event(WorkItem item, Units units, LocalDate today) {
        VEvent event = new VEvent(
                item.on(), "%s %s".formatted(item.work().label(), item.subject().tag()));
        event.replace(new DtStamp(clock.instant()));
        event.add(new Uid(uid(item)));
        event.add(
                new Description(units.sentence("%s. %s".formatted(item.subject().name(), item.words(today)))));
        if (item.subject().chamberName() != null) {
            event.add(new Location(item.subject().chamberName()));
        }
        return event;
    }

    /** By the day the plan has it, whatever it says; steps of a treatment have no other name than their words. */
    private static String uid(WorkItem item) {
        String name = "%s-%s-%s"
                .formatted(
                        item.subject().id(), item.work(), item.due().plannedOn().orElse(item.on()));
        // Two events of one chamber and day, or two steps of one piece, are told apart by what they are.
        String apart = item.work() == Work.DECIDE ? item.subject().name() : item.detail();
        boolean alike = item.work() == Work.DECIDE || item.work() == Work.TREAT;
        return (alike
                                ? name + "-"
                                        + UUID.nameUUIDFromBytes(
                                                String.valueOf(apart).getBytes(StandardCharsets.UTF_8))
                                : name)
                        .toLowerCase(Locale.ROOT)
                + "@elvaro";
    }
}
