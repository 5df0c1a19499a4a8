package elvaro.server.program;

import static org.assertj.core.api.Assertions.assertThat;

import elvaro.server.support.Bodies;
import elvaro.server.support.Client;
import elvaro.server.support.RunningApp;
import elvaro.server.support.RunningApp.Someone;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.simple.JdbcClient;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** What programs of others may, by the tokens people give them. */
@ExtendWith(RunningApp.class)
class ProgramIT {
    private static final JsonMapper JSON = new JsonMapper();
    private static final HttpClient HTTP = HttpClient.newHttpClient();

    private static Map<String, Object> form(String... scopes) {
        return Map.of("name", "Counter screen", "scopes", List.of(scopes), "days", 30);
    }

    private static String token(Client person, String... scopes) {
        return person.must(person.put("/api/me/tokens/" + UUID.randomUUID(), form(scopes)))
                .body()
                .path("token")
                .asString();
    }

    private static HttpResponse<String> asks(String token, String method, String path, String body) throws Exception {
        return HTTP.send(
                HttpRequest.newBuilder(URI.create("http://127.0.0.1:%d/api/v1%s".formatted(RunningApp.port(), path)))
                        .header("Authorization", "bearer " + token)
                        .header("Content-Type", "application/json")
                        .method(method, body == null ? BodyPublishers.noBody() : BodyPublishers.ofString(body))
                        .build(),
                BodyHandlers.ofString());
    }

    private static HttpResponse<String> gets(String token, String path) throws Exception {
        return asks(token, "GET", path, null);
    }

    private static JsonNode json(HttpResponse<String> answer) {
        return JSON.readTree(answer.body());
    }

    @Test
    void each_scope_opens_its_routes_and_no_other(Someone owner) throws Exception {
        String chamber = owner.client().chamber("North Room", 100_000);
        String piece = owner.client().hangToday(chamber, 28, 4000).get(0);
        String air = "/chambers/%s/air?from=2026-01-01T00:00:00Z&to=2026-01-02T00:00:00Z".formatted(chamber);
        Map<String, List<String>> opens = Map.of(
                "READ",
                        List.of(
                                "/pieces",
                                "/pieces/" + piece,
                                "/pieces/" + piece + "/log",
                                "/chambers",
                                "/tasks",
                                "/alarms"),
                "AIR", List.of(air),
                "EXPORT", List.of("/exports/tables.zip", "/exports/archive.zip"));
        for (String scope : List.of("READ", "AIR", "EXPORT", "WEIGH")) {
            String token = token(owner.client(), scope);
            for (Map.Entry<String, List<String>> routes : opens.entrySet()) {
                for (String route : routes.getValue()) {
                    assertThat(gets(token, route).statusCode())
                            .as(scope + " " + route)
                            .isEqualTo(routes.getKey().equals(scope) ? 200 : 403);
                }
            }
            String weighing = "/pieces/%s/weighings/%s".formatted(piece, UUID.randomUUID());
            assertThat(asks(token, "PUT", weighing, "{\"grams\":3990}").statusCode())
                    .as(scope)
                    .isEqualTo(scope.equals("WEIGH") ? 200 : 403);
            assertThat(asks(token, "DELETE", "/pieces/" + piece, null).statusCode())
                    .isEqualTo(403);
        }
    }

    @Test
    void a_weighing_is_written_once_in_the_name_of_person_and_program_and_asked_about_if_it_surprises(Someone owner)
            throws Exception {
        String piece = owner.client()
                .hangToday(owner.client().chamber("North Room", 100_000), 28, 4000)
                .get(0);
        String token = token(owner.client(), "WEIGH", "READ");
        String weighing = "/pieces/%s/weighings/%s".formatted(piece, UUID.randomUUID());
        for (int times = 0; times < 2; times++) {
            assertThat(json(asks(token, "PUT", weighing, "{\"grams\":3990}"))
                            .path("nowGrams")
                            .asInt())
                    .isEqualTo(3990);
        }
        JsonNode log = json(gets(token, "/pieces/" + piece + "/log"));
        JsonNode last = log.get(log.size() - 1);
        assertThat(last.path("words").asString()).isEqualTo("(Counter screen)");
        assertThat(last.path("by").asString()).isNotEmpty();
        assertThat(log.valueStream().filter(each -> each.path("kind").asString().equals("WEIGHED")))
                .hasSize(1);
        HttpResponse<String> surprising =
                asks(token, "PUT", "/pieces/%s/weighings/%s".formatted(piece, UUID.randomUUID()), "{\"grams\":900}");
        assertThat(surprising.statusCode()).isEqualTo(422);
        assertThat(json(surprising).path("questions")).isNotEmpty();
        assertThat(json(surprising).path("detail").asString()).doesNotContain("⟦");
    }

    @Test
    void lists_come_a_page_at_a_time_with_the_way_to_the_next(Someone owner) throws Exception {
        String chamber = owner.client().chamber("North Room", 100_000);
        owner.client().hang(chamber, 4000, 4000, 4000);
        String token = token(owner.client(), "READ");
        HttpResponse<String> first = gets(token, "/pieces?size=2&state=HANGING");
        assertThat(json(first)).hasSize(2);
        assertThat(first.headers().firstValue("Total-Count")).contains("3");
        String link = first.headers().firstValue("Link").orElseThrow();
        assertThat(link).contains("page=1", "size=2", "state=HANGING", "rel=\"next\"");
        HttpResponse<String> second = gets(token, "/pieces?size=2&state=HANGING&page=1");
        assertThat(json(second)).hasSize(1);
        assertThat(second.headers().firstValue("Link").orElseThrow())
                .contains("rel=\"prev\"")
                .doesNotContain("next");
        assertThat(gets(token, "/pieces?size=1000").statusCode()).isEqualTo(422);
    }

