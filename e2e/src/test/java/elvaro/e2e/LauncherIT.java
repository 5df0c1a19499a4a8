package elvaro.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import elvaro.server.support.Client;
import java.io.IOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.URI;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The launcher as a person runs it: what it says when something is wrong, and that it starts and ends cleanly. */
class LauncherIT {
    private static final String OWN_CHAMBER = "Only in this house";

    @TempDir
    Path folder;

    /** Stands before the machine's own tools on the path. */
    @TempDir
    Path tools;

    private final int httpPort = House.freePort();
    private final int dbPort = House.freePort();
    private final Map<String, String> environment = new java.util.HashMap<>();

    @BeforeEach
    void standards() {
        environment.put("PATH", tools + ":" + System.getenv("PATH"));
    }

    private ProcessBuilder launcher(String... words) {
        ProcessBuilder process = Launcher.on(folder, httpPort, dbPort, words);
        process.environment().putAll(environment);
        return process;
    }

    private String said(String... words) throws Exception {
        Process process = launcher(words).start();
        assertThat(process.waitFor(90, TimeUnit.SECONDS)).isTrue();
        return new String(process.getInputStream().readAllBytes()).strip();
    }

    private void pretend(String tool, String script) throws IOException {
        Path file = Files.writeString(tools.resolve(tool), "#!/bin/sh\n" + script + "\n");
        Files.setPosixFilePermissions(file, PosixFilePermissions.fromString("rwxr-xr-x"));
    }

    @Test
    void an_old_java_is_named() throws Exception {
        pretend("java", "echo 'openjdk version \"11.0.2\" 2019-01-15' >&2");
        assertThat(said("start")).isEqualTo("elvaro: Java 11 is too old. Elvaro needs JDK 17 or newer.");
    }

    @Test
    void a_missing_tool_is_named() throws Exception {
        environment.put("ELVARO_JAR", "");
        for (String tool : List.of(
                "bash", "java", "javac", "id", "sed", "head", "dirname", "readlink", "env", "cat", "mkdir", "awk")) {
            Path real = Path.of("/usr/bin", tool);
            Files.createSymbolicLink(tools.resolve(tool), Files.exists(real) ? real : Path.of("/bin", tool));
        }
        environment.put("PATH", tools.toString());
        assertThat(said("start")).isEqualTo("elvaro: Maven is missing. Install it (Debian: maven).");
    }

    @Test
    void a_full_disk_is_named() throws Exception {
        pretend("df", "echo head; echo '/dev/x 100 90 204800 90% /'");
        assertThat(said("start"))
                .startsWith("elvaro: Only 200 MB are free under " + folder)
                .hasLineCount(1);
    }

    /** A number is given again after a crash; whoever has it now is somebody else. */
    @Test
    void a_process_that_only_has_the_number_of_an_old_one_is_left_alone() throws Exception {
        Process stranger = new ProcessBuilder("sleep", "600").start();
        try {
            Path run = Files.createDirectories(folder.resolve("run"));
            for (String part : List.of("launcher", "app", "db", "probes")) {
                Files.writeString(run.resolve(part + ".pid"), stranger.pid() + "\n");
                Files.writeString(run.resolve(part + ".pid.began"), "another-boot 4711");
            }
            assertThat(said("status")).startsWith("Parts of an earlier run are left");
            assertThat(said("stop")).isEqualTo("Ended what an earlier run left behind.");
            assertThat(stranger.isAlive()).isTrue();
            assertThat(run).isEmptyDirectory();
            assertThat(said("stop")).isEqualTo("Nothing runs in " + folder + ".");
        } finally {
            stranger.destroy();
        }
    }

    @Test
    void a_port_in_use_is_named_with_the_way_round() throws Exception {
        try (ServerSocket taken = new ServerSocket(httpPort, 5, InetAddress.getLoopbackAddress())) {
            assertThat(said("start"))
                    .isEqualTo("elvaro: Port " + taken.getLocalPort() + " for the application is in use."
                            + " End what uses it or choose another with --http-port.");
        }
    }

    @Test
    void an_unknown_option_is_named() throws Exception {
        assertThat(said("start", "--fresh")).startsWith("elvaro: There is no option '--fresh'.");
    }

