package elvaro.core.trial;

import elvaro.core.treatment.Course.Count;
import elvaro.core.treatment.Dose;

/** The one thing a next trial changes from the one before. */
public enum Change {
    AGAIN("the same again", 1, 1, 0),
    HALF_DOSE("half the dose", 0.5, 1, 0),
    TWICE_DOSE("twice the dose", 2, 1, 0),
    HALF_AS_OFTEN("half as long or as often", 1, 0.5, 0),
    TWICE_AS_OFTEN("twice as long or as often", 1, 2, 0),
    TEN_DAYS_LESS("ten days less", 1, 1, -10),
    TEN_DAYS_MORE("ten days more", 1, 1, 10);

    private static final int LONGEST_DAYS = 400;

    private final String label;
    private final double doses;
    private final double numbers;
    private final int days;

    Change(String label, double doses, double numbers, int days) {
        this.label = label;
        this.doses = doses;
        this.numbers = numbers;
        this.days = days;
    }

    /** As it stands in a sentence. */
    public String label() {
        return label;
    }

    /** Whether there is anything to change where there is no dose. */
    public boolean needsDose() {
        return doses != 1;
    }

    /** Whether there is anything to change where nothing is counted. */
    public boolean needsCount() {
        return numbers != 1;
    }

    public Dose of(Dose dose) {
        return new Dose(dose.amount() * doses, dose.measure(), dose.basis());
    }

    /**
     * @param number of days or times
     * @return within what the course allows
     */
    public int number(int number, Count count) {
        long changed = Math.round(number * numbers);
        return (int) Math.max(count.least(), Math.min(count.most(), changed));
    }

    /** The target in days, 1 or more. */
    public int days(int target) {
        return Math.max(1, Math.min(LONGEST_DAYS, target + days));
    }
}
