package elvaro.server.device;

import elvaro.core.air.FastClock;
import elvaro.server.chamber.Chamber;
import elvaro.server.chamber.ChamberService;
import elvaro.server.settings.WorkshopService;
import elvaro.server.shared.CurrentWorkshop;
import elvaro.server.shared.MinuteLimit;
import elvaro.server.shared.Refusal;
import elvaro.server.shared.Role;
import elvaro.server.shared.Secret;
import elvaro.server.shared.SignedIn;
import java.time.Clock;
import java.time.Duration;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.BiFunction;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The probes and scales of the workshop and their tokens. A token is shown once, when it is made. */
@Service
public class DeviceService {
    private final MinuteLimit limit;
    private final DeviceRepository devices;
    private final ChamberService chambers;
    private final WorkshopService workshops;
    private final JdbcClient database;
    private final CurrentWorkshop current;
    private final Clock clock;

    DeviceService(
            MinuteLimit limit,
            DeviceRepository devices,
            ChamberService chambers,
            WorkshopService workshops,
            JdbcClient database,
            CurrentWorkshop current,
            Clock clock) {
        this.limit = limit;
        this.devices = devices;
        this.chambers = chambers;
        this.workshops = workshops;
        this.database = database;
        this.current = current;
        this.clock = clock;
    }

    /**
     * A probe or a scale.
     *
     * @param chamberId what a probe measures; absent for a scale
     * @param says what is wrong with it, in a sentence
     * @param token right after it was made; it is not kept and not shown again
     */
    public record DeviceView(
            UUID id,
            int version,
            String name,
            @Nullable UUID chamberId,
            @Nullable String chamberName,
            @Nullable String says,
            @Nullable String token) {
        private static DeviceView of(Device device, @Nullable String token) {
            return new DeviceView(
                    device.id(),
                    device.version(),
                    device.name(),
                    device.chamber().map(Chamber::id).orElse(null),
                    device.chamber().map(Chamber::name).orElse(null),
                    device.clockAhead().map(FastClock::words).orElse(null),
                    token);
        }
    }

    @Transactional(readOnly = true)
    public List<DeviceView> open() {
        return devices.open().stream()
                .map(device -> DeviceView.of(device, null))
                .toList();
    }

    /**
     * Adds a device; sent again, it is there once, but its token is not told twice.
     *
     * @param chamberId what a probe measures; null for a scale
     * @throws Refusal if the chamber is not of this workshop, or has a probe
     */
    @Transactional
    public DeviceView add(UUID id, String name, @Nullable UUID chamberId) {
        workshops.lock(); // One at a time, so that a chamber gets one probe and a retry finds the first one's.
        Optional<Device> known = devices.findById(id);
        if (known.isPresent()) {
            return DeviceView.of(known.get(), null);
        }
        String token = Secret.make();
        return DeviceView.of(save(id, name, chamberId, token), token);
    }

    /** Adds a device whose token is known already. */
    @Transactional
    public void restore(UUID id, String name, @Nullable UUID chamberId, String token) {
        save(id, name, chamberId, token);
    }

    private Device save(UUID id, String name, @Nullable UUID chamberId, String token) {
        Chamber chamber = chamberId == null ? null : withoutProbe(chamberId);
        return devices.save(new Device(
                id, name, chamber, Secret.hash(token), clock.instant().truncatedTo(ChronoUnit.MICROS)));
    }

    private Chamber withoutProbe(UUID chamberId) {
        Chamber chamber = chambers.find(chamberId).orElseThrow(() -> Refusal.notFound("chamber"));
        devices.open().stream()
                .filter(device -> device.chamber()
                        .filter(each -> each.id().equals(chamberId))
                        .isPresent())
                .findFirst()
                .ifPresent(device -> {
                    throw Refusal.conflict(
                            "has-probe",
                            "%s has a probe already, %s. Shut that one out first."
                                    .formatted(chamber.name(), device.name()));
                });
        return chamber;
    }

    /** A new token; the one before opens nothing any more. */
    @Transactional
    public DeviceView renew(UUID id, int version) {
        Device device = devices.findById(id).orElseThrow(() -> Refusal.notFound("device"));
        String token = Secret.make();
        device.open(version, Secret.hash(token));
        return DeviceView.of(devices.save(device), token);
    }

    @Transactional
    public void revoke(UUID id, int version) {
        Device device = devices.findById(id).orElseThrow(() -> Refusal.notFound("device"));
        if (!device.revoked()) {
            device.revoke(version);
            devices.save(device);
        }
    }

    /**
     * A scale of this workshop that was not shut out.
     *
     * @throws Refusal if there is none
     */
    @Transactional(readOnly = true)
    public void mustBeScale(UUID id) {
        devices.findById(id)
                .filter(device -> !device.revoked() && device.chamber().isEmpty())
                .orElseThrow(() -> Refusal.notFound("scale"));
    }

    private record KnownDevice(UUID id, Optional<UUID> chamberId, SignedIn acting) {}

    /** Works for the probe whose token this is; see {@link #asScale}. */
    public <T> T asProbe(String token, int mostAMinute, BiFunction<UUID, UUID, T> work) {
        KnownDevice known = known(token, mostAMinute);
        UUID chamber = known.chamberId().orElseThrow(Refusal::unknownDevice);
        return current.actingAs(known.acting(), () -> work.apply(known.id(), chamber));
    }

    /**
     * Works for the scale whose token this is.
     *
     * @param mostAMinute requests of one device
     * @throws Refusal if the token is nobody's, was revoked or is of another kind of device, or requests come too fast
     */
    public <T> T asScale(String token, int mostAMinute, Function<UUID, T> work) {
        KnownDevice known = known(token, mostAMinute);
        known.chamberId().ifPresent(chamber -> {
            throw Refusal.unknownDevice();
        });
        return current.actingAs(known.acting(), () -> work.apply(known.id()));
    }

    /** By how much the clock of a device was found to be fast. */
    public Duration clockAhead(UUID device) {
        return Duration.ofSeconds(database.sql("select clock_ahead from device where id = ?")
                .param(device)
                .query(Integer.class)
                .single());
    }

    /** No change of the device that anybody made, and so no version of it. */
    public void clockIsAhead(UUID device, Duration ahead) {
        database.sql("update device set clock_ahead = ? where id = ?")
                .param(ahead.toSeconds())
                .param(device)
                .update();
    }

    /** Looking a token up crosses workshops, and so is plain SQL. */
    private KnownDevice known(String token, int mostAMinute) {
        KnownDevice known = database.sql(
                        "select id, workshop_id, chamber_id from device where token_hash = ? and not revoked")
                .param(Secret.hash(token))
                .query((row, number) -> {
                    UUID id = UUID.fromString(row.getString("id"));
                    UUID workshop = UUID.fromString(row.getString("workshop_id"));
                    return new KnownDevice(
                            id,
                            Optional.ofNullable(row.getString("chamber_id")).map(UUID::fromString),
                            new SignedIn(id, workshop, Role.BENCH_HAND, true, null));
                })
                .optional()
                .orElseThrow(Refusal::unknownDevice);
        if (!limit.allows("device " + known.id(), mostAMinute)) {
            throw Refusal.tooMany("At most %d requests a minute. Wait a minute; send more in one, or less often."
                    .formatted(mostAMinute));
        }
        return known;
    }
}
