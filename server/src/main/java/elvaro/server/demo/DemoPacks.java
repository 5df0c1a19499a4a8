package elvaro.server.demo;

import elvaro.core.ledger.Piles;
import elvaro.server.forecast.Figures;
import elvaro.server.hanging.PieceQueries;
import elvaro.server.piece.Piece;
import elvaro.server.piece.PieceHistory;
import elvaro.server.piece.PieceState;
import elvaro.server.settings.HouseClock;
import elvaro.server.settings.WorkshopService;
import elvaro.server.stock.Content;
import elvaro.server.stock.Keeping;
import elvaro.server.stock.StockHistory;
import elvaro.server.stock.StockHistory.PastGrind;
import elvaro.server.stock.StockHistory.PastPack;
import elvaro.server.stock.WithdrawalPurpose;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** What the invented workshop packed of its finished pieces: the old ones are sold, of the young ones some lie there. */
@Component
class DemoPacks {
    private static final int STEAK_GRAMS = 420;
    private static final int FROZEN_DAYS = 180;
    private static final int CHILLED_DAYS = 14;
    private static final int SELLS_WITHIN_DAYS = 70;
    private static final int TRIM_PACKS_A_GRIND = 2;
    private static final int LAST_TRIM_PACKS = 5;
    private static final int FRESH_TO_AGED = 19;
    private static final int GRIND_PACK_GRAMS = 2500;

    private final PieceHistory archive;
    private final PieceQueries pieces;
    private final StockHistory stock;
    private final WorkshopService workshops;

    DemoPacks(PieceHistory archive, PieceQueries pieces, StockHistory stock, WorkshopService workshops) {
        this.archive = archive;
        this.pieces = pieces;
        this.stock = stock;
        this.workshops = workshops;
    }

    void fill(List<UUID> people, Random random) {
        stock.rule(Content.STEAK, Keeping.FROZEN, FROZEN_DAYS);
        stock.rule(Content.STEAK, Keeping.CHILLED, CHILLED_DAYS);
        stock.rule(Content.TRIM, Keeping.FROZEN, FROZEN_DAYS / 2);
        stock.rule(Content.GRIND, Keeping.FROZEN, FROZEN_DAYS / 2);
        HouseClock house = workshops.mine().clock();
        List<PastPack> trim = new ArrayList<>();
        List<UUID> cut = archive.byTag().values().stream()
                .filter(piece -> piece.state() == PieceState.CUT)
                .map(Piece::id)
                .toList();
        pieces.figures(cut).stream()
                .sorted(Comparator.comparing((Figures each) -> cutOn(each, house))
                        .thenComparing(each -> each.piece().tag()))
                .forEach(each -> {
                    List<PastPack> packs = packs(each.ledger().piles(), cutOn(each, house), random);
                    stock.add(each.piece().id(), packs, people.get(random.nextInt(people.size())), house);
                    packs.stream()
                            .filter(pack -> pack.content() == Content.TRIM)
                            .forEach(trim::add);
                });
        grind(trim, people, random, house);
    }

    /** Every few weeks the trim of some pieces is blended into fresh chuck; the last of it lies there yet. */
    private void grind(List<PastPack> trim, List<UUID> people, Random random, HouseClock house) {
        LocalDate today = workshops.today();
        for (int first = 0; first + TRIM_PACKS_A_GRIND <= trim.size() - LAST_TRIM_PACKS; first += TRIM_PACKS_A_GRIND) {
            List<PastPack> used = trim.subList(first, first + TRIM_PACKS_A_GRIND);
            LocalDate on = used.get(TRIM_PACKS_A_GRIND - 1).packedOn().plusDays(3);
            if (on.isAfter(today)) {
                return;
            }
            int aged = used.stream().mapToInt(PastPack::grams).sum();
            int in = aged + aged * FRESH_TO_AGED;
            int out = in - in / 100;
            List<PastPack> packs = new ArrayList<>();
            for (int left = out; left > 0; left -= GRIND_PACK_GRAMS) {
                packs.add(pack(Content.GRIND, Math.min(left, GRIND_PACK_GRAMS), on, random));
            }
            Map<UUID, Integer> byPack = used.stream().collect(Collectors.toMap(PastPack::id, PastPack::grams));
            stock.grind(
                    new PastGrind(
                            Scenario.id(random), byPack, "fresh chuck", aged * FRESH_TO_AGED, 1180, out, on, packs),
                    people.get(random.nextInt(people.size())),
                    house);
        }
    }

    private static LocalDate cutOn(Figures figures, HouseClock house) {
        return figures.log().pull().map(pull -> house.day(pull.at())).orElseThrow();
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
        if (piles.fat() > 0) {
            packs.add(pack(Content.FAT, piles.fat(), day, random));
        }
        return packs;
    }

    private PastPack pack(Content content, int grams, LocalDate day, Random random) {
        LocalDate today = workshops.today();
        Keeping keeping = content == Content.STEAK && random.nextInt(4) == 0 ? Keeping.CHILLED : Keeping.FROZEN;
        int lasts =
                keeping == Keeping.CHILLED ? CHILLED_DAYS : content == Content.STEAK ? FROZEN_DAYS : FROZEN_DAYS / 2;
        int sells = random.nextInt(keeping == Keeping.CHILLED ? CHILLED_DAYS : SELLS_WITHIN_DAYS);
        // Trim waits for its grind.
        @Nullable
        LocalDate went = content == Content.TRIM || day.plusDays(sells).isAfter(today) ? null : day.plusDays(sells);
        WithdrawalPurpose way = random.nextInt(6) == 0 ? WithdrawalPurpose.TABLE : WithdrawalPurpose.SALE;
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
                way == WithdrawalPurpose.SALE ? "over the counter" : "");
    }
}
