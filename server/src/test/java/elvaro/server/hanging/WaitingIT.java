package elvaro.server.hanging;

import static org.assertj.core.api.Assertions.assertThat;

import elvaro.server.support.Api.Answer;
import elvaro.server.support.Bodies;
import elvaro.server.support.Client;
import elvaro.server.support.RunningApp;
import elvaro.server.support.RunningApp.Someone;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** Pieces that are soaked for days before they hang. */
@ExtendWith(RunningApp.class)
class WaitingIT {

    /** A lot of 4 kg that came eight days ago, half of it hung then, half of it to be soaked first. */
    private static List<String> split(Client client, String chamber) {
        List<String> ids =
                List.of(UUID.randomUUID().toString(), UUID.randomUUID().toString());
        String day = java.time.LocalDate.parse(
                        client.get("/api/session").body().at("/me/today").asString())
                .minusDays(8)
                .toString();
        String lot = UUID.randomUUID().toString();
        Map<String, Object> received = Bodies.lotBody(lot, 4000);
        received.putAll(Map.of("cutCode", "strip", "boneIn", false, "receivedOn", day));
        client.must(client.post("/api/lots", received));
        Map<String, Object> hung = Bodies.hangBody(ids.get(0), chamber, 2000);
        hung.put("hungOn", day);
        Map<String, Object> soaked = Bodies.hangBody(ids.get(1), chamber, 1980);
        soaked.putAll(Map.of("waits", true, "role", "TREATED"));
        soaked.remove("chamberId");
        soaked.remove("hungOn");
        client.must(client.post(
                "/api/lots/" + lot + "/pieces", Map.of("pieces", List.of(hung, soaked), "answers", Map.of())));
        Map<String, Object> stout = Bodies.treatmentBody("LIQUID_SOAK");
        stout.putAll(Map.of("exactly", "stout", "beganOn", day));
        stout.putAll(Map.of("amount", 250, "measure", "MILLILITRE", "basis", "KILOGRAM"));
        client.must(client.put("/api/pieces/%s/treatments/%s".formatted(ids.get(1), UUID.randomUUID()), stout));
        return ids;
    }

    private static Answer hang(Client client, String piece, String entry, String chamber, int grams) {
        return client.put(
                "/api/pieces/%s/hang/%s".formatted(piece, entry),
                new HashMap<>(
                        Map.of("greenGrams", grams, "chamberId", chamber, "targetDays", 26, "answers", Map.of())));
    }

    @Test
    void a_soaked_piece_has_its_steps_due_and_hangs_with_the_weight_it_then_has(Someone owner) {
        Client client = owner.client();
        String chamber = client.chamber("North Room", 100_000);
        String soaked = split(client, chamber).get(1);
        JsonNode before = client.get("/api/pieces/" + soaked).body();
        assertThat(before.at("/card/state").asString()).isEqualTo("WAITING");
        assertThat(before.has("ahead")).isFalse();
        assertThat(client.get("/api/room")
                        .body()
                        .path("due")
                        .valueStream()
                        .filter(due -> due.path("work").asString().equals("TREAT"))
                        .map(due -> due.path("words").asString().split(" ")[0]))
                .containsExactly("Lay", "Turn", "Drain", "Rack");
        assertThat(client.write(soaked, Bodies.entry("WEIGHED", 1990)).type()).isEqualTo("wrong-state");

        String entry = UUID.randomUUID().toString();
        assertThat(hang(client, soaked, entry, chamber, 2400).questions()).containsExactly("soak-change");
        client.must(hang(client, soaked, entry, chamber, 2050));
        client.must(hang(client, soaked, entry, chamber, 2050)); // a lost answer, tried again
        JsonNode after = client.get("/api/pieces/" + soaked).body();
        assertThat(after.at("/card/state").asString()).isEqualTo("HANGING");
        assertThat(after.at("/card/greenGrams").asInt()).isEqualTo(2050);
        assertThat(after.at("/card/dayNumber").asInt()).isZero();
        assertThat(after.at("/plan/days").asInt()).isEqualTo(26);
        assertThat(after.path("log").toString()).contains("1980 g as it was cut, 2050 g as it hangs");
        assertThat(hang(client, soaked, UUID.randomUUID().toString(), chamber, 2050)
                        .type())
                .isEqualTo("wrong-state");
        // What the soak added was never cut from the lot.
        String lot = after.at("/card/lotId").asString();
        assertThat(client.get("/api/lots/" + lot)
                        .body()
                        .path("cuttingLossGrams")
                        .asInt())
                .isEqualTo(20);
    }

