package elvaro.server.shared;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class RequestLimitTest {

    @Test
    void each_has_a_measure_of_its_own_and_no_more() {
        RequestLimit<String> limit = new RequestLimit<>();
        assertThat(IntStream.range(0, 5).allMatch(each -> limit.allows("Tove", 5)))
                .isTrue();
        assertThat(limit.allows("Tove", 5)).isFalse();
        assertThat(limit.allows("Anselm", 5)).isTrue();
    }
}
