package elvaro.server.find;

import static org.assertj.core.api.Assertions.assertThat;

import elvaro.server.support.Bodies;
import elvaro.server.support.Client;
import elvaro.server.support.RunningApp;
import elvaro.server.support.RunningApp.Someone;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** Anything is found by its tag, its number or its words. */
@ExtendWith(RunningApp.class)
class FindIT {
    private static List<String> found(Client client, String words) {
        return client.must(client.get("/api/find?words=" + URLEncoder.encode(words, StandardCharsets.UTF_8)))
                .body()
                .valueStream()
                .map(each -> "%s %s"
                        .formatted(
                                each.path("kind").asString(), each.path("name").asString()))
                .toList();
    }

    @Test
    void a_house_finds_its_pieces_lots_animals_trials_tastings_packs_and_notes(Someone owner) {
        Client client = owner.client();
        String piece = client.hang(client.chamber("Cabinet", 50_000), 4000).get(0);
        String tag = client.get("/api/pieces/" + piece).body().at("/card/tag").asString();
        var note = Bodies.entry("NOTE", 0);
        note.put("words", "smells of 100% walnut");
        client.must(client.write(piece, note));
        String pack = client.packed();
        int number = client.get("/api/packs/" + pack).body().at("/pack/number").asInt();
        client.must(client.put(
                "/api/carcasses/" + UUID.randomUUID(), Bodies.carcassBody(client.chamber("Larder", 300_000), 40_000)));
        client.must(client.put("/api/tastings/" + UUID.randomUUID(), Bodies.tastingBody("PAIRED", 2, 2)));

        assertThat(found(client, tag.toLowerCase())).first().isEqualTo("PIECE " + tag);
        String cut =
                client.get("/api/pieces/" + piece).body().at("/card/cutName").asString();
        assertThat(found(client, cut)).contains("PIECE " + tag);
        assertThat(found(client, "hollin")).anyMatch(each -> each.startsWith("LOT "));
        assertThat(found(client, "walnut")).containsExactly("NOTE " + tag);
        assertThat(found(client, "100%"))
                .as("a sign of the database is a letter")
                .containsExactly("NOTE " + tag);
        assertThat(found(client, "10_%")).isEmpty();
        assertThat(found(client, String.valueOf(number))).contains("PACK Pack " + number);
        assertThat(found(client, "deer")).anyMatch(each -> each.startsWith("ANIMAL "));
        assertThat(found(client, "honey")).anyMatch(each -> each.startsWith("TASTING "));
        assertThat(client.get("/api/find?words=%20").status()).isEqualTo(422);
    }

    @Test
    void a_note_that_was_taken_back_is_found_no_more_and_no_other_house_finds_anything(Someone owner, Someone other) {
        Client client = owner.client();
        String piece = client.hang(client.chamber("Cabinet", 50_000), 4000).get(0);
        var note = Bodies.entry("NOTE", 0);
        note.put("words", "walnut");
        String id =
                client.must(client.write(piece, note)).body().at("/log/0/id").asString();
        assertThat(found(other.client(), "walnut")).isEmpty();
        assertThat(found(other.client(), "strip")).isEmpty();
        var back = Bodies.entry("TAKEN_BACK", 0);
        back.put("corrects", id);
        client.must(client.write(piece, back));
        assertThat(found(client, "walnut")).isEmpty();
    }
}
