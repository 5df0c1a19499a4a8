package elvaro.core.trial;

import static elvaro.core.working.Quantity.number;
import static elvaro.core.working.Quantity.price;
import static elvaro.core.working.Quantity.share;
import static elvaro.core.working.Quantity.signed;

import elvaro.core.trial.Effect.Repeat;
import java.util.Optional;

/**
 * What a trial found in one measure, in plain words first. It never says that two arms are equal.
 *
 * @param judgement how sure it may be
 * @param value arm less control, in the scale of the measure; empty for voices
 * @param band of the difference, 80 %; empty where nothing was done twice
 * @param sentence to be read aloud: {@code Honey has 1.2 points less shrink than Plain, 14.8 % against 16.0 %.}
 * @param surety what follows from how sure it is, to be said after the sentence; may be empty
 * @param statistics the same for whoever wants to check it
 */
public record TrialVerdict(
        Judgement judgement,
        Optional<Double> value,
        Optional<Band> band,
        String sentence,
        String surety,
        String statistics) {
    private static final double LEVEL = 0.8;

    /** Names and means of an arm and its control; of a cost the means of the minor units for a kilogram. */
    public record Sides(String arm, double armMean, String control, double controlMean) {}

    /** Of a measure that each piece has a figure of. */
    public static TrialVerdict of(Judgement judgement, Effect effect, Sides sides) {
        Optional<Band> band = effect.band(LEVEL);
        return new TrialVerdict(
                judgement,
                Optional.of(effect.value()),
                band,
                sentence(judgement.found().measure(), effect.value(), sides),
                surety(judgement, "more %s would tell".formatted(effect.repeat().label())),
                statistics(judgement, effect, band));
    }

    /**
     * Of the liking.
     *
     * @param found what was said at the tables, in words
     * @param statistics the same for whoever wants to check it
     */
    public static TrialVerdict ofLiking(Judgement judgement, String found, String statistics) {
        return new TrialVerdict(
                judgement,
                Optional.empty(),
                Optional.empty(),
                found,
                surety(judgement, "more tasters would tell"),
                statistics);
    }

    private static String sentence(TrialMeasure measure, double value, Sides sides) {
        return switch (measure.scale()) {
            case SHARE ->
                isZero(value * 100)
                        ? same(measure.label(), sides, share(sides.armMean()))
                        : "%s has %s points %s %s than %s, %s against %s."
                                .formatted(
                                        sides.arm(),
                                        one(Math.abs(value) * 100),
                                        value < 0 ? "less" : "more",
                                        measure.label(),
                                        sides.control(),
                                        share(sides.armMean()),
                                        share(sides.controlMean()));
            case COUNT ->
                isZero(value)
                        ? same("number of steaks", sides, count(sides.armMean()))
                        : "A piece of %s gives %s steaks, one of %s %s."
                                .formatted(
                                        sides.arm(),
                                        count(sides.armMean()),
                                        sides.control(),
                                        count(sides.controlMean()));
            case LOGARITHM -> cost(measure, sides);
            case VOICES -> throw new IllegalArgumentException("Voices are counted, not measured.");
        };
    }

    private static String same(String what, Sides sides, String figure) {
        return "%s and %s have the same %s, %s.".formatted(sides.arm(), sides.control(), what, figure);
    }

    private static String cost(TrialMeasure measure, Sides sides) {
        double dearer = sides.armMean() - sides.controlMean();
        String what = measure == TrialMeasure.COST ? "The steak of %s" : "What is eaten of %s";
        String subject = what.formatted(sides.arm());
        return Math.round(dearer) == 0
                ? "%s costs the same as of %s, %s.".formatted(subject, sides.control(), price(sides.armMean()))
                : "%s is %s %s than of %s, %s against %s."
                        .formatted(
                                subject,
                                price(Math.abs(dearer)),
                                dearer < 0 ? "cheaper" : "dearer",
                                sides.control(),
                                price(sides.armMean()),
                                price(sides.controlMean()));
    }

    private static String surety(Judgement judgement, String more) {
        if (!judgement.asked()) {
            return judgement.standsOut() ? "That is more than chance, even among all that was looked at." : "";
        }
        return switch (judgement.strength()) {
            case SHOWN -> "That is not chance.";
            case LEANING -> "It leans that way; %s.".formatted(more);
            case NOT_SHOWN -> "No difference is shown, which is not to say there is none.";
            case ANECDOTE -> "Nothing was done twice: an anecdote.";
        };
    }

    private static String statistics(Judgement judgement, Effect effect, Optional<Band> band) {
        if (band.isEmpty()) {
            return effect.repeat() == Repeat.ANIMAL
                    ? "One animal in an arm: however many pieces were cut from it, it says one thing."
                    : "One difference has no spread to judge it by.";
        }
        TrialMeasure measure = judgement.found().measure();
        String test = effect.pairs() > 0
                ? "Student's t on %d %s".formatted(effect.pairs(), Repeat.PAIR.label())
                : "Welch's t between %s".formatted(effect.repeat().label());
        return "%s: %s, 80 %% from %s to %s; t %s with %s of freedom, %s."
                .formatted(
                        test,
                        figure(measure, effect.value()),
                        figure(measure, band.get().low()),
                        figure(measure, band.get().high()),
                        signed(effect.error() == 0 ? 0 : effect.value() / effect.error(), 2),
                        degrees(effect.freedom()),
                        chance(judgement));
    }

    private static String degrees(double freedom) {
        return count(freedom) + (Math.abs(freedom - 1) < 0.05 ? " degree" : " degrees");
    }

    private static String chance(Judgement judgement) {
        double alone = judgement.found().p();
        return Math.abs(judgement.p() - alone) < 5e-4
                ? "p " + p(alone)
                : "p %s, among all that was looked at with it %s (Holm)".formatted(p(alone), p(judgement.p()));
    }

    /** A difference with its sign, in points, steaks or per cent of the cost. */
    private static String figure(TrialMeasure measure, double value) {
        return switch (measure.scale()) {
            case SHARE -> signed(value * 100, 1) + " points";
            case LOGARITHM -> signed((Math.exp(value) - 1) * 100, 0) + " %";
            case COUNT, VOICES -> signed(value, 1);
        };
    }

    private static boolean isZero(double value) {
        return Math.abs(value) < 0.05;
    }

    private static String one(double value) {
        return number(value, 1);
    }

    /** To a tenth, whole numbers without it. */
    private static String count(double value) {
        return number(value, Math.abs(value - Math.rint(value)) < 0.05 ? 0 : 1);
    }

    private static String p(double value) {
        return value < 0.001 ? "below " + number(0.001, 3) : number(value, 3);
    }
}
