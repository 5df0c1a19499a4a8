package elvaro.server.notice;

import static org.assertj.core.api.Assertions.assertThat;

import elvaro.server.notice.Told.Mail;
import elvaro.server.support.Bodies;
import elvaro.server.support.Client;
import elvaro.server.support.RunningApp;
import elvaro.server.support.RunningApp.Someone;
import java.io.IOException;
import java.net.ServerSocket;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.simple.JdbcClient;
import tools.jackson.databind.JsonNode;

@ExtendWith(RunningApp.class)
class NoticeIT {
    private static final ZoneId HOUSE = ZoneId.of("Europe/Berlin");

    @AfterEach
    void setTheClockRight() {
        RunningApp.clock().reset();
    }

    private static Instant tomorrow(int hour, int minute) {
        return Bodies.today().plusDays(1).atTime(hour, minute).atZone(HOUSE).toInstant();
    }

    @Test
    void five_hundred_late_pieces_are_one_list(Someone owner) {
        try (Told told = new Told(owner)) {
            Client client = owner.client();
            String chamber = client.chamber("Cold store", 40_000_000);
            for (int lot = 0; lot < 20; lot++) {
                client.hangAgo(
                        40,
                        chamber,
                        28,
                        IntStream.generate(() -> 3000).limit(25).toArray());
            }
            told.lookAt(tomorrow(7, 1));
            told.look();
            List<Mail> mails = told.news();
            assertThat(mails).hasSize(1);
            Mail list = mails.get(0);
            assertThat(list.subject()).isEqualTo("500 late, up to 13 days");
            assertThat(list.text())
                    .contains("Late\n- Pull ", "13 days past its target")
                    .contains("and 488 more, in the room.");
            assertThat(list.text().lines().filter(line -> line.contains("each further week costs about")))
                    .as("what waiting costs of those that are named")
                    .hasSize(12);
        }
    }

    @Test
    void a_mail_says_what_it_is_and_leads_to_the_piece_and_out(Someone owner) {
        try (Told told = new Told(owner)) {
            Client client = owner.client();
            Map<String, Object> house = Told.fields(client, "/api/workshop");
            house.put("publicAddress", "https://house.brackenrow.example/");
            client.must(client.put("/api/workshop", house));
            String piece = client.hangAgo(40, client.chamber("Cabinet", 50_000), 28, 6000)
                    .get(0);
            told.lookAt(tomorrow(7, 1));
            Mail mail = told.news().get(0);
            assertThat(mail.to()).isEqualTo(owner.signInName());
            assertThat(mail.text()).contains("https://house.brackenrow.example/pieces/" + piece);
            assertThat(mail.html())
                    .contains("href=\"https://house.brackenrow.example/pieces/" + piece)
                    .contains("<html lang=\"en\">");
            assertThat(mail.heads())
                    .containsEntry("Auto-Submitted", "auto-generated")
                    .containsEntry("List-Unsubscribe-Post", "List-Unsubscribe=One-Click")
                    .containsEntry("Importance", "high");
            assertThat(mail.heads().get("Message-ID")).startsWith("<morning-").endsWith("@house.brackenrow.example>");
            // RFC 8058: the mailbox posts to the address by itself, signed in nowhere.
            String stop = mail.heads().get("List-Unsubscribe").replaceAll("[<>]", "");
            String path = stop.replace("https://house.brackenrow.example", "");
            Client mailbox = new Client(RunningApp.port());
            assertThat(mailbox.text(path)).contains("No more of these by mail?");
            assertThat(Told.choice(client).toString()).contains("DAY=[EMAIL");
            String broken = path.substring(0, path.length() - 4) + "AAAA";
            assertThat(mailbox.bytes("POST", broken, "text/plain", new byte[0]).statusCode())
                    .isEqualTo(404);
            assertThat(mailbox.bytes("POST", path, "text/plain", new byte[0]).statusCode())
                    .isEqualTo(200);
            told.lookAt(tomorrow(7, 1).plus(Duration.ofDays(4)));
            assertThat(told.news()).isEmpty();
        }
    }

