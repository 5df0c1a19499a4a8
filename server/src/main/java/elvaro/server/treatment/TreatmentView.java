package elvaro.server.treatment;

import elvaro.core.drying.Coating;
import elvaro.core.treatment.Dose;
import elvaro.core.treatment.DoseUnit;
import elvaro.core.treatment.TreatmentKind;
import elvaro.core.treatment.TreatmentStep.Moment;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A kind of treatment.
 *
 * @param slows whether it changes the drying
 * @param onTheSurface what the drying reckons with, as it stands in a sentence
 * @param first the dose to start from; absent for what is dosed by time
 * @param onLabel absent where there is no label
 * @param count what of its course may be more or less; absent where nothing may
 */
record TreatmentView(
        TreatmentKind kind,
        String label,
        String what,
        boolean slows,
        String onTheSurface,
        @Nullable DoseView first,
        @Nullable DoseView onLabel,
        List<TreatmentStepView> steps,
        @Nullable CountView count,
        String lookFor,
        String nextTime) {

    record DoseView(double amount, DoseUnit measure, Dose.Basis basis, String words) {
        private static DoseView of(Dose dose) {
            return new DoseView(dose.amount(), dose.measure(), dose.basis(), dose.words());
        }
    }

    record CountView(String label, int usual, int least, int most) {}

    record TreatmentStepView(int day, Moment moment, String words) {}

    static TreatmentView of(TreatmentKind kind) {
        return new TreatmentView(
                kind,
                kind.label(),
                kind.what(),
                kind.coating() != Coating.NONE,
                kind.coating().label(),
                kind.first().map(DoseView::of).orElse(null),
                kind.onLabel().map(DoseView::of).orElse(null),
                kind.course().steps().stream()
                        .map(step -> new TreatmentStepView(step.day(), step.moment(), step.words()))
                        .toList(),
                kind.course()
                        .count()
                        .map(count -> new CountView(count.label(), count.usual(), count.least(), count.most()))
                        .orElse(null),
                kind.lookFor(),
                kind.nextTime());
    }
}
