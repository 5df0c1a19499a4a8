package elvaro.server.reading;

import elvaro.server.chamber.Chamber;
import elvaro.server.chamber.ChamberService;
import elvaro.server.shared.Refusal;
import elvaro.server.shared.Secret;
import java.time.Clock;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Air of the past, taken over as it was. */
@Component
public class AirArchive {
    private final AirStore store;
    private final DeviceRepository devices;
    private final ChamberService chambers;
    private final Clock clock;

    AirArchive(AirStore store, DeviceRepository devices, ChamberService chambers, Clock clock) {
        this.store = store;
        this.devices = devices;
        this.chambers = chambers;
        this.clock = clock;
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

    /** A probe whose token is known already. */
    @Transactional
    public void probe(UUID id, String name, UUID chamberId, String token) {
        Chamber chamber = chambers.find(chamberId).orElseThrow(() -> Refusal.notFound("chamber"));
        devices.save(new Device(
                id, name, chamber, Secret.hash(token), clock.instant().truncatedTo(ChronoUnit.MICROS)));
    }
}