    @Test
    void what_the_mail_server_does_not_take_is_tried_again_later_and_said_in_the_room(Someone owner)
            throws IOException {
        try (Told told = new Told(owner)) {
            Client client = owner.client();
            client.hangAgo(40, client.chamber("Cabinet", 50_000), 28, 6000);
            int open = told.port();
            int dead;
            try (ServerSocket free = new ServerSocket(0)) {
                dead = free.getLocalPort();
            }
            told.houseMail(dead);
            Instant morning = tomorrow(7, 1);
            told.lookAt(morning);
            told.look();
            assertThat(client.get("/api/alarms").body().path("stuck").path(0).asString())
                    .startsWith("E-mail: a message waits. The mail server does not answer");
            assertThat(tries(client))
                    .as("the second look came before the pause was over")
                    .isOne();
            told.lookAt(morning.plusSeconds(11));
            assertThat(tries(client)).isEqualTo(2);
            told.lookAt(morning.plusSeconds(30));
            assertThat(tries(client)).as("the pauses grow").isEqualTo(2);
            told.houseMail(open);
            told.lookAt(morning.plusSeconds(60));
            assertThat(told.news()).hasSize(1);
            assertThat(client.get("/api/alarms").body().path("stuck")).isEmpty();
        }
    }

    @Test
    void a_clock_that_was_a_year_ahead_for_a_while_costs_no_morning_and_no_alarm(Someone owner) {
        try (Told told = new Told(owner)) {
            Client client = owner.client();
            client.hangAgo(40, client.chamber("Cabinet", 50_000), 28, 6000);
            told.lookAt(tomorrow(7, 1).plus(Duration.ofDays(365)));
            assertThat(told.news()).hasSize(1);
            told.lookAt(tomorrow(7, 1));
            assertThat(told.news()).hasSize(1);
            told.look();
            assertThat(told.news()).isEmpty();
        }
    }

    @Test
    void old_news_is_not_sent(Someone owner) {
        try (Told told = new Told(owner)) {
            Client client = owner.client();
            client.hangAgo(40, client.chamber("Cabinet", 50_000), 28, 6000);
            RunningApp.clock().show(tomorrow(7, 1));
            Told.look(owner);
            RunningApp.clock().show(tomorrow(7, 2).plus(Duration.ofDays(3)));
            Told.send();
            assertThat(told.news()).isEmpty();
            assertThat(client.get("/api/notices").body().at("/0/ways/0/state").asString())
                    .isEqualTo("GIVEN_UP");
        }
    }

    private static int tries(Client client) {
        return client.get("/api/notices").body().at("/0/ways/0/tries").asInt();
    }

    @Test
    void each_chooses_by_what_way_and_at_what_hour_and_is_told_nothing_in_quiet_hours(Someone owner) {
        try (Told told = new Told(owner)) {
            Client client = owner.client();
            client.hangAgo(40, client.chamber("Cabinet", 50_000), 28, 6000);
            Map<String, Object> choice = Told.choice(client);
            choice.put("zone", "America/New_York");
            choice.put("morningAt", "06:30");
            choice.put("quietFrom", "22:00");
            choice.put("quietTo", "08:15");
            client.must(client.put("/api/me/notices", choice));
            assertThat(client.put("/api/me/notices", choice).type()).isEqualTo("changed-meanwhile");
            Instant there = Bodies.today()
                    .plusDays(1)
                    .atTime(8, 0)
                    .atZone(ZoneId.of("America/New_York"))
                    .toInstant();
            told.lookAt(there);
            assertThat(told.news()).as("half past six is in the quiet hours").isEmpty();
            told.lookAt(there.plus(Duration.ofMinutes(16)));
            assertThat(told.news()).hasSize(1);
        }
    }

    @Test
    void a_test_goes_by_the_way_it_asks_for_and_once(Someone owner) {
        try (Told told = new Told(owner)) {
            Client client = owner.client();
            String id = Told.id();
            client.must(client.put("/api/me/notices/tests/" + id, Map.of("channel", "EMAIL")));
            client.must(client.put("/api/me/notices/tests/" + id, Map.of("channel", "EMAIL")));
            assertThat(client.put("/api/me/notices/tests/" + Told.id(), Map.of("channel", "PUSH"))
                            .type())
                    .isEqualTo("no-way");
            Told.send();
            assertThat(told.news()).extracting(Mail::subject).containsExactly("A test from Elvaro");
        }
    }

