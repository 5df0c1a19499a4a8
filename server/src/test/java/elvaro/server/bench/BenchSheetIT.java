package elvaro.server.bench;

import static elvaro.server.support.Bodies.entry;
import static org.assertj.core.api.Assertions.assertThat;

import elvaro.server.support.Bodies;
import elvaro.server.support.Client;
import elvaro.server.support.PaperRead;
import elvaro.server.support.RunningApp;
import elvaro.server.support.RunningApp.Someone;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;

/** The bench on paper, read back by poppler. */
@ExtendWith(RunningApp.class)
class BenchSheetIT {
    private static final int STEAK = 0x7a1f22;
    private static final int WATER = 0x8fa3a6;

    @TempDir
    Path folder;

    @Test
    void before_the_knife_it_says_what_to_expect_and_leaves_room_for_what_is_weighed(Someone owner) throws Exception {
        Client client = owner.client();
        String piece = client.hang(client.chamber("Cabinet", 50_000), 4000).get(0);
        client.must(client.write(piece, entry("PULLED", 3500)));
        var bench = client.get("/api/bench/" + piece).body();
        String words = PaperRead.words(client, "/api/bench/%s/sheet".formatted(piece), folder);
        assertThat(words).contains("Green 4.000 kg, aged 3.500 kg", "12.5 %", "slice first, a little crust left");
        assertThat(line(words, "steaks and roasts"))
                .isEqualTo("steaks and roasts "
                        + kilograms(bench.at("/expectedPiles/STEAK").asInt()));
        for (var choice : bench.path("choices")) {
            assertThat(words).contains(kilograms(choice.path("steakGrams").asInt()));
        }
    }

    @Test
    void a_part_of_an_animal_says_nothing_of_days_it_never_hung(Someone owner) throws Exception {
        Client client = owner.client();
        String deer = UUID.randomUUID().toString();
        client.must(
                client.put("/api/carcasses/" + deer, Bodies.carcassBody(client.chamber("Larder", 300_000), 40_000)));
        client.must(client.write(deer, entry("PULLED", 39_500)));
        String haunch = UUID.randomUUID().toString();
        client.must(
                client.put("/api/carcasses/%s/parts/%s".formatted(deer, haunch), Bodies.partBody("LEFT_HAUNCH", 5200)));
        String words = PaperRead.words(client, "/api/bench/%s/sheet".formatted(haunch), folder);
        assertThat(words)
                .contains("Haunch of venison. Test shop", "5.200 kg to cut.")
                .doesNotContain("null", "days");
    }

    @Test
    void once_closed_it_says_what_was_found_why_a_part_was_thrown_away_and_in_every_letter(Someone owner)
            throws Exception {
        Client client = owner.client();
        String piece = client.hang(client.chamber("Cabinet", 50_000), 4000).get(0);
        client.must(client.write(piece, entry("PULLED", 3500)));
        client.must(client.write(piece, pile("STEAK", 2800, "")));
        client.must(client.write(piece, pile("DISCARD", 700, "řeka, жир")));
        client.must(
                client.put("/api/bench/%s/close/%s".formatted(piece, UUID.randomUUID()), Map.of("answers", Map.of())));
        String words = PaperRead.words(client, "/api/bench/%s/sheet".formatted(piece), folder);
        assertThat(line(words, "discard")).contains("0.700 kg", "0.700 kg řeka, жир");
        assertThat(words).contains("Steak yield 70.0 %", "0.000 kg on no pile");
        // The bar is 499 points wide and 12 high: 70.0 % of it is steak, 12.5 % water.
        String sheet = "/api/bench/%s/sheet".formatted(piece);
        assertThat(PaperRead.dots(client, sheet, folder, STEAK)).isGreaterThan((long) (0.6 * 499 * 12));
        assertThat(PaperRead.dots(client, sheet, folder, WATER)).isBetween(500L, 900L);
    }

    private static Map<String, Object> pile(String stream, int grams, String words) {
        Map<String, Object> pile = new HashMap<>(entry("PILE", grams));
        pile.put("stream", stream);
        pile.put("words", words);
        return pile;
    }

    private static String line(String words, String start) {
        return words.lines()
                .map(line -> line.strip().replaceAll("  +", " "))
                .filter(line -> line.startsWith(start))
                .findFirst()
                .orElseThrow();
    }

    private static String kilograms(int grams) {
        return "%d.%03d kg".formatted(grams / 1000, grams % 1000);
    }
}
