package elvaro.server.rehearsal;

import static elvaro.core.working.Quantity.temperature;

import elvaro.core.inspection.LookKey;
import elvaro.core.inspection.Observation;
import elvaro.core.keeping.Excursions;
import elvaro.core.ledger.LogFact.LogFactKind;
import elvaro.core.ledger.Piles;
import elvaro.core.ledger.Stream;
import elvaro.core.rehearsal.Deed;
import elvaro.core.rehearsal.Ending;
import elvaro.core.rehearsal.Heap;
import elvaro.core.rehearsal.LessonWork;
import elvaro.core.rehearsal.Mishap;
import elvaro.core.rehearsal.PieceTruth;
import elvaro.core.rehearsal.RehearsalLesson;
import elvaro.core.rehearsal.RehearsalWorld;
import elvaro.core.rehearsal.Replay;
import elvaro.core.rehearsal.Replay.Choice;
import elvaro.core.rehearsal.Review;
import elvaro.core.rehearsal.Review.WeightOnDay;
import elvaro.core.rehearsal.Sight;
import elvaro.core.rehearsal.Sight.LookTold;
import elvaro.core.yield.BenchOrder;
import elvaro.server.hanging.PieceQueries;
import elvaro.server.hanging.PieceView.EntryView;
import elvaro.server.look.LookService;
import elvaro.server.look.LookView;
import elvaro.server.piece.Piece;
import elvaro.server.piece.PieceState;
import elvaro.server.rehearsal.RehearsalView.BefellLine;
import elvaro.server.rehearsal.RehearsalView.FindingLine;
import elvaro.server.rehearsal.RehearsalView.HeapOnBlock;
import elvaro.server.rehearsal.RehearsalView.PieceBefore;
import elvaro.server.rehearsal.RehearsalView.ReplayView;
import elvaro.server.rehearsal.RehearsalView.ReviewView;
import elvaro.server.rehearsal.RehearsalView.WeighedHeap;
import elvaro.server.scale.ScaleService;
import elvaro.server.shared.HouseTime;
import elvaro.server.shared.Refusal;
import jakarta.persistence.EntityManager;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What a person does and sees in the rehearsal they are in, beside the screens of the real thing. */
@Service
@Transactional
class RehearsalPlay {
    private final RehearsalRepository rehearsals;
    private final RehearsalAir air;
    private final RehearsalAsking asking;
    private final PieceQueries pieces;
    private final LookService looks;
    private final ScaleService scales;
    private final EntityManager entities;
    private final HouseTime time;

    RehearsalPlay(
            RehearsalRepository rehearsals,
            RehearsalAir air,
            RehearsalAsking asking,
            PieceQueries pieces,
            LookService looks,
            ScaleService scales,
            EntityManager entities,
            HouseTime time) {
        this.rehearsals = rehearsals;
        this.air = air;
        this.asking = asking;
        this.pieces = pieces;
        this.looks = looks;
        this.scales = scales;
        this.entities = entities;
        this.time = time;
    }

    private Rehearsal here() {
        return rehearsals.here().orElseThrow(() -> Refusal.notFound("rehearsal"));
    }

    private Rehearsal running() {
        Rehearsal rehearsal = here();
        if (rehearsal.isOver()) {
            throw Refusal.conflict("over", "This rehearsal is over.");
        }
        return rehearsal;
    }

    /** What is known of it: done to it, and when it came down. */
    private record Story(Rehearsal rehearsal, Piece piece, List<EntryView> log, List<Deed> deeds, double day) {
        boolean isDown() {
            return piece.state() != PieceState.HANGING;
        }

        boolean isDone() {
            return piece.state() == PieceState.CUT;
        }

        RehearsalWorld world() {
            return new RehearsalWorld(rehearsal.plan(), deeds);
        }

        PieceTruth truth(RehearsalWorld world) {
            return world.at(day);
        }
    }

    private Story story(Rehearsal rehearsal) {
        Piece piece = pieces.find(rehearsal.pieceId().orElseThrow(() -> Refusal.notFound("piece")));
        List<EntryView> log =
                pieces.log(piece.id()).stream().filter(EntryView::stands).toList();
        List<Deed> deeds = new ArrayList<>(air.deeds(rehearsal));
        log.forEach(entry ->
                deed(entry.kind()).ifPresent(kind -> deeds.add(new Deed(rehearsal.day(entry.happenedAt()), kind))));
        deeds.sort(Comparator.comparingDouble(Deed::day));
        Instant until = log.stream()
                .filter(entry -> entry.kind() == LogFactKind.PULLED)
                .map(EntryView::happenedAt)
                .findFirst()
                .orElse(rehearsal.last(time.instant()));
        return new Story(rehearsal, piece, log, deeds, rehearsal.day(until));
    }

