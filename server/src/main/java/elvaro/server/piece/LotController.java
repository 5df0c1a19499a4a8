package elvaro.server.piece;

import elvaro.core.cut.Species;
import elvaro.server.lot.DecisionService;
import elvaro.server.lot.DecisionService.DecisionView;
import elvaro.server.lot.Lot;
import elvaro.server.lot.LotForm;
import elvaro.server.lot.LotService;
import elvaro.server.shared.Refusal;
import jakarta.validation.Valid;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Lots with the pieces cut from them. */
@RestController
@RequestMapping("/api/lots")
class LotController {
    private final LotService lots;
    private final PieceService pieces;
    private final HangingService hanging;
    private final DecisionService decisions;

    LotController(LotService lots, PieceService pieces, HangingService hanging, DecisionService decisions) {
        this.lots = lots;
        this.pieces = pieces;
        this.hanging = hanging;
        this.decisions = decisions;
    }

    /**
     * A lot and what became of it.
     *
     * @param form what was entered
     * @param cuttingLossGrams lot less pieces, 0 while it is whole
     */
    record LotView(
            int number,
            String cutName,
            Species species,
            LotForm form,
            int cuttingLossGrams,
            List<PieceCard> pieces,
            List<DecisionView> decisions) {}

    /** A lot in a list. */
    record LotLine(UUID id, int number, String cutName, String supplier, int receivedGrams, String receivedOn) {}

    @GetMapping
    List<LotLine> newest() {
        return lots.newest().stream()
                .map(lot -> new LotLine(
                        lot.id(),
                        lot.number(),
                        lot.cut().name(),
                        lot.supplier(),
                        lot.receivedGrams(),
                        lot.receivedOn().toString()))
                .toList();
    }

    @GetMapping("/{id}")
    @Transactional(readOnly = true)
    LotView lot(@PathVariable UUID id) {
        Lot lot = lots.get(id);
        List<PieceCard> cut = pieces.ofLot(id);
        int onPieces = cut.stream().mapToInt(PieceCard::greenGrams).sum();
        return new LotView(
                lot.number(),
                lot.cut().name(),
                lot.cut().species(),
                form(lot),
                cut.isEmpty() ? 0 : lot.receivedGrams() - onPieces,
                cut,
                decisions.about(id, null));
    }

    @PostMapping
    LotForm receive(@RequestBody @Valid LotForm form) {
        return form(lots.receive(form));
    }

    @PutMapping("/{id}")
    LotForm change(@PathVariable UUID id, @RequestBody @Valid LotForm form) {
        if (!form.id().equals(id)) {
            throw Refusal.wrong("invalid", "id", "The lot in the address is not the one in the request.");
        }
        return form(pieces.changeLot(form));
    }

    @PostMapping("/{id}/pieces")
    List<PieceCard> split(@PathVariable UUID id, @RequestBody @Valid SplitForm form) {
        hanging.split(id, form);
        return pieces.ofLot(id);
    }

    private static LotForm form(Lot lot) {
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
