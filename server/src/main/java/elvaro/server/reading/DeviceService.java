package elvaro.server.reading;

import elvaro.server.chamber.Chamber;
import elvaro.server.chamber.ChamberService;
import elvaro.server.settings.WorkshopService;
import elvaro.server.shared.CurrentWorkshop;
import elvaro.server.shared.Refusal;
import elvaro.server.shared.Role;
import elvaro.server.shared.Secret;
import elvaro.server.shared.SignedIn;
import java.time.Clock;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.BiFunction;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The probes of the workshop and their tokens. A token is shown once, when it is made. */
@Service
public class DeviceService {
    private final DeviceRepository devices;
    private final ChamberService chambers;
    private final WorkshopService workshops;
    private final JdbcClient database;
    private final CurrentWorkshop current;
    private final Clock clock;

    DeviceService(
            DeviceRepository devices,
            ChamberService chambers,
            WorkshopService workshops,
            JdbcClient database,
            CurrentWorkshop current,
            Clock clock) {
        this.devices = devices;
        this.chambers = chambers;
        this.workshops = workshops;
        this.database = database;
        this.current = current;
        this.clock = clock;
    }

    /**
     * A probe.
     *
     * @param token right after it was made; it is not kept and not shown again
     */
    public record DeviceView(
            UUID id,
            int version,
            String name,
            UUID chamberId,
            String chamberName,
            @Nullable String token) {
        private static DeviceView of(Device device, @Nullable String token) {
            return new DeviceView(
                    device.id(),
                    device.version(),
                    device.name(),
                    device.chamber().id(),
                    device.chamber().name(),
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
     * Adds a probe; sent again, it is there once, but its token is not told twice.
     *
     * @throws Refusal if the chamber is not of this workshop, or has a probe
     */
    @Transactional
    public DeviceView add(UUID id, String name, UUID chamberId) {
        workshops.lock(); // One at a time, so that a chamber gets one probe and a retry finds the first one's.
        Optional<Device> known = devices.findById(id);
        if (known.isPresent()) {
            return DeviceView.of(known.get(), null);
        }
        Chamber chamber = chambers.find(chamberId).orElseThrow(() -> Refusal.notFound("chamber"));
        devices.open().stream()
                .filter(device -> device.chamber().id().equals(chamberId))
                .findFirst()
                .ifPresent(device -> {
                    throw Refusal.conflict(
                            "has-probe",
                            "%s has a probe already, %s. Shut that one out first."
                                    .formatted(chamber.name(), device.name()));
                });
        String token = Secret.make();
        Device device = new Device(
                id, name, chamber, Secret.hash(token), clock.instant().truncatedTo(ChronoUnit.MICROS));
        return DeviceView.of(devices.save(device), token);
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

    private record Known(UUID id, UUID chamberId, SignedIn acting) {}

    /**
     * Works for the device whose token this is. Looking one up crosses workshops, and so is plain SQL.
     *
     * @param work of the device and its chamber
     * @throws Refusal if it is nobody's, or was revoked
     */
    public <T> T asDevice(String token, BiFunction<UUID, UUID, T> work) {
        Known known = database.sql(
                        "select id, workshop_id, chamber_id from device where token_hash = ? and not revoked")
                .param(Secret.hash(token))
                .query((row, number) -> {
                    UUID id = UUID.fromString(row.getString("id"));
                    UUID workshop = UUID.fromString(row.getString("workshop_id"));
                    return new Known(
                            id,
                            UUID.fromString(row.getString("chamber_id")),
                            new SignedIn(id, workshop, Role.BENCH_HAND, true, null));
                })
                .optional()
                .orElseThrow(Refusal::unknownDevice);
        return current.actingAs(known.acting(), () -> work.apply(known.id(), known.chamberId()));
    }
}
