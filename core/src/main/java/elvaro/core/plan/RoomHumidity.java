package elvaro.core.plan;

import static elvaro.core.working.Quantity.date;
import static elvaro.core.working.Quantity.share;

import elvaro.core.air.Air;
import elvaro.core.air.RoomWater;
import elvaro.core.air.RoomWater.HumidityAhead;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.OptionalInt;
import java.util.stream.IntStream;

/**
 * The humidity of a room over the days to come, with what hangs there and what is to be hung. Reference section 8.
 *
 * @param name of the room
 * @param room what it does with the water
 * @param air it is reckoned in
 * @param first day
 * @param given what hangs there and is planned gives off, g on each day from the first on; one day or more
 */
public record RoomHumidity(String name, RoomWater room, Air air, LocalDate first, double[] given) {
    /** Above this it is damp for meat that dries: 75 to 85 % is usual (common practice, no source). */
    public static final double DAMP = 0.85;

    /** One day ahead. */
    public record HumidityDay(LocalDate day, double givenGrams, HumidityAhead humidity) {}

    /** With what hangs there and is planned. */
    public List<HumidityDay> days() {
        return days(given);
    }

    private List<HumidityDay> days(double[] grams) {
        return IntStream.range(0, grams.length)
                .mapToObj(day -> new HumidityDay(first.plusDays(day), grams[day], room.with(grams[day], air)))
                .toList();
    }

    /** The same with pieces that are hung on one of the days. */
    private List<HumidityDay> with(double[] each, int pieces, int from) {
        double[] grams = given.clone();
        for (int day = Math.max(0, from); day < grams.length; day++) {
            int age = day - from;
            grams[day] += age < each.length ? pieces * each[age] : 0;
        }
        return days(grams);
    }

    private static boolean damp(List<HumidityDay> days) {
        return days.stream().anyMatch(day -> day.humidity().mean() > DAMP);
    }

    /** How it will run with what hangs there. */
    public String sentence() {
        return said("With what hangs there", days());
    }

    /**
     * How it would run with more, and how to hang it so that it stays dry.
     *
     * @param each what one of them gives off, g on each day from its hanging on
     * @param pieces how many, 1 or more
     * @param on the day they are to be hung, from the first on
     */
    public String sentence(double[] each, int pieces, LocalDate on) {
        int from = (int) (on.toEpochDay() - first.toEpochDay());
        List<HumidityDay> all = with(each, pieces, from);
        String said = said(pieces == 1 ? "With it" : "With them", all);
        if (!damp(all) || damp(days())) {
            return said;
        }
        for (int now = pieces - 1; now >= 0; now--) {
            if (!damp(with(each, now, from))) {
                OptionalInt later = later(each, now, pieces - now, from);
                return said + " " + instead(now, pieces - now, later);
            }
        }
        return said;
    }

    /** The first day on which the rest may follow. */
    private OptionalInt later(double[] each, int now, int rest, int from) {
        double[] first = given.clone();
        for (int day = Math.max(0, from); day < first.length; day++) {
            first[day] += day - from < each.length ? now * each[day - from] : 0;
        }
        RoomHumidity begun = new RoomHumidity(name, room, air, this.first, first);
        return IntStream.range(Math.max(0, from) + 1, given.length)
                .filter(day -> !damp(begun.with(each, rest, day)))
                .findFirst();
    }

    private String instead(int now, int rest, OptionalInt later) {
        String then =
                later.isPresent() ? "on " + date(first.plusDays(later.getAsInt())) : "when something else was pulled";
        return now == 0
                ? "Hang %s %s.".formatted(rest == 1 ? "it" : "them", then)
                : "Hang %d now and %d %s.".formatted(now, rest, then);
    }

    private String said(String begin, List<HumidityDay> days) {
        List<HumidityDay> damp = new ArrayList<>(days);
        damp.removeIf(day -> day.humidity().mean() <= DAMP);
        HumidityAhead most = days.stream()
                .map(HumidityDay::humidity)
                .max(Comparator.comparingDouble(HumidityAhead::mean))
                .orElseThrow();
        String at = "%s (%s to %s)".formatted(share(most.mean()), share(most.least()), share(most.most()));
        return damp.isEmpty()
                ? "%s %s runs at %s at most.".formatted(begin, name, at)
                : "%s %s runs at %s on its dampest day and above %s on %s from %s on."
                        .formatted(
                                begin,
                                name,
                                at,
                                share(DAMP),
                                damp.size() == 1 ? "one day" : damp.size() + " days",
                                date(damp.get(0).day()));
    }
}
