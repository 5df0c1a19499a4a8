package elvaro.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import elvaro.server.support.Client;
import java.io.IOException;
import java.net.ServerSocket;
import java.net.URI;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Backups that come back, and those that must not: too long for every test run, by {@code ./elvaro bench drills}. */
class RestoreDrill {
    private static final String OWN_CHAMBER = "Only in this house";

    private LauncherAtHand hand;

    @BeforeEach
    void stand_before_it(@TempDir Path folder, @TempDir Path tools) {
        hand = new LauncherAtHand(folder, tools);
    }

    /** The one the tests themselves run on, with a schema of its own for this house and one for what is restored. */
    @Test
    void an_existing_database_is_used_backed_up_and_restored_into_by_its_protocol() throws Exception {
        String url = System.getenv("ELVARO_DB_URL") + "_named_"
                + ProcessHandle.current().pid();
        emptySchema(url);
        hand.environment.put("ELVARO_DB_URL", url);
        hand.environment.put("ELVARO_DB_USER", System.getenv("ELVARO_DB_USER"));
        hand.environment.put("ELVARO_DB_PASSWORD", System.getenv("ELVARO_DB_PASSWORD"));
        assertThat(hand.said("status")).isEqualTo("Nothing runs in " + hand.folder + ".");
        hand.environment.put("ELVARO_DB_OWNER", System.getenv("ELVARO_DB_OWNER"));
        Path word = Files.writeString(hand.tools.resolve("word"), System.getenv("ELVARO_DB_OWNER_PASSWORD") + "\n");
        hand.environment.put("ELVARO_DB_OWNER_PASSWORD_FILE", word.toString());
        Process house = hand.start();
        Client client = newOwner();
        client.chamber(OWN_CHAMBER, 5000);
        client.cut();
        assertThat(hand.said("status")).contains("its database is " + url);
        Path backup = hand.tools.resolve("named.backup");
        assertThat(hand.said("backup", backup.toString())).contains("Written: " + backup);
        assertThat(hand.said("stop")).isEqualTo("Ended.");
        assertThat(house.waitFor(120, TimeUnit.SECONDS)).isTrue();
        assertThat(hand.folder.resolve("db")).as("none was started").doesNotExist();

        assertThat(hand.said("restore", backup.toString())).contains("holds tables already");
        emptySchema(url + "_again");
        hand.environment.put("ELVARO_DB_URL", url + "_again");
        hand.folder = Files.createTempDirectory(hand.tools, "restored");
        assertThat(hand.said("restore", backup.toString(), "--key", "0000")).contains("not with 0000");
        assertThat(hand.said("restore", backup.toString())).contains("Checked: 1 workshops, 1 finished pieces");
    }

    private Client newOwner() throws IOException {
        Client client = new Client(hand.httpPort);
        client.must(client.setUp(House.codeIn(hand.folder.resolve("log/app.log")), House.OWNER, House.PASSWORD));
        client.must(client.signIn(House.OWNER, House.PASSWORD));
        return client;
    }

    @Test
    void what_was_backed_up_while_people_worked_is_restored_and_what_was_forged_does_nothing() throws Exception {
        Process first = hand.start();
        Client client = newOwner();
        // It is asked where it runs, whatever port is named.
        assertThat(hand.said("check", "--db-port", "1"))
                .startsWith("Checked: 1 workshops")
                .contains("rows of the record are as they were");
        Path backup = backedUpWhile(client);
        assertThat(hand.said("stop")).isEqualTo("Ended.");
        assertThat(first.waitFor(120, TimeUnit.SECONDS)).isTrue();
        assertThat(hand.said("backup", hand.tools.resolve("at-rest.backup").toString()))
                .as("while nothing runs, too")
                .contains("Written: ");
        new ServerSocket(hand.dbPort).close();
        assertThat(hand.tools).isDirectoryNotContaining("glob:**.backup-*");
        restores(backup);
    }

    /** The folder is said to hold the demo, as if it had been loaded there: it is loaded once, which takes long enough. */
    @Test
    void the_demo_is_had_afresh_for_who_asks_for_it() throws Exception {
        Process first = hand.start();
        Client client = newOwner();
        client.chamber(OWN_CHAMBER, 5000);
        assertThat(hand.said("stop")).isEqualTo("Ended.");
        assertThat(first.waitFor(120, TimeUnit.SECONDS)).isTrue();
        Files.writeString(hand.folder.resolve("house"), "demo\n");
        assertThat(hand.said("start", "--empty"))
                .startsWith(
                        "elvaro: The folder " + hand.folder + " holds the demo workshop. Choose another with --dir");
        Process again = hand.start("start", "--reset-demo");
        Client maren = new Client(hand.httpPort);
        maren.must(maren.signIn(House.OWNER, Files.readString(hand.folder.resolve("secret/demo-password"))));
        assertThat(maren.get("/api/chambers").body().toString())
                .contains("North Room")
                .doesNotContain(OWN_CHAMBER);
        again.destroy();
        assertThat(again.waitFor(120, TimeUnit.SECONDS)).isTrue();
    }

