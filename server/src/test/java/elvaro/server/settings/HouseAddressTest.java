package elvaro.server.settings;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class HouseAddressTest {

    @ParameterizedTest
    @CsvSource({
        "http://127.0.0.1:8306, true",
        "http://localhost:8306, true",
        "http://[::1]:8306, true",
        "http://192.0.2.7:8306, false",
        "https://house.brackenrow.example, false"
    })
    void an_address_only_this_machine_reaches_is_known(String address, boolean onlyHere) {
        assertThat(HouseAddress.isOnlyHere(address)).isEqualTo(onlyHere);
    }

    @Test
    void outside_of_any_request_it_is_the_one_the_owner_set_or_the_one_it_was_started_for() {
        WorkshopService workshops = mock(WorkshopService.class);
        when(workshops.settings()).thenReturn(WorkshopSettings.starting("Brackenrow", "EUR", "Europe/Berlin"));
        assertThat(new HouseAddress(workshops, "https://started.example/").now())
                .isEqualTo("https://started.example");
    }
}
