package elvaro.server.reading;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import elvaro.server.support.Client;
import elvaro.server.support.RunningApp;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import java.util.UUID;
import java.util.stream.Collectors;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;

/**
 * Faults planted into a simulated run are found as planted and nothing besides, wherever they lie: over the border of an
 * hour, beside a silence, across the nights in which the clocks are changed (29 March and 25 October 2026 in the workshop's
 * zone; the latter is tried a year earlier, as it must be past).
 */
@ExtendWith(RunningApp.class)
class PlantedAirIT {
    private static final int MINUTES = 4 * 24 * 60;
    private static final int PACK = 2_000;

    private record Planted(int from, int to, double peak, boolean silent) {}

    /** Faults that keep away from one another by more than what joins two of them. */
    private static List<Planted> plant(Random random) {
        List<Planted> planted = new ArrayList<>();
        int minute = 30 + random.nextInt(90);
        while (minute < MINUTES - 900) {
            boolean silent = random.nextInt(4) == 0;
            int length = silent ? 361 + random.nextInt(200) : 1 + random.nextInt(200);
            planted.add(new Planted(minute, minute + length, 5.5 + random.nextInt(600) / 100.0, silent));
            minute += length + 20 + random.nextInt(300);
        }
        return planted;
    }

    private static double celsius(int minute, List<Planted> planted, Random random) {
        for (Planted fault : planted) {
            if (!fault.silent() && minute >= fault.from() && minute < fault.to()) {
                return minute == (fault.from() + fault.to()) / 2 ? fault.peak() : 5.25;
            }
        }
        return 2 + random.nextInt(250) / 100.0;
    }

    private static boolean heard(int minute, List<Planted> planted) {
        // A silence lies between the last reading before and the first one after it.
        return planted.stream().noneMatch(each -> each.silent() && minute > each.from() && minute < each.to());
    }

    @ParameterizedTest(name = "from {0}, seed {1}")
    @CsvSource({
        "2026-03-27T00:00:00Z, 1",
        "2026-03-27T13:07:00Z, 2",
        "2025-10-24T00:00:00Z, 3",
        "2025-10-24T21:59:00Z, 4",
        "2026-01-09T05:30:00Z, 5",
        "2026-02-11T23:59:00Z, 6",
    })
    void what_was_planted_is_found_and_nothing_besides(Instant begin, long seed) {
        Client client = RunningApp.newWorkshop().client();
        Random random = new Random(seed);
        List<Planted> planted = plant(random);
        String chamber = client.chamber("Cabinet", 50_000);
        String token = client.deviceToken(UUID.randomUUID().toString(), chamber);
        List<String> records = new ArrayList<>();
        for (int minute = 0; minute < MINUTES; minute++) {
            double celsius = celsius(minute, planted, random);
            if (heard(minute, planted)) {
                records.add("{\"n\":\"t\",\"u\":\"Cel\",\"t\":%d,\"v\":%s}"
                        .formatted(begin.getEpochSecond() + minute * 60L, celsius));
            }
        }
        List<List<String>> packs = new ArrayList<>();
        for (int index = 0; index < records.size(); index += PACK) {
            packs.add(records.subList(index, Math.min(records.size(), index + PACK)));
        }
        Collections.shuffle(packs, random); // a probe that kept packs sends them as it can
        packs.forEach(pack -> client.must(client.pack(token, "[" + String.join(",", pack) + "]")));

        List<JsonNode> events = client.get("/api/chambers/%s/air?from=%s&to=%s&points=100"
                        .formatted(chamber, begin, begin.plus(Duration.ofMinutes(MINUTES))))
                .body()
                .path("events")
                .valueStream()
                .filter(event -> !event.path("lasting").asBoolean())
                .collect(Collectors.toList());
        Collections.reverse(events);
        assertThat(events.stream()
                        .map(event -> "%s %s %s"
                                .formatted(
                                        event.path("kind").asString(),
                                        event.path("from").asString(),
                                        event.path("to").asString())))
                .as("seed %d", seed)
                .containsExactlyElementsOf(planted.stream()
                        .map(each -> "%s %s %s"
                                .formatted(
                                        each.silent() ? "SILENT" : "WARM",
                                        begin.plus(Duration.ofMinutes(each.from())),
                                        begin.plus(Duration.ofMinutes(each.to()))))
                        .toList());
        for (int index = 0; index < planted.size(); index++) {
            Planted fault = planted.get(index);
            if (!fault.silent()) {
                int minutes = fault.to() - fault.from();
                double degreeHours = ((minutes - 1) * 0.25 + fault.peak() - 5) / 60;
                assertThat(events.get(index).path("peakCelsius").asDouble()).isEqualTo(fault.peak(), within(0.006));
                assertThat(events.get(index).path("degreeHours").asDouble()).isEqualTo(degreeHours, within(0.001));
            }
        }
    }
}
