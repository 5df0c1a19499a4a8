package elvaro.server.lot;

import static org.assertj.core.api.Assertions.assertThat;

import elvaro.server.support.Api.Answer;
import elvaro.server.support.Bodies;
import elvaro.server.support.Client;
import elvaro.server.support.RunningApp;
import elvaro.server.support.RunningApp.Someone;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.jdbc.core.simple.JdbcClient;

@ExtendWith(RunningApp.class)
class LotIT {

    @ParameterizedTest(name = "{0} = {1}: {2} on {3}")
    @CsvSource({
        "cutCode, no-such-cut, unknown-cut, cutCode",
        "receivedGrams, 0, invalid, receivedGrams",
        "receivedGrams, 2000000, invalid, receivedGrams",
        "fatCoverMm, 200, invalid, fatCoverMm",
        "priceMinorPerKg, -1, invalid, priceMinorPerKg",
        "receivedOn, 2126-01-01, future-date, receivedOn",
        "packedOn, 2126-01-01, packed-after-arrival, packedOn",
        "arrivalCelsius, 90, invalid, arrivalCelsius"
    })
    void a_wrong_value_is_refused_with_its_field_and_nothing_is_kept(
            String field, String value, String type, String named) {
        Client client = RunningApp.newWorkshop().client();
        Map<String, Object> lot = Bodies.lotBody(UUID.randomUUID().toString(), 8000);
        lot.put(field, value.matches("-?\\d+") ? (Object) Integer.valueOf(value) : value);
        Answer answer = client.post("/api/lots", lot);
        assertThat(answer.status()).isEqualTo(422);
        assertThat(answer.type()).isEqualTo(type);
        assertThat(answer.body().path("field").asString()).isEqualTo(named);
        assertThat(answer.body().path("detail").asString()).endsWith(".");
        assertThat(client.get("/api/lots").body()).isEmpty();
    }

    @ParameterizedTest(name = "{0}")
    @CsvSource({"unknown, {}", "receivedGrams, heavy", "receivedOn, yesterday"})
    void a_request_that_cannot_be_read_is_refused_with_a_sentence(String field, String value, Someone owner) {
        Map<String, Object> lot = Bodies.lotBody(UUID.randomUUID().toString(), 8000);
        lot.put(field, value);
        Answer answer = owner.client().post("/api/lots", lot);
        assertThat(answer.status()).isEqualTo(400);
        assertThat(answer.type()).isEqualTo("unreadable");
    }

    @Test
    void a_lot_of_the_year_1_is_refused_and_one_of_three_years_ago_is_asked_about(Someone owner) {
        Client client = owner.client();
        Map<String, Object> lot = Bodies.lotBody(UUID.randomUUID().toString(), 8000);
        lot.put("receivedOn", "0001-01-05");
        assertThat(client.post("/api/lots", lot).type()).isEqualTo("too-long-ago");
        lot.put("receivedOn", Bodies.today().minusYears(3).toString());
        assertThat(client.post("/api/lots", lot).questions()).containsExactly("long-ago");
        lot.put("answers", Map.of("long-ago", ""));
        client.must(client.post("/api/lots", lot));

        lot.putAll(Map.of("note", "From the old cold room.", "answers", Map.of()));
        client.must(client.put("/api/lots/" + lot.get("id"), lot)); // the day was asked about when it came
        lot.putAll(
                Map.of("version", 1, "receivedOn", Bodies.today().minusYears(4).toString()));
        assertThat(client.put("/api/lots/" + lot.get("id"), lot).questions()).containsExactly("long-ago");
    }

    @Test
    void of_two_who_correct_a_lot_at_once_the_second_is_told(Someone owner) {
        Client client = owner.client();
        Map<String, Object> lot = Bodies.lotBody(UUID.randomUUID().toString(), 8000);
        client.must(client.post("/api/lots", lot));
        lot.put("supplier", "Sallow Estate");
        client.must(client.put("/api/lots/" + lot.get("id"), lot));
        lot.put("supplier", "Marsh Decoy");
        assertThat(client.put("/api/lots/" + lot.get("id"), lot).type()).isEqualTo("changed-meanwhile");
        assertThat(client.get("/api/lots/" + lot.get("id"))
                        .body()
                        .at("/form/supplier")
                        .asString())
                .isEqualTo("Sallow Estate");
    }

