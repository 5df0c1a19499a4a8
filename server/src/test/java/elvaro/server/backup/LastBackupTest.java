package elvaro.server.backup;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class LastBackupTest {
    @TempDir
    Path folder;

    @Test
    void what_the_launcher_wrote_is_read() throws IOException {
        LastBackup backups = new LastBackup(folder.resolve("backup.last").toString());
        assertThat(backups.last()).isEmpty();
        Files.writeString(
                folder.resolve("backup.last"), "failed 2026-11-29T02:40:07Z Only 3 MB are free where it is to be.\n");
        Files.writeString(
                folder.resolve("backup.checked"), "whole 2026-11-22T02:41:00Z /media/stick/night.backup: Checked\n");
        Files.writeString(folder.resolve("backup.to"), "/media/stick\n/media/other\n");
        assertThat(backups.last())
                .hasValue(new LastBackup.Attempt(
                        false, Instant.parse("2026-11-29T02:40:07Z"), "Only 3 MB are free where it is to be."));
        assertThat(backups.checked())
                .hasValueSatisfying(checked -> assertThat(checked.made()).isTrue());
        assertThat(backups.folders()).containsExactly("/media/stick", "/media/other");
        Files.writeString(folder.resolve("backup.last"), "half a wo");
        assertThat(backups.last()).as("what is broken says nothing").isEmpty();
    }
}
