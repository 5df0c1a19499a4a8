package elvaro.core.ledger;

import static elvaro.core.working.Units.PLAIN;
import static org.assertj.core.api.Assertions.assertThat;

import elvaro.core.ledger.Comparison.BestAndWorst;
import elvaro.core.ledger.Comparison.LedgerMeasure;
import java.util.List;
import org.junit.jupiter.api.Test;

class ComparisonTest {
    /** The pair of the trade's check values, in grams (common practice, no source). */
    private final Ledger plain = new Ledger(4808, 0, 4264, Piles.of(2722, 1361, 0, 0, 181));

    private final Ledger sealed = new Ledger(4899, 0, 4717, Piles.of(2631, 0, 0, 0, 2086));

    @Test
    void the_sealed_twin_wins_on_water_and_loses_on_meat_and_the_reason_names_the_discard() {
        List<BestAndWorst> marks = Comparison.marks(List.of(plain, sealed), List.of("7A", "7B"));
        assertThat(mark(marks, LedgerMeasure.SHRINK).best()).isEqualTo(1);
        BestAndWorst usable = mark(marks, LedgerMeasure.USABLE_YIELD);
        assertThat(usable.best()).isZero();
        assertThat(usable.worst()).isEqualTo(1);
        assertThat(PLAIN.sentence(usable.reason()))
                .isEqualTo("Usable yield: 7A at 84.9 %, 7B at 53.7 %. Most of it is discard, 38.8 % more of the green"
                        + " weight.");
    }

    @Test
    void pieces_that_agree_are_not_ranked() {
        assertThat(Comparison.marks(List.of(plain, plain), List.of("7A", "7B"))).isEmpty();
    }

    private static BestAndWorst mark(List<BestAndWorst> marks, LedgerMeasure measure) {
        return marks.stream()
                .filter(each -> each.measure() == measure)
                .findFirst()
                .orElseThrow();
    }
}
