package elvaro.server.reading;

import static org.assertj.core.api.Assertions.assertThat;

import elvaro.server.support.Api.Answer;
import elvaro.server.support.Bodies;
import elvaro.server.support.Client;
import elvaro.server.support.RunningApp;
import elvaro.server.support.RunningApp.Someone;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.time.temporal.ChronoUnit;
import java.util.HashMap;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.IntToDoubleFunction;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.zip.GZIPOutputStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;

/** Air by probe: what is kept, what is refused, what is found in it. */
@ExtendWith(RunningApp.class)
class ReadingIT {
    private static final Instant NOW = Instant.now().truncatedTo(ChronoUnit.SECONDS);

    private static Map<String, Object> probe(Client client, String chamber) {
        String id = UUID.randomUUID().toString();
        Answer answer =
                client.must(client.put("/api/devices/" + id, Map.of("name", "Probe " + chamber, "chamberId", chamber)));
        return new HashMap<>(
                Map.of("id", id, "token", answer.body().path("token").asString()));
    }

    private static String token(Client client, String chamber) {
        return String.valueOf(probe(client, chamber).get("token"));
    }

    private static Answer send(String token, String pack) {
        return new Client(RunningApp.port()).pack(token, pack);
    }

    /** A reading every so many minutes from a moment on. */
    private static String pack(Instant from, int readings, int everyMinutes, IntToDoubleFunction celsius) {
        return IntStream.range(0, readings)
                .mapToObj(index -> "{\"n\":\"t\",\"u\":\"Cel\",\"t\":%d,\"v\":%s}"
                        .formatted(from.getEpochSecond() + index * 60L * everyMinutes, celsius.applyAsDouble(index)))
                .collect(Collectors.joining(",", "[", "]"));
    }

    private static JsonNode air(Client client, String chamber, Duration back, int points) {
        return client.must(client.get("/api/chambers/%s/air?from=%s&to=%s&points=%d"
                        .formatted(chamber, NOW.minus(back), NOW, points)))
                .body();
    }

    private static List<String> events(Client client, String chamber, Duration back) {
        return air(client, chamber, back, 100)
                .path("events")
                .valueStream()
                .map(event -> "%s %s %s"
                        .formatted(
                                event.path("kind").asString(),
                                event.path("from").asString(),
                                event.path("to").asString()))
                .toList();
    }

    @Test
    void a_pack_sent_twice_and_out_of_order_is_kept_once_and_merged_by_the_second(Someone owner) {
        Client client = owner.client();
        String chamber = client.chamber("Cabinet", 50_000);
        String token = token(client, chamber);
        String late = pack(NOW.minus(Duration.ofMinutes(10)), 10, 1, index -> 2);
        Answer first = send(token, late);
        assertThat(first.body().path("stored").asInt()).as(first.toString()).isEqualTo(10);
        assertThat(send(token, late).body().path("known").asInt()).isEqualTo(10);
        assertThat(send(token, pack(NOW.minus(Duration.ofMinutes(20)), 11, 1, index -> 7))
                        .body()
                        .path("stored")
                        .asInt())
                .isEqualTo(10);
        String humidity =
                pack(NOW.minus(Duration.ofMinutes(10)), 10, 1, index -> 81).replace("Cel", "%RH");
        assertThat(send(token, humidity).body().path("stored").asInt()).isZero();
        JsonNode point = air(client, chamber, Duration.ofMinutes(10), 10).at("/points/0");
        assertThat(point.path("celsius").asDouble()).isEqualTo(2);
        assertThat(point.path("humidityPercent").asDouble()).isEqualTo(81);
        assertThat(point.path("drivePascal").asDouble()).isBetween(120.0, 130.0); // 0.18 · 705.3 Pa
    }

