package elvaro.server.exchange;

import elvaro.server.exchange.ArchiveTaken.ArchiveLine;
import elvaro.server.settings.WorkshopService;
import elvaro.server.shared.CurrentWorkshop;
import elvaro.server.shared.Refusal;
import elvaro.server.shared.RequestLimit;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;
import java.util.UUID;
import java.util.function.Consumer;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.dao.DataAccessException;
import org.springframework.stereotype.Service;
import org.springframework.transaction.TransactionException;

/** What leaves the house as a file. */
@Service
public class ExchangeService {
    private static final Logger LOG = LoggerFactory.getLogger(ExchangeService.class);

    private static final long BYTES_PER_MEGABYTE = 1_000_000;

    private final ArchiveWriter archives;
    private final DataPackage packages;
    private final Spreadsheet spreadsheets;
    private final ArchiveReader reader;
    private final long mostBytes;
    private final int filesAMinute;
    private final WorkshopService workshops;
    private final CurrentWorkshop current;
    private final RequestLimit<UUID> limit = new RequestLimit<>();

    ExchangeService(
            ArchiveWriter archives,
            DataPackage packages,
            Spreadsheet spreadsheets,
            ArchiveReader reader,
            WorkshopService workshops,
            CurrentWorkshop current,
            @Value("${elvaro.archive-megabytes}") int megabytes,
            @Value("${elvaro.files-a-minute}") int filesAMinute) {
        this.filesAMinute = filesAMinute;
        this.archives = archives;
        this.packages = packages;
        this.spreadsheets = spreadsheets;
        this.reader = reader;
        this.mostBytes = megabytes * BYTES_PER_MEGABYTE;
        this.workshops = workshops;
        this.current = current;
    }

    /** Such as brackenrow-2026-02-14. */
    public String fileName() {
        String name = workshops.mine().name().toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]+", "-");
        return "%s-%s".formatted(name.replaceAll("^-|-$", ""), workshops.today());
    }

    public void archive(OutputStream out) throws IOException {
        archives.write(out);
    }

    public void dataPackage(OutputStream out) throws IOException {
        packages.write(out);
    }

    void spreadsheet(OutputStream out) throws IOException {
        spreadsheets.write(out);
    }

    /**
     * What was sent, as a file of its own; whoever asked for it deletes it.
     *
     * @throws Refusal if it is too large
     */
    Path received(InputStream body) throws IOException {
        mustNotBeMany();
        Path file = Files.createTempFile("elvaro-archive-", ".zip");
        try (OutputStream out = Files.newOutputStream(file)) {
            byte[] buffer = new byte[1 << 16];
            long size = 0;
            for (int read = body.read(buffer); read >= 0; read = body.read(buffer)) {
                size += read;
                if (size > mostBytes) {
                    throw Refusal.tooLarge("An archive has at most %d MB. Nothing was taken in."
                            .formatted(mostBytes / BYTES_PER_MEGABYTE));
                }
                out.write(buffer, 0, read);
            }
        } catch (RuntimeException | IOException failure) {
            Files.delete(file);
            throw failure;
        }
        return file;
    }

    /**
     * Takes an archive in, or tries to.
     *
     * @param told while it is read, with every thousand rows
     * @return the last line
     */
    ArchiveLine take(Path file, boolean dry, Consumer<ArchiveLine> told) throws IOException {
        try {
            ArchiveTaken taken =
                    reader.take(file, dry, (done, of) -> told.accept(new ArchiveLine(done, of, null, null)));
            return new ArchiveLine(0, 0, taken, null);
        } catch (Refusal refusal) {
            return new ArchiveLine(0, 0, null, refusal.sentence());
        } catch (DataAccessException | TransactionException away) {
            LOG.warn("An archive was not taken in", away);
            return new ArchiveLine(0, 0, null, "The database did not take it. Nothing was taken in; try again.");
        }
    }

    /** @throws Refusal if files were asked for too often */
    public void mustNotBeMany() {
        if (!limit.allows(current.person().workshopId(), filesAMinute)) {
            throw Refusal.tooMany("That is many files in a minute, and each reads the whole house. Wait a minute.");
        }
    }
}
