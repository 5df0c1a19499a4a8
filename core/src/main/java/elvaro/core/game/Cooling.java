package elvaro.core.game;

import java.time.Duration;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * How an animal cooled, from what was measured in its core. Between two readings, and on from the last two, the difference
 * to the air falls by the same share in the same time (Newton's law of cooling); it is close once the outside is cold.
 *
 * @param cores in the order they were measured
 */
public record Cooling(List<Core> cores) {
    /** A core that is not cold after so long is spoilt inside more often than not (EST). */
    public static final Duration COOL_WITHIN = Duration.ofHours(24);

    /** Nothing is foretold further ahead than this. */
    private static final Duration FAR = Duration.ofDays(3);

    /** @param celsius in the thickest part of the haunch, under the breast, or at the backbone of a fish */
    public record Core(Instant at, double celsius) {}

    public Cooling {
        cores = cores.stream().sorted(Comparator.comparing(Core::at)).toList();
    }

    /** When the core first was at or below a temperature; empty if none was measured so cold. */
    public Optional<Instant> coldAt(double celsius) {
        Core warm = null;
        for (Core core : cores) {
            if (core.celsius() <= celsius) {
                return Optional.of(warm == null ? core.at() : between(warm, core, celsius));
            }
            warm = core;
        }
        return Optional.empty();
    }

    private static Instant between(Core warm, Core cold, double celsius) {
        double share = (warm.celsius() - celsius) / (warm.celsius() - cold.celsius());
        return after(warm.at(), Duration.between(warm.at(), cold.at()), share);
    }

    /**
     * When it is going to be that cold.
     *
     * @param air of the place it hangs in, °C
     * @return empty where it is cold already, where fewer than two readings tell, or where it does not get there
     */
    public Optional<Instant> expectedColdAt(double celsius, double air) {
        if (cores.size() < 2 || coldAt(celsius).isPresent() || air >= celsius) {
            return Optional.empty();
        }
        Core last = cores.get(cores.size() - 1);
        Core before = cores.get(cores.size() - 2);
        double fell = Math.log((before.celsius() - air) / (last.celsius() - air));
        if (!(fell > 0)) {
            return Optional.empty();
        }
        double steps = Math.log((last.celsius() - air) / (celsius - air)) / fell;
        Duration apart = Duration.between(before.at(), last.at());
        return steps * apart.toSeconds() > FAR.toSeconds()
                ? Optional.empty()
                : Optional.of(after(last.at(), apart, steps));
    }

    private static Instant after(Instant from, Duration apart, double times) {
        return from.plusSeconds(Math.round(apart.toSeconds() * times));
    }
}
