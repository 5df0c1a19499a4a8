package elvaro.server.account;

import static org.assertj.core.api.Assertions.assertThat;

import elvaro.server.support.Client;
import elvaro.server.support.Client.Answer;
import elvaro.server.support.RunningApp;
import elvaro.server.support.RunningApp.Someone;
import java.util.HashMap;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

@ExtendWith(RunningApp.class)
class PeopleIT {

    private static Map<String, Object> newPerson(String signInName) {
        return new HashMap<>(Map.of(
                "id",
                UUID.randomUUID().toString(),
                "signInName",
                signInName,
                "name",
                "Idris Vale",
                "role",
                "BENCH_HAND",
                "password",
                RunningApp.PASSWORD));
    }

    private static String someName() {
        return UUID.randomUUID() + "@test.example";
    }

    @ParameterizedTest(name = "{0} = {1}: {2}")
    @CsvSource({
        "signInName, idris, invalid, signInName",
        "name, '', invalid, name",
        "password, short, short-password, password",
        "password, ééééééééééééééééééééééééééééééééééééé, long-password, password"
    })
    void a_person_who_cannot_be_is_refused_and_not_added(String field, String wrong, String type, String named) {
        Someone owner = RunningApp.newWorkshop();
        Map<String, Object> person = newPerson(someName());
        person.put(field, wrong);
        Answer answer = owner.client().post("/api/people", person);
        assertThat(answer.type()).isEqualTo(type);
        assertThat(answer.body().path("field").asString()).isEqualTo(named);
        assertThat(owner.client().get("/api/people").body()).hasSize(1);
    }

    @Test
    void a_sign_in_name_is_taken_whatever_its_letters_and_whoever_has_it(Someone owner, Someone other) {
        String name = someName();
        owner.client().must(owner.client().post("/api/people", newPerson(name)));
        Answer again = other.client().post("/api/people", newPerson(name.toUpperCase(java.util.Locale.ROOT)));
        assertThat(again.type()).isEqualTo("name-taken");
    }

    @Test
    void a_person_added_twice_by_a_retry_is_there_once(Someone owner) {
        Map<String, Object> person = newPerson(someName());
        owner.client().must(owner.client().post("/api/people", person));
        owner.client().must(owner.client().post("/api/people", person));
        assertThat(owner.client().get("/api/people").body()).hasSize(2);
    }

    @Test
    void a_password_set_by_the_owner_ends_the_old_sessions_and_opens_new_ones(Someone owner) {
        Map<String, Object> person = newPerson(someName());
        owner.client().must(owner.client().post("/api/people", person));
        Client hand = RunningApp.signIn(String.valueOf(person.get("signInName")));
        owner.client()
                .must(owner.client()
                        .put("/api/people/" + person.get("id") + "/password", Map.of("password", "another few words")));
        assertThat(hand.get("/api/room").status()).isEqualTo(401);
        String name = String.valueOf(person.get("signInName"));
        assertThat(hand.signIn(name, RunningApp.PASSWORD).status()).isEqualTo(401);
        assertThat(hand.signIn(name, "another few words").status()).isEqualTo(204);
    }

    @Test
    void changing_ones_own_password_needs_the_present_one(Someone owner) {
        Answer guessed = owner.client()
                .put("/api/me/password", Map.of("oldPassword", "a guess at it", "password", "another few words"));
        assertThat(guessed.type()).isEqualTo("wrong-password");
        owner.client()
                .must(owner.client()
                        .put(
                                "/api/me/password",
                                Map.of("oldPassword", RunningApp.PASSWORD, "password", "another few words")));
        assertThat(new Client(RunningApp.port())
                        .signIn(owner.signInName(), "another few words")
                        .status())
                .isEqualTo(204);
    }

    @Test
    void preferences_are_ones_own(Someone owner) {
        Map<String, Object> person = newPerson(someName());
        owner.client().must(owner.client().post("/api/people", person));
        Client hand = RunningApp.signIn(String.valueOf(person.get("signInName")));
        hand.must(hand.put(
                "/api/me/preferences",
                Map.of(
                        "weightUnit",
                        "LB_OZ",
                        "temperatureUnit",
                        "FAHRENHEIT",
                        "lengthUnit",
                        "INCH",
                        "theme",
                        "DARK",
                        "figures",
                        "COMMA_DAY_FIRST")));
        assertThat(hand.get("/api/session")
                        .body()
                        .at("/me/preferences/weightUnit")
                        .asString())
                .isEqualTo("LB_OZ");
        assertThat(owner.client()
                        .get("/api/session")
                        .body()
                        .at("/me/preferences/weightUnit")
                        .asString())
                .isEqualTo("KG");
    }
}
