package elvaro.core.forecast;

import static elvaro.core.working.Units.PLAIN;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import elvaro.core.forecast.TrackRecord.Told;
import elvaro.core.forecast.TrackRecord.Week;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;

class TrackRecordTest {
    private static Told told(int day, double lost, double found, double line) {
        return new Told(
                day,
                new Forecast.Day(28, lost, lost - 0.02, lost + 0.02, 0.0156),
                line < 0 ? OptionalDouble.empty() : OptionalDouble.of(line),
                found);
    }

    /** By hand: of five told 12 % with 2 points either way three held; they missed by 0, 1, 1, 3 and 4 points. */
    @Test
    void a_week_counts_what_held_and_the_middle_miss_beside_the_straight_line() {
        List<Told> all = new ArrayList<>();
        for (double found : new double[] {0.12, 0.13, 0.11, 0.15, 0.16}) {
            all.add(told(7, 0.12, found, 0.18));
        }
        all.add(told(0, 0.12, 0.125, -1));
        TrackRecord record = TrackRecord.of(all);
        assertThat(record.weeks()).extracting(Week::day).containsExactly(0, 7);
        Week week = record.weeks().get(1);
        assertThat(week.held()).isEqualTo(3);
        assertThat(week.medianMiss()).isCloseTo(0.01, within(1e-12));
        assertThat(week.medianMissOfLine().orElseThrow()).isCloseTo(0.05, within(1e-12));
        assertThat(PLAIN.sentence(week.sentence()))
                .isEqualTo("Of 5 forecasts like this, made on day 7, 3 held; half were off by less than 1.0 %,"
                        + " a straight line by 5.0 %.");
        assertThat(record.weeks().get(0).medianMissOfLine()).isEmpty();
        assertThat(record.like(3)).as("one forecast says nothing").isEmpty();
        assertThat(record.like(40)).contains(week);
    }

    @Test
    void a_straight_line_goes_on_from_the_last_weighing() {
        List<Observed> weighed = List.of(new Observed(14, 0.08), new Observed(7, 0.05), new Observed(0, 0));
        assertThat(TrackRecord.straightLine(weighed, 28).orElseThrow()).isCloseTo(0.16, within(1e-12));
        assertThat(TrackRecord.straightLine(List.of(new Observed(0, 0.001)), 28))
                .isEmpty();
        assertThat(TrackRecord.counts(14, 17)).isTrue();
        assertThat(TrackRecord.counts(14, 16)).isFalse();
        assertThat(TrackRecord.counts(13, 40)).isFalse();
    }
}
