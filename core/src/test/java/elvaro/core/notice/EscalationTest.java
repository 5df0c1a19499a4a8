package elvaro.core.notice;

import static org.assertj.core.api.Assertions.assertThat;

import elvaro.core.notice.Escalation.Answer;
import elvaro.core.notice.Escalation.HandedTo;
import elvaro.core.notice.Escalation.Later;
import elvaro.core.notice.Escalation.Step;
import elvaro.core.notice.Escalation.TakenOver;
import elvaro.core.notice.Escalation.Told;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.UUID;
import org.junit.jupiter.api.Test;

class EscalationTest {
    private static final UUID IDRIS = new UUID(1, 1);
    private static final UUID MAREN = new UUID(2, 2);
    private static final UUID PILAR = new UUID(3, 3);
    private static final Instant NIGHT = Instant.parse("2026-11-28T02:00:00Z");

    private static Step step(UUID person, int minutes) {
        return new Step(Set.of(person), Duration.ofMinutes(minutes));
    }

    private static Instant after(int minutes) {
        return NIGHT.plus(Duration.ofMinutes(minutes));
    }

    /** Looks every minute, as the application does more often; who was told, by the minute. */
    private static Map<Integer, Set<UUID>> lived(Escalation plan, List<Answer> answers, int minutes) {
        Map<Integer, Set<UUID>> told = new TreeMap<>();
        List<Told> known = new ArrayList<>();
        for (int minute = 0; minute <= minutes; minute++) {
            Instant now = after(minute);
            Set<UUID> due = plan.now(
                    NIGHT,
                    known,
                    answers.stream().filter(answer -> !answer.at().isAfter(now)).toList(),
                    now);
            if (!due.isEmpty()) {
                told.put(minute, due);
                due.forEach(person -> known.add(new Told(person, now)));
            }
        }
        return told;
    }

    private static final Escalation PLAN = new Escalation(
            List.of(step(IDRIS, 0), step(MAREN, 15)), Duration.ofMinutes(30), Optional.of(Duration.ofHours(2)));

    @Test
    void who_does_not_answer_is_followed_by_the_next_and_then_it_begins_anew() {
        assertThat(lived(PLAN, List.of(), 60))
                .containsExactly(
                        Map.entry(0, Set.of(IDRIS)),
                        Map.entry(15, Set.of(MAREN)),
                        Map.entry(45, Set.of(IDRIS)),
                        Map.entry(60, Set.of(MAREN)));
    }

    @Test
    void what_somebody_took_over_rests_for_two_hours_and_begins_anew_if_it_lasts() {
        assertThat(lived(PLAN, List.of(new TakenOver(IDRIS, after(4))), 130))
                .containsExactly(Map.entry(0, Set.of(IDRIS)), Map.entry(124, Set.of(IDRIS)));
    }

    @Test
    void what_lasts_for_weeks_rests_once_somebody_took_it_over() {
        Escalation plan = new Escalation(PLAN.steps(), Duration.ofDays(1), Optional.empty());
        assertThat(lived(plan, List.of(new TakenOver(IDRIS, after(4))), 5000)).containsOnlyKeys(0);
    }

    @Test
    void who_says_later_is_told_again_then_and_the_others_after_that() {
        assertThat(lived(PLAN, List.of(new Later(IDRIS, after(3), after(40))), 60))
                .containsExactly(
                        Map.entry(0, Set.of(IDRIS)), Map.entry(40, Set.of(IDRIS)), Map.entry(55, Set.of(MAREN)));
    }

    @Test
    void who_is_handed_an_alarm_is_told_at_once_and_has_the_same_time_as_any_other() {
        assertThat(lived(PLAN, List.of(new HandedTo(IDRIS, after(5), PILAR)), 36))
                .containsExactly(
                        Map.entry(0, Set.of(IDRIS)),
                        Map.entry(5, Set.of(PILAR)),
                        Map.entry(20, Set.of(IDRIS)),
                        Map.entry(35, Set.of(MAREN)));
    }

    @Test
    void who_was_told_first_is_not_told_again_as_one_of_everybody() {
        Escalation plan = new Escalation(
                List.of(step(IDRIS, 0), step(MAREN, 15), new Step(Set.of(IDRIS, MAREN, PILAR), Duration.ofMinutes(15))),
                Duration.ofMinutes(30),
                Optional.empty());
        assertThat(lived(plan, List.of(), 60))
                .containsExactly(
                        Map.entry(0, Set.of(IDRIS)),
                        Map.entry(15, Set.of(MAREN)),
                        Map.entry(30, Set.of(PILAR)),
                        Map.entry(60, Set.of(IDRIS)));
    }

    @Test
    void an_alarm_a_clock_gone_wrong_raised_next_year_is_told_now() {
        assertThat(PLAN.now(NIGHT.plus(Duration.ofDays(365)), List.of(), List.of(), NIGHT))
                .containsExactly(IDRIS);
    }

    @Test
    void nobody_waits_for_an_answer_of_somebody_who_cannot_be_reached() {
        Escalation plan = Escalation.among(
                List.of(step(IDRIS, 0), step(PILAR, 15), step(MAREN, 15)),
                Set.of(MAREN),
                Duration.ofMinutes(30),
                Optional.empty());
        assertThat(lived(plan, List.of(), 10)).containsExactly(Map.entry(0, Set.of(MAREN)));
    }

    @Test
    void after_a_night_without_power_everybody_who_should_have_been_told_is_told_once() {
        assertThat(PLAN.now(NIGHT, List.of(new Told(IDRIS, NIGHT)), List.of(), after(40)))
                .containsExactly(MAREN);
        assertThat(PLAN.now(NIGHT, List.of(), List.of(), after(44))).containsExactly(IDRIS, MAREN);
    }

    @Test
    void where_nobody_can_be_reached_nobody_is_told() {
        assertThat(new Escalation(List.of(), Duration.ZERO, Optional.empty())
                        .now(NIGHT, List.of(), List.of(), after(9)))
                .isEmpty();
    }
}
