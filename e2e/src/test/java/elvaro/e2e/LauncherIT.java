package elvaro.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import elvaro.server.support.Client;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The launcher as a person runs it: what it says when something is wrong, and that it starts and ends cleanly. */
class LauncherIT {
    private LauncherAtHand hand;

    @BeforeEach
    void stand_before_it(@TempDir Path folder, @TempDir Path tools) {
        hand = new LauncherAtHand(folder, tools);
    }

    @Test
    void an_old_java_is_named() throws Exception {
        hand.pretend("java", "echo 'openjdk version \"11.0.2\" 2019-01-15' >&2");
        assertThat(hand.said("start")).isEqualTo("elvaro: Java 11 is too old. Elvaro needs JDK 17 or newer.");
    }

    @Test
    void a_missing_tool_is_named() throws Exception {
        hand.environment.put("ELVARO_JAR", "");
        for (String tool : List.of(
                "bash", "java", "javac", "id", "sed", "head", "dirname", "readlink", "env", "cat", "mkdir", "awk")) {
            Path real = Path.of("/usr/bin", tool);
            Files.createSymbolicLink(hand.tools.resolve(tool), Files.exists(real) ? real : Path.of("/bin", tool));
        }
        hand.environment.put("PATH", hand.tools.toString());
        assertThat(hand.said("start")).isEqualTo("elvaro: Maven is missing. Install it (Debian: maven).");
    }

    @Test
    void a_full_disk_is_named() throws Exception {
        hand.pretend("df", "echo head; echo '/dev/x 100 90 204800 90% /'");
        assertThat(hand.said("start"))
                .startsWith("elvaro: Only 200 MB are free under " + hand.folder)
                .hasLineCount(1);
    }

    /** A number is given again after a crash; whoever has it now is somebody else. */
    @Test
    void a_process_that_only_has_the_number_of_an_old_one_is_left_alone() throws Exception {
        Process stranger = new ProcessBuilder("sleep", "600").start();
        try {
            Path run = Files.createDirectories(hand.folder.resolve("run"));
            for (String part : List.of("launcher", "app", "db", "probes")) {
                Files.writeString(run.resolve(part + ".pid"), stranger.pid() + "\n");
                Files.writeString(run.resolve(part + ".pid.began"), "another-boot 4711");
            }
            assertThat(hand.said("status")).startsWith("Parts of an earlier run are left");
            assertThat(hand.said("stop")).isEqualTo("Ended what an earlier run left behind.");
            assertThat(stranger.isAlive()).isTrue();
            assertThat(run).isEmptyDirectory();
            assertThat(hand.said("stop")).isEqualTo("Nothing runs in " + hand.folder + ".");
        } finally {
            stranger.destroy();
        }
    }

    @Test
    void a_port_in_use_is_named_with_the_way_round() throws Exception {
        try (ServerSocket taken = new ServerSocket(hand.httpPort, 5, InetAddress.getLoopbackAddress())) {
            assertThat(hand.said("start"))
                    .isEqualTo("elvaro: Port " + taken.getLocalPort() + " for the application is in use."
                            + " End what uses it or choose another with --http-port.");
        }
    }

    @Test
    void an_unknown_option_is_named() throws Exception {
        assertThat(hand.said("start", "--fresh")).startsWith("elvaro: There is no option '--fresh'.");
    }

    @Test
    void an_existing_database_that_nobody_can_come_to_is_named() throws Exception {
        hand.environment.put("ELVARO_DB_URL", "jdbc:postgresql://localhost/elvaro");
        assertThat(hand.said("start")).startsWith("elvaro: ELVARO_DB_URL is to be like jdbc:mariadb://HOST:3306/NAME");
        hand.environment.put("ELVARO_DB_URL", "jdbc:mariadb://localhost/elvaro");
        assertThat(hand.said("start")).contains("name who comes to it too: ELVARO_DB_USER");
    }

    @Test
    void data_survive_stop_start_and_restore_and_nothing_is_left_running() throws Exception {
        assertThat(hand.said("status")).isEqualTo("Nothing runs in " + hand.folder + ".");
        Process first = hand.start();
        String code = House.codeIn(hand.folder.resolve("log/app.log"));
        Client client = new Client(hand.httpPort);
        client.must(client.setUp(code, House.OWNER, House.PASSWORD));
        client.must(client.signIn(House.OWNER, House.PASSWORD));
        client.chamber("Only in this house", 5000);
        String version = client.get("/api/session").body().at("/me/version").asString();
        assertThat(version).startsWith("0.");
        assertThat(hand.said("status")).startsWith("Elvaro " + version + " runs at http://127.0.0.1:" + hand.httpPort);
        assertThat(hand.said("recover", "nobody@brackenrow.example")).contains("No owner signs in as");
        String recovered = hand.said("recover").replaceAll("(?s).*/join#([A-Z0-9-]+).*", "$1");
        client.must(client.post("/api/password-by-code", Map.of("code", recovered, "password", House.PASSWORD)));
        client.must(client.signIn(House.OWNER, House.PASSWORD));
        assertThat(hand.said("start", "--empty")).startsWith("Elvaro runs already");
        client.cut();
        Path backup = hand.tools.resolve("all.backup");
        assertThat(hand.said("backup", backup.toString())).contains("Written: " + backup, "keep it like a key");
        assertThat(hand.said("backup", backup.toString())).contains("is there already");
        assertThat(hand.said("stop")).isEqualTo("Ended.");
        assertThat(first.waitFor(120, TimeUnit.SECONDS)).isTrue();
        assertThat(hand.folder.resolve("run")).isDirectoryNotContaining("glob:**.pid");
        new ServerSocket(hand.httpPort).close();
        new ServerSocket(hand.dbPort).close();
        assertThat(hand.said("restore", backup.toString())).contains("holds data already");
        Path own = hand.folder;
        hand.folder = hand.tools.resolve("restored");
        assertThat(hand.said("restore", backup.toString()))
                .contains("It is signed with the key ")
                .containsPattern("It was written 20[-0-9T:]+Z, 0 days ago, and goes into .*, which holds no data")
                .containsPattern("Checked: 1 workshops, [1-9][0-9]* finished pieces, every ledger closes.")
                .contains("'./elvaro start' goes on with it.");
        assertThat(hand.folder.resolve("house")).hasContent("empty\n");
        hand.folder = own;

        hand.pretend("df", "echo head; echo '/dev/x 100 90 307200 90% /'");
        Process second = hand.start(); // a house that is there asks for little room
        Files.delete(hand.tools.resolve("df"));
        assertThat(new Client(hand.httpPort).signIn(House.OWNER, House.PASSWORD).status())
                .isEqualTo(204);
        assertThat(new Client(hand.httpPort).post("/api/setup", Map.of()).status())
                .as("the code is used up and the door closed")
                .isNotEqualTo(204);
        second.destroy(); // as Ctrl-C does
        assertThat(second.waitFor(120, TimeUnit.SECONDS)).isTrue();
        new ServerSocket(hand.dbPort).close();
    }
}
