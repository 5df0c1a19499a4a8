package elvaro.server.record;

import elvaro.server.hanging.PieceQueries;
import elvaro.server.share.ShareLinks;
import elvaro.server.share.SharedKind;
import jakarta.servlet.http.HttpServletRequest;
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
    private final SharedPieces shared;

    SharedPieceController(ShareLinks links, PieceQueries pieces, SharedPieces shared) {
        this.links = links;
        this.pieces = pieces;
        this.shared = shared;
    }

    /** @param path of the page; absent while it is not shown around */
    record PieceShareView(@Nullable String path) {}

    @GetMapping("/api/pieces/{id}/share")
    PieceShareView link(@PathVariable UUID id) {
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
    SharedPieces.SharedPieceView page(
            @RequestHeader(name = "Authorization", defaultValue = "") String authorization,
            HttpServletRequest request) {
        return links.open(SharedKind.PIECE, authorization, request.getRemoteAddr(), shared::view);
    }

    /** A photo of it. */
    @GetMapping(path = "/shared/piece/photos/{photoId}", produces = MediaType.IMAGE_JPEG_VALUE)
    byte[] photo(
            @RequestHeader(name = "Authorization", defaultValue = "") String authorization,
            @PathVariable UUID photoId,
            HttpServletRequest request) {
        return links.open(SharedKind.PIECE, authorization, request.getRemoteAddr(), id -> shared.photo(id, photoId));
    }

    /** The same to print. */
    @GetMapping(path = "/shared/piece/pdf", produces = MediaType.APPLICATION_PDF_VALUE)
    byte[] pdf(
            @RequestHeader(name = "Authorization", defaultValue = "") String authorization,
            HttpServletRequest request) {
        return links.open(SharedKind.PIECE, authorization, request.getRemoteAddr(), shared::pdf);
    }

    /** The same as one picture. */
    @GetMapping(path = "/shared/piece/picture", produces = MediaType.IMAGE_PNG_VALUE)
    byte[] picture(
            @RequestHeader(name = "Authorization", defaultValue = "") String authorization,
            HttpServletRequest request) {
        return links.open(SharedKind.PIECE, authorization, request.getRemoteAddr(), shared::picture);
    }
}
