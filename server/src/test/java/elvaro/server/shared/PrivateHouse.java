package elvaro.server.shared;

import elvaro.server.support.Bodies;
import elvaro.server.support.Client;
import elvaro.server.support.RunningApp;
import elvaro.server.support.RunningApp.Someone;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import tools.jackson.databind.JsonNode;

/** Everything of one workshop that a stranger might name, and what they would send with it. */
record PrivateHouse(
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
    private static final String WARM_AT = "2026-01-05T10:00:00Z";
    private static final long WARM = java.time.Instant.parse(WARM_AT).getEpochSecond();

    private static final Map<String, Object> REHEARSAL = Map.of("lesson", "THE_BAG", "answers", Map.of());

    List<String> ids() {
        return List.of(
                chamber, lot, hanging, pulled, entry, person, plan, device, scale, look, recipe, treatment, trial,
                tasting, sample, place, taster, pack, making, carcass);
    }

    static PrivateHouse furnish(Someone owner) {
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
        return new PrivateHouse(
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
    Map<String, Map<String, ?>> bodies() {
        Map<String, Object> correction = Bodies.entry("WEIGHED", 3000);
        correction.put("corrects", entry());
        Map<String, Map<String, ?>> bodies = new HashMap<>();
        bodies.put("PUT /api/chambers/{id}", Bodies.chamberBody(chamber(), "Mine now", 1000));
        bodies.put(
                "PUT /api/chambers/{id}/air/decisions/{decisionId}",
                Map.of("kind", "WARM", "beganAt", WARM_AT, "words", "mine"));
        bodies.put("POST /api/chambers/{id}/air/file", Map.of());
        bodies.put("PUT /api/devices/{id}", Map.of("name", "Mine", "chamberId", chamber()));
        bodies.put("PUT /api/devices/{id}/token", Map.of("version", 0));
        bodies.put("PUT /api/devices/{id}/revoke", Map.of("version", 0));
        bodies.put("PUT /api/scales/{id}/tare", Map.of());
        bodies.put("POST /api/scales/{id}/lines", Map.of("lines", List.of("+ 4.215 kg")));
        bodies.put("PUT /api/lots/{id}", Bodies.lotBody(lot(), 9000));
        bodies.put(
                "POST /api/lots/{id}/pieces",
                Map.of(
                        "pieces",
                        List.of(Bodies.hangBody(UUID.randomUUID().toString(), chamber(), 8000)),
                        "answers",
                        Map.of()));
        Map<String, Object> plan = Bodies.planBody(plan(), chamber());
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
                                List.of(Bodies.hangBody(UUID.randomUUID().toString(), chamber(), 8000)),
                                "answers",
                                Map.of())));
        bodies.put(
                "PUT /api/tasks/{id}",
                Map.of(
                        "pieceId", hanging(),
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
                Map.of("chamberId", chamber(), "words", "", "answers", Map.of()));
        bodies.put(
                "PUT /api/pieces/{id}/hang/{entryId}",
                Map.of("greenGrams", 3000, "chamberId", chamber(), "targetDays", 20, "answers", Map.of()));
        bodies.put("PUT /api/pieces/{id}/looks/{entryId}", Bodies.lookBody());
        bodies.put("PUT /api/pieces/{id}/looks/{entryId}/photos/{photoId}", Map.of());
        bodies.put("PUT /api/pieces/{id}/photos/{photoId}", Map.of());
        bodies.put(
                "PUT /api/pieces/{id}/discard/{entryId}", Map.of("grams", 3000, "words", "mine", "answers", Map.of()));
        bodies.put("PUT /api/trials/{id}", trialBody(hanging(), pulled()));
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
        bodies.put("PUT /api/carcasses/{id}", Bodies.carcassBody(chamber(), 40_000));
        bodies.put("PUT /api/carcasses/{id}/test", Map.of("version", 0, "test", "CLEAR"));
        bodies.put("PUT /api/carcasses/{id}/parts/{partId}", Bodies.partBody("NECK", 100));
        bodies.put("PUT /api/carcasses/{id}/close/{entryId}", Map.of("answers", Map.of()));
        bodies.put("PUT /api/carcasses/{id}/cores/{entryId}", Map.of("celsius", 9));
        bodies.put("PUT /api/carcasses/{id}/school", Map.of("version", 0, "knife", "SAW", "trim", "LATER"));
        bodies.put("PUT /api/asks/{id}", Map.of("version", 0, "name", "mine", "query", "by=CUT"));
        bodies.put("PUT /api/asks/{id}/drop", Map.of("version", 0));
        bodies.put("PUT /api/past/{id}", Bodies.pastBody(chamber()));
        bodies.put(
                "PUT /api/first/{pieceId}",
                Map.of(
                        "chamberId",
                        chamber(),
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
        bodies.put("PUT /api/makings/{id}", Bodies.makingBody("GRIND", 10, pack(), 10));
        bodies.put("PUT /api/makings/{id}/weight", Map.of("version", 0, "grams", 5, "words", "mine"));
        bodies.put("PUT /api/makings/{id}/undo", Map.of());
        bodies.put("PUT /api/makings/{id}/packs", Map.of("packs", List.of(Bodies.packBody("GRIND", 1))));
        bodies.put("PUT /api/packs/{id}/out/{outId}", Map.of("way", "SALE", "grams", 1, "words", "mine"));
        bodies.put("PUT /api/packs/{id}/back/{outId}", Map.of("slip", pack(), "words", "mine"));
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
        bodies.put("PUT /api/people/{id}/lessons", Map.of("lessons", List.of("THE_BAG")));
        bodies.put("POST /api/rehearsals/{id}/enter", Map.of());
        bodies.put("PUT /api/rehearsal/room/{id}", Map.of());
        bodies.put("DELETE /api/me/sessions/{id}", Map.of());
        bodies.put("DELETE /api/me/passkeys/{id}", Map.of());
        return bodies;
    }

    /** An address with what the other workshop has in its places. */
    String path(String pattern) {
        String piece = pattern.startsWith("/api/bench") ? pulled() : hanging();
        Map<String, String> ids = Map.of(
                "chambers", chamber(),
                "lots", lot(),
                "people", person(),
                "plans", plan(),
                "devices", device(),
                "scales", scale(),
                "recipes", recipe(),
                "trials", trial(),
                "tastings", pattern.contains("/tasters/") ? taster() : tasting(),
                "packs", pack());
        String named = pattern.split("/")[2];
        String id = switch (named) {
            case "makings" -> making();
            case "carcasses", "asks", "past" -> carcass();
            case "alarms" -> alarm();
            case "me" -> phone();
            case "rehearsals" -> recipe(); // its id is free there
            default -> ids.getOrDefault(named, piece);
        };
        return pattern.replace("{id}", id)
                        .replace("{kind}", "PIECE")
                        .replace("{pieceId}", piece)
                        .replace(
                                "{entryId}",
                                pattern.contains("/photos/")
                                        ? look()
                                        : UUID.randomUUID().toString())
                        .replace("{change}", "AGAIN")
                        .replace("{treatmentId}", treatment())
                        .replace("{answerId}", UUID.randomUUID().toString())
                        .replace("{photoId}", UUID.randomUUID().toString())
                        .replace("{decisionId}", UUID.randomUUID().toString())
                        .replace("{tickId}", UUID.randomUUID().toString())
                        .replace("{sampleId}", sample())
                        .replace("{placeId}", place())
                        .replace("{sheetId}", UUID.randomUUID().toString())
                        .replace("{partId}", UUID.randomUUID().toString())
                        .replace("{outId}", UUID.randomUUID().toString())
                + switch (pattern) {
                    case "/api/compare" -> "?pieces=" + hanging() + "," + pulled();
                    case "/api/pieces" -> "?tag=1";
                    case "/api/pieces/{id}/photos/{photoId}" -> "?shows=OTHER";
                    case "/api/chambers/{id}/air/file" -> "?name=logger.csv&zone=UTC";
                    case "/api/find" -> "?words=Hollin";
                    case "/api/lots/{id}/split" -> "?grams=100";
                    case "/api/labels" -> "?size=SHEET_70_37&packs=" + pack();
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
}
