package elvaro.server.exchange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

@Timeout(value = 60, unit = TimeUnit.SECONDS)
class HandedOnTest {
    @ParameterizedTest
    @ValueSource(ints = {0, 1, 65_535, 65_536, 65_537, 3_000_000})
    void what_is_handed_on_is_packed_whole_and_in_order_when_it_is_closed(int length) throws IOException {
        byte[] written = new byte[length];
        new Random(20_261).nextBytes(written);
        ByteArrayOutputStream packed = new ByteArrayOutputStream();
        try (HandedOn out = new HandedOn(packed)) {
            for (int at = 0; at < length; ) {
                int some = Math.min(length - at, 1 + at % 9_000);
                out.write(written, at, some);
                at += some;
            }
        }
        assertThat(packed.toByteArray()).isEqualTo(written);
    }

    @Test
    void whoever_writes_is_told_that_it_can_no_longer_be_packed() {
        OutputStream gone = new OutputStream() {
            @Override
            public void write(int value) throws IOException {
                throw new IOException("the browser went away");
            }
        };
        assertThatThrownBy(() -> {
                    try (HandedOn out = new HandedOn(gone)) {
                        for (int chunk = 0; chunk < 100; chunk++) {
                            out.write(new byte[65_536]);
                        }
                    }
                })
                .isInstanceOf(IOException.class)
                .hasMessage("the browser went away");
    }

    @Test
    void what_fails_at_the_very_end_is_not_taken_for_done() {
        OutputStream full = new OutputStream() {
            @Override
            public void write(int value) throws IOException {
                throw new IOException("no room");
            }
        };
        assertThatThrownBy(() -> {
                    try (HandedOn out = new HandedOn(full)) {
                        out.write(1);
                    }
                })
                .isInstanceOf(IOException.class)
                .hasMessage("no room");
    }
}