    @Test
    void a_coat_taken_back_before_the_hanging_is_off(Someone owner) {
        Client client = owner.client();
        String soaked = split(client, client.chamber("North Room", 100_000)).get(1);
        String paste = UUID.randomUUID().toString();
        client.must(client.put("/api/pieces/%s/treatments/%s".formatted(soaked, paste), Bodies.treatmentBody("PASTE")));
        assertThat(client.get("/api/pieces/" + soaked).body().path("coating").asString())
                .isEqualTo("PASTE");
        client.must(client.put(
                "/api/pieces/%s/treatments/%s/back/%s".formatted(soaked, paste, UUID.randomUUID()),
                Map.of("words", "")));
        assertThat(client.get("/api/pieces/" + soaked).body().path("coating").asString())
                .isEqualTo("NONE");
    }

    @Test
    void what_hangs_is_not_laid_into_a_liquid_any_more(Someone owner) {
        Client client = owner.client();
        String hung = split(client, client.chamber("North Room", 100_000)).get(0);
        Map<String, Object> stout = Bodies.treatmentBody("LIQUID_SOAK");
        assertThat(client.put("/api/pieces/%s/treatments/%s".formatted(hung, UUID.randomUUID()), stout)
                        .type())
                .isEqualTo("hangs-already");
    }

    @Test
    void hanging_late_asks_about_a_full_chamber_and_keeps_the_answer(Someone owner) {
        Client client = owner.client();
        String soaked = split(client, client.chamber("North Room", 100_000)).get(1);
        String small = client.chamber("Small cabinet", 2000);
        String entry = UUID.randomUUID().toString();
        assertThat(hang(client, soaked, entry, small, 2050).questions()).containsExactly("overload");
        assertThat(client.get("/api/pieces/" + soaked).body().at("/card/state").asString())
                .isEqualTo("WAITING");
        client.must(client.put(
                "/api/pieces/%s/hang/%s".formatted(soaked, entry),
                Map.of(
                        "greenGrams",
                        2050,
                        "chamberId",
                        small,
                        "targetDays",
                        26,
                        "answers",
                        Map.of("overload", "For two days only."))));
        JsonNode hung = client.get("/api/pieces/" + soaked).body();
        assertThat(hung.at("/card/chamberName").asString()).isEqualTo("Small cabinet");
        assertThat(hung.path("decisions").toString()).contains("For two days only.");
        assertThat(hang(
                                client,
                                soaked,
                                UUID.randomUUID().toString(),
                                UUID.randomUUID().toString(),
                                2050)
                        .type())
                .isEqualTo("wrong-state");
    }

    @Test
    void a_lot_is_corrected_down_to_what_was_cut_from_it_whatever_the_soak_added(Someone owner) {
        Client client = owner.client();
        String chamber = client.chamber("North Room", 100_000);
        String soaked = split(client, chamber).get(1);
        client.must(hang(client, soaked, UUID.randomUUID().toString(), chamber, 2150));
        String lot =
                client.get("/api/pieces/" + soaked).body().at("/card/lotId").asString();
        JsonNode form = client.get("/api/lots/" + lot).body().path("form");
        Map<String, Object> body = Bodies.lotBody(lot, 3980);
        body.putAll(Map.of(
                "version",
                form.path("version").asInt(),
                "cutCode",
                "strip",
                "boneIn",
                false,
                "receivedOn",
                form.path("receivedOn").asString(),
                "answers",
                Map.of("why-changed", "The scale was not level.")));
        client.must(client.put("/api/lots/" + lot, body)); // 2000 and 1980 g were cut from it
        body.putAll(Map.of(
                "receivedGrams",
                3970,
                "version",
                client.get("/api/lots/" + lot).body().at("/form/version").asInt()));
        assertThat(client.put("/api/lots/" + lot, body).type()).isEqualTo("below-pieces");
    }
}
