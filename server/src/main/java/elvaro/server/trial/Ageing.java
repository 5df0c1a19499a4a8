package elvaro.server.trial;

import static elvaro.core.working.Quantity.price;

import elvaro.core.tasting.Finish;
import elvaro.core.tasting.SignedRank;
import elvaro.core.tasting.TastingVerdict;
import elvaro.core.trial.Factor;
import elvaro.server.forecast.Figures;
import elvaro.server.tasting.TrialTastings.ArmPlate;
import elvaro.server.tasting.TrialTastings.Tasted;
import elvaro.server.trial.TrialView.AgeingView;
import elvaro.server.trial.TrialView.GainView;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Whether ageing pays, and for which grade: what each kept fresh gains by it, and whether the cheap one reaches the dear. */
@Component
class Ageing {
    private static final int FEWEST_TASTERS = 2;

    /** Absent for a trial that asks something else, or of which nothing is cut or tasted. */
    @Nullable
    AgeingView of(TrialWithPieces trial, Tasted tasted) {
        if (trial.trial().factor() != Factor.AGEING) {
            return null;
        }
        List<GainView> gains = trial.others().stream()
                .map(arm -> gain(trial, trial.controlOf(arm), arm, tasted))
                .sorted(Comparator.comparing(GainView::paidMinorPerKg, Comparator.nullsLast(Comparator.naturalOrder())))
                .toList();
        return new AgeingView(gains, cheapAgainstDear(trial, tasted));
    }

    private static GainView gain(TrialWithPieces trial, TrialArm fresh, TrialArm aged, Tasted tasted) {
        Map<UUID, Double> there = tasted.scores(new ArmPlate(fresh.id(), Finish.NOTHING));
        Map<UUID, Double> here = tasted.scores(new ArmPlate(aged.id(), Finish.NOTHING));
        double[] differences = both(there, here);
        Optional<SignedRank> test =
                differences.length < FEWEST_TASTERS ? Optional.empty() : Optional.of(SignedRank.of(differences));
        return new GainView(
                aged.name(),
                fresh.name(),
                paid(trial, aged).orElse(null),
                mean(trial, fresh, Ageing::perKg).orElse(null),
                mean(trial, aged, Ageing::perKg).orElse(null),
                average(there),
                average(here),
                test.map(SignedRank::shift).orElse(null),
                test.map(SignedRank::interval).orElse(null),
                tasted.liking(aged.id(), fresh.id())
                        .map(liking -> TastingVerdict.of(liking, aged.name(), fresh.name())
                                .sentence())
                        .orElse(null));
    }

    /** Of the lots that cost most and least, the cheap one aged against the dear one fresh. */
    private static @Nullable String cheapAgainstDear(TrialWithPieces trial, Tasted tasted) {
        List<TrialArm> aged = trial.others().stream()
                .filter(arm -> paid(trial, arm).isPresent())
                .sorted(Comparator.comparing(arm -> paid(trial, arm).orElseThrow()))
                .toList();
        if (aged.size() < 2) {
            return null;
        }
        TrialArm cheap = aged.get(0);
        TrialArm dear = trial.controlOf(aged.get(aged.size() - 1));
        String liked = tasted.liking(cheap.id(), dear.id())
                .map(liking ->
                        TastingVerdict.of(liking, cheap.name(), dear.name()).sentence())
                .orElse("%s and %s were not tasted against each other yet.".formatted(cheap.name(), dear.name()));
        Optional<Double> cheapCost = mean(trial, cheap, Ageing::perKg);
        Optional<Double> dearCost = mean(trial, dear, Ageing::perKg);
        String cost = cheapCost.isEmpty() || dearCost.isEmpty()
                ? "What steak costs is not known of both yet."
                : "Steak costs %s of %s and %s of %s."
                        .formatted(price(cheapCost.get()), cheap.name(), price(dearCost.get()), dear.name());
        return "%s %s".formatted(liked, cost);
    }

    private static double[] both(Map<UUID, Double> there, Map<UUID, Double> here) {
        return here.entrySet().stream()
                .filter(each -> there.containsKey(each.getKey()))
                .mapToDouble(each -> each.getValue() - there.get(each.getKey()))
                .toArray();
    }

    private static @Nullable Double average(Map<UUID, Double> scores) {
        OptionalDouble mean =
                scores.values().stream().mapToDouble(Double::doubleValue).average();
        return mean.isPresent() ? mean.getAsDouble() : null;
    }

    private static Optional<Double> paid(TrialWithPieces trial, TrialArm arm) {
        return mean(
                trial,
                arm,
                each -> Optional.ofNullable(each.piece().lot().priceMinorPerKg())
                        .map(Integer::doubleValue));
    }

    private static Optional<Double> perKg(Figures figures) {
        return TrialWithPieces.cut(figures) ? figures.steak().perKilogram() : Optional.empty();
    }

    private static Optional<Double> mean(
            TrialWithPieces trial, TrialArm arm, Function<Figures, Optional<Double>> value) {
        OptionalDouble mean = trial.of(arm).stream()
                .map(each -> value.apply(each).orElse(null))
                .filter(Objects::nonNull)
                .mapToDouble(Double::doubleValue)
                .average();
        return mean.isPresent() ? Optional.of(mean.getAsDouble()) : Optional.empty();
    }
}
