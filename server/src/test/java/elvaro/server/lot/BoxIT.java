package elvaro.server.lot;

import static org.assertj.core.api.Assertions.assertThat;

import elvaro.server.support.Bodies;
import elvaro.server.support.Client;
import elvaro.server.support.RunningApp;
import elvaro.server.support.RunningApp.Someone;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

@ExtendWith(RunningApp.class)
class BoxIT {
    private static Client.Answer read(Client person, String... codes) {
        return person.post("/api/boxes", Map.of("codes", List.of(codes)));
    }

    @Test
    void an_article_that_came_before_is_known_again_and_only_in_its_own_house(Someone owner, Someone stranger) {
        String box = "]C1019061414112345531020012501326111510L7";
        JsonNode first = read(owner.client(), box).body();
        assertThat(first.path("grams").asInt()).isEqualTo(12_500);
        assertThat(first.path("packedOn").asString()).isEqualTo("2026-11-15");
        assertThat(first.path("lots").asString()).isEqualTo("L7");
        assertThat(first.has("known")).isFalse();
        Map<String, Object> lot = Bodies.lotBody(UUID.randomUUID().toString(), 12_500);
        lot.put("article", first.path("article").asString());
        owner.client().must(owner.client().post("/api/lots", lot));
        JsonNode known = read(owner.client(), box).body().path("known");
        assertThat(known.path("cutCode").asString()).isEqualTo("rib-bone-in");
        assertThat(known.path("boneIn").asBoolean()).isTrue();
        assertThat(known.path("supplier").asString()).isEqualTo("Hollin Farm");
        assertThat(read(stranger.client(), box).body().has("known")).isFalse();
        lot.put("id", UUID.randomUUID().toString());
        lot.put("cutCode", "strip");
        owner.client().must(owner.client().post("/api/lots", lot));
        assertThat(read(owner.client(), box).body().at("/known/cutCode").asString())
                .isEqualTo("strip");
    }

    @Test
    void no_lot_is_cut_and_none_is_lost(Someone owner) {
        String[] codes = new String[6];
        for (int box = 0; box < codes.length; box++) {
            codes[box] = "(01)90614141123455(3102)000500(10)LOT-OF-14-SIGN%d(17)270115(21)%d".formatted(box, box);
        }
        JsonNode read = read(owner.client(), codes).body();
        assertThat(read.path("lots").asString()).isEqualTo("LOT-OF-14-SIGN0, LOT-OF-14-SIGN1, LOT-OF-14-SIGN2");
        assertThat(read.path("note").asString())
                .isEqualTo("By the labels of 6 boxes; lots LOT-OF-14-SIGN0, LOT-OF-14-SIGN1, LOT-OF-14-SIGN2,"
                        + " LOT-OF-14-SIGN3, LOT-OF-14-SIGN4, LOT-OF-14-SIGN5; to be used by 2027-01-15.");
    }

    @Test
    void boxes_are_summed_and_what_is_odd_is_said(Someone owner) {
        JsonNode two = read(
                        owner.client(), "(01)90614141123455(3102)001250(21)1", "(01)90614141123455(3102)001180(21)2")
                .body();
        assertThat(two.path("boxes")).hasSize(2);
        assertThat(two.path("grams").asInt()).isEqualTo(24_300);
        assertThat(read(owner.client(), "(01)90614141123455(17)200101(3102)001250")
                        .body()
                        .path("says")
                        .asString())
                .contains("is over");
        Client.Answer wrong = read(owner.client(), "(01)90614141123454(3102)001250");
        assertThat(wrong.status()).isEqualTo(422);
        assertThat(wrong.body().path("detail").asString()).contains("check digit");
    }
}
