package elvaro.server.stock;

import elvaro.server.account.AccountService;
import elvaro.server.shared.Refusal;
import elvaro.server.stock.StockView.MakingView;
import elvaro.server.stock.StockView.PackView;
import elvaro.server.stock.StockView.UsedView;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Reading grind and tallow: what went in, what came out, what it cost, what was packed of it. */
@Service
@Transactional(readOnly = true)
class MakingReading {
    private final PackRepository packs;
    private final StockReading stock;
    private final AccountService accounts;

    MakingReading(PackRepository packs, StockReading stock, AccountService accounts) {
        this.packs = packs;
        this.stock = stock;
        this.accounts = accounts;
    }

    /** The newest first. */
    List<MakingView> makings() {
        return makings(packs.lastMakings());
    }

    MakingView making(UUID id) {
        return makings(List.of(packs.making(id).orElseThrow(() -> Refusal.notFound("making"))))
                .get(0);
    }

    private List<MakingView> makings(List<Making> all) {
        if (all.isEmpty()) {
            return List.of();
        }
        List<UUID> ids = all.stream().map(Making::id).toList();
        // An undone one has nothing in it any more; what it was made of still stands there.
        Map<UUID, List<PackOut>> into = packs.into(ids).stream()
                .filter(out -> out.takesBack().isEmpty())
                .collect(Collectors.groupingBy(out -> out.makingId().orElseThrow()));
        Map<UUID, List<MakingBought>> bought =
                packs.bought(ids).stream().collect(Collectors.groupingBy(MakingBought::makingId));
        Map<UUID, List<Pack>> made = packs.ofMakings(ids).stream()
                .collect(Collectors.groupingBy(pack -> pack.makingId().orElseThrow()));
        Set<UUID> sourceIds = into.values().stream()
                .flatMap(List::stream)
                .map(PackOut::packId)
                .collect(Collectors.toSet());
        Map<UUID, PackView> sources = (sourceIds.isEmpty() ? List.<PackView>of() : stock.views(packs.all(sourceIds)))
                .stream().collect(Collectors.toMap(PackView::id, Function.identity()));
        Map<UUID, String> names = accounts.names();
        return all.stream()
                .map(making -> makingView(
                        making,
                        used(into.getOrDefault(making.id(), List.of()), sources),
                        bought.getOrDefault(making.id(), List.of()),
                        stock.views(made.getOrDefault(making.id(), List.of())),
                        names.getOrDefault(making.accountId(), "")))
                .toList();
    }

    /** What went in out of a pack, and what that cost a kg. */
    private record Used(UsedView view, double costPerKg) {}

    private static List<Used> used(List<PackOut> outs, Map<UUID, PackView> sources) {
        return outs.stream()
                .map(out -> {
                    PackView pack = sources.get(out.packId());
                    String name = "Pack %d, %s of %s"
                            .formatted(pack.number(), pack.contentLabel().toLowerCase(Locale.ROOT), pack.tag());
                    double cost = pack.costPerKg() == null ? 0 : pack.costPerKg();
                    return new Used(new UsedView(pack.id(), name, out.grams()), cost);
                })
                .toList();
    }

    private static MakingView makingView(
            Making making, List<Used> own, List<MakingBought> bought, List<PackView> made, String by) {
        List<Used> all = new ArrayList<>(own);
        bought.forEach(
                meat -> all.add(new Used(new UsedView(null, meat.name(), meat.grams()), meat.priceMinorPerKg())));
        int in = all.stream().mapToInt(used -> used.view().grams()).sum();
        double spent = all.stream()
                .mapToDouble(used -> used.costPerKg() * used.view().grams() / 1000)
                .sum();
        int packed = made.stream().mapToInt(PackView::grams).sum();
        return new MakingView(
                making.id(),
                making.version(),
                making.number(),
                making.name(),
                making.product(),
                in,
                making.grams(),
                (double) making.grams() / in,
                making.isUndone() ? 0 : Math.max(0, making.grams() - packed),
                spent * 1000 / making.grams(),
                making.words(),
                making.madeAt(),
                by,
                making.isUndone(),
                all.stream().map(Used::view).toList(),
                made);
    }
}
