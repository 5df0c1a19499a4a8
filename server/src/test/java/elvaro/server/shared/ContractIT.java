package elvaro.server.shared;

import static org.assertj.core.api.Assertions.assertThat;

import elvaro.server.support.RunningApp;
import elvaro.server.support.RunningApp.Someone;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** The committed OpenAPI document, from which the web app's types are made, is what the server really offers. */
@ExtendWith(RunningApp.class)
class ContractIT {
    private static final Path COMMITTED = Path.of("../web/openapi.json");

    private static final JsonMapper JSON = JsonMapper.builder()
            .enable(SerializationFeature.INDENT_OUTPUT)
            .enable(SerializationFeature.ORDER_MAP_ENTRIES_BY_KEYS)
            .build();

    @Test
    void the_committed_document_is_the_servers_own(Someone owner) throws Exception {
        ObjectNode document = (ObjectNode) owner.client().get("/api/openapi").body();
        document.remove("servers"); // holds the random port
        String offered = JSON.writeValueAsString(JSON.treeToValue(document, java.util.TreeMap.class)) + "\n";
        if (Boolean.getBoolean("openapi.rewrite")) {
            Files.writeString(COMMITTED, offered);
        }
        assertThat(JSON.readTree(Files.readString(COMMITTED)))
                .as("run the tests with -Dopenapi.rewrite=true and commit web/openapi.json")
                .isEqualTo(JSON.readTree(offered));
    }
}
