package elvaro.server.tasting;

import static org.assertj.core.api.Assertions.assertThat;

import elvaro.server.support.Bodies;
import elvaro.server.support.Client;
import elvaro.server.support.RunningApp;
import elvaro.server.support.RunningApp.Someone;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** What the workshop learns over several tastings: of its tasters, and of what is liked. */
@ExtendWith(RunningApp.class)
class PanelIT {

    private static Map<String, Object> of(List<String> names, int tasters) {
        Map<String, Object> body = Bodies.tastingBody("PAIRED", 2, tasters);
        List<Map<String, Object>> samples = (List<Map<String, Object>>) body.get("samples");
        IntStream.range(0, 2).forEach(sample -> samples.get(sample).put("name", names.get(sample)));
        body.put("attributes", List.of());
        return body;
    }

    @Test
    void a_tasters_record_grows_over_tastings_and_says_who_says_the_same_twice(Someone owner) {
        Client host = owner.client();
        Map<String, Object> twice = of(List.of("Honey", "Plain"), 3);
        twice.put("rounds", 2);
        LaidTable first = LaidTable.open(host, twice);
        int[][] picks = {{0, 0}, {0, 1}, {0, 0}};
        for (int place = 0; place < 3; place++) {
            for (int round = 0; round < 2; round++) {
                first.pick(place, round, picks[place][round]);
            }
        }
        assertThat(tasters(host).get("Tove").path("sittings").asInt())
                .as("before the reveal")
                .isZero();
        first.reveal();

        Map<String, Object> again = of(List.of("Porcini", "Plain"), 1);
        again.put(
                "tasters",
                List.of(Map.of(
                        "id", UUID.randomUUID().toString(),
                        "tasterId", tasters(host).get("Tove").path("id").asString(),
                        "name", "Tove")));
        LaidTable second = LaidTable.open(host, again);
        second.pick(0, 0, 0);
        second.reveal();

        JsonNode tove = tasters(host).get("Tove");
        assertThat(tove.path("sittings").asInt()).isEqualTo(2);
        assertThat(tove.path("agreed").asInt()).isEqualTo(1);
        assertThat(tove.path("judged").asInt()).as("alone at the second table").isEqualTo(1);
        assertThat(tove.path("same").asInt()).isEqualTo(1);
        JsonNode anselm = tasters(host).get("Anselm");
        assertThat(anselm.path("same").asInt()).isZero();
        assertThat(anselm.path("repeated").asInt()).isEqualTo(1);
        assertThat(anselm.path("judged").asInt()).as("one of each is no choice").isZero();
    }

    private static Map<String, JsonNode> tasters(Client host) {
        return host.get("/api/tastings/tasters")
                .body()
                .valueStream()
                .collect(java.util.stream.Collectors.toMap(
                        taster -> taster.path("name").asString(), taster -> taster));
    }

    @Test
    void only_what_met_or_met_the_same_is_compared(Someone owner) {
        Client host = owner.client();
        for (List<String> pair :
                List.of(List.of("Honey", "Plain"), List.of("Plain", "Porcini"), List.of("Smoked", "Seaweed"))) {
            LaidTable table = LaidTable.open(host, of(pair, 4));
            for (int place = 0; place < 4; place++) {
                table.pick(place, 0, place == 3 ? 0 : 1);
            }
            table.reveal();
        }
        JsonNode groups = host.get("/api/tastings/strengths").body().path("treatments");
        assertThat(groups).hasSize(2);
        JsonNode met = groups.valueStream()
                .filter(group -> group.path("against").asString().equals("Plain"))
                .findFirst()
                .orElseThrow();
        assertThat(met.path("others"))
                .extracting(other -> other.path("name").asString())
                .as("the most liked first")
                .containsExactly("Porcini", "Honey");
        assertThat(met.at("/others/0/voices").asDouble()).isEqualTo(4);
        assertThat(met.at("/others/0/low").asDouble())
                .isLessThan(met.at("/others/0/chance").asDouble());
        assertThat(met.at("/others/1/chance").asDouble()).isLessThan(0.5);
    }

    @Test
    void a_table_that_is_set_twice_at_once_is_one_table(Someone owner) throws Exception {
        Client host = owner.client();
        String id = UUID.randomUUID().toString();
        Map<String, Object> body = of(List.of("Honey", "Plain"), 4);
        AtomicInteger set = new AtomicInteger();
        List<Thread> hands = new ArrayList<>();
        for (int hand = 0; hand < 5; hand++) {
            Thread thread = new Thread(() ->
                    set.addAndGet(host.put("/api/tastings/" + id, body).status() == 200 ? 1 : 0));
            thread.start();
            hands.add(thread);
        }
        for (Thread hand : hands) {
            hand.join();
        }
        assertThat(set).hasValue(5);
        assertThat(host.get("/api/tastings").body()).hasSize(1);
        assertThat(host.get("/api/tastings/tasters").body()).hasSize(4);
        JsonNode one = host.get("/api/tastings/" + id).body();
        assertThat(host.get("/api/tastings/" + id).body().path("plates"))
                .as("drawn once, and the same at every reading")
                .isEqualTo(one.path("plates"));
    }

    /** Phones hand in while the host reveals: a sheet is in or refused, and none is taken in behind the reveal. */
    @Test
    void a_sheet_comes_before_the_reveal_or_not_at_all(Someone owner) throws Exception {
        Client host = owner.client();
        int tasters = 24;
        LaidTable table = LaidTable.open(host, of(List.of("Honey", "Plain"), tasters));
        AtomicInteger taken = new AtomicInteger();
        CountDownLatch begin = new CountDownLatch(1);
        List<Thread> phones = new ArrayList<>();
        for (int place = 0; place < tasters; place++) {
            int mine = place;
            Thread phone = new Thread(() -> {
                try {
                    begin.await();
                    Thread.sleep(mine * 4L);
                } catch (InterruptedException stopped) {
                    Thread.currentThread().interrupt();
                }
                int status = table.hand(mine, Bodies.sheetBody()).status();
                taken.addAndGet(status == 204 ? 1 : 0);
            });
            phone.start();
            phones.add(phone);
        }
        begin.countDown();
        Thread.sleep(60);
        table.reveal();
        JsonNode revealed = table.now();
        for (Thread phone : phones) {
            phone.join();
        }
        JsonNode later = table.now();
        assertThat(later.at("/result/choices")).hasSize(taken.get());
        assertThat(later.path("result")).isEqualTo(revealed.path("result"));
    }
}
