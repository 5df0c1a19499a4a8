package elvaro.server.reading;

import elvaro.core.keeping.Excursions;
import elvaro.server.chamber.ChamberService;
import elvaro.server.device.DeviceService;
import elvaro.server.device.PackReader;
import elvaro.server.device.SenMl.Measured;
import elvaro.server.reading.AirIntake.Delivery;
import elvaro.server.reading.AirOrigin.OriginKind;
import elvaro.server.reading.AirStore.Stored;
import elvaro.server.shared.CurrentWorkshop;
import elvaro.server.shared.LongWork;
import elvaro.server.shared.Refusal;
import elvaro.server.shared.Sha256;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;

/** Takes readings in, a pack or a file at a time, whole or not at all. */
@Service
public class ReadingService {
    private static final Duration AHEAD = Duration.ofMinutes(5);
    private static final Duration LONGEST_AGO = Duration.ofDays(3_660);

    private final DeviceService devices;
    private final ChamberService chambers;
    private static final Stored NOTHING = new Stored(0, 0);

    private final AirStore store;
    private final AirIntake intake;
    private final CurrentWorkshop current;
    private final LongWork longWork;
    private final TransactionTemplate transaction;
    private final PackReader packs;
    private final Clock clock;
    private final int packsAMinute;

    ReadingService(
            DeviceService devices,
            ChamberService chambers,
            AirStore store,
            AirIntake intake,
            CurrentWorkshop current,
            LongWork longWork,
            TransactionTemplate transaction,
            PackReader packs,
            Clock clock,
            @Value("${elvaro.packs-a-minute}") int packsAMinute) {
        this.devices = devices;
        this.chambers = chambers;
        this.store = store;
        this.intake = intake;
        this.current = current;
        this.longWork = longWork;
        this.transaction = transaction;
        this.packs = packs;
        this.clock = clock;
        this.packsAMinute = packsAMinute;
    }

    /**
     * What became of a pack.
     *
     * @param stored moments of which nothing was known before
     * @param known moments known already; nothing of them was changed
     * @param ignored records that measure something else
     */
    public record Taken(long stored, long known, int ignored) {}

    /**
     * Keeps a pack of a probe. Sent again, it changes nothing.
     *
     * @throws Refusal if the token is nobody's, packs come too fast, or a record is wrong
     */
    public Taken take(String token, InputStream body) {
        return devices.asProbe(token, packsAMinute, (device, chamber) -> {
            byte[] pack = PackReader.bytes(body);
            return keep(chamber, packs.read(pack), pack);
        });
    }

    private Taken keep(UUID chamber, List<Measured> records, byte[] pack) {
        Instant now = clock.instant();
        Instant latest = now.plus(AHEAD);
        Instant earliest = now.minus(LONGEST_AGO);
        List<AirReading> readings = new ArrayList<>(records.size());
        for (int index = 0; index < records.size(); index++) {
            Measured record = records.get(index);
            try {
                mustBePast(record.at(), earliest, latest);
                reading(record, readings);
            } catch (IllegalArgumentException wrong) {
                throw Refusal.wrong(
                        "bad-pack",
                        "pack",
                        "Record %d: %s Nothing of the pack was kept.".formatted(index + 1, wrong.getMessage()));
            }
        }
        int ignored = records.size() - readings.size();
        if (readings.isEmpty()) {
            return new Taken(0, 0, ignored);
        }
        long live = now.minus(Excursions.LONGEST_SILENCE).getEpochSecond();
        Map<Boolean, List<AirReading>> byLateness =
                readings.stream().collect(Collectors.partitioningBy(reading -> reading.second() < live));
        Delivery late = new Delivery(OriginKind.LATE, "its probe", Sha256.of(pack), null, false);
        Stored kept = transaction.execute(status -> stored(
                byLateness.get(true).isEmpty() ? NOTHING : intake.keep(chamber, byLateness.get(true), late),
                byLateness.get(false).isEmpty() ? NOTHING : store.store(chamber, byLateness.get(false), null)));
        return new Taken(kept.fresh(), kept.known(), ignored);
    }

    private static Stored stored(Stored one, Stored other) {
        return new Stored(one.fresh() + other.fresh(), one.known() + other.known());
    }

    private static void mustBePast(Instant at, Instant earliest, Instant latest) {
        if (at.isAfter(latest)) {
            throw new IllegalArgumentException("%s is still to come: the clock of the device is wrong.".formatted(at));
        }
        if (at.isBefore(earliest)) {
            throw new IllegalArgumentException("%s is more than ten years ago.".formatted(at));
        }
    }

    /** What a chamber's air does not consist of is not kept. */
    private static void reading(Measured record, List<AirReading> readings) {
        long second = record.at().getEpochSecond();
        record.value().ifPresent(value -> {
            switch (record.unit()) {
                case "Cel" -> readings.add(new AirReading(second, value, null, null));
                case "%RH" -> readings.add(new AirReading(second, null, value, null));
                case "m/s" -> readings.add(new AirReading(second, null, null, value));
                default -> {
                    // A battery, a signal: of no matter here.
                }
            }
        });
    }

    /**
     * Keeps what a logger wrote, and who took it in from which file.
     *
     * @param name of the file
     * @param text the file
     * @param mapping which column is what
     * @throws Refusal that names the line that is wrong; nothing of the file is then kept
     */
    public Taken importFile(UUID chamberId, String name, String text, LoggerFile.Mapping mapping) {
        chambers.find(chamberId).orElseThrow(() -> Refusal.notFound("chamber"));
        List<AirReading> readings =
                LoggerFile.read(text, mapping, clock.instant().plus(AHEAD));
        Delivery file = new Delivery(
                OriginKind.FILE,
                name.strip(),
                Sha256.of(text.getBytes(StandardCharsets.UTF_8)),
                current.person().accountId(),
                true);
        Stored kept = transaction.execute(status -> {
            longWork.allow(); // two years of minutes
            return intake.keep(chamberId, readings, file);
        });
        return new Taken(kept.fresh(), kept.known(), 0);
    }
}
