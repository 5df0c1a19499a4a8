package elvaro.server.notice;

import static org.assertj.core.api.Assertions.assertThat;

import com.sun.net.httpserver.HttpServer;
import elvaro.server.notice.Told.Mail;
import elvaro.server.support.Bodies;
import elvaro.server.support.Client;
import elvaro.server.support.RunningApp;
import elvaro.server.support.RunningApp.Someone;
import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Air that goes wrong at night, hours before the list of the morning. */
@ExtendWith(RunningApp.class)
class AlarmIT {
    private final Instant now =
            Bodies.today().atTime(2, 0).atZone(ZoneId.of("Europe/Berlin")).toInstant();

    @BeforeEach
    void itIsNight() {
        RunningApp.clock().show(now);
    }

    @AfterEach
    void setTheClockRight() {
        RunningApp.clock().reset();
    }

    /** A chamber with a piece in it and a probe. @return the probe's token */
    private static String watched(Client client, String chamber) {
        client.must(client.put("/api/chambers/" + chamber, Bodies.chamberBody(chamber, "North Room", 180_000)));
        client.hangToday(chamber, 28, 6000);
        return client.deviceToken(Told.id(), chamber);
    }

    private static void warm(Client client, String token, Instant from, Instant to) {
        StringBuilder pack = new StringBuilder("[");
        for (Instant at = from; !at.isAfter(to); at = at.plusSeconds(300)) {
            pack.append(pack.length() > 1 ? "," : "")
                    .append("{\"n\":\"t\",\"u\":\"Cel\",\"t\":%d,\"v\":9.2}".formatted(at.getEpochSecond()));
        }
        client.must(client.pack(token, pack.append("]").toString()));
    }

    private static JsonNode openAlarm(Client client) {
        return client.get("/api/alarms").body().path("alarms").path(0);
    }

    @Test
    void an_alarm_is_found_once_handed_over_taken_over_and_told_over(Someone owner) {
        try (Told told = new Told(owner)) {
            Client client = owner.client();
            String pilarName = UUID.randomUUID() + "@test.example";
            String pilar = RunningApp.invited(client, pilarName);
            String chamber = Told.id();
            String token = watched(client, chamber);
            warm(client, token, now.minus(Duration.ofMinutes(29)), now);
            told.look();
            assertThat(told.news()).as("not yet for its time").isEmpty();
            told.lookAt(now.plusSeconds(90));
            told.look();
            assertThat(told.news()).singleElement().satisfies(mail -> {
                assertThat(mail.subject()).isEqualTo("North Room: 9.2 °C, above 5.0 °C for 30 minutes");
                assertThat(mail.text()).contains("One piece hangs there, 6.000 kg.", "/alarms/");
                assertThat(mail.heads()).doesNotContainKey("List-Unsubscribe");
            });
            JsonNode alarm = openAlarm(client);
            assertThat(alarm.path("told")
                            .path(0)
                            .path("ways")
                            .path(0)
                            .path("state")
                            .asString())
                    .isEqualTo("SENT");
            String answer =
                    "/api/alarms/%s/answers/%s".formatted(alarm.path("id").asString(), Told.id());
            client.must(client.put(answer, Map.of("kind", "HANDED_TO", "to", pilar)));
            client.must(client.put(answer, Map.of("kind", "HANDED_TO", "to", pilar)));
            told.look();
            assertThat(told.news()).extracting(Mail::to).containsExactly(pilarName);
            RunningApp.clock().show(now.plusSeconds(120));
            Client atPilars = RunningApp.signIn(pilarName);
            String takeOver =
                    "/api/alarms/%s/answers/%s".formatted(alarm.path("id").asString(), Told.id());
            assertThat(atPilars.must(atPilars.put(takeOver, Map.of("kind", "TAKEN_OVER")))
                            .body()
                            .at("/answered/by")
                            .asString())
                    .isEqualTo("Idris Vale");
            RunningApp.clock().show(now.plus(Duration.ofMinutes(100)));
            warm(client, token, now.plusSeconds(300), now.plus(Duration.ofMinutes(100)));
            told.look();
            assertThat(told.news()).extracting(Mail::subject).containsExactly("North Room: Idris Vale sees to it");
            Instant mended = now.plus(Duration.ofMinutes(101));
            RunningApp.clock().show(mended.plus(Duration.ofMinutes(20)));
            client.must(client.pack(
                    token,
                    "[{\"n\":\"t\",\"u\":\"Cel\",\"t\":%d,\"v\":3},{\"n\":\"t\",\"u\":\"Cel\",\"t\":%d,\"v\":2.4}]"
                            .formatted(
                                    mended.getEpochSecond(),
                                    mended.plusSeconds(1140).getEpochSecond())));
            told.look();
            assertThat(told.news())
                    .extracting(Mail::subject)
                    .containsExactly("North Room is cold again", "North Room is cold again");
            assertThat(client.put(
                                    "/api/alarms/%s/answers/%s"
                                            .formatted(alarm.path("id").asString(), Told.id()),
                                    Map.of("kind", "TAKEN_OVER"))
                            .type())
                    .isEqualTo("alarm-over");
        }
    }

    @Test
    void an_empty_chamber_wakes_nobody(Someone owner) {
        try (Told told = new Told(owner)) {
            Client client = owner.client();
            String token = client.deviceToken(Told.id(), client.chamber("Cabinet", 50_000));
            warm(client, token, now.minus(Duration.ofHours(2)), now);
            told.look();
            assertThat(told.news()).extracting(Mail::subject).noneMatch(subject -> subject.contains("°C, above"));
            assertThat(openAlarm(client).isMissingNode()).isTrue();
        }
    }

