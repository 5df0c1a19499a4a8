package elvaro.server.tasting;

import static org.assertj.core.api.Assertions.assertThat;

import elvaro.server.support.Api.Answer;
import elvaro.server.support.Bodies;
import elvaro.server.support.Client;
import elvaro.server.support.RunningApp;
import elvaro.server.support.RunningApp.Someone;
import java.io.ByteArrayInputStream;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.simple.JdbcClient;
import tools.jackson.databind.JsonNode;

/** A taster who tries everything a link gives learns nothing of what lies on the plate. */
@ExtendWith(RunningApp.class)
class BlindIT {
    private static final Pattern DATE = Pattern.compile("\\d{4}-\\d{2}-\\d{2}");
    private static final Pattern SCRIPT = Pattern.compile("(?:src|href)=\"(/[^\"]+)\"");

    /** Short words, and what every page says. */
    private static final Pattern COMMON = Pattern.compile("Plain|A|B|Owner|0|1");

    private final HttpClient bare = HttpClient.newHttpClient();
    private Client host;
    private JsonNode view;
    private String token;

    /** Whatever tells what a code is, when it was made, or who else is there. */
    private final List<String> secrets = new ArrayList<>();

    @BeforeEach
    void lay(Someone owner, JdbcClient database) {
        host = owner.client();
        String chamber = host.chamber("Stone Locker", 100_000);
        List<String> pieces = host.hang(chamber, 4000, 4000);
        Map<String, Object> body = Bodies.tastingBody("PAIRED", 2, 3);
        List<Map<String, Object>> samples = (List<Map<String, Object>>) body.get("samples");
        samples.get(0).put("pieceId", pieces.get(0));
        samples.get(1).put("pieceId", pieces.get(1));
        String id = UUID.randomUUID().toString();
        host.must(host.put("/api/tastings/" + id, body));
        host.must(host.put("/api/tastings/%s/open".formatted(id), Map.of("version", 0)));
        view = host.get("/api/tastings/" + id).body();
        token = view.at("/places/0/link").asString().substring("/t/".length());
        secrets.addAll(List.of("Honey", "Is the honey", "Stone Locker", "Anselm", "Rhea", "Tove", "salt, 0.8"));
        secrets.addAll(pieces);
        secrets.add(id);
        secrets.add(owner.person().workshopId().toString());
        view.path("samples").forEach(sample -> secrets.add(sample.path("id").asString()));
        view.path("places").forEach(place -> secrets.add(place.path("id").asString()));
        secrets.add(view.at("/places/1/link").asString().substring(3));
        secrets.add(database.sql("select seed from tasting where id = ?")
                .param(id)
                .query(String.class)
                .single());
    }

    private void tellsNothing(String what, String said) {
        for (String secret : secrets) {
            assertThat(said).as(what).doesNotContain(secret);
        }
        assertThat(DATE.matcher(said).find()).as(what + " has a date: " + said).isFalse();
    }

    @Test
    void its_own_sheets_tell_codes_and_nothing_else() throws Exception {
        HttpResponse<String> sheets = taste("/taste/sheets", token);
        assertThat(sheets.statusCode()).isEqualTo(200);
        tellsNothing("the sheets", sheets.body());
        assertThat(sheets.body()).doesNotContain("Plain");
        assertThat(sheets.headers().firstValue("Cache-Control").orElse("")).contains("no-store");
        assertThat(sheets.headers().firstValue("Referrer-Policy")).hasValue("no-referrer");
        assertThat(sheets.headers().allValues("Set-Cookie")).allMatch(cookie -> cookie.startsWith("XSRF-TOKEN="));
        assertThat(sheets.headers().firstValue("ETag")).isEmpty();
    }

    @Test
    void no_other_endpoint_opens_to_its_token() {
        for (String endpoint : RunningApp.mapping().getHandlerMethods().keySet().stream()
                .flatMap(info -> info.getPatternValues().stream()
                        .flatMap(pattern ->
                                info.getMethodsCondition().getMethods().stream().map(method -> method + " " + pattern)))
                .filter(each -> !each.contains("/taste/"))
                .sorted()
                .toList()) {
            String method = endpoint.substring(0, endpoint.indexOf(' '));
            String path = endpoint.substring(endpoint.indexOf(' ') + 1)
                    .replace("{id}", view.path("id").asString())
                    .replace("{kind}", "PIECE")
                    .replaceAll("\\{[^}]+}", view.at("/samples/0/pieceId").asString());
            Answer answer =
                    new Client(RunningApp.port()).phone(method, path, token, method.equals("GET") ? null : Map.of());
            if (!endpoint.equals("GET /api/session")) {
                assertThat(answer.status()).as(endpoint).isIn(401, 403, 404, 405, 415, 422);
            }
            tellsNothing(endpoint, answer.body().toString().replaceAll("\"instance\":\"[^\"]*\"", ""));
        }
    }