    @ParameterizedTest(name = "{0}")
    @CsvSource(
            delimiter = '|',
            value = {
                "no JSON|[{nothing|no JSON",
                "no array|{}|A pack is a JSON array",
                "a hot probe|[{'n':'a','u':'Cel','v':2},{'n':'a','u':'Cel','v':99}]|Record 2: 99.0 °C is out of range",
                "the future|[{'n':'a','u':'Cel','v':2,'t':10800}]|still to come",
                "what nobody can tell|[{'n':'value','v':2}]|say Cel, K, degF, %RH or m/s",
                "long ago|[{'n':'a','u':'Cel','v':2,'bt':1000000000}]|ten years",
            })
    void a_wrong_pack_is_refused_whole(String what, String pack, String sentence, Someone owner) {
        Client client = owner.client();
        String chamber = client.chamber("Cabinet", 50_000);
        Answer answer = send(token(client, chamber), pack.replace('\'', '"'));
        assertThat(answer.status()).isEqualTo(422);
        assertThat(answer.body().path("detail").asString()).contains(sentence);
        assertThat(air(client, chamber, Duration.ofDays(1), 10).path("points")).isEmpty();
    }

    @Test
    void a_clock_that_is_fast_is_put_back_and_said_and_a_pack_sent_again_stays_where_it_was(Someone owner) {
        Client client = owner.client();
        String chamber = client.chamber("Cabinet", 50_000);
        String token = token(client, chamber);
        String pack = "[{'n':'t','u':'Cel','v':2,'bt':%d},{'n':'t','u':'Cel','v':3,'t':-60}]"
                .replace('\'', '"')
                .formatted(Instant.now().plus(Duration.ofMinutes(10)).getEpochSecond());
        Answer first = client.must(send(token, pack));
        assertThat(first.body().path("stored").asInt()).isEqualTo(2);
        assertThat(first.body().at("/says/0").asString())
                .isEqualTo("Its clock is 10 minutes fast; its moments are put back by so much.");
        assertThat(send(token, pack).body().path("known").asInt()).isEqualTo(2);
        assertThat(client.get("/api/devices").body().at("/0/says").asString()).contains("10 minutes fast");
        JsonNode point = air(client, chamber, Duration.ofMinutes(30), 30).at("/points/0");
        assertThat(point.path("celsius").asDouble()).isEqualTo(3);
        assertThat(Instant.parse(point.path("at").asString())).isBefore(Instant.now());
        client.must(send(token, "[{\"n\":\"t\",\"u\":\"Cel\",\"v\":2.5}]"));
        assertThat(client.get("/api/devices").body().at("/0").has("says"))
                .as("it was set right")
                .isFalse();
    }

    /** RFC 8428 section 6: the same pack in CBOR, labels as numbers; and packed, as RFC 9110 has it. */
    @Test
    void a_pack_is_taken_in_cbor_and_packed_and_with_the_word_before_its_token_in_any_case(Someone owner)
            throws IOException {
        Client client = owner.client();
        String token = token(client, client.chamber("Cabinet", 50_000));
        // 82 A3 00 61 74 01 61 4B 02 FA 43899333 A3 00 61 68 01 61 25 02 18 51: t 275.15 K, h 81 %
        byte[] cbor = HexFormat.of()
                .parseHex("82" + "a3" + "006174" + "01614b" + "02fa43899333" + "a3" + "006168" + "016125" + "021851");
        assertThat(client.pack(token, cbor, "application/senml+cbor", "")
                        .body()
                        .path("stored")
                        .asInt())
                .isEqualTo(1);
        ByteArrayOutputStream packed = new ByteArrayOutputStream();
        try (GZIPOutputStream gzip = new GZIPOutputStream(packed)) {
            gzip.write("[{\"n\":\"t\",\"u\":\"Cel\",\"v\":2,\"t\":-60}]".getBytes(StandardCharsets.UTF_8));
        }
        assertThat(client.pack(token, packed.toByteArray(), "application/senml+json", "gzip")
                        .body()
                        .path("stored")
                        .asInt())
                .isEqualTo(1);
        assertThat(client.pack(token, new byte[] {1, 2, 3}, "application/senml+json", "gzip")
                        .body()
                        .path("detail")
                        .asString())
                .contains("not packed with gzip");
        ByteArrayOutputStream endless = new ByteArrayOutputStream();
        try (GZIPOutputStream gzip = new GZIPOutputStream(endless)) {
            gzip.write(new byte[20_000_000]);
        }
        assertThat(client.pack(token, endless.toByteArray(), "application/senml+json", "gzip")
                        .type())
                .isEqualTo("too-large");
    }

