package elvaro.server.compare;

import elvaro.core.compare.GroupEffects;
import elvaro.core.compare.GroupEffects.Adjusted;
import elvaro.core.compare.LinearModel;
import elvaro.core.compare.ShrinkCurve;
import elvaro.core.compare.TradeOff;
import elvaro.core.compare.TradeOff.Candidate;
import elvaro.core.compare.TradeOff.Placed;
import elvaro.core.ledger.Ledger;
import elvaro.core.ledger.Stream;
import elvaro.core.trial.Band;
import elvaro.core.trial.Factor;
import elvaro.core.trial.TrialMeasure;
import elvaro.server.compare.EvidenceView.CurveView;
import elvaro.server.compare.EvidenceView.DotView;
import elvaro.server.compare.EvidenceView.GroupView;
import elvaro.server.compare.EvidenceView.ModelView;
import elvaro.server.compare.EvidenceView.TermView;
import elvaro.server.compare.EvidenceView.Went;
import elvaro.server.compare.FinishedRows.EvidenceRow;
import elvaro.server.compare.FinishedRows.Shop;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import java.util.function.ToIntFunction;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** Answers questions put to all finished pieces. */
@Service
public class EvidenceService {
    private static final int MOST_DOTS = 400;
    private static final double LEVEL = 0.95;

    private final FinishedRows rows;

    EvidenceService(FinishedRows rows) {
        this.rows = rows;
    }

    EvidenceView ask(AskFilter filter, Factor by, TrialMeasure measure) {
        Shop shop = rows.shop();
        List<EvidenceRow> asked = shop.rows().stream().filter(filter::takes).toList();
        Map<String, List<EvidenceRow>> byGroup = asked.stream().collect(Collectors.groupingBy(row -> group(by, row)));
        Optional<GroupEffects> effects = effects(asked, by, measure);
        List<GroupView> groups = effects.map(found -> found.groups().stream()
                        .map(each -> group(each, byGroup.get(each.name()), measure))
                        .toList())
                .orElse(List.of());
        return new EvidenceView(
                shop.rows().size(),
                asked.size(),
                by,
                measure,
                effects.map(GroupEffects::reference).orElse(""),
                groups,
                effects.flatMap(GroupEffects::model).map(EvidenceService::model).orElse(null),
                effects.map(GroupEffects::caveats).orElse(List.of()),
                dots(asked, by),
                shop.facets());
    }

    /** All finished pieces with their figures; the names of the columns have the units in them. */
    public record FinishedTable(List<String> columns, List<List<?>> rows) {}

    public FinishedTable finished() {
        return EvidenceFiles.table(rows.shop().rows());
    }

    /** The rows themselves, the last hung first. */
    List<EvidenceRow> rows(AskFilter filter) {
        return rows.shop().rows().stream().filter(filter::takes).toList();
    }

    /** A group has a name, also where nobody entered one. */
    static String group(Factor by, EvidenceRow row) {
        String name = by.of(row.facts());
        return name.isBlank() ? "not said" : name;
    }

    private static Optional<GroupEffects> effects(List<EvidenceRow> asked, Factor by, TrialMeasure measure) {
        List<GroupEffects.Row> known = asked.stream()
                .flatMap(row -> row.by(measure).stream()
                        .map(value -> new GroupEffects.Row(
                                group(by, row), row.facts().days(), row.facts().greenGrams(), value)))
                .toList();
        return known.isEmpty() ? Optional.empty() : Optional.of(GroupEffects.of(known));
    }

    private static GroupView group(GroupEffects.Group group, List<EvidenceRow> rows, TrialMeasure measure) {
        boolean cost = measure.isCost();
        List<Double> costs = rows.stream()
                .map(EvidenceRow::costMinorPerKg)
                .filter(Objects::nonNull)
                .toList();
        return new GroupView(
                group.name(),
                group.pieces(),
                group.meanDays(),
                cost ? Math.exp(group.mean()) : group.mean(),
                went(rows),
                costs.isEmpty()
                        ? null
                        : costs.stream()
                                .mapToDouble(Double::doubleValue)
                                .average()
                                .orElseThrow(),
                group.effect().map(effect -> cost ? asRatio(effect) : effect).orElse(null),
                ShrinkCurve.of(rows.stream()
                                .map(row -> new ShrinkCurve.Point(
                                        row.facts().days(), row.ledger().shrinkFraction()))
                                .toList())
                        .map(CurveView::of)
                        .orElse(null));
    }

