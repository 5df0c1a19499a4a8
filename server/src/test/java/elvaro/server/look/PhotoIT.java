package elvaro.server.look;

import static org.assertj.core.api.Assertions.assertThat;

import elvaro.server.support.Bodies;
import elvaro.server.support.Client;
import elvaro.server.support.Pictures;
import elvaro.server.support.RunningApp;
import elvaro.server.support.RunningApp.Someone;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** Pictures at any moment of a piece, and the story they tell. */
@ExtendWith(RunningApp.class)
class PhotoIT {

    private static String take(Client client, String piece, String shows, long daysAgo) {
        String id = UUID.randomUUID().toString();
        String at = Instant.now().minusSeconds(daysAgo * 86_400).toString();
        String path = "/api/pieces/%s/photos/%s?shows=%s&at=%s".formatted(piece, id, shows, at);
        byte[] picture = Pictures.picture("jpg", 1200, 900);
        assertThat(client.bytes("PUT", path, picture).statusCode()).isEqualTo(204);
        assertThat(client.bytes("PUT", path, picture).statusCode())
                .as("sent again")
                .isEqualTo(204);
        return id;
    }

    private static JsonNode story(Client client, String piece) {
        return client.get("/api/pieces/%s/photos".formatted(piece)).body();
    }

    @Test
    void a_piece_tells_its_story_by_day_weight_and_look_beside_its_twin(Someone owner) throws IOException {
        Client client = owner.client();
        List<String> halves = client.hangAgo(20, client.chamber("Room", 100_000), 35, 4000, 4000);
        String piece = halves.get(0);
        take(client, piece, "AS_HUNG", 20);
        String dayFourteen = take(client, piece, "HANGING", 6);
        String twin = take(client, halves.get(1), "HANGING", 5);
        client.must(client.write(piece, Bodies.entry("WEIGHED", 3600)));
        String look = UUID.randomUUID().toString();
        client.must(client.put("/api/pieces/%s/looks/%s".formatted(piece, look), Bodies.lookBody()));
        assertThat(client.bytes(
                                "PUT",
                                "/api/pieces/%s/looks/%s/photos/%s".formatted(piece, look, UUID.randomUUID()),
                                Pictures.picture("jpg", 640, 480))
                        .statusCode())
                .isEqualTo(204);
        JsonNode told = story(client, piece);
        assertThat(told.valueStream().map(photo -> photo.path("day").asInt())).containsExactly(0, 14, 20);
        assertThat(told.at("/0/label").asString()).isEqualTo("as hung");
        assertThat(told.at("/0/grams").asInt()).isEqualTo(4000);
        assertThat(told.at("/2/grams").asInt()).isEqualTo(3600);
        assertThat(told.at("/2/seen").asString()).contains("dark red");
        assertThat(told.at("/2/answer").asString()).isEqualTo("CARRY_ON");
        assertThat(told.at("/1/id").asString()).isEqualTo(dayFourteen);
        assertThat(told.at("/1/twins/0/photoId").asString()).isEqualTo(twin);
        assertThat(told.at("/1/twins/0/day").asInt()).isEqualTo(15);
        assertThat(told.at("/0/twins")).isEmpty();
        String address = "/api/pieces/%s/photos/%s".formatted(piece, dayFourteen);
        BufferedImage whole = ImageIO.read(new ByteArrayInputStream(
                client.bytes("GET", address, new byte[0]).body()));
        BufferedImage thumbnail = ImageIO.read(new ByteArrayInputStream(
                client.bytes("GET", address + "?thumbnail=true", new byte[0]).body()));
        assertThat(whole.getWidth()).isEqualTo(1200);
        assertThat(thumbnail.getWidth()).isEqualTo(240);
        assertThat(client.get("/api/pieces/%s/photos/%s".formatted(piece, twin)).status())
                .as("it is the twin's")
                .isEqualTo(404);
    }

    @Test
    void a_finished_piece_takes_a_picture_of_its_plate_and_none_of_tomorrow(Someone owner) {
        Client client = owner.client();
        String piece = client.cut();
        take(client, piece, "PLATE", 0);
        assertThat(story(client, piece).at("/0/label").asString()).isEqualTo("on the plate");
        String path = "/api/pieces/%s/photos/%s?shows=PLATE".formatted(piece, UUID.randomUUID());
        assertThat(new String(client.bytes(
                                "PUT",
                                path + "&at=" + Instant.now().plusSeconds(86_400),
                                Pictures.picture("jpg", 64, 48))
                        .body()))
                .contains("future-date");
        assertThat(new String(client.bytes("PUT", path, "no picture".getBytes()).body()))
                .contains("no-picture");
    }
}
