package elvaro.core.trial;

import elvaro.core.treatment.Course.Count;
import elvaro.core.treatment.Dose;
import java.util.Optional;

/** What a next trial changes in one treatment of one arm, or in the days of all. */
public enum Change {
    AGAIN("as it was", 1, 1),
    HALF_DOSE("half the dose", 0.5, 1),
    TWICE_DOSE("twice the dose", 2, 1),
    HALF_AS_OFTEN("half as long or as often", 1, 0.5),
    TWICE_AS_OFTEN("twice as long or as often", 1, 2);

    private final String label;
    private final double doses;
    private final double numbers;

    Change(String label, double doses, double numbers) {
        this.label = label;
        this.doses = doses;
        this.numbers = numbers;
    }

    /** As it stands in a sentence. */
    public String label() {
        return label;
    }

    public boolean isOfDose() {
        return doses != 1;
    }

    public boolean isOfNumber() {
        return numbers != 1;
    }

    public Dose of(Dose dose) {
        return new Dose(dose.amount() * doses, dose.measure(), dose.basis());
    }

    /**
     * @param number of days or times
     * @return the changed number; empty where the course does not allow it, for less than it says is another change
     */
    public Optional<Integer> number(int number, Count count) {
        int changed = (int) Math.round(number * numbers);
        return changed == number || changed < count.least() || changed > count.most()
                ? Optional.empty()
                : Optional.of(changed);
    }
}
