package elvaro.server.bench;

import elvaro.core.cost.SteakCost;
import elvaro.core.drying.Method;
import elvaro.core.ledger.LogFact.LogFactKind;
import elvaro.core.ledger.Piles;
import elvaro.core.ledger.Stream;
import elvaro.core.portion.Steaks;
import elvaro.core.portion.Steaks.Trimmed;
import elvaro.core.portion.SteaksCut;
import elvaro.core.portion.SteaksCut.Container;
import elvaro.core.yield.BenchOrder;
import elvaro.core.yield.Closeness;
import elvaro.core.yield.KnifeWork;
import elvaro.core.yield.Section;
import elvaro.core.yield.TrimModel;
import elvaro.server.bench.BenchView.CutChoice;
import elvaro.server.bench.BenchView.KnifeView;
import elvaro.server.bench.BenchView.SteaksCutView;
import elvaro.server.forecast.Figures;
import elvaro.server.hanging.PieceView.EntryView;
import elvaro.server.piece.Piece;
import elvaro.server.settings.WorkshopSettings;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;

/** What core says of cutting one piece. */
final class Cutting {
    private Cutting() {}

    /** Every way to cut it; empty for what never hung. */
    static List<CutChoice> choices(Figures figures, WorkshopSettings settings) {
        if (figures.ahead() == null) {
            return List.of();
        }
        TrimModel trimModel = figures.ahead().trimModel();
        List<CutChoice> choices = new ArrayList<>();
        for (BenchOrder order : BenchOrder.values()) {
            for (Closeness closeness : Closeness.values()) {
                Piles piles = piles(figures, section(figures, trimModel.cutBy(order, closeness)));
                SteakCost cost =
                        SteakCost.of(figures.landed(), piles, figures.ledger().slices(), settings.byProductPrices());
                choices.add(new CutChoice(
                        order,
                        closeness,
                        piles.steak(),
                        piles.trimmedOff(),
                        cost.perKilogram().orElse(null)));
            }
        }
        return choices;
    }

    private static Section section(Figures figures, TrimModel trimModel) {
        var ledger = figures.ledger();
        return trimModel.after(Math.max(0, ledger.lostOfRest())).part(ledger.left());
    }

    /** What the piles are expected to weigh, cut as it was chosen. */
    static Piles piles(Figures figures, Section section) {
        Piece piece = figures.piece();
        return section.piles(piece.greenGrams(), piece.method().orElse(Method.OPEN_AIR));
    }

    static SteaksCutView cut(List<EntryView> log) {
        SteaksCut cut = SteaksCut.of(log.stream()
                .filter(entry -> entry.stands() && entry.kind() == LogFactKind.PILE && entry.stream() == Stream.STEAK)
                .map(entry ->
                        new Container(entry.grams(), entry.steaks() == null ? Container.UNCOUNTED : entry.steaks()))
                .toList());
        return new SteaksCutView(cut.count(), orNull(cut.gramsEach()), orNull(cut.spreadGrams()), cut.roastGrams());
    }

    private static @Nullable Double orNull(OptionalDouble value) {
        return value.isPresent() ? value.getAsDouble() : null;
    }

    static @Nullable KnifeView knife(Figures figures) {
        Piece piece = figures.piece();
        return work(figures)
                .map(work -> new KnifeView(
                        work.cutMm(),
                        work.crustMm(),
                        work.measured(),
                        work.marginMm(),
                        order(piece).marginMm(),
                        KnifeWork.steakOver(piece.trimModel().orElseThrow(), figures.ledger())
                                .orElse(null)))
                .orElse(null);
    }

    static java.util.Optional<KnifeWork> work(Figures figures) {
        Piece piece = figures.piece();
        OptionalDouble measured = piece.crustTenthsMm()
                .map(tenths -> OptionalDouble.of(tenths / 10.0))
                .orElse(OptionalDouble.empty());
        return piece.trimModel().flatMap(trimModel -> KnifeWork.of(trimModel, figures.ledger(), measured));
    }

    static BenchOrder order(Piece piece) {
        return piece.benchOrder().orElse(BenchOrder.SLICE_FIRST);
    }

    /**
     * Steaks from what is expected to be left after trimming.
     *
     * @param lengthMm measured after trimming; absent where its cross-section follows from its class
     */
    static Trimmed trimmed(Figures figures, @Nullable Integer lengthMm, boolean saw, int endMm) {
        Piece piece = figures.piece();
        double grams = figures.expectedSection().steak() * piece.greenGrams();
        double kerf = saw ? SAW_KERF_MM : 0;
        if (lengthMm != null) {
            return new Trimmed(grams, lengthMm, kerf, endMm);
        }
        double lost = 1 - figures.expectedSection().now();
        double cut = piece.trimModel().map(trim -> trim.cutMm(lost)).orElse(0.0);
        return Trimmed.usual(piece.cut(), piece.greenGrams(), grams, lost, cut, kerf, endMm);
    }

    /** Reference, section 9. */
    private static final double SAW_KERF_MM = 2;

    /** What comes of it. */
    record SteaksView(
            int count, double thicknessMm, double gramsEach, double endsGrams, double leftOverGrams, double lengthMm) {
        static SteaksView of(Steaks steaks, Trimmed piece) {
            return new SteaksView(
                    steaks.count(),
                    steaks.thicknessMm(),
                    steaks.gramsEach(),
                    steaks.endsGrams(),
                    steaks.leftOverGrams(),
                    piece.lengthMm());
        }
    }
}