    @Test
    void a_lot_cannot_be_corrected_to_weigh_less_than_the_pieces_cut_from_it(Someone owner) {
        Client client = owner.client();
        String piece =
                client.hang(client.chamber("Cabinet", 50_000), 4000, 4000).get(0);
        String id = client.get("/api/pieces/" + piece).body().at("/card/lotId").asString();
        assertThat(client.put("/api/lots/" + id, Bodies.lotBody(id, 7999)).type())
                .isEqualTo("below-pieces");
        Map<String, Object> heavier = Bodies.lotBody(id, 8050);
        assertThat(client.put("/api/lots/" + id, heavier).questions()).containsExactly("why-changed");
        heavier.put("answers", Map.of("why-changed", "Weighed with the string on."));
        client.must(client.put("/api/lots/" + id, heavier));
        assertThat(client.get("/api/lots/" + id).body().path("cuttingLossGrams").asInt())
                .isEqualTo(50);
    }

    @Test
    void every_change_of_a_lot_is_kept_with_who_made_it(Someone owner, JdbcClient database) {
        Client client = owner.client();
        Map<String, Object> lot = Bodies.lotBody(UUID.randomUUID().toString(), 8000);
        client.must(client.post("/api/lots", lot));
        lot.put("receivedGrams", 8100);
        client.must(client.put("/api/lots/" + lot.get("id"), lot));
        List<Map<String, Object>> history =
                database.sql("""
                        select a.received_grams, r.account_id from lot_aud a join revision r on r.id = a.rev
                        where a.id = ? order by a.rev
                        """).param(lot.get("id")).query().listOfRows();
        assertThat(history).extracting(row -> row.get("received_grams")).containsExactly(8000, 8100);
        assertThat(history)
                .extracting(row -> String.valueOf(row.get("account_id")))
                .containsOnly(owner.person().accountId().toString());
    }

    @Test
    void a_weighing_leaves_what_was_planned_for_the_piece_unchanged(Someone owner, JdbcClient database) {
        Client client = owner.client();
        String piece = client.hang(client.chamber("Cabinet", 50_000), 4000).get(0);
        int seen = client.get("/api/pieces/" + piece).body().path("version").asInt();
        client.must(client.write(piece, Bodies.entry("WEIGHED", 3900)));
        Map<String, Object> target =
                Map.of("version", seen, "targetDays", 42, "answers", Map.of("later-target", "A guest was ill."));
        Answer changed = client.must(client.put("/api/pieces/" + piece + "/target", target));
        assertThat(changed.body().at("/card/targetDays").asInt()).isEqualTo(42);
        assertThat(client.put("/api/pieces/" + piece + "/target", target).type())
                .isEqualTo("changed-meanwhile");
        assertThat(database.sql("select count(*) from piece_aud where id = ?")
                        .param(piece)
                        .query(Integer.class)
                        .single())
                .as("hung and retargeted; a weighing is no change of the plan")
                .isEqualTo(2);
    }

    @ParameterizedTest(name = "{0} by {1}, {2} % of a film touching, asks {3}")
    @CsvSource({
        "CLOTH, MEMBRANE, 90, clash-cloth-in-membrane",
        "SYRUP, OPEN_AIR, 90, clash-sugar-hides-mould",
        "PASTE, VACUUM, 90, clash-coat-in-vacuum",
        "PASTE, OPEN_AIR, 90, ",
        "CLOTH, OPEN_AIR, 90, ",
        "NONE, MEMBRANE, 60, poor-contact",
        "NONE, MEMBRANE, 75, ",
    })
    void a_coat_that_clashes_and_a_film_that_lifts_are_asked_about_where_the_lot_is_split(
            String coating, String method, int contact, String question, Someone owner) {
        Client client = owner.client();
        String chamber = client.chamber("Cabinet", 100_000);
        String lot = UUID.randomUUID().toString();
        client.must(client.post("/api/lots", Bodies.lotBody(lot, 4000)));
        Map<String, Object> piece = Bodies.hangBody(UUID.randomUUID().toString(), chamber, 4000);
        int coatGrams = coating.equals("NONE") ? 0 : 90;
        piece.putAll(Map.of("coating", coating, "coatGrams", coatGrams, "method", method, "contactPercent", contact));
        Client.Answer answer =
                client.post("/api/lots/" + lot + "/pieces", Map.of("pieces", List.of(piece), "answers", Map.of()));
        if (question == null) {
            assertThat(answer.status()).isEqualTo(200);
        } else {
            assertThat(answer.questions()).containsExactly(question);
            client.must(client.post(
                    "/api/lots/" + lot + "/pieces", Map.of("pieces", List.of(piece), "answers", Map.of(question, ""))));
            assertThat(client.get("/api/lots/" + lot).body().path("decisions")).hasSize(1);
        }
    }
}
