package elvaro.server.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import elvaro.server.account.SetupService;
import elvaro.server.chain.HouseKey;
import elvaro.server.settings.WorkshopSettings;
import elvaro.server.shared.SignedIn;
import elvaro.server.support.Bodies;
import elvaro.server.support.Client;
import elvaro.server.support.Pictures;
import elvaro.server.support.RunningApp;
import elvaro.server.support.RunningApp.Someone;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.jdbc.core.simple.JdbcClient;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** The whole record leaves as one file and comes back as the same record. */
@ExtendWith(RunningApp.class)
class ArchiveIT {
    private static final Pattern ID = Pattern.compile("[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}");
    private static final Client MAREN = RunningApp.signIn("maren@brackenrow.example");
    private static final byte[] DEMO = Carried.from(MAREN);

    /** An empty workshop of somebody called like the demo's owner, who wrote most of it. */
    private static Someone emptyHouse(String currency) {
        String name = UUID.randomUUID() + "@test.example";
        SignedIn person = RunningApp.bean(SetupService.class)
                .createWorkshop(
                        WorkshopSettings.starting("New", currency, "Europe/Stockholm"),
                        new SetupService.Owner(name, "Maren Oakes", RunningApp.PASSWORD));
        return new Someone(RunningApp.signIn(name), person, name);
    }

    @Test
    void the_whole_demo_comes_back_the_same_but_for_ids_and_stamps() throws IOException {
        ObjectNode there = Carried.opened(DEMO).tree();
        Someone house = emptyHouse("SEK");
        assertThat(Carried.take(house.client(), DEMO, false).at("/taken/tables").size())
                .isGreaterThan(25);

        ObjectNode here = Carried.opened(Carried.from(house.client())).tree();
        UUID workshop = house.person().workshopId();
        assertThat(rows(here, "fact_change", null))
                .as("what was changed there, and what the import itself changed here")
                .containsAll(rows(there, "fact_change", workshop))
                .hasSizeGreaterThan(there.get("fact_change").size());
        assertThat(rows(here, "air_origin", null))
                .as("where the air was from there, and that it came with this archive")
                .containsAll(rows(there, "air_origin", workshop))
                .anyMatch(row -> row.contains("\"kind\":\"ARCHIVE\"") && row.contains("archive of Brackenrow"));
        List.of(here, there)
                .forEach(archive -> List.of("fact_change", "air_origin").forEach(table -> {
                    archive.remove(table);
                    ((ObjectNode) archive.get("rows")).remove(table);
                }));
        assertThat(here.get("rows")).isEqualTo(there.get("rows"));
        for (String table : there.propertyNames()) {
            if (there.get(table).isArray()) {
                assertThat(rows(here, table, null)).as(table).isEqualTo(rows(there, table, workshop));
            }
        }
        ((ObjectNode) here.get("workshop")).set("id", there.at("/workshop/id"));
        assertThat(here.get("workshop")).isEqualTo(there.get("workshop"));
    }

    /** Rows as a set; with the ids another workshop makes of them, if one is given. The owner is the same person in both. */
    private static Set<String> rows(ObjectNode archive, String table, UUID workshop) {
        String owner = archive.at("/person")
                .valueStream()
                .filter(person -> person.path("name").asString().equals("Maren Oakes"))
                .map(person -> person.path("id").asString())
                .findFirst()
                .orElseThrow();
        return archive.get(table)
                .valueStream()
                .map(row -> row.toString().replace(owner, "OWNER"))
                .map(row -> workshop == null
                        ? row
                        : ID.matcher(row)
                                .replaceAll(id -> IdRemapping.here(workshop, UUID.fromString(id.group()))
                                        .toString()))
                .collect(Collectors.toSet());
    }

    /** python3-jsonschema of Debian, which knows nothing of us. Of the air, some: it would take minutes for all. */
    @Test
    void a_schema_validator_finds_the_demo_as_its_schema_says(@TempDir Path folder) throws Exception {
        Carried carried = Carried.opened(DEMO);
        ObjectNode tree = carried.tree();
        ArrayNode air = (ArrayNode) tree.get("air_reading");
        while (air.size() > 500) {
            air.remove(air.size() - 1);
        }
        Path schema =
                Files.write(folder.resolve("schema.json"), carried.entries().get("schema.json"));
        assertThat(validates(folder, schema, tree)).isZero();
        ((ObjectNode) tree.get("lot").get(0)).put("received_grams", "much");
        assertThat(validates(folder, schema, tree)).isNotZero();
    }

