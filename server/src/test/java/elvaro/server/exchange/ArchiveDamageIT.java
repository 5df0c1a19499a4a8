package elvaro.server.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import elvaro.server.chain.HouseKey;
import elvaro.server.support.Bodies;
import elvaro.server.support.Client;
import elvaro.server.support.RunningApp;
import elvaro.server.support.RunningApp.Someone;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.simple.JdbcClient;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** What was damaged on the way, or made to do harm, is refused with a sentence and changes nothing: a thousand of them. */
@ExtendWith(RunningApp.class)
class ArchiveDamageIT {
    private static final long SEED = 20_261_126;
    private static final List<String> TABLES = List.of(
            "account", "chamber", "lot", "piece", "log_entry", "pack", "making", "air_source", "workshop_change");

    private final Random random = new Random(SEED);
    private final Someone from = RunningApp.newWorkshop();
    private final Someone into = RunningApp.newWorkshop();
    private final JdbcClient database;
    private final byte[] archive;
    private long changes;
    private int refused;

    ArchiveDamageIT(JdbcClient database) throws IOException {
        this.database = database;
        Client client = from.client();
        String pack = client.packed();
        client.must(client.put("/api/makings/" + UUID.randomUUID(), Bodies.makingBody("GRIND", 490, pack, 500)));
        String chamber = client.chamber("Cold room", 100_000);
        String piece = client.hang(chamber, 4000).get(0);
        client.must(client.put("/api/pieces/%s/looks/%s".formatted(piece, UUID.randomUUID()), Bodies.lookBody()));
        client.must(client.give(piece, Bodies.treatmentBody("PASTE")));
        client.must(client.put("/api/carcasses/" + UUID.randomUUID(), Bodies.carcassBody(chamber, 40_000)));
        client.must(client.pack(
                client.deviceToken(UUID.randomUUID().toString(), chamber),
                "[{\"n\":\"t\",\"u\":\"Cel\",\"v\":2,\"bt\":1767600000},{\"n\":\"h\",\"u\":\"%RH\",\"v\":80}]"));
        archive = Carried.from(client);
        into.client().chamber("Ours", 100_000);
        changes = changes();
    }

    @Test
    void a_thousand_damaged_archives_are_refused_and_change_nothing() throws IOException {
        for (int each = 0; each < 375; each++) {
            refuses("cut", Arrays.copyOf(archive, random.nextInt(archive.length)));
            refuses("flipped", flipped());
        }
        for (int each = 0; each < 150; each++) {
            refuses("retyped", Carried.sealed(retyped()));
        }
        for (int each = 0; each < 50; each++) {
            refuses("huge", Carried.sealed(huge()));
            refuses("bomb", bomb());
        }
        assertThat(refused).isEqualTo(1000);

        // That it was the damage: whole, it is taken in.
        assertThat(Carried.take(into.client(), archive, false).has("taken")).isTrue();
        assertThat(into.client().get("/api/lots").body()).isNotEmpty();
    }

    private void refuses(String how, byte[] damaged) {
        JsonNode answer = Carried.take(into.client(), damaged, false);
        assertThat(answer.path("refused").asString(""))
                .as("%s, number %d, seed %d: %s", how, refused, SEED, answer)
                .contains("othing was taken in");
        assertThat(changes()).as("%s, number %d, seed %d", how, refused, SEED).isEqualTo(changes);
        refused++;
    }

    /** Every row of the workshop that an archive could have touched. */
    private long changes() {
        return database.sql(TABLES.stream()
                        .map("(select count(*) from %s where workshop_id = :house)"::formatted)
                        .collect(Collectors.joining(" + 31 * ", "select ", "")))
                .param("house", into.person().workshopId())
                .query(Long.class)
                .single();
    }

    private byte[] flipped() {
        byte[] flipped = archive.clone();
        flipped[random.nextInt(flipped.length)] ^= (byte) (1 << random.nextInt(8));
        return flipped;
    }

    /** One value of one row is not what it must be; the seal is made anew. */
    private ObjectNode retyped() throws IOException {
        ObjectNode tree = Carried.opened(archive).tree();
        List<String> tables = tree.propertyNames().stream()
                .filter(name -> tree.get(name).isArray() && !tree.get(name).isEmpty())
                .toList();
        String table = tables.get(random.nextInt(tables.size()));
        ArrayNode rows = (ArrayNode) tree.get(table);
        ObjectNode row = (ObjectNode) rows.get(random.nextInt(rows.size()));
        List<String> columns = List.copyOf(row.propertyNames());
        String column = columns.get(random.nextInt(columns.size()));
        switch (random.nextInt(7)) {
            case 0 -> row.put("nothing_known", 1);
            case 1 -> row.putObject(column);
            case 2 -> {
                JsonNode value = row.get(column);
                row.putArray(column).add(value);
            }
            case 3 -> {
                if (row.get(column).isString()) {
                    row.put(column, 7);
                } else {
                    row.put(column, "seven");
                }
            }
            case 4 -> rows.remove(0);
            case 5 -> {
                rows.add(row);
                ((ObjectNode) tree.get("rows")).put(table, rows.size());
                if (table.equals("person") || table.equals("air_reading")) {
                    row.remove("id"); // one person or moment twice would be no harm
                    row.remove("chamber_id");
                }
            }
            default -> {
                if (table.equals("log_entry")) {
                    row.put("piece_id", UUID.randomUUID().toString());
                } else {
                    tree.remove(table);
                }
            }
        }
        return tree;
    }

    /** A value beyond all bounds. */
    private ObjectNode huge() throws IOException {
        ObjectNode tree = Carried.opened(archive).tree();
        ObjectNode entry = (ObjectNode) tree.get("log_entry").get(0);
        switch (random.nextInt(4)) {
            case 0 -> entry.put("words", "x".repeat(3000 + random.nextInt(100_000)));
            case 1 -> entry.put("grams", 1L << (31 + random.nextInt(30)));
            case 2 -> entry.put("grams", new java.math.BigDecimal("1e" + (1000 + random.nextInt(100_000))));
            default -> entry.put("happened_at", "+%d-01-01T00:00:00Z".formatted(10_000 + random.nextInt(100_000)));
        }
        return tree;
    }

    /** Small on the way, many megabytes when it is unpacked. */
    private byte[] bomb() throws IOException {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        ZipOutputStream zip = new ZipOutputStream(new Sealed.SealedStream(bytes, RunningApp.bean(HouseKey.class)));
        zip.setComment(Sealed.BLANK);
        zip.putNextEntry(new ZipEntry("record.json"));
        byte[] blank = new byte[1 << 20];
        Arrays.fill(blank, (byte) ' ');
        zip.write('{');
        for (int megabyte = 0; megabyte < 6 + random.nextInt(10); megabyte++) {
            zip.write(blank);
        }
        zip.closeEntry();
        zip.close();
        return bytes.toByteArray();
    }
}
