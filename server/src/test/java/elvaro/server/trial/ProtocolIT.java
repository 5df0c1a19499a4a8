package elvaro.server.trial;

import static org.assertj.core.api.Assertions.assertThat;

import elvaro.server.support.Api.Answer;
import elvaro.server.support.Bodies;
import elvaro.server.support.Client;
import elvaro.server.support.PaperRead;
import elvaro.server.support.Pictures;
import elvaro.server.support.RunningApp;
import elvaro.server.support.RunningApp.Someone;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.IntStream;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** Trials that leave the house: as a page behind a link, and as a file another house follows. */
@ExtendWith(RunningApp.class)
class ProtocolIT {
    private static final JsonMapper JSON = new JsonMapper();

    /** Two halves hung 30 days ago, honey on the second; both cut, so that honey lost so many grams less. */
    private static String honeyTrial(Client client, UUID protocol, int less) {
        String room =
                client.chamber("North Room " + UUID.randomUUID().toString().substring(0, 4), 100_000);
        List<String> halves = client.hangAgo(30, room, 30, 2000, 2000);
        Map<String, Object> honey = Bodies.treatmentBody("SUGAR_COAT");
        honey.putAll(Map.of("amount", 22, "measure", "GRAM", "basis", "KILOGRAM", "exactly", "buckwheat honey"));
        honey.put("answers", Map.of("clash-sugar-hides-mould", ""));
        client.must(client.give(halves.get(1), honey));
        String id = UUID.randomUUID().toString();
        Map<String, Object> body = new HashMap<>(Map.of(
                "question", "Does honey keep the water?",
                "factor", "TREATMENT",
                "measure", "SHRINK",
                "parts", List.of(),
                "answers", Map.of()));
        body.put("arms", List.of(arm("Plain", true, halves.get(0)), arm("Honey", false, halves.get(1))));
        body.put("protocolId", protocol == null ? null : protocol.toString());
        client.must(client.put("/api/trials/" + id, body));
        for (int half = 0; half < 2; half++) {
            int aged = 1660 + (half == 0 ? 0 : less);
            client.must(client.write(halves.get(half), Bodies.entry("PULLED", aged)));
            client.must(client.write(halves.get(half), Bodies.pile("STEAK", 1200)));
            client.must(client.write(halves.get(half), Bodies.pile("DISCARD", aged - 1200)));
            client.must(client.put(
                    "/api/bench/%s/close/%s".formatted(halves.get(half), UUID.randomUUID()),
                    Map.of("answers", Map.of())));
        }
        return id;
    }

    private static Map<String, Object> arm(String name, boolean control, String piece) {
        return Map.of("id", UUID.randomUUID().toString(), "name", name, "control", control, "pieces", List.of(piece));
    }

    private static Map<String, Object> file(Client client, String trial) {
        return JSON.convertValue(
                client.get("/api/trials/%s/protocol".formatted(trial)).body(), new TypeReference<>() {});
    }

    private static Answer takeIn(Client client, Map<String, ?> file) {
        return client.post("/api/protocols?as=" + UUID.randomUUID(), file);
    }

    @Test
    void a_protocol_goes_to_another_house_and_its_result_comes_back_and_is_pooled_with_each_house_to_be_seen(
            Someone owner, Someone stranger) {
        Client here = owner.client();
        Client there = stranger.client();
        String first = honeyTrial(here, null, 40);
        Map<String, Object> protocol = file(here, first);
        protocol.remove("result");
        JsonNode taken = there.must(takeIn(there, protocol)).body();
        JsonNode toDo = there.get(
                        "/api/protocols/%s/trial".formatted(taken.path("id").asString()))
                .body();
        assertThat(toDo.path("question").asString()).isEqualTo("Does honey keep the water?");
        assertThat(toDo.at("/arms/1/choices/0/setUp/treatments/0/exactly").asString())
                .isEqualTo("buckwheat honey");
        assertThat(toDo.at("/arms/1/choices/0/setUp").has("chamberId"))
                .as("its rooms are its own")
                .isFalse();

        String second =
                honeyTrial(there, UUID.fromString(toDo.path("protocolId").asString()), 60);
        Map<String, Object> result = file(there, second);
        result.put("house", "Marsh Decoy");
        here.must(takeIn(here, result));
        assertThat(takeIn(here, result).type()).isEqualTo("house-known");
        JsonNode houses =
                here.get("/api/trials/%s/houses".formatted(first)).body().path("houses");
        assertThat(houses.path("houses")
                        .valueStream()
                        .map(line -> line.path("sentence").asString()))
                .containsExactly(
                        "2.0 points less shrink against Plain, one pair",
                        "3.0 points less shrink against Plain, one pair");
        assertThat(houses.at("/together/0").asString())
                .startsWith("2 houses together, 2 pairs: Honey has")
                .contains("points less shrink than Plain");
    }

