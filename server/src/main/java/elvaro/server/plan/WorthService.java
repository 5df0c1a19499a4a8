package elvaro.server.plan;

import elvaro.core.cost.WorthIt;
import elvaro.core.cost.WorthIt.Equipment;
import elvaro.core.drying.Coating;
import elvaro.core.drying.Method;
import elvaro.core.plan.Outlook;
import elvaro.server.forecast.OutlookService;
import elvaro.server.forecast.OutlookService.Drawing;
import elvaro.server.plan.WorthForm.WayForm;
import elvaro.server.plan.WorthView.WayView;
import elvaro.server.settings.WorkshopService;
import elvaro.server.shared.Refusal;
import java.util.Currency;
import java.util.List;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Works out whether ageing is worth it, way by way, from what the shop's own pieces teach. Nothing is kept. */
@Service
@Transactional(readOnly = true)
class WorthService {
    private static final String FIRST_CUT = "ribeye";
    private static final int PIECES_A_YEAR = 6;
    private static final int YEARS = 10;

    private final ScenarioService scenarios;
    private final OutlookService outlooks;
    private final WorkshopService workshops;

    WorthService(ScenarioService scenarios, OutlookService outlooks, WorkshopService workshops) {
        this.scenarios = scenarios;
        this.outlooks = outlooks;
        this.workshops = workshops;
    }

    /**
     * What the question begins with. Common practice, no source: a bag some 7, a sealer about 100, a tray 5, a cabinet
     * thousands, in the workshop's currency.
     */
    WorthForm first() {
        ScenarioForm usual = scenarios.first().scenario();
        ScenarioForm piece = usual.of(FIRST_CUT, scenarios.first().lastPaid().getOrDefault(FIRST_CUT, 0));
        return new WorthForm(
                piece,
                PIECES_A_YEAR,
                0,
                List.of(
                        way(Method.MEMBRANE, 100, 0, 2, 7),
                        way(Method.SALT_TRAY, 5, 0, 2, 2),
                        way(Method.OPEN_AIR, 3000, 90, 4, 0),
                        way(Method.VACUUM, 100, 0, 4, 1)));
    }

    private WayForm way(Method method, int purchase, int watts, int atOnce, int materials) {
        int minor = minorUnits();
        return new WayForm(method, method.usualDays(), purchase * minor, YEARS, watts, atOnce, materials * minor);
    }

    /** How many minor units the workshop's currency has to its unit (ISO 4217). */
    private int minorUnits() {
        int digits = Currency.getInstance(workshops.mine().currency()).getDefaultFractionDigits();
        return (int) Math.pow(10, Math.max(0, digits));
    }

    WorthView worth(WorthForm form) {
        Drawing drawing = outlooks.drawing();
        // In its bag on the first day: nothing dried, so no crust is cut off.
        double fresh = drawing.of(scenarios.planned(form.piece().aged(Method.VACUUM, Coating.NONE, 1, 0), drawing))
                .days(0)
                .get(0)
                .stop()
                .costPerKg()
                .orElseThrow(() -> Refusal.wrong("no-steak", "piece", "Such a piece gives no steak."));
        double tariff = workshops.settings().tariffMinorPerKwh();
        return new WorthView(
                fresh,
                form.boughtMinorPerKg(),
                form.ways().stream()
                        .map(way -> way(form, way, drawing, fresh, tariff))
                        .toList());
    }

    private WayView way(WorthForm form, WayForm way, Drawing drawing, double fresh, double tariff) {
        ScenarioForm aged = form.piece()
                .aged(
                        way.method(),
                        way.method() == Method.FAT_SEAL ? Coating.FAT_SEAL : Coating.NONE,
                        way.days(),
                        way.consumablesMinor());
        Outlook outlook = drawing.of(scenarios.planned(aged, drawing));
        List<Outlook.OutlookDay> days = outlook.days(way.days());
        Outlook.OutlookDay last = days.get(way.days());
        double steakGrams = last.section().steak() * aged.greenGrams();
        double perKg = last.stop()
                .costPerKg()
                .orElseThrow(() -> Refusal.wrong(
                        "no-steak",
                        "ways",
                        "%s leaves no steak after %d days."
                                .formatted(way.method().label(), way.days())));
        Equipment equipment = new Equipment(way.purchaseMinor(), way.lifeYears(), way.watts(), way.atOnce());
        WorthIt worth = new WorthIt(
                equipment.yearly(form.piecesAYear(), way.days(), tariff),
                perKg * steakGrams / 1000,
                steakGrams / 1000,
                form.piecesAYear(),
                form.boughtMinorPerKg(),
                fresh);
        return new WayView(
                way.method(),
                way.method().label(),
                way.days(),
                steakGrams,
                worth.perKg(),
                worth.perKg() - worth.perKgOfThePiece(),
                worth.overFresh(),
                worth.savedAYear(),
                worth.breakEven().orElse(null),
                outlook.forecast().belief().pieces(),
                way.method() != Method.VACUUM && way.method() != Method.ON_ICE,
                worth.working());
    }
}
