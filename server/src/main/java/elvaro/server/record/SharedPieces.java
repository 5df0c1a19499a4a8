package elvaro.server.record;

import static elvaro.core.working.Quantity.days;
import static elvaro.core.working.Quantity.share;

import elvaro.core.cut.ShapeClass;
import elvaro.core.working.Units;
import elvaro.core.yield.Section;
import elvaro.server.hanging.LedgerView;
import elvaro.server.hanging.PieceQueries;
import elvaro.server.hanging.PieceView;
import elvaro.server.look.LookService;
import elvaro.server.look.LookView;
import elvaro.server.paper.CurveDrawing;
import elvaro.server.paper.CurveDrawing.Curve;
import elvaro.server.paper.CurveDrawing.Day;
import elvaro.server.paper.Paper;
import elvaro.server.paper.SectionDrawing;
import elvaro.server.paper.WeightBarDrawing;
import elvaro.server.piece.PieceState;
import elvaro.server.share.ShareLinks;
import elvaro.server.share.SharedKind;
import elvaro.server.share.Shown;
import elvaro.server.shared.Refusal;
import elvaro.server.treatment.TreatmentQueries;
import java.util.List;
import java.util.Objects;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Pieces as they are shown around: as a page, as a PDF, as a picture, each with the same in it. */
@Component
class SharedPieces implements Shown {
    /** So many photos go onto paper, the latest. */
    private static final int PHOTOS = 4;

    private final PieceQueries pieces;
    private final TreatmentQueries treated;
    private final LookService looks;

    SharedPieces(PieceQueries pieces, TreatmentQueries treated, LookService looks) {
        this.pieces = pieces;
        this.treated = treated;
        this.looks = looks;
    }

    @Override
    public SharedKind kind() {
        return SharedKind.PIECE;
    }

    @Override
    public void find(UUID id) {
        pieces.find(id);
    }

    /**
     * A piece as whoever has its link sees it: no price, no supplier, no room, no person.
     *
     * @param method absent for one set aside fresh, as are its days
     * @param given what was put on it, in words
     * @param seen at looks, the first first
     */
    record SharedPieceView(
            String cut,
            @Nullable String method,
            ShapeClass shape,
            Section section,
            @Nullable Long day,
            @Nullable Integer targetDays,
            boolean cutUp,
            LedgerView ledger,
            List<SharedWeighing> weighings,
            List<String> given,
            List<SeenOnPiece> seen,
            String caution) {}

    record SharedWeighing(double day, double lost) {}

    record SeenOnPiece(String seen, List<UUID> photos) {}

    SharedPieceView view(UUID id) {
        PieceView piece = pieces.view(id);
        return new SharedPieceView(
                piece.card().cutName(),
                piece.card().methodLabel(),
                piece.card().shape(),
                piece.card().section(),
                piece.card().dayNumber(),
                piece.card().targetDays(),
                piece.card().state() == PieceState.CUT,
                piece.ledger(),
                piece.weighings().stream()
                        .map(weighing -> new SharedWeighing(weighing.day(), weighing.shrinkFraction()))
                        .toList(),
                treated.of(id).stream().map(given -> given.words()).toList(),
                looks.of(id).stream()
                        .filter(LookView::stands)
                        .map(look -> new SeenOnPiece(look.seen(), look.photos()))
                        .toList(),
                ShareLinks.CAUTION);
    }

    @Override
    public byte[] photo(UUID id, UUID photoId) {
        return looks.of(id).stream()
                .filter(look -> look.photos().contains(photoId))
                .findFirst()
                .map(look -> looks.photo(id, look.id(), photoId))
                .orElseThrow(() -> Refusal.notFound("picture"));
    }

    @Override
    public byte[] pdf(UUID id) {
        SharedPieceView piece = view(id);
        return written(Paper.a4(piece.cut(), under(piece), Units.PLAIN), id, piece)
                .pdf();
    }

    @Override
    public byte[] picture(UUID id) {
        SharedPieceView piece = view(id);
        return written(Paper.longPage(piece.cut(), under(piece), Units.PLAIN), id, piece)
                .picture();
    }

    private static String under(SharedPieceView piece) {
        String hung = piece.day() == null
                ? null
                : days(piece.day()) + (piece.cutUp() ? "" : " of %s".formatted(piece.targetDays()));
        return Stream.concat(
                        Stream.of(piece.method() == null ? "set aside fresh" : piece.method(), hung),
                        piece.given().stream())
                .filter(Objects::nonNull)
                .collect(Collectors.joining(", "));
    }

    private Paper written(Paper paper, UUID id, SharedPieceView piece) {
        LedgerView ledger = piece.ledger();
        paper.drawing(new SectionDrawing(piece.shape(), piece.section()))
                .answer("%s water lost".formatted(share(ledger.shrinkFraction())));
        if (piece.cutUp()) {
            paper.sentence("%s steak, %s usable, %s thrown away"
                            .formatted(
                                    share(ledger.steakYield()),
                                    share(ledger.usableYield()),
                                    share(ledger.discardFraction())))
                    .drawing(WeightBarDrawing.of(ledger));
        }
        List<Day> weighed = piece.weighings().stream()
                .map(each -> new Day(each.day(), each.lost(), each.lost(), each.lost()))
                .toList();
        if (weighed.size() > 1) {
            paper.drawing(
                    "Water gone, as it was weighed", new CurveDrawing(List.of(new Curve(0, "", weighed, weighed))));
        }
        piece.seen().forEach(look -> paper.sentence(look.seen()));
        List<UUID> photos =
                piece.seen().stream().flatMap(look -> look.photos().stream()).toList();
        photos.stream()
                .skip(Math.max(0, photos.size() - PHOTOS))
                .map(photo -> photo(id, photo))
                .forEach(paper::photo);
        return paper.sentence(piece.caution());
    }
}