    @Test
    void a_file_that_is_none_changes_nothing_and_says_what_is_wrong(Someone owner, Someone stranger) {
        Client here = owner.client();
        Map<String, Object> protocol = file(here, honeyTrial(here, null, 40));
        Map<String, Object> wrong = new HashMap<>(protocol);
        wrong.put("version", 7);
        Answer answer = takeIn(stranger.client(), wrong);
        assertThat(answer.status()).isEqualTo(422);
        assertThat(answer.body().path("detail").asString()).contains("version that is not known here");
        wrong.put("version", 1);
        wrong.put("factor", "MOON");
        assertThat(takeIn(stranger.client(), wrong).status()).isIn(400, 422);
        assertThat(takeIn(stranger.client(), protocol).body().has("trialId"))
                .as("it was never begun there: it is begun, and the result waits beside it")
                .isFalse();
        assertThat(takeIn(here, protocol).type()).isEqualTo("own-result");
    }

    /** The schema in the handbook is what the API takes; -Dopenapi.rewrite=true writes it anew. */
    @Test
    void the_file_is_as_its_documented_schema_says(Someone owner, @TempDir Path folder) throws Exception {
        Path documented = Path.of("../docs/protocol.schema.json");
        ObjectNode schema = schema();
        if (Boolean.getBoolean("openapi.rewrite")) {
            Files.writeString(documented, JSON.writerWithDefaultPrettyPrinter().writeValueAsString(schema) + "\n");
        }
        assertThat(JSON.readTree(Files.readString(documented))).isEqualTo(schema);
        Client client = owner.client();
        Map<String, Object> file = file(client, honeyTrial(client, null, 40));
        assertThat(validates(folder, file)).isZero();
        file.put("piecesPerArm", "some");
        assertThat(validates(folder, file)).isNotZero();
    }

    private static ObjectNode schema() throws IOException {
        JsonNode parts =
                JSON.readTree(Files.readString(Path.of("../web/openapi.json"))).at("/components/schemas");
        ObjectNode schema = JSON.createObjectNode();
        schema.put("$schema", "https://json-schema.org/draft/2020-12/schema");
        schema.put("title", "Protocol of a trial, and what came of it");
        schema.put("$ref", "#/$defs/ProtocolFile");
        ObjectNode own = schema.putObject("$defs");
        for (String name : List.of("ProtocolFile", "ProtocolArm", "ProtocolTreatment", "ProtocolResult", "ArmResult")) {
            own.set(name, parts.path(name));
        }
        return (ObjectNode) JSON.readTree(schema.toString().replace("#/components/schemas/", "#/$defs/"));
    }

    /** python3-jsonschema of Debian, which knows nothing of us. */
    private static int validates(Path folder, Map<String, Object> file) throws Exception {
        Path record = Files.writeString(folder.resolve("file.json"), JSON.writeValueAsString(file));
        return new ProcessBuilder(
                        "python3", "-m", "jsonschema", "-i", record.toString(), "../docs/protocol.schema.json")
                .redirectErrorStream(true)
                .redirectOutput(folder.resolve("said").toFile())
                .start()
                .waitFor();
    }

    @Test
    void a_shared_trial_opens_without_an_account_says_nothing_private_and_closes_when_it_is_taken_back(Someone owner) {
        Client client = owner.client();
        String id = honeyTrial(client, null, 40);
        String share = "/api/share/TRIAL/%s".formatted(id);
        assertThat(owner.benchHand().put(share, Map.of()).status()).isEqualTo(403);
        String path =
                client.must(client.put(share, Map.of())).body().path("path").asString();
        assertThat(client.put(share, Map.of()).body().path("path").asString())
                .as("the same link")
                .isEqualTo(path);
        String token = path.substring("/s/trial/".length());
        assertThat(token).hasSizeGreaterThan(40);
        Answer page = client.phone("GET", "/shared/TRIAL", token, null);
        assertThat(page.status()).isEqualTo(200);
        assertThat(page.body().path("question").asString()).isEqualTo("Does honey keep the water?");
        assertThat(page.body().at("/answers/0").asString()).startsWith("Honey has 2.0 points less shrink");
        assertThat(page.body().at("/arms/1/done").asString()).contains("buckwheat honey");
        assertThat(page.body().toString())
                .doesNotContain("Hollin Farm")
                .doesNotContain("North Room")
                .doesNotContain("perKg")
                .doesNotContain("\"tag\"")
                .doesNotContain(id);
        assertThat(client.phone("GET", "/shared/PIECE", token, null).status())
                .as("a link opens what it was made for")
                .isEqualTo(401);
        client.must(client.send("DELETE", share, Map.of()));
        assertThat(client.phone("GET", "/shared/TRIAL", token, null).status()).isEqualTo(401);
        assertThat(client.get(share).body().has("path")).isFalse();
    }

