package elvaro.core.ledger;

import static elvaro.core.working.Units.PLAIN;
import static org.assertj.core.api.Assertions.assertThat;

import elvaro.core.cut.Arrival;
import elvaro.core.cut.CutCatalogue;
import elvaro.core.ledger.Balance.BalanceState;
import elvaro.core.ledger.LogFact.LogFactKind;
import elvaro.core.question.Question;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class QuestionsTest {
    private static final Instant DAY_0 = Instant.parse("2026-01-05T08:00:00Z");

    private static LogFact fact(LogFactKind kind, int day, int grams) {
        Stream stream = kind == LogFactKind.PILE ? Stream.STEAK : null;
        return new LogFact(UUID.randomUUID(), null, kind, DAY_0.plus(Duration.ofDays(day)), grams, stream);
    }

    @Nested
    class The_balance_at_the_bench {

        /** Reference section 1: asked above max(2 × division × weighings, 1 % of aged), refused above 3 %. */
        @ParameterizedTest(name = "{0} g in {1} weighings on {2} g divisions leaving {3} g: {4}")
        @CsvSource({
            "6000, 5, 5, 60, CLOSES",
            "6000, 5, 5, 61, ASKS",
            "6000, 5, 5, 180, ASKS",
            "6000, 5, 5, 181, REFUSES",
            "6000, 5, 20, 200, REFUSES",
            "6000, 7, 10, 140, CLOSES",
            "6000, 7, 10, 141, ASKS",
            "6000, 5, 5, -61, ASKS",
            "6000, 5, 5, -181, REFUSES",
            "0, 1, 1, 0, CLOSES"
        })
        void closes_asks_or_refuses(int aged, int weighings, int division, int residual, BalanceState state) {
            int steak = Math.max(0, aged - residual);
            Ledger ledger = new Ledger(8000, 0, aged, Piles.of(steak, 0, 0, 0, 0));
            Balance balance = Balance.of(ledger, division, weighings);
            assertThat(balance.state()).isEqualTo(state);
            assertThat(balance.question().map(Question::needsReason))
                    .isEqualTo(
                            state == BalanceState.CLOSES
                                    ? Optional.empty()
                                    : Optional.of(state == BalanceState.REFUSES));
        }
    }

    @Nested
    class A_weighing {
        private final PieceLog log = PieceLog.of(8000, List.of(fact(LogFactKind.WEIGHED, 7, 7700)));

        @ParameterizedTest(name = "{0} g on day {1}: {2}")
        @CsvSource({
            "7600, 8, ''",
            "8001, 8, above-green",
            "7800, 8, heavier-than-before",
            "7000, 8, fell-fast",
            "7000, 14, ''",
            "7900, 3, ''"
        })
        void is_questioned_when_it_is_odd(int grams, int day, String question) {
            assertThat(EntryCheck.questions(log, 8000, DAY_0, fact(LogFactKind.WEIGHED, day, grams)))
                    .extracting(Question::id)
                    .isEqualTo(question.isEmpty() ? List.of() : List.of(question));
        }

        /** Common practice, no source: half a rib had lost half of itself on day 169, when it was first weighed again. */
        @Test
        void long_after_the_hanging_is_left_to_the_forecast() {
            PieceLog never = PieceLog.of(8000, List.of());
            assertThat(EntryCheck.questions(never, 8000, DAY_0, fact(LogFactKind.WEIGHED, 169, 4000)))
                    .isEmpty();
            assertThat(EntryCheck.questions(never, 8000, DAY_0, fact(LogFactKind.WEIGHED, 3, 4000)))
                    .extracting(Question::id)
                    .containsExactly("fell-fast");
        }

        @Test
        void of_a_slice_heavier_than_the_piece_is_refused() {
            assertThat(EntryCheck.refusal(log, 8000, fact(LogFactKind.WITHDRAWN, 8, 7700), 5))
                    .hasValueSatisfying(
                            sentence -> assertThat(PLAIN.sentence(sentence)).contains("7700 g"));
        }

        @Test
        void of_a_pile_heavier_than_what_is_left_is_refused() {
            PieceLog pulled =
                    PieceLog.of(8000, List.of(fact(LogFactKind.PULLED, 30, 6000), fact(LogFactKind.PILE, 30, 4000)));
            assertThat(EntryCheck.refusal(pulled, 8000, fact(LogFactKind.PILE, 30, 2031), 5))
                    .hasValueSatisfying(
                            sentence -> assertThat(PLAIN.sentence(sentence)).contains("Only 2000 g is left"));
            assertThat(EntryCheck.refusal(pulled, 8000, fact(LogFactKind.PILE, 30, 2030), 5))
                    .isEmpty();
        }

        @Test
        void of_a_coat_that_was_never_put_on_is_refused() {
            assertThat(EntryCheck.refusal(log, 8000, fact(LogFactKind.COAT_OFF, 30, 400), 5))
                    .isPresent();
        }
    }

    @Nested
    class An_arrival {
        @ParameterizedTest(name = "{0} of {1} g at {2} °C packed {3} days ago: {4}")
        @CsvSource({
            "strip, 6400, 2.1, 9, ''",
            "strip, 90000, 2.1, 9, weight-unusual",
            "strip, 6400, 5.1, 9, arrived-warm",
            "strip, 6400, 5.0, 61, old-pack",
            "strip, 6400, -6.0, 9, arrived-frozen"
        })
        void is_questioned_when_it_is_odd(String cut, int grams, double celsius, long days, String question) {
            Arrival arrival = new Arrival(CutCatalogue.get(cut), grams, Optional.of(celsius), Optional.of(days));
            assertThat(arrival.questions())
                    .extracting(Question::id)
                    .isEqualTo(question.isEmpty() ? List.of() : List.of(question));
        }
    }

    @Nested
    class A_split {
        @ParameterizedTest(name = "8000 g into {0} and {1} g: loss {2} g, asked {3}, impossible {4}")
        @CsvSource({
            "4000, 3960, 40, false, false",
            "4000, 3800, 200, true, false",
            "4000, 4015, -15, false, false",
            "4000, 4016, -16, false, true"
        })
        void shows_its_loss(int first, int second, int loss, boolean asked, boolean impossible) {
            Split split = new Split(8000, List.of(first, second));
            assertThat(split.cuttingLoss()).isEqualTo(loss);
            assertThat(split.question().isPresent()).isEqualTo(asked);
            assertThat(split.impossible(5)).isEqualTo(impossible);
        }
    }
}
