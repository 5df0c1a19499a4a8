package elvaro.server.demo;

import elvaro.devices.SimulatedChamber;
import elvaro.devices.SimulatedChamber.Fault;
import elvaro.devices.SimulatedChamber.Sample;
import elvaro.server.demo.Scenario.Room;
import elvaro.server.device.DeviceService;
import elvaro.server.reading.AirEvent;
import elvaro.server.reading.AirEvents;
import elvaro.server.reading.AirHistory;
import elvaro.server.reading.AirHistory.Past;
import elvaro.server.reading.AirService;
import elvaro.server.settings.HouseClock;
import elvaro.server.settings.WorkshopService;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.IntStream;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/**
 * A season of air in the demo's chambers: one reading a minute in the last thirty days, one in ten minutes before. The
 * chambers miss what they are set to as real ones do. The pantry's compressor failed one night, the larder's probe was silent for a while, the chest of ice has none.
 */
@Component
class Weather {
    private static final Duration SEASON = Duration.ofDays(90);
    private static final Duration CLOSELY = Duration.ofDays(30);
    private static final Duration FAILED_FOR = Duration.ofMinutes(210);
    private static final Duration SILENT_FOR = Duration.ofHours(8);

    /** What a kilogram more on the rails raises the humidity by, points. */
    private static final double POINTS_PER_KILOGRAM = 0.05;

    private final AirHistory archive;
    private final AirService air;
    private final AirEvents events;
    private final DeviceService devices;
    private final WorkshopService workshops;
    private final Clock clock;
    private final String deviceSecret;

    Weather(
            AirHistory archive,
            AirService air,
            AirEvents events,
            DeviceService devices,
            WorkshopService workshops,
            Clock clock,
            @Value("${elvaro.demo-device-secret}") String deviceSecret) {
        this.archive = archive;
        this.air = air;
        this.events = events;
        this.devices = devices;
        this.workshops = workshops;
        this.clock = clock;
        this.deviceSecret = deviceSecret;
    }

    /** @param rooms the chambers' ids by the scenario's key */
    void fill(Map<String, UUID> rooms, Random random) {
        Instant now = clock.instant().truncatedTo(ChronoUnit.MINUTES);
        HouseClock house = workshops.mine().clock();
        Instant failed = compressorFailed(house, house.day(now));
        Instant silent = probeSilent(house, house.day(now));
        for (Room room : Scenario.ROOMS) {
            if (room.key().equals("L")) {
                continue;
            }
            UUID chamber = rooms.get(room.key());
            archive.keep(chamber, season(room, now, at -> fault(room, at, failed, silent), random.nextLong()));
            if (!deviceSecret.isEmpty()) {
                devices.restore(Scenario.id(random), "Probe " + room.name(), chamber, deviceSecret + "-" + room.key());
            }
        }
        if (!deviceSecret.isEmpty()) {
            devices.restore(Scenario.id(random), "Bench scale", null, deviceSecret + "-scale");
        }
        air.view(rooms.get("P"), failed.minus(Duration.ofDays(1)), now, 10).events().stream()
                .filter(event -> event.kind() == AirEvent.WARM)
                .forEach(event -> events.decide(
                        Scenario.id(random),
                        rooms.get("P"),
                        AirEvent.WARM,
                        event.from(),
                        "Compressor tripped in the night, reset at once when found. Looked at and smelled: kept."));
    }

    /** About what its chamber runs at, the damper the more hangs in it. */
    private static List<Past> season(Room room, Instant now, Function<Instant, Fault> faults, long seed) {
        SimulatedChamber chamber = new SimulatedChamber(room.celsius(), room.runsPercent(), seed);
        double[] kilograms = IntStream.rangeClosed(0, (int) SEASON.toDays())
                .mapToDouble(days -> Scenario.kilogramsIn(room.key(), days))
                .toArray();
        double usual = Arrays.stream(kilograms).average().orElse(0);
        List<Past> season = new ArrayList<>();
        for (Instant at = now.minus(SEASON); !at.isAfter(now); ) {
            Duration ago = Duration.between(at, now);
            chamber.settleAbout(room.runsPercent() + POINTS_PER_KILOGRAM * (kilograms[(int) ago.toDays()] - usual));
            Fault fault = faults.apply(at);
            Duration step = at.isBefore(now.minus(CLOSELY)) ? Duration.ofMinutes(10) : Duration.ofMinutes(1);
            Sample sample = chamber.after(step.toMinutes() / 60.0, fault);
            if (fault != Fault.SILENT) {
                season.add(new Past(at, sample.celsius(), sample.humidity(), null));
            }
            at = at.plus(step);
        }
        return season;
    }

    /** The night in which the pantry's compressor failed. */
    static Instant compressorFailed(HouseClock house, LocalDate today) {
        return house.at(today.minusDays(9), LocalTime.of(1, 20));
    }

    /** The evening from which the larder's probe was silent. */
    static Instant probeSilent(HouseClock house, LocalDate today) {
        return house.at(today.minusDays(5), LocalTime.of(22, 40));
    }

    private static Fault fault(Room room, Instant at, Instant failed, Instant silent) {
        return switch (room.key()) {
            case "P" -> within(at, failed, FAILED_FOR) ? Fault.WARMING : Fault.NONE;
            case "G" -> within(at, silent, SILENT_FOR) ? Fault.SILENT : Fault.NONE;
            default -> Fault.NONE;
        };
    }

    private static boolean within(Instant at, Instant began, Duration lasted) {
        return !at.isBefore(began) && at.isBefore(began.plus(lasted));
    }
}
