package elvaro.server.shared;

import static org.assertj.core.api.Assertions.assertThat;

import elvaro.server.support.RunningApp;
import elvaro.server.support.RunningApp.Someone;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
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
    private static final Path OF_THE_SCREENS = Path.of("../web/openapi.json");
    private static final Path OF_PROGRAMS = Path.of("../docs/api.json");

    private static final JsonMapper JSON = JsonMapper.builder()
            .enable(SerializationFeature.INDENT_OUTPUT)
            .enable(SerializationFeature.ORDER_MAP_ENTRIES_BY_KEYS)
            .build();

    @Test
    void the_committed_document_is_the_servers_own(Someone owner) throws Exception {
        ObjectNode document =
                (ObjectNode) owner.client().get("/api/openapi/screens").body();
        document.remove("servers"); // holds the random port
        isCommitted(document, OF_THE_SCREENS);
        assertThat(document.path("paths").propertyNames()).noneMatch(path -> path.startsWith("/api/v1"));
    }

    @Test
    void the_description_for_other_programs_is_the_servers_own_and_passes_a_strict_linter(Someone owner)
            throws Exception {
        isCommitted((ObjectNode) owner.client().get("/api/openapi/programs").body(), OF_PROGRAMS);
        ProcessBuilder linter = new ProcessBuilder(
                        "node",
                        "node_modules/@redocly/cli/bin/cli.js",
                        "lint",
                        "--extends=recommended-strict",
                        "../docs/api.json")
                .directory(Path.of("../web").toFile())
                .redirectErrorStream(true);
        linter.environment().put("REDOCLY_TELEMETRY", "off");
        linter.environment().put("REDOCLY_SUPPRESS_UPDATE_NOTICE", "true");
        Process linting = linter.start();
        String says = new String(linting.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        assertThat(linting.waitFor()).as(says).isZero();
    }

    private static void isCommitted(ObjectNode document, Path file) throws IOException {
        String offered = JSON.writeValueAsString(JSON.treeToValue(document, java.util.TreeMap.class)) + "\n";
        if (Boolean.getBoolean("openapi.rewrite")) {
            Files.writeString(file, offered);
        }
        assertThat(JSON.readTree(Files.readString(file)))
                .as("run the tests with -Dopenapi.rewrite=true and commit " + file)
                .isEqualTo(JSON.readTree(offered));
    }
}
