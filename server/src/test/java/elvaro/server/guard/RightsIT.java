package elvaro.server.guard;

import static org.assertj.core.api.Assertions.assertThat;

import elvaro.server.support.Client;
import elvaro.server.support.RunningApp;
import elvaro.server.support.RunningApp.Someone;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.TreeMap;
import java.util.UUID;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.http.MediaType;

/**
 * Every route there is, tried by everybody there is; what they may is the table in docs/rights.md. To write it anew:
 * {@code -Drights.rewrite=true}, and read what has changed.
 */
@ExtendWith(RunningApp.class)
class RightsIT {
    private static final Path TABLE = Path.of("../docs/rights.md");
    private static final String BEGIN = "<!-- routes -->\n";
    private static final List<String> NOT_ENTERED =
            List.of("/error", "/api/openapi", "/api/openapi.yaml", "/api/openapi/{group}", "/api/openapi.yaml/{group}");

    /** Somebody's answer to a route: let in, or turned away before anything is looked at. */
    private static String tries(Client who, String method, String path, String type) {
        byte[] body = method.equals("GET") ? new byte[0] : "{}".getBytes(StandardCharsets.UTF_8);
        int status = who.bytes(method, path, type, body).statusCode();
        return status == 401 || status == 403 ? "–" : "yes";
    }

    @Test
    void who_may_call_what_is_as_the_table_says(Someone owner) throws IOException {
        Client stranger = new Client(RunningApp.port());
        stranger.get("/api/session"); // with a CSRF token, as a browser would have one
        Client hand = owner.benchHand();
        TreeMap<String, String> rows = new TreeMap<>();
        RunningApp.mapping()
                .getHandlerMethods()
                .forEach((route, handler) -> route.getMethodsCondition()
                        .getMethods()
                        .forEach(method -> route.getPatternValues().stream()
                                .filter(path -> !NOT_ENTERED.contains(path))
                                .forEach(path -> {
                                    String called = path.replaceAll(
                                            "\\{[^}]+}", UUID.randomUUID().toString());
                                    String type = route.getConsumesCondition().getConsumableMediaTypes().stream()
                                            .filter(MediaType::isConcrete)
                                            .findFirst()
                                            .map(MediaType::toString)
                                            .orElse("application/json");
                                    rows.put(
                                            path + " " + method,
                                            "| %s | `%s` | %s | %s | %s |"
                                                    .formatted(
                                                            method,
                                                            path,
                                                            tries(stranger, method.name(), called, type),
                                                            tries(hand, method.name(), called, type),
                                                            tries(owner.client(), method.name(), called, type)));
                                })));
        String found = String.join("\n", rows.values()) + "\n";
        String whole = Files.readString(TABLE);
        int begins = whole.indexOf(BEGIN) + BEGIN.length();
        String head = "| | route | stranger | bench hand | owner |\n|---|---|---|---|---|\n";
        if (Boolean.getBoolean("rights.rewrite")) {
            Files.writeString(TABLE, whole.substring(0, begins) + head + found);
        }
        assertThat(rows).hasSizeGreaterThan(150);
        assertThat(Files.readString(TABLE).substring(begins)).isEqualTo(head + found);
    }

    @Test
    void a_stranger_is_let_in_nowhere_but_at_the_doors() throws IOException {
        List<String> open = Files.readAllLines(TABLE).stream()
                .filter(line -> line.matches("\\| [A-Z]+ \\| .*"))
                .filter(line -> line.split("\\|")[3].strip().equals("yes"))
                .map(line -> line.split("`")[1])
                .collect(Collectors.toList());
        assertThat(open)
                .containsExactlyInAnyOrder(
                        "/api/session",
                        "/api/password-by-code",
                        "/api/setup",
                        // these are looked up by what stands in the address or its head: nothing is there for a
                        // stranger
                        "/calendar/{token}.ics",
                        "/shared/{kind}/pdf",
                        "/shared/{kind}/photos/{photoId}",
                        "/shared/{kind}/picture",
                        "/stop/{account}/{group}/{signature}",
                        "/stop/{account}/{group}/{signature}",
                        // the public part of a certificate
                        "/trust",
                        "/trust/house.crt",
                        "/taste/sheets/{sheetId}");
    }
}
