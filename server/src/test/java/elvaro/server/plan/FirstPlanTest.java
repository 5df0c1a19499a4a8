package elvaro.server.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.mockito.Mockito.lenient;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import elvaro.core.air.ChamberKind;
import elvaro.core.drying.Method;
import elvaro.server.account.AccountService;
import elvaro.server.account.Preferences;
import elvaro.server.account.Preferences.Figures;
import elvaro.server.account.Preferences.LengthUnit;
import elvaro.server.account.Preferences.TemperatureUnit;
import elvaro.server.account.Preferences.Theme;
import elvaro.server.account.Preferences.WeightUnit;
import elvaro.server.chamber.Chamber;
import elvaro.server.chamber.ChamberService;
import elvaro.server.lot.LotService;
import elvaro.server.plan.WorthForm.WayForm;
import elvaro.server.settings.Workshop;
import elvaro.server.settings.WorkshopService;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.mockito.Mock;
import org.mockito.junit.jupiter.MockitoExtension;

/** What plans begin with; without a database. */
@ExtendWith(MockitoExtension.class)
class FirstPlanTest {
    @Mock
    ChamberService chambers;

    @Mock
    LotService lots;

    @Mock
    WorkshopService workshops;

    @Mock
    AccountService accounts;

    private ScenarioService scenarios;

    private static Preferences thinkingIn(WeightUnit weight, LengthUnit length) {
        return new Preferences(weight, TemperatureUnit.CELSIUS, length, Theme.SYSTEM, Figures.DEVICE);
    }

    @BeforeEach
    void a_house_that_bought_strip_loin() {
        scenarios = new ScenarioService(chambers, mock(), mock(), workshops, lots, accounts);
        lenient().when(accounts.preferences()).thenReturn(thinkingIn(WeightUnit.KG, LengthUnit.MM));
        when(lots.lastPaid()).thenReturn(Map.of("strip", 2180));
    }

    @Test
    void a_newcomer_begins_with_a_membrane_in_a_refrigerator() {
        when(chambers.all()).thenReturn(List.of());
        ScenarioForm first = scenarios.first().scenario();
        assertThat(first.method()).isEqualTo(Method.MEMBRANE);
        assertThat(first.targetDays()).isEqualTo(35);
        assertThat(first.chamberId()).isNull();
        assertThat(first.priceMinorPerKg()).as("what was paid last").isEqualTo(2180);
    }

    @ParameterizedTest(name = "in a {0}: {1} for {2} days")
    @CsvSource({"REFRIGERATOR, MEMBRANE, 35", "CABINET, OPEN_AIR, 28", "ICE_CHEST, ON_ICE, 10"})
    void a_house_begins_with_how_most_age_in_its_first_chamber(ChamberKind kind, Method method, int days) {
        Chamber chamber = mock();
        UUID id = UUID.randomUUID();
        lenient().when(chamber.id()).thenReturn(id);
        when(chamber.kind()).thenReturn(kind);
        when(chambers.all()).thenReturn(List.of(chamber));
        ScenarioForm first = scenarios.first().scenario();
        assertThat(first.method()).isEqualTo(method);
        assertThat(first.targetDays()).isEqualTo(days);
        assertThat(first.chamberId()).isEqualTo(id);
    }

    @Test
    void whoever_thinks_in_pounds_and_inches_begins_with_round_ones() {
        when(chambers.all()).thenReturn(List.of());
        when(accounts.preferences()).thenReturn(thinkingIn(WeightUnit.LB_OZ, LengthUnit.INCH));
        ScenarioForm first = scenarios.first().scenario();
        assertThat(first.greenGrams() / 453.59237).isCloseTo(11, within(0.002));
        assertThat(first.steakMm() / 25.4).isCloseTo(1.25, within(0.02));
    }

    /** ISO 4217: the euro has two decimals, the yen none, the Kuwaiti dinar three. */
    @ParameterizedTest(name = "{0}")
    @CsvSource({"EUR, 10000", "JPY, 100", "KWD, 100000"})
    void what_a_way_costs_is_a_hundred_of_the_currency_however_it_is_divided(String currency, int minor) {
        Workshop workshop = mock();
        when(workshop.currency()).thenReturn(currency);
        when(workshops.mine()).thenReturn(workshop);
        when(chambers.all()).thenReturn(List.of());
        WorthForm first = new WorthService(scenarios, mock(), workshops).first();
        assertThat(first.ways())
                .filteredOn(way -> way.method() == Method.MEMBRANE)
                .extracting(WayForm::purchaseMinor)
                .containsExactly(minor);
        assertThat(first.piece().cutCode()).isEqualTo("ribeye");
        assertThat(first.piece().priceMinorPerKg()).as("never bought").isZero();
    }
}