    private static int validates(Path folder, Path schema, ObjectNode tree) throws Exception {
        Path record = Files.write(folder.resolve("record.json"), Carried.JSON.writeValueAsBytes(tree));
        return new ProcessBuilder("python3", "-m", "jsonschema", "-i", record.toString(), schema.toString())
                .redirectErrorStream(true)
                .redirectOutput(folder.resolve("said").toFile())
                .start()
                .waitFor();
    }

    /** The schema in the handbook is the one that is written; -Dopenapi.rewrite=true writes it anew. */
    @Test
    void the_documented_schema_is_the_one_archives_have() throws IOException {
        Path documented = Path.of("../docs/archive.schema.json");
        byte[] written = Carried.opened(DEMO).entries().get("schema.json");
        if (Boolean.getBoolean("openapi.rewrite")) {
            Files.write(documented, written);
        }
        assertThat(Files.readAllBytes(documented)).isEqualTo(written);
    }

    /** A table that a later feature adds is either carried or left out on purpose. */
    @Test
    void every_table_is_carried_or_named_as_one_that_stays(JdbcClient database) {
        Set<String> expected = new HashSet<>(ArchiveFormat.STAYS_HERE);
        RunningApp.bean(ArchiveFormat.class).tables().forEach(table -> expected.add(table.name()));
        expected.remove(ArchiveFormat.PERSON);
        assertThat(database.sql("select table_name from information_schema.tables where table_schema = database()"
                                + " and table_name not like '%\\_aud'")
                        .query(String.class)
                        .list())
                .containsExactlyInAnyOrderElementsOf(expected);
    }

    @Test
    void no_secret_leaves_and_what_is_still_blind_stays_blind() throws IOException {
        ObjectNode demo = Carried.opened(DEMO).tree();
        assertThat(demo.toString())
                .doesNotContain("password")
                .doesNotContain("token")
                .doesNotContain("@brackenrow");
        assertThat(demo.get("tasting")
                        .valueStream()
                        .map(each -> each.path("state").asString()))
                .isNotEmpty()
                .containsOnly("REVEALED");
        assertThat(demo.get("tasting_sample").valueStream().map(each -> each.path("tasting_id")))
                .isSubsetOf(demo.get("tasting")
                        .valueStream()
                        .map(each -> each.path("id"))
                        .toList());
    }

    @Test
    void a_house_in_use_is_told_what_would_change_and_nothing_of_its_own_does(Someone there, Someone here)
            throws IOException {
        there.client().packed();
        there.client().chamber("Cold room", 100_000);
        here.client().chamber("cold room", 100_000);
        there.benchHand();
        byte[] archive = Carried.from(there.client());
        here.client().packed();
        String own = here.client().get("/api/lots").body().at("/0/id").asString();

        JsonNode tried = Carried.take(here.client(), archive, true).get("taken");
        assertThat(tried.get("changes").toString())
                .contains("Lots and the tags of their pieces get numbers from 2 on")
                .contains("Packs get numbers from 2 on")
                .contains("There is a chamber Cold room here; the one that comes is called Cold room (2).")
                .contains("Idris Vale comes along as a name")
                .contains("What Owner wrote there counts as written by Owner here");
        assertThat(here.client().get("/api/lots").body()).hasSize(1);

        assertThat(Carried.take(here.client(), archive, false).at("/taken/changes"))
                .isEqualTo(tried.get("changes"));
        assertThat(Carried.take(here.client(), archive, false)
                        .at("/taken/tables")
                        .valueStream()
                        .mapToInt(table -> table.path("fresh").asInt())
                        .sum())
                .as("what came before does not come again")
                .isZero();
        assertThat(here.client()
                        .get("/api/pieces/cut")
                        .body()
                        .valueStream()
                        .map(piece -> piece.path("tag").asString()))
                .containsExactlyInAnyOrder("1A", "2A");
        assertThat(here.client()
                        .get("/api/lots")
                        .body()
                        .valueStream()
                        .map(lot -> lot.path("id").asString()))
                .contains(own)
                .hasSize(2);
        assertThat(here.client().cut())
                .as("the next lot has a number of its own")
                .isNotBlank();

        assertThat(Carried.take(emptyHouse("EUR").client(), archive, false).has("taken"))
                .isTrue();
        Someone other = emptyHouse("SEK");
        other.client().chamber("In use", 1000);
        assertThat(Carried.take(other.client(), archive, false).path("refused").asString())
                .contains("counts in EUR and this house in SEK");
    }