    @Test
    void what_is_refused_for_good_is_told_to_the_next_at_once(Someone owner) {
        try (Told told = new Told(owner)) {
            Client client = owner.client();
            String idris = UUID.randomUUID() + "@test.example";
            String id = RunningApp.invited(client, idris);
            Client atIdris = RunningApp.signIn(idris);
            Map<String, Object> choice = Told.choice(atIdris);
            choice.put("mail", "");
            atIdris.must(atIdris.put("/api/me/notices", choice));
            connectPhone(atIdris, "http://127.0.0.1:%d/push/gone".formatted(serving(410, new ArrayList<>())));
            Map<String, Object> house = Told.house(client);
            house.put(
                    "steps",
                    List.of(
                            Map.of("who", "PERSON", "personId", id, "afterMinutes", 0),
                            Map.of("who", "OWNERS", "afterMinutes", 60)));
            client.must(client.put("/api/notices/house", house));
            String token = watched(client, Told.id());
            warm(client, token, now.minus(Duration.ofMinutes(40)), now);
            told.look();
            assertThat(told.news()).as("Idris's phone first").isEmpty();
            assertThat(atIdris.get("/api/me/notices").body().path("phones"))
                    .as("a phone that is gone is forgotten")
                    .isEmpty();
            told.look();
            assertThat(told.news())
                    .extracting(Mail::to)
                    .as("nobody waits an hour for a phone that is not there")
                    .containsExactly(owner.signInName());
        }
    }

    private static void connectPhone(Client client, String endpoint) {
        client.must(client.put(
                "/api/me/phones/" + Told.id(),
                Map.of(
                        "name",
                        "Idris's phone",
                        "endpoint",
                        endpoint,
                        "key",
                        "BCVxsr7N_eNgVRqvHtD0zTZsEc6-VV-JvLexhqUzORcxaOzi6-AYWXvTBHm4bjyPjs7Vd8pZGH6SRpkNtoIAiw4",
                        "shared",
                        "BTBZMqHH6r4Tts7J_aSIgg")));
    }

    /** A program that answers so, and keeps what it was told. @return its port */
    private static int serving(int status, List<Call> calls) {
        try {
            HttpServer server = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), 0), 0);
            server.createContext("/", exchange -> {
                calls.add(new Call(
                        new String(exchange.getRequestBody().readAllBytes(), StandardCharsets.UTF_8),
                        exchange.getRequestHeaders().getFirst("Elvaro-Signature"),
                        exchange.getRequestHeaders().getFirst("Idempotency-Key")));
                exchange.sendResponseHeaders(status, -1);
                exchange.close();
            });
            server.start();
            return server.getAddress().getPort();
        } catch (IOException failure) {
            throw new IllegalStateException(failure);
        }
    }

    private record Call(String body, String signature, String key) {}

    @Test
    void another_program_is_called_with_what_concerns_the_house_signed(Someone owner) throws Exception {
        try (Told told = new Told(owner)) {
            Client client = owner.client();
            List<Call> calls = new CopyOnWriteArrayList<>();
            int port = serving(204, calls);
            Map<String, Object> house = Told.house(client);
            house.put("hookAddress", "http://127.0.0.1:" + port + "/in");
            house.put("hookGroups", List.of("AIR"));
            client.must(client.put("/api/notices/house", house));
            String secret = client.must(client.post("/api/notices/house/hook-secret", null))
                    .body()
                    .path("secret")
                    .asString();
            assertThat(client.text("/api/notices/house")).doesNotContain(secret);
            String token = watched(client, Told.id());
            warm(client, token, now.minus(Duration.ofMinutes(40)), now);
            told.look();
            told.look();
            assertThat(calls).hasSize(1);
            Call call = calls.get(0);
            JsonNode body = JsonMapper.shared().readTree(call.body());
            assertThat(body.path("kind").asString()).isEqualTo("WARM");
            assertThat(body.path("title").asString()).startsWith("North Room: 9.2 °C");
            assertThat(body.path("key").asString()).isEqualTo(call.key());
            String[] signed = call.signature().split("[=, ]+");
            assertThat(signed[3]).isEqualTo(hmac(secret, signed[1] + "." + call.body()));
        }
    }

    /** By another implementation than ours: openssl, of Debian. */
    private static String hmac(String secret, String words) throws Exception {
        Process openssl = new ProcessBuilder("openssl", "dgst", "-sha256", "-hmac", secret).start();
        openssl.getOutputStream().write(words.getBytes(StandardCharsets.UTF_8));
        openssl.getOutputStream().close();
        return new String(openssl.getInputStream().readAllBytes(), StandardCharsets.UTF_8)
                .strip()
                .replaceAll(".*= ", "");
    }

    @Test
    void eight_nodes_that_look_and_send_at_once_tell_it_once(Someone owner) throws Exception {
        try (Told told = new Told(owner)) {
            Client client = owner.client();
            String token = watched(client, Told.id());
            warm(client, token, now.minus(Duration.ofMinutes(40)), now);
            ExecutorService nodes = Executors.newFixedThreadPool(8);
            List<Callable<Boolean>> work = new ArrayList<>();
            for (int node = 0; node < 8; node++) {
                work.add(() -> {
                    try {
                        Told.look(owner);
                    } catch (RuntimeException anotherWasFirst) {
                        // its transaction is undone whole
                    }
                    Told.send();
                    return true;
                });
            }
            for (Future<Boolean> each : nodes.invokeAll(work)) {
                each.get();
            }
            nodes.shutdown();
            told.look();
            assertThat(told.news()).hasSize(1);
        }
    }
}
