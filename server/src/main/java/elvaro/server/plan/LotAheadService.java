package elvaro.server.plan;

import static elvaro.core.working.Quantity.date;
import static elvaro.core.working.Quantity.days;
import static elvaro.core.working.Quantity.limit;
import static elvaro.core.working.Quantity.price;

import elvaro.core.cut.CutCatalogue;
import elvaro.server.chamber.ChamberService;
import elvaro.server.forecast.DayAhead;
import elvaro.server.plan.LoadService.ChamberLoad;
import elvaro.server.settings.WorkshopService;
import elvaro.server.shared.Refusal;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What a lot would become while it is still being described; nothing is kept. */
@Service
@Transactional(readOnly = true)
class LotAheadService {
    private final ScenarioService scenarios;
    private final ChamberService chambers;
    private final WorkshopService workshops;

    LotAheadService(ScenarioService scenarios, ChamberService chambers, WorkshopService workshops) {
        this.scenarios = scenarios;
        this.chambers = chambers;
        this.workshops = workshops;
    }

    /** @throws Refusal for fish and fowl, which hang by another rule than the days that are usual here for meat */
    LotAheadView ahead(LotAheadForm form) {
        boolean hangsForWeeks = CutCatalogue.find(form.cutCode())
                .filter(cut -> cut.species().tenderising().isPresent())
                .isPresent();
        if (!hangsForWeeks) {
            throw Refusal.wrong("no-usual-days", "cutCode", "How long this hangs is chosen when it is hung.");
        }
        ScenarioForm scenario = scenarios.first().scenario().of(form);
        ForwardView forward = scenarios.forward(scenario);
        LocalDate today = workshops.today();
        return new LotAheadView(
                scenario.targetDays(),
                forward.section(),
                Stream.of(
                                Optional.of(given(scenario, forward.target())),
                                cost(form, forward.target()),
                                room(scenario, today),
                                age(form.packedOn(), today))
                        .flatMap(Optional::stream)
                        .toList());
    }

    private static String given(ScenarioForm scenario, DayAhead target) {
        return "Hung whole (%s), after %s it weighs about %s and gives %s of steak."
                .formatted(
                        scenario.method().label().toLowerCase(Locale.ROOT),
                        days(target.day()),
                        limit(target.grams()),
                        limit(
                                Math.round(target.steakLeast() * scenario.greenGrams()),
                                Math.round(target.steakMost() * scenario.greenGrams())));
    }

    private static Optional<String> cost(LotAheadForm form, DayAhead target) {
        return form.priceMinorPerKg() == null || form.priceMinorPerKg() == 0
                ? Optional.empty()
                : Optional.ofNullable(target.costPerKg()).map(cost -> "That steak costs " + price(cost) + ".");
    }

    private Optional<String> room(ScenarioForm scenario, LocalDate today) {
        if (chambers.all().isEmpty()) {
            return Optional.empty();
        }
        List<ChamberLoad> loads = scenarios.room(new RoomForm(scenario, 1, today, 1));
        List<String> fitting =
                loads.stream().filter(ChamberLoad::fits).map(ChamberLoad::name).toList();
        if (!fitting.isEmpty()) {
            return Optional.of("There is room for it in %s.".formatted(String.join(", ", fitting)));
        }
        return Optional.of(loads.stream()
                .filter(load -> load.firstFit() != null)
                .min(Comparator.comparing(ChamberLoad::firstFit))
                .map(load -> "No chamber has room for it today; %s has from %s on."
                        .formatted(load.name(), date(load.firstFit())))
                .orElse("No chamber here has room for it as one piece."));
    }

    private static Optional<String> age(@Nullable LocalDate packedOn, LocalDate today) {
        return Optional.ofNullable(packedOn)
                .filter(day -> !day.isAfter(today))
                .map(day ->
                        "It has been in its pack for %s.".formatted(days((int) ChronoUnit.DAYS.between(day, today))));
    }
}