    private static void emptySchema(String url) throws Exception {
        URI server = URI.create(System.getenv("ELVARO_DB_URL").substring("jdbc:".length()));
        ProcessBuilder client = new ProcessBuilder(
                        "mariadb",
                        "--no-defaults",
                        "--host=" + server.getHost(),
                        "--port=" + server.getPort(),
                        "--user=" + System.getenv("ELVARO_DB_OWNER"),
                        "-e",
                        "create database " + url.substring(url.lastIndexOf('/') + 1) + " character set utf8mb4")
                .inheritIO();
        client.environment().put("MYSQL_PWD", System.getenv("ELVARO_DB_OWNER_PASSWORD"));
        assertThat(client.start().waitFor()).isZero();
    }

    /** Pieces are hung, weighed, cut and closed without a pause while the backup is written. */
    private Path backedUpWhile(Client client) throws Exception {
        client.cut(); // One at least.
        AtomicBoolean written = new AtomicBoolean();
        Thread writer = new Thread(() -> {
            while (!written.get()) {
                client.cut();
            }
        });
        writer.start();
        Path file = hand.tools.resolve("all.backup");
        assertThat(hand.said("backup", file.toString())).contains("Written: " + file, "keep it like a key");
        written.set(true);
        writer.join();
        assertThat(hand.said("backup", file.toString())).contains("is there already");
        return file;
    }

    private void restores(Path backup) throws Exception {
        assertThat(hand.said("restore", backup.toString())).contains("holds data already");
        Path own = hand.folder;
        hand.folder = Files.createTempDirectory(hand.tools, "restored");
        byte[] whole = Files.readAllBytes(backup);
        Path cut = Files.write(hand.tools.resolve("cut"), Arrays.copyOf(whole, whole.length / 2));
        assertThat(hand.said("restore", cut.toString())).contains("Nothing was changed.");
        whole[whole.length / 2] ^= 1;
        Path flipped = Files.write(hand.tools.resolve("flipped"), whole);
        assertThat(hand.said("restore", flipped.toString())).contains("Nothing was changed.");
        assertThat(hand.said("restore", hand.tools.resolve("none").toString())).contains("cannot be read");
        forgedOnesDoNothing(backup);
        assertThat(hand.folder.resolve("db")).doesNotExist();
        assertThat(hand.said("restore", backup.toString(), "--key", "0000 0000 0000 0000"))
                .contains("not with 0000");
        assertThat(hand.said("restore", backup.toString())).contains("Checked: 1 workshops");
        assertThat(hand.folder.resolve("house")).hasContent("empty\n");
        new ServerSocket(hand.dbPort).close();
        hand.folder = own;
    }

    /** Whoever has a backup in hand puts commands into it, or says it is of another time, and makes its checksums anew. */
    private void forgedOnesDoNothing(Path backup) throws Exception {
        Path ran = hand.tools.resolve("ran");
        String commands = "\\! touch %1$s\nsystem touch %1$s;\nsource %1$s\n".formatted(ran);
        Path forged = forged(backup, commands, "s/^house .*/house demo/", "about signature data.sql.gz");
        assertThat(hand.said("restore", forged.toString()))
                .contains("was changed after it was signed. Nothing was changed.");
        Path unsigned = forged(backup, commands, "", "about data.sql.gz");
        assertThat(hand.said("restore", unsigned.toString()))
                .contains("is not signed")
                .contains("Nothing was changed.");
        hand.said("restore", unsigned.toString(), "--unsigned");
        assertThat(ran).doesNotExist();
        Path newer = forged(backup, "", "s/^schema .*/schema 999/", "about data.sql.gz");
        assertThat(hand.said("restore", newer.toString(), "--unsigned")).contains("of a newer Elvaro");
        deleteData();
    }

    private Path forged(Path backup, String commands, String about, String members) throws Exception {
        Path work = Files.createTempDirectory(hand.tools, "forged");
        Files.writeString(work.resolve("commands"), commands);
        Process process = new ProcessBuilder(
                        "bash",
                        "-c",
                        "set -e; tar -xf $1; (cat commands; gzip -dc data.sql.gz) | gzip >d; mv d data.sql.gz; sed -i \"$2\" about;"
                                + " sed -i '/data.sql.gz/d' about; sha256sum data.sql.gz >>about; tar -cf all $3",
                        "-",
                        backup.toString(),
                        about,
                        members)
                .directory(work.toFile())
                .inheritIO()
                .start();
        assertThat(process.waitFor()).isZero();
        return work.resolve("all");
    }

    /** Of a restore that went through although it was forged: it had no command that did anything. */
    private void deleteData() throws Exception {
        if (Files.exists(hand.folder.resolve("db"))) {
            assertThat(new ProcessBuilder("rm", "-rf", hand.folder.toString())
                            .start()
                            .waitFor())
                    .isZero();
        }
    }
}
