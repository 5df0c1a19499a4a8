package elvaro.server.plan;

import static elvaro.core.working.Quantity.date;
import static elvaro.core.working.Quantity.mass;

import elvaro.core.air.Air;
import elvaro.core.air.ChamberKind;
import elvaro.core.air.Climate;
import elvaro.core.cost.DayToStop;
import elvaro.core.cut.Cut;
import elvaro.core.cut.CutCatalogue;
import elvaro.core.drying.Coating;
import elvaro.core.drying.Hanging;
import elvaro.core.drying.Method;
import elvaro.core.plan.Doubt;
import elvaro.core.plan.Outlook;
import elvaro.core.plan.Purchase;
import elvaro.core.plan.WholeInstead;
import elvaro.core.portion.Steaks;
import elvaro.core.portion.Steaks.Trimmed;
import elvaro.server.account.AccountService;
import elvaro.server.account.Preferences;
import elvaro.server.account.Preferences.LengthUnit;
import elvaro.server.chamber.Chamber;
import elvaro.server.chamber.ChamberService;
import elvaro.server.forecast.DayAhead;
import elvaro.server.forecast.OutlookService;
import elvaro.server.forecast.OutlookService.Drawing;
import elvaro.server.forecast.OutlookService.Planned;
import elvaro.server.lot.LotService;
import elvaro.server.piece.HangingFactory;
import elvaro.server.plan.ForwardView.CurveDay;
import elvaro.server.plan.LoadService.ChamberLoad;
import elvaro.server.plan.LoadService.Coming;
import elvaro.server.settings.WorkshopService;
import elvaro.server.shared.Refusal;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Plans on paper: nothing is kept, however often a slider moves. */
@Service
@Transactional(readOnly = true)
public class ScenarioService {
    /** A curve shows at least so far, however short the target. */
    private static final int SHORTEST_CURVE = 60;

    private static final int BEYOND_TARGET = 21;

    /** What a plan begins with. Common practice, no source. */
    private static final String FIRST_CUT = "strip";

    private static final int FIRST_GRAMS = 5000;
    private static final int FIRST_STEAK_MM = 30;

    /** The same for whoever thinks in these, g and mm. */
    private static final int ELEVEN_POUNDS = 4990;

    private static final int INCH_AND_A_QUARTER = 32;

    private final ChamberService chambers;
    private final OutlookService outlooks;
    private final LoadService loads;
    private final WorkshopService workshops;
    private final LotService lots;
    private final AccountService accounts;

    ScenarioService(
            ChamberService chambers,
            OutlookService outlooks,
            LoadService loads,
            WorkshopService workshops,
            LotService lots,
            AccountService accounts) {
        this.lots = lots;
        this.accounts = accounts;
        this.chambers = chambers;
        this.outlooks = outlooks;
        this.loads = loads;
        this.workshops = workshops;
    }

    /** What a plan begins with: in a refrigerator a membrane, as most people do it the first time, else open air. */
    FirstPlan first() {
        Optional<Chamber> chamber = chambers.all().stream().findFirst();
        Method method = Method.usualIn(chamber.map(Chamber::kind).orElse(ChamberKind.REFRIGERATOR));
        Map<String, Integer> paid = lots.lastPaid();
        Preferences reader = accounts.preferences();
        ScenarioForm scenario = new ScenarioForm(
                FIRST_CUT,
                false,
                null,
                0,
                reader.inPounds() ? ELEVEN_POUNDS : FIRST_GRAMS,
                method,
                Coating.NONE,
                null,
                chamber.map(Chamber::id).orElse(null),
                null,
                null,
                null,
                null,
                method.usualDays(),
                paid.getOrDefault(FIRST_CUT, 0),
                0,
                reader.lengthUnit() == LengthUnit.INCH ? INCH_AND_A_QUARTER : FIRST_STEAK_MM);
        return new FirstPlan(scenario, paid);
    }

