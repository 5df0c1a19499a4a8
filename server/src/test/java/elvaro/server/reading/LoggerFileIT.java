package elvaro.server.reading;

import static org.assertj.core.api.Assertions.assertThat;

import elvaro.server.support.Api.Answer;
import elvaro.server.support.Bodies;
import elvaro.server.support.Client;
import elvaro.server.support.RunningApp;
import elvaro.server.support.RunningApp.Someone;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;

/** Air by file: what is kept, what is refused, and that it hides nothing. */
@ExtendWith(RunningApp.class)
class LoggerFileIT {
    private static JsonNode air(Client client, String chamber, Duration back) {
        Instant now = Instant.now();
        return client.must(client.get(
                        "/api/chambers/%s/air?from=%s&to=%s&points=10".formatted(chamber, now.minus(back), now)))
                .body();
    }

    private static Answer lay(Client client, String chamber, String name, String text) {
        return client.file(
                "/api/chambers/%s/air/file?zone=UTC&name=%s".formatted(chamber, name.replace(" ", "%20")), text);
    }

    private static String lines(Instant from, int minutes) {
        StringBuilder lines = new StringBuilder("At,T,RH");
        for (int minute = 0; minute < minutes; minute++) {
            lines.append("\n")
                    .append(LocalDateTime.ofInstant(from.plusSeconds(60L * minute), ZoneOffset.UTC))
                    .append(",2.0,80");
        }
        return lines.toString();
    }

    private static List<JsonNode> silences(Client client, String chamber) {
        return air(client, chamber, Duration.ofDays(3))
                .path("events")
                .valueStream()
                .filter(event -> event.path("kind").asString().equals("SILENT"))
                .toList();
    }

    @Test
    void a_logger_file_is_kept_whole_with_its_clock_put_back_and_what_is_known_left_alone(Someone owner) {
        Client client = owner.client();
        String chamber = client.chamber("Cabinet", 50_000);
        StringBuilder file = new StringBuilder("When;Temp F;RH\n");
        for (String hour : List.of("01", "02", "02", "03")) { // 26 October 2025: 02 comes twice in Berlin
            for (int minute = 0; minute < 60; minute += 20) {
                file.append("26.10.2025 %s:%02d;35,6;80\n".formatted(hour, minute));
            }
        }
        JsonNode seen = client.must(
                        client.file("/api/logger-files/preview?name=logger.csv&zone=Europe/Berlin", file.toString()))
                .body();
        assertThat(seen.path("columns").toString()).isEqualTo("[\"When\",\"Temp F\",\"RH\"]");
        assertThat(seen.path("kept").asInt()).isEqualTo(12);
        assertThat(seen.path("unit").asString()).isEqualTo("FAHRENHEIT");
        String path = "/api/chambers/" + chamber + "/air/file?name=logger.csv&zone=Europe/Berlin";
        assertThat(client.must(client.file(path, file.toString()))
                        .body()
                        .path("stored")
                        .asInt())
                .isEqualTo(12);
        assertThat(client.must(client.file(path, file.toString()))
                        .body()
                        .path("known")
                        .asInt())
                .isEqualTo(12);
        JsonNode points = client.get("/api/chambers/%s/air?from=2025-10-25T23:00:00Z&to=2025-10-26T03:00:00Z&points=12"
                        .formatted(chamber))
                .body()
                .path("points");
        assertThat(points.valueStream()
                        .mapToDouble(point -> point.path("celsius").asDouble()))
                .hasSize(12)
                .containsOnly(2.0);
    }

    @ParameterizedTest(name = "{0}")
    @CsvSource(
            delimiter = '|',
            value = {
                "2026-01-05 10:00,2,80;2026-01-05 10:01,x,80|Line 3: “x” is no number",
                "2026-01-05 10:00,2,80;05.01.2026 10:01,2,80|Line 3: “05.01.2026 10:01” is no moment",
                "2026-03-29 02:30,2,80|Line 2: 2026-03-29 02:30 does not exist",
                "2066-01-05 10:00,2,80|Line 2: 2066-01-05 10:00 is still to come",
                "2026-01-05 10:00,2,180|Line 2: 180.0 % RH is out of range",
            })
    void a_wrong_line_is_named_and_nothing_of_the_file_is_kept(String lines, String sentence, Someone owner) {
        Client client = owner.client();
        String chamber = client.chamber("Cabinet", 50_000);
        Answer answer = client.file(
                "/api/chambers/%s/air/file?name=logger.csv&zone=Europe/Berlin&order=YEAR_FIRST".formatted(chamber),
                "At,T,RH\n" + lines.replace(';', '\n'));
        assertThat(answer.status()).isEqualTo(422);
        assertThat(answer.body().path("detail").asString()).contains(sentence);
        assertThat(air(client, chamber, Duration.ofDays(399)).path("points")).isEmpty();
    }

