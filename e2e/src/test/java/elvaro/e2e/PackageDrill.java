package elvaro.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import elvaro.server.support.Client;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;

/**
 * The package in a Debian that has never seen anything else, made by debootstrap: {@code ./elvaro bench package}. As
 * root, some minutes; the tests follow one another as the weeks of one shop do.
 */
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
class PackageDrill {
    private static final int HTTP = House.freePort();
    private static final int DB = House.freePort();
    private static Path work;
    private static Path root;
    private static Process service;

    @BeforeAll
    static void aDebianOfItsOwn() throws Exception {
        work = Files.createTempDirectory("elvaro-package");
        root = work.resolve("root");
        says("debootstrap --variant=minbase bookworm " + root);
        says("cp /etc/apt/sources.list.d/* %1$s/etc/apt/sources.list.d/ 2>/dev/null || true".formatted(root));
        says(
                "mount -t proc proc %1$s/proc; printf '#!/bin/sh\\nexit 101\\n' >%1$s/usr/sbin/policy-rc.d; chmod 755 %1$s/usr/sbin/policy-rc.d"
                        .formatted(root));
    }

    @AfterAll
    static void nothingIsLeft() throws Exception {
        if (service != null) {
            service.destroy();
            service.waitFor();
        }
        says("umount %1$s/proc; rm -rf %2$s".formatted(root, work));
    }

    @Test
    @Order(1)
    void it_installs_with_a_java_runtime_and_mariadb_only() throws Exception {
        says(System.getenv().getOrDefault("ELVARO_LAUNCHER", "../elvaro") + " package " + root + "/root --dir " + work
                + "/build");
        inside("apt-get -q update && DEBIAN_FRONTEND=noninteractive apt-get -q install -y --no-install-recommends"
                + " /root/elvaro_*_all.deb");
        assertThat(inside("command -v javac mvn node npm gcc || echo none")).contains("none");
        assertThat(inside("getent passwd elvaro")).contains("/var/lib/elvaro:/usr/sbin/nologin");
        assertThat(inside("stat -c '%U %a' /var/lib/elvaro /var/log/elvaro /etc/elvaro/elvaro.conf"))
                .contains("elvaro 700", "elvaro 750", "root 640");
        inside(
                "sed -i 's/^ELVARO_HTTP_PORT=.*/ELVARO_HTTP_PORT=%d/; s/^ELVARO_DB_PORT=.*/ELVARO_DB_PORT=%d/' /etc/elvaro/elvaro.conf"
                        .formatted(HTTP, DB));
    }

    /** What systemd does not know it only says, and goes on. */
    @Test
    @Order(2)
    void systemd_knows_every_word_of_the_unit() throws Exception {
        inside("DEBIAN_FRONTEND=noninteractive apt-get -q install -y --no-install-recommends systemd");
        assertThat(inside("systemd-analyze verify --man=no /lib/systemd/system/elvaro.service 2>&1"))
                .isBlank();
    }

    @Test
    @Order(3)
    void the_main_job_is_done_on_it() throws Exception {
        service = started();
        assertThat(inside("ps -o user= -C java 2>/dev/null || stat -c %U /proc/$(cat /var/lib/elvaro/run/app.pid)"))
                .contains("elvaro");
        String status = inside("elvaro status");
        assertThat(status).containsPattern("Elvaro 0[.].* runs at .*:" + HTTP).contains("last error: none");
        String code = status.replaceAll("(?s).*needs the code ([A-Z0-9-]+).*", "$1");
        Client owner = new Client(HTTP);
        owner.must(owner.setUp(code, House.OWNER, House.PASSWORD));
        owner.must(owner.signIn(House.OWNER, House.PASSWORD));
        String chamber = owner.chamber("North Room", 4_000_000);
        owner.hangToday(chamber, 28, 4000, 4000);
        owner.cut();
        assertThat(owner.get("/api/room").body().toString()).contains("North Room");
        assertThat(inside("elvaro backup && elvaro check"))
                .contains("Written: /var/lib/elvaro/backup/")
                .contains("Checked: 1 workshops, 1 finished pieces");
        assertThat(inside("ls /var/log/elvaro")).contains("app.log", "db.log");
    }

    /** The same application under a higher number, over one that runs. */
    @Test
    @Order(4)
    void a_newer_package_goes_on_with_the_data() throws Exception {
        stopped();
        says(
                "cd %1$s && dpkg-deb -R root/root/elvaro_*_all.deb newer && sed -i 's/^Version: .*/Version: 0.99/' newer/DEBIAN/control"
                                .formatted(work)
                        + " && sed -i 's/^version .*/version 0.99/' newer/usr/lib/elvaro/version"
                        + " && dpkg-deb -Zzstd -z1 --root-owner-group --build newer root/root/newer.deb");
        inside("DEBIAN_FRONTEND=noninteractive apt-get -q install -y --no-install-recommends /root/newer.deb");
        service = started();
        assertThat(inside("elvaro status")).contains("Elvaro 0.99 runs at");
        Client owner = new Client(HTTP);
        owner.must(owner.signIn(House.OWNER, House.PASSWORD));
        assertThat(owner.get("/api/room").body().toString()).contains("North Room");
    }

    @Test
    @Order(5)
    void data_and_settings_stay_when_it_goes() throws Exception {
        stopped();
        inside("DEBIAN_FRONTEND=noninteractive apt-get -q remove -y elvaro");
        assertThat(inside("ls -d /var/lib/elvaro/db/elvaro /var/lib/elvaro/secret/house-key /etc/elvaro/elvaro.conf"))
                .doesNotContain("No such file");
        assertThat(inside("command -v elvaro || echo gone")).contains("gone");
    }

    private static Process started() throws Exception {
        Path log = work.resolve("service.log");
        Process process = alone(List.of("chroot", root.toString(), "elvaro", "start"))
                .redirectOutput(log.toFile())
                .start();
        Instant began = Instant.now();
        House.awaitReady("http://127.0.0.1:" + HTTP, process, log);
        System.out.println(
                "ready after " + Duration.between(began, Instant.now()).toSeconds() + " s");
        return process;
    }

    private static void stopped() throws Exception {
        inside("elvaro stop");
        service.waitFor();
    }

    private static String inside(String command) throws Exception {
        return run(List.of("chroot", root.toString(), "/bin/bash", "-c", command));
    }

    private static String says(String command) throws Exception {
        return run(List.of("bash", "-c", command));
    }

    /** Without what the tests themselves were given. */
    private static ProcessBuilder alone(List<String> command) {
        ProcessBuilder process = new ProcessBuilder(command).redirectErrorStream(true);
        process.environment().keySet().removeIf(name -> name.startsWith("ELVARO_"));
        process.environment().put("LC_ALL", "C.UTF-8");
        process.environment().put("PATH", System.getenv("PATH") + ":/usr/sbin:/sbin");
        return process;
    }

    private static String run(List<String> command) throws IOException, InterruptedException {
        Process running = alone(command).start();
        String said = new String(running.getInputStream().readAllBytes());
        assertThat(running.waitFor()).as(command + "\n" + said).isZero();
        return said;
    }
}
