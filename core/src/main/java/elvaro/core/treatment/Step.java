package elvaro.core.treatment;

/**
 * One step of a treatment.
 *
 * @param day after the treatment began, 0 or more
 * @param moment when it is done
 * @param words what to do
 */
public record Step(int day, Moment moment, String words) {
    /** To what a step belongs. */
    public enum Moment {
        BEFORE_HANGING,
        HANGING,
        AFTER_PULL,
        AT_THE_TABLE
    }

    static Step before(int day, String words) {
        return new Step(day, Moment.BEFORE_HANGING, words);
    }

    static Step hanging(int day, String words) {
        return new Step(day, Moment.HANGING, words);
    }

    static Step after(int day, String words) {
        return new Step(day, Moment.AFTER_PULL, words);
    }

    static Step table(String words) {
        return new Step(0, Moment.AT_THE_TABLE, words);
    }
}
