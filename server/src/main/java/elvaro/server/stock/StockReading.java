package elvaro.server.stock;

import elvaro.server.account.AccountService;
import elvaro.server.forecast.Figures;
import elvaro.server.hanging.PieceCard;
import elvaro.server.hanging.PieceQueries;
import elvaro.server.lot.Lot;
import elvaro.server.lot.LotService;
import elvaro.server.settings.WorkshopService;
import elvaro.server.shared.Refusal;
import elvaro.server.stock.RecallRows.PackRow;
import elvaro.server.stock.StockView.OriginView;
import elvaro.server.stock.StockView.OutView;
import elvaro.server.stock.StockView.PackStory;
import elvaro.server.stock.StockView.PackView;
import elvaro.server.stock.StockView.RecallLine;
import elvaro.server.stock.StockView.RecallView;
import elvaro.server.stock.StockView.RuleView;
import elvaro.server.stock.StockView.StockSum;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Reading the stock: what there is, what became of a pack, what came of a lot. */
@Service
@Transactional(readOnly = true)
class StockReading {
    private final PackRepository packs;
    private final PieceQueries pieces;
    private final LotService lots;
    private final AccountService accounts;
    private final WorkshopService workshops;
    private final Lineage.LineageReader lineages;
    private final RecallRows recalls;

    StockReading(
            PackRepository packs,
            PieceQueries pieces,
            LotService lots,
            AccountService accounts,
            WorkshopService workshops,
            Lineage.LineageReader lineages,
            RecallRows recalls) {
        this.packs = packs;
        this.lineages = lineages;
        this.recalls = recalls;
        this.pieces = pieces;
        this.lots = lots;
        this.accounts = accounts;
        this.workshops = workshops;
    }

    /** What lies in a container, and how much of it went in. */
    record Lying(Content content, int grams) {}

    /** What went into what a pack was made of; bought meat is left out. */
    List<Lying> inside(PackView pack) {
        if (pack.makingId() == null) {
            return List.of();
        }
        List<PackOut> into = packs.into(List.of(pack.makingId())).stream()
                .filter(out -> out.takesBack().isEmpty())
                .toList();
        Map<UUID, Content> contents = packs
                .all(into.stream().map(PackOut::packId).toList())
                .stream()
                .collect(Collectors.toMap(Pack::id, Pack::content));
        return into.stream()
                .map(out -> new Lying(Objects.requireNonNull(contents.get(out.packId())), out.grams()))
                .toList();
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
        Map<UUID, String> names = accounts.names();
        return new PackStory(
                views(List.of(pack)).get(0),
                origins(pack),
                names.getOrDefault(pack.accountId(), ""),
                outs(packs.outsOf(List.of(id)), names));
    }

    private List<OriginView> origins(Pack pack) {
        Lineage lineage = lineages.of(List.of(pack));
        Stream<OriginView> own = lineage.roots(pack).stream()
                .map(root -> root.pieceId().orElseThrow())
                .distinct()
                .map(pieces::find)
                .map(piece -> new OriginView(
                        piece.cut().name(),
                        piece.id(),
                        piece.tag(),
                        piece.lot().id(),
                        piece.lot().number(),
                        piece.lot().supplier(),
                        piece.lot().sourceTag()));
        Stream<OriginView> bought = lineage.boughtBehind(pack).stream()
                .map(meat -> new OriginView(meat.name(), null, null, null, null, null, null));
        return Stream.concat(own, bought).toList();
    }

