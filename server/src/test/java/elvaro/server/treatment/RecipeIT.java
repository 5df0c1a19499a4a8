package elvaro.server.treatment;

import static org.assertj.core.api.Assertions.assertThat;

import elvaro.server.support.Api.Answer;
import elvaro.server.support.Bodies;
import elvaro.server.support.Client;
import elvaro.server.support.RunningApp;
import elvaro.server.support.RunningApp.Someone;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** The workshop's own recipes, written down, given and changed. */
@ExtendWith(RunningApp.class)
class RecipeIT {

    @Test
    void a_recipe_is_scaled_to_the_piece_and_priced(Someone owner) {
        Client client = owner.client();
        String recipe = UUID.randomUUID().toString();
        Map<String, Object> porcini = Bodies.recipeBody();
        client.must(client.put("/api/recipes/" + recipe, porcini));
        assertThat(client.put("/api/recipes/" + recipe, porcini).status()).isEqualTo(200);
        porcini.put("version", 7);
        assertThat(client.put("/api/recipes/" + recipe, porcini).type()).isEqualTo("changed-meanwhile");

        String piece =
                client.hangToday(client.chamber("Walk-in", 100_000), 26, 4000).get(0);
        Map<String, Object> rub = Bodies.treatmentBody("PASTE");
        rub.put("recipeId", recipe);
        client.must(client.give(piece, rub));
        JsonNode given = client.given(piece);
        // 10 g a kilogram of 4 kg: 40 g, three parts of four porcini at 90 a kg and one salt at 1: 2.70 + 0.01.
        assertThat(given.path("amount").asString()).isEqualTo("40 g");
        assertThat(Stream.of(0, 1)
                        .map(part ->
                                given.at("/shares/%d/grams".formatted(part)).asDouble()))
                .containsExactly(30.0, 10.0);
        assertThat(given.path("costMinor").asInt()).isEqualTo(271);
    }

    @Test
    void a_changed_recipe_leaves_what_was_given_before_as_it_was(Someone owner) {
        Client client = owner.client();
        String recipe = UUID.randomUUID().toString();
        Map<String, Object> porcini = Bodies.recipeBody();
        client.must(client.put("/api/recipes/" + recipe, porcini));
        String piece =
                client.hangToday(client.chamber("Walk-in", 100_000), 26, 4000).get(0);
        Map<String, Object> rub = Bodies.treatmentBody("PASTE");
        rub.put("recipeId", recipe);
        client.must(client.give(piece, rub));
        porcini.putAll(Map.of("name", "Porcini rub, mild", "amount", 5, "kind", "SUGAR_COAT"));
        porcini.put("parts", List.of(Map.of("name", "salt", "parts", 1, "priceMinorPerKg", 100)));
        client.must(client.put("/api/recipes/" + recipe, porcini));
        JsonNode given = client.given(piece);
        assertThat(given.path("words").asString()).isEqualTo("Paste or rub, Porcini rub, 10 g per kg green weight");
        assertThat(given.path("amount").asString()).isEqualTo("40 g");
        assertThat(given.path("costMinor").asInt()).isEqualTo(271);
        assertThat(given.at("/shares/0/name").asString()).isEqualTo("porcini powder");
        assertThat(given.path("shares")).hasSize(2);
        assertThat(client.get("/api/recipes").body().at("/0/dose").asString()).isEqualTo("5 g per kg green weight");
    }

    @Test
    void a_recipe_that_is_none_is_refused_and_says_where(Someone owner) {
        Client client = owner.client();
        String path = "/api/recipes/" + UUID.randomUUID();
        Map<String, Object> body = Bodies.recipeBody();
        body.put("parts", List.of(Map.of("name", "salt", "parts", -1, "priceMinorPerKg", 0)));
        Answer negative = client.put(path, body);
        assertThat(negative.body().path("field").asString()).isEqualTo("parts");
        assertThat(negative.body().path("detail").asString()).startsWith("salt: parts are above 0");
        body.put("parts", List.of());
        assertThat(client.put(path, body).status()).isEqualTo(422);
        body = Bodies.recipeBody();
        body.putAll(Map.of("basis", "PERCENT", "amount", 101));
        assertThat(client.put(path, body).body().path("field").asString()).isEqualTo("amount");
        Map<String, Object> unknown = Bodies.treatmentBody("PASTE");
        unknown.put("recipeId", UUID.randomUUID().toString());
        String piece =
                client.hangToday(client.chamber("Walk-in", 100_000), 26, 4000).get(0);
        assertThat(client.give(piece, unknown).type()).isEqualTo("unknown-recipe");
        assertThat(client.get("/api/recipes").body()).isEmpty();
        assertThat(client.get("/api/pieces/%s/treatments".formatted(piece)).body())
                .isEmpty();
    }
}
