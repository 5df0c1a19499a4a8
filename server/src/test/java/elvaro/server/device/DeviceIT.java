package elvaro.server.device;

import static org.assertj.core.api.Assertions.assertThat;

import elvaro.server.support.Api.Answer;
import elvaro.server.support.Client;
import elvaro.server.support.RunningApp;
import elvaro.server.support.RunningApp.Someone;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.simple.JdbcClient;

/** Who may speak for a device, and who may say so. */
@ExtendWith(RunningApp.class)
class DeviceIT {
    private static final String WEIGHT = "[{\"n\":\"scale\",\"u\":\"kg\",\"v\":4.2}]";

    private static int weigh(String token) {
        return new Client(RunningApp.port())
                .device("/devices/weights", token, WEIGHT)
                .status();
    }

    @Test
    void a_token_is_told_once_and_only_its_hash_is_kept(Someone owner, JdbcClient database) {
        Client client = owner.client();
        String id = UUID.randomUUID().toString();
        String token = client.deviceToken(id, null);
        Answer again = client.must(client.put("/api/devices/" + id, Map.of("name", "Device of null")));
        assertThat(again.body().path("token").isMissingNode()
                        || again.body().path("token").isNull())
                .isTrue();
        assertThat(client.get("/api/devices").body().size()).isEqualTo(1);
        assertThat(client.get("/api/devices").body().toString()).doesNotContain(token);
        String row = database.sql("select * from device where id = ?")
                .param(id)
                .query()
                .singleRow()
                .toString();
        assertThat(row).doesNotContain(token);
        assertThat(weigh(token)).isEqualTo(204);
    }

    @Test
    void a_renewed_token_ends_the_old_one_and_a_device_shut_out_stays_so(Someone owner) {
        Client client = owner.client();
        String id = UUID.randomUUID().toString();
        String old = client.deviceToken(id, null);
        String renewed = client.must(client.put("/api/devices/%s/token".formatted(id), Map.of("version", 0)))
                .body()
                .path("token")
                .asString();
        assertThat(weigh(old)).isEqualTo(401);
        assertThat(weigh(renewed)).isEqualTo(204);
        assertThat(client.put("/api/devices/%s/revoke".formatted(id), Map.of("version", 0))
                        .type())
                .isEqualTo("changed-meanwhile");
        client.must(client.put("/api/devices/%s/revoke".formatted(id), Map.of("version", 1)));
        client.must(client.put("/api/devices/%s/revoke".formatted(id), Map.of("version", 1)));
        assertThat(weigh(renewed)).isEqualTo(401);
        assertThat(client.put("/api/devices/%s/token".formatted(id), Map.of("version", 2))
                        .type())
                .isEqualTo("device-revoked");
        assertThat(client.get("/api/scales/%s/figures".formatted(id)).status()).isEqualTo(404);
    }

    @Test
    void a_bench_hand_sees_devices_and_changes_none(Someone owner) {
        Client idris = owner.benchHand();
        String id = UUID.randomUUID().toString();
        owner.client().deviceToken(id, null);
        assertThat(idris.get("/api/devices").body().size()).isEqualTo(1);
        assertThat(idris.put("/api/devices/" + UUID.randomUUID(), Map.of("name", "Mine"))
                        .status())
                .isEqualTo(403);
        assertThat(idris.put("/api/devices/%s/token".formatted(id), Map.of("version", 0))
                        .status())
                .isEqualTo(403);
        assertThat(idris.put("/api/devices/%s/revoke".formatted(id), Map.of("version", 0))
                        .status())
                .isEqualTo(403);
    }
}
