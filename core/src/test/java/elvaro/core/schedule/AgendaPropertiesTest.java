package elvaro.core.schedule;

import static org.assertj.core.api.Assertions.assertThat;

import elvaro.core.drying.Coating;
import elvaro.core.drying.Method;
import elvaro.core.schedule.Agenda.AgendaDecision;
import elvaro.core.schedule.Agenda.Item;
import elvaro.core.schedule.Agenda.TaskVerdict;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.stream.LongStream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** What must hold for any piece whatever people decided about its work; the seed is the test's name. */
class AgendaPropertiesTest {
    private static final LocalDate HUNG = LocalDate.of(2026, 2, 27);

    static LongStream seeds() {
        return LongStream.range(1, 201);
    }

    private record Any(Agenda agenda, List<AgendaDecision> decisions, int target, Random random) {
        static Any of(long seed) {
            Random random = new Random(seed);
            int target = 1 + random.nextInt(90);
            Method method = Method.values()[random.nextInt(Method.values().length)];
            List<AgendaDecision> decisions = new ArrayList<>();
            for (Task task : Task.of(new Care(method, Coating.NONE), HUNG, target)) {
                if (task.work() != Work.PULL && random.nextInt(3) == 0) {
                    TaskVerdict verdict = TaskVerdict.values()[random.nextInt(3)];
                    Optional<LocalDate> to = verdict == TaskVerdict.MOVED
                            ? Optional.of(task.on().plusDays(1 + random.nextInt(10)))
                            : Optional.empty();
                    decisions.add(new AgendaDecision(task.work(), task.on(), verdict, to));
                }
            }
            Map<Work, LocalDate> weighed =
                    random.nextBoolean() ? Map.of(Work.WEIGH, HUNG.plusDays(random.nextInt(target + 1))) : Map.of();
            return new Any(
                    Agenda.of(new Care(method, Coating.NONE), HUNG, target, decisions, weighed),
                    decisions,
                    target,
                    random);
        }
    }

    @ParameterizedTest(name = "seed {0}")
    @MethodSource("seeds")
    void nothing_is_due_before_its_day_and_no_kind_twice(long seed) {
        Any any = Any.of(seed);
        LocalDate today = HUNG.plusDays(any.random().nextInt(any.target() + 20));
        List<Due> due = any.agenda().due(today);
        assertThat(due).extracting(each -> each.days(today)).allMatch(days -> days >= 0);
        assertThat(due).extracting(Due::work).doesNotHaveDuplicates();
    }

    @ParameterizedTest(name = "seed {0}")
    @MethodSource("seeds")
    void what_was_done_or_skipped_is_neither_due_nor_ahead(long seed) {
        Any any = Any.of(seed);
        List<Item> open = any.agenda().between(HUNG, HUNG.plusDays(400));
        for (AgendaDecision decision : any.decisions()) {
            boolean settled = decision.verdict() != TaskVerdict.MOVED;
            boolean stands = open.stream()
                    .anyMatch(item ->
                            item.work() == decision.work() && item.plannedOn().equals(decision.plannedOn()));
            assertThat(settled && stands).isFalse();
        }
    }

    @ParameterizedTest(name = "seed {0}")
    @MethodSource("seeds")
    void the_pull_is_always_there_and_last_to_be_planned(long seed) {
        Any any = Any.of(seed);
        List<Item> pulls = any.agenda().tasks().stream()
                .filter(item -> item.work() == Work.PULL)
                .toList();
        assertThat(pulls).hasSize(1);
        assertThat(pulls.get(0).on()).isEqualTo(HUNG.plusDays(any.target()));
        assertThat(any.agenda().tasks())
                .extracting(Item::plannedOn)
                .allMatch(day -> !day.isAfter(pulls.get(0).on()));
    }

    @ParameterizedTest(name = "seed {0}")
    @MethodSource("seeds")
    void every_task_that_stands_is_found_by_its_name(long seed) {
        Agenda agenda = Any.of(seed).agenda();
        assertThat(agenda.tasks())
                .allMatch(item -> agenda.named(item.work(), item.plannedOn()).equals(Optional.of(item)));
        assertThat(agenda.named(Work.TURN, HUNG.minusDays(1))).isEmpty();
    }

    /** Between two toppings no more days lie than the ice lasts, up to the last before it is taken out. */
    @ParameterizedTest(name = "seed {0}")
    @MethodSource("seeds")
    void ice_is_topped_up_as_often_as_it_is_asked_for_and_never_on_the_first_or_the_last_day(long seed) {
        Random random = new Random(seed);
        int target = 1 + random.nextInt(30);
        int every = 1 + random.nextInt(4);
        List<Long> days = Task.of(new Care(Method.ON_ICE, Coating.NONE, false, every), HUNG, target).stream()
                .filter(task -> task.work() == Work.CHANGE_ICE)
                .map(task -> java.time.temporal.ChronoUnit.DAYS.between(HUNG, task.on()))
                .toList();
        assertThat(days).hasSize((target - 1) / every).allMatch(day -> day > 0 && day < target && day % every == 0);
        org.assertj.core.api.Assertions.assertThatThrownBy(() -> new Care(Method.ON_ICE, Coating.NONE, false, 0))
                .hasMessageContaining("once a day at most");
    }
}
