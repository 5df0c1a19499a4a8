package elvaro.core.trial;

import static elvaro.core.working.Quantity.mass;

import java.util.Optional;

/** What is to be learnt from where the meat of an arm went, where that is in what was thrown away. */
public final class Lesson {
    /** Less than this share of the green weight thrown away more or less is no lesson (EST). */
    private static final double LEAST_SHARE = 0.02;

    /** Less water than this share of the green weight is not spoken of (EST). */
    private static final double LEAST_WATER = 0.003;

    private Lesson() {}

    /**
     * Where the pieces of an arm went, mean grams.
     *
     * @param eaten steaks, slices, usable trim and fat
     */
    public record Went(double green, double water, double eaten, double discard) {
        /** As if so much had been hung. */
        private Went at(double grams) {
            double scale = grams / green;
            return new Went(grams, water * scale, eaten * scale, discard * scale);
        }
    }

    /**
     * One sentence; empty where the lesson is not in the discard. The two are held against each other at one weight, the
     * mean of both; what was thrown away is told as it was weighed.
     *
     * @param cause why it was thrown away, as it stands in a sentence; empty where nobody said
     */
    public static Optional<String> of(String arm, String control, Went there, Went here, String cause) {
        double grams = (there.green() + here.green()) / 2;
        Went less = there.at(grams);
        Went more = here.at(grams);
        double thrown = more.discard() - less.discard();
        double water = more.water() - less.water();
        double eaten = more.eaten() - less.eaten();
        if (Math.abs(thrown) < LEAST_SHARE * grams || Math.abs(thrown) < Math.abs(water)) {
            return Optional.empty();
        }
        boolean dry = water > LEAST_WATER * grams;
        boolean wet = water < -LEAST_WATER * grams;
        String because = cause.isEmpty() ? "" : " (%s)".formatted(cause);
        if (thrown > 0) {
            return Optional.of(
                    wet && eaten < 0
                            ? "%s kept %s of water and cost %s of meat: %s of it was thrown away%s."
                                    .formatted(arm, whole(-water), whole(-eaten), whole(here.discard()), because)
                            : "Of %s %s was thrown away, %s more than of %s%s."
                                    .formatted(arm, whole(here.discard()), whole(thrown), control, because));
        }
        return Optional.of(
                dry && eaten > 0
                        ? "%s lost %s more water and still gave %s more meat: %s less was thrown away."
                                .formatted(arm, whole(water), whole(eaten), whole(-thrown))
                        : "Of %s %s was thrown away, %s less than of %s."
                                .formatted(arm, whole(here.discard()), whole(-thrown), control));
    }

    /** Whether so much more of the second was thrown away that it is a lesson. */
    public static boolean isLoss(Went there, Went here) {
        return here.discard() / here.green() - there.discard() / there.green() >= LEAST_SHARE;
    }

    private static String whole(double grams) {
        return mass(Math.round(grams));
    }
}
