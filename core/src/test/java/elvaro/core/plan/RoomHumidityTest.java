package elvaro.core.plan;

import static elvaro.core.working.Units.PLAIN;
import static org.assertj.core.api.Assertions.assertThat;

import elvaro.core.air.Air;
import elvaro.core.air.RoomWater;
import elvaro.core.air.RoomWater.WaterDay;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;

/** A room that stands at 74 % with 400 g a day and at 80 % with 800: what more would do, and how to hang it. */
class RoomHumidityTest {
    private static final LocalDate TODAY = LocalDate.of(2026, 11, 29);

    private static RoomHumidity room(double... given) {
        List<WaterDay> days = new ArrayList<>();
        for (int day = 0; day < 40; day++) {
            boolean full = day >= 20;
            days.add(new WaterDay(full ? 800 : 400, new Air(2, full ? 0.80 : 0.74, 0.5)));
        }
        return new RoomHumidity(
                "North Room", RoomWater.learnt(days).orElseThrow(), new Air(2, 0.80, 0.5), TODAY, given);
    }

    private static double[] days(int count, double grams) {
        double[] all = new double[count];
        Arrays.fill(all, grams);
        return all;
    }

    /** What a piece gives off is much on the first days and little later. */
    private static double[] fresh() {
        double[] each = days(28, 60);
        Arrays.fill(each, 0, 4, 220);
        return each;
    }

    @Test
    void what_hangs_there_is_said_to_keep_it_as_it_is() {
        assertThat(PLAIN.sentence(room(days(28, 800)).sentence()))
                .startsWith("With what hangs there North Room runs at 80")
                .endsWith("at most.");
    }

    @Test
    void more_than_it_takes_at_once_is_told_how_to_hang_it_by_and_by() {
        String four = PLAIN.sentence(room(days(28, 800)).sentence(fresh(), 4, TODAY));
        assertThat(four)
                .startsWith("With them North Room runs at 8")
                .contains("on its dampest day and above 85.0 % on 4 days from")
                .contains("Hang 3 now and 1 on 2026-12-03.");
        assertThat(PLAIN.sentence(room(days(28, 800)).sentence(fresh(), 1, TODAY)))
                .startsWith("With it North Room runs at 8")
                .endsWith("at most.");
    }

    @Test
    void a_room_that_is_damp_already_is_not_helped_by_waiting() {
        assertThat(PLAIN.sentence(room(days(28, 1600)).sentence(fresh(), 4, TODAY)))
                .contains("above 85.0 % on 28 days")
                .doesNotContain("Hang ");
    }
}
