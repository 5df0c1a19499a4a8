package elvaro.server.look;

import elvaro.core.drying.Method;
import elvaro.core.inspection.Circumstances;
import elvaro.core.inspection.FollowUp;
import elvaro.core.inspection.LookVerdict;
import elvaro.core.inspection.Rule;
import elvaro.core.ledger.DiscardCause;
import elvaro.core.ledger.LogFact;
import elvaro.core.ledger.LogFact.LogFactKind;
import elvaro.core.ledger.PieceLog;
import elvaro.core.ledger.Stream;
import elvaro.core.schedule.Work;
import elvaro.server.forecast.Figures;
import elvaro.server.hanging.EntryForm;
import elvaro.server.hanging.LogService;
import elvaro.server.hanging.PieceQueries;
import elvaro.server.hanging.PieceQueries.HangingPiece;
import elvaro.server.hanging.PieceView.EntryView;
import elvaro.server.look.LookRepository.PhotoRow;
import elvaro.server.piece.Piece;
import elvaro.server.piece.PieceState;
import elvaro.server.piece.PieceWriter;
import elvaro.server.settings.HouseClock;
import elvaro.server.settings.WorkshopService;
import elvaro.server.shared.CurrentWorkshop;
import elvaro.server.shared.Ids;
import elvaro.server.shared.Refusal;
import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps looks, answers them by the rules, and does away with what must be. The answer is worked out, never stored. */
@Service
@Transactional
public class LookService {
    private static final int MOST_PHOTOS = 6;
    private static final Set<Work> AT_THE_BENCH = EnumSet.of(Work.REST, Work.LOOK);

    private final PieceWriter writer;
    private final LookRepository looks;
    private final LogService log;
    private final PieceQueries pieces;
    private final WorkshopService workshops;
    private final CurrentWorkshop current;
    private final EntityManager entities;
    private final Clock clock;

    LookService(
            PieceWriter writer,
            LookRepository looks,
            LogService log,
            PieceQueries pieces,
            WorkshopService workshops,
            CurrentWorkshop current,
            EntityManager entities,
            Clock clock) {
        this.writer = writer;
        this.looks = looks;
        this.log = log;
        this.pieces = pieces;
        this.workshops = workshops;
        this.current = current;
        this.entities = entities;
        this.clock = clock;
    }

    /**
     * Keeps a look; sent again, it is kept once.
     *
     * @throws Refusal if the piece does not hang, or what was seen contradicts itself
     */
    public void keep(UUID pieceId, UUID entryId, LookForm form) {
        Piece piece = writer.lock(pieceId); // A retry finds what the first one kept.
        Optional<Look> known = looks.findById(entryId);
        if (known.isPresent()) {
            if (!known.get().seen().equals(form.seen())) {
                throw Refusal.conflict(
                        "id-used",
                        "Your first look did arrive and stands in the log. What you changed is not saved. Keep the look"
                                + " again to add it.");
            }
            return;
        }
        Look look = new Look(entryId, pieceId, form.seen());
        // The forecast must know of a leak without knowing of looks, so the log's entry says it.
        boolean leaks = piece.method().isPresent()
                && verdict(look, piece, clock.instant(), workshops.mine().clock())
                        .because()
                        .contains(Rule.LEAK);
        LogFactKind kind = leaks ? LogFactKind.LEAKED : LogFactKind.LOOKED;
        log.writeFor(
                pieceId,
                entryId,
                new EntryForm(
                        kind,
                        0,
                        null,
                        form.words(),
                        form.at(),
                        null,
                        Map.of(),
                        null,
                        null,
                        null,
                        null,
                        null,
                        form.sentAt()));
        entities.persist(look);
    }

    /** Every look at a piece, the newest first. */
    @Transactional(readOnly = true)
    public List<LookView> of(UUID pieceId) {
        Piece piece = pieces.find(pieceId);
        Map<UUID, EntryView> entries =
                pieces.log(pieceId).stream().collect(Collectors.toMap(EntryView::id, Function.identity()));
        Map<UUID, List<UUID>> photos = looks.photosOf(pieceId).stream()
                .collect(
                        Collectors.groupingBy(PhotoRow::lookId, Collectors.mapping(PhotoRow::id, Collectors.toList())));
        HouseClock house = workshops.mine().clock();
        return looks.findByPieceId(pieceId).stream()
                .map(look ->
                        view(look, entries.get(look.id()), piece, house, photos.getOrDefault(look.id(), List.of())))
                .sorted(Comparator.comparing(LookView::at).reversed())
                .toList();
    }

    private static LookView view(Look look, EntryView entry, Piece piece, HouseClock house, List<UUID> photos) {
        LookVerdict verdict = verdict(look, piece, entry.happenedAt(), house);
        return new LookView(
                look.id(),
                entry.happenedAt(),
                entry.by(),
                entry.words(),
                look.seen().told(),
                look.seen(),
                verdict.answer(),
                verdict.discard(),
                verdict.because().stream().map(LookView.Because::of).toList(),
                verdict.work().stream().map(LookView.ToDo::of).toList(),
                entry.stands(),
                photos);
    }

