package elvaro.server.carcass;

import elvaro.core.drying.Coating;
import elvaro.core.game.Animal.Build;
import elvaro.core.game.CarcassYield;
import elvaro.core.game.Part;
import elvaro.core.ledger.Balance;
import elvaro.core.ledger.Ledger;
import elvaro.core.ledger.Piles;
import elvaro.core.prepare.PreparationStep;
import elvaro.server.carcass.CarcassView.AnimalView;
import elvaro.server.carcass.CarcassView.CarcassLine;
import elvaro.server.carcass.CarcassView.CutSheet;
import elvaro.server.carcass.CarcassView.PartView;
import elvaro.server.carcass.CarcassView.YieldAhead;
import elvaro.server.forecast.Figures;
import elvaro.server.hanging.PieceCard;
import elvaro.server.hanging.PieceQueries;
import elvaro.server.lot.Lot;
import elvaro.server.piece.Piece;
import elvaro.server.piece.PieceState;
import elvaro.server.settings.WorkshopService;
import elvaro.server.shared.Refusal;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Reading animals: what is ahead, which parts are off, where the weight went. */
@Service
@Transactional(readOnly = true)
class CarcassReading {
    private final CarcassRepository carcasses;
    private final PieceQueries pieces;
    private final WorkshopService workshops;
    private final CoolingService cooling;

    CarcassReading(
            CarcassRepository carcasses, PieceQueries pieces, WorkshopService workshops, CoolingService cooling) {
        this.carcasses = carcasses;
        this.pieces = pieces;
        this.workshops = workshops;
        this.cooling = cooling;
    }

    /** The last killed first. */
    List<CarcassLine> all() {
        List<Carcass> newest = carcasses.newest();
        if (newest.isEmpty()) {
            return List.of();
        }
        Map<UUID, Figures> figures = byPiece(newest.stream().map(Carcass::id).toList());
        return newest.stream()
                .map(carcass -> {
                    Figures whole = figures.get(carcass.id());
                    Lot lot = whole.piece().lot();
                    return new CarcassLine(
                            carcass.id(),
                            pieces.card(whole),
                            carcass.animal().label(),
                            lot.sourceTag(),
                            carcass.killedAt(),
                            lot.held().orElse(null));
                })
                .toList();
    }

    CarcassView view(UUID id) {
        Carcass carcass = find(id);
        Figures whole = pieces.figures(List.of(id)).get(0);
        PieceCard card = pieces.card(whole);
        Lot lot = whole.piece().lot();
        List<CarcassPart> off = carcasses.parts(id);
        Map<UUID, Figures> parts = byPiece(off.stream().map(CarcassPart::id).toList());
        return new CarcassView(
                id,
                carcass.version(),
                card,
                lot.number(),
                AnimalView.of(carcass.animal()),
                lot.sourceTag(),
                carcass.permit(),
                carcass.killedAt(),
                carcass.place(),
                carcass.weighed(),
                carcass.skinOn(),
                carcass.wound(),
                whole.piece().coating() == Coating.HIDE,
                cooling.view(carcass, whole.piece()),
                carcass.test(),
                lot.held().orElse(null),
                ahead(carcass, lot.receivedGrams()),
                carcass.school(),
                carcass.animal().build() == Build.HOOFED
                        ? carcass.school()
                                .packed(CarcassYield.of(carcass.animal(), lot.receivedGrams(), carcass.weighed()))
                        : null,
                whole.piece().hanging().stream()
                        .flatMap(how -> PreparationStep.of(whole.piece().cut(), how).stream())
                        .map(PreparationStep::words)
                        .toList(),
                Part.of(carcass.animal()).stream()
                        .map(part -> part(part, carcass, whole.ledger(), off, parts))
                        .toList(),
                sheet(whole, parts));
    }

    private static YieldAhead ahead(Carcass carcass, int grams) {
        CarcassYield yield = CarcassYield.of(carcass.animal(), grams, carcass.weighed());
        return new YieldAhead(
                yield.carcassGrams(),
                yield.idealGrams(),
                yield.realisticGrams(),
                yield.leastGrams(),
                yield.mostGrams(),
                yield.working());
    }

