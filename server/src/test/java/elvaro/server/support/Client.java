package elvaro.server.support;

import java.net.CookieManager;
import java.net.HttpCookie;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Stream;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The API as a browser speaks to it: cookies, CSRF token, JSON. */
public final class Client {
    private static final JsonMapper JSON = new JsonMapper();

    private final CookieManager cookies = new CookieManager();
    private final HttpClient http =
            HttpClient.newBuilder().cookieHandler(cookies).build();
    private final String base;

    public Client(int port) {
        base = "http://127.0.0.1:" + port;
    }

    /** What came back. */
    public record Answer(int status, JsonNode body) {
        public String type() {
            return body.path("type").asString("").replace("urn:elvaro:", "");
        }

        public List<String> questions() {
            return body.path("questions")
                    .valueStream()
                    .map(question -> question.path("id").asString())
                    .toList();
        }
    }

    public Answer get(String path) {
        return send("GET", path, null);
    }

    /** Reads an answer without looking into it, for loads. */
    public int status(String path) {
        try {
            return http.send(request(path).GET().build(), BodyHandlers.discarding())
                    .statusCode();
        } catch (java.io.IOException | InterruptedException failure) {
            throw new IllegalStateException(failure);
        }
    }

    /** What came back, as text. */
    public String text(String path) {
        return whole(path, "").body();
    }

    /** What came back with its headers, to one who has an answer of this tag already. */
    public HttpResponse<String> whole(String path, String tag) {
        try {
            return http.send(request(path).header("If-None-Match", tag).GET().build(), BodyHandlers.ofString());
        } catch (java.io.IOException | InterruptedException failure) {
            throw new IllegalStateException(failure);
        }
    }

    /** Server-sent events as they come; closing the stream goes away. */
    public Stream<String> events(String path) {
        try {
            return http.send(request(path).GET().build(), BodyHandlers.ofLines())
                    .body();
        } catch (java.io.IOException | InterruptedException failure) {
            throw new IllegalStateException(failure);
        }
    }

    /** Bytes sent and bytes that came back. */
    public HttpResponse<byte[]> bytes(String method, String path, byte[] sent) {
        try {
            return http.send(
                    request(path)
                            .header("Content-Type", "image/jpeg")
                            .method(method, BodyPublishers.ofByteArray(sent))
                            .build(),
                    BodyHandlers.ofByteArray());
        } catch (java.io.IOException | InterruptedException failure) {
            throw new IllegalStateException(failure);
        }
    }

    /** A pack as a probe sends it. */
    public Answer pack(String token, String pack) {
        return device("/devices/readings", token, pack);
    }

    /** A pack as a device sends it. */
    public Answer device(String path, String token, String pack) {
        return exchange(HttpRequest.newBuilder(URI.create(base + path))
                .header("Authorization", "Bearer " + token)
                .header("Content-Type", "application/senml+json")
                .POST(BodyPublishers.ofString(pack)));
    }

    public Answer put(String path, Map<String, ?> body) {
        return send("PUT", path, body);
    }

    public Answer post(String path, Map<String, ?> body) {
        return send("POST", path, body);
    }

    public Answer signIn(String name, String password) {
        get("/api/session"); // brings the CSRF token
        String form = "username=" + encode(name) + "&password=" + encode(password);
        return exchange(request("/api/sign-in")
                .header("Content-Type", "application/x-www-form-urlencoded")
                .method("POST", BodyPublishers.ofString(form)));
    }

    public Answer send(String method, String path, Map<String, ?> body) {
        HttpRequest.Builder request = request(path);
        if (body == null) {
            return exchange(request.method(method, BodyPublishers.noBody()));
        }
        return exchange(request.header("Content-Type", "application/json")
                .method(method, BodyPublishers.ofString(JSON.writeValueAsString(body))));
    }

    /** Forgets the CSRF token, as a page of another site would not know it. */
    public void forgetCsrfToken() {
        cookies.getCookieStore().getCookies().stream()
                .filter(cookie -> cookie.getName().equals("XSRF-TOKEN"))
                .toList()
                .forEach(cookie -> cookies.getCookieStore().remove(URI.create(base), cookie));
    }

    private HttpRequest.Builder request(String path) {
        HttpRequest.Builder request = HttpRequest.newBuilder(URI.create(base + path));
        cookies.getCookieStore().getCookies().stream()
                .filter(cookie -> cookie.getName().equals("XSRF-TOKEN"))
                .map(HttpCookie::getValue)
                .forEach(token -> request.header("X-XSRF-TOKEN", token));
        return request;
    }

