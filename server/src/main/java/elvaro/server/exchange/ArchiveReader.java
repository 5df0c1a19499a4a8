package elvaro.server.exchange;

import elvaro.server.account.AccountService;
import elvaro.server.chain.HouseKey;
import elvaro.server.hanging.LedgerAudit;
import elvaro.server.reading.AirHistory;
import elvaro.server.settings.WorkshopService;
import elvaro.server.settings.WorkshopSettings;
import elvaro.server.shared.Changes;
import elvaro.server.shared.CurrentWorkshop;
import elvaro.server.shared.LongWork;
import elvaro.server.shared.Refusal;
import jakarta.persistence.EntityManager;
import jakarta.validation.Validator;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import java.util.function.LongConsumer;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/** Takes an archive into the signed-in person's workshop: all of it, or nothing. */
@Component
class ArchiveReader {
    private final ArchiveFormat format;
    private final JdbcTemplate database;
    private final TransactionTemplate transaction;
    private final EntityManager entities;
    private final CurrentWorkshop current;
    private final WorkshopService workshops;
    private final AccountService people;
    private final AirHistory air;
    private final LedgerAudit ledgers;
    private final Changes changes;
    private final Validator validator;
    private final LongWork longWork;
    private final ImportLinks imports;
    private final HouseKey house;

    ArchiveReader(
            ArchiveFormat format,
            JdbcTemplate database,
            TransactionTemplate transaction,
            EntityManager entities,
            CurrentWorkshop current,
            WorkshopService workshops,
            AccountService people,
            AirHistory air,
            LedgerAudit ledgers,
            Changes changes,
            Validator validator,
            LongWork longWork,
            ImportLinks imports,
            HouseKey house) {
        this.format = format;
        this.database = database;
        this.transaction = transaction;
        this.entities = entities;
        this.current = current;
        this.workshops = workshops;
        this.people = people;
        this.air = air;
        this.ledgers = ledgers;
        this.changes = changes;
        this.validator = validator;
        this.longWork = longWork;
        this.imports = imports;
        this.house = house;
    }

    /** Told how many rows of how many were read. */
    interface Progress {
        void read(long done, long of);
    }

    /**
     * @param dry goes the whole way and then takes everything back
     * @throws Refusal that says what is wrong; nothing was changed then
     */
    ArchiveTaken take(Path file, boolean dry, Progress progress) throws IOException {
        Sealed.Seal seal = Sealed.check(file);
        try (ArchiveSource source = new ArchiveSource(file, format)) {
            long of = source.head().allRows();
            ArchiveTaken taken = transaction.execute(status -> {
                ArchiveTaken read = takeIn(source, seal, dry, done -> progress.read(done, of));
                if (dry) {
                    status.setRollbackOnly();
                }
                return read;
            });
            return Objects.requireNonNull(taken);
        }
    }

    private ArchiveTaken takeIn(ArchiveSource source, Sealed.Seal seal, boolean dry, LongConsumer progress) {
        UUID workshop = current.person().workshopId();
        longWork.allow();
        workshops.lock();
        Map<String, Object> there = source.head().workshop();
        boolean same = workshop.toString().equals(there.get("id"));
        List<String> told = new ArrayList<>(List.of(signed(seal.key())));
        source.fault().ifPresent(fault -> told.add("The record it was made from was not whole: " + fault));
        if (!same) {
            settings(there, told);
        }
        IdRemapping remapping = new IdRemapping(database, workshop, same);
        ArchiveImport rows =
                new ArchiveImport(database, workshop, remapping, people, air, source, seal.digest(), progress);
        source.rows(rows);
        rows.finish(same);
        imports.keep(
                rows.fresh(), String.valueOf(there.get("name")), source.head().madeAt(), seal.key());
        // What was read before the rows were written is outdated.
        entities.flush();
        entities.clear();
        LedgerAudit.AuditResult found = ledgers.of(rows.freshPieces());
        if (!found.open().isEmpty()) {
            throw Refusal.wrong(
                    "bad-archive",
                    "archive",
                    "What is written of %s does not add up. Nothing was taken in."
                            .formatted(String.join(
                                    ", ",
                                    found.open()
                                            .subList(0, Math.min(5, found.open().size())))));
        }
        changes.raise(workshop);
        told.addAll(rows.changes());
        return new ArchiveTaken(
                dry, String.valueOf(there.get("name")), source.head().madeAt(), rows.taken(), told);
    }

    private String signed(Optional<String> key) {
        return key.map(signer -> signer.equals(house.open())
                        ? "It is signed with this house's own key."
                        : ("It is signed with the key %s, which is not this house's: ask whoever gave it whether it is"
                                        + " theirs. What it brings says so for ever.")
                                .formatted(HouseKey.print(signer)))
                .orElse(
                        "It is not signed: nobody vouches that it is as it was written. What it brings says so for ever.");
    }

    /** An empty house takes over how the other one is set up; another one keeps its own, and must count the same money. */
    private void settings(Map<String, Object> there, List<String> told) {
        WorkshopSettings here = workshops.settings();
        WorkshopSettings asked = WorkshopSettings.from(here.version(), there);
        if (isEmpty()) {
            if (!validator.validate(asked).isEmpty()) {
                throw Refusal.wrong(
                        "bad-archive",
                        "archive",
                        "The workshop of the archive is set up as none can be. Nothing was taken in.");
            }
            workshops.takeOver(asked, there);
            entities.flush();
            told.add("This house is empty and takes over the name, currency, time zone and prices of %s."
                    .formatted(asked.name()));
        } else if (!here.currency().equals(asked.currency())) {
            throw Refusal.wrong(
                    "other-currency",
                    "archive",
                    "The archive counts in %s and this house in %s. Take it into an empty house. Nothing was taken in."
                            .formatted(asked.currency(), here.currency()));
        } else {
            told.add("The name, time zone and prices stay as they are here.");
        }
    }

    private boolean isEmpty() {
        return Boolean.TRUE.equals(database.queryForObject(
                "select not exists (select 1 from chamber where workshop_id = ?)"
                        + " and not exists (select 1 from lot where workshop_id = ?)",
                Boolean.class,
                current.person().workshopId().toString(),
                current.person().workshopId().toString()));
    }
}