    private static Optional<Deed.Kind> deed(LogFactKind kind) {
        return switch (kind) {
            case TURNED, RETIED -> Optional.of(Deed.Kind.TURNED);
            case RESEALED -> Optional.of(Deed.Kind.RESEALED);
            case RESTED -> Optional.of(Deed.Kind.UNWRAPPED);
            case TRIMMED, CUT_AWAY -> Optional.of(Deed.Kind.TRIMMED);
            default -> Optional.empty();
        };
    }

    @Transactional(readOnly = true)
    public RehearsalView view() {
        Rehearsal rehearsal = here();
        boolean ofOnePiece = rehearsal.work() == LessonWork.PIECE;
        return new RehearsalView(
                rehearsal.id(),
                rehearsal.lesson().map(Enum::name).orElse(null),
                RehearsalHouses.title(rehearsal.lesson().orElse(null)),
                rehearsal.lesson().map(RehearsalLesson::task).orElse("Age it as you would, and see what comes of it."),
                (int) Math.floor(rehearsal.day(rehearsal.last(time.instant()))),
                rehearsal.plan().plannedDays(),
                rehearsal.isOver(),
                ofOnePiece ? before(rehearsal) : null,
                ofOnePiece ? null : asking.before(rehearsal));
    }

    private PieceBefore before(Rehearsal rehearsal) {
        Story story = story(rehearsal);
        RehearsalWorld world = story.world();
        Sight sight = new Sight(rehearsal.plan(), story.truth(world), story.isDown());
        Observation there = sight.observation();
        List<HeapOnBlock> heaps = story.isDown()
                ? heaps(story, world).keySet().stream()
                        .map(heap -> new HeapOnBlock(heap, heap.label()))
                        .toList()
                : List.of();
        return new PieceBefore(
                story.piece().id(),
                story.piece().tag(),
                sight.appearance(),
                LookKey.told(there.surface()),
                LookKey.told(there.smell()),
                story.isDown(),
                story.isDone(),
                heaps,
                lastLook(story),
                rehearsal.isOver() ? review(story) : null);
    }

    private @Nullable LookTold lastLook(Story story) {
        List<LookView> all = looks.of(story.piece().id());
        if (all.isEmpty()) {
            return null;
        }
        LookView last = all.get(0);
        double day = story.rehearsal().day(last.at());
        PieceTruth truth = story.world().at(Math.min(day, story.day()));
        return new Sight(story.rehearsal().plan(), truth).beside(last.observed(), day);
    }

    private static Map<Heap, Integer> heaps(Story story, RehearsalWorld world) {
        story.truth(world);
        return world.cutUp(
                story.piece().benchOrder().orElse(BenchOrder.SLICE_FIRST),
                story.piece().closeness());
    }

    /** @param called why the days stopped early; absent where they all went by */
    record DaysPassed(@Nullable String called) {}

    /**
     * Lets days go by. Where an alarm would have called, it is then. Sent again, they go by once.
     *
     * @param days 1 to 30
     * @param shownDay the day that stood on the screen
     */
    DaysPassed pass(int days, int shownDay) {
        Rehearsal rehearsal = running();
        double from = rehearsal.day(time.instant());
        if ((int) Math.floor(from) != shownDay) {
            return new DaysPassed(null); // they went by already
        }
        OptionalDouble call = rehearsal.pieceId().isEmpty() ? OptionalDouble.empty() : calls(rehearsal, from, days);
        double to = call.orElse(from + days);
        rehearsal.set(rehearsal.at(to), time.ofTheMachine().truncatedTo(ChronoUnit.MICROS));
        rehearsals.save(rehearsal);
        air.record(rehearsal, from, to);
        return new DaysPassed(
                call.isPresent()
                        ? "The thermometer calls: it is above %s in there, for two hours now."
                                .formatted(temperature((int) Excursions.LIMIT_CELSIUS))
                        : null);
    }

    private OptionalDouble calls(Rehearsal rehearsal, double from, int days) {
        Story story = story(rehearsal);
        return story.isDown() ? OptionalDouble.empty() : story.world().callsBetween(from, from + days);
    }

    /** Lays the piece on the scale, or a heap of it once it was cut up. */
    void weigh(@Nullable Heap heap) {
        Rehearsal rehearsal = running();
        Story story = story(rehearsal);
        RehearsalWorld world = story.world();
        int below = world.onTheScale(rehearsal.day(time.instant()));
        if (heap == null) {
            scales.show(rehearsal.scaleId(), below + story.truth(world).grams());
            return;
        }
        if (!story.isDown()) {
            throw Refusal.conflict("hangs", "It hangs. Pull it first.");
        }
        Integer grams = heaps(story, world).get(heap);
        if (grams == null) {
            throw Refusal.notFound("heap");
        }
        scales.show(rehearsal.scaleId(), below + grams);
    }

