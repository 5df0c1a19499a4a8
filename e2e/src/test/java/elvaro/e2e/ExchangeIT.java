package elvaro.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import elvaro.server.support.Client;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.util.Arrays;
import java.util.HexFormat;
import java.util.UUID;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** The record leaves the house and comes back, by hand. */
class ExchangeIT {
    private static final JsonMapper JSON = new JsonMapper();

    @TempDir
    Path folder;

    private static Download saved(Visitor maren, String name) {
        return maren.page.waitForDownload(() -> maren.page
                .getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(name))
                .click());
    }

    @Test
    void the_house_is_saved_tried_and_found_to_be_here_already() throws IOException {
        try (Visitor maren = Visitor.at(House.demo()).signedIn()) {
            maren.go("Settings");
            maren.page
                    .getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Export and import"))
                    .click();
            maren.sees("Export and import");
            assertThat(Files.size(saved(maren, "Save the workbook").path())).isGreaterThan(50_000);
            Path archive = saved(maren, "Save the archive").path();
            maren.field("Archive of Elvaro").setInputFiles(archive);
            maren.reads("brings nothing that is not here already");
            byte[] half = Files.readAllBytes(archive);
            maren.field("Archive of Elvaro")
                    .setInputFiles(Files.write(folder.resolve("half.zip"), Arrays.copyOf(half, half.length / 2)));
            maren.reads("it was cut short, changed on the way, or is another file");
            assertThat(AccessIT.faults(maren.page)).isEmpty();
            assertThat(maren.complaints).isEmpty();
        }
    }

    @Test
    void an_archive_of_another_hand_is_tried_and_then_taken_in() throws Exception {
        House house = House.shop();
        try (Visitor maren = Visitor.at(house).signedIn()) {
            maren.visit("/exchange");
            Path archive = Files.write(folder.resolve("theirs.zip"), theirs(house.client()));
            maren.field("Archive of Elvaro").setInputFiles(archive);
            maren.reads("would bring 1 new row. Nothing has changed yet.");
            maren.reads("The name, time zone and prices stay as they are here.");
            maren.reads("It is not signed");
            maren.press("Take it in");
            maren.reads("Taken in from Another house: 1 row.");
            maren.go("Room");
            maren.reads("Larder of the past");
        }
    }

    /** An archive with nothing but a chamber, written after docs/archive.md. */
    private static byte[] theirs(Client client) throws Exception {
        client.must(client.signIn(House.OWNER, House.PASSWORD));
        String chamber = client.chamber("Larder", 20_000);
        byte[] ours = client.bytes("GET", "/api/exchange/archive.zip", "application/zip", new byte[0])
                .body();
        ObjectNode record;
        try (ZipInputStream zip = new ZipInputStream(new ByteArrayInputStream(ours))) {
            zip.getNextEntry();
            record = (ObjectNode) JSON.readTree(zip.readAllBytes());
        }
        ((ObjectNode) record.get("workshop"))
                .put("id", UUID.randomUUID().toString())
                .put("name", "Another house");
        for (String table : record.propertyNames()) {
            if (record.get(table) instanceof ArrayNode rows) {
                ObjectNode kept = table.equals("chamber")
                        ? (ObjectNode) rows.valueStream()
                                .filter(row -> row.path("id").asString().equals(chamber))
                                .findFirst()
                                .orElseThrow()
                        : null;
                rows.removeAll();
                ((ObjectNode) record.get("rows")).put(table, kept == null ? 0 : 1);
                if (kept != null) {
                    kept.put("name", "Larder of the past");
                    kept.remove("keeper_id");
                    rows.add(kept);
                }
            }
        }
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        ZipOutputStream zip = new ZipOutputStream(bytes);
        zip.setComment("0".repeat(64));
        zip.putNextEntry(new ZipEntry("record.json"));
        zip.write(JSON.writeValueAsBytes(record));
        zip.closeEntry();
        zip.close();
        byte[] theirs = bytes.toByteArray();
        byte[] before = Arrays.copyOf(theirs, theirs.length - 64);
        String seal =
                HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(before));
        System.arraycopy(seal.getBytes(StandardCharsets.US_ASCII), 0, theirs, before.length, 64);
        return theirs;
    }

    @Test
    void a_table_of_the_past_is_understood_mended_and_taken_in() throws IOException {
        House house = House.shop();
        Client client = house.client();
        client.must(client.signIn(House.OWNER, House.PASSWORD));
        client.chamber("Old fridge", 20_000);
        String table = "Piece,Hung on,Green weight,Pulled on,Final weight,Steaks,Date,Weight\n"
                + "Christmas rib,2025-11-20,5.2 kg,2025-12-20,4.6 kg,3.4 kg,2025-12-0X,4.9 kg\n";
        try (Visitor maren = Visitor.at(house).signedIn()) {
            maren.visit("/exchange");
            maren.field("Table of past weights").setInputFiles(Files.writeString(folder.resolve("past.csv"), table));
            maren.reads("“2025-12-0X” is no day.");
            maren.field("Table of past weights")
                    .setInputFiles(Files.writeString(folder.resolve("mended.csv"), table.replace("0X", "05")));
            maren.reads("Row 2, cut: Which cut?");
            maren.choose("Cut, where none is said", "Strip loin");
            maren.reads("1.200 kg of the aged weight is on no pile");
            maren.choose("What no pile tells of", "was discarded");
            maren.choose("New pieces hung in", "Old fridge");
            assertThat(AccessIT.faults(maren.page)).isEmpty();
            maren.press("Take in 1 finished piece and 1 weighing");
            maren.reads("Taken in: 1 piece, 1 weighing.");
            maren.go("Compare");
            maren.reads("Strip loin");
        }
    }
}
