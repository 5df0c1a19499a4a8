package elvaro.core.treatment;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import elvaro.core.treatment.Course.PlannedStep;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class CourseTest {
    private static final LocalDate BEGAN = LocalDate.of(2026, 3, 2);
    private static final LocalDate HUNG = LocalDate.of(2026, 3, 12);

    private static List<Optional<LocalDate>> days(TreatmentKind kind, int number, Optional<LocalDate> pulled) {
        return kind.course().from(number, BEGAN, HUNG, pulled).stream()
                .map(PlannedStep::on)
                .toList();
    }

    @Test
    void a_soak_of_ten_days_is_turned_half_way_and_drained_on_the_tenth() {
        assertThat(days(TreatmentKind.LIQUID_SOAK, 10, Optional.empty()))
                .containsExactly(
                        Optional.of(BEGAN),
                        Optional.of(BEGAN.plusDays(5)),
                        Optional.of(BEGAN.plusDays(10)),
                        Optional.of(BEGAN.plusDays(10)));
    }

    @Test
    void twice_the_smoke_is_twice_the_sessions_a_week_apart() {
        assertThat(days(TreatmentKind.COLD_SMOKE, 2, Optional.empty()))
                .containsExactly(Optional.of(BEGAN), Optional.of(HUNG.plusDays(7)));
        assertThat(days(TreatmentKind.COLD_SMOKE, 4, Optional.empty()))
                .hasSize(4)
                .endsWith(Optional.of(HUNG.plusDays(21)));
    }

    @Test
    void what_begins_while_it_hangs_counts_from_its_own_beginning() {
        assertThat(TreatmentKind.COLD_SMOKE.course().from(2, HUNG.plusDays(30), HUNG, Optional.empty()))
                .extracting(PlannedStep::on)
                .containsExactly(Optional.of(HUNG.plusDays(30)), Optional.of(HUNG.plusDays(37)));
    }

    @Test
    void what_is_done_after_the_pull_has_no_day_before_it() {
        LocalDate pulled = HUNG.plusDays(40);
        assertThat(days(TreatmentKind.MARINADE, 2, Optional.empty())).containsOnly(Optional.empty());
        assertThat(days(TreatmentKind.MARINADE, 2, Optional.of(pulled)))
                .containsExactly(Optional.of(pulled), Optional.of(pulled.plusDays(2)));
        assertThat(days(TreatmentKind.TABLE_BUTTER, 1, Optional.of(pulled))).containsOnly(Optional.empty());
    }

    @ParameterizedTest
    @EnumSource(TreatmentKind.class)
    void every_course_goes_forward_for_as_long_or_as_often_as_it_may_be(TreatmentKind kind) {
        Course course = kind.course();
        course.count().ifPresent(count -> {
            for (int number = count.least(); number <= count.most(); number++) {
                assertThat(course.steps(number))
                        .extracting(TreatmentStep::day)
                        .isSorted()
                        .allMatch(day -> day >= 0);
            }
            assertThatThrownBy(() -> course.steps(count.most() + 1)).hasMessageContaining(count.label());
            assertThatThrownBy(() -> course.steps(count.least() - 1)).hasMessageContaining(count.label());
        });
        assertThat(course.steps()).isNotEmpty();
    }
}
