package elvaro.server.forecast;

import elvaro.core.air.Climate;
import elvaro.core.cost.DayToStop;
import elvaro.core.cost.LandedCost;
import elvaro.core.cut.Cut;
import elvaro.core.drying.Hanging;
import elvaro.core.forecast.Forecast;
import elvaro.core.plan.Outlook;
import elvaro.core.yield.BenchOrder;
import elvaro.core.yield.TrimModel;
import elvaro.server.chamber.Chamber;
import elvaro.server.piece.Piece;
import elvaro.server.piece.PieceReader;
import elvaro.server.reading.RecordedAir;
import elvaro.server.settings.WorkshopService;
import elvaro.server.settings.WorkshopSettings;
import java.time.Clock;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What becomes of pieces day by day: of those that hang, and of those somebody thinks of hanging. */
@Service
@Transactional(readOnly = true)
public class OutlookService {
    private final PieceReader pieces;
    private final ShopLearning shop;
    private final RecordedAir air;
    private final WorkshopService workshops;
    private final Clock clock;

    OutlookService(PieceReader pieces, ShopLearning shop, RecordedAir air, WorkshopService workshops, Clock clock) {
        this.air = air;
        this.pieces = pieces;
        this.shop = shop;
        this.workshops = workshops;
        this.clock = clock;
    }

    /**
     * A piece that does not hang yet, or was just hung.
     *
     * @param climate it would hang in, which may be another than the chamber's
     * @param chamber where, for its cost and what the shop learnt there; absent while nobody has chosen one
     * @param hangsThere whether the chamber's load counts it already
     * @param meatMinor what the meat costs; empty where nobody knows
     */
    public record Planned(
            Cut cut,
            int fatCoverMm,
            boolean steaksOnBone,
            Hanging hanging,
            Climate climate,
            @Nullable Chamber chamber,
            boolean hangsThere,
            OptionalDouble meatMinor,
            int consumablesMinor) {}

    /** The shop as it is while something is being planned: read once for many plans. */
    public final class Drawing {
        private final WorkshopSettings settings = workshops.settings();
        private final RecordedAir.WorkshopAir recorded = air.now();
        private final ShopLearning.Lessons lessons = shop.lessons(recorded);

        private Drawing() {}

        /** The air to come in a chamber. */
        public Climate air(Chamber chamber) {
            return recorded.ahead(chamber);
        }

        /** How a chamber runs otherwise than it is set, in a sentence. */
        public Optional<String> miss(Chamber chamber) {
            return recorded.miss(chamber);
        }

        /** What a piece would weigh in a chamber as it runs. */
        public Forecast weight(Hanging hanging, Chamber chamber) {
            return Forecast.of(
                    hanging.dryingIn(air(chamber)),
                    lessons.about(hanging.method(), chamber.id()).prior(),
                    List.of(),
                    settings.divisionGrams());
        }

        /** What would become of it. */
        public Outlook of(Planned planned) {
            Hanging hanging = planned.hanging();
            Chamber chamber = planned.chamber();
            ShopLessons taught = chamber == null ? ShopLessons.NOTHING : lessons.about(hanging.method(), chamber.id());
            Climate climate = planned.climate();
            Forecast forecast =
                    Forecast.of(hanging.dryingIn(climate), taught.prior(), List.of(), settings.divisionGrams());
            double green = hanging.greenGrams();
            double perDay = chamber == null
                    ? 0
                    : chamber.rate(settings.tariffMinorPerKwh())
                            .perDay(green / (pieces.loadOf(chamber.id()) + (planned.hangsThere() ? 0 : green)));
            OptionalDouble fixed = fixed(planned.meatMinor(), planned.consumablesMinor(), settings);
            return new Outlook(
                    forecast,
                    TrimModel.of(planned.cut(), hanging, planned.fatCoverMm(), BenchOrder.SLICE_FIRST)
                            .onBone(planned.cut(), planned.steaksOnBone())
                            .learnt(taught.crustFactor(), taught.steakShift()),
                    taught.steakSd(),
                    climate,
                    planned.cut().species(),
                    new DayToStop(
                            hanging.greenGrams(),
                            hanging.method(),
                            fixed,
                            perDay,
                            settings.byProductPrices(),
                            settings.prices(),
                            0,
                            settings.labour().perKilogram()));
        }

        /** How many finished benches stand behind what is expected at the bench. */
        public int benches(Planned planned) {
            Chamber chamber = planned.chamber();
            return chamber == null
                    ? 0
                    : lessons.about(planned.hanging().method(), chamber.id()).benches();
        }
    }

    public Drawing drawing() {
        return new Drawing();
    }

    /** What becomes of a piece that was hung; empty for one set aside fresh. */
    public Optional<Outlook> of(Figures figures) {
        Ahead ahead = figures.ahead();
        if (ahead == null) {
            return Optional.empty();
        }
        WorkshopSettings settings = workshops.settings();
        Piece piece = figures.piece();
        LandedCost landed = figures.landed();
        OptionalDouble meat = landed.meat() == null ? OptionalDouble.empty() : OptionalDouble.of(landed.meat());
        OptionalDouble fixed = fixed(meat, landed.consumables(), settings);
        return Optional.of(new Outlook(
                ahead.forecast(),
                ahead.trimModel(),
                ahead.taught().steakSd(),
                ahead.climate().get(),
                piece.cut().species(),
                new DayToStop(
                        piece.greenGrams(),
                        piece.method().orElseThrow(),
                        fixed,
                        figures.perDay(),
                        settings.byProductPrices(),
                        settings.prices(),
                        figures.ledger().slices(),
                        settings.labour().perKilogram()),
                figures.ledger().left()));
    }

    private static OptionalDouble fixed(OptionalDouble meat, double consumables, WorkshopSettings settings) {
        return meat.isEmpty()
                ? meat
                : OptionalDouble.of(
                        meat.getAsDouble() + consumables + settings.labour().perPiece());
    }

    /** The same as it is shown, with the days counted to now. */
    public Optional<AheadView> view(Figures figures) {
        return of(figures)
                .map(outlook -> AheadView.of(
                        figures,
                        outlook,
                        Forecasts.dayOf(
                                figures.log().pull().map(pull -> pull.at()).orElse(clock.instant()),
                                figures.piece().hungAt(workshops.mine().clock()).orElseThrow())));
    }
}
