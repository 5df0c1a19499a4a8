package elvaro.server.record;

import elvaro.server.share.ShareLinks;
import elvaro.server.share.SharedKind;
import jakarta.servlet.http.HttpServletRequest;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RestController;

/** The page of a piece that is shown around, for whoever has the link. */
@RestController
class SharedPieceController {
    private final ShareLinks links;
    private final SharedPieces shared;

    SharedPieceController(ShareLinks links, SharedPieces shared) {
        this.links = links;
        this.shared = shared;
    }

    /** What the link opens. */
    @GetMapping("/shared/PIECE")
    SharedPieces.SharedPieceView page(
            @RequestHeader(name = "Authorization", defaultValue = "") String authorization,
            HttpServletRequest request) {
        return links.open(SharedKind.PIECE, authorization, request.getRemoteAddr(), shared::view);
    }
}
