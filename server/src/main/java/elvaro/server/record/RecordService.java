package elvaro.server.record;

import static elvaro.core.working.Quantity.date;
import static elvaro.core.working.Quantity.limit;
import static elvaro.core.working.Quantity.mass;
import static elvaro.core.working.Quantity.temperature;

import elvaro.core.ledger.LogFact.LogFactKind;
import elvaro.core.working.Quantity;
import elvaro.server.chamber.Chamber;
import elvaro.server.chamber.ChamberService;
import elvaro.server.hanging.PieceQueries;
import elvaro.server.hanging.PieceView.EntryView;
import elvaro.server.hanging.StayService;
import elvaro.server.hanging.StayService.StayIn;
import elvaro.server.look.LookService;
import elvaro.server.look.LookView;
import elvaro.server.lot.DecisionService;
import elvaro.server.piece.Piece;
import elvaro.server.piece.PieceState;
import elvaro.server.reading.AirEvent;
import elvaro.server.reading.AirEvents;
import elvaro.server.reading.AirService;
import elvaro.server.reading.AirView.AirEventView;
import elvaro.server.record.RecordView.AirOfChamber;
import elvaro.server.record.RecordView.RecordRow;
import elvaro.server.record.RecordView.Standing;
import elvaro.server.settings.HouseClock;
import elvaro.server.settings.WorkshopService;
import elvaro.server.shared.Refusal;
import java.time.Instant;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Gathers what was written down: entries with their corrections, looks, questions and decisions, what was changed, and the air. */
@Service
@Transactional(readOnly = true)
public class RecordService {
    private static final int LONGEST_DAYS = 400;

    private final PieceQueries pieces;
    private final StayService hung;
    private final LookService looks;
    private final DecisionService decisions;
    private final ChamberService chambers;
    private final AirService air;
    private final AirEvents airEvents;
    private final ChangeReader changes;
    private final WorkshopService workshops;

    RecordService(
            PieceQueries pieces,
            StayService hung,
            LookService looks,
            DecisionService decisions,
            ChamberService chambers,
            AirService air,
            AirEvents airEvents,
            ChangeReader changes,
            WorkshopService workshops) {
        this.pieces = pieces;
        this.hung = hung;
        this.looks = looks;
        this.decisions = decisions;
        this.chambers = chambers;
        this.air = air;
        this.airEvents = airEvents;
        this.changes = changes;
        this.workshops = workshops;
    }

    /** Everything about one piece, with the air of every chamber it hung in for as long as it did. */
    public RecordView ofPiece(UUID pieceId) {
        Piece piece = pieces.find(pieceId);
        List<StayIn> stays = hung.stays(pieceId);
        List<RecordRow> rows = new ArrayList<>(rows(piece, pieces.log(pieceId)));
        decisions
                .about(piece.lot().id(), pieceId)
                .forEach(kept -> rows.add(new RecordRow(
                        kept.decidedAt(),
                        kept.decidedAt(),
                        kept.by(),
                        piece.tag(),
                        "Questioned and kept",
                        null,
                        "%s %s".formatted(kept.sentence(), kept.reason()).strip(),
                        Standing.STANDS)));
        rows.addAll(changes.of(List.of(piece.lot().id(), pieceId)));
        rows.sort(Comparator.comparing(RecordRow::at));
        List<AirOfChamber> airs = stays.stream()
                .map(stay -> airOf(stay.chamber(), stay.from(), stay.to()))
                .toList();
        String hung = piece.hungOn()
                .map(day -> "hung on %s for %d days"
                        .formatted(date(day), piece.targetDays().orElse(0)))
                .orElse(piece.state() == PieceState.WAITING ? "not hung yet" : "set aside fresh");
        return new RecordView(
                piece.tag(),
                "%s, lot %d from %s, %s, %s"
                        .formatted(
                                piece.cut().name(),
                                piece.lot().number(),
                                Quantity.words(piece.lot().supplier()),
                                mass(piece.greenGrams()),
                                hung),
                stays.stream().map(StayIn::from).findFirst().orElse(Instant.EPOCH),
                stays.stream().map(StayIn::to).reduce((first, last) -> last).orElse(Instant.EPOCH),
                rows,
                airs);
    }

