package elvaro.server.settings;

import static org.assertj.core.api.Assertions.assertThat;

import elvaro.server.support.Api.Answer;
import elvaro.server.support.Bodies;
import elvaro.server.support.Client;
import elvaro.server.support.RunningApp;
import elvaro.server.support.RunningApp.Someone;
import java.util.HashMap;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

@ExtendWith(RunningApp.class)
class SettingsIT {

    private static Object value(String text) {
        return text.matches("-?\\d+") ? (Object) Integer.valueOf(text) : text;
    }

    @Nested
    class A_chamber {

        @ParameterizedTest(name = "{0} = {1}")
        @CsvSource({
            "name, ' '",
            "rails, 0",
            "rails, 21",
            "placesPerRail, 61",
            "limitGrams, 499",
            "setCelsius, 16",
            "setCelsius, -6",
            "setHumidityPercent, 9",
            "setHumidityPercent, 101",
            "purchaseMinor, -1",
            "lifeYears, 0",
            "powerWatts, -1"
        })
        void that_cannot_be_is_refused_with_its_field(String field, String wrong) {
            Someone owner = RunningApp.newWorkshop();
            String id = UUID.randomUUID().toString();
            Map<String, Object> body = new HashMap<>(Bodies.chamberBody(id, "Stone Locker", 45_000));
            body.put(field, value(wrong));
            Answer answer = owner.client().put("/api/chambers/" + id, body);
            assertThat(answer.status()).isEqualTo(422);
            assertThat(answer.body().path("field").asString()).isEqualTo(field);
            assertThat(owner.client().get("/api/chambers").body()).isEmpty();
        }

        @Test
        void has_a_name_of_its_own(Someone owner) {
            Client client = owner.client();
            client.chamber("Stone Locker", 45_000);
            String id = UUID.randomUUID().toString();
            Answer second = client.put("/api/chambers/" + id, Bodies.chamberBody(id, "stone locker", 9000));
            assertThat(second.body().path("detail").asString())
                    .isEqualTo("There is a chamber called stone locker already.");
        }

        @Test
        void is_kept_by_somebody_of_the_house_or_by_nobody(Someone owner, Someone stranger) {
            Client client = owner.client();
            String id = UUID.randomUUID().toString();
            Map<String, Object> body = new HashMap<>(Bodies.chamberBody(id, "Stone Locker", 45_000));
            body.put("keeperId", stranger.person().accountId().toString());
            assertThat(client.put("/api/chambers/" + id, body)
                            .body()
                            .path("field")
                            .asString())
                    .isEqualTo("keeperId");
            body.put("keeperId", owner.person().accountId().toString());
            client.must(client.put("/api/chambers/" + id, body));
            assertThat(client.get("/api/room").body().at("/chambers/0/keeper").asString())
                    .isEqualTo("Owner");
            body.put("keeperId", null);
            client.must(client.put("/api/chambers/" + id, body));
            assertThat(client.get("/api/room").body().at("/chambers/0/keeper").asString(""))
                    .isEmpty();
        }

        @Test
        void that_two_change_at_once_keeps_the_first_change(Someone owner) {
            Client client = owner.client();
            String id = client.chamber("Stone Locker", 45_000);
            Map<String, Object> seen = Bodies.chamberBody(id, "Stone Locker", 40_000);
            client.must(client.put("/api/chambers/" + id, seen));
            Map<String, Object> late = new HashMap<>(seen);
            late.put("limitGrams", 30_000);
            assertThat(client.put("/api/chambers/" + id, late).type()).isEqualTo("changed-meanwhile");
            assertThat(client.get("/api/chambers")
                            .body()
                            .get(0)
                            .path("limitGrams")
                            .asInt())
                    .isEqualTo(40_000);
        }
    }

    @Nested
    class The_workshop {

        @ParameterizedTest(name = "{0} = {1}")
        @CsvSource({
            "name, ''",
            "currency, euro",
            "currency, XQZ",
            "zone, Middle/Nowhere",
            "divisionGrams, 0",
            "tariffMinorPerKwh, -1",
            "benchMinutesPerPiece, 601",
            "targetMarginPercent, 96"
        })
        void keeps_what_it_had_when_a_value_cannot_be(String field, String wrong) {
            Client client = RunningApp.newWorkshop().client();
            var before = client.get("/api/workshop").body();
            Map<String, Object> body = client.workshopBody();
            body.put(field, value(wrong));
            Answer answer = client.put("/api/workshop", body);
            assertThat(answer.status()).isEqualTo(422);
            assertThat(answer.body().path("field").asString()).isEqualTo(field);
            assertThat(client.get("/api/workshop").body()).isEqualTo(before);
        }
    }

    @Nested
    class A_price_list {

        private Map<String, Object> withSteps(Client client, int... fromDays) {
            Map<String, Object> body = client.workshopBody();
            body.put(
                    "priceByAge",
                    java.util.Arrays.stream(fromDays)
                            .mapToObj(day -> Map.of("fromDay", day, "minorPerKg", 4000 + day))
                            .toList());
            return body;
        }

        @Test
        void comes_back_as_it_was_saved(Someone owner) {
            Client client = owner.client();
            client.must(client.put("/api/workshop", withSteps(client, 0, 21, 35)));
            var saved = client.get("/api/workshop").body().path("priceByAge");
            assertThat(saved).hasSize(3);
            assertThat(saved.get(1).path("fromDay").asInt()).isEqualTo(21);
            assertThat(saved.get(2).path("minorPerKg").asInt()).isEqualTo(4035);
            client.must(client.put("/api/workshop", withSteps(client)));
            assertThat(client.get("/api/workshop").body().path("priceByAge")).isEmpty();
        }

        @Test
        void that_cannot_be_leaves_the_one_there_was(Someone owner) {
            Client client = owner.client();
            client.must(client.put("/api/workshop", withSteps(client, 14)));
            assertThat(client.put("/api/workshop", withSteps(client, 28, 14)).status())
                    .isEqualTo(422);
            assertThat(client.put("/api/workshop", withSteps(client, 28, 28)).status())
                    .isEqualTo(422);
            assertThat(client.put("/api/workshop", withSteps(client, -1)).status())
                    .isEqualTo(422);
            int[] thirteen = java.util.stream.IntStream.range(0, 13).toArray();
            assertThat(client.put("/api/workshop", withSteps(client, thirteen)).status())
                    .isEqualTo(422);
            assertThat(client.get("/api/workshop").body().path("priceByAge")).hasSize(1);
        }
    }
}
