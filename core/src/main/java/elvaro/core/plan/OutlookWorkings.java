package elvaro.core.plan;

import static elvaro.core.working.Figures.kilograms;
import static elvaro.core.working.Figures.money;
import static elvaro.core.working.Figures.percent;

import elvaro.core.air.Air;
import elvaro.core.drying.Hanging;
import elvaro.core.forecast.Belief;
import elvaro.core.keeping.EquivalentDays;
import elvaro.core.working.Working;
import elvaro.core.yield.Section;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/** How the numbers of one day ahead came about. */
final class OutlookWorkings {
    private OutlookWorkings() {}

    static List<Working> of(Outlook outlook, Outlook.Day day) {
        List<Working> workings = new ArrayList<>();
        workings.add(weight(outlook, day));
        workings.add(band(outlook, day));
        workings.add(crust(outlook, day));
        workings.add(steak(day));
        day.stop()
                .costPerKg()
                .ifPresent(cost -> workings.add(new Working(
                        "Cost per kg steak ahead",
                        "(meat + materials + labour + day cost × days − by-products) / steak",
                        "on day %d: %s".formatted(day.day(), money(cost)),
                        "Reference, sections 1 and 7")));
        day.stop()
                .marginalCost()
                .ifPresent(cost -> workings.add(new Working(
                        "One more day",
                        "steak lost in it × what steak is worth + chamber and energy",
                        "after day %d: %s".formatted(day.day(), money(cost)),
                        "Reference, section 7")));
        day.tenderness()
                .ifPresent(done -> workings.add(new Working(
                        "Tenderness",
                        "1 − exp(−∫k(T)dt), k by Arrhenius with 60 kJ/mol",
                        "%d days at %s: %s of what ageing can give"
                                .formatted(day.day(), degrees(outlook.climate().last()), percent(done)),
                        "Dransfield, in Lawrie's Meat Science, from memory; reference, section 6")));
        workings.add(new Working(
                "Equivalent days",
                "∫(1 + 0.1 T)² dt",
                "%d days × %.2f at %s = %.1f days at 0 °C"
                        .formatted(
                                day.day(),
                                EquivalentDays.relativeRate(
                                        outlook.climate().last().celsius()),
                                degrees(outlook.climate().last()),
                                day.equivalentDays()),
                "Olley & Ratkowsky 1973; reference, section 6"));
        return workings;
    }

    private static String degrees(Air air) {
        return String.format(Locale.ROOT, "%.1f °C", air.celsius());
    }

    private static Working weight(Outlook outlook, Outlook.Day day) {
        Air air = outlook.climate().last();
        Hanging hanging = outlook.carving().hanging();
        return new Working(
                "Weight ahead",
                "dw/dt = (A/m₀)·(a_s − φ)·p_s(T) / (R_film + R_surface + R_membrane + R_coat + r·M)·(1 − (w/w_eq)⁴)",
                "%s green, %.3f m² drying, %s, %s RH, %.1f m/s, resistance × %.2f, crust × %.2f: %s gone on day %d"
                        .formatted(
                                kilograms(hanging.greenGrams()),
                                hanging.surface().drying(),
                                degrees(air),
                                percent(air.relativeHumidity()),
                                air.metresPerSecond(),
                                Math.exp(outlook.forecast().belief().mean().resistance()),
                                Math.exp(outlook.forecast().belief().mean().crust()),
                                percent(day.weight().lost()),
                                day.day()),
                "Incropera & DeWitt (film of air), Penman (cooling); reference, section 3");
    }

    private static Working band(Outlook outlook, Outlook.Day day) {
        Belief belief = outlook.forecast().belief();
        return new Working(
                "80 % band",
                "the model's two unknowns fitted to the weighings, the shop's finished pieces as prior; delta method",
                "%s to %s gone on day %d; prior from %s"
                        .formatted(
                                percent(day.weight().least()),
                                percent(day.weight().most()),
                                day.day(),
                                belief.pieces() == 0
                                        ? "the estimates alone, no finished piece of this method and chamber yet"
                                        : belief.pieces() + " finished pieces of this method and chamber"),
                "Levenberg–Marquardt and Laplace's approximation; reference, section 4");
    }

    private static Working crust(Outlook outlook, Outlook.Day day) {
        return new Working(
                "Crust",
                "(2.0 mm + 1.0 mm × kg lost per m² + knife margin) × lean surface × 1060 kg/m³",
                "%.1f mm deep, cut %.1f mm deeper, on %.3f m²: %s of green"
                        .formatted(
                                outlook.carving().crustMm(day.weight().lost()),
                                outlook.carving().order().marginMm(),
                                outlook.carving().hanging().surface().lean(),
                                percent(day.section().crust())),
                "EST; reference, section 5");
    }

    private static Working steak(Outlook.Day day) {
        Section section = day.section();
        return new Working(
                "Steak ahead",
                "1 − shrink − crust − fat cap − bone",
                "1 − %s − %s − %s − %s = %s of green"
                        .formatted(
                                percent(1 - section.now()),
                                percent(section.crust()),
                                percent(section.fat()),
                                percent(section.bone()),
                                percent(section.steak())),
                "Reference, section 5");
    }
}