    /**
     * A chamber over some days: its air, and what was written about the pieces while they hung in it.
     *
     * @throws Refusal if the last day is before the first, or they are more than 400 days apart
     */
    public RecordView ofChamber(UUID chamberId, LocalDate first, LocalDate last) {
        Chamber chamber = chambers.find(chamberId).orElseThrow(() -> Refusal.notFound("chamber"));
        mustBeAStretch(first, last);
        HouseClock house = workshops.mine().clock();
        Instant from = house.start(first);
        Instant to = house.start(last.plusDays(1));
        List<StayIn> stays = hung.staysIn(chamberId, last.plusDays(1));
        Map<UUID, List<EntryView>> logs = pieces.logs(
                stays.stream().map(stay -> stay.piece().id()).distinct().toList());
        List<RecordRow> rows = new ArrayList<>();
        for (StayIn stay : stays) {
            List<EntryView> within = logs.getOrDefault(stay.piece().id(), List.of()).stream()
                    .filter(entry -> !entry.happenedAt().isBefore(stay.from())
                            && !entry.happenedAt().isAfter(stay.to())
                            && !entry.happenedAt().isBefore(from)
                            && entry.happenedAt().isBefore(to))
                    .toList();
            rows.addAll(rows(stay.piece(), within));
        }
        changes.of(List.of(chamberId)).stream()
                .filter(row -> !row.at().isBefore(from) && row.at().isBefore(to))
                .forEach(rows::add);
        airEvents
                .takenIn(chamberId, from, to)
                .forEach(file -> rows.add(new RecordRow(
                        file.at(),
                        file.at(),
                        file.by(),
                        chamber.name(),
                        file.file() ? "Air from a file" : "Air sent late",
                        null,
                        "%d readings of %s (SHA-256 %s)"
                                .formatted(file.readings(), Quantity.words(file.name()), file.checksum()),
                        Standing.STANDS)));
        rows.sort(Comparator.comparing(RecordRow::at));
        return new RecordView(
                chamber.name(),
                "set to %s, made for %s".formatted(temperature(chamber.setCelsius()), limit(chamber.limitGrams())),
                from,
                to,
                rows,
                List.of(airOf(chamber, from, to)));
    }

    /**
     * All that was changed in the house over some days: lots, pieces, chambers, settings, people, rules and devices.
     *
     * @throws Refusal if the last day is before the first, or they are more than 400 days apart
     */
    public RecordView ofChanges(LocalDate first, LocalDate last) {
        mustBeAStretch(first, last);
        HouseClock house = workshops.mine().clock();
        Instant from = house.start(first);
        Instant to = house.start(last.plusDays(1));
        return new RecordView(
                "changes", "What was changed, with what it was before", from, to, changes.between(from, to), List.of());
    }

    private static void mustBeAStretch(LocalDate first, LocalDate last) {
        if (last.isBefore(first) || ChronoUnit.DAYS.between(first, last) > LONGEST_DAYS) {
            throw Refusal.wrong("wrong-stretch", "to", "Choose a last day after the first, at most 400 days on.");
        }
    }

    private AirOfChamber airOf(Chamber chamber, Instant from, Instant to) {
        List<AirEventView> events = to.isAfter(from)
                ? air.view(chamber.id(), from, to, LONGEST_DAYS).events()
                : List.of();
        return new AirOfChamber(
                chamber.name(),
                air.days(chamber.id(), from, to, workshops.mine().clock()),
                events);
    }

    private List<RecordRow> rows(Piece piece, List<EntryView> log) {
        boolean looked = log.stream()
                .anyMatch(entry -> entry.kind() == LogFactKind.LOOKED || entry.kind() == LogFactKind.LEAKED);
        Map<UUID, LookView> seen = looked
                ? looks.of(piece.id()).stream().collect(Collectors.toMap(LookView::id, Function.identity()))
                : Map.of();
        return log.stream()
                .map(entry -> row(piece, entry, seen.get(entry.id())))
                .toList();
    }

    private static RecordRow row(Piece piece, EntryView entry, @Nullable LookView look) {
        Standing standing = entry.corrects() != null || entry.kind() == LogFactKind.TAKEN_BACK
                ? Standing.CORRECTS
                : entry.stands() ? Standing.STANDS : Standing.REPLACED;
        String said = look == null
                ? entry.words()
                : "%s: %s. %s. %s"
                        .formatted(
                                words(look.answer().name()),
                                look.seen(),
                                look.because().stream()
                                        .map(LookView.Because::seen)
                                        .collect(Collectors.joining("; ")),
                                entry.words())
                        .strip();
        String words = entry.cameWith() == null
                ? said
                : "%s %s".formatted(said, entry.cameWith()).strip();
        return new RecordRow(
                entry.happenedAt(),
                entry.recordedAt(),
                entry.by(),
                piece.tag(),
                entry.stream() == null
                        ? words(entry.kind().name())
                        : "Pile of " + entry.stream().label(),
                entry.kind().weighs() ? entry.grams() : null,
                words,
                entry.stands() ? standing : Standing.REPLACED);
    }

    private static String words(String name) {
        String lower = name.replace('_', ' ').toLowerCase(Locale.ROOT);
        return lower.substring(0, 1).toUpperCase(Locale.ROOT) + lower.substring(1);
    }

    /** What is written about an event of the air. */
    static String told(AirEventView event) {
        return event.kind() == AirEvent.WARM
                ? "Above %s until %s, up to %s".formatted(temperature(5), event.to(), temperature(event.peakCelsius()))
                : "No reading until %s%s".formatted(event.to(), filled(event));
    }

    /** What came into a silence afterwards, to go on with a sentence. */
    static String filled(AirEventView event) {
        return event.filledBy().stream()
                .map(fill -> ", filled afterwards with %d readings of the file %s (SHA-256 %s) by %s"
                        .formatted(fill.readings(), Quantity.words(fill.name()), fill.checksum(), fill.by()))
                .collect(Collectors.joining());
    }
}
