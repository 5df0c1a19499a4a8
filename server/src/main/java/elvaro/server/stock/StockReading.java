package elvaro.server.stock;

import elvaro.server.account.AccountService;
import elvaro.server.lot.Lot;
import elvaro.server.lot.LotService;
import elvaro.server.piece.Figures;
import elvaro.server.piece.PieceCard;
import elvaro.server.piece.PieceService;
import elvaro.server.settings.WorkshopService;
import elvaro.server.settings.WorkshopSettings;
import elvaro.server.shared.Refusal;
import elvaro.server.stock.StockView.OutView;
import elvaro.server.stock.StockView.PackStory;
import elvaro.server.stock.StockView.PackView;
import elvaro.server.stock.StockView.RecallLine;
import elvaro.server.stock.StockView.RecallView;
import elvaro.server.stock.StockView.RuleView;
import elvaro.server.stock.StockView.StockSum;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Arrays;
import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Reading the stock: what there is, what became of a pack, what came of a lot. */
@Service
@Transactional(readOnly = true)
class StockReading {
    private final PackRepository packs;
    private final PieceService pieces;
    private final LotService lots;
    private final AccountService accounts;
    private final WorkshopService workshops;

    StockReading(
            PackRepository packs,
            PieceService pieces,
            LotService lots,
            AccountService accounts,
            WorkshopService workshops) {
        this.packs = packs;
        this.pieces = pieces;
        this.lots = lots;
        this.accounts = accounts;
        this.workshops = workshops;
    }

    StockView stock() {
        List<PackView> there = views(packs.inStock());
        return new StockView(
                workshops.today(),
                there,
                Arrays.stream(Content.values())
                        .map(content -> sum(content, there))
                        .filter(sum -> sum.packs() > 0)
                        .toList(),
                packs.rules().stream()
                        .map(rule ->
                                new RuleView(rule.content(), rule.wrap(), rule.keeping(), rule.version(), rule.days()))
                        .toList());
    }

    private static StockSum sum(Content content, List<PackView> there) {
        List<PackView> own =
                there.stream().filter(pack -> pack.content() == content).toList();
        return new StockSum(
                content,
                content.label(),
                own.size(),
                own.stream().mapToInt(PackView::leftGrams).sum());
    }

    /** Of a piece, those that went out among them. */
    List<PackView> ofPiece(UUID pieceId) {
        return views(packs.ofPieces(List.of(pieces.find(pieceId).id())));
    }

    List<PackView> all(Collection<UUID> ids) {
        List<Pack> found = packs.all(ids);
        if (found.size() < new HashSet<>(ids).size()) {
            throw Refusal.notFound("pack");
        }
        return views(found);
    }

    PackStory story(UUID id) {
        Pack pack = packs.findById(id).orElseThrow(() -> Refusal.notFound("pack"));
        Lot lot = pieces.find(pack.pieceId()).lot();
        Map<UUID, String> names = accounts.names();
        return new PackStory(
                views(List.of(pack)).get(0),
                lot.supplier(),
                lot.sourceTag(),
                lot.number(),
                names.getOrDefault(pack.accountId(), ""),
                outs(packs.outsOf(List.of(id)), names));
    }

    /** Every pack of every piece of a lot, and where each went. */
    RecallView recall(UUID lotId) {
        Lot lot = lots.get(lotId);
        List<UUID> ids = pieces.ofLot(lotId).stream().map(PieceCard::id).toList();
        List<Pack> all = ids.isEmpty() ? List.of() : packs.ofPieces(ids);
        Map<UUID, List<PackOut>> outs = byPack(all);
        Map<UUID, String> names = accounts.names();
        return new RecallView(
                lot.number(),
                lot.cut().name(),
                lot.supplier(),
                views(all).stream()
                        .map(view -> new RecallLine(view, outs(outs.getOrDefault(view.id(), List.of()), names)))
                        .toList());
    }

    private Map<UUID, List<PackOut>> byPack(List<Pack> all) {
        return all.isEmpty()
                ? Map.of()
                : packs.outsOf(all.stream().map(Pack::id).toList()).stream()
                        .collect(Collectors.groupingBy(PackOut::packId));
    }

    private static List<OutView> outs(List<PackOut> rows, Map<UUID, String> names) {
        Set<UUID> standing = Story.standing(rows).stream().map(PackOut::id).collect(Collectors.toSet());
        return rows.stream()
                .filter(row -> row.takesBack().isEmpty())
                .map(row -> new OutView(
                        row.id(),
                        row.way(),
                        row.way().label(),
                        row.grams(),
                        row.words(),
                        row.happenedAt(),
                        names.getOrDefault(row.accountId(), ""),
                        !standing.contains(row.id())))
                .toList();
    }

    private List<PackView> views(List<Pack> all) {
        if (all.isEmpty()) {
            return List.of();
        }
        Map<UUID, List<PackOut>> outs = byPack(all);
        Map<UUID, Figures> figures = pieces
                .figures(all.stream().map(Pack::pieceId).distinct().toList())
                .stream()
                .collect(Collectors.toMap(each -> each.piece().id(), Function.identity()));
        WorkshopSettings settings = workshops.settings();
        LocalDate today = workshops.today();
        return all.stream()
                .map(pack -> view(
                        pack, outs.getOrDefault(pack.id(), List.of()), figures.get(pack.pieceId()), settings, today))
                .toList();
    }

    private PackView view(Pack pack, List<PackOut> outs, Figures figures, WorkshopSettings settings, LocalDate today) {
        PieceCard card = pieces.card(figures);
        LocalDate useBy = pack.useBy().orElse(null);
        return new PackView(
                pack.id(),
                pack.number(),
                pack.content(),
                pack.content().label(),
                pack.grams(),
                Story.left(pack, outs),
                pack.wrap(),
                pack.wrap().label(),
                pack.keeping(),
                pack.keeping().label(),
                pack.packedOn(),
                useBy,
                useBy == null ? null : ChronoUnit.DAYS.between(today, useBy),
                pack.place(),
                card.id(),
                card.tag(),
                card.cutName(),
                card.dayNumber(),
                card.lotId(),
                price(pack.content(), figures, settings));
    }

    /** Of steak from cost and margin, of what goes with it as the workshop prices it. */
    private static @Nullable Double price(Content content, Figures figures, WorkshopSettings settings) {
        return switch (content) {
            case STEAK, ROAST ->
                figures.steak().priceFor(settings.targetMarginPercent() / 100.0).orElse(null);
            case TRIM -> (double) settings.usableTrimPriceMinorPerKg();
            case FAT -> (double) settings.fatPriceMinorPerKg();
            case BONE -> (double) settings.bonePriceMinorPerKg();
        };
    }
}