    @Test
    void secrets_lie_locked_in_the_database(Someone owner, JdbcClient database) {
        try (Told told = new Told(owner)) {
            Client client = owner.client();
            Map<String, Object> house = Told.house(client);
            house.put("mailUser", "brackenrow");
            house.put("mailPassword", "tallow and bone");
            JsonNode kept = client.must(client.put("/api/notices/house", house)).body();
            assertThat(kept.has("mailPassword")).isFalse();
            assertThat(kept.path("mailPasswordKept").asBoolean()).isTrue();
            assertThat(database.sql("select mail_password from house_notices where mail_user = 'brackenrow'")
                            .query(String.class)
                            .list())
                    .allSatisfy(
                            locked -> assertThat(locked).hasSizeGreaterThan(60).doesNotContain("tallow"));
            assertThat(client.get("/api/notices/house").body().path("mailHost").asString())
                    .isEqualTo("127.0.0.1");
        }
    }

    @Test
    void what_cannot_be_is_refused_with_a_sentence(Someone owner) {
        Client client = owner.client();
        Map<String, Object> house = Told.house(client);
        house.put("mailHost", "mail.house.example");
        assertThat(client.put("/api/notices/house", house).body().path("field").asString())
                .isEqualTo("mailFrom");
        Map<String, Object> nobody = Told.house(client);
        nobody.put("steps", List.of(Map.of("who", "PERSON", "afterMinutes", 0)));
        assertThat(client.put("/api/notices/house", nobody).status()).isEqualTo(422);
        nobody.put("steps", List.of(Map.of("who", "PERSON", "personId", Told.id(), "afterMinutes", 0)));
        assertThat(client.put("/api/notices/house", nobody).status()).isEqualTo(404);
        Map<String, Object> choice = Told.choice(client);
        choice.put("zone", "Brackenrow/Yard");
        assertThat(client.put("/api/me/notices", choice).body().path("field").asString())
                .isEqualTo("zone");
        Map<String, Object> phone = new HashMap<>(Map.of(
                "name",
                "Phone",
                "endpoint",
                "http://127.0.0.1:1/x",
                "key",
                "AAAA",
                "shared",
                "BTBZMqHH6r4Tts7J_aSIgg"));
        assertThat(client.put("/api/me/phones/" + Told.id(), phone).type()).isEqualTo("no-push");
        Map<String, Object> workshop = Told.fields(client, "/api/workshop");
        workshop.put("publicAddress", "javascript:alert(1)");
        assertThat(client.put("/api/workshop", workshop).body().path("field").asString())
                .isEqualTo("publicAddress");
    }

    @Test
    void a_bench_hand_sees_what_they_were_told_and_the_owner_what_everybody_was(Someone owner) {
        try (Told told = new Told(owner)) {
            Client hand = owner.benchHand();
            Client client = owner.client();
            client.hangAgo(40, client.chamber("Cabinet", 50_000), 28, 6000);
            told.lookAt(tomorrow(7, 1));
            assertThat(told.news()).hasSize(2);
            assertThat(client.get("/api/notices").body()).hasSize(2);
            assertThat(hand.get("/api/notices").body()).hasSize(1);
            assertThat(hand.get("/api/notices/house").status()).isEqualTo(403);
        }
    }

    @Test
    void a_calendar_a_label_and_a_mail_carry_the_address_the_owner_set(Someone owner) {
        Client client = owner.client();
        assertThat(client.get("/api/session").body().at("/me/onlyHere").asBoolean())
                .as("the address one has opened it by is this machine's own")
                .isTrue();
        client.hangToday(client.chamber("Cabinet", 50_000), 28, 6000);
        Map<String, Object> house = Told.fields(client, "/api/workshop");
        house.put("publicAddress", " https://house.brackenrow.example/ ");
        client.must(client.put("/api/workshop", house));
        assertThat(client.get("/api/session").body().at("/me/houseAddress").asString())
                .isEqualTo("https://house.brackenrow.example");
        assertThat(client.get("/api/session").body().at("/me/onlyHere").asBoolean())
                .isFalse();
        assertThat(client.text("/api/calendar.ics").replace("\r\n ", ""))
                .contains("URL:https://house.brackenrow.example/pieces/");
    }
}