    private static LookVerdict verdict(Look look, Piece piece, Instant at, HouseClock house) {
        // A part of an animal hung with the whole, and is looked at as it comes off.
        Instant hungAt = piece.hungAt(house).orElse(at);
        double day = Math.max(0, Duration.between(hungAt, at).toSeconds() / 86_400.0);
        return LookVerdict.of(look.seen(), new Circumstances(piece.method().orElse(Method.VACUUM), day));
    }

    /**
     * What the last looks at these pieces ask for and nobody has done yet, by piece. Off the rail there is nothing to turn
     * or reseal; what rests is still smelled again.
     */
    @Transactional(readOnly = true)
    public Map<UUID, List<FollowUp>> followUps(List<HangingPiece> hanging, HouseClock house) {
        List<UUID> last = hanging.stream()
                .flatMap(each -> each.log().lastLook().stream())
                .map(LogFact::id)
                .toList();
        Map<UUID, Look> seen = last.isEmpty()
                ? Map.of()
                : looks.findAll(last).stream().collect(Collectors.toMap(Look::pieceId, Function.identity()));
        Map<UUID, List<FollowUp>> open = new HashMap<>();
        for (HangingPiece each : hanging) {
            PieceLog read = each.log();
            Optional<LookVerdict> verdict = Optional.ofNullable(
                            seen.get(each.piece().id()))
                    .map(look -> verdict(
                            look, each.piece(), read.lastLook().orElseThrow().at(), house));
            boolean hangs = each.piece().state() == PieceState.HANGING;
            List<FollowUp> made = FollowUp.of(read, verdict).stream()
                    .filter(one -> hangs || AT_THE_BENCH.contains(one.work()))
                    .toList();
            if (!made.isEmpty()) {
                open.put(each.piece().id(), made);
            }
        }
        return open;
    }

    /**
     * Throws a hanging piece away, all of it: taken down, weighed onto the discard pile, the bench closed. Sent again, it
     * happens once.
     *
     * @param grams what the scale showed
     * @param words why
     * @param answers to questions the weight raised
     */
    public void discard(UUID pieceId, UUID entryId, int grams, String words, Map<String, String> answers) {
        writer.lock(pieceId);
        if (log.isRetry(pieceId, entryId, LogFactKind.PULLED, grams, null)) {
            return;
        }
        log.writeFor(pieceId, entryId, new EntryForm(LogFactKind.PULLED, grams, null, words, null, null, answers));
        Figures figures = pieces.figures(List.of(pieceId)).get(0);
        DiscardCause cause = figures.log()
                .lastLook()
                .flatMap(look -> looks.findById(look.id()))
                .flatMap(look -> look.seen().cause())
                .orElse(null);
        log.writeFor(
                pieceId,
                Ids.after(entryId, "pile"),
                new EntryForm(
                        LogFactKind.PILE,
                        figures.ledger().aged(),
                        Stream.DISCARD,
                        words,
                        null,
                        null,
                        Map.of(),
                        null,
                        cause,
                        null,
                        null,
                        null,
                        null));
        log.turn(writer.lock(pieceId), Ids.after(entryId, "closed"), LogFactKind.CLOSED, words);
    }

    /**
     * Keeps a picture of a look; sent again, it is kept once.
     *
     * @throws Refusal if it is no picture, or the look has enough of them
     */
    public void keepPhoto(UUID pieceId, UUID lookId, UUID photoId, byte[] sent) {
        mustBeOf(pieceId, lookId);
        if (entities.find(Photo.class, photoId) != null) {
            return;
        }
        long known = looks.photosOf(pieceId).stream()
                .filter(photo -> lookId.equals(photo.lookId()))
                .count();
        if (known >= MOST_PHOTOS) {
            throw Refusal.conflict("photos-enough", "A look has %d pictures at most.".formatted(MOST_PHOTOS));
        }
        entities.persist(Photo.ofLook(
                photoId,
                lookId,
                Photos.small(sent),
                clock.instant().truncatedTo(ChronoUnit.MICROS),
                current.person().accountId()));
    }

    private void mustBeOf(UUID pieceId, UUID lookId) {
        looks.findById(lookId)
                .filter(look -> look.pieceId().equals(pieceId))
                .orElseThrow(() -> Refusal.notFound("look"));
    }

    /** A picture as JPEG. */
    @Transactional(readOnly = true)
    public byte[] photo(UUID pieceId, UUID lookId, UUID photoId) {
        mustBeOf(pieceId, lookId);
        return Optional.ofNullable(entities.find(Photo.class, photoId))
                .filter(photo -> lookId.equals(photo.lookId()))
                .orElseThrow(() -> Refusal.notFound("picture"))
                .jpeg();
    }
}