    /** Every pack of every piece of a lot, what was made of them, and where each went. */
    RecallView recall(UUID lotId) {
        Lot lot = lots.get(lotId);
        Map<UUID, String> tags = pieces.ofLot(lotId).stream().collect(Collectors.toMap(PieceCard::id, PieceCard::tag));
        Map<UUID, String> names = accounts.names();
        List<RecallLine> lines = new ArrayList<>();
        Set<UUID> known = new HashSet<>();
        Collection<PackRow> next = recalls.ofLot(lotId);
        while (!next.isEmpty()) {
            Set<UUID> made = new HashSet<>();
            for (PackRow pack : next) {
                if (known.add(pack.id())) {
                    lines.add(line(pack, tags, names));
                    Withdrawals.standing(pack.outs())
                            .forEach(row -> row.makingId().ifPresent(made::add));
                }
            }
            if (made.isEmpty()) {
                break;
            }
            packs.makings(made).forEach(making -> tags.put(making.id(), making.name()));
            next = recalls.ofMakings(made);
        }
        return new RecallView(lot.number(), lot.cut().name(), lot.supplier(), lines);
    }

    private static RecallLine line(PackRow pack, Map<UUID, String> tags, Map<UUID, String> names) {
        return new RecallLine(
                pack.id(),
                pack.number(),
                pack.content().label(),
                tags.get(pack.origin()),
                Withdrawals.left(pack.grams(), pack.outs()),
                pack.place(),
                outs(pack.outs(), names));
    }

    private Map<UUID, List<PackOut>> outsOf(List<Pack> all) {
        return all.isEmpty()
                ? Map.of()
                : byPack(packs.outsOf(all.stream().map(Pack::id).toList()));
    }

    private static Map<UUID, List<PackOut>> byPack(List<PackOut> outs) {
        return outs.stream().collect(Collectors.groupingBy(PackOut::packId));
    }

    private static List<OutView> outs(List<? extends Movement> rows, Map<UUID, String> names) {
        Set<UUID> standing =
                Withdrawals.standing(rows).stream().map(Movement::id).collect(Collectors.toSet());
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
                        row.makingId().orElse(null),
                        !standing.contains(row.id())))
                .toList();
    }

    List<PackView> views(List<Pack> all) {
        return views(all, outsOf(all));
    }

    private List<PackView> views(List<Pack> all, Map<UUID, List<PackOut>> outs) {
        if (all.isEmpty()) {
            return List.of();
        }
        Lineage lineage = lineages.of(all);
        List<UUID> behind = List.copyOf(lineage.pieces());
        Map<UUID, Figures> figures = (behind.isEmpty() ? List.<Figures>of() : pieces.figures(behind))
                .stream().collect(Collectors.toMap(each -> each.piece().id(), Function.identity()));
        Map<UUID, PieceCard> cards = figures.values().stream()
                .map(pieces::card)
                .collect(Collectors.toMap(PieceCard::id, Function.identity()));
        Prices prices = new Prices(lineage, figures, workshops.settings());
        LocalDate today = workshops.today();
        return all.stream()
                .map(pack -> view(
                        pack,
                        outs.getOrDefault(pack.id(), List.of()),
                        pack.pieceId().map(cards::get).orElse(null),
                        pack.makingId().map(lineage.makings()::get).orElse(null),
                        prices,
                        today))
                .toList();
    }

    private static PackView view(
            Pack pack,
            List<PackOut> outs,
            @Nullable PieceCard card,
            @Nullable Making making,
            Prices prices,
            LocalDate today) {
        LocalDate useBy = pack.useBy().orElse(null);
        return new PackView(
                pack.id(),
                pack.number(),
                pack.content(),
                pack.content().label(),
                pack.name().orElse(null),
                pack.toClean() && Withdrawals.standing(outs).isEmpty(),
                pack.grams(),
                Withdrawals.left(pack, outs),
                pack.wrap(),
                pack.wrap().label(),
                pack.keeping(),
                pack.keeping().label(),
                pack.packedOn(),
                useBy,
                useBy == null ? null : ChronoUnit.DAYS.between(today, useBy),
                pack.place(),
                card == null ? null : card.id(),
                making == null ? null : making.id(),
                card != null ? card.tag() : making != null ? making.name() : "",
                card != null ? card.cutName() : pack.content().label(),
                card == null ? null : card.dayNumber(),
                prices.cost(pack),
                prices.price(pack));
    }
}
