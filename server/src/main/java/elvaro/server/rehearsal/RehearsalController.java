package elvaro.server.rehearsal;

import elvaro.core.rehearsal.Claim;
import elvaro.core.rehearsal.Deed;
import elvaro.core.rehearsal.Heap;
import elvaro.core.rehearsal.RehearsalLesson;
import elvaro.core.rehearsal.Replay.Choice;
import elvaro.core.rehearsal.Replay.ChoiceKind;
import elvaro.core.yield.Closeness;
import elvaro.server.account.HouseDoor;
import elvaro.server.rehearsal.RehearsalForm.FreePlan;
import elvaro.server.rehearsal.RehearsalPlay.DaysPassed;
import elvaro.server.rehearsal.RehearsalPlay.RoomSeen;
import elvaro.server.rehearsal.RehearsalView.ReplayView;
import elvaro.server.shared.Refusal;
import elvaro.server.shared.SignedIn;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
class RehearsalController {
    private final RehearsalHouses houses;
    private final RehearsalCourse course;
    private final PlanRuns runs;
    private final RehearsalPlay play;
    private final RehearsalAsking asking;
    private final HouseDoor door;

    RehearsalController(
            RehearsalHouses houses,
            RehearsalCourse course,
            PlanRuns runs,
            RehearsalPlay play,
            RehearsalAsking asking,
            HouseDoor door) {
        this.houses = houses;
        this.course = course;
        this.runs = runs;
        this.play = play;
        this.asking = asking;
        this.door = door;
    }

    /** @param shownDay the day the screen shows, so that days sent again go by once */
    record DaysForm(
            @NotNull
            @Min(value = 1, message = "At least one day.")
            @Max(value = 30, message = "At most 30 days at once.")
            Integer days,

            @NotNull Integer shownDay) {}

    /** @param heap absent for the piece itself */
    record ScaleForm(@Nullable Heap heap) {}

    record AskedForm(
            @NotNull @Size(max = 30, message = "Those are more lessons than there are.")
            Set<@NotNull RehearsalLesson> lessons) {}

    /**
     * @param day for what is pulled or done on a day
     * @param deed for what is done, or never
     * @param closeness for how close is cut
     */
    record ReplayForm(
            @NotNull(message = "Say what is chosen otherwise.")
            ChoiceKind kind,

            @Nullable @Min(value = 1, message = "At least one day.") @Max(value = 200, message = "At most 200 days.")
            Integer day,

            Deed.@Nullable Kind deed,
            @Nullable Closeness closeness) {
        Choice choice() {
            try {
                return new Choice(kind, day, deed, closeness);
            } catch (IllegalArgumentException lacking) {
                throw Refusal.wrong("invalid", "kind", "Say what is chosen, and for which day.");
            }
        }
    }

    record ClaimForm(
            @NotNull(message = "Say what it shows.") Claim claim) {}

    /** The lessons, what is running, and for the owner who passed what. */
    @GetMapping("/api/rehearsals")
    CourseView course(@AuthenticationPrincipal SignedIn person) {
        return course.course(
                person.getAuthorities().stream().anyMatch(each -> "ROLE_OWNER".equals(each.getAuthority())));
    }

    /** What somebody is to pass before they work alone. */
    @PreAuthorize("hasRole('OWNER')")
    @PutMapping("/api/people/{id}/lessons")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void ask(@PathVariable UUID id, @RequestBody @Valid AskedForm form) {
        course.ask(id, form.lessons());
    }

    /** A plan let run twenty times. */
    @PostMapping("/api/rehearsals/runs")
    RunsView runs(@RequestBody @Valid FreePlan plan) {
        return runs.runs(plan);
    }

    @PutMapping("/api/rehearsals/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void begin(@PathVariable UUID id, @RequestBody @Valid RehearsalForm form) {
        houses.begin(id, form);
    }

    /** From here on all that is sent is the rehearsal's, until it is left. */
    @PostMapping("/api/rehearsals/{id}/enter")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void enter(@PathVariable UUID id, HttpServletRequest request, HttpServletResponse response) {
        door.goIn(houses.inside(id), request, response);
    }

    @PostMapping("/api/rehearsal/leave")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void leave(@AuthenticationPrincipal SignedIn person, HttpServletRequest request, HttpServletResponse response) {
        door.goOut(person, request, response);
    }

    /** The rehearsal one is in. */
    @GetMapping("/api/rehearsal")
    RehearsalView view() {
        return play.view();
    }

    @PostMapping("/api/rehearsal/days")
    DaysPassed pass(@RequestBody @Valid DaysForm form) {
        return play.pass(form.days(), form.shownDay());
    }

    /** What lies on the scale; it shows for a few seconds, as a scale does that is asked again and again. */
    @PostMapping("/api/rehearsal/scale")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void weigh(@RequestBody @Valid ScaleForm form) {
        play.weigh(form.heap());
    }

    @PostMapping("/api/rehearsal/scale/clear")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void clear() {
        play.clearScale();
    }

    @PutMapping("/api/rehearsal/room/{id}")
    RoomSeen seeToTheRoom(@PathVariable UUID id) {
        return play.seeToTheRoom(id);
    }

    /** Every taster at an open table eats and fills the sheets in. */
    @PostMapping("/api/rehearsal/tasters")
    RehearsalView tasters() {
        asking.tastersAnswer();
        return play.view();
    }

    /** A hand sees all that hangs through, to the bench. */
    @PostMapping("/api/rehearsal/hand")
    RehearsalView hand() {
        asking.handWorks();
        return play.view();
    }

    /** Says what a table or a trial showed, which ends the lesson. */
    @PostMapping("/api/rehearsal/claim")
    RehearsalView claim(@RequestBody @Valid ClaimForm form) {
        asking.says(form.claim());
        return play.view();
    }

    /** The same piece with one choice made otherwise; nothing of it is kept. */
    @PostMapping("/api/rehearsal/replay")
    ReplayView replay(@RequestBody @Valid ReplayForm form) {
        return play.replay(form.choice());
    }

    @PostMapping("/api/rehearsal/end")
    RehearsalView end() {
        play.end();
        return play.view();
    }
}
