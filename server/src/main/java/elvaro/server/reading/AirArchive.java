package elvaro.server.reading;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Air of the past, taken over as it was. */
@Component
public class AirArchive {
    private final AirStore store;

    AirArchive(AirStore store) {
        this.store = store;
    }

    /**
     * One reading.
     *
     * @param celsius −40 to 60 °C
     * @param humidity 0–100 % RH
     */
    public record Past(Instant at, double celsius, double humidity) {}

    @Transactional
    public void keep(UUID chamberId, List<Past> readings) {
        store.store(
                chamberId,
                readings.stream()
                        .map(past -> new AirReading(past.at().getEpochSecond(), past.celsius(), past.humidity(), null))
                        .toList());
    }
}
