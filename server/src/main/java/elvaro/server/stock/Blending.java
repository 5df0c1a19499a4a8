package elvaro.server.stock;

import elvaro.core.blend.Blend;
import elvaro.core.blend.Stock;
import elvaro.core.blend.Wanted;
import elvaro.core.blend.Wants;
import elvaro.server.shared.Refusal;
import elvaro.server.stock.BlendForm.SourceForm;
import elvaro.server.stock.StockReading.Lying;
import elvaro.server.stock.StockView.PackView;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The cheapest grind of what there is; nothing is kept. */
@Service
@Transactional(readOnly = true)
class Blending {
    private static final int FIRST_GRAMS = 2000;
    private static final int FIRST_LEAN = 80;
    private static final int MOST_CRUST = 5;
    private static final int MOST_AGED_FAT = 20;
    private static final int BOUGHT_LEAN = 90;
    private static final Content.Grinds AS_BOUGHT = new Content.Grinds(BOUGHT_LEAN, 0);

    private final StockReading stock;

    Blending(StockReading stock) {
        this.stock = stock;
    }

    /**
     * What to weigh.
     *
     * @param parts of the batch, those that are in it; empty where it cannot be mixed
     * @param binds what keeps it from being cheaper, or why it cannot be mixed
     * @param wants what all that is packed wants bought with it, whatever the weight of the batch; absent where nothing helps
     */
    record BlendView(
            List<BlendPart> parts,
            double costMinor,
            double perKg,
            List<String> binds,
            @Nullable WantsView wants) {}

    /** @param grams of the whole batch */
    record WantsView(int leanGrams, int leanPercent, int fatGrams, int fatPercent, int grams, String sentence) {
        static WantsView of(Wants wants) {
            return new WantsView(
                    wants.lean(),
                    (int) Math.round(Wants.FRESH_LEAN * 100),
                    wants.fat(),
                    (int) Math.round(Wants.FRESH_FAT * 100),
                    wants.grams(),
                    wants.sentence());
        }
    }

    /** @param boughtLeanPercent what meat that is bought for it is taken for until somebody says otherwise */
    record FirstBlend(BlendForm blend, int boughtLeanPercent) {}

    record BlendPart(@Nullable UUID packId, String name, int grams, double share) {}

    /**
     * What a grind begins with: all that is packed for it. Common practice, no source: crust is strong, so a small share
     * only; trim of an aged piece is taken for crust until somebody says otherwise.
     */
    FirstBlend first() {
        BlendForm usual = new BlendForm(
                FIRST_GRAMS,
                FIRST_LEAN,
                MOST_CRUST,
                MOST_AGED_FAT,
                stock.stock().packs().stream()
                        .filter(pack -> pack.content().isForGrinding() && !pack.toClean())
                        .map(this::usual)
                        .toList());
        return new FirstBlend(usual, BOUGHT_LEAN);
    }

    private SourceForm usual(PackView pack) {
        Content.Grinds grinds = pack.content().grinds().orElseGet(() -> gathered(pack));
        return new SourceForm(
                pack.id(),
                "%s of %s".formatted(pack.contentLabel(), pack.tag()),
                0,
                0,
                grinds.leanPercent(),
                grinds.crustPercent());
    }

    /** Of a jar by what lies in it. */
    private Content.Grinds gathered(PackView jar) {
        double lean = 0;
        double crust = 0;
        double grams = 0;
        for (Lying part : stock.inside(jar)) {
            Content.Grinds grinds = part.content().grinds().orElse(AS_BOUGHT);
            lean += part.grams() * grinds.leanPercent();
            crust += part.grams() * grinds.crustPercent();
            grams += part.grams();
        }
        return grams == 0
                ? AS_BOUGHT
                : new Content.Grinds((int) Math.round(lean / grams), (int) Math.round(crust / grams));
    }

    BlendView of(BlendForm form) {
        List<UUID> ids = form.sources().stream()
                .map(SourceForm::packId)
                .filter(Objects::nonNull)
                .toList();
        if (ids.stream().distinct().count() < ids.size()) {
            throw Refusal.wrong("twice", "sources", "A pack stands there twice.");
        }
        Map<UUID, PackView> packs = ids.isEmpty()
                ? Map.of()
                : stock.all(ids).stream().collect(Collectors.toMap(PackView::id, Function.identity()));
        List<Stock> stocks = form.sources().stream()
                .map(source -> stock(source, source.packId() == null ? null : packs.get(source.packId())))
                .toList();
        Wanted wanted = new Wanted(
                form.grams(),
                form.leanPercent() / 100.0,
                form.mostCrustPercent() / 100.0,
                form.mostAgedFatPercent() / 100.0);
        Blend blend = Blend.of(stocks, wanted);
        List<Stock> packed = IntStream.range(0, stocks.size())
                .filter(index -> form.sources().get(index).packId() != null)
                .mapToObj(stocks::get)
                .toList();
        List<BlendPart> parts = new ArrayList<>();
        for (int index = 0; index < blend.grams().size(); index++) {
            int grams = (int) Math.round(blend.grams().get(index));
            if (grams > 0) {
                parts.add(new BlendPart(
                        form.sources().get(index).packId(),
                        stocks.get(index).name(),
                        grams,
                        blend.grams().get(index) / form.grams()));
            }
        }
        return new BlendView(
                parts,
                blend.costMinor(),
                blend.costMinor() * 1000 / form.grams(),
                blend.binds(),
                Wants.of(packed, wanted).map(WantsView::of).orElse(null));
    }

    private static Stock stock(SourceForm source, @Nullable PackView pack) {
        return pack == null
                ? new Stock(
                        source.name().strip(),
                        source.grams(),
                        source.priceMinorPerKg(),
                        source.leanPercent() / 100.0,
                        source.crustPercent() / 100.0,
                        false)
                : new Stock(
                        "pack %d, %s of %s"
                                .formatted(pack.number(), pack.contentLabel().toLowerCase(Locale.ROOT), pack.tag()),
                        pack.leftGrams(),
                        pack.costPerKg() == null ? 0 : pack.costPerKg(),
                        source.leanPercent() / 100.0,
                        source.crustPercent() / 100.0,
                        pack.agedDays() != null && pack.agedDays() > 0);
    }
}