    @Test
    void a_shared_trial_is_a_picture_and_a_pdf_in_the_colours_and_faces_of_the_screen(
            Someone owner, @TempDir Path folder) throws Exception {
        Client client = owner.client();
        String id = honeyTrial(client, null, 40);
        String token = client.share("TRIAL", id);
        byte[] png = client.opened("/shared/TRIAL/picture", token);
        BufferedImage picture = ImageIO.read(new ByteArrayInputStream(png));
        assertThat(picture.getWidth()).isEqualTo(1190);
        assertThat(picture.getHeight()).isBetween(1200, 6000);
        for (int part : List.of(0x7a1f22, 0x8a5a3c, 0x8fa3a6)) {
            assertThat(IntStream.range(0, picture.getWidth() * picture.getHeight())
                            .filter(dot -> (picture.getRGB(dot % 1190, dot / 1190) & 0xffffff) == part)
                            .count())
                    .as("steak, trim and water: %x", part)
                    .isGreaterThan(1000);
        }
        Path pdf = Files.write(folder.resolve("trial.pdf"), client.opened("/shared/TRIAL/pdf", token));
        assertThat(PaperRead.run("pdftotext", pdf.toString(), "-"))
                .contains("Does honey keep the water?", "Honey has 2.0 points less shrink", "Local law")
                .doesNotContain("Hollin Farm", "North Room");
        assertThat(PaperRead.run("pdffonts", pdf.toString())).contains("Archivo", "Rokkitt");
    }

    @Test
    void photos_of_looks_stand_on_the_page_and_on_the_paper_of_a_trial_and_of_a_piece(
            Someone owner, @TempDir Path folder) throws Exception {
        Client client = owner.client();
        List<String> halves = client.hang(client.chamber("Cabinet", 50_000), 2000, 2000);
        String trial = UUID.randomUUID().toString();
        client.must(client.put(
                "/api/trials/" + trial,
                Map.of(
                        "question",
                        "Does it darken?",
                        "factor",
                        "TREATMENT",
                        "measure",
                        "SHRINK",
                        "parts",
                        List.of(),
                        "answers",
                        Map.of(),
                        "arms",
                        List.of(arm("One", true, halves.get(0)), arm("Other", false, halves.get(1))))));
        String look = UUID.randomUUID().toString();
        String looked = "/api/pieces/%s/looks/%s".formatted(halves.get(1), look);
        client.must(client.put(looked, Bodies.lookBody()));
        String photo = UUID.randomUUID().toString();
        client.bytes("PUT", looked + "/photos/" + photo, Pictures.picture("jpg", 640, 480));
        for (Map.Entry<String, String> shown :
                Map.of("TRIAL", trial, "PIECE", halves.get(1)).entrySet()) {
            String page = "/shared/" + shown.getKey();
            String token = client.share(shown.getKey(), shown.getValue());
            assertThat(client.phone("GET", page, token, null).body().toString()).contains(photo);
            assertThat(ImageIO.read(new ByteArrayInputStream(client.opened(page + "/photos/" + photo, token)))
                            .getWidth())
                    .isEqualTo(640);
            Path pdf = Files.write(folder.resolve("photo.pdf"), client.opened(page + "/pdf", token));
            assertThat(PaperRead.run("pdfimages", "-list", pdf.toString()))
                    .as(page)
                    .containsPattern("640\\s+480 .*jpeg");
        }
        assertThat(client.phone("GET", "/shared/TRIAL/photos/" + UUID.randomUUID(), client.share("TRIAL", trial), null)
                        .status())
                .isEqualTo(404);
    }

    @Test
    void a_shared_piece_shows_its_weights_and_no_price(Someone owner, @TempDir Path folder) throws Exception {
        Client client = owner.client();
        String piece = client.cut();
        String token = client.share("PIECE", piece);
        JsonNode page = client.phone("GET", "/shared/PIECE", token, null).body();
        assertThat(page.at("/ledger/steakYield").asDouble()).isEqualTo(0.75);
        assertThat(page.toString()).doesNotContain("cost").doesNotContain("Hollin Farm");
        byte[] png = client.opened("/shared/PIECE/picture", token);
        assertThat(ImageIO.read(new ByteArrayInputStream(png)).getHeight()).isBetween(500, 6000);
        Path pdf = Files.write(folder.resolve("piece.pdf"), client.opened("/shared/PIECE/pdf", token));
        assertThat(PaperRead.run("pdftotext", pdf.toString(), "-"))
                .contains("75.0 % steak", "Local law")
                .doesNotContain("Hollin Farm");
    }
}