    @Test
    void data_survive_stop_start_and_restore_until_the_demo_is_asked_for_and_nothing_is_left_running()
            throws Exception {
        assertThat(said("status")).isEqualTo("Nothing runs in " + folder + ".");
        Process first = start();
        String code = House.codeIn(folder.resolve("log/app.log"));
        Client client = new Client(httpPort);
        client.must(client.setUp(code, House.OWNER, House.PASSWORD));
        client.must(client.signIn(House.OWNER, House.PASSWORD));
        client.chamber(OWN_CHAMBER, 5000);
        String version = client.get("/api/session").body().at("/me/version").asString();
        assertThat(version).startsWith("0.");
        assertThat(said("status")).startsWith("Elvaro " + version + " runs at http://127.0.0.1:" + httpPort);
        assertThat(said("recover", "nobody@brackenrow.example")).contains("No owner signs in as");
        String recovered = said("recover").replaceAll("(?s).*/join#([A-Z0-9-]+).*", "$1");
        client.must(client.post("/api/password-by-code", Map.of("code", recovered, "password", House.PASSWORD)));
        client.must(client.signIn(House.OWNER, House.PASSWORD));
        // It is asked where it runs, whatever port is named.
        assertThat(said("check", "--db-port", "1"))
                .startsWith("Checked: 1 workshops")
                .contains("rows of the record are as they were");
        assertThat(said("start", "--empty")).startsWith("Elvaro runs already");
        Path backup = backedUpWhile(client);
        assertThat(said("stop")).isEqualTo("Ended.");
        assertThat(first.waitFor(120, TimeUnit.SECONDS)).isTrue();
        assertThat(folder.resolve("run")).isDirectoryNotContaining("glob:**.pid");
        new ServerSocket(httpPort).close();
        new ServerSocket(dbPort).close();
        assertThat(said("backup", tools.resolve("at-rest.backup").toString()))
                .as("while nothing runs, too")
                .contains("Written: ");
        new ServerSocket(dbPort).close();
        assertThat(tools).isDirectoryNotContaining("glob:**.backup-*");
        restores(backup);

        pretend("df", "echo head; echo '/dev/x 100 90 307200 90% /'");
        Process second = start(); // a house that is there asks for little room
        Files.delete(tools.resolve("df"));
        assertThat(new Client(httpPort).signIn(House.OWNER, House.PASSWORD).status())
                .isEqualTo(204);
        assertThat(new Client(httpPort).post("/api/setup", Map.of()).status())
                .as("the code is used up and the door closed")
                .isNotEqualTo(204);
        second.destroy(); // as Ctrl-C does
        assertThat(second.waitFor(120, TimeUnit.SECONDS)).isTrue();
        new ServerSocket(dbPort).close();
        theDemoIsHadAfresh();
    }

    /** The one the tests themselves run on, with a schema of its own for this house and one for what is restored. */
    @Test
    void an_existing_database_is_used_backed_up_and_restored_into_by_its_protocol() throws Exception {
        String url = System.getenv("ELVARO_DB_URL") + "_named_"
                + ProcessHandle.current().pid();
        emptySchema(url);
        environment.put("ELVARO_DB_URL", url);
        environment.put("ELVARO_DB_USER", System.getenv("ELVARO_DB_USER"));
        environment.put("ELVARO_DB_PASSWORD", System.getenv("ELVARO_DB_PASSWORD"));
        assertThat(said("status")).isEqualTo("Nothing runs in " + folder + ".");
        environment.put("ELVARO_DB_OWNER", System.getenv("ELVARO_DB_OWNER"));
        Path word = Files.writeString(tools.resolve("word"), System.getenv("ELVARO_DB_OWNER_PASSWORD") + "\n");
        environment.put("ELVARO_DB_OWNER_PASSWORD_FILE", word.toString());
        Process house = start();
        Client client = new Client(httpPort);
        client.must(client.setUp(House.codeIn(folder.resolve("log/app.log")), House.OWNER, House.PASSWORD));
        client.must(client.signIn(House.OWNER, House.PASSWORD));
        client.chamber(OWN_CHAMBER, 5000);
        client.cut();
        assertThat(said("status")).contains("its database is " + url);
        Path backup = tools.resolve("named.backup");
        assertThat(said("backup", backup.toString())).contains("Written: " + backup);
        assertThat(said("stop")).isEqualTo("Ended.");
        assertThat(house.waitFor(120, TimeUnit.SECONDS)).isTrue();
        assertThat(folder.resolve("db")).as("none was started").doesNotExist();

        assertThat(said("restore", backup.toString())).contains("holds tables already");
        emptySchema(url + "_again");
        environment.put("ELVARO_DB_URL", url + "_again");
        folder = Files.createTempDirectory(tools, "restored");
        assertThat(said("restore", backup.toString(), "--key", "0000")).contains("not with 0000");
        assertThat(said("restore", backup.toString())).contains("Checked: 1 workshops, 1 finished pieces");
    }

