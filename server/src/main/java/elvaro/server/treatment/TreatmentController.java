package elvaro.server.treatment;

import elvaro.core.cut.Cut;
import elvaro.core.cut.CutCatalogue;
import elvaro.core.drying.Method;
import elvaro.core.treatment.Clash;
import elvaro.core.treatment.Dose;
import elvaro.core.treatment.DoseUnit;
import elvaro.core.treatment.TreatmentKind;
import elvaro.server.shared.Refusal;
import elvaro.server.treatment.TreatmentQueries.GivenShare;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

@RestController
class TreatmentController {
    private final RecipeService recipes;

    TreatmentController(RecipeService recipes) {
        this.recipes = recipes;
    }

    /**
     * A treatment somebody thinks of giving a piece.
     *
     * @param recipeId the workshop's own mixture, which then says kind, dose and what is in it
     * @param amount of the measure for each unit of the basis; absent for what is dosed by time
     * @param meatCelsius of the meat, where it was measured
     */
    record TreatmentScenario(
            @NotNull TreatmentKind kind,
            @Nullable UUID recipeId,
            @NotBlank(message = "Choose the cut.") String cutCode,

            @NotNull(message = "The weight is needed.")
            @Min(value = 50, message = "The weight must be at least ⟦limit 50⟧.")
            @Max(value = 300_000, message = "The weight must be at most ⟦limit 300000⟧.")
            Integer grams,

            @NotNull Method method,

            @Nullable @Max(value = 100_000, message = "That is more than any piece takes.")
            Double amount,

            @Nullable DoseUnit measure,
            Dose.@Nullable Basis basis,
            boolean rawGarlicOrHerbs,
            boolean oil,
            boolean spirit,
            boolean sharedChamber,
            @Nullable Double meatCelsius) {}

    /** A whole amount in one measure. */
    record AmountView(double amount, DoseUnit measure, String symbol) {}

    record ClashView(Clash clash, Clash.ClashAnswer answer, String reason) {}

    /**
     * What a piece gets.
     *
     * @param amounts the same amount in every measure it can be measured in; empty for what is dosed by time
     * @param shares what of each part of the recipe; empty without one
     * @param costMinor what the recipe's parts cost together
     * @param onLabel what the label says for such a piece; absent where there is no label
     * @param timesLabel how many times the dose on the label; absent without one
     * @param overLabel whether that is asked about
     * @param clashes those that stop it first
     */
    record ScaledView(
            List<AmountView> amounts,
            double squareMetres,
            List<GivenShare> shares,
            double costMinor,
            @Nullable AmountView onLabel,
            @Nullable Double timesLabel,
            boolean overLabel,
            List<ClashView> clashes) {}

    /** Every kind of treatment. */
    @GetMapping("/api/treatments")
    List<TreatmentView> kinds() {
        return Arrays.stream(TreatmentKind.values()).map(TreatmentView::of).toList();
    }

    /** How much of a treatment a piece gets, and what it clashes with. */
    @PostMapping("/api/treatments/scaled")
    ScaledView scaled(@RequestBody @Valid TreatmentScenario plan) {
        Cut cut = CutCatalogue.find(plan.cutCode)
                .orElseThrow(() -> Refusal.wrong("unknown-cut", "cutCode", "Choose a cut from the list."));
        double squareMetres = cut.surface().squareMetres(plan.grams);
        Optional<OwnRecipe> own = Optional.ofNullable(plan.recipeId).map(recipes::find);
        TreatmentKind kind = own.map(OwnRecipe::kind).orElse(plan.kind);
        List<ClashView> clashes = Clash.find(new Clash.TreatmentPlan(
                        kind,
                        plan.method,
                        own.map(OwnRecipe::rawGarlicOrHerbs).orElse(plan.rawGarlicOrHerbs),
                        own.map(OwnRecipe::oil).orElse(plan.oil),
                        own.map(OwnRecipe::spirit).orElse(plan.spirit),
                        plan.sharedChamber,
                        plan.meatCelsius == null ? OptionalDouble.empty() : OptionalDouble.of(plan.meatCelsius)))
                .stream()
                .map(clash -> new ClashView(clash, clash.answer(), clash.reason()))
                .toList();
        Dose dose = own.isPresent() ? own.get().dose() : Doses.of(plan.amount, plan.measure, plan.basis);
        AmountView onLabel = kind.onLabel()
                .map(label -> new AmountView(
                        label.forPiece(plan.grams, squareMetres),
                        label.measure(),
                        label.measure().symbol()))
                .orElse(null);
        if (dose == null) {
            return new ScaledView(List.of(), squareMetres, List.of(), 0, onLabel, null, false, clashes);
        }
        double whole = dose.forPiece(plan.grams, squareMetres);
        List<GivenShare> shares =
                own.map(recipe -> GivenShare.of(recipe.recipe(), whole)).orElse(List.of());
        Double times = kind.onLabel()
                .filter(label -> label.measure().weighs() == dose.measure().weighs())
                .map(label -> dose.times(label, plan.grams, squareMetres))
                .orElse(null);
        return new ScaledView(
                amounts(dose.measure(), whole),
                squareMetres,
                shares,
                shares.stream().mapToDouble(GivenShare::costMinor).sum(),
                onLabel,
                times,
                times != null && times > Dose.LABEL_TIMES,
                clashes);
    }

    private static List<AmountView> amounts(DoseUnit measure, double amount) {
        return Arrays.stream(DoseUnit.values())
                .filter(other -> other.weighs() == measure.weighs())
                .map(other -> new AmountView(measure.convert(other, amount), other, other.symbol()))
                .toList();
    }
}