    @Test
    void a_token_that_was_removed_or_is_over_or_whose_person_left_opens_nothing(Someone owner, JdbcClient database)
            throws Exception {
        JsonNode made = owner.client()
                .must(owner.client().put("/api/me/tokens/" + UUID.randomUUID(), form("READ")))
                .body();
        String token = made.path("token").asString();
        assertThat(gets(token, "/chambers").statusCode()).isEqualTo(200);
        UUID id = UUID.fromString(made.path("id").asString());
        database.sql("update access_token set last_day = '2020-01-01' where id = ?")
                .param(id)
                .update();
        HttpResponse<String> over = gets(token, "/chambers");
        assertThat(over.statusCode()).isEqualTo(401);
        assertThat(over.headers().firstValue("WWW-Authenticate")).contains("Bearer");
        database.sql("update access_token set last_day = null where id = ?")
                .param(id)
                .update();
        owner.client().must(owner.client().put("/api/me/tokens/" + id + "/remove", Map.of("version", 0)));
        assertThat(gets(token, "/chambers").statusCode()).isEqualTo(401);
        assertThat(owner.client()
                        .get("/api/record/changes?from=%s&to=%s".formatted(Bodies.today(), Bodies.today()))
                        .body()
                        .toString())
                .contains("Counter screen");
        Client hand = owner.benchHand();
        String theirs = token(hand, "READ");
        database.sql(
                        "update account set active = false where id = (select account_id from access_token where token_hash = ?)")
                .param(elvaro.server.shared.Secret.hash(theirs))
                .update();
        assertThat(gets(theirs, "/chambers").statusCode()).isEqualTo(401);
    }

    @Test
    void a_changed_password_closes_what_programs_were_given(Someone owner) throws Exception {
        Client hand = owner.benchHand();
        String theirs = token(hand, "READ");
        String owners = token(owner.client(), "READ");
        hand.must(hand.put(
                "/api/me/password",
                Map.of("oldPassword", RunningApp.PASSWORD, "password", "seven slow lanterns at dusk")));
        assertThat(gets(theirs, "/chambers").statusCode()).isEqualTo(401);
        assertThat(gets(owners, "/chambers").statusCode()).isEqualTo(200);
    }

    @Test
    void nobody_gives_more_away_than_they_have_and_only_its_owner_sees_a_token(Someone owner, Someone stranger) {
        Client hand = owner.benchHand();
        assertThat(hand.put("/api/me/tokens/" + UUID.randomUUID(), form("EXPORT"))
                        .status())
                .isEqualTo(422);
        assertThat(hand.put("/api/me/tokens/" + UUID.randomUUID(), form()).status())
                .isEqualTo(422);
        token(owner.client(), "READ");
        token(hand, "AIR");
        assertThat(hand.get("/api/me/tokens").body()).hasSize(1);
        JsonNode all = owner.client().get("/api/me/tokens").body();
        assertThat(all).hasSize(2);
        assertThat(all.toString()).doesNotContain("elvaro_");
        assertThat(stranger.client().get("/api/me/tokens").body()).isEmpty();
        String id = all.get(0).path("id").asString();
        assertThat(stranger.client()
                        .put("/api/me/tokens/" + id + "/remove", Map.of("version", 0))
                        .status())
                .isEqualTo(404);
    }

    @Test
    void a_token_sees_its_own_workshop_only_and_a_session_opens_nothing_here(Someone owner, Someone stranger)
            throws Exception {
        String piece = owner.client()
                .hangToday(owner.client().chamber("North Room", 100_000), 28, 4000)
                .get(0);
        String token = token(stranger.client(), "READ", "WEIGH");
        assertThat(json(gets(token, "/pieces"))).isEmpty();
        assertThat(gets(token, "/pieces/" + piece).statusCode()).isEqualTo(404);
        assertThat(gets(token, "/pieces/" + piece + "/log").statusCode()).isEqualTo(404);
        String weighing = "/pieces/%s/weighings/%s".formatted(piece, UUID.randomUUID());
        assertThat(asks(token, "PUT", weighing, "{\"grams\":3990}").statusCode())
                .isEqualTo(404);
        assertThat(owner.client().get("/api/v1/pieces").status()).isEqualTo(401);
        assertThat(gets("elvaro_nonsense", "/pieces").statusCode()).isEqualTo(401);
    }

    @Test
    void a_program_that_asks_too_often_is_told_when_to_come_again(Someone owner) throws Exception {
        String token = token(owner.client(), "READ");
        HttpResponse<String> last = gets(token, "/chambers");
        for (int times = 0; times < 400 && last.statusCode() == 200; times++) {
            last = gets(token, "/chambers");
        }
        assertThat(last.statusCode()).isEqualTo(429);
        assertThat(last.headers().firstValue("Retry-After")).contains("60");
    }
}
