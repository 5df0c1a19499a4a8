package elvaro.server.record;

import elvaro.core.cut.ShapeClass;
import elvaro.core.yield.Section;
import elvaro.server.hanging.LedgerView;
import elvaro.server.hanging.PieceQueries;
import elvaro.server.hanging.PieceView;
import elvaro.server.look.LookService;
import elvaro.server.look.LookView;
import elvaro.server.share.ShareLinks;
import elvaro.server.share.SharedKind;
import elvaro.server.shared.Refusal;
import elvaro.server.treatment.TreatmentQueries;
import jakarta.servlet.http.HttpServletRequest;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.MediaType;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RestController;

/** A piece that is shown around: its link for the house, its page for whoever has the link. */
@RestController
class SharedPieceController {
    private final ShareLinks links;
    private final PieceQueries pieces;
    private final TreatmentQueries treated;
    private final LookService looks;

    SharedPieceController(ShareLinks links, PieceQueries pieces, TreatmentQueries treated, LookService looks) {
        this.links = links;
        this.pieces = pieces;
        this.treated = treated;
        this.looks = looks;
    }

    /** @param path of the page; absent while it is not shown around */
    record PieceShareView(@Nullable String path) {}

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
            List<SeenOnPiece> seen) {}

    record SharedWeighing(double day, double lost) {}

    record SeenOnPiece(String seen, List<UUID> photos) {}

    @GetMapping("/api/pieces/{id}/share")
    PieceShareView shared(@PathVariable UUID id) {
        pieces.find(id);
        return new PieceShareView(links.path(SharedKind.PIECE, id).orElse(null));
    }

    /** Shows it around; asked again, it is the same link. */
    @PutMapping("/api/pieces/{id}/share")
    @PreAuthorize("hasRole('OWNER')")
    PieceShareView share(@PathVariable UUID id) {
        pieces.find(id);
        return new PieceShareView(links.share(SharedKind.PIECE, id));
    }

    /** Takes the link back. */
    @DeleteMapping("/api/pieces/{id}/share")
    @PreAuthorize("hasRole('OWNER')")
    PieceShareView takeBack(@PathVariable UUID id) {
        pieces.find(id);
        links.takeBack(SharedKind.PIECE, id);
        return new PieceShareView(null);
    }

    /** What the link opens. */
    @GetMapping("/shared/piece")
    SharedPieceView page(
            @RequestHeader(name = "Authorization", defaultValue = "") String authorization,
            HttpServletRequest request) {
        return links.open(SharedKind.PIECE, authorization, request.getRemoteAddr(), this::view);
    }

    /** A photo of it. */
    @GetMapping(path = "/shared/piece/photos/{photoId}", produces = MediaType.IMAGE_JPEG_VALUE)
    byte[] photo(
            @RequestHeader(name = "Authorization", defaultValue = "") String authorization,
            @PathVariable UUID photoId,
            HttpServletRequest request) {
        return links.open(
                SharedKind.PIECE,
                authorization,
                request.getRemoteAddr(),
                id -> looks.of(id).stream()
                        .filter(look -> look.photos().contains(photoId))
                        .findFirst()
                        .map(look -> looks.photo(id, look.id(), photoId))
                        .orElseThrow(() -> Refusal.notFound("picture")));
    }

    private SharedPieceView view(UUID id) {
        PieceView piece = pieces.view(id);
        return new SharedPieceView(
                piece.card().cutName(),
                piece.card().methodLabel(),
                piece.card().shape(),
                piece.card().section(),
                piece.card().dayNumber(),
                piece.card().targetDays(),
                piece.card().state() == elvaro.server.piece.PieceState.CUT,
                piece.ledger(),
                piece.weighings().stream()
                        .map(weighing -> new SharedWeighing(weighing.day(), weighing.shrinkFraction()))
                        .toList(),
                treated.of(id).stream().map(given -> given.words()).toList(),
                looks.of(id).stream()
                        .filter(LookView::stands)
                        .map(look -> new SeenOnPiece(look.seen(), look.photos()))
                        .toList());
    }
}