    @Test
    void what_is_no_air_and_two_values_of_one_moment_are_told(Someone owner) {
        Client client = owner.client();
        String token = token(client, client.chamber("Cabinet", 50_000));
        Answer answer = client.must(
                send(
                        token,
                        "[{\"n\":\"t\",\"u\":\"Cel\",\"v\":2,\"t\":-60},{\"n\":\"t\",\"u\":\"Cel\",\"v\":4,\"t\":-60},{\"n\":\"battery\",\"u\":\"%EL\",\"v\":80}]"));
        assertThat(answer.body().path("ignored").asInt()).isEqualTo(1);
        assertThat(answer.body().path("says").toString())
                .contains("Left out, since it is no air: battery in %EL.")
                .contains("Of one moment two values came; the first was kept.");
    }

    @Test
    void a_huge_pack_is_not_read_to_its_end(Someone owner) {
        Client client = owner.client();
        String token = token(client, client.chamber("Cabinet", 50_000));
        assertThat(send(token, "[" + " ".repeat(2_000_000) + "]").type()).isEqualTo("too-large");
    }

    @Test
    void a_token_is_good_until_it_is_renewed_or_shut_out_and_a_chamber_has_one_probe(Someone owner) {
        Client client = owner.client();
        String chamber = client.chamber("Cabinet", 50_000);
        Map<String, Object> probe = probe(client, chamber);
        String path = "/api/devices/" + probe.get("id");
        String pack = pack(NOW.minus(Duration.ofMinutes(5)), 2, 1, index -> 2);
        assertThat(send("wrong", pack).status()).isEqualTo(401);
        assertThat(client.put("/api/devices/" + UUID.randomUUID(), Map.of("name", "Another", "chamberId", chamber))
                        .type())
                .isEqualTo("has-probe");
        String renewed = client.must(client.put(path + "/token", Map.of("version", 0)))
                .body()
                .path("token")
                .asString();
        assertThat(send(String.valueOf(probe.get("token")), pack).type()).isEqualTo("unknown-device");
        client.must(send(renewed, pack));
        client.must(client.put(path + "/revoke", Map.of("version", 1)));
        assertThat(send(renewed, pack).type()).isEqualTo("unknown-device");
        assertThat(client.get("/api/devices").body()).isEmpty();
    }

    @Test
    void packs_that_come_too_fast_are_told_to_wait(Someone owner) {
        Client client = owner.client();
        String token = token(client, client.chamber("Cabinet", 50_000));
        String pack = pack(NOW.minus(Duration.ofMinutes(5)), 1, 1, index -> 2);
        List<Integer> answers = IntStream.range(0, 200)
                .mapToObj(each -> send(token, pack).status())
                .distinct()
                .toList();
        assertThat(answers).containsExactly(200, 429);
    }

    @Test
    void warm_air_and_silence_are_found_as_they_were_across_hours_and_gaps(Someone owner) {
        Client client = owner.client();
        String chamber = client.chamber("Cabinet", 50_000);
        String token = token(client, chamber);
        Instant begin = NOW.minus(Duration.ofDays(4)).truncatedTo(ChronoUnit.HOURS);
        // Warm from minute 100 to 230: over two full hours and parts of two more. One spike of a minute at 400.
        client.must(send(
                token, pack(begin, 600, 1, index -> index >= 100 && index < 230 ? 8.5 : index == 400 ? 5.01 : 2)));
        Instant again = begin.plus(Duration.ofMinutes(599)).plus(Duration.ofHours(7));
        client.must(send(token, pack(again, 30, 1, index -> 3)));
        Instant warm = begin.plus(Duration.ofMinutes(100));
        assertThat(events(client, chamber, Duration.ofDays(5)).subList(1, 4))
                .containsExactly(
                        "SILENT %s %s".formatted(begin.plus(Duration.ofMinutes(599)), again),
                        "WARM %s %s"
                                .formatted(begin.plus(Duration.ofMinutes(400)), begin.plus(Duration.ofMinutes(401))),
                        "WARM %s %s".formatted(warm, begin.plus(Duration.ofMinutes(230))));
        JsonNode longest = air(client, chamber, Duration.ofDays(5), 100).at("/events/3");
        assertThat(longest.path("peakCelsius").asDouble()).isEqualTo(8.5);
        assertThat(longest.path("degreeHours").asDouble())
                .isEqualTo(3.5 * 130 / 60, org.assertj.core.data.Offset.offset(0.001));
        // The silence since then goes on.
        assertThat(air(client, chamber, Duration.ofDays(5), 100)
                        .at("/events/0/lasting")
                        .asBoolean())
                .isTrue();
        String decision = "/api/chambers/%s/air/decisions/%s".formatted(chamber, UUID.randomUUID());
        Map<String, Object> body =
                Map.of("kind", "WARM", "beganAt", warm.toString(), "words", "Door left open; kept, watched.");
        client.must(client.put(decision, body));
        client.must(client.put(decision, body));
        assertThat(air(client, chamber, Duration.ofDays(5), 100)
                        .at("/events/3/decisions")
                        .valueStream()
                        .map(each -> each.path("words").asString()))
                .containsExactly("Door left open; kept, watched.");
    }

