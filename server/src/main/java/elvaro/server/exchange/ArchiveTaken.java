package elvaro.server.exchange;

import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What an archive brought, or would bring.
 *
 * @param tried whether it was only tried; nothing was changed then
 * @param from the workshop it was made in
 * @param tables those with rows, in the archive's order
 * @param changes what is otherwise here than in the archive, in sentences
 */
public record ArchiveTaken(boolean tried, String from, Instant madeAt, List<TableTaken> tables, List<String> changes) {

    /**
     * Of one table.
     *
     * @param about what a row is
     * @param fresh rows that are new here
     * @param known rows that are here already; they stay as they are
     */
    public record TableTaken(String name, String about, int fresh, int known) {}

    /**
     * One line of the answer while an archive is taken in.
     *
     * @param done rows read so far, of so many
     * @param taken in the last line, where it was
     * @param refused in the last line, why it was not
     */
    public record ArchiveLine(
            long done,
            long of,
            @Nullable ArchiveTaken taken,
            @Nullable String refused) {}
}
