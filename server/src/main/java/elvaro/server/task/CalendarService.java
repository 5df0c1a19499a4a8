package elvaro.server.task;

import elvaro.core.working.Units;
import elvaro.server.account.AccountService;
import elvaro.server.settings.WorkshopService;
import elvaro.server.task.CalendarRevisions.Revision;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Collectors;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.ParameterList;
import net.fortuna.ical4j.model.component.VAlarm;
import net.fortuna.ical4j.model.component.VEvent;
import net.fortuna.ical4j.model.parameter.Related;
import net.fortuna.ical4j.model.parameter.Value;
import net.fortuna.ical4j.model.property.Description;
import net.fortuna.ical4j.model.property.DtStamp;
import net.fortuna.ical4j.model.property.LastModified;
import net.fortuna.ical4j.model.property.Location;
import net.fortuna.ical4j.model.property.ProdId;
import net.fortuna.ical4j.model.property.RefreshInterval;
import net.fortuna.ical4j.model.property.Sequence;
import net.fortuna.ical4j.model.property.Trigger;
import net.fortuna.ical4j.model.property.Uid;
import net.fortuna.ical4j.model.property.Url;
import net.fortuna.ical4j.model.property.XProperty;
import net.fortuna.ical4j.model.property.immutable.ImmutableAction;
import net.fortuna.ical4j.model.property.immutable.ImmutableCalScale;
import net.fortuna.ical4j.model.property.immutable.ImmutableTransp;
import net.fortuna.ical4j.model.property.immutable.ImmutableVersion;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The work ahead as an iCalendar (RFC 5545): one all-day event a task, named so that a moved one stays the same event. */
@Service
@Transactional
public class CalendarService {
    /** As far as anything hangs. */
    private static final int DAYS_AHEAD = 400;

    private static final Duration REREAD_AFTER = Duration.ofHours(1);
    private static final int LONGEST_LINE = 75;

    private final WorkList work;
    private final AccountService people;
    private final WorkshopService workshops;
    private final CalendarRevisions revisions;

    CalendarService(WorkList work, AccountService people, WorkshopService workshops, CalendarRevisions revisions) {
        this.work = work;
        this.people = people;
        this.workshops = workshops;
        this.revisions = revisions;
    }

    /**
     * Past work stands on today until it is done.
     *
     * @param address of the house, for the way back
     */
    public String write(String address) {
        LocalDate today = workshops.today();
        Map<String, WorkItem> ahead = work.ahead(DAYS_AHEAD).stream()
                .collect(Collectors.toMap(
                        item -> item.name() + "@elvaro", item -> item, (first, second) -> first, LinkedHashMap::new));
        Map<String, String> contents = new LinkedHashMap<>();
        ahead.forEach((uid, item) -> contents.put(uid, content(item, today)));
        Map<String, Revision> told = revisions.tell(contents);
        Units units = people.units();
        Calendar calendar = new Calendar();
        calendar.add(new ProdId("-//Elvaro//Work ahead//EN"));
        calendar.add(ImmutableVersion.VERSION_2_0);
        calendar.add(ImmutableCalScale.GREGORIAN);
        calendar.add(new XProperty("X-WR-CALNAME", "Elvaro, " + workshops.mine().name()));
        calendar.add(new RefreshInterval(new ParameterList(List.of(Value.DURATION)), REREAD_AFTER));
        calendar.add(new XProperty("X-PUBLISHED-TTL", REREAD_AFTER.toString()));
        ahead.forEach((uid, item) -> calendar.add(event(uid, item, today, units, told.get(uid), address)));
        return folded(calendar.toString());
    }

    /** What an event says, in no person's units: of two people's calendars neither is the newer. */
    private static String content(WorkItem item, LocalDate today) {
        return String.join(
                "\n", item.due().standsOn(today).toString(), title(item), description(item, today), place(item));
    }

    private static VEvent event(
            String uid, WorkItem item, LocalDate today, Units units, Revision told, String address) {
        VEvent event = new VEvent(item.due().standsOn(today), title(item));
        event.replace(new DtStamp(told.modifiedAt()));
        event.add(new Uid(uid));
        event.add(new Sequence(told.sequence()));
        event.add(new LastModified(told.modifiedAt()));
        event.add(ImmutableTransp.TRANSPARENT); // A day on which something is to be turned is not a day that is taken.
        event.add(new Description(units.sentence(description(item, today))));
        event.add(new Url(URI.create(address + item.at())));
        if (!place(item).isEmpty()) {
            event.add(new Location(place(item)));
        }
        item.work().reminders().forEach(before -> event.add(alarm(before, title(item))));
        return event;
    }

    private static VAlarm alarm(Duration fromMidnight, String title) {
        VAlarm alarm = new VAlarm();
        alarm.add(new Trigger(new ParameterList(List.of(Related.START)), fromMidnight));
        alarm.add(ImmutableAction.DISPLAY);
        alarm.add(new Description(title));
        return alarm;
    }

    private static String title(WorkItem item) {
        return "%s %s".formatted(item.work().label(), item.subject().tag());
    }

    /** As it is said on the day the event stands on. */
    private static String description(WorkItem item, LocalDate today) {
        return "%s. %s".formatted(item.subject().name(), item.words(item.due().standsOn(today)));
    }

    private static String place(WorkItem item) {
        return Objects.requireNonNullElse(item.subject().chamberName(), "");
    }

    /** RFC 5545, 3.1: no line is longer than 75 octets; libraries count characters. */
    static String folded(String text) {
        StringBuilder folded = new StringBuilder();
        int octets = 0;
        for (int at = 0; at < text.length(); at = text.offsetByCodePoints(at, 1)) {
            String character = Character.toString(text.codePointAt(at));
            int wide = character.getBytes(StandardCharsets.UTF_8).length;
            boolean ends = character.equals("\r") || character.equals("\n");
            if (!ends && octets + wide > LONGEST_LINE) {
                folded.append("\r\n ");
                octets = 1;
            }
            folded.append(character);
            octets = ends ? 0 : octets + wide;
        }
        return folded.toString();
    }
}
