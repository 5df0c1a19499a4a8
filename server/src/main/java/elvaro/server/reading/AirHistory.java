package elvaro.server.reading;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Air of the past, taken over as it was. */
@Component
public class AirHistory {
    private final AirStore store;

    AirHistory(AirStore store) {
        this.store = store;
    }

    /**
     * One reading.
     *
     * @param celsius −40 to 60 °C
     * @param humidity 0–100 % RH
     * @param speed 0–20 m/s
     */
    public record Past(
            Instant at,
            @Nullable Double celsius,
            @Nullable Double humidity,
            @Nullable Double speed) {}

    /**
     * Keeps what is not known yet of a chamber.
     *
     * @param readings at least one
     * @return how many were new
     */
    @Transactional
    public int keep(UUID chamberId, List<Past> readings) {
        return store.store(
                        chamberId,
                        readings.stream()
                                .map(past -> new AirReading(
                                        past.at().getEpochSecond(), past.celsius(), past.humidity(), past.speed()))
                                .toList(),
                        null)
                .fresh();
    }
}