    @Test
    void errors_tell_nothing_either() {
        Client phone = new Client(RunningApp.port());
        List<Map<String, Object>> wrong = List.of(
                Map.of("round", 2),
                Map.of("picked", 1),
                Map.of("scores", Map.of("liking", Map.of(123, 4))),
                Map.of("scores", Map.of("liking", Map.of("x", 4))),
                Map.of("words", Map.of(view.at("/plates/0/servings/0/code").asInt(), "w".repeat(501))),
                Map.of("sample", view.at("/samples/0/id").asString()));
        for (Map<String, Object> each : wrong) {
            Map<String, Object> sheet = Bodies.sheetBody();
            sheet.putAll(each);
            Answer answer = phone.phone("PUT", "/taste/sheets/" + UUID.randomUUID(), token, sheet);
            assertThat(answer.status()).as(each.toString()).isBetween(400, 499);
            tellsNothing(each.toString(), answer.body().toString());
        }
        for (String path : List.of("/taste/sheets/not-an-id", "/taste/other", "/taste/sheets?id=1")) {
            tellsNothing(
                    path,
                    phone.phone("PUT", path, token, Bodies.sheetBody()).body().toString());
        }
    }

    @Test
    void the_page_and_its_scripts_are_the_same_for_every_link() throws Exception {
        String page = taste("/t/" + token, token).body();
        assertThat(page).isEqualTo(taste("/t/somebody-elses", token).body());
        Matcher files = SCRIPT.matcher(page);
        int found = 0;
        while (files.find()) {
            found++;
            String file = taste(files.group(1), token).body();
            for (String secret : secrets) {
                if (!COMMON.matcher(secret).matches() && secret.contains("-")) {
                    assertThat(file).doesNotContain(secret);
                }
            }
        }
        assertThat(found).isPositive();
    }

    @Test
    void chips_leave_out_words_by_which_a_sample_could_be_known() throws Exception {
        JsonNode sheet = new Client(RunningApp.port())
                .phone("GET", "/taste/sheets", token, null)
                .body();
        assertThat(sheet.path("chips").toString()).contains("nutty");
        int code = sheet.at("/rounds/0/codes/0").asInt();
        for (int place = 0; place < 3; place++) {
            String own = view.at("/places/%d/link".formatted(place)).asString().substring(3);
            JsonNode plate = new Client(RunningApp.port())
                    .phone("GET", "/taste/sheets", own, null)
                    .body();
            Map<String, Object> body = Bodies.sheetBody();
            body.put("words", Map.of(plate.at("/rounds/0/codes/0").asInt(), "honeyed, wet straw"));
            host.must(host.phone("PUT", "/taste/sheets/" + UUID.randomUUID(), own, body));
        }
        host.must(host.put("/api/tastings/%s/reveal".formatted(view.path("id").asString()), Map.of("version", 1)));
        String next = UUID.randomUUID().toString();
        JsonNode again = host.must(host.put("/api/tastings/" + next, Bodies.tastingBody("PAIRED", 2, 1)))
                .body();
        String chips = new Client(RunningApp.port())
                .phone(
                        "GET",
                        "/taste/sheets",
                        again.at("/places/0/link").asString().substring(3),
                        null)
                .body()
                .path("chips")
                .toString();
        assertThat(code).isBetween(100, 999);
        assertThat(chips).contains("wet straw").doesNotContain("honey");
    }

    @Test
    void who_guesses_is_turned_away_and_who_sits_at_the_table_is_not() throws Exception {
        assertThat(token).hasSizeGreaterThanOrEqualTo(43);
        int refused = 0;
        for (int guess = 0; guess < TableService.GUESSES_A_MINUTE + 20; guess++) {
            refused += taste("/taste/sheets", "guess-" + guess).statusCode() == 429 ? 1 : 0;
        }
        assertThat(refused).isPositive();
        assertThat(taste("/taste/sheets", token).statusCode()).isEqualTo(200);
    }

    /** Its JSON is read before its token is looked at, so it must be short, and say how long it is. */
    @Test
    void nobody_makes_the_server_read_without_end() throws Exception {
        String much = "{\"round\":0,\"words\":{\"100\":\"" + "w".repeat(100_000) + "\"}}";
        for (String path : List.of("/taste/sheets/" + UUID.randomUUID(), "/%74aste/sheets/" + UUID.randomUUID())) {
            assertThat(send(path, BodyPublishers.ofString(much)).statusCode()).isEqualTo(413);
            assertThat(send(path, BodyPublishers.ofInputStream(() -> new ByteArrayInputStream(much.getBytes())))
                            .statusCode())
                    .as("chunked, of a length nobody tells")
                    .isEqualTo(413);
        }
    }

    private HttpResponse<String> send(String path, HttpRequest.BodyPublisher body) throws Exception {
        return bare.send(
                HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + RunningApp.port() + path))
                        .version(HttpClient.Version.HTTP_1_1)
                        .header("Content-Type", "application/json")
                        .PUT(body)
                        .build(),
                BodyHandlers.ofString());
    }

    @Test
    void a_phone_that_asks_without_end_is_slowed_down() throws Exception {
        int slowed = 0;
        for (int ask = 0; ask < TableService.PLATES_A_MINUTE + 30; ask++) {
            slowed += taste("/taste/sheets", token).statusCode() == 429 ? 1 : 0;
        }
        assertThat(slowed).isPositive();
    }

    private HttpResponse<String> taste(String path, String bearer) throws Exception {
        return bare.send(
                HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + RunningApp.port() + path))
                        .header("Authorization", "Bearer " + bearer)
                        .build(),
                BodyHandlers.ofString());
    }
}
