package elvaro.server.compare;

import elvaro.core.ledger.Comparison;
import elvaro.server.forecast.Figures;
import elvaro.server.hanging.CostView;
import elvaro.server.hanging.LedgerView;
import elvaro.server.hanging.PieceCard;
import elvaro.server.hanging.PieceQueries;
import elvaro.server.piece.PieceState;
import elvaro.server.settings.WorkshopService;
import elvaro.server.settings.WorkshopSettings;
import elvaro.server.shared.Refusal;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Two to eight cut pieces side by side. */
@Service
@Transactional(readOnly = true)
public class CompareService {
    private static final int MOST = 8;

    private final PieceQueries pieces;
    private final WorkshopService workshops;

    CompareService(PieceQueries pieces, WorkshopService workshops) {
        this.pieces = pieces;
        this.workshops = workshops;
    }

    /** One piece in the comparison. */
    public record ColumnView(PieceCard card, LedgerView ledger, CostView cost) {}

    /** Best and worst by one measure, and why. */
    public record MarkView(String measure, UUID best, UUID worst, String reason) {}

    public record CompareView(List<ColumnView> columns, List<MarkView> marks) {}

    public CompareView compare(List<UUID> ids) {
        List<UUID> distinct = ids.stream().distinct().toList();
        if (distinct.size() < 2 || distinct.size() > MOST) {
            throw Refusal.wrong("how-many", "pieces", "Choose two to eight pieces.");
        }
        List<Figures> found = pieces.figures(distinct);
        found.stream()
                .filter(figures -> figures.piece().state() != PieceState.CUT)
                .findFirst()
                .ifPresent(figures -> {
                    throw Refusal.wrong(
                            "not-cut",
                            "pieces",
                            "%s is not cut yet; only finished pieces are compared."
                                    .formatted(figures.piece().tag()));
                });
        WorkshopSettings settings = workshops.settings();
        List<PieceCard> cards = pieces.cardsOf(found);
        List<ColumnView> columns = IntStream.range(0, found.size())
                .mapToObj(index -> {
                    Figures figures = found.get(index);
                    CostView cost = CostView.of(
                            figures.landed(), figures.steak(), figures.ledger().green(), settings);
                    return new ColumnView(cards.get(index), LedgerView.of(figures.ledger()), cost);
                })
                .toList();
        return new CompareView(columns, marks(distinct, found));
    }

    private static List<MarkView> marks(List<UUID> ids, List<Figures> found) {
        List<String> tags = found.stream().map(figures -> figures.piece().tag()).toList();
        Stream<MarkView> ledger = Comparison.marks(
                        found.stream().map(Figures::ledger).toList(), tags)
                .stream()
                .map(mark -> new MarkView(
                        mark.measure().name(), ids.get(mark.best()), ids.get(mark.worst()), mark.reason()));
        return Stream.concat(ledger, costMark(ids, tags, found).stream()).toList();
    }

    private static Optional<MarkView> costMark(List<UUID> ids, List<String> tags, List<Figures> found) {
        return Comparison.cheapest(
                        found.stream()
                                .map(figures -> figures.steak().perKilogram())
                                .toList(),
                        tags)
                .map(mark -> new MarkView("COST", ids.get(mark.best()), ids.get(mark.worst()), mark.reason()));
    }
}
