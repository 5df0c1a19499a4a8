package elvaro.server.shared;

import static org.assertj.core.api.Assertions.assertThat;

import elvaro.server.support.Bodies;
import elvaro.server.support.Client;
import elvaro.server.support.Client.Answer;
import elvaro.server.support.RunningApp;
import elvaro.server.support.RunningApp.Someone;
import java.util.HashMap;
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
import tools.jackson.databind.JsonNode;

/** A person of one workshop can neither read nor write another's, through any endpoint there is. */
@ExtendWith(RunningApp.class)
class WorkshopsApartIT {
    private static final String WARM_AT = "2026-01-05T10:00:00Z";
    private static final long WARM = java.time.Instant.parse(WARM_AT).getEpochSecond();

    /** Everything of one workshop that a stranger might name. */
    private static final Map<String, Object> REHEARSAL = Map.of("lesson", "THE_BAG", "answers", Map.of());

    private record House(
            String chamber,
            String lot,
            String hanging,
            String pulled,
            String entry,
            String person,
            String plan,
            String device,
            String scale,
            String look,
            String recipe,
            String treatment,
            String trial,
            String tasting,
            String sample,
            String place,
            String taster,
            String pack,
            String making,
            String carcass,
            String alarm,
            String phone) {
        List<String> ids() {
            return List.of(
                    chamber, lot, hanging, pulled, entry, person, plan, device, scale, look, recipe, treatment, trial,
                    tasting, sample, place, taster, pack, making, carcass);
        }
    }

    private static House furnish(Someone owner) {
        Client client = owner.client();
        String chamber = client.chamber("Private", 100_000);
        List<String> pieces = client.hang(chamber, 4000, 4000);
        String entry = UUID.randomUUID().toString();
        client.must(client.put("/api/pieces/" + pieces.get(0) + "/log/" + entry, Bodies.entry("WEIGHED", 3900)));
        client.must(client.write(pieces.get(1), Bodies.entry("PULLED", 3800)));
        client.must(client.write(pieces.get(1), Bodies.pile("STEAK", 3790)));
        String plan = UUID.randomUUID().toString();
        client.must(client.put("/api/plans/" + plan, Bodies.planBody(plan, chamber)));
        String device = UUID.randomUUID().toString();
        client.must(client.pack(
                client.deviceToken(device, chamber),
                "[{\"n\":\"t\",\"u\":\"Cel\",\"v\":9,\"bt\":%s}]".formatted(WARM)));
        String look = UUID.randomUUID().toString();
        client.must(client.put("/api/pieces/%s/looks/%s".formatted(pieces.get(0), look), Bodies.lookBody()));
        String scale = UUID.randomUUID().toString();
        client.deviceToken(scale, null);
        String recipe = UUID.randomUUID().toString();
        client.must(client.put("/api/recipes/" + recipe, Bodies.recipeBody()));
        client.must(client.put("/api/rehearsals/" + recipe, REHEARSAL));
        String treatment = UUID.randomUUID().toString();
        Map<String, Object> rub = Bodies.treatmentBody("PASTE");
        rub.put("recipeId", recipe);
        client.must(client.put("/api/pieces/%s/treatments/%s".formatted(pieces.get(0), treatment), rub));
        String trial = UUID.randomUUID().toString();
        client.must(client.put("/api/trials/" + trial, trialBody(pieces.get(0), pieces.get(1))));
        String tasting = UUID.randomUUID().toString();
        JsonNode table = client.must(client.put("/api/tastings/" + tasting, Bodies.tastingBody("PAIRED", 2, 1)))
                .body();
        String lot = client.get("/api/pieces/" + pieces.get(0))
                .body()
                .at("/card/lotId")
                .asString();
        String pack = client.packed();
        String making = UUID.randomUUID().toString();
        client.must(client.put("/api/makings/" + making, Bodies.makingBody("GRIND", 490, pack, 500)));
        String carcass = UUID.randomUUID().toString();
        client.must(
                client.put("/api/carcasses/" + carcass, Bodies.carcassBody(client.chamber("Larder", 100_000), 40_000)));
        client.must(client.put("/api/asks/" + carcass, Map.of("version", 0, "name", "ours", "query", "by=GRADE")));
        return new House(
                chamber,
                lot,
                pieces.get(0),
                pieces.get(1),
                entry,
                owner.person().accountId().toString(),
                plan,
                device,
                scale,
                look,
                recipe,
                treatment,
                trial,
                tasting,
                table.at("/samples/0/id").asString(),
                table.at("/places/0/id").asString(),
                client.get("/api/tastings/tasters").body().at("/0/id").asString(),
                pack,
                making,
                carcass,
                alarm(owner, chamber),
                phone(client));
    }