    private Answer exchange(HttpRequest.Builder request) {
        try {
            var response = http.send(request.build(), BodyHandlers.ofString());
            String text = response.body();
            boolean json = text.startsWith("{") || text.startsWith("[");
            return new Answer(response.statusCode(), json ? JSON.readTree(text) : JSON.createObjectNode());
        } catch (java.io.IOException | InterruptedException failure) {
            throw new IllegalStateException(failure);
        }
    }

    private static String encode(String text) {
        return URLEncoder.encode(text, StandardCharsets.UTF_8);
    }

    // --- what every test needs ---

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
        must(put("/api/chambers/" + id, chamberBody(id, name, limitGrams)));
        return id;
    }

    public static Map<String, Object> chamberBody(String id, String name, int limitGrams) {
        return Map.ofEntries(
                Map.entry("id", id),
                Map.entry("version", 0),
                Map.entry("name", name),
                Map.entry("kind", "CABINET"),
                Map.entry("rails", 1),
                Map.entry("placesPerRail", 6),
                Map.entry("limitGrams", limitGrams),
                Map.entry("setCelsius", 2),
                Map.entry("setHumidityPercent", 80),
                Map.entry("setMetresPerSecond", 0.5),
                Map.entry("purchaseMinor", 0),
                Map.entry("lifeYears", 10),
                Map.entry("powerWatts", 0));
    }

    public static Map<String, Object> lotBody(String id, int grams) {
        return new java.util.HashMap<>(Map.ofEntries(
                Map.entry("id", id),
                Map.entry("version", 0),
                Map.entry("cutCode", "rib-bone-in"),
                Map.entry("grade", ""),
                Map.entry("boneIn", true),
                Map.entry("fatCoverMm", 0),
                Map.entry("receivedGrams", grams),
                Map.entry("priceMinorPerKg", 2000),
                Map.entry("supplier", "Hollin Farm"),
                Map.entry("receivedOn", "2026-01-05"),
                Map.entry("sourceTag", ""),
                Map.entry("note", ""),
                Map.entry("answers", Map.of())));
    }

    public static Map<String, Object> hangBody(String id, String chamberId, int grams) {
        return new java.util.HashMap<>(Map.ofEntries(
                Map.entry("id", id),
                Map.entry("role", "PLAIN"),
                Map.entry("greenGrams", grams),
                Map.entry("method", "OPEN_AIR"),
                Map.entry("chamberId", chamberId),
                Map.entry("hungOn", "2026-01-06"),
                Map.entry("targetDays", 35),
                Map.entry("coatGrams", 0),
                Map.entry("coating", "NONE"),
                Map.entry("consumablesMinor", 0)));
    }

    /** Adds a probe of a chamber, or a scale where there is none; returns its token. */
    public String deviceToken(String id, String chamberId) {
        Map<String, Object> body = new java.util.HashMap<>(Map.of("name", "Device of " + chamberId));
        body.put("chamberId", chamberId);
        return must(put("/api/devices/" + id, body)).body().path("token").asString();
    }

    /** A treatment of a kind, nothing measured and nothing weighed on yet. */
    public static Map<String, Object> treatmentBody(String kind) {
        return new java.util.HashMap<>(Map.of(
                "kind",
                kind,
                "exactly",
                "",
                "coatGrams",
                0,
                "rawGarlicOrHerbs",
                false,
                "oil",
                false,
                "spirit",
                false,
                "answers",
                Map.of("no-dose", "")));
    }

    /** Gives a piece a treatment. */
    public Answer give(String piece, Map<String, ?> treatment) {
        return put("/api/pieces/%s/treatments/%s".formatted(piece, UUID.randomUUID()), treatment);
    }

    /** The first treatment a piece was given. */
    public JsonNode given(String piece) {
        return get("/api/pieces/%s/treatments".formatted(piece)).body().path(0);
    }

    /** Ten grams a kilogram, three parts of porcini powder to one of salt. */
    public static Map<String, Object> recipeBody() {
        return new java.util.HashMap<>(Map.ofEntries(
                Map.entry("version", 0),
                Map.entry("name", "Porcini rub"),
                Map.entry("kind", "PASTE"),
                Map.entry("amount", 10),
                Map.entry("basis", "KILOGRAM"),
                Map.entry(
                        "parts",
                        List.of(
                                Map.of("name", "porcini powder", "parts", 3, "priceMinorPerKg", 9000),
                                Map.of("name", "salt", "parts", 1, "priceMinorPerKg", 100))),
                Map.entry("rawGarlicOrHerbs", false),
                Map.entry("oil", false),
                Map.entry("spirit", false),
                Map.entry("note", "")));
    }

    /** A tasting of so many samples by so many tasters; liking is scored unless the odd one is looked for. */
    public static Map<String, Object> tastingBody(String kind, int samples, int tasters) {
        List<String> names = List.of("Honey", "Plain", "Porcini", "Stout cloth", "Beech smoke", "Kelp salt");
        List<String> people = List.of("Tove", "Anselm", "Rhea", "Bastian", "Odile", "Kester");
        boolean scored = !kind.equals("TRIANGLE");
        return new java.util.HashMap<>(Map.ofEntries(
                Map.entry("question", "Is the honey liked more?"),
                Map.entry("kind", kind),
                Map.entry("rounds", 1),
                Map.entry(
                        "attributes",
                        scored
                                ? List.of(Map.of(
                                        "key", "liking", "label", "Liking", "low", "not at all", "high", "very much"))
                                : List.of()),
                Map.entry(
                        "samples",
                        java.util.stream.IntStream.range(0, samples)
                                .mapToObj(each -> new java.util.HashMap<String, Object>(Map.of(
                                        "id",
                                        UUID.randomUUID().toString(),
                                        "name",
                                        names.get(each),
                                        "thicknessMm",
                                        30,
                                        "thawed",
                                        false)))
                                .toList()),
                Map.entry(
                        "tasters",
                        java.util.stream.IntStream.range(0, tasters)
                                .mapToObj(each -> Map.of(
                                        "id",
                                        UUID.randomUUID().toString(),
                                        "name",
                                        people.get(each % people.size()) + (each < people.size() ? "" : " " + each)))
                                .toList()),
                Map.entry("heat", "BATH"),
                Map.entry("coreCelsius", 55),
                Map.entry("restMinutes", 5),
                Map.entry("seasoning", "salt, 0.8 %")));
    }

    /** A piece with 3000 g of steak, 400 g of usable trim and its bench closed; returns its id. */
    public String cut() {
        String chamber = chamber("Room " + UUID.randomUUID().toString().substring(0, 6), 100_000);
        String piece = hang(chamber, 4000, 4000).get(0);
        must(write(piece, entry("PULLED", 3800)));
        must(write(piece, pile("STEAK", 3000)));
        must(write(piece, pile("USABLE_TRIM", 400)));
        must(write(piece, pile("DISCARD", 400)));
        must(put("/api/bench/%s/close/%s".formatted(piece, UUID.randomUUID()), Map.of("answers", Map.of())));
        return piece;
    }

    public static Map<String, Object> packBody(String content, int grams) {
        return new java.util.HashMap<>(Map.of(
                "id",
                UUID.randomUUID().toString(),
                "content",
                content,
                "grams",
                grams,
                "wrap",
                "VACUUM",
                "keeping",
                "FROZEN",
                "packedOn",
                java.time.LocalDate.now().minusDays(1).toString(),
                "place",
                "long freezer, left"));
    }

    /** A pack of a piece of its own; returns its id. */
    public String packed() {
        return must(put("/api/pieces/%s/packs".formatted(cut()), Map.of("packs", List.of(packBody("STEAK", 1000)))))
                .body()
                .at("/0/id")
                .asString();
    }

    /** A taster's phone, which brings the token of its link. */
    public Answer phone(String method, String path, String token, Map<String, ?> body) {
        HttpRequest.Builder request = HttpRequest.newBuilder(URI.create(base + path))
                .header("Authorization", "Bearer " + token)
                .header("Content-Type", "application/json");
        return exchange(
                body == null
                        ? request.method(method, BodyPublishers.noBody())
                        : request.method(method, BodyPublishers.ofString(JSON.writeValueAsString(body))));
    }

    /** A sheet that says nothing yet. */
    public static Map<String, Object> sheetBody() {
        return new java.util.HashMap<>(
                Map.of("round", 0, "ranks", Map.of(), "scores", Map.of(), "words", Map.of(), "knew", false));
    }

    /** A purchase of two striploins, to be hung in ten days. */
    public static Map<String, Object> planBody(String id, String chamberId) {
        return new java.util.HashMap<>(Map.ofEntries(
                Map.entry("id", id),
                Map.entry("version", 0),
                Map.entry("name", "Harvest supper"),
                Map.entry("cutCode", "strip"),
                Map.entry("boneIn", false),
                Map.entry("fatCoverMm", 5),
                Map.entry("pieces", 2),
                Map.entry("greenGrams", 6000),
                Map.entry("method", "OPEN_AIR"),
                Map.entry("coating", "NONE"),
                Map.entry("chamberId", chamberId),
                Map.entry("hangOn", java.time.LocalDate.now().plusDays(10).toString()),
                Map.entry("targetDays", 28),
                Map.entry("priceMinorPerKg", 2200),
                Map.entry("consumablesMinor", 0)));
    }

    /** A planned purchase bought and hung in two pieces. */
    public static Map<String, Object> hangPlanBody(String chamber, String day, String lot, int grams) {
        Map<String, Object> received = lotBody(lot, grams);
        received.put("receivedOn", day);
        received.put("cutCode", "strip");
        received.put("boneIn", false);
        List<Map<String, Object>> pieces = new java.util.ArrayList<>();
        for (int piece = 0; piece < 2; piece++) {
            Map<String, Object> each = hangBody(UUID.randomUUID().toString(), chamber, grams / 2);
            each.put("hungOn", day);
            each.put("targetDays", 28);
            pieces.add(each);
        }
        return new java.util.HashMap<>(Map.of("lot", received, "split", Map.of("pieces", pieces, "answers", Map.of())));
    }

    /** A striploin on paper, in the air of a chamber. */
    public static Map<String, Object> scenarioBody(String chamberId) {
        return new java.util.HashMap<>(Map.ofEntries(
                Map.entry("cutCode", "strip"),
                Map.entry("boneIn", false),
                Map.entry("fatCoverMm", 5),
                Map.entry("greenGrams", 6000),
                Map.entry("method", "OPEN_AIR"),
                Map.entry("coating", "NONE"),
                Map.entry("chamberId", chamberId),
                Map.entry("targetDays", 28),
                Map.entry("priceMinorPerKg", 2200),
                Map.entry("consumablesMinor", 0),
                Map.entry("steakMm", 30)));
    }

    /** Receives a lot today and hangs it today in pieces of the given weights; returns the pieces' ids. */
    public List<String> hangToday(String chamberId, int days, int... grams) {
        return hangAgo(0, chamberId, days, grams);
    }

    /** The same, so many days ago. */
    public List<String> hangAgo(int daysAgo, String chamberId, int days, int... grams) {
        String today = java.time.LocalDate.parse(
                        get("/api/session").body().at("/me/today").asString())
                .minusDays(daysAgo)
                .toString();
        String lot = UUID.randomUUID().toString();
        Map<String, Object> received =
                lotBody(lot, java.util.Arrays.stream(grams).sum());
        received.put("receivedOn", today);
        received.put("cutCode", "strip");
        received.put("boneIn", false);
        received.put("answers", Map.of("weight-unusual", ""));
        must(post("/api/lots", received));
        List<Map<String, Object>> pieces = java.util.Arrays.stream(grams)
                .mapToObj(each -> hangBody(UUID.randomUUID().toString(), chamberId, each))
                .toList();
        pieces.forEach(piece -> {
            piece.put("hungOn", today);
            piece.put("targetDays", days);
        });
        must(post("/api/lots/" + lot + "/pieces", Map.of("pieces", pieces, "answers", Map.of())));
        return pieces.stream().map(piece -> String.valueOf(piece.get("id"))).toList();
    }

    /** Receives a lot and hangs it in pieces of the given weights; returns the pieces' ids. */
    public List<String> hang(String chamberId, int... grams) {
        String lot = UUID.randomUUID().toString();
        must(post("/api/lots", lotBody(lot, java.util.Arrays.stream(grams).sum())));
        List<String> ids = java.util.Arrays.stream(grams)
                .mapToObj(each -> UUID.randomUUID().toString())
                .toList();
        var pieces = java.util.stream.IntStream.range(0, grams.length)
                .mapToObj(index -> hangBody(ids.get(index), chamberId, grams[index]))
                .toList();
        must(post("/api/lots/" + lot + "/pieces", Map.of("pieces", pieces, "answers", Map.of())));
        return ids;
    }

    /** An entry whose weight follows from what a test is about, whatever the forecast expected. */
    public static Map<String, Object> entry(String kind, int grams) {
        return new java.util.HashMap<>(
                Map.of("kind", kind, "grams", grams, "words", "", "answers", Map.of("surprising", "")));
    }

    /** A look at a piece that is as it should be, but for these: names of fields, each with its value. */
    public static Map<String, Object> lookBody(Object... changes) {
        Map<String, Object> body = new java.util.HashMap<>(Map.of(
                "colour", "DARK_RED",
                "surface", "DRY",
                "moulds", List.of(),
                "extent", "NONE",
                "smell", "CLEAN",
                "spots", List.of(),
                "depth", "PART",
                "liftedPercent", 0,
                "sealOpen", false,
                "words", ""));
        for (int index = 0; index < changes.length; index += 2) {
            body.put(String.valueOf(changes[index]), changes[index + 1]);
        }
        return body;
    }

    public static Map<String, Object> pile(String stream, int grams) {
        Map<String, Object> body = entry("PILE", grams);
        body.put("stream", stream);
        return body;
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
