package elvaro.server.account;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.startsWith;
import static org.mockito.Mockito.lenient;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.times;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import java.time.Duration;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.mockito.ArgumentCaptor;
import org.mockito.InjectMocks;
import org.mockito.Mock;
import org.mockito.junit.jupiter.MockitoExtension;

/** How often somebody may try; without a database. */
@ExtendWith(MockitoExtension.class)
class SignInLimitTest {
    private static final Duration QUARTER = Duration.ofMinutes(15);

    @Mock
    SignInAttempts attempts;

    @InjectMocks
    SignInLimit limit;

    private static final String MAREN = "maren@brackenrow.example";
    private static final String FROM = "203.0.113.7";

    private void counted(int here, int ofName, int ofAddress) {
        when(attempts.count(startsWith("address "), any())).thenReturn(ofAddress);
        when(attempts.count(startsWith("here "), any())).thenReturn(here);
        when(attempts.count(startsWith("name "), any())).thenReturn(ofName);
    }

    @ParameterizedTest(name = "the {0}th of a name here, {1}th of it anywhere, {2}th of an address: {3}")
    @CsvSource({"1, 1, 1, true", "10, 100, 60, true", "11, 11, 11, false", "1, 101, 1, false", "1, 1, 61, false"})
    void ten_tries_of_a_name_from_an_address_a_hundred_from_anywhere_and_sixty_of_an_address(
            int here, int ofName, int ofAddress, boolean allowed) {
        lenient().when(attempts.count(startsWith("address "), any())).thenReturn(ofAddress);
        lenient().when(attempts.count(startsWith("here "), any())).thenReturn(here);
        lenient().when(attempts.count(startsWith("name "), any())).thenReturn(ofName);
        assertThat(limit.allows(MAREN, FROM, Optional.empty())).isEqualTo(allowed);
        verify(attempts).count("address 203.0.113.7", QUARTER);
    }

    @Test
    void a_known_device_is_asked_for_its_own_tries_only() {
        when(attempts.count("device abc", QUARTER)).thenReturn(10, 11);
        assertThat(limit.allows(MAREN, FROM, Optional.of("abc"))).isTrue();
        assertThat(limit.allows(MAREN, FROM, Optional.of("abc"))).isFalse();
        verify(attempts, never()).count(startsWith("name "), any());
    }

    @Test
    void all_addresses_of_a_network_of_version_6_count_as_one() {
        limit.allows("2001:db8:1:2::1");
        limit.allows("2001:db8:1:2:ffff::9");
        limit.allows("2001:db8:1:3::1");
        verify(attempts, times(2)).count("address 20010db800010002", QUARTER);
        verify(attempts).count("address 20010db800010003", QUARTER);
    }

    /** Else whoever guesses from one address could shut everybody out. */
    @Test
    void an_address_that_tries_too_much_uses_up_nobodys_tries() {
        when(attempts.count(startsWith("address "), any())).thenReturn(61);
        assertThat(limit.allows(MAREN, FROM, Optional.empty())).isFalse();
        verify(attempts, never()).count(startsWith("name "), any());
    }

    @Test
    void a_name_is_one_however_it_is_written_and_is_not_kept_as_it_is() {
        counted(1, 1, 1);
        limit.allows("Maren@Brackenrow.example", FROM, Optional.empty());
        limit.forgive(MAREN, FROM, Optional.empty());
        ArgumentCaptor<String> tried = ArgumentCaptor.captor();
        ArgumentCaptor<String> forgiven = ArgumentCaptor.captor();
        verify(attempts, times(3)).count(tried.capture(), any());
        verify(attempts).clear(forgiven.capture(), any());
        assertThat(tried.getAllValues()).contains(forgiven.getValue());
        assertThat(forgiven.getValue()).doesNotContainIgnoringCase("maren").hasSize("here ".length() + 64);
    }
}