    /** What would become of a piece. */
    public ForwardView forward(ScenarioForm form) {
        Chamber chamber = chamber(form);
        Cut cut = cut(form);
        Drawing drawing = outlooks.drawing();
        Climate climate = climate(form, chamber, drawing);
        Air air = climate.last();
        Planned planned = planned(form, cut, climate, chamber, form.greenGrams());
        Outlook outlook = drawing.of(planned);
        int target = form.targetDays();
        List<Outlook.OutlookDay> days = outlook.days(Math.max(SHORTEST_CURVE, target + BEYOND_TARGET));
        Outlook.OutlookDay last = days.get(target);
        return new ForwardView(
                air.celsius(),
                air.relativeHumidity() * 100,
                air.metresPerSecond(),
                days.stream().map(CurveDay::of).toList(),
                DayAhead.of(outlook, last),
                last.section(),
                DayToStop.best(days.stream().map(Outlook.OutlookDay::stop).toList())
                        .map(DayToStop.Stop::day)
                        .orElse(null),
                steaks(form, cut, outlook, last),
                WholeInstead.sentence(cut, outlook.trimModel(), outlook.climate(), target)
                        .orElse(null),
                doubts(planned.hanging(), air, chamber, days, target),
                chamber == null ? null : drawing.miss(chamber).orElse(null),
                outlook.forecast().belief().pieces(),
                drawing.benches(planned),
                outlook.workings(last));
    }

    private static List<Doubt> doubts(
            Hanging hanging, Air air, @Nullable Chamber chamber, List<Outlook.OutlookDay> days, int target) {
        List<Doubt> doubts =
                Doubt.about(hanging, air, Optional.ofNullable(chamber).map(Chamber::kind), target);
        return Stream.concat(Doubt.ofNothingLeft(days, target).stream(), doubts.stream())
                .toList();
    }

    private static @Nullable Steaks steaks(ScenarioForm form, Cut cut, Outlook outlook, Outlook.OutlookDay day) {
        double grams = day.section().steak() * form.greenGrams();
        double lost = day.weight().lost();
        return cut.sliced() && grams > 0
                ? Steaks.ofThickness(
                        Trimmed.usual(
                                cut,
                                form.greenGrams(),
                                grams,
                                lost,
                                outlook.trimModel().cutMm(lost),
                                0,
                                0),
                        form.steakMm())
                : null;
    }

    /**
     * What to buy for a table.
     *
     * @throws Refusal if the day is too near for the ageing, or no number of pieces is enough
     */
    public TableView table(TableForm form) {
        ScenarioForm scenario = form.scenario();
        LocalDate today = workshops.today();
        LocalDate hangBy = form.servedOn().minusDays(scenario.targetDays());
        if (form.servedOn().isBefore(today)) {
            throw Refusal.wrong("past-date", "servedOn", "That day is over. Choose one to come.");
        }
        if (hangBy.isBefore(today)) {
            throw Refusal.wrong(
                    "too-near",
                    "servedOn",
                    "For %d days of ageing it would have had to hang on %s. Bought today it is ready on %s."
                            .formatted(
                                    scenario.targetDays(), date(hangBy), date(today.plusDays(scenario.targetDays()))));
        }
        Chamber chamber = chamber(scenario);
        Cut cut = cut(scenario);
        Drawing drawing = outlooks.drawing();
        Climate climate = climate(scenario, chamber, drawing);
        int target = scenario.targetDays();
        Purchase purchase = Purchase.forTable(
                        new Purchase.Table(form.portions(), form.portionGrams()),
                        cut,
                        grams -> drawing.of(planned(scenario, cut, climate, chamber, grams))
                                .days(target)
                                .get(target))
                .orElseThrow(() -> Refusal.wrong(
                        "never-enough",
                        "portions",
                        "No number of pieces of this cut gives %d portions of %s. Choose another cut or smaller portions."
                                .formatted(form.portions(), mass(form.portionGrams()))));
        Outlook outlook = drawing.of(planned(scenario, cut, climate, chamber, purchase.greenGramsEach()));
        double steakKg = purchase.expected().section().steak() * purchase.greenGrams() / 1000;
        double cost = purchase.expected().stop().costPerKg().orElse(0.0) * steakKg;
        Hanging hanging = planned(scenario, cut, climate, chamber, purchase.greenGramsEach())
                .hanging();
        return new TableView(
                purchase.pieces(),
                purchase.greenGramsEach(),
                purchase.greenGrams(),
                purchase.portionsEach(),
                hangBy,
                DayAhead.of(outlook, purchase.expected()),
                cost,
                cost / form.portions(),
                loads.all(new Coming(purchase.pieces(), hanging, hangBy, target), SHORTEST_CURVE));
    }

