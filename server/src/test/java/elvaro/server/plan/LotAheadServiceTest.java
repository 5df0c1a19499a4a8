package elvaro.server.plan;

import static elvaro.core.working.Units.PLAIN;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import elvaro.core.cut.Cut;
import elvaro.core.cut.CutCatalogue;
import elvaro.core.cut.Species;
import elvaro.core.drying.Coating;
import elvaro.core.drying.Method;
import elvaro.core.yield.Section;
import elvaro.server.chamber.Chamber;
import elvaro.server.chamber.ChamberService;
import elvaro.server.forecast.DayAhead;
import elvaro.server.plan.LoadService.ChamberLoad;
import elvaro.server.settings.WorkshopService;
import elvaro.server.shared.Refusal;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** What is said of a lot while it comes in, by what is known of it. */
class LotAheadServiceTest {
    private static final LocalDate TODAY = LocalDate.of(2026, 2, 14);

    private final ScenarioService scenarios = mock();
    private final ChamberService chambers = mock();
    private final WorkshopService workshops = mock();
    private final LotAheadService lots = new LotAheadService(scenarios, chambers, workshops);

    @BeforeEach
    void a_shop() {
        when(workshops.today()).thenReturn(TODAY);
        when(chambers.all()).thenReturn(List.of(mock(Chamber.class)));
        ScenarioForm usual = new ScenarioForm(
                "strip",
                false,
                null,
                0,
                5000,
                Method.OPEN_AIR,
                Coating.NONE,
                null,
                null,
                null,
                null,
                null,
                null,
                28,
                2000,
                0,
                30);
        when(scenarios.first()).thenReturn(new FirstPlan(usual, Map.of()));
        DayAhead target = mock();
        when(target.day()).thenReturn(28);
        when(target.grams()).thenReturn(6500);
        when(target.steakLeast()).thenReturn(0.5);
        when(target.steakMost()).thenReturn(0.6);
        when(target.costPerKg()).thenReturn(3450.0);
        ForwardView forward = mock();
        when(forward.target()).thenReturn(target);
        when(forward.section()).thenReturn(mock(Section.class));
        when(scenarios.forward(any())).thenReturn(forward);
    }

    private static ChamberLoad chamber(String name, boolean fits, @Nullable LocalDate firstFit) {
        return new ChamberLoad(UUID.randomUUID(), name, 20_000, 4, List.of(), null, fits, firstFit, List.of(), null);
    }

    private List<String> said(@Nullable Integer price, @Nullable LocalDate packedOn, ChamberLoad... loads) {
        when(scenarios.room(any())).thenReturn(List.of(loads));
        return lots.ahead(new LotAheadForm("strip", false, 0, 8000, price, packedOn)).sentences().stream()
                .map(PLAIN::sentence)
                .toList();
    }

    @Test
    void it_tells_what_it_gives_what_that_costs_where_it_has_room_and_how_old_it_is() {
        assertThat(said(2180, TODAY.minusDays(16), chamber("Cabinet", true, TODAY), chamber("Cold room", true, TODAY)))
                .satisfiesExactly(
                        given -> assertThat(given)
                                .contains("after 28 days it weighs about 6.5 kg and gives 4 kg to 4.8 kg of steak"),
                        cost -> assertThat(cost).startsWith("That steak costs 34.50"),
                        room -> assertThat(room).isEqualTo("There is room for it in Cabinet, Cold room."),
                        age -> assertThat(age).isEqualTo("It has been in its pack for 16 days."));
    }

    @Test
    void where_nothing_has_room_today_it_says_when_and_where() {
        assertThat(said(
                        null,
                        null,
                        chamber("Cabinet", false, TODAY.plusDays(9)),
                        chamber("Den", false, TODAY.plusDays(3))))
                .last()
                .isEqualTo("No chamber has room for it today; Den has from 2026-02-17 on.");
        assertThat(said(null, null, chamber("Cabinet", false, null)))
                .last()
                .isEqualTo("No chamber here has room for it as one piece.");
    }

    @Test
    void fish_and_fowl_are_not_told_the_weeks_of_beef() {
        List<String> codes = CutCatalogue.all().stream()
                .filter(cut -> cut.species() == Species.SEA_FISH || cut.species() == Species.WATERFOWL)
                .map(Cut::code)
                .toList();
        assertThat(codes)
                .isNotEmpty()
                .allSatisfy(
                        code -> assertThatThrownBy(() -> lots.ahead(new LotAheadForm(code, false, 0, 2000, null, null)))
                                .isInstanceOf(Refusal.class));
    }

    @Test
    void of_what_nobody_said_it_says_nothing() {
        when(chambers.all()).thenReturn(List.of());
        assertThat(said(null, TODAY.plusDays(1))).hasSize(1);
        assertThat(said(0, null)).hasSize(1);
    }
}
