package elvaro.core.plan;

import static elvaro.core.working.Quantity.length;
import static elvaro.core.working.Quantity.mass;
import static elvaro.core.working.Quantity.money;
import static elvaro.core.working.Quantity.number;
import static elvaro.core.working.Quantity.price;
import static elvaro.core.working.Quantity.share;
import static elvaro.core.working.Quantity.temperature;

import elvaro.core.air.Air;
import elvaro.core.drying.Hanging;
import elvaro.core.forecast.Belief;
import elvaro.core.keeping.EquivalentDays;
import elvaro.core.working.Working;
import elvaro.core.yield.Section;
import java.util.ArrayList;
import java.util.List;

/** How the numbers of one day ahead came about. */
final class OutlookWorkings {
    private OutlookWorkings() {}

    static List<Working> of(Outlook outlook, Outlook.OutlookDay day) {
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
                        "on day %d: %s".formatted(day.day(), price(cost)),
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
                                .formatted(day.day(), degrees(outlook.climate().last()), share(done)),
                        "Dransfield, in Lawrie's Meat Science, from memory; reference, section 6")));
        workings.add(new Working(
                "Equivalent days",
                "∫(1 + 0.1 T)² dt",
                "%d days × %s at %s = %s days at %s"
                        .formatted(
                                day.day(),
                                number(
                                        EquivalentDays.relativeRate(
                                                outlook.climate().last().celsius()),
                                        2),
                                degrees(outlook.climate().last()),
                                number(day.equivalentDays(), 1),
                                temperature(0)),
                "Olley & Ratkowsky 1973; reference, section 6"));
        return workings;
    }

    private static String degrees(Air air) {
        return temperature(air.celsius());
    }

    private static Working weight(Outlook outlook, Outlook.OutlookDay day) {
        Air air = outlook.climate().last();
        Hanging hanging = outlook.trimModel().hanging();
        return new Working(
                "Weight ahead",
                "dw/dt = (A/m₀)·(a_s − φ)·p_s(T) / (R_film + R_surface + R_membrane + R_coat + r·M)·(1 − (w/w_eq)⁴)",
                "%s green, %s m² drying, %s, %s RH, %s m/s, resistance × %s, crust × %s: %s gone on day %d"
                        .formatted(
                                mass(hanging.greenGrams()),
                                number(hanging.surface().drying(), 3),
                                degrees(air),
                                share(air.relativeHumidity()),
                                number(air.metresPerSecond(), 1),
                                number(
                                        Math.exp(outlook.forecast()
                                                .belief()
                                                .mean()
                                                .resistance()),
                                        2),
                                number(
                                        Math.exp(outlook.forecast()
                                                .belief()
                                                .mean()
                                                .crust()),
                                        2),
                                share(day.weight().lost()),
                                day.day()),
                "Incropera & DeWitt (film of air), Penman (cooling); reference, section 3");
    }

    private static Working band(Outlook outlook, Outlook.OutlookDay day) {
        Belief belief = outlook.forecast().belief();
        return new Working(
                "80 % band",
                "the model's two unknowns fitted to the weighings, the shop's finished pieces as prior; delta method",
                "%s to %s gone on day %d; prior from %s"
                        .formatted(
                                share(day.weight().least()),
                                share(day.weight().most()),
                                day.day(),
                                belief.pieces() == 0
                                        ? "the estimates alone, no finished piece of this method and chamber yet"
                                        : belief.pieces() + " finished pieces of this method and chamber"),
                "Levenberg–Marquardt and Laplace's approximation; reference, section 4");
    }

    private static Working crust(Outlook outlook, Outlook.OutlookDay day) {
        return new Working(
                "Crust",
                "what lies outside a body of its weight and surface, smaller all round by 2.0 mm + 1.0 mm × kg lost per m² +"
                        + " knife margin; faces under fat and bone are not cut",
                "%s deep, cut %s deeper, on %s m² of %s: %s of green"
                        .formatted(
                                length(outlook.trimModel().crustMm(day.weight().lost())),
                                length(outlook.trimModel().order().marginMm()),
                                number(outlook.trimModel().hanging().surface().lean(), 3),
                                number(outlook.trimModel().hanging().surface().squareMetres(), 3),
                                share(day.section().crust())),
                "EST; reference, section 5");
    }

    private static Working steak(Outlook.OutlookDay day) {
        Section section = day.section();
        return new Working(
                "Steak ahead",
                "1 − shrink − crust − fat cap − bone",
                "1 − %s − %s − %s − %s = %s of green"
                        .formatted(
                                share(1 - section.now()),
                                share(section.crust()),
                                share(section.fat()),
                                share(section.bone()),
                                share(section.steak())),
                "Reference, section 5");
    }
}
