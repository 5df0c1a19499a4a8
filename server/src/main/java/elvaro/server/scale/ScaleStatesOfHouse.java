package elvaro.server.scale;

import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.transaction.support.TransactionTemplate;
import tools.jackson.databind.json.JsonMapper;

/** Where the states of scales are kept, by how many nodes serve the house. */
@Configuration
class ScaleStatesOfHouse {
    @Bean
    ScaleStates scaleStates(
            @Value("${elvaro.nodes}") int nodes,
            JdbcClient database,
            TransactionTemplate transaction,
            JsonMapper json) {
        return nodes > 1 ? new StatesOfAllNodes(database, transaction, json) : new StatesHere();
    }
}