    @Test
    void a_peak_of_one_minute_is_seen_at_any_width(Someone owner) {
        Client client = owner.client();
        String chamber = client.chamber("Cabinet", 50_000);
        String token = token(client, chamber);
        Instant begin = NOW.minus(Duration.ofDays(20));
        client.must(send(token, pack(begin, 10_000, 1, index -> index == 7_777 ? 11.25 : 2)));
        for (int days : List.of(21, 100, 399)) {
            for (int points : List.of(40, 400)) {
                JsonNode shown =
                        air(client, chamber, Duration.ofDays(days), points).path("points");
                assertThat(shown.valueStream()
                                .mapToDouble(point -> point.path("celsiusMax").asDouble())
                                .max())
                        .hasValue(11.25);
                assertThat(shown.size()).isLessThanOrEqualTo(points + 1);
            }
        }
    }

    @Test
    void what_a_probe_sends_long_after_it_was_measured_is_marked(Someone owner) {
        Client client = owner.client();
        String chamber = client.chamber("Cabinet", 50_000);
        String token = client.deviceToken(UUID.randomUUID().toString(), chamber);
        Instant now = Instant.now().truncatedTo(ChronoUnit.MINUTES);
        String record = "/api/chambers/%s/record.csv?from=%s&to=%s"
                .formatted(chamber, Bodies.today().minusDays(2), Bodies.today().plusDays(1));
        client.must(client.pack(token, pack(now)));
        assertThat(client.text(record)).doesNotContain("Air sent late");
        client.must(client.pack(token, pack(now.minus(Duration.ofHours(20)))));
        assertThat(client.text(record)).contains("Air sent late,,1 readings of its probe (SHA-256 ");
    }

    private static String pack(Instant at) {
        return "[{\"n\":\"t\",\"u\":\"Cel\",\"t\":%d,\"v\":2}]".formatted(at.getEpochSecond());
    }

    @Test
    void a_piece_dries_in_the_air_that_was_recorded(Someone owner) {
        Client client = owner.client();
        String chamber = client.chamber("Cabinet", 100_000);
        String piece = client.hang(chamber, 4000).get(0);
        int set = expected(client, piece);
        Instant hung =
                Bodies.today().minusDays(299).atStartOfDay(ZoneOffset.UTC).toInstant();
        String humid = IntStream.range(0, 24 * 60)
                .mapToObj(hour ->
                        "{\"n\":\"h\",\"u\":\"%%RH\",\"t\":%1$d,\"v\":97},{\"n\":\"t\",\"u\":\"Cel\",\"t\":%1$d,\"v\":2}"
                                .formatted(hung.getEpochSecond() + hour * 3600L))
                .collect(Collectors.joining(",", "[", "]"));
        client.must(send(token(client, chamber), humid));
        assertThat(expected(client, piece)).isGreaterThan(set + 150);
    }

    private static int expected(Client client, String piece) {
        return client.must(client.get("/api/pieces/" + piece))
                .body()
                .at("/card/expectedPullGrams")
                .asInt();
    }
}