    @Test
    void an_existing_database_that_nobody_can_come_to_is_named() throws Exception {
        environment.put("ELVARO_DB_URL", "jdbc:postgresql://localhost/elvaro");
        assertThat(said("start")).startsWith("elvaro: ELVARO_DB_URL is to be like jdbc:mariadb://HOST:3306/NAME");
        environment.put("ELVARO_DB_URL", "jdbc:mariadb://localhost/elvaro");
        assertThat(said("start")).contains("name who comes to it too: ELVARO_DB_USER");
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
        Path file = tools.resolve("all.backup");
        assertThat(said("backup", file.toString())).contains("Written: " + file, "keep it like a key");
        written.set(true);
        writer.join();
        assertThat(said("backup", file.toString())).contains("is there already");
        return file;
    }

    private void restores(Path backup) throws Exception {
        assertThat(said("restore", backup.toString())).contains("holds data already");
        Path own = folder;
        folder = Files.createTempDirectory(tools, "restored");
        byte[] whole = Files.readAllBytes(backup);
        Path cut = Files.write(tools.resolve("cut"), Arrays.copyOf(whole, whole.length / 2));
        assertThat(said("restore", cut.toString())).contains("Nothing was changed.");
        whole[whole.length / 2] ^= 1;
        Path flipped = Files.write(tools.resolve("flipped"), whole);
        assertThat(said("restore", flipped.toString())).contains("Nothing was changed.");
        assertThat(said("restore", tools.resolve("none").toString())).contains("cannot be read");
        forgedOnesDoNothing(backup);
        assertThat(folder.resolve("db")).doesNotExist();
        assertThat(said("restore", backup.toString(), "--key", "0000 0000 0000 0000"))
                .contains("not with 0000");
        assertThat(said("restore", backup.toString()))
                .contains("It is signed with the key ")
                .containsPattern("It was written 20[-0-9T:]+Z, 0 days ago, and goes into .*, which holds no data")
                .containsPattern("Checked: 1 workshops, [1-9][0-9]* finished pieces, every ledger closes.")
                .contains("'./elvaro start' goes on with it.");
        assertThat(folder.resolve("house")).hasContent("empty\n");
        new ServerSocket(dbPort).close();
        folder = own;
    }

    /** Whoever has a backup in hand puts commands into it, or says it is of another time, and makes its checksums anew. */
    private void forgedOnesDoNothing(Path backup) throws Exception {
        Path ran = tools.resolve("ran");
        String commands = "\\! touch %1$s\nsystem touch %1$s;\nsource %1$s\n".formatted(ran);
        Path forged = forged(backup, commands, "s/^house .*/house demo/", "about signature data.sql.gz");
        assertThat(said("restore", forged.toString()))
                .contains("was changed after it was signed. Nothing was changed.");
        Path unsigned = forged(backup, commands, "", "about data.sql.gz");
        assertThat(said("restore", unsigned.toString()))
                .contains("is not signed")
                .contains("Nothing was changed.");
        said("restore", unsigned.toString(), "--unsigned");
        assertThat(ran).doesNotExist();
        Path newer = forged(backup, "", "s/^schema .*/schema 999/", "about data.sql.gz");
        assertThat(said("restore", newer.toString(), "--unsigned")).contains("of a newer Elvaro");
        deleteData();
    }

    private Path forged(Path backup, String commands, String about, String members) throws Exception {
        Path work = Files.createTempDirectory(tools, "forged");
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
        if (Files.exists(folder.resolve("db"))) {
            assertThat(new ProcessBuilder("rm", "-rf", folder.toString())
                            .start()
                            .waitFor())
                    .isZero();
        }
    }

    /** The folder is said to hold the demo, as if it had been loaded there: it is loaded once, which takes long enough. */
    private void theDemoIsHadAfresh() throws Exception {
        Files.writeString(folder.resolve("house"), "demo\n");
        assertThat(said("start", "--empty"))
                .startsWith("elvaro: The folder " + folder + " holds the demo workshop. Choose another with --dir");
        Process again = start("start", "--reset-demo");
        Client maren = new Client(httpPort);
        maren.must(maren.signIn(House.OWNER, Files.readString(folder.resolve("secret/demo-password"))));
        assertThat(maren.get("/api/chambers").body().toString())
                .contains("North Room")
                .doesNotContain(OWN_CHAMBER);
        again.destroy();
        assertThat(again.waitFor(120, TimeUnit.SECONDS)).isTrue();
    }

    private Process start() throws Exception {
        return start("start", "--empty");
    }

    private Process start(String... words) throws Exception {
        Path log = Files.createTempFile(tools, "launcher", ".log");
        Process running = launcher(words).redirectOutput(log.toFile()).start();
        House.awaitReady("http://127.0.0.1:" + httpPort, running, log);
        // Ready is not announced yet: the launcher looks once every fifth of a second.
        House.pause(1000);
        return running;
    }
}
