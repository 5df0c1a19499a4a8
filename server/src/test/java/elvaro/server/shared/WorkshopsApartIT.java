package elvaro.server.shared;

import static org.assertj.core.api.Assertions.assertThat;

import elvaro.server.support.Api.Answer;
import elvaro.server.support.Bodies;
import elvaro.server.support.RunningApp;
import elvaro.server.support.RunningApp.Someone;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Stream;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestFactory;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;

/** A person of one workshop can neither read nor write another's, through any endpoint there is. */
@ExtendWith(RunningApp.class)
class WorkshopsApartIT {
    private static Stream<String> endpoints(RequestMappingHandlerMapping mapping) {
        return mapping.getHandlerMethods().keySet().stream()
                .flatMap(info -> info.getPatternValues().stream()
                        .flatMap(pattern ->
                                info.getMethodsCondition().getMethods().stream().map(method -> method + " " + pattern)))
                .filter(endpoint -> endpoint.contains(" /api/")
                        && !endpoint.contains("/api/openapi")
                        && !endpoint.contains("/api/v1")) // where no session opens anything
                .sorted();
    }

    @TestFactory
    Stream<DynamicTest> no_endpoint_lets_a_stranger_in(JdbcClient database, Someone owner, Someone stranger) {
        PrivateHouse house = PrivateHouse.furnish(owner);
        Map<String, Map<String, ?>> bodies = house.bodies();
        String before = snapshot(database, owner);
        return endpoints(RunningApp.mapping())
                .map(endpoint -> DynamicTest.dynamicTest(endpoint, () -> {
                    String method = endpoint.substring(0, endpoint.indexOf(' '));
                    String pattern = endpoint.substring(endpoint.indexOf(' ') + 1);
                    boolean named = pattern.contains("{");
                    if (named && !method.equals("GET")) {
                        assertThat(bodies).as("a body for " + endpoint).containsKey(endpoint);
                    }
                    if (!named && !method.equals("GET")) {
                        return; // Makes things of the caller's own; nothing of another's can be named.
                    }
                    Answer answer = stranger.client().send(method, house.path(pattern), bodies.get(endpoint));
                    if (named) {
                        assertThat(answer.status()).as(answer.toString()).isIn(404, 409);
                    }
                    String said = answer.body().toString().replaceAll("\"instance\":\"[^\"]*\"", "");
                    assertThat(said).doesNotContain(house.ids());
                    assertThat(snapshot(database, owner)).isEqualTo(before);
                }));
    }

    /** Every row of the workshop, to the last column. */
    private static String snapshot(JdbcClient database, Someone owner) {
        StringBuilder all = new StringBuilder();
        for (String table : List.of(
                "account",
                "chamber",
                "lot",
                "piece",
                "log_entry",
                "look",
                "look_photo",
                "piece_move",
                "recipe",
                "treatment",
                "treatment_step",
                "trial",
                "trial_arm",
                "trial_piece",
                "tasting",
                "tasting_sample",
                "tasting_place",
                "tasting_sheet",
                "tasting_note",
                "taster",
                "ask",
                "carcass",
                "carcass_core",
                "carcass_part",
                "making",
                "making_bought",
                "pack",
                "pack_out",
                "pack_rule",
                "decision",
                "piece_plan",
                "plan",
                "task_decision",
                "preparation_tick",
                "device",
                "access_token",
                "seller_article",
                "air_source",
                "air_decision")) {
            all.append(database.sql("select * from " + table + " where workshop_id = ? order by id")
                    .param(owner.person().workshopId().toString())
                    .query()
                    .listOfRows());
        }
        return all.toString();
    }

    @Test
    void a_piece_cannot_be_hung_in_another_workshops_chamber(Someone owner, Someone stranger) {
        String foreign = owner.client().chamber("Private", 100_000);
        String lot = UUID.randomUUID().toString();
        stranger.client().must(stranger.client().post("/api/lots", Bodies.lotBody(lot, 4000)));
        Answer answer = stranger.client()
                .post(
                        "/api/lots/" + lot + "/pieces",
                        Map.of(
                                "pieces",
                                List.of(Bodies.hangBody(UUID.randomUUID().toString(), foreign, 4000)),
                                "answers",
                                Map.of()));
        assertThat(answer.status()).isEqualTo(422);
        assertThat(answer.body().path("field").asString()).isEqualTo("chamberId");
    }

    @Test
    void every_table_with_rows_of_a_workshop_names_it(JdbcClient database) {
        List<String> without = database.sql("""
                        select t.table_name from information_schema.tables t
                        where t.table_schema = database() and t.table_type = 'BASE TABLE' and not exists (
                            select 1 from information_schema.columns c
                            where c.table_schema = t.table_schema and c.table_name = t.table_name
                            and c.column_name = 'workshop_id')
                        """).query(String.class).list();
        assertThat(without)
                .containsExactlyInAnyOrder(
                        "air_reading", // these two through their source, so that they are narrow
                        "air_hour",
                        "workshop",
                        "workshop_aud",
                        "shedlock", // of the nodes of the application
                        "request_count",
                        "scale_state", // of a device, by its id
                        "chain_form", // of what tables look like
                        "revision",
                        "setup_code",
                        "user_entities", // of an account, by its id
                        "user_credentials",
                        "sign_in_attempt",
                        "SPRING_SESSION",
                        "SPRING_SESSION_ATTRIBUTES",
                        "flyway_schema_history");
    }
}