    private static String alarm(Someone owner, String chamber) {
        String id = UUID.randomUUID().toString();
        RunningApp.bean(JdbcClient.class)
                .sql(
                        "insert into alarm (id, workshop_id, kind, chamber_id, subject, words, began_at, raised_at, open_name)"
                                + " values (?, ?, 'WARM', ?, 'Private', 'private, 9 degrees', '2026-01-02', '2026-01-02', 'WARM')")
                .params(id, owner.person().workshopId(), chamber)
                .update();
        return id;
    }

    private static String phone(Client client) {
        String id = UUID.randomUUID().toString();
        client.must(client.put("/api/me/phones/" + id, PHONE));
        client.must(client.put("/api/me/tokens/" + id, TOKEN));
        return id;
    }

    private static final Map<String, Object> TOKEN = Map.of("name", "Private program", "scopes", List.of("READ"));

    private static final Map<String, String> PHONE = Map.of(
            "name",
            "Private phone",
            "endpoint",
            "http://127.0.0.1:9/push",
            "key",
            "BCVxsr7N_eNgVRqvHtD0zTZsEc6-VV-JvLexhqUzORcxaOzi6-AYWXvTBHm4bjyPjs7Vd8pZGH6SRpkNtoIAiw4",
            "shared",
            "BTBZMqHH6r4Tts7J_aSIgg");

    private static Map<String, Object> trialBody(String one, String other) {
        return Map.of(
                "question",
                "Mine?",
                "factor",
                "TREATMENT",
                "measure",
                "USABLE_YIELD",
                "parts",
                List.of(),
                "arms",
                List.of(
                        Map.of(
                                "id",
                                UUID.randomUUID().toString(),
                                "name",
                                "A",
                                "control",
                                true,
                                "pieces",
                                List.of(one)),
                        Map.of(
                                "id",
                                UUID.randomUUID().toString(),
                                "name",
                                "B",
                                "control",
                                false,
                                "pieces",
                                List.of(other))),
                "answers",
                Map.of());
    }