    /** How full the chambers are, and where the pieces would find room. */
    public List<ChamberLoad> room(RoomForm form) {
        ScenarioForm scenario = form.scenario();
        Chamber chamber = chamber(scenario);
        Cut cut = cut(scenario);
        Climate climate = climate(scenario, chamber, outlooks.drawing());
        Hanging hanging =
                planned(scenario, cut, climate, chamber, scenario.greenGrams()).hanging();
        return loads.all(new Coming(form.pieces(), hanging, form.from(), scenario.targetDays()), form.showDays());
    }

    /** As it is asked for, of a shop that was read already. */
    Planned planned(ScenarioForm form, Drawing drawing) {
        Chamber chamber = chamber(form);
        return planned(form, cut(form), climate(form, chamber, drawing), chamber, form.greenGrams());
    }

    private static Planned planned(ScenarioForm form, Cut cut, Climate climate, @Nullable Chamber chamber, int grams) {
        Hanging hanging = HangingFactory.of(
                cut,
                grams,
                form.boneIn(),
                form.fatCoverMm(),
                form.method(),
                form.coating(),
                form.contactPercent(),
                null);
        return new Planned(
                cut,
                form.fatCoverMm(),
                form.steaksOnBone() == null ? cut.steaksOnBone() : form.steaksOnBone(),
                hanging,
                climate,
                chamber,
                false,
                form.priceMinorPerKg() == 0
                        ? OptionalDouble.empty()
                        : OptionalDouble.of(form.greenGrams() / 1000.0 * form.priceMinorPerKg()),
                form.consumablesMinor());
    }

    private static Cut cut(ScenarioForm form) {
        return CutCatalogue.find(form.cutCode())
                .orElseThrow(() -> Refusal.wrong("unknown-cut", "cutCode", "Choose a cut from the list."));
    }

    private @Nullable Chamber chamber(ScenarioForm form) {
        return form.chamberId() == null
                ? null
                : chambers.find(form.chamberId()).orElseThrow(() -> Refusal.notFound("chamber"));
    }

    /** The air as the chamber runs, or the usual one of a kind of place, with whatever was asked for put in its place. */
    private static Climate climate(ScenarioForm form, @Nullable Chamber chamber, Drawing drawing) {
        ChamberKind kind = form.kind() == null ? ChamberKind.REFRIGERATOR : form.kind();
        Climate own = chamber == null ? kind.supposed(kind.usualAir()) : drawing.air(chamber);
        if (form.celsius() == null && form.humidityPercent() == null && form.metresPerSecond() == null) {
            return own;
        }
        Air base = own.last();
        Air asked = new Air(
                form.celsius() == null ? base.celsius() : form.celsius(),
                form.humidityPercent() == null ? base.relativeHumidity() : form.humidityPercent() / 100,
                form.metresPerSecond() == null ? base.metresPerSecond() : form.metresPerSecond());
        // What somebody asks about is the air itself, not what a chamber makes of being set to it.
        return form.humidityPercent() == null ? Climate.constant(asked).doubted(own.doubt()) : Climate.constant(asked);
    }
}
