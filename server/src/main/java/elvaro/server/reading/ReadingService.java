package elvaro.server.reading;

import elvaro.core.air.FastClock;
import elvaro.core.keeping.Excursions;
import elvaro.server.chamber.ChamberService;
import elvaro.server.device.DeviceService;
import elvaro.server.device.PackReader;
import elvaro.server.device.PackReader.Pack;
import elvaro.server.device.SenMl.Measured;
import elvaro.server.reading.AirIntake.Delivery;
import elvaro.server.reading.AirOrigin.OriginKind;
import elvaro.server.reading.AirStore.Stored;
import elvaro.server.shared.CurrentWorkshop;
import elvaro.server.shared.LongWork;
import elvaro.server.shared.Refusal;
import elvaro.server.shared.Sha256;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Comparator;
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
     * What became of a pack or a file.
     *
     * @param stored moments of which nothing was known before
     * @param known moments known already; nothing of them was changed
     * @param ignored records that measure something else
     * @param says what its sender should know
     */
    public record Taken(long stored, long known, int ignored, List<String> says) {}

    /**
     * Keeps a pack of a probe. Sent again, it changes nothing.
     *
     * @throws Refusal if the token is nobody's, packs come too fast, or a record is wrong
     */
    public Taken take(String token, Pack pack) {
        return devices.asProbe(token, packsAMinute, (device, chamber) -> {
            byte[] bytes = pack.bytes();
            return keep(device, chamber, packs.read(pack, bytes), bytes);
        });
    }

    private Taken keep(UUID device, UUID chamber, List<Measured> records, byte[] pack) {
        Instant now = clock.instant();
        Duration ahead = ahead(device, records, now);
        PackOfAir air = new PackOfAir(ahead, now.minus(LONGEST_AGO));
        records.forEach(air::add);
        List<AirReading> readings = air.readings();
        if (readings.isEmpty()) {
            return new Taken(0, 0, air.others(), air.says());
        }
        long live = now.minus(Excursions.LONGEST_SILENCE).getEpochSecond();
        Map<Boolean, List<AirReading>> byLateness =
                readings.stream().collect(Collectors.partitioningBy(reading -> reading.second() < live));
        Delivery late = new Delivery(OriginKind.LATE, "its probe", Sha256.of(pack), null, false);
        Stored kept = transaction.execute(status -> stored(
                byLateness.get(true).isEmpty() ? NOTHING : intake.keep(chamber, byLateness.get(true), late),
                byLateness.get(false).isEmpty() ? NOTHING : store.store(chamber, byLateness.get(false), null)));
        return new Taken(kept.fresh(), kept.known(), air.others(), air.says());
    }

    /** By how much the clock of the probe is fast; kept, so that a pack that is sent again is put back by the same. */
    private Duration ahead(UUID device, List<Measured> records, Instant now) {
        Instant last = records.stream()
                .map(Measured::at)
                .max(Comparator.naturalOrder())
                .orElse(now);
        try {
            Duration known = devices.clockAhead(device);
            Duration ahead = FastClock.ahead(last, now, known);
            if (!ahead.equals(known)) {
                devices.clockIsAhead(device, ahead);
            }
            return ahead;
        } catch (IllegalArgumentException wrong) {
            throw Refusal.wrong("bad-pack", "pack", "%s Nothing of the pack was kept.".formatted(wrong.getMessage()));
        }
    }

    private static Stored stored(Stored one, Stored other) {
        return new Stored(one.fresh() + other.fresh(), one.known() + other.known());
    }

    /** What a logger's file would bring; nothing is kept. */
    LoggerPreview preview(LoggerForm form, byte[] file) {
        return new LoggerFile(file, form.headLine()).look(form, clock.instant().plus(AHEAD));
    }

    /**
     * Keeps what a logger wrote, and who took it in from which file.
     *
     * @throws Refusal that names the line that is wrong; nothing of the file is then kept
     */
    Taken importFile(UUID chamberId, LoggerForm form, byte[] bytes) {
        chambers.find(chamberId).orElseThrow(() -> Refusal.notFound("chamber"));
        List<AirReading> readings = new LoggerFile(bytes, form.headLine())
                .read(form, clock.instant().plus(AHEAD));
        Delivery file = new Delivery(
                OriginKind.FILE,
                form.name().strip(),
                Sha256.of(bytes),
                current.person().accountId(),
                true);
        Stored kept = transaction.execute(status -> {
            longWork.allow(); // two years of minutes
            return intake.keep(chamberId, readings, file);
        });
        return new Taken(kept.fresh(), kept.known(), 0, List.of());
    }
}
