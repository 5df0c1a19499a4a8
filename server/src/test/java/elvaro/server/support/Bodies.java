package elvaro.server.support;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import java.util.UUID;

/** Requests as they are usually sent, to be changed where a test is about something else. */
public final class Bodies {
    private Bodies() {}

    /** The day it is in the workshops of the tests; another one than here for an hour or two around midnight. */
    public static LocalDate today() {
        return LocalDate.now(ZoneId.of("Europe/Berlin"));
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
                Map.entry("receivedOn", today().minusDays(300).toString()),
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
                Map.entry("hungOn", today().minusDays(299).toString()),
                Map.entry("targetDays", 35),
                Map.entry("coatGrams", 0),
                Map.entry("coating", "NONE"),
                Map.entry("consumablesMinor", 0)));
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
                today().minusDays(1).toString(),
                "place",
                "long freezer, left"));
    }

    /** Grind or tallow made of one pack. */
    public static Map<String, Object> makingBody(String product, int out, String pack, int in) {
        return new java.util.HashMap<>(Map.of(
                "product",
                product,
                "sources",
                List.of(Map.of("packId", pack, "name", "", "grams", in, "priceMinorPerKg", 0)),
                "grams",
                out,
                "words",
                "",
                "answers",
                Map.of()));
    }

    /** A fallow deer shot this morning, field-dressed, to hang for ten days. */
    public static Map<String, Object> carcassBody(String chamberId, int grams) {
        return new java.util.HashMap<>(Map.ofEntries(
                Map.entry("animal", "FALLOW_DEER"),
                Map.entry("tag", "S-114"),
                Map.entry("permit", "estate 7"),
                Map.entry("killedAt", Instant.now().minusSeconds(6 * 3600).toString()),
                Map.entry("place", "north ride"),
                Map.entry("grams", grams),
                Map.entry("weighed", "FIELD_DRESSED"),
                Map.entry("skinOn", true),
                Map.entry("wound", "behind the shoulder"),
                Map.entry("cooledAt", Instant.now().minusSeconds(3600).toString()),
                Map.entry("test", "NOT_ASKED"),
                Map.entry("supplier", "Sallow Estate"),
                Map.entry("priceMinorPerKg", 600),
                Map.entry("method", "OPEN_AIR"),
                Map.entry("chamberId", chamberId),
                Map.entry("days", 10),
                Map.entry("answers", Map.of())));
    }

    /** A part for the bench. */
    public static Map<String, Object> partBody(String part, int grams) {
        return new java.util.HashMap<>(Map.of("part", part, "grams", grams, "asItIs", false, "answers", Map.of()));
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
                Map.entry("hangOn", today().plusDays(10).toString()),
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

    /** A table of one finished piece of the past. */
    public static Map<String, Object> pastBody(String chamberId) {
        return Map.of(
                "headRow",
                1,
                "rows",
                List.of(List.of("old", "2026-01-03", "5.2", "2026-02-07", "4.5", "4.5")),
                "columns",
                Map.of("PIECE", 0, "HUNG_ON", 1, "GREEN", 2, "PULLED_ON", 3, "AGED", 4, "STEAK", 5),
                "weighings",
                Map.of(),
                "unit",
                "KILOGRAM",
                "order",
                "DAY_FIRST",
                "cutCode",
                "strip",
                "method",
                "OPEN_AIR",
                "chamberId",
                chamberId);
    }
}
