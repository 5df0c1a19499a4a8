package elvaro.server.look;

import static elvaro.server.support.Bodies.lookBody;
import static elvaro.server.support.Pictures.picture;
import static org.assertj.core.api.Assertions.assertThat;

import elvaro.server.support.Api.Answer;
import elvaro.server.support.Bodies;
import elvaro.server.support.Client;
import elvaro.server.support.RunningApp;
import elvaro.server.support.RunningApp.Someone;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** Looks: what is answered, what it makes due, what is thrown away, and what becomes of pictures. */
@ExtendWith(RunningApp.class)
class LookIT {
    private static String hang(Client client) {
        return client.hangAgo(3, client.chamber("Cabinet", 90_000), 28, 4000).get(0);
    }

    private static String wrapped(Client client) {
        String lot = UUID.randomUUID().toString();
        client.must(client.post("/api/lots", Bodies.lotBody(lot, 4000)));
        Map<String, Object> piece =
                Bodies.hangBody(UUID.randomUUID().toString(), client.chamber("Pantry", 90_000), 4000);
        piece.put("method", "MEMBRANE");
        piece.put("hungOn", Bodies.today().minusDays(5).toString());
        client.must(client.post("/api/lots/" + lot + "/pieces", Map.of("pieces", List.of(piece), "answers", Map.of())));
        return String.valueOf(piece.get("id"));
    }

    private static JsonNode keep(Client client, String piece, Map<String, Object> look) {
        return client.must(client.put("/api/pieces/%s/looks/%s".formatted(piece, UUID.randomUUID()), look))
                .body()
                .get(0);
    }

    private static List<String> due(Client client, String piece) {
        return client.get("/api/room")
                .body()
                .path("due")
                .valueStream()
                .filter(each -> each.at("/subject/id").asString("").equals(piece))
                .map(each -> each.path("work").asString())
                .toList();
    }

    @Test
    void a_look_is_answered_with_its_reason_and_kept_once(Someone owner) {
        Client client = owner.client();
        String piece = hang(client);
        String path = "/api/pieces/%s/looks/%s".formatted(piece, UUID.randomUUID());
        client.must(client.put(path, lookBody("surface", "WET")));
        JsonNode looks =
                client.must(client.put(path, lookBody("surface", "WET"))).body();
        assertThat(looks.size()).isEqualTo(1);
        assertThat(client.put(path, lookBody("surface", "DRY")).type())
                .as("another look under its id is told")
                .isEqualTo("id-used");
        assertThat(looks.at("/0/answer").asString()).isEqualTo("ACT");
        assertThat(looks.at("/0/observed/surface").asString()).isEqualTo("WET");
        assertThat(looks.at("/0/because/0/rule").asString()).isEqualTo("WET");
        assertThat(looks.at("/0/by").asString()).isEqualTo("Owner");
        Answer contradiction =
                client.put("/api/pieces/%s/looks/%s".formatted(piece, UUID.randomUUID()), lookBody("extent", "MOST"));
        assertThat(contradiction.status()).isEqualTo(422);
        assertThat(client.write(piece, Bodies.entry("LOOKED", 0)).type()).isEqualTo("wrong-kind");
    }

    @Test
    void a_leak_makes_its_task_until_it_is_resealed(Someone owner) {
        Client client = owner.client();
        String piece = wrapped(client);
        int whole = atThePull(client, piece);
        keep(client, piece, lookBody("liftedPercent", 30));
        int open = atThePull(client, piece);
        assertThat(open).as("it dries faster while it leaks").isLessThan(whole - 20);
        assertThat(due(client, piece)).contains("RESEAL");
        assertThat(client.text("/api/calendar.ics")).contains("SUMMARY:Reseal").doesNotContain("null");
        client.must(client.write(piece, Bodies.entry("RESEALED", 0)));
        assertThat(due(client, piece)).doesNotContain("RESEAL");
        assertThat(atThePull(client, piece)).isGreaterThan(open + 20).isLessThanOrEqualTo(whole);
    }

    private static int atThePull(Client client, String piece) {
        return client.get("/api/pieces/" + piece)
                .body()
                .at("/card/expectedPullGrams")
                .asInt();
    }

    @Test
    void what_must_stop_is_due_first_until_the_part_is_cut_away_and_counts_as_discard(Someone owner) {
        Client client = owner.client();
        String piece = hang(client);
        JsonNode look = keep(client, piece, lookBody("surface", "SLIMY"));
        assertThat(look.path("discard").asString()).isEqualTo("PART");
        assertThat(due(client, piece).get(0)).isEqualTo("STOP");
        client.must(client.write(piece, Bodies.entry("CUT_AWAY", 300)));
        assertThat(due(client, piece)).doesNotContain("STOP");
        JsonNode ledger = client.get("/api/pieces/" + piece).body().path("ledger");
        assertThat(ledger.path("cutAwayGrams").asInt()).isEqualTo(300);
        assertThat(ledger.path("discardFraction").asDouble()).isEqualTo(0.075);
        assertThat(ledger.path("agedGrams").asInt()).isEqualTo(3700);
        assertThat(ledger.path("shrinkGrams").asInt()).isZero();
    }