    @Test
    void a_file_fills_a_silence_for_all_to_see_and_never_takes_it_away(Someone owner) {
        Client client = owner.client();
        String chamber = client.chamber("Cabinet", 50_000);
        Instant ends = Instant.now().truncatedTo(ChronoUnit.MINUTES).minus(Duration.ofHours(5));
        watched(client, chamber, ends.minus(Duration.ofHours(9)), ends);
        JsonNode silence = silences(client, chamber).get(0);
        String invented = lines(ends.minus(Duration.ofMinutes(8 * 60 + 30)), 480);
        assertThat(lay(owner.benchHand(), chamber, "spare logger.csv", invented).status())
                .isEqualTo(403);
        client.must(lay(client, chamber, "spare logger.csv", invented));

        List<JsonNode> after = silences(client, chamber);
        assertThat(after).hasSize(1);
        assertThat(after.get(0).path("from")).isEqualTo(silence.path("from"));
        assertThat(after.get(0).path("to")).isEqualTo(silence.path("to"));
        JsonNode filled = after.get(0).at("/filledBy/0");
        assertThat(filled.path("name").asString()).isEqualTo("spare logger.csv");
        assertThat(filled.path("readings").asInt()).isEqualTo(480);
        assertThat(filled.path("by").asString()).isEqualTo("Owner");
        assertThat(filled.path("checksum").asString()).hasSize(64);
        assertThat(client.text("/api/chambers/%s/record.csv?from=%s&to=%s"
                        .formatted(
                                chamber,
                                Bodies.today().minusDays(2),
                                Bodies.today().plusDays(1))))
                .contains("filled afterwards with 480 readings of the file spare logger.csv (SHA-256 ");
    }

    @Test
    void a_silence_that_is_filled_bit_by_bit_stays_one_and_what_was_decided_about_it_stays_too(Someone owner) {
        Client client = owner.client();
        String chamber = client.chamber("Cabinet", 50_000);
        Instant ends = Instant.now().truncatedTo(ChronoUnit.MINUTES).minus(Duration.ofHours(5));
        Instant began = ends.minus(Duration.ofHours(20));
        watched(client, chamber, began, ends);
        client.must(client.put(
                "/api/chambers/%s/air/decisions/%s".formatted(chamber, UUID.randomUUID()),
                Map.of("kind", "SILENT", "beganAt", began.toString(), "words", "The probe fell down.")));
        for (int hour : List.of(2, 9, 15)) {
            client.must(lay(client, chamber, hour + ".csv", lines(began.plus(Duration.ofHours(hour)), 240)));
        }
        assertThat(silences(client, chamber)).singleElement().satisfies(silence -> {
            assertThat(Instant.parse(silence.path("from").asString())).isEqualTo(began);
            assertThat(Instant.parse(silence.path("to").asString())).isEqualTo(ends);
            assertThat(silence.path("filledBy")
                            .valueStream()
                            .map(fill -> fill.path("name").asString()))
                    .containsExactly("2.csv", "9.csv", "15.csv");
            assertThat(silence.at("/decisions/0/words").asString()).isEqualTo("The probe fell down.");
        });
        Instant inside = began.plus(Duration.ofHours(18));
        assertThat(client.get("/api/chambers/%s/air?from=%s&to=%s&points=10"
                                .formatted(chamber, inside, ends.plus(Duration.ofHours(1))))
                        .body()
                        .at("/events/0/decisions"))
                .as("also where only its end is looked at")
                .hasSize(1);
    }

    @Test
    void a_silence_that_goes_on_is_not_ended_by_a_file_up_to_now(Someone owner) {
        Client client = owner.client();
        String chamber = client.chamber("Cabinet", 50_000);
        Instant fell = Instant.now().truncatedTo(ChronoUnit.MINUTES).minus(Duration.ofHours(9));
        watched(client, chamber, fell);
        client.must(lay(client, chamber, "made up.csv", lines(fell.plus(Duration.ofMinutes(10)), 9 * 60 - 15)));
        assertThat(silences(client, chamber)).singleElement().satisfies(silence -> {
            assertThat(Instant.parse(silence.path("from").asString())).isEqualTo(fell);
            assertThat(silence.path("filledBy")).hasSize(1);
        });
    }

    /** What a probe measured. */
    private static void watched(Client client, String chamber, Instant... moments) {
        String token = client.deviceToken(UUID.randomUUID().toString(), chamber);
        for (Instant at : moments) {
            client.must(client.pack(
                    token, "[{\"n\":\"t\",\"u\":\"Cel\",\"t\":%d,\"v\":2}]".formatted(at.getEpochSecond())));
        }
    }

    @Test
    void a_chamber_whose_air_is_only_ever_taken_from_files_is_not_called_silent_between_them(Someone owner) {
        Client client = owner.client();
        String chamber = client.chamber("Cabinet", 50_000);
        for (int days : List.of(20, 10)) {
            Instant from = Instant.now().truncatedTo(ChronoUnit.MINUTES).minus(Duration.ofDays(days));
            client.must(lay(client, chamber, "logger.csv", lines(from, 14_000)));
        }
        assertThat(air(client, chamber, Duration.ofDays(30)).path("events").valueStream())
                .allMatch(event -> event.path("filledBy").isEmpty());
    }
}
