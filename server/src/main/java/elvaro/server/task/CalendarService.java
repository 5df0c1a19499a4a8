package elvaro.server.task;

import elvaro.core.schedule.Due.Work;
import elvaro.server.settings.WorkshopService;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
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

    private final TaskService tasks;
    private final WorkshopService workshops;
    private final Clock clock;

    CalendarService(TaskService tasks, WorkshopService workshops, Clock clock) {
        this.tasks = tasks;
        this.workshops = workshops;
        this.clock = clock;
    }

    public String write() {
        List<TaskView> ahead = tasks.ahead(DAYS_AHEAD);
        Calendar calendar = new Calendar();
        calendar.add(new ProdId("-//Elvaro//Work ahead//EN"));
        calendar.add(ImmutableVersion.VERSION_2_0);
        calendar.add(ImmutableCalScale.GREGORIAN);
        calendar.add(new XProperty("X-WR-CALNAME", "Elvaro, " + workshops.mine().name()));
        ahead.forEach(task -> calendar.add(event(task)));
        return calendar.toString();
    }

    private VEvent event(TaskView task) {
        VEvent event = new VEvent(task.on(), summary(task));
        event.replace(new DtStamp(clock.instant()));
        event.add(new Uid(uid(task)));
        event.add(new Description(
                task.words() == null ? task.cutName() : "%s. %s".formatted(task.cutName(), task.words())));
        if (task.chamberName() != null) {
            event.add(new Location(task.chamberName()));
        }
        return event;
    }

    private static String summary(TaskView task) {
        String word = task.work().name().replace('_', ' ').toLowerCase(Locale.ROOT);
        String capital = word.substring(0, 1).toUpperCase(Locale.ROOT) + word.substring(1);
        return task.work() == Work.BUY ? "Buy and hang: " + task.tag() : capital + " " + task.tag();
    }

    private static String uid(TaskView task) {
        String name;
        if (task.planId() != null) {
            name = task.planId().toString();
        } else if (task.pieceId() != null) {
            name = "%s-%s-%s".formatted(task.pieceId(), task.work(), named(task));
        } else {
            // Two events of one chamber and day are told apart by what they are.
            String event = "%s %s %s %s".formatted(task.tag(), task.work(), task.on(), task.cutName());
            name = UUID.nameUUIDFromBytes(event.getBytes(StandardCharsets.UTF_8))
                    .toString();
        }
        return name.toLowerCase(Locale.ROOT) + "@elvaro";
    }

    /** By the day the plan has it, whatever it says; steps of a treatment have no other name than their words. */
    private static String named(TaskView task) {
        if (task.plannedOn() != null || task.words() == null) {
            return String.valueOf(task.plannedOn() == null ? task.on() : task.plannedOn());
        }
        return UUID.nameUUIDFromBytes((task.on() + task.words()).getBytes(StandardCharsets.UTF_8))
                .toString();
    }
}
