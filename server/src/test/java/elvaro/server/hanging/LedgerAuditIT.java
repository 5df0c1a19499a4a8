package elvaro.server.hanging;

import static elvaro.server.support.Bodies.entry;
import static elvaro.server.support.Bodies.pile;
import static org.assertj.core.api.Assertions.assertThat;

import elvaro.server.shared.CurrentWorkshop;
import elvaro.server.support.Client;
import elvaro.server.support.DatabaseOwner;
import elvaro.server.support.RunningApp;
import elvaro.server.support.RunningApp.Someone;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** What is looked at after a restore: does every finished ledger close? Rows are spoilt behind the application's back. */
@ExtendWith(RunningApp.class)
class LedgerAuditIT {
    private static LedgerAudit.AuditResult audit(Someone owner) {
        return RunningApp.bean(CurrentWorkshop.class).actingAs(owner.person(), RunningApp.bean(LedgerAudit.class)::all);
    }

    private static void deleted(String piece, String which) {
        DatabaseOwner.does(
                List.of("log_entry"), "delete from log_entry where piece_id = '%s' and %s".formatted(piece, which));
    }

    private static String tag(Client client, String piece) {
        return client.get("/api/pieces/" + piece).body().at("/card/tag").asString();
    }

    @Test
    void a_row_that_is_missing_is_found(Someone owner) {
        Client client = owner.client();
        String whole = client.cut();
        String spoilt = client.cut();
        assertThat(audit(owner).finished()).isEqualTo(2);
        assertThat(audit(owner).open()).isEmpty();
        deleted(spoilt, "kind = 'PILE' and stream = 'STEAK'");
        assertThat(audit(owner).open()).containsExactly(tag(client, spoilt)).doesNotContain(tag(client, whole));
    }

    @Test
    void a_bench_without_its_pull_is_found_and_one_closed_with_a_reason_is_not(Someone owner) {
        Client client = owner.client();
        String chamber = client.chamber("Room " + UUID.randomUUID().toString().substring(0, 6), 100_000);
        String open = client.hang(chamber, 4000).get(0);
        client.must(client.write(open, entry("PULLED", 3800)));
        client.must(client.write(open, pile("STEAK", 3000)));
        client.must(client.put(
                "/api/bench/%s/close/%s".formatted(open, UUID.randomUUID()),
                Map.of("answers", Map.of("residual-large", "A steak was eaten at the bench."))));
        assertThat(audit(owner).open()).as("somebody said why").isEmpty();
        String unpulled = client.cut();
        deleted(unpulled, "kind = 'PULLED'");
        assertThat(audit(owner).open()).containsExactly(tag(client, unpulled));
        assertThat(client.must(client.get("/api/evidence?by=CUT&measure=SHRINK"))
                        .body()
                        .path("shop")
                        .asInt())
                .as("the other is still shown")
                .isEqualTo(1);
    }
}
