package elvaro.server.tasting;

import elvaro.core.cooking.CookAlike;
import elvaro.core.cooking.CookAlike.Timing;
import elvaro.core.tasting.PanelPower;
import elvaro.server.account.AccountService;
import elvaro.server.shared.CurrentWorkshop;
import elvaro.server.tasting.TastingView.CookView;
import elvaro.server.tasting.TastingView.PlaceView;
import elvaro.server.tasting.TastingView.PlateServing;
import elvaro.server.tasting.TastingView.PlateView;
import elvaro.server.tasting.TastingView.SampleView;
import elvaro.server.tasting.TastingView.TastingLine;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.UUID;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Reading tastings. Until the reveal nobody reads an answer, and only the host the key. */
@Service
@Transactional(readOnly = true)
class TastingReading {
    private final TastingRepository tastings;
    private final TastingAggregates tables;
    private final Results results;
    private final OutcomeSentences said;
    private final Cautions cautions;
    private final AccountService accounts;
    private final CurrentWorkshop current;

    TastingReading(
            TastingRepository tastings,
            TastingAggregates tables,
            Results results,
            OutcomeSentences said,
            Cautions cautions,
            AccountService accounts,
            CurrentWorkshop current) {
        this.tastings = tastings;
        this.tables = tables;
        this.results = results;
        this.said = said;
        this.cautions = cautions;
        this.accounts = accounts;
        this.current = current;
    }

    /** Every tasting, the newest first. */
    List<TastingLine> all() {
        return tables.all(tastings.newest()).stream().map(this::line).toList();
    }

    private TastingLine line(TastingAggregate laid) {
        Tasting tasting = laid.tasting();
        return new TastingLine(
                tasting.id(),
                tasting.question(),
                tasting.kind().label(),
                tasting.state(),
                tasting.heldOn(),
                laid.names(),
                laid.places().size(),
                laid.sheets().size(),
                laid.places().size() * tasting.rounds(),
                said.of(laid));
    }

    TastingView view(UUID id) {
        TastingAggregate laid = tables.one(id);
        Tasting tasting = laid.tasting();
        boolean mine = tasting.hostId().equals(current.person().accountId());
        boolean revealed = tasting.state() == TastingState.REVEALED;
        return new TastingView(
                tasting.id(),
                tasting.version(),
                tasting.question(),
                tasting.kind(),
                tasting.kind().label(),
                tasting.state(),
                tasting.trialId().orElse(null),
                accounts.names().getOrDefault(tasting.hostId(), ""),
                mine,
                tasting.heldOn(),
                tasting.rounds(),
                tasting.attributes(),
                new CookView(
                        tasting.heat(),
                        tasting.heat().label(),
                        tasting.coreCelsius(),
                        tasting.heat().fire(tasting.alike().fire(), tasting.coreCelsius()),
                        tasting.alike().startCelsius(),
                        tasting.restMinutes(),
                        tasting.seasoning()),
                cautions.of(
                        laid.samples().stream()
                                .flatMap(each -> each.pieceId().stream())
                                .toList(),
                        tasting.coreCelsius()),
                PanelPower.of(
                        tasting.kind(), laid.samples().size(), laid.places().size(), tasting.rounds()),
                samples(laid),
                laid.places().stream().map(place -> place(laid, place, mine)).toList(),
                mine || revealed ? plates(laid) : List.of(),
                laid.weakenedBy(),
                revealed ? results.of(laid) : null);
    }

    private static List<SampleView> samples(TastingAggregate laid) {
        List<Timing> timings = laid.tasting()
                .alike()
                .timings(laid.samples().stream().map(TastingSample::overTheFire).toList());
        List<SampleView> views = new ArrayList<>();
        for (int index = 0; index < laid.samples().size(); index++) {
            TastingSample sample = laid.samples().get(index);
            int own = index;
            int turn = IntStream.range(0, timings.size())
                    .filter(each -> timings.get(each).sample() == own)
                    .findFirst()
                    .orElseThrow();
            views.add(new SampleView(
                    sample.id(),
                    sample.version(),
                    sample.name(),
                    sample.pieceId().orElse(null),
                    sample.finish(),
                    sample.thicknessMm(),
                    sample.cooked().thawed(),
                    sample.cooked().sameSeasoning(),
                    orNull(sample.cooked().core()),
                    turn + 1,
                    orNull(timings.get(turn).minutes()),
                    orNull(timings.get(turn).least()),
                    orNull(timings.get(turn).most()),
                    timings.get(turn).probed(),
                    sample.probe().map(CookAlike.Probe::minutes).orElse(null),
                    sample.probe().map(CookAlike.Probe::celsius).orElse(null),
                    orNull(timings.get(turn).startAfter())));
        }
        return views;
    }

    static @Nullable Double orNull(OptionalDouble value) {
        return value.isPresent() ? value.getAsDouble() : null;
    }

    private static PlaceView place(TastingAggregate laid, TastingPlace place, boolean mine) {
        return new PlaceView(
                place.id(),
                place.position() + 1,
                place.taster().label(),
                laid.arrived(place),
                mine ? place.token().map(token -> "/t/" + token).orElse(null) : null);
    }

    private static List<PlateView> plates(TastingAggregate laid) {
        return laid.servings().plates().stream()
                .map(plate -> new PlateView(
                        plate.taster() + 1,
                        plate.round(),
                        plate.servings().stream()
                                .map(serving -> new PlateServing(serving.code(), serving.sample()))
                                .toList()))
                .toList();
    }
}
