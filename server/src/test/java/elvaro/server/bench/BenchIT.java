package elvaro.server.bench;

import static elvaro.server.support.Bodies.entry;
import static elvaro.server.support.Bodies.pile;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import elvaro.server.support.Api.Answer;
import elvaro.server.support.Client;
import elvaro.server.support.RunningApp;
import elvaro.server.support.RunningApp.Someone;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

@ExtendWith(RunningApp.class)
class BenchIT {

    private static Answer close(Client client, String piece, Map<String, String> answers) {
        return client.put("/api/bench/" + piece + "/close/" + UUID.randomUUID(), Map.of("answers", answers));
    }

    /** Common practice, no source: the pair of the trade's check values, 10.6 and 10.8 lb, in grams. */
    @Test
    void the_trades_pair_comes_out_of_the_bench_as_it_was_weighed(Someone owner) {
        Client client = owner.client();
        List<String> pair = client.hang(client.chamber("Cabinet", 50_000), 4808, 4899);
        String plain = pair.get(0);
        String sealed = pair.get(1);
        client.must(client.write(plain, entry("PULLED", 4264)));
        client.must(client.write(plain, pile("STEAK", 2722)));
        client.must(client.write(plain, pile("USABLE_TRIM", 1361)));
        client.must(client.write(plain, pile("DISCARD", 181)));
        client.must(client.write(sealed, entry("COAT_ON", 900)));
        client.must(client.write(sealed, entry("PULLED", 5600)));
        client.must(client.write(sealed, entry("COAT_OFF", 883)));
        client.must(client.write(sealed, pile("STEAK", 2631)));
        client.must(client.write(sealed, pile("DISCARD", 2086)));
        client.must(close(client, plain, Map.of()));
        client.must(close(client, sealed, Map.of()));

        Answer compared = client.must(client.get("/api/compare?pieces=" + plain + "," + sealed));
        var first = compared.body().at("/columns/0/ledger");
        var second = compared.body().at("/columns/1/ledger");
        assertThat(first.path("shrinkFraction").asDouble()).isCloseTo(0.113, within(0.0005));
        assertThat(first.path("usableYield").asDouble()).isCloseTo(0.849, within(0.0005));
        assertThat(second.path("shrinkFraction").asDouble()).isCloseTo(0.037, within(0.0005));
        assertThat(second.path("steakYield").asDouble()).isCloseTo(0.537, within(0.0005));
        assertThat(compared.body()
                        .path("marks")
                        .valueStream()
                        .filter(mark -> mark.path("measure").asString().equals("USABLE_YIELD"))
                        .map(mark -> mark.path("best").asString()))
                .containsExactly(plain);
    }

    @Test
    void a_bench_that_does_not_add_up_closes_only_with_a_reason_and_opens_only_with_one(Someone owner) {
        Client client = owner.client();
        String piece = client.hang(client.chamber("Cabinet", 50_000), 4000).get(0);
        client.must(client.write(piece, entry("PULLED", 3600)));
        assertThat(close(client, piece, Map.of()).questions()).containsExactly("nothing-weighed");
        client.must(client.write(piece, pile("STEAK", 3000)));
        assertThat(close(client, piece, Map.of()).questions()).containsExactly("residual-large");
        assertThat(close(client, piece, Map.of("residual-large", " ")).status()).isEqualTo(422);
        client.must(close(client, piece, Map.of("residual-large", "fell on the floor")));
        assertThat(client.write(piece, pile("DISCARD", 600)).type()).isEqualTo("wrong-state");

        String reopen = "/api/bench/" + piece + "/reopen/" + UUID.randomUUID();
        assertThat(client.put(reopen, Map.of("reason", "")).status()).isEqualTo(422);
        client.must(client.put(reopen, Map.of("reason", "found the pile")));
        client.must(client.write(piece, pile("DISCARD", 600)));
        Answer closed = client.must(close(client, piece, Map.of()));
        assertThat(closed.body().at("/piece/ledger/residualGrams").asInt()).isZero();
        assertThat(closed.body().at("/piece/log").toString()).contains("fell on the floor", "found the pile");
    }

    @Test
    void two_tablets_at_once_cannot_pile_up_more_than_there_is(Someone owner) throws Exception {
        Client client = owner.client();
        String piece = client.hang(client.chamber("Cabinet", 50_000), 4000).get(0);
        client.must(client.write(piece, entry("PULLED", 3600)));
        var tablets = Executors.newFixedThreadPool(6);
        List<Future<Answer>> calls = new ArrayList<>();
        for (int index = 0; index < 6; index++) {
            calls.add(tablets.submit(() -> client.write(piece, pile("STEAK", 1000))));
        }
        List<Integer> statuses = new ArrayList<>();
        for (Future<Answer> call : calls) {
            statuses.add(call.get().status());
        }
        tablets.shutdown();
        assertThat(statuses).containsOnly(200, 422);
        assertThat(client.get("/api/bench/" + piece)
                        .body()
                        .at("/piece/ledger/piles/STEAK")
                        .asInt())
                .isEqualTo(3000);
    }

    @Test
    void cost_counts_the_by_products_at_the_workshops_prices(Someone owner) {
        Client client = owner.client();
        Map<String, Object> settings = client.workshopBody();
        settings.put("usableTrimPriceMinorPerKg", 1000);
        settings.put("tariffMinorPerKwh", 0);
        client.must(client.put("/api/workshop", settings));
        String piece = client.hang(client.chamber("Cabinet", 50_000), 4000).get(0);
        client.must(client.write(piece, entry("PULLED", 3600)));
        client.must(client.write(piece, pile("STEAK", 2500)));
        client.must(client.write(piece, pile("USABLE_TRIM", 1100)));
        Answer closed = client.must(close(client, piece, Map.of()));
        // By hand: 4 kg at 20.00 = 80.00, less 1.1 kg at 10.00 = 69.00, on 2.5 kg of steak: 27.60 a kg.
        assertThat(closed.body().at("/piece/cost/perKgSteak").asDouble()).isCloseTo(2760, within(1e-6));
    }
}
