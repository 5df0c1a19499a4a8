package elvaro.server.demo;

import elvaro.core.ledger.Piles;
import elvaro.server.piece.Figures;
import elvaro.server.piece.Piece;
import elvaro.server.piece.PieceArchive;
import elvaro.server.piece.PieceService;
import elvaro.server.piece.PieceState;
import elvaro.server.settings.WorkshopService;
import elvaro.server.stock.Content;
import elvaro.server.stock.Keeping;
import elvaro.server.stock.StockArchive;
import elvaro.server.stock.StockArchive.PastPack;
import elvaro.server.stock.Way;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Random;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** What the invented workshop packed of its finished pieces: the old ones are sold, of the young ones some lie there. */
@Component
class DemoPacks {
    private static final int STEAK_GRAMS = 420;
    private static final int FROZEN_DAYS = 180;
    private static final int CHILLED_DAYS = 14;
    private static final int SELLS_WITHIN_DAYS = 70;

    private final PieceArchive archive;
    private final PieceService pieces;
    private final StockArchive stock;
    private final WorkshopService workshops;

    DemoPacks(PieceArchive archive, PieceService pieces, StockArchive stock, WorkshopService workshops) {
        this.archive = archive;
        this.pieces = pieces;
        this.stock = stock;
        this.workshops = workshops;
    }

    void fill(List<UUID> people, Random random) {
        stock.rule(Content.STEAK, Keeping.FROZEN, FROZEN_DAYS);
        stock.rule(Content.STEAK, Keeping.CHILLED, CHILLED_DAYS);
        stock.rule(Content.TRIM, Keeping.FROZEN, FROZEN_DAYS / 2);
        ZoneId zone = workshops.mine().zone();
        List<UUID> cut = archive.byTag().values().stream()
                .filter(piece -> piece.state() == PieceState.CUT)
                .map(Piece::id)
                .toList();
        pieces.figures(cut).stream()
                .sorted(Comparator.comparing((Figures each) -> cutOn(each, zone))
                        .thenComparing(each -> each.piece().tag()))
                .forEach(each -> stock.add(
                        each.piece().id(),
                        packs(each.ledger().piles(), cutOn(each, zone), random),
                        people.get(random.nextInt(people.size())),
                        zone));
    }

    private static LocalDate cutOn(Figures figures, ZoneId zone) {
        return figures.log()
                .pull()
                .map(pull -> pull.at().atZone(zone).toLocalDate())
                .orElseThrow();
    }

    private List<PastPack> packs(Piles piles, LocalDate day, Random random) {
        List<PastPack> packs = new ArrayList<>();
        int left = piles.steak();
        while (left > STEAK_GRAMS / 2) {
            int grams = Math.min(left, STEAK_GRAMS + random.nextInt(80) - 40);
            packs.add(pack(Content.STEAK, grams, day, random));
            left -= grams;
        }
        if (piles.usableTrim() > 0) {
            packs.add(pack(Content.TRIM, piles.usableTrim(), day, random));
        }
        return packs;
    }

    private PastPack pack(Content content, int grams, LocalDate day, Random random) {
        LocalDate today = workshops.today();
        Keeping keeping = content == Content.STEAK && random.nextInt(4) == 0 ? Keeping.CHILLED : Keeping.FROZEN;
        int lasts = keeping == Keeping.CHILLED ? CHILLED_DAYS : content == Content.TRIM ? FROZEN_DAYS / 2 : FROZEN_DAYS;
        int sells = random.nextInt(keeping == Keeping.CHILLED ? CHILLED_DAYS : SELLS_WITHIN_DAYS);
        @Nullable LocalDate went = day.plusDays(sells).isAfter(today) ? null : day.plusDays(sells);
        Way way = content == Content.TRIM ? Way.GRIND : random.nextInt(6) == 0 ? Way.TABLE : Way.SALE;
        return new PastPack(
                Scenario.id(random),
                content,
                grams,
                keeping,
                day,
                day.plusDays(lasts),
                keeping == Keeping.CHILLED ? "counter" : "long freezer",
                went == null ? null : way,
                went,
                way == Way.SALE ? "over the counter" : "");
    }
}
