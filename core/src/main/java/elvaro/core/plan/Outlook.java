package elvaro.core.plan;

import elvaro.core.air.Climate;
import elvaro.core.cost.DayToStop;
import elvaro.core.cut.Species;
import elvaro.core.estimate.Estimates;
import elvaro.core.forecast.Forecast;
import elvaro.core.keeping.EquivalentDays;
import elvaro.core.keeping.Style;
import elvaro.core.keeping.Tenderness;
import elvaro.core.working.Working;
import elvaro.core.yield.Section;
import elvaro.core.yield.TrimModel;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.hipparchus.distribution.continuous.NormalDistribution;

/**
 * What becomes of a piece day by day: its weight, what it would give, what it would cost, how tender it is.
 *
 * @param forecast of its weight
 * @param trimModel how it would be cut
 * @param steakYieldSd what the steak yield is off by once the shrink is known, fraction of green
 * @param climate the air it hangs in
 * @param species decides whether anything is known of its tenderness and taste
 * @param economics what it costs and brings
 * @param left share of the piece that is there, slices taken off
 */
public record Outlook(
        Forecast forecast,
        TrimModel trimModel,
        double steakYieldSd,
        Climate climate,
        Species species,
        DayToStop economics,
        double left) {
    /** Of a piece that is whole. */
    public Outlook(
            Forecast forecast,
            TrimModel trimModel,
            double steakYieldSd,
            Climate climate,
            Species species,
            DayToStop economics) {
        this(forecast, trimModel, steakYieldSd, climate, species, economics, 1);
    }

    private static final NormalDistribution STANDARD = new NormalDistribution();

    /** Half-width of an 80 % band, in standard deviations. */
    private static final double EIGHTY = STANDARD.inverseCumulativeProbability(0.9);

    /** What four pieces in five reach at least, in standard deviations below the mean. */
    private static final double FOUR_IN_FIVE = STANDARD.inverseCumulativeProbability(0.8);

    /**
     * One day.
     *
     * @param over what is left for steaks, fraction of green; below 0 by as much as is wanting
     * @param steakSd its standard deviation
     * @param tenderness τ, 0–1; empty where no rate is known
     * @param equivalentDays at 0 °C
     * @param style what it is said to taste of; empty for anything but beef
     */
    public record OutlookDay(
            int day,
            Forecast.Day weight,
            Section section,
            double over,
            double steakSd,
            DayToStop.Stop stop,
            Optional<Double> tenderness,
            double equivalentDays,
            Optional<Style> style) {

        /** Lower end of the steak yield's 80 % band, fraction of green. */
        public double steakLeast() {
            return Math.max(0, over - EIGHTY * steakSd);
        }

        /** Upper end. */
        public double steakMost() {
            return Math.max(0, Math.min(section.now(), over + EIGHTY * steakSd));
        }

        /** What four pieces in five give at least, fraction of green. */
        public double steakSure() {
            return Math.max(0, over - FOUR_IN_FIVE * steakSd);
        }
    }

    /** @param last the last day, 0 or more; day 0 is the first */
    public List<OutlookDay> days(int last) {
        List<Forecast.Day> weights = forecast.daily(last);
        List<Section> sections = weights.stream()
                .map(weight -> trimModel.after(weight.lost()).part(left))
                .toList();
        List<DayToStop.Stop> stops = economics.days(sections);
        return IntStream.rangeClosed(0, last)
                .mapToObj(day -> day(day, weights.get(day), sections.get(day), stops.get(day)))
                .toList();
    }

    private OutlookDay day(int day, Forecast.Day weight, Section section, DayToStop.Stop stop) {
        return new OutlookDay(
                day,
                weight,
                section,
                left * trimModel.over(weight.lost()),
                steakSd(weight, section),
                stop,
                Tenderness.done(species, climate, day),
                EquivalentDays.at(climate, day),
                Style.reached(species, day));
    }

    /** The water's part by how the steaks move with it, the knife's, the more there is to cut off, and that of pockets. */
    private double steakSd(Forecast.Day weight, Section section) {
        double step = 0.01;
        double slope = left * (trimModel.over(weight.lost()) - trimModel.over(weight.lost() + step)) / step;
        double knife = steakYieldSd * Math.max(left, section.crust() / Estimates.USUAL_CRUST);
        return Math.hypot(Math.hypot(slope * weight.sd(), knife), Estimates.POCKET_SD * section.pockets());
    }

    /** The formula, figures and source behind the numbers of one day. */
    public List<Working> workings(OutlookDay day) {
        return OutlookWorkings.of(this, day);
    }
}
