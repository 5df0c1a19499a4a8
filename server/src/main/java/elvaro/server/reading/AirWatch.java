package elvaro.server.reading;

import elvaro.core.keeping.Excursions;
import elvaro.core.keeping.Excursions.Gap;
import elvaro.core.keeping.Excursions.Warm;
import elvaro.server.reading.AirHours.WarmestOf;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/**
 * Finds what was wrong with the air without reading a year of readings: hours that were warm anywhere tell where to look,
 * and only there the readings themselves are read.
 */
@Component
class AirWatch {
    private static final Duration LONGEST_SILENCE = Excursions.LONGEST_SILENCE;
    private static final Duration SILENT_AFTER = Duration.ofMinutes(30);

    /** An air that does not move by a hundredth for so many hours is a probe's, not a chamber's. */
    private static final int STUCK_HOURS = 6;

    private static final int FEWEST_READINGS = 12;

    private final AirHours hours;

    AirWatch(AirHours hours) {
        this.hours = hours;
    }

    Excursions between(long source, Instant from, Instant to) {
        List<WarmestOf> known = hours.warmest(source, from, to);
        List<Warm> warm = new ArrayList<>();
        int index = 0;
        while (index < known.size()) {
            int end = index;
            while (end < known.size() && known.get(end).max() > Excursions.LIMIT_CELSIUS) {
                end++;
            }
            if (end > index) {
                // With the first reading after them: it ends the last run.
                long until = end < known.size()
                        ? known.get(end).lastAt()
                        : known.get(end - 1).lastAt();
                warm.addAll(Excursions.find(
                                hours.temperatures(source, known.get(index).firstAt(), until))
                        .warm());
            }
            index = Math.max(end, index + 1);
        }
        return new Excursions(List.copyOf(warm), gaps(known));
    }

    /**
     * Silences between two seconds of which something is known.
     *
     * @param now where nothing is known after the second of them: until when the silence goes on
     */
    List<Gap> silences(long source, long fromSecond, long toSecond, @Nullable Instant now) {
        List<WarmestOf> known =
                hours.warmest(source, Instant.ofEpochSecond(fromSecond), Instant.ofEpochSecond(toSecond + 1));
        List<Gap> silences = new ArrayList<>(gaps(known));
        if (now != null && !known.isEmpty()) {
            gap(known.get(known.size() - 1).lastAt(), now.getEpochSecond()).ifPresent(silences::add);
        }
        return silences;
    }

    private static List<Gap> gaps(List<WarmestOf> known) {
        List<Gap> gaps = new ArrayList<>();
        for (int hour = 1; hour < known.size(); hour++) {
            gap(known.get(hour - 1).lastAt(), known.get(hour).firstAt()).ifPresent(gaps::add);
        }
        return gaps;
    }

    private static Optional<Gap> gap(long from, long to) {
        return to - from > LONGEST_SILENCE.toSeconds()
                ? Optional.of(new Gap(Instant.ofEpochSecond(from), Instant.ofEpochSecond(to)))
                : Optional.empty();
    }

    ProbeHealth health(long source, Instant now) {
        Optional<AirReading> last = hours.last(source);
        if (last.isEmpty()) {
            return ProbeHealth.NEVER_HEARD;
        }
        if (now.getEpochSecond() - last.get().second() > SILENT_AFTER.toSeconds()) {
            return ProbeHealth.SILENT;
        }
        List<WarmestOf> lately = hours.warmest(source, now.minus(Duration.ofHours(STUCK_HOURS)), now);
        int readings = lately.stream().mapToInt(WarmestOf::readings).sum();
        boolean still = lately.stream()
                .allMatch(
                        hour -> hour.min() == lately.get(0).min() && hour.max() == hour.min() && hour.humidityStill());
        return lately.size() >= STUCK_HOURS && readings >= FEWEST_READINGS && still
                ? ProbeHealth.STUCK
                : ProbeHealth.WELL;
    }
}