    @Test
    void its_own_workshop_takes_back_only_what_is_missing(Someone owner) throws IOException {
        owner.client().packed();
        byte[] archive = Carried.from(owner.client());
        String meanwhile = owner.client().cut();
        JsonNode taken = Carried.take(owner.client(), archive, false).get("taken");
        assertThat(taken.get("tables")
                        .valueStream()
                        .map(table -> table.path("fresh").asInt()))
                .containsOnly(0);
        assertThat(taken.get("changes").toString()).isEqualTo("[\"It is signed with this house's own key.\"]");
        assertThat(owner.client().get("/api/pieces/" + meanwhile).status()).isEqualTo(200);
    }

    @Test
    void photos_come_along_and_a_treatment_that_came_is_taken_back_with_its_coat(Someone there) throws IOException {
        Client client = there.client();
        String piece = client.hang(client.chamber("Cold room", 100_000), 4000).get(0);
        String look = UUID.randomUUID().toString();
        client.must(client.put("/api/pieces/%s/looks/%s".formatted(piece, look), Bodies.lookBody()));
        assertThat(client.bytes(
                                "PUT",
                                "/api/pieces/%s/looks/%s/photos/%s".formatted(piece, look, UUID.randomUUID()),
                                Pictures.picture("jpg", 40, 30))
                        .statusCode())
                .isEqualTo(204);
        assertThat(client.bytes(
                                "PUT",
                                "/api/pieces/%s/photos/%s?shows=PLATE".formatted(piece, UUID.randomUUID()),
                                Pictures.picture("jpg", 60, 40))
                        .statusCode())
                .isEqualTo(204);
        Map<String, Object> seal = Bodies.treatmentBody("FAT_SEAL");
        seal.put("coatGrams", 250);
        client.must(client.give(piece, seal));
        byte[] archive = Carried.from(client);

        Someone house = emptyHouse("EUR");
        Carried.taken(house.client(), archive);
        Carried here = Carried.opened(Carried.from(house.client()));
        Carried before = Carried.opened(archive);
        assertThat(photos(here)).hasSize(2).containsExactlyInAnyOrderElementsOf(photos(before));

        String moved = IdRemapping.here(house.person().workshopId(), UUID.fromString(piece))
                .toString();
        assertThat(house.client()
                        .get("/api/pieces/%s/photos".formatted(moved))
                        .body()
                        .valueStream()
                        .map(photo -> photo.path("label").asString()))
                .containsExactlyInAnyOrder("a look", "on the plate");
        String treatment = house.client().given(moved).path("id").asString();
        house.client()
                .must(house.client()
                        .put(
                                "/api/pieces/%s/treatments/%s/back/%s".formatted(moved, treatment, UUID.randomUUID()),
                                Map.of("words", "never given")));
        assertThat(Carried.opened(Carried.from(house.client()))
                        .tree()
                        .get("log_entry")
                        .valueStream()
                        .map(entry -> entry.path("kind").asString()))
                .filteredOn("TAKEN_BACK"::equals)
                .as("the treatment and its coat")
                .hasSize(2);
    }

    private static List<String> photos(Carried carried) {
        return carried.entries().entrySet().stream()
                .filter(entry -> entry.getKey().startsWith("photos/"))
                .map(entry -> java.util.Base64.getEncoder().encodeToString(entry.getValue()))
                .toList();
    }

    @Test
    void the_record_is_for_the_owner_alone(Someone owner) {
        Client hand = owner.benchHand();
        assertThat(List.of(
                        hand.get("/api/exchange/archive.zip").status(),
                        hand.bytes("POST", "/api/exchange/archive", "application/zip", DEMO)
                                .statusCode()))
                .containsOnly(403);
    }

    /** Somebody opens an archive, changes it, and seals it with a key of their own. */
    @Test
    void what_a_forged_archive_brings_says_for_ever_that_it_came_and_whose_key_it_was(
            Someone there, Someone here, JdbcClient database) throws IOException {
        there.client().cut();
        ObjectNode tree = Carried.opened(Carried.from(there.client())).tree();
        HouseKey forger = new HouseKey("");
        JsonNode taken = Carried.taken(here.client(), Carried.sealed(tree, forger));
        assertThat(taken.get("changes").toString()).contains("key " + forger.print(), "not this house's");
        String piece = database.sql("select piece_id from log_entry where workshop_id = ?")
                .param(here.person().workshopId().toString())
                .query(String.class)
                .list()
                .get(0);
        assertThat(here.client().text("/api/pieces/%s/record.csv".formatted(piece)))
                .contains("Came with an archive of Test shop, signed with the key " + forger.print());
        assertThat(here.client().get("/api/record/chain").body().at("/state/faults"))
                .isEmpty();
    }
}
