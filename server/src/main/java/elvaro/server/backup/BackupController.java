package elvaro.server.backup;

import elvaro.server.backup.LastBackup.Attempt;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

@RestController
class BackupController {
    private final LastBackup backups;
    private final String command;

    BackupController(LastBackup backups, @Value("${elvaro.command}") String command) {
        this.backups = backups;
        this.command = command;
    }

    /**
     * How the backups of this house do.
     *
     * @param byItself whether it writes any
     * @param last absent where none was tried yet
     * @param checked the last one that was restored and looked at; absent where none was yet
     * @param folders where they go, where somebody chose
     * @param choosing what is called to choose others
     */
    record BackupsView(
            boolean byItself,
            @Nullable Attempt last,
            @Nullable Attempt checked,
            List<String> folders,
            String choosing) {}

    @GetMapping("/api/backups")
    @PreAuthorize("hasRole('OWNER')")
    BackupsView backups() {
        return new BackupsView(
                backups.byItself(),
                backups.last().orElse(null),
                backups.checked().orElse(null),
                backups.folders(),
                command + " backups /media/stick");
    }
}
