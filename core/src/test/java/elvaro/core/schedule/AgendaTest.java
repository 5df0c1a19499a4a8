package elvaro.core.schedule;

import static elvaro.core.working.Units.PLAIN;
import static org.assertj.core.api.Assertions.assertThat;

import elvaro.core.drying.Coating;
import elvaro.core.drying.Method;
import elvaro.core.schedule.Agenda.AgendaDecision;
import elvaro.core.schedule.Agenda.TaskVerdict;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Weighing days 1, 3, 7 and then weekly, turning on day 7, looking weekly: common practice, no source. */
class AgendaTest {
    private static final LocalDate HUNG = LocalDate.of(2026, 2, 27);

    private static Agenda agenda(Integer weighedOn, AgendaDecision... decisions) {
        Map<Work, LocalDate> last = weighedOn == null ? Map.of() : Map.of(Work.WEIGH, HUNG.plusDays(weighedOn));
        return Agenda.of(new Care(Method.OPEN_AIR, Coating.NONE), HUNG, 28, List.of(decisions), last);
    }

    private static AgendaDecision decided(Work work, int plannedOn, TaskVerdict verdict, Integer movedTo) {
        return new AgendaDecision(
                work,
                HUNG.plusDays(plannedOn),
                verdict,
                Optional.ofNullable(movedTo).map(HUNG::plusDays));
    }

    private static Optional<Long> due(Agenda agenda, Work work, int day) {
        return agenda.due(HUNG.plusDays(day)).stream()
                .filter(due -> due.work() == work)
                .map(due -> due.days(HUNG.plusDays(day)))
                .findFirst();
    }

    @ParameterizedTest(name = "day {0}, last weighed on day {1}: due for {2} days")
    @CsvSource({
        "0, , ",
        "1, , 0",
        "2, , 1",
        "2, 1, ",
        "3, 1, 0",
        "6, 3, ",
        "7, 3, 0",
        "9, 3, 2",
        "13, 7, ",
        "14, 13, 0",
        "27, 14, 6",
        "27, 21, "
    })
    void a_weighing_is_due_on_its_day_until_it_is_done(int day, Integer weighedOn, Long dueFor) {
        assertThat(due(agenda(weighedOn), Work.WEIGH, day)).isEqualTo(Optional.ofNullable(dueFor));
    }

    @ParameterizedTest(name = "target 28, day {0}: {1}")
    @CsvSource({"28, PULL", "29, PULL_OVERDUE", "90, PULL_OVERDUE"})
    void a_pull_that_is_due_is_the_only_thing_due(int day, Work work) {
        assertThat(agenda(null).due(HUNG.plusDays(day))).extracting(Due::work).containsExactly(work);
    }

    @Test
    void what_hangs_whole_by_its_hocks_or_tail_is_not_turned() {
        Care whole = new Care(Method.OPEN_AIR, Coating.HIDE, true, Care.USUAL_ICE_DAYS);
        assertThat(Task.of(whole, HUNG, 14))
                .extracting(Task::work)
                .contains(Work.LOOK)
                .doesNotContain(Work.TURN);
    }

    @Test
    void looking_is_due_weekly_and_the_last_week_stands_for_the_ones_before() {
        assertThat(due(agenda(21), Work.LOOK, 23)).contains(2L);
        AgendaDecision looked = decided(Work.LOOK, 21, TaskVerdict.DONE, null);
        assertThat(due(agenda(21, looked), Work.LOOK, 23)).isEmpty();
        assertThat(due(agenda(21, decided(Work.LOOK, 14, TaskVerdict.DONE, null)), Work.LOOK, 23))
                .contains(2L);
    }

    @Test
    void a_task_that_was_moved_is_due_on_its_new_day_and_keeps_its_name() {
        Agenda moved = agenda(7, decided(Work.TURN, 7, TaskVerdict.MOVED, 10));
        assertThat(due(moved, Work.TURN, 9)).isEmpty();
        assertThat(due(moved, Work.TURN, 11)).contains(1L);
        assertThat(moved.named(Work.TURN, HUNG.plusDays(7)).orElseThrow().on()).isEqualTo(HUNG.plusDays(10));
    }

    @Test
    void the_last_word_about_a_task_counts() {
        AgendaDecision skipped = decided(Work.TURN, 7, TaskVerdict.SKIPPED, null);
        AgendaDecision moved = decided(Work.TURN, 7, TaskVerdict.MOVED, 12);
        assertThat(due(agenda(7, skipped), Work.TURN, 13)).isEmpty();
        assertThat(due(agenda(7, skipped, moved), Work.TURN, 13)).contains(1L);
        assertThat(due(agenda(7, moved, skipped), Work.TURN, 13)).isEmpty();
    }

