package elvaro.core.schedule;

import static org.assertj.core.api.Assertions.assertThat;

import elvaro.core.drying.Coating;
import elvaro.core.drying.Method;
import elvaro.core.schedule.Agenda.Decision;
import elvaro.core.schedule.Agenda.Verdict;
import elvaro.core.schedule.Due.Work;
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

    private static Agenda agenda(Integer weighedOn, Decision... decisions) {
        Map<Work, LocalDate> last = weighedOn == null ? Map.of() : Map.of(Work.WEIGH, HUNG.plusDays(weighedOn));
        return Agenda.of(new Care(Method.OPEN_AIR, Coating.NONE), HUNG, 28, List.of(decisions), last);
    }

    private static Decision decided(Work work, int plannedOn, Verdict verdict, Integer movedTo) {
        return new Decision(
                work,
                HUNG.plusDays(plannedOn),
                verdict,
                Optional.ofNullable(movedTo).map(HUNG::plusDays));
    }

    private static Optional<Long> due(Agenda agenda, Work work, int day) {
        return agenda.due(HUNG.plusDays(day)).stream()
                .filter(due -> due.work() == work)
                .map(Due::days)
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
    void looking_is_due_weekly_and_the_last_week_stands_for_the_ones_before() {
        assertThat(due(agenda(21), Work.LOOK, 23)).contains(2L);
        Decision looked = decided(Work.LOOK, 21, Verdict.DONE, null);
        assertThat(due(agenda(21, looked), Work.LOOK, 23)).isEmpty();
        assertThat(due(agenda(21, decided(Work.LOOK, 14, Verdict.DONE, null)), Work.LOOK, 23))
                .contains(2L);
    }

    @Test
    void a_task_that_was_moved_is_due_on_its_new_day_and_keeps_its_name() {
        Agenda moved = agenda(7, decided(Work.TURN, 7, Verdict.MOVED, 10));
        assertThat(due(moved, Work.TURN, 9)).isEmpty();
        assertThat(due(moved, Work.TURN, 11)).contains(1L);
        assertThat(moved.named(Work.TURN, HUNG.plusDays(7)).orElseThrow().on()).isEqualTo(HUNG.plusDays(10));
    }

    @Test
    void the_last_word_about_a_task_counts() {
        Decision skipped = decided(Work.TURN, 7, Verdict.SKIPPED, null);
        Decision moved = decided(Work.TURN, 7, Verdict.MOVED, 12);
        assertThat(due(agenda(7, skipped), Work.TURN, 13)).isEmpty();
        assertThat(due(agenda(7, skipped, moved), Work.TURN, 13)).contains(1L);
        assertThat(due(agenda(7, moved, skipped), Work.TURN, 13)).isEmpty();
    }

    @Test
    void what_lies_ahead_is_what_is_not_done() {
        Agenda agenda = agenda(14, decided(Work.LOOK, 21, Verdict.SKIPPED, null));
        assertThat(agenda.between(HUNG.plusDays(14), HUNG.plusDays(28)))
                .extracting(Agenda.Item::work)
                .containsExactly(Work.LOOK, Work.WEIGH, Work.PULL);
    }

    @Test
    void the_longest_overdue_pull_comes_first_and_looking_last() {
        List<Due> due = List.of(
                new Due(Work.LOOK, 30, Optional.empty()),
                new Due(Work.WEIGH, 9, Optional.empty()),
                new Due(Work.PULL, 0, Optional.empty()),
                new Due(Work.PULL_OVERDUE, 2, Optional.empty()),
                new Due(Work.PULL_OVERDUE, 40, Optional.empty()));
        assertThat(due.stream().sorted(Due.BY_URGENCY).map(Due::days)).containsExactly(40L, 2L, 0L, 9L, 30L);
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
