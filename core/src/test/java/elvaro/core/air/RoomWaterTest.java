package elvaro.core.air;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import elvaro.core.air.RoomWater.HumidityAhead;
import elvaro.core.air.RoomWater.WaterDay;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.function.ToDoubleFunction;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class RoomWaterTest {

    /**
     * A room that is simulated hour by hour and knows nothing of the formula: a volume of air, meat that gives off the more the
     * drier it is, a coil that takes away what lies over its dew point in proportion to the air it moves, a door.
     */
    private static final class Room {
        private static final double GAS_CONSTANT = 0.4615; // Pa·m³/(g·K)
        private static final double CELSIUS = 2;
        private static final double CUBIC_METRES = 25;
        private final Random random;
        private final double coil;
        private final double cubicMetresADay;
        private double vapour = 500;

        /**
         * @param coil vapour pressure at the coil, Pa
         * @param cubicMetresADay air that meets it
         */
        Room(Random random, double coil, double cubicMetresADay) {
            this.random = random;
            this.coil = coil;
            this.cubicMetresADay = cubicMetresADay;
        }

        /** @param conductance what the meat gives off for a pascal of drive, g a day */
        WaterDay day(double conductance) {
            double saturated = Vapour.saturationPascal(CELSIUS);
            double temperature = GAS_CONSTANT * (CELSIUS + 273.15);
            double sum = 0;
            double given = 0;
            double weather = 12 * random.nextGaussian();
            for (int minute = 0; minute < 1440; minute++) {
                double gives = conductance * Math.max(0, 0.99 * saturated - vapour);
                double takes = cubicMetresADay * (vapour - coil - weather) / temperature;
                vapour += (gives - takes) / 1440 * temperature / CUBIC_METRES;
                given += gives / 1440;
                sum += vapour / 1440;
            }
            return new WaterDay(given, new Air(CELSIUS, Math.min(1, sum / saturated), 0.5));
        }
    }

    /** A piece and what its forecast makes of it. */
    private record Piece(double conductance, double foretold) {
        static Piece hung(Random random) {
            double conductance = 0.5 * Math.exp(0.4 * random.nextGaussian());
            return new Piece(conductance, conductance * Math.exp(0.12 * random.nextGaussian()));
        }
    }

    private static double sum(List<Piece> pieces, ToDoubleFunction<Piece> what) {
        return pieces.stream().mapToDouble(what).sum();
    }

    /** Six weeks of a load that comes and goes, each piece drying otherwise than foretold; then three more are hung at once. */
    @ParameterizedTest(name = "{0} Pa at the coil, {1} m³ a day")
    @CsvSource({"380, 400", "430, 800", "450, 2500", "500, 300"})
    void the_humidity_with_more_in_it_lies_in_its_band(double coil, double cubicMetres) {
        int held = 0;
        int rooms = 200;
        for (int seed = 0; seed < rooms; seed++) {
            Random random = new Random(seed);
            Room room = new Room(random, coil, cubicMetres);
            List<Piece> pieces = new ArrayList<>(List.of(Piece.hung(random), Piece.hung(random), Piece.hung(random)));
            List<WaterDay> days = new ArrayList<>();
            for (int day = 0; day < 42; day++) {
                if (day % 7 == 3) {
                    pieces.add(Piece.hung(random));
                }
                if (day % 11 == 10) {
                    pieces.remove(0);
                }
                WaterDay found = room.day(sum(pieces, Piece::conductance));
                double foretold = sum(pieces, Piece::foretold) / sum(pieces, Piece::conductance);
                days.add(new WaterDay(found.givenGrams() * foretold, found.air()));
            }
            RoomWater learnt = RoomWater.learnt(days).orElseThrow();
            IntStream.range(0, 3).forEach(piece -> pieces.add(Piece.hung(random)));
            Air now = learnt.usual();
            double given = sum(pieces, Piece::foretold)
                    * (0.99 - now.relativeHumidity())
                    * Vapour.saturationPascal(now.celsius());
            HumidityAhead ahead = learnt.with(given, now);
            room.day(sum(pieces, Piece::conductance));
            double then = room.day(sum(pieces, Piece::conductance)).air().relativeHumidity();
            held += then >= ahead.least() && then <= ahead.most() ? 1 : 0;
        }
        assertThat(held / (double) rooms).isGreaterThanOrEqualTo(0.75);
    }

    /** By hand: 560 Pa with 500 g a day and 600 Pa with 900: 0.1 Pa a gram, 510 Pa empty; 705.5 Pa are saturated at 2 °C. */
    @Test
    void two_loads_tell_what_the_room_takes_away() {
        List<WaterDay> days = new ArrayList<>();
        for (int day = 0; day < 30; day++) {
            boolean full = day >= 15;
            days.add(new WaterDay(full ? 900 : 500, new Air(2, (full ? 600 : 560) / 705.5, 0.5)));
        }
        RoomWater room = RoomWater.learnt(days).orElseThrow();
        assertThat(room.perKilogram().mean()).isCloseTo(1000 * 0.1 / 705.5, within(0.01));
        HumidityAhead same = room.with(900, new Air(2, 600 / 705.5, 0.5));
        assertThat(same.mean()).isCloseTo(600 / 705.5, within(0.004));
        HumidityAhead more = room.with(1800, new Air(2, 600 / 705.5, 0.5));
        assertThat(more.mean()).as("less than 690 Pa, as damper air draws less").isBetween(same.mean(), 660 / 705.5);
    }

    @Test
    void a_room_that_keeps_its_humidity_whatever_hangs_in_it_is_not_said_to_rise() {
        List<WaterDay> days = IntStream.range(0, 40)
                .mapToObj(day -> new WaterDay(300 + 15 * day, new Air(2, 0.80 - 0.0002 * day, 0.5)))
                .toList();
        RoomWater room = RoomWater.learnt(days).orElseThrow();
        assertThat(room.with(1500, room.usual()).mean()).isCloseTo(0.80, within(0.02));
        assertThat(RoomWater.learnt(days.subList(0, 6))).isEmpty();
    }
}
