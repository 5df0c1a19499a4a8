package elvaro.server.task;

import elvaro.server.settings.HouseAddress;
import elvaro.server.settings.WorkshopService;
import elvaro.server.shared.Sha256;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.UUID;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
class TaskController {
    private static final String CALENDAR = "text/calendar;charset=UTF-8";

    private final WorkshopService workshops;
    private final WorkList work;
    private final TaskService tasks;
    private final CalendarService calendar;
    private final CalendarFeeds feeds;
    private final HouseAddress address;

    TaskController(
            WorkshopService workshops,
            WorkList work,
            TaskService tasks,
            CalendarService calendar,
            CalendarFeeds feeds,
            HouseAddress address) {
        this.workshops = workshops;
        this.work = work;
        this.tasks = tasks;
        this.calendar = calendar;
        this.feeds = feeds;
        this.address = address;
    }

    /** Whether the person has a calendar address, and it, right after it was made: it is not kept and not shown again. */
    record FeedView(boolean made, String path) {}

    @GetMapping("/api/tasks")
    List<WorkView> ahead(
            @RequestParam(defaultValue = "14") @Min(0) @Max(value = 400, message = "At most 400 days ahead.")
                    int days) {
        LocalDate today = workshops.today();
        return work.ahead(days).stream()
                .sorted(Comparator.comparing(WorkItem::on)) // stable: by urgency within a day
                .map(item -> WorkView.of(item, today))
                .toList();
    }

    /** What comes next for a piece. */
    @GetMapping("/api/pieces/{id}/next")
    List<WorkView> next(@PathVariable UUID id) {
        LocalDate today = workshops.today();
        return work.next(id).stream().map(item -> WorkView.of(item, today)).toList();
    }

    /** Keeps what somebody decided about a task; sent again, it is kept once. */
    @PutMapping("/api/tasks/{id}")
    @ResponseStatus(org.springframework.http.HttpStatus.NO_CONTENT)
    void decide(@PathVariable UUID id, @RequestBody @Valid DecisionForm form) {
        tasks.decide(id, form);
    }

    @GetMapping("/api/me/calendar")
    FeedView feed() {
        return new FeedView(feeds.isMade(), "");
    }

    /** Makes a new address; an older one stops working. */
    @PostMapping("/api/me/calendar")
    FeedView makeFeed() {
        return new FeedView(true, "/calendar/" + feeds.make() + ".ics");
    }

    @DeleteMapping("/api/me/calendar")
    FeedView revokeFeed() {
        feeds.revoke();
        return new FeedView(false, "");
    }

    /** The calendar as a file. */
    @GetMapping("/api/calendar.ics")
    ResponseEntity<String> file() {
        return answer(calendar.write(address.now()));
    }

    /** The calendar for a program that subscribes to it: whoever knows the address reads it. */
    @GetMapping("/calendar/{token}.ics")
    ResponseEntity<String> subscribed(@PathVariable String token) {
        return answer(feeds.asOwner(token, () -> calendar.write(address.now())));
    }

    /** With a name for what it says: a program that has read it already is told so in a word (304). */
    private static ResponseEntity<String> answer(String text) {
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_TYPE, CALENDAR)
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"elvaro.ics\"")
                .header(HttpHeaders.CACHE_CONTROL, "private, no-cache")
                .eTag(Sha256.of(text.getBytes(StandardCharsets.UTF_8)))
                .body(text);
    }
}