    /** A body each writing endpoint accepts, naming the other workshop's things. */
    private static Map<String, Map<String, ?>> bodies(House house) {
        Map<String, Object> correction = Bodies.entry("WEIGHED", 3000);
        correction.put("corrects", house.entry());
        Map<String, Map<String, ?>> bodies = new HashMap<>();
        bodies.put("PUT /api/chambers/{id}", Bodies.chamberBody(house.chamber(), "Mine now", 1000));
        bodies.put(
                "PUT /api/chambers/{id}/air/decisions/{decisionId}",
                Map.of("kind", "WARM", "beganAt", WARM_AT, "words", "mine"));
        bodies.put("POST /api/chambers/{id}/air/file", Map.of());
        bodies.put("PUT /api/devices/{id}", Map.of("name", "Mine", "chamberId", house.chamber()));
        bodies.put("PUT /api/devices/{id}/token", Map.of("version", 0));
        bodies.put("PUT /api/devices/{id}/revoke", Map.of("version", 0));
        bodies.put("PUT /api/scales/{id}/tare", Map.of());
        bodies.put("POST /api/scales/{id}/lines", Map.of("lines", List.of("+ 4.215 kg")));
        bodies.put("PUT /api/lots/{id}", Bodies.lotBody(house.lot(), 9000));
        bodies.put(
                "POST /api/lots/{id}/pieces",
                Map.of(
                        "pieces",
                        List.of(Bodies.hangBody(UUID.randomUUID().toString(), house.chamber(), 8000)),
                        "answers",
                        Map.of()));
        Map<String, Object> plan = Bodies.planBody(house.plan(), house.chamber());
        plan.put("version", 1);
        bodies.put("PUT /api/plans/{id}", plan);
        bodies.put("PUT /api/plans/{id}/drop", Map.of("version", 0));
        String newLot = UUID.randomUUID().toString();
        bodies.put(
                "POST /api/plans/{id}/hang",
                Map.of(
                        "lot",
                        Bodies.lotBody(newLot, 8000),
                        "split",
                        Map.of(
                                "pieces",
                                List.of(Bodies.hangBody(UUID.randomUUID().toString(), house.chamber(), 8000)),
                                "answers",
                                Map.of())));
        bodies.put(
                "PUT /api/tasks/{id}",
                Map.of(
                        "pieceId", house.hanging(),
                        "work", "LOOK",
                        "plannedOn", "2026-01-13",
                        "verdict", "DONE",
                        "reason", ""));
        bodies.put("PUT /api/pieces/{pieceId}/preparation/{tickId}", Map.of("step", "weigh", "done", true));
        bodies.put(
                "PUT /api/packs/{id}/cleaned/{outId}",
                Map.of("answers", Map.of(), "piles", List.of(Map.of("stream", "STEAK", "grams", 900))));
        bodies.put(
                "PUT /api/pieces/{id}/apart/{entryId}",
                Map.of("things", List.of(Map.of("id", UUID.randomUUID().toString(), "grams", 900))));
        bodies.put("PUT /api/pieces/{id}/target", Map.of("version", 0, "targetDays", 3, "answers", Map.of()));
        bodies.put("PUT /api/pieces/{id}/log/{entryId}", correction);
        bodies.put(
                "PUT /api/pieces/{id}/move/{entryId}",
                Map.of("chamberId", house.chamber(), "words", "", "answers", Map.of()));
        bodies.put(
                "PUT /api/pieces/{id}/hang/{entryId}",
                Map.of("greenGrams", 3000, "chamberId", house.chamber(), "targetDays", 20, "answers", Map.of()));
        bodies.put("PUT /api/pieces/{id}/looks/{entryId}", Bodies.lookBody());
        bodies.put("PUT /api/pieces/{id}/looks/{entryId}/photos/{photoId}", Map.of());
        bodies.put("PUT /api/pieces/{id}/photos/{photoId}", Map.of());
        bodies.put(
                "PUT /api/pieces/{id}/discard/{entryId}", Map.of("grams", 3000, "words", "mine", "answers", Map.of()));
        bodies.put("PUT /api/trials/{id}", trialBody(house.hanging(), house.pulled()));
        bodies.put("PUT /api/share/{kind}/{id}", Map.of());
        bodies.put("DELETE /api/share/{kind}/{id}", Map.of());
        bodies.put("PUT /api/trials/{id}/learnt", Map.of("version", 0, "words", "mine"));
        bodies.put("PUT /api/tastings/{id}", Bodies.tastingBody("PAIRED", 2, 2));
        for (String deed : List.of("open", "reveal", "drop")) {
            bodies.put("PUT /api/tastings/{id}/" + deed, Map.of("version", 0));
        }
        bodies.put("PUT /api/tastings/tasters/{id}/forget", Map.of("version", 0));
        bodies.put(
                "PUT /api/tastings/{id}/samples/{sampleId}",
                Map.of("version", 0, "thicknessMm", 1, "thawed", true, "sameSeasoning", false));
        bodies.put(
                "PUT /api/tastings/{id}/places/{placeId}/sheets/{sheetId}",
                Map.of("round", 0, "ranks", Map.of(), "scores", Map.of(), "words", Map.of(), "knew", true));
        bodies.put(
                "PUT /api/pieces/{pieceId}/packs",
                Map.of(
                        "packs",
                        List.of(Map.of(
                                "id", UUID.randomUUID().toString(),
                                "content", "STEAK",
                                "grams", 100,
                                "wrap", "VACUUM",
                                "keeping", "FROZEN",
                                "packedOn", "2026-01-20",
                                "place", ""))));
        bodies.put("PUT /api/carcasses/{id}", Bodies.carcassBody(house.chamber(), 40_000));
        bodies.put("PUT /api/carcasses/{id}/test", Map.of("version", 0, "test", "CLEAR"));
        bodies.put("PUT /api/carcasses/{id}/parts/{partId}", Bodies.partBody("NECK", 100));
        bodies.put("PUT /api/carcasses/{id}/close/{entryId}", Map.of("answers", Map.of()));
        bodies.put("PUT /api/carcasses/{id}/cores/{entryId}", Map.of("celsius", 9));
        bodies.put("PUT /api/carcasses/{id}/school", Map.of("version", 0, "knife", "SAW", "trim", "LATER"));
        bodies.put("PUT /api/asks/{id}", Map.of("version", 0, "name", "mine", "query", "by=CUT"));
        bodies.put("PUT /api/asks/{id}/drop", Map.of("version", 0));
        bodies.put("PUT /api/past/{id}", Bodies.pastBody(house.chamber()));
        bodies.put(
                "PUT /api/first/{pieceId}",
                Map.of(
                        "chamberId",
                        house.chamber(),
                        "kind",
                        "CABINET",
                        "cutCode",
                        "strip",
                        "boneIn",
                        false,
                        "grams",
                        5000,
                        "method",
                        "OPEN_AIR",
                        "days",
                        30,
                        "priceMinorPerKg",
                        0,
                        "answers",
                        Map.of()));
        bodies.put("PUT /api/pieces/{id}/ice", Map.of("version", 0, "meatCelsius", 5, "outsideCelsius", 20));
        bodies.put("PUT /api/pieces/{id}/hide/{entryId}", Map.of("grams", 10));
        bodies.put("PUT /api/makings/{id}", Bodies.makingBody("GRIND", 10, house.pack(), 10));
        bodies.put("PUT /api/makings/{id}/weight", Map.of("version", 0, "grams", 5, "words", "mine"));
        bodies.put("PUT /api/makings/{id}/undo", Map.of());
        bodies.put("PUT /api/makings/{id}/packs", Map.of("packs", List.of(Bodies.packBody("GRIND", 1))));
        bodies.put("PUT /api/packs/{id}/out/{outId}", Map.of("way", "SALE", "grams", 1, "words", "mine"));
        bodies.put("PUT /api/packs/{id}/back/{outId}", Map.of("slip", house.pack(), "words", "mine"));
        bodies.put("PUT /api/recipes/{id}", Bodies.recipeBody());
        bodies.put("PUT /api/pieces/{pieceId}/treatments/{entryId}", Bodies.treatmentBody("SPIRIT_SPRAY"));
        bodies.put(
                "PUT /api/pieces/{pieceId}/treatments/{treatmentId}/steps/{entryId}",
                Map.of("number", 0, "words", "mine", "answers", Map.of()));
        bodies.put(
                "PUT /api/pieces/{pieceId}/treatments/{treatmentId}/used/{entryId}",
                Map.of("full", 500, "left", 100, "measure", "MILLILITRE"));
        bodies.put("PUT /api/pieces/{pieceId}/treatments/{treatmentId}/back/{entryId}", Map.of("words", "mine"));
        bodies.put("PUT /api/pieces/{id}/teaches", Map.of("version", 1, "counts", true));
        bodies.put("PUT /api/bench/{pieceId}/cutting", Map.of("order", "SLICE_FIRST", "closeness", "MILDER"));
        bodies.put("PUT /api/bench/{pieceId}/discard/{entryId}", Map.of("reason", "mine"));
        bodies.put("PUT /api/bench/{pieceId}/close/{entryId}", Map.of("answers", Map.of()));
        bodies.put("PUT /api/bench/{pieceId}/reopen/{entryId}", Map.of("reason", "mine"));
        bodies.put("PUT /api/people/{id}", Map.of("version", 0, "name", "X", "role", "BENCH_HAND", "active", false));
        bodies.put("PUT /api/people/{id}/code", Map.of());
        bodies.put("PUT /api/alarms/{id}/answers/{answerId}", Map.of("kind", "TAKEN_OVER"));
        bodies.put("PUT /api/me/notices/tests/{id}", Map.of("channel", "EMAIL"));
        bodies.put("PUT /api/me/phones/{id}", PHONE);
        bodies.put("DELETE /api/me/phones/{id}", Map.of());
        bodies.put("PUT /api/me/tokens/{id}", TOKEN);
        bodies.put("PUT /api/me/tokens/{id}/remove", Map.of("version", 0));
        bodies.put("PUT /api/rehearsals/{id}", REHEARSAL);
        bodies.put("POST /api/rehearsals/{id}/enter", Map.of());
        bodies.put("PUT /api/rehearsal/room/{id}", Map.of());
        bodies.put("DELETE /api/me/sessions/{id}", Map.of());
        bodies.put("DELETE /api/me/passkeys/{id}", Map.of());
        return bodies;
    }

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
        House house = furnish(owner);
        Map<String, Map<String, ?>> bodies = bodies(house);
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
                    Answer answer = stranger.client().send(method, path(pattern, house), bodies.get(endpoint));
                    if (named) {
                        assertThat(answer.status()).as(answer.toString()).isIn(404, 409);
                    }
                    String said = answer.body().toString().replaceAll("\"instance\":\"[^\"]*\"", "");
                    assertThat(said).doesNotContain(house.ids());
                    assertThat(snapshot(database, owner)).isEqualTo(before);
                }));
    }

    private static String path(String pattern, House house) {
        String piece = pattern.startsWith("/api/bench") ? house.pulled() : house.hanging();
        Map<String, String> ids = Map.of(
                "chambers", house.chamber(),
                "lots", house.lot(),
                "people", house.person(),
                "plans", house.plan(),
                "devices", house.device(),
                "scales", house.scale(),
                "recipes", house.recipe(),
                "trials", house.trial(),
                "tastings", pattern.contains("/tasters/") ? house.taster() : house.tasting(),
                "packs", house.pack());
        String named = pattern.split("/")[2];
        String id = switch (named) {
            case "makings" -> house.making();
            case "carcasses", "asks", "past" -> house.carcass();
            case "alarms" -> house.alarm();
            case "me" -> house.phone();
            case "rehearsals" -> house.recipe(); // its id is free there
            default -> ids.getOrDefault(named, piece);
        };
        return pattern.replace("{id}", id)
                        .replace("{kind}", "PIECE")
                        .replace("{pieceId}", piece)
                        .replace(
                                "{entryId}",
                                pattern.contains("/photos/")
                                        ? house.look()
                                        : UUID.randomUUID().toString())
                        .replace("{change}", "AGAIN")
                        .replace("{treatmentId}", house.treatment())
                        .replace("{answerId}", UUID.randomUUID().toString())
                        .replace("{photoId}", UUID.randomUUID().toString())
                        .replace("{decisionId}", UUID.randomUUID().toString())
                        .replace("{tickId}", UUID.randomUUID().toString())
                        .replace("{sampleId}", house.sample())
                        .replace("{placeId}", house.place())
                        .replace("{sheetId}", UUID.randomUUID().toString())
                        .replace("{partId}", UUID.randomUUID().toString())
                        .replace("{outId}", UUID.randomUUID().toString())
                + switch (pattern) {
                    case "/api/compare" -> "?pieces=" + house.hanging() + "," + house.pulled();
                    case "/api/pieces" -> "?tag=1";
                    case "/api/pieces/{id}/photos/{photoId}" -> "?shows=OTHER";
                    case "/api/chambers/{id}/air/file" -> "?name=logger.csv&zone=UTC";
                    case "/api/find" -> "?words=Hollin";
                    case "/api/lots/{id}/split" -> "?grams=100";
                    case "/api/labels" -> "?size=SHEET_70_37&packs=" + house.pack();
                    case "/api/pieces/{pieceId}/hang-tag" -> "?size=SHEET_70_37";
                    case "/api/bench/{pieceId}/steaks" -> "?thicknessMm=30&saw=false&endMm=15";
                    case "/api/cuts/section" -> "?code=strip&grams=5000&fatCoverMm=0&boneIn=false";
                    case "/api/pieces/{pieceId}/packs/left", "/api/makings/{id}/packs/left" -> "?content=STEAK";
                    case "/api/pieces/{id}/reach" -> "?shrinkPercent=10";
                    case "/api/chambers/{id}/record", "/api/chambers/{id}/record.csv" ->
                        "?from=2026-01-01&to=2026-02-01";
                    case "/api/chambers/{id}/air" -> "?from=2026-01-01T00:00:00Z&to=2026-02-01T00:00:00Z";
                    default -> "";
                };
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
