package elvaro.server.reading;

import elvaro.core.air.AirQuantity;
import elvaro.core.air.AirQuantity.AirMeasure;
import elvaro.core.air.FastClock;
import elvaro.server.device.SenMl.Measured;
import elvaro.server.shared.Refusal;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** The readings of a pack, and what its sender should know of it. */
final class PackOfAir {
    private static final int NAMED = 5;

    private final Duration ahead;
    private final Instant earliest;
    private final List<AirReading> readings = new ArrayList<>();
    private final Set<String> others = new LinkedHashSet<>();

    /** Of each measure the second and the value that came last: two values of one moment stand beside each other. */
    private final long[] second = new long[AirMeasure.values().length];

    private final double[] value = new double[AirMeasure.values().length];

    private int records;
    private int leftOut;
    private int twice;

    /**
     * @param ahead by how much the clock of the probe is fast
     * @param earliest nothing was measured before
     */
    PackOfAir(Duration ahead, Instant earliest) {
        this.ahead = ahead;
        this.earliest = earliest;
        Arrays.fill(second, Long.MIN_VALUE);
    }

    /** @throws Refusal that says which record is wrong */
    void add(Measured record) {
        records++;
        try {
            Instant at = record.at().minus(ahead);
            if (at.isBefore(earliest)) {
                throw new IllegalArgumentException("%s is more than ten years ago.".formatted(record.at()));
            }
            Optional<AirQuantity> air =
                    record.value().flatMap(each -> AirQuantity.of(record.name(), record.unit(), each));
            if (air.isPresent()) {
                add(at.getEpochSecond(), air.get());
            } else {
                leftOut++;
                if (others.size() < NAMED) {
                    others.add(
                            record.unit().isEmpty()
                                    ? record.name()
                                    : "%s in %s".formatted(record.name(), record.unit()));
                }
            }
        } catch (IllegalArgumentException wrong) {
            throw Refusal.wrong(
                    "bad-pack",
                    "pack",
                    "Record %d: %s Nothing of the pack was kept.".formatted(records, wrong.getMessage()));
        }
    }

    private void add(long at, AirQuantity air) {
        AirReading reading = switch (air.measure()) {
            case TEMPERATURE -> new AirReading(at, air.value(), null, null);
            case HUMIDITY -> new AirReading(at, null, air.value(), null);
            case SPEED -> new AirReading(at, null, null, air.value());
        };
        int measure = air.measure().ordinal();
        if (second[measure] == at) {
            twice += value[measure] == air.value() ? 0 : 1;
            return;
        }
        second[measure] = at;
        value[measure] = air.value();
        readings.add(reading);
    }

    List<AirReading> readings() {
        return readings;
    }

    /** How many records measure something else. */
    int others() {
        return leftOut;
    }

    List<String> says() {
        List<String> says = new ArrayList<>();
        if (!ahead.isZero()) {
            says.add(FastClock.words(ahead));
        }
        if (!others.isEmpty()) {
            says.add("Left out, since it is no air: %s.".formatted(String.join(", ", others)));
        }
        if (twice > 0) {
            says.add("Of %s two values came; the first was kept."
                    .formatted(twice == 1 ? "one moment" : twice + " moments"));
        }
        return says;
    }
}
