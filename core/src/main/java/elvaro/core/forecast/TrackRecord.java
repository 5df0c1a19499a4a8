package elvaro.core.forecast;

import static elvaro.core.working.Quantity.share;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.hipparchus.stat.descriptive.rank.Median;

/**
 * How good the forecasts of a shop were: for pieces that are pulled, what was told of the pull on the day they were hung and
 * every week after, and what they weighed then.
 *
 * @param weeks by the day of the forecast, ascending; only days of which something is known
 */
public record TrackRecord(List<Week> weeks) {
    /** A forecast is looked at on the day of the hanging and every so many days. */
    public static final int EVERY_DAYS = 7;

    /** Later there is little left to foretell. */
    private static final int SHORTEST_DAYS = 3;

    /** Fewer say nothing of how often it holds. */
    private static final int FEWEST = 5;

    /**
     * A forecast of a pull, and the pull.
     *
     * @param day it was made on
     * @param told of the day of the pull
     * @param line what a straight line through the last weighing said; empty where nothing was weighed
     * @param found w at the pull, share of the green weight
     */
    public record Told(int day, Forecast.Day told, OptionalDouble line, double found) {
        boolean held() {
            return found >= told.least() && found <= told.most();
        }

        double miss() {
            return Math.abs(told.lost() - found);
        }
    }

    /**
     * The forecasts made on one day.
     *
     * @param held how many of their 80 % bands held
     * @param medianMiss half missed the share that was lost by less, share of the green weight
     * @param medianMissOfLine the same of a straight line, where there was one
     */
    public record Week(int day, int forecasts, int held, double medianMiss, OptionalDouble medianMissOfLine) {
        /** In words. */
        public String sentence() {
            return "Of %d forecasts like this, made %s, %d held; half were off by less than %s%s."
                    .formatted(
                            forecasts,
                            day == 0 ? "on the day it was hung" : "on day " + day,
                            held,
                            share(medianMiss),
                            medianMissOfLine.isPresent()
                                    ? ", a straight line by " + share(medianMissOfLine.getAsDouble())
                                    : "");
        }
    }

    public static TrackRecord of(List<Told> told) {
        return new TrackRecord(
                told.stream()
                        .collect(Collectors.groupingBy(Told::day, TreeMap::new, Collectors.toList()))
                        .values()
                        .stream()
                        .map(TrackRecord::week)
                        .toList());
    }

    private static Week week(List<Told> told) {
        double[] lines = told.stream()
                .filter(each -> each.line().isPresent())
                .mapToDouble(each -> Math.abs(each.line().getAsDouble() - each.found()))
                .toArray();
        return new Week(
                told.get(0).day(),
                told.size(),
                (int) told.stream().filter(Told::held).count(),
                new Median().evaluate(told.stream().mapToDouble(Told::miss).toArray()),
                lines.length == 0 ? OptionalDouble.empty() : OptionalDouble.of(new Median().evaluate(lines)));
    }

    /** Whether a forecast made on a day of one pulled on another is looked at. */
    public static boolean counts(int day, double pulledOn) {
        return day % EVERY_DAYS == 0 && day <= pulledOn - SHORTEST_DAYS;
    }

    /** What is known of forecasts made when this one is: those of the last full week of which enough is known. */
    public Optional<Week> like(double day) {
        return weeks.stream()
                .filter(week -> week.day() <= day && week.forecasts() >= FEWEST)
                .reduce((one, later) -> later);
    }

    /** Straight on from the hanging through the last weighing. */
    public static OptionalDouble straightLine(List<Observed> observed, double pulledOn) {
        return observed.stream()
                .filter(each -> each.day() > 0)
                .reduce((one, later) -> later.day() >= one.day() ? later : one)
                .map(last -> OptionalDouble.of(last.lost() / last.day() * pulledOn))
                .orElse(OptionalDouble.empty());
    }
}
