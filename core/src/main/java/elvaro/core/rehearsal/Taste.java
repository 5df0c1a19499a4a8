package elvaro.core.rehearsal;

/**
 * What a steak is like, each from 0 to 1. Estimates (EST) of this world's own.
 *
 * @param tender how far it has become tender
 * @param juicy how much juice it holds
 * @param aged how strong its aged flavour is
 * @param off how much it tastes of what it should not
 */
public record Taste(double tender, double juicy, double aged, double off) {
    /** Days after which the aged flavour has two thirds of its strength. */
    private static final double FLAVOUR_DAYS = 30;

    /** Under a film less of it comes. */
    private static final double WRAPPED = 0.6;

    /** Of a steak of this piece as it came down. */
    public static Taste of(RehearsalPlan plan, PieceTruth truth) {
        double open = plan.isWrapped() ? WRAPPED : 1;
        double lost = 1 - truth.grams() / plan.greenGrams();
        double turned = above(truth.rancid(), 0.6) + 0.4 * above(truth.scent(), 0.5) + above(truth.bacteria(), 6.5) / 2;
        return new Taste(
                truth.tender(),
                Math.max(0, 0.9 - 0.8 * lost),
                open * (1 - Math.exp(-truth.day() / FLAVOUR_DAYS)),
                Math.min(1, turned));
    }

    private static double above(double value, double limit) {
        return Math.max(0, value - limit);
    }

    /** How far two lie apart, whichever is liked more. */
    double from(Taste other) {
        return Math.hypot(
                Math.hypot(tender - other.tender, juicy - other.juicy), Math.hypot(aged - other.aged, off - other.off));
    }
}
