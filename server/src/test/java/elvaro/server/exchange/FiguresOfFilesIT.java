package elvaro.server.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import elvaro.server.support.Bodies;
import elvaro.server.support.Client;
import elvaro.server.support.PaperRead;
import elvaro.server.support.RunningApp;
import elvaro.server.support.RunningApp.Someone;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;

/** Files are for machines, paper is for its reader. */
@ExtendWith(RunningApp.class)
class FiguresOfFilesIT {
    @TempDir
    Path folder;

    private static void prefers(Client client, String weight, String temperature, String figures) {
        client.must(client.put(
                "/api/me/preferences",
                Map.of(
                        "weightUnit", weight,
                        "temperatureUnit", temperature,
                        "lengthUnit", "MM",
                        "theme", "LIGHT",
                        "figures", figures)));
    }

    @Test
    void a_file_is_the_same_for_every_reader_and_a_sheet_is_its_readers(Someone owner) throws Exception {
        Client client = owner.client();
        String piece = client.cut();
        JsonNode packs = client.must(client.put(
                        "/api/pieces/%s/packs".formatted(piece),
                        Map.of("packs", List.of(Bodies.packBody("STEAK", 1234)))))
                .body();
        String chamber =
                client.get("/api/pieces/" + piece).body().at("/card/chamberId").asString();
        client.must(client.pack(
                client.deviceToken(UUID.randomUUID().toString(), chamber), "[{\"n\":\"t\",\"u\":\"Cel\",\"v\":7.3}]"));
        List<String> files = List.of(
                "/api/pieces/%s/record.csv".formatted(piece),
                "/api/chambers/%s/record.csv?from=%s&to=%s"
                        .formatted(
                                chamber,
                                Bodies.today().minusDays(1),
                                Bodies.today().plusDays(1)),
                "/api/evidence/pieces.csv?by=CHAMBER&measure=SHRINK");
        String label =
                "/api/labels?size=THERMAL_100_50&packs=" + packs.at("/0/id").asString();
        prefers(client, "KG", "CELSIUS", "POINT_DAY_FIRST");
        List<String> before = files.stream().map(client::text).toList();
        assertThat(PaperRead.words(client, label, folder)).contains("1.234 kg");
        assertThat(before.get(1)).contains(",7.3,");
        prefers(client, "LB", "FAHRENHEIT", "COMMA_DAY_FIRST");
        assertThat(files.stream().map(client::text).toList()).isEqualTo(before);
        assertThat(PaperRead.words(client, label, folder)).contains("2,72 lb");
    }
}
