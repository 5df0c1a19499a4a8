package elvaro.server.forecast;

import elvaro.core.keeping.Style;
import elvaro.core.plan.Outlook;
import org.jspecify.annotations.Nullable;

/**
 * One day ahead. Shares are of the green weight.
 *
 * @param grams expected weight, with the ends of its 80 % band
 * @param lost share gone as water, with the ends of its band
 * @param steak share that would be steak, with the ends of its band
 * @param crust share that would be crust and other lean trim
 * @param crustMm how deep the crust is
 * @param costPerKg of steak, minor units; absent where none is left
 * @param marginalCost what one more day costs, minor units
 * @param margin what is left over at the day's price, minor units; absent without a price
 * @param tenderness share of what ageing can give; absent where no rate is known
 * @param style what it is said to taste of; beef only
 */
public record DayAhead(
        int day,
        int grams,
        int leastGrams,
        int mostGrams,
        double lost,
        double lostLeast,
        double lostMost,
        double steak,
        double steakLeast,
        double steakMost,
        double crust,
        double crustMm,
        @Nullable Double costPerKg,
        @Nullable Double marginalCost,
        @Nullable Double margin,
        @Nullable Double tenderness,
        double equivalentDays,
        @Nullable String style) {

    public static DayAhead of(Outlook outlook, Outlook.OutlookDay day) {
        double green = outlook.left() * outlook.economics().greenGrams();
        return new DayAhead(
                day.day(),
                weight(green, day.weight().lost()),
                weight(green, day.weight().most()),
                weight(green, day.weight().least()),
                day.weight().lost(),
                day.weight().least(),
                day.weight().most(),
                day.section().steak(),
                day.steakLeast(),
                day.steakMost(),
                day.section().crust(),
                outlook.trimModel().crustMm(day.weight().lost()),
                day.stop().costPerKg().orElse(null),
                day.stop().marginalCost().orElse(null),
                day.stop().margin().orElse(null),
                day.tenderness().orElse(null),
                day.equivalentDays(),
                day.style().map(Style::words).orElse(null));
    }

    private static int weight(double green, double lost) {
        return (int) Math.round(green * (1 - lost));
    }
}
