package elvaro.server.reading;

import elvaro.server.reading.AirIntake.Delivery;
import elvaro.server.reading.AirOrigin.OriginKind;
import elvaro.server.shared.CurrentWorkshop;
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
    private final AirIntake intake;
    private final CurrentWorkshop current;

    AirHistory(AirStore store, AirIntake intake, CurrentWorkshop current) {
        this.store = store;
        this.intake = intake;
        this.current = current;
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
     * Keeps what is not known yet of a chamber, as its probe measured it.
     *
     * @param readings at least one
     * @return how many were new
     */
    @Transactional
    public int keep(UUID chamberId, List<Past> readings) {
        return store.store(chamberId, rows(readings), null).fresh();
    }

    /** Whether anything is known of a chamber's air. */
    public boolean isKnown(UUID chamberId) {
        return store.sources().containsKey(chamberId);
    }

    /**
     * The same of what came with an archive.
     *
     * @param name of the archive
     * @param checksum SHA-256 of it, in hexadecimal
     * @param wasKnown whether anything was known of the chamber before: a silence they come into is told then
     */
    @Transactional
    public int keepFromArchive(UUID chamberId, List<Past> readings, String name, String checksum, boolean wasKnown) {
        Delivery archive = new Delivery(
                OriginKind.ARCHIVE, name, checksum, current.person().accountId(), wasKnown);
        return intake.keep(chamberId, rows(readings), archive).fresh();
    }

    private static List<AirReading> rows(List<Past> readings) {
        return readings.stream()
                .map(past -> new AirReading(past.at().getEpochSecond(), past.celsius(), past.humidity(), past.speed()))
                .toList();
    }
}
