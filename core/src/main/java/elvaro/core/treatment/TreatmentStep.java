package elvaro.core.treatment;

/**
 * One step of a treatment.
 *
 * @param day after the treatment began, 0 or more
 * @param moment when it is done
 * @param words what to do
 */
public record TreatmentStep(int day, Moment moment, String words) {
    /** To what a step belongs. */
    public enum Moment {
        BEFORE_HANGING,
        HANGING,
        AFTER_PULL,
        AT_THE_TABLE
    }

    static TreatmentStep before(int day, String words) {
        return new TreatmentStep(day, Moment.BEFORE_HANGING, words);
    }

    static TreatmentStep hanging(int day, String words) {
        return new TreatmentStep(day, Moment.HANGING, words);
    }

    static TreatmentStep after(int day, String words) {
        return new TreatmentStep(day, Moment.AFTER_PULL, words);
    }

    static TreatmentStep table(String words) {
        return new TreatmentStep(0, Moment.AT_THE_TABLE, words);
    }
}