    /** Logarithms back into how much dearer. */
    private static Adjusted asRatio(Adjusted effect) {
        return new Adjusted(
                Math.expm1(effect.value()),
                new Band(
                        Math.expm1(effect.band().low()),
                        Math.expm1(effect.band().high())),
                effect.shown());
    }

    private static Went went(List<EvidenceRow> rows) {
        double green = sum(rows, Ledger::green);
        Map<Stream, Double> piles = new EnumMap<>(Stream.class);
        for (Stream stream : Stream.values()) {
            piles.put(stream, sum(rows, ledger -> ledger.piles().of(stream)) / green);
        }
        return new Went(sum(rows, Ledger::shrink) / green, piles, sum(rows, Ledger::withdrawn) / green);
    }

    private static double sum(List<EvidenceRow> rows, ToIntFunction<Ledger> grams) {
        return rows.stream().mapToDouble(row -> grams.applyAsInt(row.ledger())).sum();
    }

    static ModelView model(LinearModel model) {
        return new ModelView(
                model.terms().stream()
                        .map(term -> new TermView(
                                term.name(),
                                term.estimate(),
                                term.error(),
                                term.t(),
                                term.p(),
                                term.estimate() - term.halfWidth(LEVEL),
                                term.estimate() + term.halfWidth(LEVEL)))
                        .toList(),
                model.dropped(),
                model.pieces(),
                model.freedom(),
                model.residualSd(),
                model.explained());
    }

    /** Tasted pieces first of all: they are few, and what taste costs is drawn from them. */
    private static List<DotView> dots(List<EvidenceRow> asked, Factor by) {
        Map<UUID, String> beaten = beaten(asked);
        List<EvidenceRow> tasted =
                asked.stream().filter(row -> row.liked() != null).toList();
        List<EvidenceRow> others =
                asked.stream().filter(row -> row.liked() == null).toList();
        // Of very many, every so-manieth: from the first day of the shop to the last.
        int step = Math.max(1, (int) Math.ceil((double) others.size() / MOST_DOTS));
        List<EvidenceRow> drawn = new ArrayList<>(tasted);
        for (int index = 0; index < others.size(); index += step) {
            drawn.add(others.get(index));
        }
        return drawn.stream()
                .map(row -> new DotView(
                        row.id(),
                        row.facts().tag(),
                        row.facts().cut(),
                        group(by, row),
                        row.pulledOn(),
                        row.facts().days(),
                        row.facts().greenGrams(),
                        row.ledger().shrinkFraction(),
                        row.ledger().steakYield(),
                        row.costMinorPerKg(),
                        row.liked(),
                        beaten.get(row.id())))
                .toList();
    }

    /** Only what met, or met the same, is held against each other. */
    private static Map<UUID, String> beaten(List<EvidenceRow> asked) {
        Map<Integer, List<EvidenceRow>> circles = asked.stream()
                .filter(row -> row.liked() != null && row.costMinorPerKg() != null)
                .collect(Collectors.groupingBy(
                        row -> Objects.requireNonNull(row.liked()).circle()));
        Map<UUID, String> beaten = new HashMap<>();
        circles.values().forEach(circle -> {
            List<Placed> placed =
                    TradeOff.of(circle.stream().map(EvidenceService::candidate).toList());
            for (int index = 0; index < circle.size(); index++) {
                UUID id = circle.get(index).id();
                placed.get(index).beatenBy().map(Candidate::name).ifPresent(tag -> beaten.put(id, tag));
            }
        });
        return beaten;
    }

    private static Candidate candidate(EvidenceRow row) {
        @Nullable Double cost = row.costMinorPerKg();
        return new Candidate(
                row.facts().tag(), Objects.requireNonNull(row.liked()).chance(), Objects.requireNonNull(cost));
    }
}
