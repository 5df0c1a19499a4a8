package elvaro.server.account;

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
class SignInIT {

    @ParameterizedTest(name = "{0}")
    @CsvSource({"/api/room", "/api/lots", "/api/people", "/api/workshop", "/api/openapi", "/api/nothing"})
    void whoever_is_signed_out_gets_nothing(String path) {
        Client.Answer answer = new Client(RunningApp.port()).get(path);
        assertThat(answer.status()).isEqualTo(401);
        assertThat(answer.type()).isEqualTo("signed-out");
    }

    @Test
    void signing_out_ends_the_session(Someone owner) {
        assertThat(owner.client().get("/api/room").status()).isEqualTo(200);
        owner.client().must(owner.client().post("/api/sign-out", null));
        assertThat(owner.client().get("/api/room").status()).isEqualTo(401);
    }

    @Test
    void signing_in_while_signed_in_keeps_one_signed_in(Someone owner) {
        Client client = RunningApp.signIn(owner.signInName());
        client.must(client.signIn(owner.signInName(), RunningApp.PASSWORD));
        assertThat(client.get("/api/room").status()).isEqualTo(200);
    }

    @Test
    void what_a_screen_drawn_for_one_person_sends_is_not_written_in_the_name_of_another(Someone owner) {
        Client client = owner.client();
        String piece = client.hang(client.chamber("Cabinet", 50_000), 4000).get(0);
        String path = "/api/pieces/%s/log/%s".formatted(piece, UUID.randomUUID());
        Client hand = owner.benchHand();
        Answer refused = hand.putAs(owner.person().accountId(), path, Bodies.entry("WEIGHED", 3900));
        assertThat(refused.status()).isEqualTo(401);
        assertThat(refused.type()).isEqualTo("other-person");
        client.must(client.putAs(owner.person().accountId(), path, Bodies.entry("WEIGHED", 3900)));
    }

    @Test
    void a_write_without_the_csrf_token_is_refused(Someone owner) {
        owner.client().forgetCsrfToken();
        Answer answer = owner.client()
                .post("/api/lots", Bodies.lotBody(UUID.randomUUID().toString(), 4000));
        assertThat(answer.status()).isEqualTo(403);
        owner.client().get("/api/session");
        assertThat(owner.client().get("/api/lots").body()).isEmpty();
    }

    /** %6E is n: the server knows the path in any spelling, and must count all of them. */
    @Test
    void attempts_by_another_spelling_of_the_path_are_counted_too(Someone owner) {
        Client guesser = new Client(RunningApp.port());
        for (int attempt = 0; attempt < 10; attempt++) {
            guesser.signInAt("/api/sign-i%6E", owner.signInName(), "wrong");
        }
        assertThat(guesser.signInAt("/api/sign-i%6E", owner.signInName(), RunningApp.PASSWORD)
                        .status())
                .isNotEqualTo(204);
        assertThat(guesser.get("/api/room").status()).isEqualTo(401);
    }

    /** A stranger on another device guesses; whoever they guess at still gets in on a device of their own. */
    @Test
    void ten_wrong_guesses_of_a_stranger_shut_out_the_stranger_and_not_the_owner(Someone owner) {
        Client guesser = new Client(RunningApp.port());
        for (int attempt = 0; attempt < 10; attempt++) {
            assertThat(guesser.signIn(owner.signInName(), "wrong").status()).isEqualTo(401);
        }
        Client.Answer eleventh = guesser.signIn(owner.signInName(), RunningApp.PASSWORD);
        assertThat(eleventh.status()).isEqualTo(429);
        assertThat(eleventh.type()).isEqualTo("too-many-attempts");
        owner.client().post("/api/sign-out", Map.of());
        assertThat(owner.client().get("/api/room").status()).isEqualTo(401);
        assertThat(owner.client()
                        .signIn(owner.signInName(), RunningApp.PASSWORD)
                        .status())
                .isEqualTo(204);
        for (int attempt = 0; attempt < 10; attempt++) {
            owner.client().signIn(owner.signInName(), "wrong");
        }
        assertThat(owner.client()
                        .signIn(owner.signInName(), RunningApp.PASSWORD)
                        .status())
                .as("nor is a known device guessed on without end")
                .isEqualTo(429);
        RunningApp.bean(JdbcClient.class).sql("delete from sign_in_attempt").update();
    }

    @Test
    void a_tablet_that_several_sign_in_on_is_known_for_each_of_them(Someone owner) {
        Client tablet = owner.client();
        String idris = UUID.randomUUID() + "@test.example";
        RunningApp.invited(tablet, idris);
        assertThat(tablet.signIn(idris, RunningApp.PASSWORD).status()).isEqualTo(204);
        Client guesser = new Client(RunningApp.port());
        for (int attempt = 0; attempt < 10; attempt++) {
            guesser.signIn(owner.signInName(), "wrong");
        }
        assertThat(tablet.signIn(owner.signInName(), RunningApp.PASSWORD).status())
                .isEqualTo(204);
        RunningApp.bean(JdbcClient.class).sql("delete from sign_in_attempt").update();
    }

