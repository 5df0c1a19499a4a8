package elvaro.core.inspection;

import static org.assertj.core.api.Assertions.assertThat;

import elvaro.core.inspection.LookVerdict.Discard;
import elvaro.core.inspection.Rule.Answer;
import elvaro.core.ledger.LogFact;
import elvaro.core.ledger.LogFact.LogFactKind;
import elvaro.core.ledger.PieceLog;
import elvaro.core.schedule.Work;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class FollowUpTest {
    private static final Instant LOOKED = Instant.parse("2026-02-10T08:00:00Z");

    /** A log of a look and then, an hour apart, of these. */
    private static PieceLog log(LogFactKind... after) {
        List<LogFact> facts = new ArrayList<>();
        facts.add(fact(LogFactKind.LOOKED, LOOKED));
        for (int index = 0; index < after.length; index++) {
            facts.add(fact(after[index], LOOKED.plus(Duration.ofHours(index + 1))));
        }
        return PieceLog.of(4000, facts);
    }

    private static LogFact fact(LogFactKind kind, Instant at) {
        return new LogFact(UUID.randomUUID(), null, kind, at, kind.weighs() ? 200 : 0, null);
    }

    private static List<Work> open(PieceLog log, Rule because) {
        LookVerdict verdict = new LookVerdict(
                because.answer(), List.of(because), because.answer() == Answer.STOP ? Discard.PART : Discard.NOTHING);
        return FollowUp.of(log, Optional.of(verdict)).stream()
                .map(FollowUp::work)
                .toList();
    }

    @ParameterizedTest(name = "{0} asks for {1} until {2}")
    @CsvSource({
        "LEAK, RESEAL, RESEALED",
        "WET, TURN, TURNED",
        "WET, TURN, MOVED",
        "FOLDS, TRIM, TRIMMED",
        "SOFT_ROT, STOP, CUT_AWAY",
    })
    void what_a_look_asks_for_stays_open_until_the_log_shows_it_done(Rule because, Work work, LogFactKind done) {
        assertThat(open(log(), because)).containsExactly(work);
        assertThat(open(log(LogFactKind.WEIGHED), because)).containsExactly(work);
        assertThat(open(log(LogFactKind.WEIGHED, done), because)).isEmpty();
    }

    @Test
    void a_later_look_stands_for_the_earlier() {
        PieceLog log = log(LogFactKind.LOOKED);
        assertThat(open(log, Rule.CRUST)).isEmpty();
        assertThat(open(log, Rule.LEAK)).containsExactly(Work.RESEAL);
        assertThat(FollowUp.of(log, Optional.of(new LookVerdict(Answer.ACT, List.of(Rule.LEAK), Discard.NOTHING)))
                        .get(0)
                        .since())
                .isEqualTo(LOOKED.plus(Duration.ofHours(1)));
    }

    @Test
    void what_rested_unwrapped_is_smelled_again_a_day_later() {
        assertThat(open(log(), Rule.FAINTLY_ACID)).containsExactly(Work.REST);
        PieceLog rested = log(LogFactKind.RESTED);
        assertThat(FollowUp.of(
                        rested, Optional.of(new LookVerdict(Answer.ACT, List.of(Rule.FAINTLY_ACID), Discard.NOTHING))))
                .containsExactly(new FollowUp(Work.LOOK, LOOKED.plus(Duration.ofHours(25))));
        assertThat(open(log(LogFactKind.RESTED, LogFactKind.LOOKED), Rule.CRUST))
                .isEmpty();
    }

    @Test
    void a_membrane_leaks_from_the_look_that_found_it_until_it_is_resealed_or_found_whole() {
        Instant hour1 = LOOKED.plus(Duration.ofHours(1));
        Instant hour2 = LOOKED.plus(Duration.ofHours(2));
        Instant hour4 = LOOKED.plus(Duration.ofHours(4));
        assertThat(log(LogFactKind.WEIGHED).leaks()).isEmpty();
        assertThat(log(LogFactKind.LEAKED, LogFactKind.RESEALED, LogFactKind.WEIGHED, LogFactKind.LEAKED)
                        .leaks())
                .containsExactly(
                        new PieceLog.Span(hour1, Optional.of(hour2)), new PieceLog.Span(hour4, Optional.empty()));
        assertThat(log(LogFactKind.LEAKED, LogFactKind.LEAKED, LogFactKind.WEIGHED, LogFactKind.LOOKED)
                        .leaks())
                .containsExactly(new PieceLog.Span(hour1, Optional.of(hour4)));
        assertThat(log(LogFactKind.LEAKED).lastLook().orElseThrow().at()).isEqualTo(hour1);
    }

    /** A day in the cold from the unwrapping on, until somebody smells it again; common practice, no source. */
    @Test
    void what_was_unwrapped_rests_a_day_until_it_is_smelled_again() {
        assertThat(FollowUp.restsUntil(log())).isEmpty();
        assertThat(FollowUp.restsUntil(log(LogFactKind.RESTED)))
                .contains(LOOKED.plus(Duration.ofHours(1)).plus(Duration.ofDays(1)));
        assertThat(FollowUp.restsUntil(log(LogFactKind.RESTED, LogFactKind.TURNED)))
                .as("turning is no smelling")
                .isPresent();
        assertThat(FollowUp.restsUntil(log(LogFactKind.RESTED, LogFactKind.LOOKED)))
                .isEmpty();
        assertThat(FollowUp.restsUntil(log(LogFactKind.RESTED, LogFactKind.LEAKED)))
                .isEmpty();
        assertThat(FollowUp.restsUntil(PieceLog.of(4000, List.of(fact(LogFactKind.RESTED, LOOKED)))))
                .as("unwrapped without a look before")
                .contains(LOOKED.plus(Duration.ofDays(1)));
    }
}
