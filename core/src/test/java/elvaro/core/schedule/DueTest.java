package elvaro.core.schedule;

import static org.assertj.core.api.Assertions.assertThat;

import elvaro.core.schedule.Due.Work;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Weighing days 1, 3, 7 and then weekly: common practice, no source. */
class DueTest {
    private static final LocalDate HUNG = LocalDate.of(2026, 2, 27);

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
        "30, 14, 2",
        "30, 29, "
    })
    void a_weighing_is_due_on_its_day_until_it_is_done(int day, Integer weighedOn, Long dueFor) {
        Optional<LocalDate> last = Optional.ofNullable(weighedOn).map(HUNG::plusDays);
        assertThat(Due.weigh(HUNG, last, HUNG.plusDays(day)).map(Due::days)).isEqualTo(Optional.ofNullable(dueFor));
    }

    @ParameterizedTest(name = "target 28, day {0}: {1}")
    @CsvSource({"27, ", "28, PULL", "29, PULL_OVERDUE", "90, PULL_OVERDUE"})
    void a_pull_is_due_on_the_day_and_overdue_after(int day, Work work) {
        assertThat(Due.pull(HUNG, 28, HUNG.plusDays(day)).map(Due::work)).isEqualTo(Optional.ofNullable(work));
    }

    @Test
    void the_longest_overdue_pull_comes_first_and_weighings_last() {
        List<Due> due = List.of(
                new Due(Work.WEIGH, 9),
                new Due(Work.PULL, 0),
                new Due(Work.PULL_OVERDUE, 2),
                new Due(Work.PULL_OVERDUE, 40));
        assertThat(due.stream().sorted(Due.BY_URGENCY).map(Due::days)).containsExactly(40L, 2L, 0L, 9L);
    }
}
