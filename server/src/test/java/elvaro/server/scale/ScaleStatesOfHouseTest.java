package elvaro.server.scale;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.Mockito.mock;

import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.transaction.support.TransactionTemplate;
import tools.jackson.databind.json.JsonMapper;

class ScaleStatesOfHouseTest {
    private static ScaleStates of(int nodes) {
        return new ScaleStatesOfHouse()
                .scaleStates(nodes, mock(JdbcClient.class), mock(TransactionTemplate.class), JsonMapper.shared());
    }

    @Test
    void several_nodes_find_the_figures_of_a_scale_in_the_database_and_one_alone_in_its_memory() {
        assertThat(of(2)).isInstanceOf(StatesOfAllNodes.class);
        assertThat(of(1)).isInstanceOf(StatesHere.class);
    }
}
