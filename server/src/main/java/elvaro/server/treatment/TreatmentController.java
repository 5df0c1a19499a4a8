package elvaro.server.treatment;

import elvaro.core.cut.Cut;
import elvaro.core.cut.CutCatalogue;
import elvaro.core.drying.Method;
import elvaro.core.treatment.Clash;
import elvaro.core.treatment.Dose;
import elvaro.core.treatment.Kind;
import elvaro.core.treatment.Measure;
import elvaro.server.shared.Refusal;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import java.util.Arrays;
import java.util.List;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

@RestController
class TreatmentController {

    /**
     * A treatment somebody thinks of giving a piece.
     *
     * @param amount of the measure for each unit of the basis; absent for what is dosed by time
     * @param meatCelsius of the meat, where it was measured
     */
    record TreatmentPlan(
            @NotNull Kind kind,
            @NotBlank(message = "Choose the cut.") String cutCode,

            @NotNull(message = "The weight is needed.")
            @Min(value = 50, message = "The weight must be at least 50 g.")
            @Max(value = 300_000, message = "The weight must be at most 300 kg.")
            Integer grams,

            @NotNull Method method,

            @Nullable @Max(value = 100_000, message = "That is more than any piece takes.")
            Double amount,

            @Nullable Measure measure,
            Dose.@Nullable Basis basis,
            boolean rawGarlicOrHerbs,
            boolean oil,
            boolean spirit,
            boolean sharedChamber,
            @Nullable Double meatCelsius) {}

    /** A whole amount in one measure. */
    record AmountView(double amount, Measure measure, String symbol) {}

    record ClashView(Clash clash, Clash.Answer answer, String reason) {}

    /**
     * What a piece gets.
     *
     * @param amounts the same amount in every measure it can be measured in; empty for what is dosed by time
     * @param timesLabel how many times the dose on the label; absent without one
     * @param overLabel whether that is asked about
     * @param clashes those that stop it first
     */
    record ScaledView(
            List<AmountView> amounts,
            double squareMetres,
            @Nullable Double timesLabel,
            boolean overLabel,
            List<ClashView> clashes) {}

    /** Every kind of treatment. */
    @GetMapping("/api/treatments")
    List<TreatmentView> kinds() {
        return Arrays.stream(Kind.values()).map(TreatmentView::of).toList();
    }

    /** How much of a treatment a piece gets, and what it clashes with. */
    @PostMapping("/api/treatments/scaled")
    ScaledView scaled(@RequestBody @Valid TreatmentPlan plan) {
        Cut cut = CutCatalogue.find(plan.cutCode)
                .orElseThrow(() -> Refusal.wrong("unknown-cut", "cutCode", "Choose a cut from the list."));
        double squareMetres = cut.surface().squareMetres(plan.grams);
        List<ClashView> clashes = Clash.in(new Clash.Plan(
                        plan.kind,
                        plan.method,
                        plan.rawGarlicOrHerbs,
                        plan.oil,
                        plan.spirit,
                        plan.sharedChamber,
                        plan.meatCelsius == null ? OptionalDouble.empty() : OptionalDouble.of(plan.meatCelsius)))
                .stream()
                .map(clash -> new ClashView(clash, clash.answer(), clash.reason()))
                .toList();
        Dose dose = dose(plan);
        if (dose == null) {
            return new ScaledView(List.of(), squareMetres, null, false, clashes);
        }
        Double times = plan.kind
                .onLabel()
                .filter(label -> label.measure().weighs() == dose.measure().weighs())
                .map(label -> dose.times(label, plan.grams, squareMetres))
                .orElse(null);
        return new ScaledView(
                amounts(dose.measure(), dose.forPiece(plan.grams, squareMetres)),
                squareMetres,
                times,
                times != null && times > Dose.LABEL_TIMES,
                clashes);
    }

    private static @Nullable Dose dose(TreatmentPlan plan) {
        if (plan.amount == null || plan.measure == null || plan.basis == null) {
            return null;
        }
        try {
            return new Dose(plan.amount, plan.measure, plan.basis);
        } catch (IllegalArgumentException wrong) {
            throw Refusal.wrong("invalid", "amount", String.valueOf(wrong.getMessage()));
        }
    }

    private static List<AmountView> amounts(Measure measure, double amount) {
        return Arrays.stream(Measure.values())
                .filter(other -> other.weighs() == measure.weighs())
                .map(other -> new AmountView(measure.in(other, amount), other, other.symbol()))
                .toList();
    }
}
