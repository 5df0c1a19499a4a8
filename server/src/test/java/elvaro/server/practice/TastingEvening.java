package elvaro.server.practice;

import elvaro.server.support.Client;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import tools.jackson.databind.JsonNode;

/** A tasting from its opening to its reveal: every taster hands in what they liked, by the codes on the plates. */
record TastingEvening(Client client, String tasting) {

    /** @param liking of each sample by its name, 1 to 7 from each taster in their order */
    void hold(Map<String, Object> liking) {
        turn("open");
        JsonNode laid = client.get("/api/tastings/" + tasting).body();
        List<String> names = laid.path("samples")
                .valueStream()
                .map(sample -> sample.path("name").asString())
                .toList();
        for (JsonNode plate : laid.path("plates")) {
            int taster = plate.path("place").asInt() - 1;
            JsonNode place = laid.path("places").get(taster);
            Map<Integer, Integer> scores = new HashMap<>();
            plate.path("servings").valueStream().forEach(serving -> {
                Object all = liking.get(names.get(serving.path("sample").asInt()));
                scores.put(serving.path("code").asInt(), (Integer) ((List<?>) all).get(taster));
            });
            client.must(client.put(
                    "/api/tastings/%s/places/%s/sheets/%s"
                            .formatted(tasting, place.path("id").asString(), UUID.randomUUID()),
                    sheet(laid.path("kind").asString(), plate.path("round").asInt(), scores)));
        }
        turn("reveal");
    }

    private void turn(String what) {
        int version =
                client.get("/api/tastings/" + tasting).body().path("version").asInt();
        client.must(client.put("/api/tastings/%s/%s".formatted(tasting, what), Map.of("version", version)));
    }

    private static Map<String, Object> sheet(String kind, int round, Map<Integer, Integer> scores) {
        List<Integer> best = new ArrayList<>(scores.keySet());
        best.sort(Comparator.comparing(scores::get).reversed());
        Map<String, Object> sheet =
                new HashMap<>(Map.of("round", round, "ranks", Map.of(), "words", Map.of(), "knew", false));
        sheet.put("scores", Map.of("liking", scores));
        if (kind.equals("RANKING")) {
            Map<Integer, Integer> ranks = new HashMap<>();
            best.forEach(code -> ranks.put(
                    code,
                    1
                            + (int) scores.values().stream()
                                    .filter(other -> other > scores.get(code))
                                    .count()));
            sheet.put("ranks", ranks);
        }
        if (kind.equals("PAIRED") && !scores.get(best.get(0)).equals(scores.get(best.get(1)))) {
            sheet.put("picked", best.get(0));
        }
        return sheet;
    }
}
