package elvaro.server.carcass;

import elvaro.core.drying.Method;
import elvaro.core.game.CarcassYield;
import elvaro.core.game.Ice;
import elvaro.core.game.Part;
import elvaro.core.ledger.Balance;
import elvaro.core.ledger.Ledger;
import elvaro.core.ledger.Piles;
import elvaro.server.carcass.CarcassView.AnimalView;
import elvaro.server.carcass.CarcassView.CarcassLine;
import elvaro.server.carcass.CarcassView.CutSheet;
import elvaro.server.carcass.CarcassView.IceView;
import elvaro.server.carcass.CarcassView.PartView;
import elvaro.server.carcass.CarcassView.YieldAhead;
import elvaro.server.lot.Lot;
import elvaro.server.piece.Figures;
import elvaro.server.piece.Piece;
import elvaro.server.piece.PieceCard;
import elvaro.server.piece.PieceService;
import elvaro.server.piece.PieceState;
import elvaro.server.settings.WorkshopService;
import elvaro.server.shared.Refusal;
import java.time.Duration;
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
    private final PieceService pieces;
    private final WorkshopService workshops;

    CarcassReading(CarcassRepository carcasses, PieceService pieces, WorkshopService workshops) {
        this.carcasses = carcasses;
        this.pieces = pieces;
        this.workshops = workshops;
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
                carcass.cooledAt()
                        .map(cold -> Duration.between(carcass.killedAt(), cold).toMinutes() / 60.0)
                        .orElse(null),
                carcass.test(),
                lot.held().orElse(null),
                ahead(carcass, lot.receivedGrams()),
                ice(carcass, whole.piece()),
                Part.of(carcass.animal()).stream()
                        .map(part -> part(part, whole.ledger(), off, parts))
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

    private static @Nullable IceView ice(Carcass carcass, Piece whole) {
        if (whole.method().filter(method -> method == Method.ON_ICE).isEmpty()) {
            return null;
        }
        int grams = whole.greenGrams();
        Ice ice = Ice.of(
                grams,
                carcass.meatCelsius().orElse(0.0),
                carcass.outsideCelsius().orElse(0.0));
        return new IceView(
                ice.onceKg(),
                ice.perDayKg(),
                ice.laidIn(grams),
                Math.max(ice.laidIn(grams), ice.forDays(whole.targetDays().orElse(1))),
                ice.topUpDays(grams));
    }

    private PartView part(Part part, Ledger whole, List<CarcassPart> off, Map<UUID, Figures> figures) {
        Figures cut = off.stream()
                .filter(each -> each.part() == part)
                .map(each -> figures.get(each.id()))
                .findFirst()
                .orElse(null);
        Piece piece = cut == null ? null : cut.piece();
        return new PartView(
                part,
                part.label(),
                part.see(),
                part.share(),
                (int) Math.round(part.share() * whole.aged()),
                piece == null ? null : piece.id(),
                piece == null ? null : piece.tag(),
                piece == null ? null : piece.greenGrams(),
                piece == null ? null : piece.state(),
                cut == null || piece.state() != PieceState.CUT
                        ? null
                        : cut.ledger().piles());
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
        return new CutSheet(
                whole.ledger().aged(),
                partsGrams(parts),
                whole.ledger().piles(),
                cut,
                toCut,
                cut.steak() + cut.usableTrim(),
                balance.residual(),
                balance.state(),
                balance.question().orElse(null));
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
                own.piles().plus(new Piles(partsGrams(parts), 0, 0, 0, 0)),
                own.cutAway());
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