    @Test
    void what_lies_ahead_is_what_is_not_done() {
        Agenda agenda = agenda(14, decided(Work.LOOK, 21, TaskVerdict.SKIPPED, null));
        assertThat(agenda.between(HUNG.plusDays(14), HUNG.plusDays(28)))
                .extracting(Agenda.Item::work)
                .containsExactly(Work.LOOK, Work.WEIGH, Work.PULL);
    }

    @Test
    void the_longest_overdue_pull_comes_first_and_looking_last() {
        List<Due> due = List.of(
                Due.since(Work.LOOK, HUNG.minusDays(30)),
                Due.since(Work.WEIGH, HUNG.minusDays(9)),
                Due.since(Work.PULL, HUNG),
                Due.since(Work.PULL_OVERDUE, HUNG.minusDays(2)),
                Due.since(Work.PULL_OVERDUE, HUNG.minusDays(40)));
        assertThat(due.stream().sorted(Due.BY_URGENCY).map(each -> each.days(HUNG)))
                .containsExactly(40L, 2L, 0L, 9L, 30L);
    }

    @Test
    void what_a_look_made_due_and_the_plan_asks_for_anyway_stands_once() {
        LocalDate today = HUNG.plusDays(8);
        List<Due> made = List.of(Due.since(Work.TURN, today), Due.since(Work.RESEAL, today));
        List<Due> open = agenda(7).open(today, today.plusDays(14), made);
        assertThat(open.stream().filter(due -> !due.on().isAfter(today)).map(Due::work))
                .containsExactlyInAnyOrder(Work.TURN, Work.LOOK, Work.RESEAL);
        assertThat(open)
                .filteredOn(due -> due.work() == Work.LOOK)
                .extracting(Due::on)
                .doesNotHaveDuplicates();
    }

    /** A piece nobody turned for weeks has its crust; it is not asked about for ever. */
    @ParameterizedTest(name = "day {0}: turning is asked for: {1}")
    @CsvSource({"7, true", "21, true", "22, false", "60, false"})
    void turning_lapses_once_it_lost_its_point(int day, boolean asked) {
        Agenda longStay = Agenda.of(new Care(Method.OPEN_AIR, Coating.NONE), HUNG, 90, List.of(), Map.of());
        LocalDate today = HUNG.plusDays(day);
        assertThat(longStay.open(today, today, List.of()).stream().anyMatch(due -> due.work() == Work.TURN))
                .isEqualTo(asked);
    }

    @ParameterizedTest(name = "{0} due for {1} days reads \"{2}\"")
    @CsvSource(delimiter = '|', textBlock = """
                    PULL_OVERDUE | 1  | 1 day past its target
                    PULL_OVERDUE | 40 | 40 days past its target
                    PULL         | 0  | its day is today
                    CUT          | 0  | pulled today
                    CUT          | 3  | pulled 3 days ago
                    HANG         | 1  | came 1 day ago
                    WEIGH        | 0  | weigh it today
                    WEIGH        | 2  | to be weighed, 2 days late
                    BUY          | -2 | to hang in 2 days
                    BUY          | 0  | to hang today
                    BUY          | 1  | 1 day late
                    TURN         | 0  | turn it today
                    LOOK         | 0  | look and smell today
                    LOOK         | 3  | to be looked at, 3 days late
                    CHANGE_ICE   | 0  | drain, fresh ice
                    CHANGE_ICE   | 2  | drain, fresh ice, 2 days late
                    DECIDE       | 2  | a silence, 2 days ago
                    """)
    void work_says_since_when_it_is_due(Work work, long days, String words) {
        assertThat(PLAIN.sentence(work.words(days, "a silence", null))).isEqualTo(words);
    }

    @Test
    void a_sugar_coat_is_looked_at_every_three_days() {
        Agenda honey = Agenda.of(new Care(Method.OPEN_AIR, Coating.SYRUP), HUNG, 10, List.of(), Map.of());
        assertThat(honey.tasks())
                .filteredOn(item -> item.work() == Work.LOOK)
                .extracting(Agenda.Item::on)
                .containsExactly(HUNG.plusDays(3), HUNG.plusDays(6), HUNG.plusDays(9));
    }
}