    /** Nothing lies on the scale but what was left there. */
    void clearScale() {
        Rehearsal rehearsal = running();
        RehearsalWorld world = new RehearsalWorld(rehearsal.plan(), List.of());
        scales.show(rehearsal.scaleId(), world.onTheScale(rehearsal.day(time.instant())));
    }

    /** @param sentences what was found and put right; one that says so where nothing was wrong */
    record RoomSeen(List<String> sentences) {}

    /** Goes and sees to the room; sent again, it happens once. */
    RoomSeen seeToTheRoom(UUID id) {
        Rehearsal rehearsal = running();
        Story story = story(rehearsal);
        if (entities.find(RehearsalDeed.class, id) != null) {
            return new RoomSeen(List.of("It is done already."));
        }
        List<Mishap> wrong = story.world().wrongWithTheRoom(rehearsal.day(time.instant()));
        entities.persist(
                new RehearsalDeed(id, Deed.Kind.SAW_TO_THE_ROOM, time.instant().truncatedTo(ChronoUnit.MICROS)));
        return new RoomSeen(
                wrong.isEmpty()
                        ? List.of("Door shut, fan running, machine cold: nothing is wrong with the room.")
                        : wrong.stream()
                                .map(mishap -> "Found that %s. It is put right.".formatted(mishap.told()))
                                .toList());
    }

    /** It is over: judged, and told why. Sent again, it ends once. */
    void end() {
        Rehearsal rehearsal = here();
        if (rehearsal.isOver()) {
            return;
        }
        Instant now = time.ofTheMachine().truncatedTo(ChronoUnit.MICROS);
        Optional<Review> done = rehearsal
                .pieceId()
                .map(piece -> story(rehearsal))
                .filter(Story::isDone)
                .map(RehearsalPlay::reviewed);
        rehearsal.end( // what is not done is given up
                done.map(Review::score).orElse(0), done.map(Review::isPassed).orElse(false), time.instant(), now);
        rehearsals.save(rehearsal);
    }

    /** Once it is over. @throws Refusal before, and where what is chosen cannot be */
    @Transactional(readOnly = true)
    public ReplayView replay(Choice choice) {
        Rehearsal rehearsal = here();
        if (!rehearsal.isOver()) {
            throw Refusal.conflict("not-over", "It is not over yet.");
        }
        Replay replay = reviewed(story(rehearsal)).replay(choice);
        return new ReplayView(replay.curve(), replay.steakGrams(), replay.worthMinor(), replay.spoiltGrams());
    }

    private static Review reviewed(Story story) {
        Map<Stream, Integer> piles = new EnumMap<>(Stream.class);
        story.log().stream()
                .filter(entry -> entry.kind() == LogFactKind.PILE && entry.stream() != null)
                .forEach(entry -> piles.merge(entry.stream(), entry.grams(), Integer::sum));
        return new Review(
                story.rehearsal().plan(),
                story.deeds(),
                new Ending(
                        story.day(),
                        story.piece().benchOrder().orElse(BenchOrder.SLICE_FIRST),
                        story.piece().closeness(),
                        new Piles(piles),
                        written(story)));
    }

    private static List<WeightOnDay> written(Story story) {
        return story.log().stream()
                .filter(entry -> entry.kind() == LogFactKind.WEIGHED || entry.kind() == LogFactKind.PULLED)
                .map(entry -> new WeightOnDay(story.rehearsal().day(entry.happenedAt()), entry.grams()))
                .toList();
    }

    private static ReviewView review(Story story) {
        Review review = reviewed(story);
        return new ReviewView(
                story.isDone() ? review.score() : 0,
                story.rehearsal().passed(),
                story.rehearsal().lesson().map(lesson -> lesson.moral()).orElse(null),
                story.isDone() ? review.dangerGrams() : 0,
                story.isDone() ? review.wasteGrams() : 0,
                story.isDone() ? review.toughGrams() : 0,
                review.wronglyWeighed(),
                review.paidMinor(),
                story.isDone() ? review.keptMinor() : 0,
                story.world().befell(story.day()).entrySet().stream()
                        .sorted(Map.Entry.comparingByValue())
                        .map(each -> new BefellLine(each.getKey().told(), (int) Math.floor(each.getValue())))
                        .toList(),
                review.findings().stream()
                        .map(finding -> new FindingLine(
                                finding.sign().told(),
                                (int) Math.floor(finding.since()),
                                (int) Math.floor(finding.until()),
                                (int) Math.round(finding.late()),
                                finding.costGrams(),
                                finding.costMinor(),
                                finding.instead()))
                        .toList(),
                review.curve(),
                review.heaps().entrySet().stream()
                        .sorted(Map.Entry.comparingByKey())
                        .map(each -> new WeighedHeap(each.getKey().label(), each.getValue()))
                        .collect(Collectors.toList()));
    }
}
