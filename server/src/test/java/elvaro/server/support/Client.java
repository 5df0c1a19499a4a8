package elvaro.server.support;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.IntToDoubleFunction;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.JsonNode;

/** Somebody at work over the {@link Api}: what every test does before it comes to its own. */
public final class Client extends Api {
    public Client(int port) {
        super(port);
    }

    /** Makes the first owner of an empty house, with the code it printed. */
    public Answer setUp(String code, String signInName, String password) {
        get("/api/session");
        return post(
                "/api/setup",
                Map.of(
                        "code", code,
                        "workshopName", "Brackenrow",
                        "currency", "EUR",
                        "zone", "Europe/Berlin",
                        "signInName", signInName,
                        "name", "Maren Oakes",
                        "password", password));
    }

    /** The workshop's settings as they are, to be changed and sent back. */
    public Map<String, Object> workshopBody() {
        Map<String, Object> body = JSON.convertValue(get("/api/workshop").body(), new TypeReference<>() {});
        return body;
    }

    public String chamber(String name, int limitGrams) {
        String id = UUID.randomUUID().toString();
        must(put("/api/chambers/" + id, Bodies.chamberBody(id, name, limitGrams)));
        return id;
    }

    /** Adds a probe of a chamber, or a scale where there is none; returns its token. */
    public String deviceToken(String id, String chamberId) {
        Map<String, Object> body = new java.util.HashMap<>(Map.of("name", "Device of " + chamberId));
        body.put("chamberId", chamberId);
        return must(put("/api/devices/" + id, body)).body().path("token").asString();
    }

    /**
     * Readings of a probe by the hour, at 2 °C, until now.
     *
     * @param humidity in % on each day, the first the earliest
     */
    public void recorded(String token, int days, IntToDoubleFunction humidity) {
        long now = Instant.now().getEpochSecond();
        for (int day = 0; day < days; day++) {
            StringBuilder pack = new StringBuilder("[");
            for (int hour = 0; hour < 24; hour++) {
                long at = now - (days - day) * 86_400L + hour * 3_600L;
                pack.append(hour == 0 ? "" : ",")
                        .append("{\"n\":\"t\",\"u\":\"Cel\",\"t\":%d,\"v\":2.0}".formatted(at))
                        .append(",{\"n\":\"h\",\"u\":\"%%RH\",\"t\":%d,\"v\":%s}"
                                .formatted(at, humidity.applyAsDouble(day)));
            }
            must(pack(token, pack.append("]").toString()));
        }
    }

    /** Gives a piece a treatment. */
    public Answer give(String piece, Map<String, ?> treatment) {
        return put("/api/pieces/%s/treatments/%s".formatted(piece, UUID.randomUUID()), treatment);
    }

    /** The first treatment a piece was given. */
    public JsonNode given(String piece) {
        return get("/api/pieces/%s/treatments".formatted(piece)).body().path(0);
    }

    /** A piece with 3000 g of steak, 400 g of usable trim and its bench closed; returns its id. */
    public String cut() {
        String chamber = chamber("Room " + UUID.randomUUID().toString().substring(0, 6), 100_000);
        String piece = hang(chamber, 4000, 4000).get(0);
        must(write(piece, Bodies.entry("PULLED", 3800)));
        must(write(piece, Bodies.pile("STEAK", 3000)));
        must(write(piece, Bodies.pile("USABLE_TRIM", 400)));
        must(write(piece, Bodies.pile("DISCARD", 400)));
        must(put("/api/bench/%s/close/%s".formatted(piece, UUID.randomUUID()), Map.of("answers", Map.of())));
        return piece;
    }

    /** A pack of a piece of its own; returns its id. */
    public String packed() {
        return must(put(
                        "/api/pieces/%s/packs".formatted(cut()),
                        Map.of("packs", List.of(Bodies.packBody("STEAK", 1000)))))
                .body()
                .at("/0/id")
                .asString();
    }

    /** Shows a trial or a piece around; the token of its link. */
    public String share(String kind, String id) {
        String path = must(put("/api/share/%s/%s".formatted(kind, id), Map.of()))
                .body()
                .path("path")
                .asString();
        return path.substring(path.lastIndexOf('/') + 1);
    }

    /** Receives a lot today and hangs it today in pieces of the given weights; returns the pieces' ids. */
    public List<String> hangToday(String chamberId, int days, int... grams) {
        return hangAgo(0, chamberId, days, grams);
    }

    /** The same, so many days ago. */
    public List<String> hangAgo(int daysAgo, String chamberId, int days, int... grams) {
        return hangAgo(daysAgo, "strip", "OPEN_AIR", chamberId, days, grams);
    }

    /** A haunch laid on ice so many days ago. */
    public String onIceAgo(int daysAgo, String chestId, int days, int grams) {
        return hangAgo(daysAgo, "deer-haunch", "ON_ICE", chestId, days, grams).get(0);
    }

    private List<String> hangAgo(int daysAgo, String cut, String method, String chamberId, int days, int... grams) {
        String today = java.time.LocalDate.parse(
                        get("/api/session").body().at("/me/today").asString())
                .minusDays(daysAgo)
                .toString();
        String lot = UUID.randomUUID().toString();
        Map<String, Object> received =
                Bodies.lotBody(lot, java.util.Arrays.stream(grams).sum());
        received.put("receivedOn", today);
        received.put("cutCode", cut);
        received.put("boneIn", false);
        received.put("answers", Map.of("weight-unusual", ""));
        must(post("/api/lots", received));
        List<Map<String, Object>> pieces = java.util.Arrays.stream(grams)
                .mapToObj(each -> Bodies.hangBody(UUID.randomUUID().toString(), chamberId, each))
                .toList();
        pieces.forEach(piece -> {
            piece.put("hungOn", today);
            piece.put("targetDays", days);
            piece.put("method", method);
        });
        must(post(
                "/api/lots/" + lot + "/pieces",
                Map.of("pieces", pieces, "answers", Map.of("method-chamber", "", "experiment", ""))));
        return pieces.stream().map(piece -> String.valueOf(piece.get("id"))).toList();
    }

    /** Receives a lot and hangs it in pieces of the given weights; returns the pieces' ids. */
    public List<String> hang(String chamberId, int... grams) {
        String lot = UUID.randomUUID().toString();
        must(post(
                "/api/lots", Bodies.lotBody(lot, java.util.Arrays.stream(grams).sum())));
        List<String> ids = java.util.Arrays.stream(grams)
                .mapToObj(each -> UUID.randomUUID().toString())
                .toList();
        var pieces = java.util.stream.IntStream.range(0, grams.length)
                .mapToObj(index -> Bodies.hangBody(ids.get(index), chamberId, grams[index]))
                .toList();
        must(post("/api/lots/" + lot + "/pieces", Map.of("pieces", pieces, "answers", Map.of())));
        return ids;
    }

    public Answer write(String pieceId, Map<String, ?> entry) {
        return put("/api/pieces/" + pieceId + "/log/" + UUID.randomUUID(), entry);
    }

    public Answer must(Answer answer) {
        if (answer.status() / 100 != 2) {
            throw new AssertionError("Refused: " + answer);
        }
        return answer;
    }
}
