package elvaro.core.plan;

import static elvaro.core.working.Quantity.limit;
import static elvaro.core.working.Quantity.money;
import static elvaro.core.working.Quantity.share;

import elvaro.core.plan.Outlook.OutlookDay;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * What it costs and gives to take a piece down on another day than its own.
 *
 * @param days later than its own, or below 0 earlier
 * @param steakGrams that become more, or below 0 fewer
 * @param minor what the days between cost: steak at what it is worth, and the chamber; empty where nobody knows a price
 * @param tenderness on its own day and on the other, of what it can reach; empty where no rate is known
 */
public record OtherDay(int days, double steakGrams, Optional<Double> minor, Optional<Tenderness> tenderness) {
    private static final int WEEK = 7;

    /** Shares of what can be reached, 0–1. */
    public record Tenderness(double own, double other) {}

    /**
     * @param outlook from day 0 on, both days among it
     * @param greenGrams of the piece
     * @param own the day it is to be pulled, or today where that is past
     */
    public static OtherDay of(List<OutlookDay> outlook, int greenGrams, int own, int other) {
        List<Optional<Double>> between = IntStream.range(Math.min(own, other), Math.max(own, other))
                .mapToObj(day -> outlook.get(day).stop().marginalCost())
                .toList();
        double sum = between.stream()
                .flatMap(Optional::stream)
                .mapToDouble(each -> each)
                .sum();
        OutlookDay there = outlook.get(other);
        return new OtherDay(
                other - own,
                (there.section().steak() - outlook.get(own).section().steak()) * greenGrams,
                between.stream().allMatch(Optional::isPresent) ? Optional.of(sum) : Optional.empty(),
                outlook.get(own)
                        .tenderness()
                        .flatMap(now -> there.tenderness().map(then -> new Tenderness(now, then))));
    }

    /** In words, as {@code A week longer costs 240 g of steak, about 9.40.} */
    public String sentence() {
        long grams = Math.round(Math.abs(steakGrams));
        String worth = minor.map(each -> ", about " + money(each)).orElse("");
        String what = grams == 0 ? "next to no steak" : limit(grams) + " of steak";
        if (days > 0) {
            return "%s longer costs %s%s%s.".formatted(length(), what, worth, gain());
        }
        return "%s earlier saves %s%s%s.".formatted(length(), what, worth, gain());
    }

    /** What waiting costs, for who is late, as {@code each further week costs about 180 g of steak, 7.20}; empty for nothing. */
    public Optional<String> waiting() {
        long grams = Math.round(-steakGrams);
        return grams <= 0
                ? Optional.empty()
                : Optional.of("each further %s costs about %s of steak%s"
                        .formatted(
                                days == WEEK ? "week" : count(days),
                                limit(grams),
                                minor.map(each -> ", " + money(each)).orElse("")));
    }

    private String length() {
        int count = Math.abs(days);
        return count == 1 ? "A day" : count == WEEK ? "A week" : count(count);
    }

    private static String count(int days) {
        return days + " days";
    }

    private String gain() {
        return tenderness
                .filter(each -> Math.round(each.own * 100) != Math.round(each.other * 100))
                .map(each -> "; tenderness %s instead of %s of what it can reach"
                        .formatted(share(each.other), share(each.own)))
                .orElse("");
    }
}
