package elvaro.server.plan;

import static org.assertj.core.api.Assertions.assertThat;

import elvaro.server.support.Bodies;
import elvaro.server.support.Client;
import elvaro.server.support.RunningApp;
import elvaro.server.support.RunningApp.Someone;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

@ExtendWith(RunningApp.class)
class LotAheadIT {

    @Test
    void a_lot_still_being_described_is_told_what_it_will_give_and_whether_it_fits(Someone owner) {
        Client client = owner.client();
        Map<String, Object> lot = new HashMap<>(Map.of(
                "cutCode", "strip", "boneIn", false, "fatCoverMm", 8, "greenGrams", 6000, "priceMinorPerKg", 2200));
        client.chamber("Larder", 5_000);
        assertThat(sentences(client, lot)).contains("No chamber here has room for it as one piece.");
        client.chamber("Cabinet", 50_000);
        lot.put("packedOn", Bodies.today().minusDays(12).toString());
        assertThat(sentences(client, lot))
                .contains("There is room for it in Cabinet.", "It has been in its pack for 12 days.")
                .anyMatch(sentence -> sentence.startsWith("Hung whole (open air), after 28 days it weighs about "));
        lot.put("cutCode", "whole-fish");
        assertThat(client.post("/api/plan/lot", lot).status()).isEqualTo(422);
    }

    private static List<String> sentences(Client client, Map<String, Object> lot) {
        return client.must(client.post("/api/plan/lot", lot))
                .body()
                .path("sentences")
                .valueStream()
                .map(JsonNode::asString)
                .toList();
    }
}
