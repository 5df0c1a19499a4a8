package elvaro.server.scale;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import elvaro.core.weighing.StableWeight.Figure;
import elvaro.core.weighing.StableWeight.Shown;
import elvaro.server.shared.RetriedTransaction;
import elvaro.server.support.RunningApp;
import elvaro.server.support.RunningApp.Someone;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import javax.sql.DataSource;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.jdbc.support.JdbcTransactionManager;
import tools.jackson.databind.json.JsonMapper;

@ExtendWith(RunningApp.class)
class StatesOfAllNodesIT {
    private static final Instant NOW = Instant.parse("2026-11-30T08:00:00Z");

    /** As a balancer spreads them: every other figure comes to the other node. */
    @Test
    void a_scale_comes_to_rest_is_tared_and_watched_whichever_node_its_figures_come_to(
            Someone owner, DataSource source) {
        UUID scale = UUID.randomUUID();
        owner.client().deviceToken(scale.toString(), null);
        List<ScaleStates> nodes = List.of(node(source), node(source));
        assertThat(nodes.get(0).after(scale, -1)).isEmpty();
        Shown shown = figures(nodes, scale, NOW, 850);
        assertThat(shown.steady()).isTrue();
        Instant rested = NOW.plusMillis(1400);
        Shown tared = nodes.get(0).change(scale, 1, state -> state.tared(rested, 1));
        assertThat(tared.tareGrams()).isEqualTo(850);
        assertThat(figures(nodes, scale, rested, 5065).grams()).isEqualTo(4215);
        var seen = nodes.get(0).after(scale, -1).orElseThrow();
        assertThat(seen.shown())
                .isEqualTo(nodes.get(1).after(scale, -1).orElseThrow().shown());
        assertThat(seen.shown().laying()).isEqualTo(2);
        assertThat(nodes.get(1).after(scale, seen.number())).as("nothing new").isEmpty();
    }

    @Test
    void what_is_refused_changes_nothing(Someone owner, DataSource source) {
        UUID scale = UUID.randomUUID();
        owner.client().deviceToken(scale.toString(), null);
        ScaleStates states = node(source);
        assertThatThrownBy(() -> states.change(scale, 1, state -> state.tared(NOW, 1)))
                .hasMessageContaining("not at rest");
        assertThat(states.after(scale, -1)).isEmpty();
    }

    private static Shown figures(List<ScaleStates> nodes, UUID scale, Instant from, double grams) {
        Shown shown = null;
        for (int each = 1; each <= 7; each++) {
            Figure figure = new Figure(from.plusMillis(200L * each), grams, false);
            shown = nodes.get(each % 2).change(scale, 1, state -> state.with(figure, 1));
        }
        return shown;
    }

    private static ScaleStates node(DataSource source) {
        return new StatesOfAllNodes(
                JdbcClient.create(source),
                new RetriedTransaction(new JdbcTransactionManager(source)),
                new JsonMapper());
    }
}
