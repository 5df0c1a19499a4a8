package elvaro.server.exchange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

@Timeout(value = 60, unit = TimeUnit.SECONDS)
class HandedOnTest {
    private final List<Integer> done = new ArrayList<>();

    @ParameterizedTest
    @ValueSource(ints = {0, 1, 8, 9, 5_000})
    void what_is_handed_on_is_done_whole_and_in_order_when_it_is_closed(int steps) throws IOException {
        try (HandedOn other = new HandedOn("test")) {
            for (int step = 0; step < steps; step++) {
                int now = step;
                other.hand(() -> done.add(now));
            }
        }
        assertThat(done).isEqualTo(IntStream.range(0, steps).boxed().toList());
    }

    @Test
    void whoever_hands_on_is_told_that_it_can_no_longer_be_done_and_nothing_after_it_is() {
        assertThatThrownBy(() -> {
                    try (HandedOn other = new HandedOn("test")) {
                        other.hand(() -> {
                            throw new IOException("the browser went away");
                        });
                        for (int step = 0; step < 100; step++) {
                            other.hand(() -> done.add(0));
                        }
                    }
                })
                .isInstanceOf(IOException.class)
                .hasMessage("the browser went away")
                .hasNoSuppressedExceptions();
        assertThat(done).isEmpty();
    }

    @Test
    void what_fails_at_the_very_end_is_not_taken_for_done() {
        assertThatThrownBy(() -> {
                    try (HandedOn other = new HandedOn("test")) {
                        other.hand(() -> {
                            throw new IOException("no room");
                        });
                    }
                })
                .isInstanceOf(IOException.class)
                .hasMessage("no room");
    }

    @Test
    void an_error_that_is_no_exception_is_told_too() {
        assertThatThrownBy(() -> {
                    try (HandedOn other = new HandedOn("test")) {
                        other.hand(() -> {
                            throw new StackOverflowError();
                        });
                    }
                })
                .isInstanceOf(IOException.class)
                .hasCauseInstanceOf(StackOverflowError.class);
    }
}