    @Test
    void a_look_that_is_taken_back_asks_for_nothing(Someone owner) {
        Client client = owner.client();
        String piece = hang(client);
        String look = keep(client, piece, lookBody("smell", "SOUR")).path("id").asString();
        Map<String, Object> back = Bodies.entry("TAKEN_BACK", 0);
        back.put("corrects", look);
        client.must(client.write(piece, back));
        assertThat(due(client, piece)).doesNotContain("STOP");
        assertThat(client.get("/api/pieces/%s/looks".formatted(piece))
                        .body()
                        .at("/0/stands")
                        .asBoolean())
                .isFalse();
    }

    @Test
    void a_whole_piece_is_thrown_away_in_one_step_and_its_ledger_closes(Someone owner) {
        Client client = owner.client();
        String piece = hang(client);
        keep(client, piece, lookBody("smell", "PUTRID", "depth", "THROUGH"));
        String path = "/api/pieces/%s/discard/%s".formatted(piece, UUID.randomUUID());
        Map<String, Object> body =
                Map.of("grams", 3900, "words", "Putrid to the bone.", "answers", Map.of("surprising", ""));
        client.must(client.put(path, body));
        client.must(client.put(path, body));
        JsonNode view = client.get("/api/pieces/" + piece).body();
        assertThat(view.at("/card/state").asString()).isEqualTo("CUT");
        assertThat(view.at("/ledger/piles/DISCARD").asInt()).isEqualTo(3900);
        assertThat(view.at("/ledger/residualGrams").asInt()).isZero();
        assertThat(due(client, piece)).isEmpty();
    }

    @Test
    void a_turn_in_the_log_is_the_turn_of_the_plan(Someone owner) {
        Client client = owner.client();
        String piece =
                client.hangAgo(8, client.chamber("Cabinet", 90_000), 28, 4000).get(0);
        assertThat(due(client, piece)).contains("TURN", "LOOK");
        client.must(client.write(piece, Bodies.entry("TURNED", 0)));
        keep(client, piece, lookBody());
        assertThat(due(client, piece)).doesNotContain("TURN", "LOOK");
    }

    /** The picture with a camera's block of place and time before its points: EXIF, turned a quarter to the right. */
    private static byte[] withExif(byte[] jpeg) throws IOException {
        byte[] exif = ("Exif\0\0MM\0\u002a\0\0\0\u0008\0\u0001\u0001\u0012\0\u0003\0\0\0\u0001\0\u0006\0\0\0\0\0\0"
                        + "GPS 47.000 N 8.000 E")
                .getBytes(StandardCharsets.ISO_8859_1);
        ByteArrayOutputStream whole = new ByteArrayOutputStream();
        whole.write(jpeg, 0, 2);
        int length = exif.length + 2;
        whole.write(new byte[] {(byte) 0xFF, (byte) 0xE1, (byte) (length >> 8), (byte) length});
        whole.write(exif);
        whole.write(jpeg, 2, jpeg.length - 2);
        return whole.toByteArray();
    }

    @Test
    void a_picture_is_made_small_turned_upright_and_says_nothing_of_place(Someone owner) throws IOException {
        Client client = owner.client();
        String piece = hang(client);
        String look = keep(client, piece, lookBody()).path("id").asString();
        String path = "/api/pieces/%s/looks/%s/photos/%s".formatted(piece, look, UUID.randomUUID());
        byte[] sent = withExif(picture("jpg", 3200, 1600));
        assertThat(client.bytes("PUT", path, sent).statusCode()).isEqualTo(204);
        assertThat(client.bytes("PUT", path, sent).statusCode()).isEqualTo(204);
        byte[] kept = client.bytes("GET", path, new byte[0]).body();
        BufferedImage image = ImageIO.read(new ByteArrayInputStream(kept));
        assertThat(image.getWidth()).isEqualTo(800);
        assertThat(image.getHeight()).isEqualTo(1600);
        assertThat(new String(kept, StandardCharsets.ISO_8859_1)).doesNotContain("Exif", "GPS");
        assertThat(client.get("/api/pieces/%s/looks".formatted(piece))
                        .body()
                        .at("/0/photos")
                        .size())
                .isEqualTo(1);
    }

    @Test
    void what_is_no_picture_or_too_large_is_turned_away(Someone owner) throws IOException {
        Client client = owner.client();
        String piece = hang(client);
        String look = keep(client, piece, lookBody()).path("id").asString();
        String path = "/api/pieces/%s/looks/%s/photos/".formatted(piece, look);
        byte[] script = "<svg xmlns='http://www.w3.org/2000/svg'><script/></svg>".getBytes(StandardCharsets.UTF_8);
        assertThat(client.bytes("PUT", path + UUID.randomUUID(), script).statusCode())
                .isEqualTo(422);
        assertThat(client.bytes("PUT", path + UUID.randomUUID(), picture("gif", 10, 10))
                        .statusCode())
                .isEqualTo(422);
        byte[] cut = java.util.Arrays.copyOf(picture("png", 400, 400), 60);
        assertThat(client.bytes("PUT", path + UUID.randomUUID(), cut).statusCode())
                .isEqualTo(422);
        byte[] bomb = picture("png", 10, 10);
        bomb[18] = 0x7F; // the width in the head of the file: 32 thousand by 32 thousand and more
        bomb[22] = 0x7F;
        assertThat(client.bytes("PUT", path + UUID.randomUUID(), bomb).statusCode())
                .isEqualTo(413);
        assertThat(client.bytes("PUT", path + UUID.randomUUID(), new byte[15_000_001])
                        .statusCode())
                .isEqualTo(413);
    }
}
