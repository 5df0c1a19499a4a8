package elvaro.server.look;

import elvaro.core.inspection.Rule;
import elvaro.core.ledger.PieceLog;
import elvaro.core.schedule.DayNumber;
import elvaro.server.forecast.Figures;
import elvaro.server.hanging.PieceQueries;
import elvaro.server.look.LookRepository.PhotoRow;
import elvaro.server.look.StoryPhoto.Twin;
import elvaro.server.piece.Piece;
import elvaro.server.piece.PieceWriter;
import elvaro.server.settings.HouseClock;
import elvaro.server.settings.WorkshopService;
import elvaro.server.shared.CurrentWorkshop;
import elvaro.server.shared.Refusal;
import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Pictures of a piece at any moment of its life, and the story they tell beside its twins. */
@Service
@Transactional
class PhotoService {
    private static final int MOST_OF_A_PIECE = 100;
    private static final int SAME_DAY = 3;
    private static final Duration CLOCK_SLACK = Duration.ofMinutes(15);

    private final PieceWriter writer;
    private final LookRepository looks;
    private final LookService looked;
    private final PieceQueries pieces;
    private final WorkshopService workshops;
    private final CurrentWorkshop current;
    private final EntityManager entities;
    private final Clock clock;

    PhotoService(
            PieceWriter writer,
            LookRepository looks,
            LookService looked,
            PieceQueries pieces,
            WorkshopService workshops,
            CurrentWorkshop current,
            EntityManager entities,
            Clock clock) {
        this.writer = writer;
        this.looks = looks;
        this.looked = looked;
        this.pieces = pieces;
        this.workshops = workshops;
        this.current = current;
        this.entities = entities;
        this.clock = clock;
    }

    /**
     * Keeps a picture; sent again, it is kept once.
     *
     * @param at when it was taken; absent for now
     * @throws Refusal if it is no picture, it is of the future, or the piece has enough of them
     */
    void keep(UUID pieceId, UUID photoId, PhotoMoment shows, @Nullable Instant at, byte[] sent) {
        writer.lock(pieceId); // They are counted below.
        if (entities.find(Photo.class, photoId) != null) {
            return;
        }
        Instant now = clock.instant().truncatedTo(ChronoUnit.MICROS);
        Instant taken = at == null ? now : at.truncatedTo(ChronoUnit.MICROS);
        if (taken.isAfter(now.plus(CLOCK_SLACK))) {
            throw Refusal.wrong("future-date", "at", "It cannot have been taken in the future.");
        }
        if (looks.photosOfAny(List.of(pieceId)).size() >= MOST_OF_A_PIECE) {
            throw Refusal.conflict("photos-enough", "A piece has %d pictures at most.".formatted(MOST_OF_A_PIECE));
        }
        entities.persist(Photo.ofPiece(
                photoId,
                pieceId,
                shows,
                taken,
                Photos.small(sent),
                now,
                current.person().accountId()));
    }

    /** Every picture of a piece, those of its looks among them, in the order they were taken. */
    @Transactional(readOnly = true)
    List<StoryPhoto> story(UUID pieceId) {
        Piece piece = pieces.find(pieceId);
        Map<UUID, Piece> lot =
                pieces.allOfLot(piece.lot().id()).stream().collect(Collectors.toMap(Piece::id, Function.identity()));
        List<PhotoRow> rows = looks.photosOfAny(lot.keySet());
        if (rows.stream().noneMatch(row -> row.pieceId().equals(pieceId))) {
            return List.of();
        }
        Map<UUID, List<Taken>> taken = taken(rows, lot);
        Figures figures = pieces.figures(List.of(pieceId)).get(0);
        Map<UUID, LookView> views = looked.of(pieceId).stream()
                .filter(LookView::stands)
                .collect(Collectors.toMap(LookView::id, Function.identity()));
        return taken.getOrDefault(pieceId, List.of()).stream()
                .filter(photo -> photo.row().lookId() == null
                        || views.containsKey(photo.row().lookId()))
                .map(photo -> view(photo, figures.log(), views.get(photo.row().lookId()), taken))
                .toList();
    }

    /** A picture with its moment and day. */
    private record Taken(
            PhotoRow row, String tag, Instant at, @Nullable Long day) {}

    private Map<UUID, List<Taken>> taken(List<PhotoRow> rows, Map<UUID, Piece> lot) {
        HouseClock house = workshops.mine().clock();
        Map<UUID, List<Taken>> taken = new HashMap<>();
        for (PhotoRow row : rows) {
            Piece piece = Objects.requireNonNull(lot.get(row.pieceId()));
            Long day = piece.hungOn()
                    .map(hung -> DayNumber.of(hung, house.day(row.at())))
                    .filter(number -> number >= 0)
                    .orElse(null);
            taken.computeIfAbsent(row.pieceId(), id -> new java.util.ArrayList<>())
                    .add(new Taken(row, piece.tag(), row.at(), day));
        }
        taken.values().forEach(each -> each.sort(Comparator.comparing(Taken::at)));
        return taken;
    }

    private static StoryPhoto view(Taken photo, PieceLog log, @Nullable LookView look, Map<UUID, List<Taken>> lot) {
        PhotoMoment shows = look == null ? photo.row().shows() : PhotoMoment.LOOK;
        int grams = log.weighings().stream()
                .filter(net -> !net.at().isAfter(photo.at()))
                .reduce((one, later) -> later)
                .map(PieceLog.NetWeight::grams)
                .orElse(log.green());
        Rule.Answer answer = look == null ? null : look.answer();
        return new StoryPhoto(
                photo.row().id(),
                photo.at(),
                shows == null ? PhotoMoment.OTHER : shows,
                (shows == null ? PhotoMoment.OTHER : shows).label(),
                photo.day(),
                grams,
                look == null ? null : look.seen(),
                answer,
                twins(photo, lot));
    }

    private static List<Twin> twins(Taken photo, Map<UUID, List<Taken>> lot) {
        Long day = photo.day();
        if (day == null) {
            return List.of();
        }
        return lot.entrySet().stream()
                .filter(other -> !other.getKey().equals(photo.row().pieceId()))
                .flatMap(other -> other.getValue().stream()
                        .filter(each -> each.day() != null && Math.abs(each.day() - day) <= SAME_DAY)
                        .min(Comparator.comparing(each -> Math.abs(each.day() - day)))
                        .stream())
                .map(each ->
                        new Twin(each.row().pieceId(), each.tag(), each.row().id(), each.day()))
                .sorted(Comparator.comparing(Twin::tag))
                .toList();
    }

    /**
     * A picture as JPEG, of a look or not.
     *
     * @param thumbnail whether a small one is enough
     */
    @Transactional(readOnly = true)
    byte[] picture(UUID pieceId, UUID photoId, boolean thumbnail) {
        looks.photosOfAny(List.of(pieces.find(pieceId).id())).stream()
                .filter(row -> row.id().equals(photoId))
                .findFirst()
                .orElseThrow(() -> Refusal.notFound("picture"));
        byte[] jpeg = Optional.ofNullable(entities.find(Photo.class, photoId))
                .orElseThrow(() -> Refusal.notFound("picture"))
                .jpeg();
        return thumbnail ? Photos.thumbnail(jpeg) : jpeg;
    }
}
