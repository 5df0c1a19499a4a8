package elvaro.server.account;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.startsWith;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.times;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import java.time.Duration;
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

    private void counted(int ofName, int ofAddress) {
        when(attempts.count(startsWith("name "), any())).thenReturn(ofName);
        when(attempts.count(startsWith("address "), any())).thenReturn(ofAddress);
    }

    @ParameterizedTest(name = "the {0}th of a name, the {1}th of an address: {2}")
    @CsvSource({"1, 1, true", "10, 60, true", "11, 1, false"})
    void ten_tries_of_a_name_and_sixty_of_an_address_in_a_quarter_of_an_hour(
            int ofName, int ofAddress, boolean allowed) {
        counted(ofName, ofAddress);
        assertThat(limit.allows("maren@brackenrow.example", "203.0.113.7")).isEqualTo(allowed);
        verify(attempts).count("address 203.0.113.7", QUARTER);
    }

    /** Else whoever guesses from one address could shut everybody out. */
    @Test
    void an_address_that_tries_too_much_uses_up_nobodys_tries() {
        when(attempts.count(startsWith("address "), any())).thenReturn(61);
        assertThat(limit.allows("maren@brackenrow.example", "203.0.113.7")).isFalse();
        verify(attempts, never()).count(startsWith("name "), any());
    }

    @Test
    void a_name_is_one_however_it_is_written_and_is_not_kept_as_it_is() {
        counted(1, 1);
        limit.allows("Maren@Brackenrow.example", "203.0.113.7");
        limit.forgive("maren@brackenrow.example");
        ArgumentCaptor<String> tried = ArgumentCaptor.captor();
        ArgumentCaptor<String> forgiven = ArgumentCaptor.captor();
        verify(attempts, times(2)).count(tried.capture(), any());
        verify(attempts).clear(forgiven.capture(), any());
        assertThat(tried.getAllValues()).contains(forgiven.getValue());
        assertThat(forgiven.getValue()).doesNotContainIgnoringCase("maren").hasSize("name ".length() + 64);
    }
}
