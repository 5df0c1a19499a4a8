package elvaro.server.hanging;

import elvaro.core.cut.Species;
import elvaro.core.ledger.Split;
import elvaro.core.question.Question;
import elvaro.server.lot.DecisionService;
import elvaro.server.lot.DecisionService.DecisionView;
import elvaro.server.lot.Lot;
import elvaro.server.lot.LotForm;
import elvaro.server.lot.LotService;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What became of a lot, and what a split of it would leave. */
@Service
@Transactional(readOnly = true)
public class LotStory {
    private final LotService lots;
    private final PieceQueries pieces;
    private final DecisionService decisions;

    LotStory(LotService lots, PieceQueries pieces, DecisionService decisions) {
        this.lots = lots;
        this.pieces = pieces;
        this.decisions = decisions;
    }

    /**
     * A lot and what became of it.
     *
     * @param form what was entered
     * @param cuttingLossGrams lot less pieces, 0 while it is whole
     */
    public record LotView(
            int number,
            String cutName,
            Species species,
            LotForm form,
            int cuttingLossGrams,
            List<PieceCard> pieces,
            List<DecisionView> decisions) {}

    /**
     * What a split would leave.
     *
     * @param lossGrams lot less pieces, negative when the pieces weigh more
     */
    public record SplitView(int lossGrams, @Nullable Question question) {}

    public LotView view(UUID id) {
        Lot lot = lots.get(id);
        List<PieceCard> cut = pieces.ofLot(id);
        int onPieces = pieces.cutFrom(id);
        return new LotView(
                lot.number(),
                lot.cut().name(),
                lot.cut().species(),
                form(lot),
                cut.isEmpty() ? 0 : lot.receivedGrams() - onPieces,
                cut,
                decisions.about(id, null));
    }

    /** @param grams of each piece, each above 0 */
    public SplitView preview(UUID id, List<Integer> grams) {
        Split split = new Split(lots.get(id).receivedGrams(), grams);
        return new SplitView(split.cuttingLoss(), split.question().orElse(null));
    }

    static LotForm form(Lot lot) {
        return new LotForm(
                lot.id(),
                lot.version(),
                lot.cut().code(),
                lot.grade(),
                lot.boneIn(),
                lot.fatCoverMm(),
                lot.receivedGrams(),
                lot.priceMinorPerKg(),
                lot.supplier(),
                lot.packedOn(),
                lot.receivedOn(),
                lot.arrivalCelsius(),
                lot.sourceTag(),
                lot.note(),
                Map.of());
    }
}