    private PartView part(Part part, Carcass carcass, Ledger whole, List<CarcassPart> off, Map<UUID, Figures> figures) {
        Figures cut = off.stream()
                .filter(each -> each.part() == part)
                .map(each -> figures.get(each.id()))
                .findFirst()
                .orElse(null);
        Piece piece = cut == null ? null : cut.piece();
        return new PartView(
                part,
                part.label(),
                part.see(carcass.school().knife()),
                part.share(),
                (int) Math.round(
                        part.grams(skinned(carcass, whole), carcass.school().knife())),
                piece == null ? null : piece.id(),
                piece == null ? null : piece.tag(),
                piece == null ? null : piece.greenGrams(),
                piece == null ? null : piece.state(),
                cut == null || piece.state() != PieceState.CUT
                        ? null
                        : cut.ledger().piles().grams());
    }

    /** What it weighs without skin and head, whether they are on it or not. */
    private static double skinned(Carcass carcass, Ledger whole) {
        double carcassGrams = CarcassYield.of(carcass.animal(), whole.green(), carcass.weighed())
                .carcassGrams();
        return Math.min(whole.aged(), carcassGrams * (whole.aged() + whole.withdrawn()) / whole.green());
    }

    private CutSheet sheet(Figures whole, Map<UUID, Figures> parts) {
        Balance balance = balance(whole, parts);
        Piles cut = parts.values().stream()
                .filter(part -> part.piece().state() == PieceState.CUT)
                .map(part -> part.ledger().piles())
                .reduce(Piles.NONE, Piles::plus);
        int toCut = parts.values().stream()
                .filter(part -> part.piece().state() != PieceState.CUT)
                .mapToInt(part -> part.piece().greenGrams())
                .sum();
        int boneless = cut.steak() + cut.usableTrim();
        return new CutSheet(
                whole.ledger().aged(),
                partsGrams(parts),
                whole.ledger().piles().grams(),
                cut.grams(),
                toCut,
                boneless,
                perKg(whole, toCut, boneless),
                balance.residual(),
                balance.state(),
                balance.question().orElse(null));
    }

    /** Price of the animal, less that of what still hangs or waits, over the boneless meat it gave so far. */
    private static @Nullable Double perKg(Figures whole, int toCutGrams, int bonelessGrams) {
        Lot lot = whole.piece().lot();
        int parts = whole.ledger().aged();
        Integer price = lot.priceMinorPerKg();
        if (bonelessGrams == 0 || price == null || parts == 0) {
            return null;
        }
        double paid = lot.receivedGrams() / 1000.0 * price;
        return paid * Math.max(0, 1 - (double) toCutGrams / parts) / (bonelessGrams / 1000.0);
    }

    private static int partsGrams(Map<UUID, Figures> parts) {
        return parts.values().stream()
                .mapToInt(part -> part.piece().greenGrams())
                .sum();
    }

    /** The animal as it was taken down, with its parts as one more pile. */
    Ledger ledger(UUID id) {
        List<UUID> off = carcasses.parts(id).stream().map(CarcassPart::id).toList();
        return ledger(pieces.figures(List.of(id)).get(0), byPiece(off));
    }

    private static Ledger ledger(Figures whole, Map<UUID, Figures> parts) {
        Ledger own = whole.ledger();
        return new Ledger(
                own.green(),
                own.withdrawn(),
                own.aged(),
                own.piles().plus(Piles.of(partsGrams(parts), 0, 0, 0, 0)),
                own.cutAway(),
                own.left());
    }

    Balance balance(UUID id) {
        List<UUID> off = carcasses.parts(id).stream().map(CarcassPart::id).toList();
        return balance(pieces.figures(List.of(id)).get(0), byPiece(off));
    }

    private Balance balance(Figures whole, Map<UUID, Figures> parts) {
        return Balance.of(
                ledger(whole, parts),
                workshops.mine().divisionGrams(),
                whole.log().weighingsAtTheBench() + parts.size());
    }

    private Map<UUID, Figures> byPiece(List<UUID> ids) {
        return ids.isEmpty()
                ? Map.of()
                : pieces.figures(ids).stream()
                        .collect(Collectors.toMap(each -> each.piece().id(), Function.identity()));
    }

    private Carcass find(UUID id) {
        return carcasses.findById(id).orElseThrow(() -> Refusal.notFound("carcass"));
    }
}
