package elvaro.server.account;

import static org.assertj.core.api.Assertions.assertThat;

import elvaro.server.support.Api.Answer;
import elvaro.server.support.Client;
import elvaro.server.support.RunningApp;
import elvaro.server.support.RunningApp.Someone;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.jdbc.core.simple.JdbcClient;

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
                "BENCH_HAND"));
    }

    private static String someName() {
        return UUID.randomUUID() + "@test.example";
    }

    @ParameterizedTest(name = "{0} = {1}: {2}")
    @CsvSource({"signInName, idris, invalid, signInName", "name, '', invalid, name"})
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

    private static Answer chosen(String code, String password) {
        Client guest = new Client(RunningApp.port());
        guest.get("/api/session");
        return guest.post("/api/password-by-code", Map.of("code", code, "password", password));
    }

    private static String code(Client owner, Object person) {
        return owner.must(owner.put("/api/people/%s/code".formatted(person), Map.of()))
                .body()
                .path("code")
                .asString();
    }

    @Test
    void whoever_is_invited_chooses_a_password_with_their_code_once_and_nobody_else_knew_one(Someone owner) {
        String name = someName();
        String code = owner.client()
                .must(owner.client().post("/api/people", newPerson(name)))
                .body()
                .path("code")
                .asString();
        assertThat(new Client(RunningApp.port())
                        .signIn(name, RunningApp.PASSWORD)
                        .status())
                .isEqualTo(401);
        assertThat(chosen(code, "short").type()).isEqualTo("short-password");
        String typed = " " + code.toLowerCase(java.util.Locale.ROOT).replace("-", " ");
        assertThat(chosen(typed, "lantern mossy quarry")
                        .body()
                        .path("signInName")
                        .asString())
                .isEqualTo(name);
        assertThat(chosen(code, "another lantern quarry").type()).isEqualTo("wrong-code");
        assertThat(new Client(RunningApp.port())
                        .signIn(name, "lantern mossy quarry")
                        .status())
                .isEqualTo(204);
    }

    @Test
    void a_new_code_of_the_owners_makes_the_one_before_worthless_and_its_use_ends_all_sessions(Someone owner) {
        String name = someName();
        String id = RunningApp.invited(owner.client(), name);
        Client hand = RunningApp.signIn(name);
        String first = code(owner.client(), id);
        String second = code(owner.client(), id);
        assertThat(hand.get("/api/room").status()).as("nothing changed yet").isEqualTo(200);
        assertThat(chosen(first, "lantern mossy quarry").type()).isEqualTo("wrong-code");
        assertThat(chosen(second, "lantern mossy quarry").status()).isEqualTo(200);
        assertThat(hand.get("/api/room").status()).isEqualTo(401);
        assertThat(hand.signIn(name, RunningApp.PASSWORD).status()).isEqualTo(401);
        assertThat(hand.signIn(name, "lantern mossy quarry").status()).isEqualTo(204);
    }

    @Test
    void an_invitation_ends_after_a_week(Someone owner, JdbcClient database) {
        String id = RunningApp.invited(owner.client(), someName());
        String code = code(owner.client(), id);
        database.sql("update password_code set ends_at = ends_at - interval 8 day where account_id = ?")
                .param(id)
                .update();
        assertThat(chosen(code, "lantern mossy quarry").type()).isEqualTo("wrong-code");
    }

    @Test
    void a_sole_owner_who_forgot_the_password_gets_in_with_a_code_kept_on_paper_each_once(Someone owner) {
        assertThat(owner.client()
                        .post("/api/me/recovery-codes", Map.of("password", "a guess at it"))
                        .type())
                .isEqualTo("wrong-password");
        List<String> codes = owner.client()
                .must(owner.client().post("/api/me/recovery-codes", Map.of("password", RunningApp.PASSWORD)))
                .body()
                .valueStream()
                .map(code -> code.asString())
                .toList();
        assertThat(codes).hasSize(8).doesNotHaveDuplicates();
        assertThat(chosen(codes.get(3), "lantern mossy quarry").status()).isEqualTo(200);
        assertThat(chosen(codes.get(3), "quarry mossy lantern").type()).isEqualTo("wrong-code");
        Client again = new Client(RunningApp.port());
        assertThat(again.signIn(owner.signInName(), "lantern mossy quarry").status())
                .isEqualTo(204);
        assertThat(again.get("/api/me/recovery-codes").body().path("left").asInt())
                .isEqualTo(7);
    }

    @ParameterizedTest(name = "{0}: {1}")
    @CsvSource({
        "password12345, weak-password",
        "owner of a test shop, weak-password",
        "Test shop Owner, weak-password",
        "qwertyuiop1, weak-password",
        "ééééééééééééééééééééééééééééééééééééé, long-password",
        "short, short-password"
    })
    void a_password_that_is_soon_guessed_is_refused_with_a_word_on_how_to_do_better(String password, String type) {
        Someone owner = RunningApp.newWorkshop();
        Answer answer = owner.client()
                .put("/api/me/password", Map.of("oldPassword", RunningApp.PASSWORD, "password", password));
        assertThat(answer.type()).isEqualTo(type);
        assertThat(answer.body().path("field").asString()).isEqualTo("password");
    }

    @Test
    void whoever_sits_at_an_open_screen_guesses_the_password_ten_times_and_no_more(Someone owner) {
        Map<String, String> guess = Map.of("oldPassword", "a guess at it", "password", "another few words");
        for (int time = 0; time < 10; time++) {
            assertThat(owner.client().put("/api/me/password", guess).status()).isEqualTo(422);
        }
        assertThat(owner.client().put("/api/me/password", guess).status()).isEqualTo(429);
    }

    @Test
    void a_person_sees_where_they_are_signed_in_and_ends_one_of_them(Someone owner) {
        Client phone = RunningApp.signIn(owner.signInName());
        List<String> others = owner.client()
                .get("/api/me/sessions")
                .body()
                .valueStream()
                .filter(line -> !line.path("here").asBoolean())
                .map(line -> line.path("id").asString())
                .toList();
        assertThat(others).hasSize(1);
        String path = "/api/me/sessions/" + others.get(0);
        assertThat(RunningApp.newWorkshop().client().send("DELETE", path, null).status())
                .isEqualTo(404);
        owner.client().must(owner.client().send("DELETE", path, null));
        assertThat(phone.get("/api/room").status()).isEqualTo(401);
        Client another = RunningApp.signIn(owner.signInName());
        owner.client().must(owner.client().send("DELETE", "/api/me/sessions", null));
        assertThat(another.get("/api/room").status()).isEqualTo(401);
        assertThat(owner.client().get("/api/room").status()).isEqualTo(200);
    }

    @Test
    void a_session_ends_after_ninety_days_however_often_it_is_used(Someone owner, JdbcClient database) {
        database.sql("update SPRING_SESSION set creation_time = creation_time - 91 * 86400000 where principal_name = ?")
                .param(owner.person().accountId().toString())
                .update();
        assertThat(owner.client().get("/api/room").status()).isEqualTo(401);
    }

    @Test
    void a_changed_password_closes_the_calendars_address_too(Someone owner) {
        String path = owner.client()
                .must(owner.client().post("/api/me/calendar", Map.of()))
                .body()
                .path("path")
                .asString("");
        assertThat(owner.client().status(path)).isEqualTo(200);
        owner.client()
                .must(owner.client()
                        .put(
                                "/api/me/password",
                                Map.of("oldPassword", RunningApp.PASSWORD, "password", "another few words")));
        assertThat(owner.client().status(path)).isEqualTo(404);
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
        Client hand = owner.benchHand();
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
