package elvaro.server.trial;

import elvaro.server.share.ShareLinks;
import elvaro.server.share.SharedKind;
import jakarta.servlet.http.HttpServletRequest;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RestController;

/** The page of a trial that is shown around, for whoever has the link. */
@RestController
class SharedTrialController {
    private final ShareLinks links;
    private final SharedTrials shared;

    SharedTrialController(ShareLinks links, SharedTrials shared) {
        this.links = links;
        this.shared = shared;
    }

    /** What the link opens. */
    @GetMapping("/shared/TRIAL")
    SharedTrial page(
            @RequestHeader(name = "Authorization", defaultValue = "") String authorization,
            HttpServletRequest request) {
        return links.open(SharedKind.TRIAL, authorization, request.getRemoteAddr(), shared::view);
    }
}