    /** Spring Security's own way to remove a passkey is shut; ours asks whose it is. */
    @Test
    void a_passkey_is_removed_by_nobody_but_whose_it_is(Someone owner, Someone other, JdbcClient database) {
        String key = "AAAA" + UUID.randomUUID().toString().replace("-", "");
        database.sql("insert into user_entities (id, name, display_name) values (?, ?, 'Owner')")
                .params("BBBB" + key, owner.person().accountId().toString())
                .update();
        database.sql(
                        "insert into user_credentials (credential_id, user_entity_user_id, public_key, backup_eligible,"
                                + " backup_state, label, created, last_used) values (?, ?, x'00', 0, 0, 'Computer', now(), now())")
                .params(key, "BBBB" + key)
                .update();
        Client stranger = new Client(RunningApp.port());
        stranger.get("/api/session");
        assertThat(stranger.post("/webauthn/register/options", Map.of()).status())
                .isNotEqualTo(200);
        for (Client each : List.of(stranger, other.client())) {
            each.send("DELETE", "/webauthn/register/" + key, null);
            each.send("DELETE", "/api/me/passkeys/" + key, null);
        }
        assertThat(database.sql("select count(*) from user_credentials where credential_id = ?")
                        .param(key)
                        .query(Integer.class)
                        .single())
                .isEqualTo(1);
    }

    /** Nobody stands before this server: what a request says of where it is from is its own word. */
    @Test
    void an_address_that_a_request_claims_is_not_believed(Someone owner) {
        Client guesser = new Client(RunningApp.port());
        for (int attempt = 0; attempt < 10; attempt++) {
            guesser.signInFrom("203.0.113." + attempt, owner.signInName(), "wrong");
        }
        assertThat(guesser.signInFrom("203.0.113.99", owner.signInName(), "wrong")
                        .status())
                .isEqualTo(429);
        RunningApp.bean(JdbcClient.class).sql("delete from sign_in_attempt").update();
    }

    @Test
    void passwords_are_kept_as_springs_default_hash(Someone owner, JdbcClient database) {
        String hash = database.sql("select password_hash from account where sign_in_name = ?")
                .param(owner.signInName())
                .query(String.class)
                .single();
        assertThat(hash).startsWith("{bcrypt}$2").doesNotContain(RunningApp.PASSWORD);
        assertThat(new SecurityConfig().passwordEncoder().encode(RunningApp.PASSWORD))
                .as("what the product hashes with, which the tests do not wait for")
                .startsWith("{bcrypt}$2a$10$");
    }

    @Test
    void a_bench_hand_works_but_sets_nothing(Someone owner) {
        Client hand = owner.benchHand();
        String chamber = UUID.randomUUID().toString();
        assertThat(hand.get("/api/room").status()).isEqualTo(200);
        assertThat(hand.get("/api/people").status()).isEqualTo(403);
        assertThat(hand.put("/api/chambers/" + chamber, Bodies.chamberBody(chamber, "Own", 5000))
                        .status())
                .isEqualTo(403);
        assertThat(hand.put("/api/workshop", owner.client().workshopBody()).status())
                .isEqualTo(403);
    }

    @Test
    void of_two_who_change_the_workshop_at_once_the_second_is_told(Someone owner) {
        Map<String, Object> seen = owner.client().workshopBody();
        seen.put("name", "First");
        assertThat(owner.client().put("/api/workshop", seen).status()).isEqualTo(200);
        seen.put("name", "Second");
        Client.Answer second = owner.client().put("/api/workshop", seen);
        assertThat(second.status()).isEqualTo(409);
        assertThat(second.type()).isEqualTo("changed-meanwhile");
        assertThat(owner.client().workshopBody()).containsEntry("name", "First");
    }

    @Test
    void shutting_a_person_out_ends_their_sessions_at_once(Someone owner) {
        Client hand = owner.benchHand();
        var person = owner.client()
                .get("/api/people")
                .body()
                .valueStream()
                .filter(each -> each.path("role").asString().equals("BENCH_HAND"))
                .findFirst()
                .orElseThrow();
        owner.client()
                .must(owner.client()
                        .put(
                                "/api/people/" + person.path("id").asString(),
                                Map.of(
                                        "version",
                                        person.path("version").asInt(),
                                        "name",
                                        "Hand",
                                        "role",
                                        "BENCH_HAND",
                                        "active",
                                        false)));
        assertThat(hand.get("/api/room").status()).isEqualTo(401);
        assertThat(new Client(RunningApp.port())
                        .signIn(person.path("signInName").asString(), RunningApp.PASSWORD)
                        .status())
                .isEqualTo(401);
    }

    @Test
    void the_last_owner_cannot_leave_the_workshop_without_one(Someone owner) {
        var me = owner.client().get("/api/people").body().get(0);
        Answer answer = owner.client()
                .put(
                        "/api/people/" + me.path("id").asString(),
                        Map.of(
                                "version",
                                me.path("version").asInt(),
                                "name",
                                "Owner",
                                "role",
                                "BENCH_HAND",
                                "active",
                                true));
        assertThat(answer.type()).isEqualTo("last-owner");
        assertThat(owner.client().get("/api/people").body().get(0).path("role").asString())
                .isEqualTo("OWNER");
    }
}
