package elvaro.server.shared;

import static org.assertj.core.api.Assertions.assertThat;

import elvaro.server.support.Bodies;
import elvaro.server.support.Client;
import elvaro.server.support.RunningApp;
import elvaro.server.support.RunningApp.Someone;
import jakarta.persistence.EntityManagerFactory;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Stream;
import org.hibernate.Session;
import org.hibernate.SessionFactory;
import org.hibernate.Transaction;
import org.hibernate.engine.spi.SharedSessionContractImplementor;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestFactory;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.simple.JdbcClient;

/** Whatever is written raises the workshop's number, so that no screen shows what is no longer so; reading does not. */
@ExtendWith(RunningApp.class)
class ChangesIT {
    private static String id() {
        return UUID.randomUUID().toString();
    }

    private static long number(JdbcClient database, Someone owner) {
        return database.sql("select number from workshop_change where workshop_id = ?")
                .param(owner.person().workshopId().toString())
                .query(Long.class)
                .single();
    }

    private static Map<String, Runnable> writes(Client client) {
        String chamber = client.chamber("Cabinet", 90_000);
        String other = client.chamber("Other", 90_000);
        String piece = client.hangAgo(8, chamber, 28, 4000).get(0);
        String whole = client.hangAgo(8, chamber, 28, 4000).get(0);
        String device = id();
        String token = client.deviceToken(device, chamber);
        String look = id();
        String begin = Instant.now()
                .minusSeconds(7_200)
                .truncatedTo(ChronoUnit.SECONDS)
                .toString();
        Map<String, Runnable> writes = new LinkedHashMap<>();
        writes.put("a weighing", () -> client.must(client.write(piece, Bodies.entry("WEIGHED", 3900))));
        writes.put("a turn", () -> client.must(client.write(piece, Bodies.entry("TURNED", 0))));
        writes.put(
                "a look",
                () -> client.must(client.put(
                        "/api/pieces/%s/looks/%s".formatted(piece, look), Bodies.lookBody("surface", "SLIMY"))));
        writes.put(
                "a move",
                () -> client.must(client.put(
                        "/api/pieces/%s/move/%s".formatted(piece, id()),
                        Map.of("chamberId", other, "words", "", "answers", Map.of()))));
        writes.put(
                "a piece thrown away",
                () -> client.must(client.put(
                        "/api/pieces/%s/discard/%s".formatted(whole, id()),
                        Map.of("grams", 3900, "words", "Bad.", "answers", Map.of("surprising", "")))));
        writes.put(
                "a target",
                () -> client.must(client.put(
                        "/api/pieces/%s/target".formatted(piece),
                        Map.of(
                                "version",
                                client.get("/api/pieces/" + piece)
                                        .body()
                                        .path("version")
                                        .asInt(),
                                "answers",
                                Map.of("later-target", "A guest was ill."),
                                "targetDays",
                                30))));
        writes.put(
                "air of a probe",
                () -> client.must(client.pack(
                        token,
                        "[{\"n\":\"t\",\"u\":\"Cel\",\"t\":%d,\"v\":8}]"
                                .formatted(Instant.parse(begin).getEpochSecond()))));
        writes.put(
                "a decision about air",
                () -> client.must(client.put(
                        "/api/chambers/%s/air/decisions/%s".formatted(chamber, id()),
                        Map.of("kind", "WARM", "beganAt", begin, "words", "Door."))));
        writes.put(
                "a device shut out",
                () -> client.must(client.put("/api/devices/%s/revoke".formatted(device), Map.of("version", 0))));
        writes.put("a lot", () -> client.must(client.post("/api/lots", Bodies.lotBody(id(), 4000))));
        String plan = id();
        writes.put("a plan", () -> client.must(client.put("/api/plans/" + plan, Bodies.planBody(plan, chamber))));
        writes.put("the workshop", () -> {
            Map<String, Object> body = client.workshopBody();
            body.put("name", "Another name");
            client.must(client.put("/api/workshop", body));
        });
        return writes;
    }

    @TestFactory
    Stream<DynamicTest> every_kind_of_write_raises_the_number(JdbcClient database, Someone owner) {
        return writes(owner.client()).entrySet().stream()
                .map(write -> DynamicTest.dynamicTest(write.getKey(), () -> {
                    long before = number(database, owner);
                    owner.client().get("/api/room");
                    owner.client().get("/api/tasks?days=14");
                    assertThat(number(database, owner)).as("after reading").isEqualTo(before);
                    write.getValue().run();
                    assertThat(number(database, owner)).as("after writing").isGreaterThan(before);
                }));
    }

    /** Once in a transaction, and again in the next, also where both are of one session and one was taken back. */
    @Test
    void each_transaction_of_a_session_raises_it_once(JdbcClient database, Someone owner) {
        owner.client().chamber("Cabinet", 90_000);
        RunningApp.bean(CurrentWorkshop.class).actingAs(owner.person(), () -> {
            try (Session session = RunningApp.bean(EntityManagerFactory.class)
                    .unwrap(SessionFactory.class)
                    .openSession()) {
                for (boolean kept : new boolean[] {true, false, true}) {
                    long before = number(database, owner);
                    Transaction transaction = session.beginTransaction();
                    RunningApp.bean(Changes.class).raise(session.unwrap(SharedSessionContractImplementor.class));
                    RunningApp.bean(Changes.class).raise(session.unwrap(SharedSessionContractImplementor.class));
                    if (kept) {
                        transaction.commit();
                    } else {
                        transaction.rollback();
                    }
                    assertThat(number(database, owner)).isEqualTo(kept ? before + 1 : before);
                }
                return true;
            }
        });
    }
}
